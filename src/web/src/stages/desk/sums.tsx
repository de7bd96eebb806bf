import { useQuery } from "@tanstack/react-query";
import { Button, Input, Popover } from "antd";
import { useState } from "react";
import { posted } from "../../api/given";
import parts from "../../style/parts.module.css";
import { asWords, Line, Pick, Whether } from "../../views/Choice";
import { Num } from "../../views/Num";
import { quantity, said, type Units, useUnits } from "../../views/units";
import { coverings, lighteners, reflects } from "../../views/words";
import css from "./sums.module.css";

type Value = number | string | boolean | null;
type Values = Record<string, Value>;
// biome-ignore lint/suspicious/noExplicitAny: answers differ from sum to sum; each knows its own
type Answer = any;

type Field =
  | { name: string; key: string; unit?: string; range: [number, number, number] }
  | { name: string; key: string; words: readonly string[] }
  | { name: string; key: string; switch: true }
  | { name: string; key: string; text: true };

export interface SumOf {
  path: string;
  title: string;
  fields: readonly Field[];
  start: Values;
  /** The question as the API takes it. */
  ask?(v: Values): object;
  /** Of two figures the one given last counts; the other follows. */
  either?: true;
  /** The answer in a line. */
  say(a: Answer, units: Units): string;
  also?(a: Answer, units: Units): string[];
}

const g = (value: number, units: Units) => quantity(value, "g", units);
const level = (key: string, name: string): Field => ({ key, name, range: [1, 10, 0.5] });
const grams = (key: string, name: string): Field => ({ key, name, unit: "g", range: [0.1, 5000, 5] });
const byParts = (key: string, name: string): Field => ({ key, name, range: [0.1, 20, 0.5] });
const hair: Field[] = [
  { key: "diameter", name: "Hair", words: ["fine", "medium", "coarse"] },
  { key: "porosity", name: "Porosity", words: ["low", "normal", "high"] },
  { key: "coloured", name: "Coloured", switch: true },
];
const product: Field[] = [
  { key: "lightener", name: "Lightener", words: lighteners },
  { key: "volume", name: "Developer", unit: "vol", range: [5, 40, 5] },
  { key: "covering", name: "Under", words: coverings },
  { key: "lowHeat", name: "Low heat", switch: true },
];
const usual = {
  level: 5,
  diameter: "medium",
  porosity: "normal",
  coloured: false,
  lightener: "clay",
  volume: 30,
  covering: "open",
  lowHeat: false,
};
const numbers = (text: Value) =>
  String(text ?? "")
    .split(/[\s,;]+/)
    .filter(Boolean)
    .map(Number);

