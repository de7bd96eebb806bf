import { useMutation, useQuery, useQueryClient } from "@tanstack/react-query";
import { App, Button, Modal, Segmented } from "antd";
import { useState } from "react";
import { api, type Schemas } from "../../api/client";
import { fieldsOf, given, Refused } from "../../api/given";
import parts from "../../style/parts.module.css";
import { Choice, Line, Pick, Whether } from "../../views/Choice";
import { Num } from "../../views/Num";
import { lighteners, lightenerWords } from "../../views/words";

type Rules = Schemas["HouseRules"];

/** A figure: field, words, unit, least, most, step. */
type FigureOf<K extends string> = [K, string, string, number, number, number];

type Limits = Required<Schemas["FindingLimits"]>;

/** Thresholds of the second look: field, words, unit, least, most, step. */
const limits: FigureOf<keyof Limits>[] = [
  ["lineSoftness", "A line rises by", "level/cm", 0.3, 5, 0.1],
  ["stripeCm", "Stripes start within", "cm", 0, 5, 0.5],
  ["stripeRun", "Neighbours that make stripes", "", 2, 12, 1],
  ["darkBand", "Dark hairline, above natural", "level", 0.1, 3, 0.1],
  ["lightBehind", "Light behind it by", "level", 0.1, 3, 0.1],
  ["bleedShare", "May bleed from, of the section", "", 0.5, 1, 0.01],
  ["scalpCm", "Off the scalp by", "cm", 0, 3, 0.1],
  ["blockLevels", "A block differs less than", "level", 0, 2, 0.05],
  ["partCm", "Sides of the part within", "cm", 0.2, 6, 0.1],
  ["sideLevels", "Left and right within", "level", 0.05, 2, 0.05],
  ["crownCm", "Crown higher by", "cm", 0, 6, 0.5],
  ["overlapCm", "Overlap on light hair", "cm", 0, 10, 0.5],
  ["babyHairCm", "Baby hair reaches", "cm", 0.1, 2, 0.1],
  ["hiddenMinutes", "Hidden work up to", "min", 0, 60, 1],
  ["regrowthWeeks", "Regrowth may show early by", "wk", 0, 26, 1],
];

type Below = Required<NonNullable<Rules["below"]>>;

/** As above the ridge where nothing else is said. */
const belowOf = ({ below, thicknessMm, widthCm, leaveOutMm }: Rules): Below =>
  below ?? { thicknessMm, widthCm, leaveOutMm };

/** How it is cut below the ridge, coarser than above it: field, words, unit, least, most, step. */
const below: FigureOf<keyof Below>[] = [
  ["thicknessMm", "Thickness below", "mm", 4, 40, 1],
  ["widthCm", "Width below", "cm", 1, 10, 0.5],
  ["leaveOutMm", "Left out below", "mm", 0, 20, 1],
];

type Bench = Required<Schemas["BenchRules"]>;

/** The bench: field, words, unit, least, most, step. */
const bench: FigureOf<keyof Bench>[] = [
  ["waste", "Waste", "", 0, 0.5, 0.01],
  ["leastGrams", "Least that is weighed", "g", 0.1, 5, 0.1],
  ["bowlGrams", "A bowl holds", "g", 20, 1000, 10],
  ["mixingMinutes", "Mixing takes", "min", 0, 10, 0.5],
];

type Floor = Required<Schemas["SalonCapacity"]>;

/** One artist and one basin where nothing else is said. */
const floorOf = (rules: Rules): Floor => ({ pairs: 1, basins: 1, ...rules.floor });

/** How many are seen to at once: field, words, unit, least, most, step. */
const floor: FigureOf<keyof Floor>[] = [
  ["pairs", "Pairs of hands", "", 1, 9, 1],
  ["basins", "Basins", "", 1, 9, 1],
];

