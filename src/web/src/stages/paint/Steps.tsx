import { Button, Dropdown, Popover, Select } from "antd";
import { useEffect, useRef, useState } from "react";
import type { PlanEdit, PlanView, Schemas, Zone } from "../../api/client";
import parts from "../../style/parts.module.css";
import { Whether } from "../../views/Choice";
import { ColourFields } from "../../views/ColourFields";
import { Num } from "../../views/Num";
import { StrengthFields } from "../../views/StrengthFields";
import { allZones, areaWords, stepKindWords, zoneWords } from "../../views/words";
import { newSteps } from "./newSteps";
import css from "./Steps.module.css";

type Step = Schemas["Step"];
type Formula = Schemas["Formula"];

interface Props {
  plan: PlanView;
  edit(edit: PlanEdit): Promise<boolean>;
}

/** The processes of the visit in order; nothing where there is one. */
export function Steps({ plan, edit }: Props) {
  const steps = plan.plan.steps ?? [];
  const list = useRef<HTMLOListElement>(null);
  const known = useRef(steps.length);
  // Added from further down, a step is seen where it came.
  useEffect(() => {
    if (steps.length > known.current) {
      list.current?.scrollIntoView({ block: "nearest" });
    }
    known.current = steps.length;
  }, [steps.length]);
  return steps.length > 1 || steps.some((s) => s.damp) ? (
    <ol ref={list} className={css.steps} aria-label="Steps of the visit">
      {steps.map((step, i) => (
        <li key={`${i} ${step.kind} ${step.formula ?? ""}`}>
          <OneStep plan={plan} steps={steps} number={i} edit={edit} />
        </li>
      ))}
    </ol>
  ) : null;
}

/** Another process, one tap away. */
export function AddAStep({ plan, edit }: Props) {
  const offered = newSteps(plan);
  return (
    <Dropdown
      trigger={["click"]}
      menu={{
        items: offered.map((o) => ({ key: o.words, label: o.words, disabled: o.edit === undefined })),
        onClick: ({ key }) => {
          const chosen = offered.find((o) => o.words === key)?.edit;
          if (chosen) {
            edit(chosen);
          }
        },
      }}
    >
      <Button className={parts.wide}>Add a step…</Button>
    </Dropdown>
  );
}

function OneStep({ plan, steps, number, edit }: Props & { steps: Step[]; number: number }) {
  const [open, setOpen] = useState(false);
  const step = steps[number];
  const formula = plan.plan.formulas.find((f) => f.id === step.formula);
  const minutes = step.minutes ?? formula?.minutes;
  const painted = !step.area && step.kind !== "treat";
  const words = `${number + 1} ${stepKindWords[step.kind]}`;
  const move = (to: number) => edit({ kind: "moveStep", number, to });
  return (
    <Popover
      trigger="click"
      open={open}
      onOpenChange={setOpen}
      content={
        <div className={parts.formula} role="group" aria-label={`Step ${words}`}>
          <strong>{words}</strong>
          {painted && (
            <>
              <p className={parts.soft}>
                {step.formula ? `What is painted with ${step.formula}.` : "What is painted on the panels."}
              </p>
              <StepTimes step={step} number={number} edit={edit} />
            </>
          )}
          {step.area && formula && <AreaStep step={step} number={number} formula={formula} edit={edit} />}
          {step.kind === "treat" && (
            <Num
              name="Minutes"
              unit="min"
              min={1}
              max={120}
              step={1}
              value={step.minutes ?? null}
              onSet={(v) => edit({ kind: "setStep", number, step: { ...step, minutes: v } })}
            />
          )}
          {number < steps.length - 1 && (
            <Whether
              name="Rinsed before the next"
              value={step.rinse}
              onChange={(rinse) => edit({ kind: "setStep", number, step: { ...step, rinse } })}
            />
          )}
          <div className={parts.row}>
            <Button disabled={number === 0} onClick={() => move(number - 1)}>
              Earlier
            </Button>
            <Button disabled={number === steps.length - 1} onClick={() => move(number + 1)}>
              Later
            </Button>
            {!(painted && !step.formula) && (
              <Button
                danger
                onClick={async () => {
                  if (await edit({ kind: "removeStep", number })) {
                    setOpen(false);
                  }
                }}
              >
                Remove
              </Button>
            )}
          </div>
        </div>
      }
    >
      <button type="button" className={css.step}>
        <b>{words}</b>
        <span>
          {[
            painted
              ? step.formula
                ? `panels with ${step.formula}`
                : "panels"
              : step.area && areaWords(step.area),
            step.area && step.formula,
            minutes && `${Math.round(minutes)} min`,
            step.latestMinutes && `done by ${Math.round(step.latestMinutes)} min`,
            step.damp && "damp hair",
            !step.rinse && number < steps.length - 1 && "not rinsed",
          ]
            .filter(Boolean)
            .join(" · ")}
        </span>
      </button>
    </Popover>
  );
}

