import { describe, expect, it } from "vitest";
import type { PlanView } from "../../api/client";
import { newSteps } from "./newSteps";

const plan = (ids: string[], steps: object[] | null = null, tone = 0) =>
  ({
    hair: { naturalLevel: 4.6 },
    panels: [
      { paint: {}, brightestLevel: 8.2 },
      { paint: null, brightestLevel: 9.9 },
    ],
    plan: { formulas: ids.map((id) => ({ id, minutes: 40 })), steps, wish: { endsLevel: 7, tone } },
  }) as unknown as PlanView;
const editOf = (p: PlanView, words: string) =>
  // biome-ignore lint/suspicious/noExplicitAny: edits differ; each test knows its own
  newSteps(p).find((s) => s.words === words)?.edit as any;

describe("steps that are one tap away", () => {
  it("brings each step with a formula of its own, at the next free letter", () => {
    const edit = editOf(plan(["A", "C"]), "Root base, then rinse");
    expect(edit.edits[0].formula).toMatchObject({ id: "B", depositLevel: 5 });
    expect(edit.edits[1]).toMatchObject({ kind: "addStep", at: 0, step: { kind: "base", formula: "B" } });
    expect(edit.edits[1].step.area.toCm).toBe(4);
  });

  it("puts what comes first before the panels' own step, and a gloss last", () => {
    const two = plan(
      ["A", "B"],
      [
        { kind: "treat", minutes: 5, rinse: true },
        { kind: "lighten", rinse: true },
      ],
    );
    expect(editOf(two, "Colour over the lengths").edits[1].at).toBe(1);
    expect(editOf(two, "Gloss over all").edits[1].at).toBeNull();
  });

  it("glosses at the lightest hair's level, in the wished tone", () => {
    const reflectOf = (tone: number) =>
      editOf(plan(["A"], null, tone), "Gloss over all").edits[0].formula.reflect;
    expect([reflectOf(-1), reflectOf(0), reflectOf(1)]).toEqual(["pearl", "beige", "gold"]);
    expect(editOf(plan(["A"]), "Gloss over all").edits[0].formula.depositLevel).toBe(8);
  });

  it("offers nothing that needs a letter where none is left, but a treatment still", () => {
    const full = plan(["A", "B", "C", "D", "E"]);
    expect(editOf(full, "Gloss over all")).toBeUndefined();
    expect(editOf(full, "Treatment").step).toMatchObject({ kind: "treat", minutes: 10 });
  });

  it("says whether the panels are painted on damp hair", () => {
    expect(editOf(plan(["A"]), "Painted on damp hair").step.damp).toBe(true);
    const damp = plan(["A"], [{ kind: "lighten", rinse: true, damp: true }]);
    expect(editOf(damp, "Painted on dry hair")).toMatchObject({ number: 0, step: { damp: false } });
  });
});
