import type { ToneArea, ToneView } from "./useTone";

const face = ["faceFrameLeft", "faceFrameRight", "fringeLeft", "fringeRight"] as const;

/** Areas that can be added, each with the last area's bowl to start from. */
export function newAreas(tone: Pick<ToneView, "areas" | "plan">): { words: string; area: ToneArea }[] {
  const last = tone.plan.areas.at(-1);
  if (!last || tone.plan.areas.length >= 8) {
    return [];
  }
  const id = Math.max(...tone.plan.areas.map((a) => a.id)) + 1;
  const like = (name: string, change: Partial<ToneArea>): { words: string; area: ToneArea } => ({
    words: name,
    area: {
      ...last,
      zones: null,
      takes: "all",
      wanted: null,
      id,
      name,
      ...change,
    },
  });
  const along = (from: number, to: number | null, inShares: boolean) => ({ from, to, inShares, edgeCm: 3 });
  return [
    like("Root", { along: along(0, 4, false) }),
    like("Middle", { along: along(0.2, 0.6, true) }),
    like("Ends", { along: along(0.6, null, true) }),
    like("Face", { along: along(0.2, null, true), zones: [...face] }),
    like("Pieces only", { along: along(0, null, false), takes: "lightened" }),
    like("Depth beside the pieces", { along: along(0, null, false), takes: "between" }),
    like("Every other section", { along: along(0, null, false), takes: "odd" }),
    like("Sections between", { along: along(0, null, false), takes: "even" }),
    like("All over", { along: along(0, null, false) }),
  ];
}
