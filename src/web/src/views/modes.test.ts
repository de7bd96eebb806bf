import { describe, expect, it } from "vitest";
import type { PanelView } from "../api/client";
import type { Colours } from "../api/seen";
import { type Mode, showAs } from "./modes";

const colours = { table: () => new Uint16Array(256 * 128 * 3), shineGain: 0.26 } as unknown as Colours;
const panels = [
  { row: 0, column: 0, zone: "crown", seenShare: 0.02 },
  { row: 0, column: 1, zone: "crown", seenShare: 0.01 },
] as PanelView[];
/** Three strands: two in panels, one left out. */
const panelOf = Int16Array.from([0, 1, -1]);
/** Level 100 as it grew; level 128 lifted. */
const hair = new Uint16Array(3 * 64).fill(100);
const rinsed = new Uint16Array(3 * 64).fill(128 | (9 << 8));
const show = (mode: Mode) => showAs(mode, hair, rinsed, panelOf, panels, colours);
/** The lightest shade of one of the flat colours. */
const flat = (shown: ReturnType<typeof show>, index: number) =>
  Array.from(shown.colours.table(0).slice((index * 128 + 127) * 3, (index * 128 + 127) * 3 + 3));

describe("what the head's colours stand for", () => {
  it("leaves hair as hair, and everything until panels are known", () => {
    expect(show("hair")).toEqual({ hair, colours, legend: [] });
    expect(showAs("level", hair, rinsed, undefined, panels, colours).hair).toBe(hair);
  });

  it("colours by whole levels: what lies on one level looks the same", () => {
    const shown = show("level");
    expect(shown.hair).toBe(hair);
    expect(flat(shown, 0)).toEqual(flat(shown, 20));
    expect(flat(shown, 0)).not.toEqual(flat(shown, 255));
    expect(shown.legend.map((l) => l.label)).toEqual(["2", "4", "5", "6", "7", "8", "9", "10"]);
    expect(shown.colours.shineGain).toBe(0);
  });

  it("shows the lift to come as a difference, at most all there is room for", () => {
    expect(show("toCome").hair[0]).toBe(56);
    const far = showAs(
      "toCome",
      new Uint16Array(64),
      new Uint16Array(64).fill(255),
      panelOf,
      panels,
      colours,
    );
    expect(far.hair[0]).toBe(255);
    expect(show("toCome").legend.at(-1)?.label).toBe("4+");
  });

  it("tells neighbouring panels apart and what is left out from both", () => {
    const { hair: by } = show("panel");
    const [first, second, out] = [by[0], by[64], by[128]];
    expect(new Set([first, second, out]).size).toBe(3);
    expect(out).toBe(0);
    expect(by.slice(0, 64).every((b) => b === first)).toBe(true);
  });

  it("scales the seen share by the panel most seen", () => {
    const shown = show("seen");
    expect([shown.hair[0], shown.hair[64], shown.hair[128]]).toEqual([255, 128, 0]);
    expect(shown.legend[0].label).toBe("0.0 %");
    expect(shown.legend.at(-1)?.label).toBe("2.0 %");
  });
});