/** How this studio usually works: what every fresh plan starts from. */
export function HouseRules() {
  const { message } = App.useApp();
  const cache = useQueryClient();
  const [rules, setRules] = useState<Rules>();
  const { data } = useQuery({
    queryKey: ["rules"],
    queryFn: () => given(api.GET("/api/house-rules")),
  });
  const now = rules ?? data?.rules;
  const change = (by: Partial<Rules>) => now && setRules({ ...now, ...by });
  const keep = useMutation({
    meta: { fields: true },
    mutationFn: (kept: { baseVersion: number; rules: Rules }) =>
      given(api.PUT("/api/house-rules", { body: kept })),
    onSuccess: async () => {
      await cache.invalidateQueries({ queryKey: ["rules"] });
      setRules(undefined);
      message.success("Kept. Plans begun from now on start from these.");
    },
    onError: (e) =>
      e instanceof Refused && e.status === 409 ? cache.invalidateQueries({ queryKey: ["rules"] }) : undefined,
  });
  const errors = fieldsOf(keep.error, /^rules\./);
  const num = (name: string, field: keyof Rules, unit: string, [min, max, step]: [number, number, number]) =>
    now && (
      <Num
        draft
        name={name}
        unit={unit}
        min={min}
        max={max}
        step={step}
        value={now[field] as number}
        error={errors[field]}
        onSet={(v) => change({ [field]: v })}
      />
    );
  return (
    <>
      <Button size="large" disabled={!data} onClick={() => data && setRules(data.rules)}>
        House rules
      </Button>
      <Modal
        title="House rules"
        open={rules !== undefined}
        onCancel={() => setRules(undefined)}
        okText="Keep"
        onOk={() => rules && data && keep.mutate({ baseVersion: data.version, rules })}
        destroyOnHidden
      >
        {now && (
          <div className={parts.newclient} role="group" aria-label="House rules">
            <p className={parts.soft}>What a new plan starts from. Every visit can depart from it.</p>
            {num("Section thickness", "thicknessMm", "mm", [4, 40, 1])}
            {num("Panel width", "widthCm", "cm", [1, 10, 0.5])}
            {num("Left out between", "leaveOutMm", "mm", [0, 20, 1])}
            <Whether name="Bricklay" value={now.bricklay} onChange={(bricklay) => change({ bricklay })} />
            <Figures
              title="Below the ridge"
              of={below}
              values={belowOf(now)}
              error={(field) => errors[`below.${field}`]}
              onSet={(field, v) => change({ below: { ...belowOf(now), [field]: v } })}
            />
            {num("Thickness at the face", "faceThicknessMm", "mm", [4, 40, 1])}
            {num("Width at the face", "faceWidthCm", "cm", [1, 10, 0.5])}
            {num("Left out at the face", "faceLeaveOutMm", "mm", [0, 20, 1])}
            {num("Baby hair left out", "babyHairCm", "cm", [0, 1.5, 0.1])}
            <Pick
              name="Divided by"
              value={now.frame}
              options={[
                ["quadrants", "four quadrants"],
                ["earToEar", "front from back"],
                ["tiers", "three tiers"],
              ]}
              onChange={(frame) => change({ frame })}
            />
            <Whether
              name="Film on lower layers"
              value={now.lowerFilm}
              onChange={(lowerFilm) => change({ lowerFilm })}
            />
            <Pick
              name="Lightener"
              value={now.formula.lightener}
              options={lighteners.map((l) => [l, lightenerWords(l)] as const)}
              onChange={(lightener) => change({ formula: { ...now.formula, lightener } })}
            />
            <Line name="Developer">
              <Segmented
                aria-label="Developer"
                value={now.formula.volume}
                options={[10, 20, 30, 40].map((v) => ({ value: v, label: `${v} vol` }))}
                onChange={(volume) => change({ formula: { ...now.formula, volume: Number(volume) } })}
              />
            </Line>
            <Num
              draft
              name="Processing"
              unit="min"
              min={1}
              max={120}
              step={5}
              value={now.formula.minutes}
              error={errors["formula.minutes"]}
              onSet={(minutes) => change({ formula: { ...now.formula, minutes } })}
            />
            <Choice
              name="Ratio"
              value={String((now.formula.developerParts ?? 1.5) / (now.formula.lightenerParts ?? 1))}
              options={[
                ["1", "1 : 1"],
                ["1.5", "1 : 1.5"],
                ["2", "1 : 2"],
              ]}
              onChange={(d) =>
                change({
                  formula: {
                    ...now.formula,
                    lightenerParts: 1,
                    developerParts: Number(d),
                  },
                })
              }
            />
            <SchoolsPicks
              values={now.schools}
              onSet={(by) => change({ schools: { ...(now.schools as SchoolsOf), ...by } })}
            />
            <Figures
              title="How many are seen to at once"
              of={floor}
              values={floorOf(now)}
              error={(field) => errors[`floor.${field}`]}
              onSet={(field, v) => change({ floor: { ...floorOf(now), [field]: v } })}
            />
            <Figures
              title="How bowls are mixed"
              of={bench}
              values={now.bench}
              error={(field) => errors[`bench.${field}`]}
              onSet={(field, v) => change({ bench: { ...(now.bench as Bench), [field]: v } })}
            />
            <Figures
              title="What counts as wrong"
              of={limits}
              values={now.limits}
              error={(field) => errors[`limits.${field}`]}
              onSet={(field, v) => change({ limits: { ...(now.limits as Limits), [field]: v } })}
            />
          </div>
        )}
      </Modal>
    </>
  );
}

