import { describe, expect, it } from "vitest";
import type { PanelView } from "../api/client";
import type { Colours } from "../api/seen";
import { type Mode, showAs } from "./modes";

const colours = { table: new Uint16Array(256 * 128 * 3), shineGain: 0.26 } as Colours;
const panels = [
  { row: 0, column: 0, zone: "crown", seenShare: 0.02 },
  { row: 0, column: 1, zone: "crown", seenShare: 0.01 },
] as PanelView[];
/** Three strands: two in panels, one left out. */
const panelOf = Int16Array.from([0, 1, -1]);
const levels = new Uint8Array(3 * 64).fill(100);
const rinsed = new Uint8Array(3 * 64).fill(128);
const show = (mode: Mode) => showAs(mode, levels, rinsed, panelOf, panels, colours);
/** The lightest shade of one of the flat colours. */
const flat = (shown: ReturnType<typeof show>, index: number) =>
  Array.from(shown.colours.table.slice((index * 128 + 127) * 3, (index * 128 + 127) * 3 + 3));

describe("what the head's colours stand for", () => {
  it("leaves hair as hair, and everything until panels are known", () => {
    expect(show("hair")).toEqual({ levels, colours, legend: [] });
    expect(showAs("level", levels, rinsed, undefined, panels, colours).levels).toBe(levels);
  });

  it("colours by whole levels: what lies on one level looks the same", () => {
    const shown = show("level");
    expect(shown.levels).toBe(levels);
    expect(flat(shown, 0)).toEqual(flat(shown, 20));
    expect(flat(shown, 0)).not.toEqual(flat(shown, 255));
    expect(shown.legend.map((l) => l.label)).toEqual(["2", "4", "5", "6", "7", "8", "9", "10"]);
    expect(shown.colours.shineGain).toBe(0);
  });

  it("shows the lift to come as a difference, at most all there is room for", () => {
    expect(show("toCome").levels[0]).toBe(56);
    const far = showAs("toCome", new Uint8Array(64), new Uint8Array(64).fill(255), panelOf, panels, colours);
    expect(far.levels[0]).toBe(255);
    expect(show("toCome").legend.at(-1)?.label).toBe("4+");
  });

  it("tells neighbouring panels apart and what is left out from both", () => {
    const { levels: by } = show("panel");
    const [first, second, out] = [by[0], by[64], by[128]];
    expect(new Set([first, second, out]).size).toBe(3);
    expect(out).toBe(0);
    expect(by.slice(0, 64).every((b) => b === first)).toBe(true);
  });

  it("scales the seen share by the panel most seen", () => {
    const shown = show("seen");
    expect([shown.levels[0], shown.levels[64], shown.levels[128]]).toEqual([255, 128, 0]);
    expect(shown.legend[0].label).toBe("0.0 %");
    expect(shown.legend.at(-1)?.label).toBe("2.0 %");
  });
});