export const sums: readonly SumOf[] = [
  {
    path: "developer",
    title: "Developer in between",
    fields: [
      { key: "wantedVolume", name: "Wanted", unit: "vol", range: [5, 40, 1] },
      grams("grams", "How much"),
      { key: "available", name: "Available, vol", text: true },
    ],
    start: { wantedVolume: 25, grams: 60, available: "20 40" },
    ask: (v) => ({ ...v, available: numbers(v.available) }),
    say: (a, units) =>
      a.parts
        .map((p: { volume: number; grams: number }) => `${g(p.grams, units)} of ${p.volume} vol`)
        .join(" + "),
  },
  {
    path: "batch",
    title: "Batch",
    fields: [
      grams("grams", "In all"),
      byParts("lightenerParts", "Parts lightener"),
      byParts("developerParts", "Parts developer"),
    ],
    start: { grams: 90, lightenerParts: 1, developerParts: 1.5 },
    say: (a, units) => `${g(a.lightenerGrams, units)} lightener + ${g(a.developerGrams, units)} developer`,
  },
  {
    path: "scoops",
    title: "Scoops and grams",
    fields: [
      grams("gramsPerScoop", "A scoop of it holds"),
      { key: "scoops", name: "Scoops", range: [0.1, 50, 0.5] },
      byParts("developerParts", "To scoops of developer"),
    ],
    start: { gramsPerScoop: 12, scoops: 2, developerParts: 1 },
    say: (a, units) => `${g(a.grams, units)} of it + ${g(a.developerGrams, units)} developer`,
    also: (a) => [`1 : ${a.ratioByWeight.toFixed(2)} by weight`],
  },
  {
    path: "rescue",
    title: "Rescue a pour",
    fields: [
      byParts("lightenerParts", "Parts lightener"),
      byParts("developerParts", "Parts developer"),
      grams("lightenerGrams", "Lightener in it"),
      grams("developerGrams", "Developer in it"),
      grams("bowlGrams", "The bowl holds"),
    ],
    start: { lightenerParts: 1, developerParts: 1.5, lightenerGrams: 40, developerGrams: 70, bowlGrams: 250 },
    say: (a, units) =>
      a.addDeveloperGrams > 0.05
        ? `add ${g(a.addDeveloperGrams, units)} developer`
        : a.addLightenerGrams > 0.05
          ? `add ${g(a.addLightenerGrams, units)} lightener`
          : "nothing to add",
    also: (a, units) => [
      `${g(a.totalGrams, units)} in all, ${a.fits ? "it fits" : "more than the bowl holds"}; ` +
        `now 1 : ${a.ratioNow.toFixed(2)}`,
    ],
  },
  {
    path: "rinse",
    title: "Fewest rinse waves",
    fields: [{ key: "windows", name: "Windows, min", text: true }],
    start: { windows: "10-20 15-30 40-50" },
    ask: (v) => ({
      windows: String(v.windows)
        .split(/[\s,;]+/)
        .filter(Boolean)
        .map((w) => {
          const [from, to] = w.split("-").map(Number);
          return { from, to: to ?? from };
        }),
    }),
    say: (a) =>
      a.waves.length === 0
        ? "no waves"
        : `${a.waves.length} ${a.waves.length === 1 ? "wave" : "waves"}: minute ${a.waves.join(", ")}`,
  },
  {
    path: "strength",
    title: "% and vol",
    fields: [
      { key: "percent", name: "Peroxide", unit: "%", range: [0, 30, 0.5] },
      { key: "volume", name: "Volume", unit: "vol", range: [0, 100, 5] },
    ],
    either: true,
    start: { percent: 3 },
    say: (a) => `${Number(a.percent.toFixed(2))} % = ${Number(a.volume.toFixed(2))} vol`,
  },
  {
    path: "mass",
    title: "g and oz",
    fields: [
      { key: "ounces", name: "Ounces", range: [0, 4000, 0.5] },
      { key: "grams", name: "Grams", range: [0, 100_000, 5] },
    ],
    either: true,
    start: { ounces: 2 },
    // Both are said, whatever units the page is in.
    say: (a) => `${a.ounces.toFixed(2)} oz = ${a.grams.toFixed(1)} grams`,
    also: (a) => [`${a.developerMillilitres.toFixed(0)} millilitres of developer`],
  },
  {
    path: "regrowth",
    title: "Regrowth and months",
    fields: [
      { key: "cm", name: "Regrowth", unit: "cm", range: [0, 200, 0.5] },
      { key: "months", name: "Months", range: [0, 240, 1] },
    ],
    either: true,
    start: { cm: 3 },
    say: (a, units) => `${a.months.toFixed(1)} months for ${quantity(a.cm, "cm", units)}`,
  },
  {
    path: "lift",
    title: "Level after minutes",
    fields: [
      level("level", "From level"),
      { key: "minutes", name: "After", unit: "min", range: [0, 600, 5] },
      ...product,
      ...hair,
    ],
    start: { ...usual, minutes: 30 },
    say: (a) => `level ${a.level.toFixed(1)}, ${a.undertone}`,
    also: (a) => [
      `gains ${a.gain.toFixed(1)} of at most ${a.cap.toFixed(1)}, dry after ${a.driesAtMinutes.toFixed(0)} min`,
      ...a.cautions,
    ],
  },
  {
    path: "time",
    title: "Time to a level",
    fields: [level("level", "From level"), level("targetLevel", "To level"), ...product, ...hair],
    start: { ...usual, targetLevel: 8 },
    say: (a) =>
      a.reachable ? `${a.minutes.toFixed(0)} min${a.withinLimit ? "" : ", past the leaflet"}` : "never",
    also: (a) => [a.because, ...a.remedies.map((r: { words: string }) => r.words)],
  },
  {
    path: "tone",
    title: "Tone",
    fields: [
      level("level", "Hair level"),
      level("depth", "Toner depth"),
      {
        key: "reflect",
        name: "Reflect",
        words: reflects,
      },
      { key: "porosity", name: "Porosity", words: ["low", "normal", "high"] },
      { key: "dryness", name: "Hair is", words: ["soaked", "damp", "dry"] },
      { key: "minutes", name: "For", unit: "min", range: [0, 600, 5] },
    ],
    start: { level: 9, depth: 8, reflect: "pearl", porosity: "normal", dryness: "damp", minutes: 20 },
    say: (a) => `${Math.round(a.neutralised * 100)} % neutralised, left: ${a.remaining}`,
    also: (a) => [
      `Level ${a.level.toFixed(1)} after it. Raw it is ${a.before}`,
      `${a.hex}: lightness ${a.lightness.toFixed(2)}, chroma ${a.chroma.toFixed(3)}, hue ${a.hue.toFixed(0)}°`,
    ],
  },
  {
    path: "visits",
    title: "How many visits",
    fields: [
      level("level", "Ends today"),
      level("targetLevel", "Wanted"),
      ...hair,
      { key: "weeksBetween", name: "Weeks between", range: [1, 52, 1] },
    ],
    start: {
      level: 4,
      targetLevel: 9,
      diameter: "medium",
      porosity: "normal",
      coloured: false,
      weeksBetween: 8,
    },
    say: (a) =>
      a.visits.length === 0 ? "none" : `${a.visits.length}${a.reached ? "" : ", and still not there"}`,
    also: (a) =>
      a.visits.map(
        (v: { number: number; from: number; level: number; halfWidth: number; with: string }) =>
          `${v.number}: ${v.from.toFixed(1)} → ${v.level.toFixed(1)} ± ${v.halfWidth.toFixed(1)}, ${v.with}`,
      ),
  },
];

