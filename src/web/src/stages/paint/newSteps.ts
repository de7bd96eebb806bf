import type { PlanEdit, PlanView, Schemas } from "../../api/client";

type Formula = Schemas["Formula"];
type Step = Schemas["Step"];

/** What can be added to a visit in one tap; without an edit where no letter is left for its formula. */
export interface NewStep {
  words: string;
  edit: PlanEdit | undefined;
}

/** Cool, neutral or warm as she wishes it. */
const toneOf = (tone: number): Schemas["Reflect"] => (tone < -0.3 ? "pearl" : tone > 0.3 ? "gold" : "beige");

/** The steps that are usual beside painting panels, each with a formula of its own to begin with. */
export function newSteps(plan: PlanView): NewStep[] {
  const { formulas, steps, wish } = plan.plan;
  const free = (["A", "B", "C", "D", "E"] as const).find((id) => !formulas.some((f) => f.id === id));
  const main = Math.max(
    0,
    (steps ?? []).findIndex((s) => !s.area && !s.formula && s.kind !== "treat"),
  );
  const painted = steps?.[main];
  const natural = Math.round(plan.hair.naturalLevel);
  // A gloss much darker than the lightest hair grabs there.
  const lightest = plan.panels.filter((p) => p.paint).map((p) => p.brightestLevel);
  const colour = (made: Partial<Formula>): Formula => ({
    id: free ?? "E",
    lightener: "clay",
    volume: 10,
    minutes: 25,
    depositLevel: natural,
    consistency: "right",
    lightenerParts: 1,
    developerParts: 1.5,
    lowHeat: false,
    heatConfirmed: false,
    ...made,
  });
  const adding = (formula: Formula, step: Partial<Step>, at?: number): PlanEdit | undefined =>
    free && {
      kind: "together",
      edits: [
        { kind: "setFormula", formula },
        {
          kind: "addStep",
          step: { kind: "base", formula: free, rinse: true, damp: false, ...step },
          at: at ?? null,
        },
      ],
    };
  const area = (made: Partial<Schemas["Area"]>) => ({ fromCm: 0, between: false, edgeCm: 1.5, ...made });
  return [
    {
      words: "Root base, then rinse",
      edit: adding(colour({}), { kind: "base", area: area({ toCm: 4 }) }, main),
    },
    {
      words: "Root base between the panels",
      edit: adding(colour({}), { kind: "base", area: area({ toCm: 4, between: true }) }),
    },
    {
      words: "Colour over the lengths",
      edit: adding(colour({}), { kind: "deposit", area: area({ fromCm: 5 }) }, main),
    },
    {
      words: "Gloss over all",
      edit: adding(
        colour({
          base: "gloss",
          depositLevel: Math.min(10, Math.round(Math.max(wish.endsLevel, ...lightest))),
          reflect: toneOf(wish.tone),
          volume: 5,
          minutes: 15,
        }),
        { kind: "gloss", area: area({}) },
      ),
    },
    {
      words: "Lighten again with a formula of its own",
      edit: adding({ ...formulas[0], id: free ?? "E" }, { kind: "lighten" }),
    },
    {
      words: painted?.damp ? "Painted on dry hair" : "Painted on damp hair",
      edit: {
        kind: "setStep",
        number: main,
        step: { ...(painted ?? { kind: "lighten", rinse: true }), damp: !painted?.damp },
      },
    },
    {
      words: "Treatment",
      edit: { kind: "addStep", step: { kind: "treat", minutes: 10, rinse: true, damp: false }, at: null },
    },
  ];
}
