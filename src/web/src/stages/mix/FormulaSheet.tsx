import { Button, Checkbox, InputNumber, Select } from "antd";
import { useState } from "react";
import type { PlanEdit, Schemas } from "../../api/client";
import { Choice, Line } from "../../views/Choice";
import { Num } from "../../views/Num";
import { ofKind, useShelf } from "../shelf/useShelf";

type Formula = Schemas["Formula"];
type Figures = Schemas["LightenerFigures"];

interface Props {
  formula: Formula;
  /** Whether any of its panels stays open. */
  openAir: boolean;
  edit(edit: PlanEdit): Promise<boolean>;
  onDone(): void;
}

const figuresOf = (p: Schemas["ProductLightenerProduct"]): Figures => ({
  ratedLevels: p.ratedLevels.value,
  dryingMinutes: p.dryingMinutes.value,
  workingMinutes: p.workingMinutes.value,
  scalpSafe: p.scalpSafe,
  excludesHeat: !p.heatAllowed,
  swells: p.swells,
  limitMinutes: p.limitMinutes.value,
  windowMinutes: p.windowMinutes.value,
});

/** What a formula is made of: products by share, ratio, developer, additive; shades in parts for a deposit. */
export function FormulaSheet({ formula, openAir, edit, onDone }: Props) {
  const { data: shelf } = useShelf();
  const [draft, setDraft] = useState(formula);
  const by = (change: Partial<Formula>) => setDraft({ ...draft, ...change });
  const lighteners = ofKind(shelf, "lightener");
  const additives = ofKind(shelf, "additive");
  const mine = lighteners.find((p) => p.name === draft.product);
  const deposit = draft.depositLevel != null;
  const ratio = (draft.developerParts ?? 1.5) / (draft.lightenerParts ?? 1);
  const setRatio = (d: number) => by({ lightenerParts: 1, developerParts: d });
  return (
    <div className="sheet" role="group" aria-label={`Formula ${formula.id}`}>
      {deposit ? (
        <Shades draft={draft} by={by} shades={ofKind(shelf, "shade")} />
      ) : (
        <>
          <Line name="Lightener">
            <Select
              aria-label="Lightener"
              value={draft.product ?? draft.lightener}
              options={[
                ...lighteners.map((p) => ({ value: p.name, label: p.name })),
                ...(["clay", "powder", "cream", "half"] as const).map((k) => ({
                  value: k,
                  label: `any ${k}`,
                })),
              ]}
              onChange={(v) => {
                const p = lighteners.find((l) => l.name === v);
                by(
                  p
                    ? { lightener: p.type, product: p.name, figures: figuresOf(p) }
                    : { lightener: v as Formula["lightener"], product: null, figures: null },
                );
              }}
            />
          </Line>
          <Line name="With a second">
            <Select
              aria-label="Second lightener"
              value={draft.second?.product ?? "none"}
              options={[
                { value: "none", label: "none" },
                ...lighteners
                  .filter((p) => p.name !== draft.product)
                  .map((p) => ({ value: p.name, label: p.name })),
              ]}
              onChange={(v) => {
                const p = lighteners.find((l) => l.name === v);
                by({
                  second: p
                    ? {
                        lightener: p.type,
                        share: draft.second?.share ?? 0.5,
                        product: p.name,
                        figures: figuresOf(p),
                      }
                    : null,
                });
              }}
            />
          </Line>
          {draft.second && (
            <Num
              name="Its share"
              unit="%"
              min={5}
              max={95}
              step={5}
              value={Math.round(draft.second.share * 100)}
              onSet={(v) => draft.second && by({ second: { ...draft.second, share: v / 100 } })}
            />
          )}
        </>
      )}
      <Choice
        name="Ratio"
        value={String(ratio)}
        options={[...new Set([0.5, 1, 1.5, 2, ...(mine?.ratios ?? [])])]
          .sort((a, b) => a - b)
          .map((r) => [String(r), r < 1 ? `${1 / r} : 1` : `1 : ${r}`] as const)}
        onChange={(v) => setRatio(Number(v))}
      />
      <Num
        name="Developer to one"
        min={0.1}
        max={10}
        step={0.1}
        value={Math.round(ratio * 100) / 100}
        onSet={setRatio}
      />
      <Num
        name="Developer"
        unit="vol"
        min={5}
        max={40}
        step={5}
        value={draft.volume}
        onSet={(v) => by({ volume: v })}
      />
      <Num
        name="Rinse at"
        unit="min"
        min={1}
        max={120}
        step={5}
        value={draft.minutes}
        onSet={(v) => by({ minutes: v })}
      />
      {!deposit && (
        <>
          <Line name="Bond additive">
            <Select
              aria-label="Bond additive"
              value={draft.additive?.product ?? "none"}
              options={[
                { value: "none", label: "none" },
                ...additives.map((p) => ({ value: p.name, label: p.name })),
              ]}
              onChange={(v) => {
                const p = additives.find((a) => a.name === v);
                const dose = p && (openAir ? p.openAirGramsPerGram : p.gramsPerGram);
                by({
                  additive:
                    p && dose
                      ? {
                          gramsPerGram: dose,
                          slows: p.slows.value * Math.min(1, dose / p.gramsPerGram),
                          product: p.name,
                        }
                      : null,
                });
              }}
            />
          </Line>
          <Checkbox
            checked={draft.lowHeat ?? false}
            onChange={(e) => by({ lowHeat: e.target.checked, heatConfirmed: false })}
          >
            Low heat, only if the leaflet allows it
          </Checkbox>
        </>
      )}
      <div className="row">
        <Button
          type="primary"
          onClick={async () => {
            if (await edit({ kind: "setFormula", formula: draft })) {
              onDone();
            }
          }}
        >
          Mix it so
        </Button>
        <Button onClick={onDone}>Leave</Button>
      </div>
    </div>
  );
}

function Shades(props: {
  draft: Formula;
  by(change: Partial<Formula>): void;
  shades: Schemas["ProductShadeProduct"][];
}) {
  const { draft, by, shades } = props;
  const mixed = draft.shades?.shades ?? [];
  const set = (next: typeof mixed) => by({ shades: next.length > 0 ? { shades: next } : null });
  return (
    <>
      {mixed.map((s, i) => (
        <Line key={s.name} name={s.name}>
          <InputNumber
            aria-label={`Parts of ${s.name}`}
            min={0.1}
            max={100}
            step={0.5}
            value={s.parts}
            suffix="parts"
            onChange={(v) => v && set(mixed.map((m, j) => (i === j ? { ...m, parts: v } : m)))}
          />
          <Button aria-label={`Without ${s.name}`} onClick={() => set(mixed.filter((_, j) => j !== i))}>
            −
          </Button>
        </Line>
      ))}
      {mixed.length < 4 && (
        <Line name="Shade">
          <Select
            aria-label="Add a shade"
            placeholder="Add a shade"
            value={null}
            options={shades
              .filter((p) => !mixed.some((m) => m.name === p.name))
              .map((p) => ({ value: p.name, label: p.name }))}
            onChange={(v) => {
              const p = shades.find((s) => s.name === v);
              if (p) {
                set([...mixed, { name: p.name, depth: p.depth, reflect: p.reflect, parts: 1 }]);
              }
            }}
          />
        </Line>
      )}
    </>
  );
}