const round = (v: number | undefined) => (v === undefined ? null : Number(v.toFixed(3)));

/** One sum: its figures, its answer at once, and how that came about. */
export function Sum({ sum }: { sum: SumOf }) {
  const [values, setValues] = useState<Values>(sum.start);
  const units = useUnits();
  const set = (key: string, value: Value) =>
    setValues(sum.either ? { [key]: value } : { ...values, [key]: value });
  const { data, error } = useQuery<Answer>({
    queryKey: ["desk", sum.path, values],
    placeholderData: (p: Answer) => p,
    retry: false,
    queryFn: async ({ signal }) =>
      (await posted(`/api/desk/${sum.path}`, sum.ask ? sum.ask(values) : values, signal)).json(),
  });
  return (
    <section className={css.sum} aria-label={sum.title}>
      <h2>
        {sum.title}
        {data && (
          <Popover trigger="click" content={<p className={parts.why}>{said(data.whyParts, units)}</p>}>
            <Button type="text">Why</Button>
          </Popover>
        )}
      </h2>
      <div role="status">
        {error ? (
          <p role="alert">{error.message}</p>
        ) : data ? (
          <>
            <p className={parts.result}>
              {sum.say(data, units)}
              {data.hex && <i style={{ background: data.hex }} />}
            </p>
            {sum.also?.(data, units).map((w) => (
              <p key={w} className={parts.soft}>
                {w}
              </p>
            ))}
          </>
        ) : null}
      </div>
      <div className={css.fields}>
        {sum.fields.map((f) =>
          "range" in f ? (
            <Num
              key={f.key}
              name={f.name}
              unit={f.unit}
              min={f.range[0]}
              max={f.range[1]}
              step={f.range[2]}
              value={(values[f.key] ?? (sum.either ? round(data?.[f.key]) : null)) as number | null}
              onSet={(v) => set(f.key, v)}
            />
          ) : "words" in f ? (
            <Pick
              key={f.key}
              name={f.name}
              value={values[f.key] as string}
              options={asWords(f.words)}
              onChange={(v) => set(f.key, v)}
            />
          ) : "switch" in f ? (
            <Whether
              key={f.key}
              name={f.name}
              value={values[f.key] as boolean}
              onChange={(v) => set(f.key, v)}
            />
          ) : (
            <Line key={f.key} name={f.name}>
              <Input
                aria-label={f.name}
                value={values[f.key] as string}
                onChange={(e) => set(f.key, e.target.value)}
              />
            </Line>
          ),
        )}
      </div>
    </section>
  );
}
