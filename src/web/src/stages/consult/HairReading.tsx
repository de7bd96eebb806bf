import { InputNumber, Segmented } from "antd";
import type { HairProfile, Schemas } from "../../api/client";
import type { Consult } from "./useConsult";

const curls: Record<Schemas["Curl"], string> = {
  straight: "M12 3v22",
  wavy: "M12 3q6 5 0 11t0 11",
  curly: "M12 3q8 3 2 7-7 3 0 7 6 3 0 8",
  coily: "M12 3q7 1 3 4-7 1-1 5 6 1 0 4-6 1 0 5 4 1 0 4",
};

/** What is read off the hair, with pictures and few choices. */
export function HairReading({ consult }: { consult: Consult }) {
  const { hair, consultation } = consult.view;
  const choice = <K extends "diameter" | "density" | "porosity" | "condition">(
    label: string,
    field: K,
    options: { value: HairProfile[K]; label: string }[],
  ) => (
    <div className="set">
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
    suffix?: string,
  ) => (
    <label className="set">
      <span>
        {label}
        {consult.errors[field] && <small role="alert">{consult.errors[field]}</small>}
      </span>
      <InputNumber
        aria-label={label}
        mode="spinner"
        min={min}
        max={max}
        step={step}
        value={value}
        suffix={suffix}
        status={consult.errors[field] ? "error" : undefined}
        changeOnBlur
        onChange={(v) => v !== null && set(v)}
      />
    </label>
  );
  return (
    <div className="settings" role="group" aria-label="Her hair and time">
      {number("Natural level", "naturalLevel", hair.naturalLevel, [1, 10, 0.5], (v) =>
        consult.setHair({ naturalLevel: v }),
      )}
      {number(
        "Crown to hem",
        "cut.hemCm",
        hair.cut.hemCm,
        [16, 75, 1],
        (v) => consult.setHair({ cut: { ...hair.cut, hemCm: v } }),
        "cm",
      )}
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
      {choice("Takes up", "porosity", [
        { value: "low", label: "slowly" },
        { value: "normal", label: "normally" },
        { value: "high", label: "fast" },
      ])}
      {choice("Condition", "condition", [
        { value: "sound", label: "sound" },
        { value: "dry", label: "dry" },
        { value: "breaking", label: "breaking" },
      ])}
      <div className="set">
        <span>Curl</span>
        <span className="row" role="radiogroup" aria-label="Curl">
          {(Object.keys(curls) as Schemas["Curl"][]).map((c) => (
            <button
              key={c}
              type="button"
              role="radio"
              aria-checked={hair.curl === c}
              aria-label={c}
              className="tile curl"
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
      </div>
      {(hair.curl === "curly" || hair.curl === "coily") && (
        <p className="soft">Her head is drawn with waves; tighter curls are not drawn yet.</p>
      )}
      {number(
        "Grey",
        "greyShare",
        Math.round(hair.greyShare * 100),
        [0, 100, 5],
        (v) => consult.setHair({ greyShare: v / 100 }),
        "%",
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