/** A colour over an area: where, what, how long. */
function AreaStep({
  step,
  number,
  formula,
  edit,
}: {
  step: Step;
  number: number;
  formula: Formula;
  edit(edit: PlanEdit): Promise<boolean>;
}) {
  const area = step.area as Schemas["Area"];
  const [draft, setDraft] = useState(formula);
  const setArea = (change: Partial<Schemas["Area"]>) =>
    edit({ kind: "setStep", number, step: { ...step, area: { ...area, ...change } } });
  return (
    <>
      <Num
        name="From"
        unit="cm"
        min={0}
        max={60}
        step={0.5}
        value={area.fromCm}
        onSet={(v) => setArea({ fromCm: v })}
      />
      <Num
        name="To"
        unit="cm"
        min={0.5}
        max={60}
        step={0.5}
        value={area.toCm ?? null}
        placeholder="the ends"
        onSet={(v) => setArea({ toCm: v })}
        onEmpty={() => setArea({ toCm: null })}
      />
      <Select<Zone[]>
        aria-label="Zones"
        mode="multiple"
        style={{ width: "100%" }}
        placeholder="all zones that are worked"
        value={area.zones ?? []}
        options={allZones.map((z) => ({ value: z, label: zoneWords(z) }))}
        onChange={(zones) => setArea({ zones: zones.length > 0 ? zones : null })}
      />
      <Whether
        name="Only between the panels"
        value={area.between}
        onChange={(between) => setArea({ between })}
      />
      <div className={parts.row}>
        <ColourFields draft={draft} onDraft={setDraft} />
      </div>
      <div className={parts.row}>
        <StrengthFields draft={draft} onDraft={setDraft} />
        <Button
          type="primary"
          disabled={draft === formula}
          onClick={() => edit({ kind: "setFormula", formula: draft })}
        >
          Use
        </Button>
      </div>
      <StepTimes step={step} number={number} edit={edit} />
    </>
  );
}

/** When an area is looked at first or panels may be rinsed, and by when it is done, where the artist says so. */
function StepTimes({
  step,
  number,
  edit,
}: {
  step: Step;
  number: number;
  edit(edit: PlanEdit): Promise<boolean>;
}) {
  const setTimes = (change: Partial<Step>) => edit({ kind: "setStep", number, step: { ...step, ...change } });
  return (
    <>
      <Num
        name={step.area ? "Look from" : "Rinse from"}
        unit="min"
        min={1}
        max={120}
        step={1}
        value={step.earliestMinutes ?? null}
        placeholder="–"
        onSet={(v) => setTimes({ earliestMinutes: v })}
        onEmpty={() => setTimes({ earliestMinutes: null })}
      />
      <Num
        name="Done by"
        unit="min"
        min={1}
        max={120}
        step={1}
        value={step.latestMinutes ?? null}
        placeholder="–"
        onSet={(v) => setTimes({ latestMinutes: v })}
        onEmpty={() => setTimes({ latestMinutes: null })}
      />
    </>
  );
}