type SchoolsOf = Required<NonNullable<Rules["schools"]>>;

/** Where artists disagree: field, words, the usual way, the other way, what it changes. */
const schools: [keyof SchoolsOf, string, string, string, string][] = [
  [
    "frontFirst",
    "Order",
    "back first, hairline last",
    "front first",
    "Which zones come first in Section, bowls and clock.",
  ],
  [
    "hairlineFrontToBack",
    "Hairline rows",
    "towards the face",
    "from the face back",
    "Which row at the face is painted first.",
  ],
  ["endsOnSurface", "Ends", "worked through", "surface only", "How deep patterns paint the ends: subtler."],
  [
    "undersideNever",
    "Underside",
    "where it is tied back",
    "never",
    "Whether patterns paint nape and hairline from beneath.",
  ],
  [
    "topBrightest",
    "Crown",
    "kept low",
    "highest, brightest",
    "Where patterns begin the crown, and that the second look allows it.",
  ],
  [
    "rinsedOnce",
    "Rinsing",
    "in waves",
    "once, at the end",
    "How fresh plans are put on the clock; each plan can choose.",
  ],
];

/** Where artists disagree, and how this studio does it. */
function SchoolsPicks({
  values,
  onSet,
}: {
  values: SchoolsOf | null | undefined;
  onSet(by: Partial<SchoolsOf>): void;
}) {
  return (
    <details>
      <summary>Where artists disagree</summary>
      {schools.map(([field, name, usual, other, changes]) => (
        <div key={field}>
          <Pick
            name={name}
            value={values?.[field] ? "other" : "usual"}
            options={[
              ["usual", usual],
              ["other", other],
            ]}
            onChange={(v) => onSet({ [field]: v === "other" })}
          />
          <p className={parts.soft}>{changes}</p>
        </div>
      ))}
    </details>
  );
}

/** A sheet of figures that opens. */
function Figures<K extends string>(props: {
  title: string;
  of: FigureOf<K>[];
  values: Partial<Record<K, number>> | null | undefined;
  error(field: K): string | undefined;
  onSet(field: K, value: number): void;
}) {
  const { title, of, values, error, onSet } = props;
  return (
    <details>
      <summary>{title}</summary>
      {of.map(([field, name, unit, min, max, step]) => (
        <Num
          draft
          key={field}
          name={name}
          unit={unit}
          min={min}
          max={max}
          step={step}
          value={values?.[field] ?? null}
          error={error(field)}
          onSet={(v) => onSet(field, v)}
        />
      ))}
    </details>
  );
}
