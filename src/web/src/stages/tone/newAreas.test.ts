import { describe, expect, it } from "vitest";
import { newAreas } from "./newAreas";
import type { ToneArea, ToneView } from "./useTone";

const area = (id: number): ToneArea => ({
  id,
  name: "Ends",
  along: { from: 0.6, to: null, inShares: true, edgeCm: 3 },
  bowl: {
    shades: { shades: [{ name: "x", depth: 8, reflect: "pearl", parts: 1 }] } as never,
    base: "gloss",
    volume: 5,
    developerParts: 1,
  },
  minutes: 10,
  zones: ["nape"],
  takes: "odd",
  wanted: { tone: 1, level: null },
});
const tone = (areas: ToneArea[]) =>
  ({ areas: [], plan: { areas, after: "treatThenWash" } }) as unknown as ToneView;

describe("areas that can be added", () => {
  it("start from the last bowl, take a number of their own and nothing else of it", () => {
    const offered = newAreas(tone([area(4), area(2)]));
    expect(offered.length).toBeGreaterThan(5);
    for (const { area: next } of offered) {
      expect(next.id).toBe(5);
      expect(next.bowl).toEqual(area(1).bowl);
      expect(next.wanted).toBeNull();
    }
    expect(offered.find((o) => o.words === "Root")?.area).toMatchObject({ zones: null, takes: "all" });
    expect(offered.find((o) => o.words === "Root")?.area.along).toMatchObject({ to: 4, inShares: false });
  });

  it("are none where nothing is to start from, or no more fit", () => {
    expect(newAreas(tone([]))).toEqual([]);
    expect(newAreas(tone(Array.from({ length: 8 }, (_, i) => area(i + 1))))).toEqual([]);
  });
});
