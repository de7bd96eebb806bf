import { Segmented } from "antd";
import type { HairProfile, PlanEdit, PlanView, Schemas } from "../../api/client";
import parts from "../../style/parts.module.css";
import { Line } from "../../views/Choice";
import { Num } from "../../views/Num";
import css from "./HairReading.module.css";
import type { Consult } from "./useConsult";
import { ZoneDiffers } from "./ZoneDiffers";

const curls: Record<Schemas["Curl"], string> = {
  straight: "M12 3v22",
  wavy: "M12 3q6 5 0 11t0 11",
  curly: "M12 3q8 3 2 7-7 3 0 7 6 3 0 8",
  coily: "M12 3q7 1 3 4-7 1-1 5 6 1 0 4-6 1 0 5 4 1 0 4",
};

/** What is read off the hair, with pictures and few choices. */
export function HairReading({
  consult,
  plan,
  edit,
}: {
  consult: Consult;
  plan: PlanView;
  edit(edit: PlanEdit): Promise<boolean>;
}) {
  const { hair, consultation } = consult.view;
  const choice = <K extends "diameter" | "density" | "porosity" | "condition">(
    label: string,
    field: K,
    options: { value: HairProfile[K]; label: string }[],
  ) => (
    <div className={parts.set}>
      <span>{label}</span>
      <Segmented
        aria-label={label}
        value={hair[field] as string}
        options={options as { value: string; label: string }[]}
        onChange={(v) => consult.setHair({ [field]: v })}
      />
    </div>
  );
  const number = (
    label: string,
    field: string,
    value: number,
    [min, max, step]: [number, number, number],
    set: (v: number) => void,
    unit?: string,
  ) => (
    <Num
      name={label}
      unit={unit}
      min={min}
      max={max}
      step={step}
      value={value}
      error={consult.errors[field]}
      onSet={set}
    />
  );
  const { cut } = hair;
  return (
    <div className={parts.settings} role="group" aria-label="Hair and time">
      {number("Natural level", "naturalLevel", hair.naturalLevel, [1, 10, 0.5], (v) =>
        consult.setHair({ naturalLevel: v }),
      )}
      <Line name="Cut">
        <Segmented
          aria-label="Cut"
          value={cut.evenCm ? "even" : "hem"}
          options={[
            { value: "hem", label: "layered to a line" },
            { value: "even", label: "one length" },
          ]}
          onChange={(v) =>
            consult.setHair({ cut: { ...cut, evenCm: v === "even" ? Math.min(20, cut.hemCm) : null } })
          }
        />
      </Line>
      {cut.evenCm
        ? number(
            "Length pulled straight",
            "cut.evenCm",
            cut.evenCm,
            [3, 60, 1],
            (evenCm) => consult.setHair({ cut: { ...cut, evenCm } }),
            "cm",
          )
        : number(
            "Crown to hem",
            "cut.hemCm",
            cut.hemCm,
            [16, 75, 1],
            (hemCm) => consult.setHair({ cut: { ...cut, hemCm } }),
            "cm",
          )}
      {!cut.evenCm &&
        number(
          "Layers",
          "cut.layersCm",
          cut.layersCm,
          [0, 30, 1],
          (layersCm) => consult.setHair({ cut: { ...cut, layersCm } }),
          "cm",
        )}
      <Num
        name="Fringe"
        unit="cm"
        min={4}
        max={20}
        step={1}
        value={cut.fringeCm ?? null}
        placeholder="none"
        error={consult.errors["cut.fringeCm"]}
        onSet={(fringeCm) => consult.setHair({ cut: { ...cut, fringeCm } })}
        onEmpty={() => consult.setHair({ cut: { ...cut, fringeCm: null } })}
      />
      {choice("Strand", "diameter", [
        { value: "fine", label: "fine" },
        { value: "medium", label: "medium" },
        { value: "coarse", label: "coarse" },
      ])}
      {choice("Density", "density", [
        { value: "low", label: "low" },
        { value: "medium", label: "medium" },
        { value: "high", label: "high" },
      ])}
      {choice("Porosity", "porosity", [
        { value: "low", label: "slowly" },
        { value: "normal", label: "normally" },
        { value: "high", label: "fast" },
      ])}
      {choice("Condition", "condition", [
        { value: "sound", label: "sound" },
        { value: "dry", label: "dry" },
        { value: "breaking", label: "breaking" },
      ])}
      <Line name="Curl">
        <span className={parts.row} role="radiogroup" aria-label="Curl">
          {(Object.keys(curls) as Schemas["Curl"][]).map((c) => (
            <button
              key={c}
              type="button"
              role="radio"
              aria-checked={hair.curl === c}
              aria-label={c}
              className={`${parts.tile} ${css.curl}`}
              onClick={() => consult.setHair({ curl: c })}
            >
              <svg width="24" height="28" viewBox="0 0 24 28" aria-hidden="true">
                <path
                  d={curls[c]}
                  fill="none"
                  stroke="currentColor"
                  strokeWidth="2.4"
                  strokeLinecap="round"
                />
              </svg>
            </button>
          ))}
        </span>
      </Line>
      {number(
        "Grey",
        "greyShare",
        Math.round(hair.greyShare * 100),
        [0, 100, 5],
        (v) => consult.setHair({ greyShare: v / 100 }),
        "%",
      )}
      <ZoneDiffers consult={consult} />
      <Line name="Part">
        <Segmented
          aria-label="Part"
          value={consultation.part ?? undefined}
          options={[
            { value: "alwaysHere", label: "always here" },
            { value: "sometimesMoves", label: "moves" },
            { value: "anywhere", label: "anywhere" },
          ]}
          onChange={(v) => consult.answer({ part: v as Schemas["PartHabit"] })}
        />
      </Line>
      <Line name="Drawn">
        <Segmented
          aria-label="Part drawn"
          value={plan.plan.part.zigzagMm > 0 ? "zigzag" : "straight"}
          options={["straight", "zigzag"]}
          onChange={(v) => edit({ kind: "movePart", ...plan.plan.part, zigzagMm: v === "zigzag" ? 6 : 0 })}
        />
      </Line>
      {consultation.part && consultation.part !== "alwaysHere" && (
        <p className={parts.soft}>Look at “Other part” too: both partings have to work.</p>
      )}
      {number(
        "Time today",
        "minutesToday",
        consultation.minutesToday,
        [30, 600, 15],
        (v) => consult.answer({ minutesToday: v }),
        "min",
      )}
      {number(
        "Between visits",
        "weeksBetween",
        consultation.weeksBetween,
        [2, 52, 1],
        (v) => consult.answer({ weeksBetween: v }),
        "weeks",
      )}
    </div>
  );
}
