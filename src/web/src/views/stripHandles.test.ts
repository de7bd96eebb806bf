import { describe, expect, it } from "vitest";
import type { PanelPaint, PanelView, PlanEdit } from "../api/client";
import { depthLeft, depthWidth, height, left, top, width } from "./stripDrawing";
import { type Handle, handlesOf } from "./stripHandles";

const panel = { key: "crown/0/0", lengthCm: 40, thicknessMm: 10 } as PanelView;
const paint = (change: Partial<PanelPaint>): PanelPaint =>
  ({
    shape: "v",
    startCm: 8,
    dropCm: 6,
    blurCm: 4,
    midsMm: 5,
    endsMm: 8,
    slopeCm: 0,
    centreU: 0.5,
    centreCm: 0,
    strokes: 3,
    mergeCm: 0,
    bandCm: null,
    ...change,
  }) as PanelPaint;
const names = (change: Partial<PanelPaint>) => handlesOf(panel, paint(change), 0, 8).map((h) => h.name);
const one = (name: string, change: Partial<PanelPaint> = {}, coat = 0): Handle => {
  const found = handlesOf(panel, paint(change), coat, 8).find((h) => h.name === name);
  if (!found) {
    throw new Error(`no handle ${name}`);
  }
  return found;
};
const shapes: PanelPaint["shape"][] = [
  "v",
  "w",
  "u",
  "slant",
  "spined",
  "sawtooth",
  "staggered",
  "full",
  "centre",
  "fold",
  "scrunch",
  "tip",
  "reverse",
];

describe("handles on the strip", () => {
  it("gives every shape a start, a blur and two depths, each name once", () => {
    for (const shape of shapes) {
      const all = names({ shape });
      expect(all.filter((n) => n.startsWith("Start")).length, shape).toBeGreaterThan(0);
      expect(all).toEqual(expect.arrayContaining(["Blur", "Depth at mid-length", "Depth at the ends"]));
      expect(new Set(all).size, shape).toBe(all.length);
    }
  });

  it("gives a shape only the handles it is made of", () => {
    expect(names({ shape: "full" })).not.toContain("Lowest point");
    expect(names({ shape: "v" })).toContain("Lowest point");
    expect(names({ shape: "w" })).toContain("Middle peak");
    expect(names({ shape: "spined" })).toContain("Start of the spine");
    expect(names({ shape: "sawtooth" })).toContain("Between the teeth");
    expect(names({ shape: "staggered" })).toEqual(
      expect.arrayContaining(["Start of the low lines", "Held at, strokes meet"]),
    );
    expect(names({ shape: "centre" })).not.toContain("Held at, strokes meet");
    expect(names({ shape: "centre", mergeCm: 5 })).toContain("Held at, strokes meet");
    expect(names({ shape: "v", bandCm: 10 })).toContain("End of the paint");
    expect(names({ shape: "v" })).not.toContain("End of the paint");
  });

  it("keeps every handle on the strip, whatever is painted", () => {
    for (const shape of shapes) {
      for (const start of [0, 8, 39, 60]) {
        for (const h of handlesOf(panel, paint({ shape, dropCm: 40, bandCm: 75, mergeCm: 60 }), 0, start)) {
          expect(h.y, `${shape} ${h.name}`).toBeGreaterThanOrEqual(top - 1);
          expect(h.y, `${shape} ${h.name}`).toBeLessThanOrEqual(top + height + 1);
          expect(h.x).toBeGreaterThanOrEqual(0);
          expect(h.at(-1000, -1000)).toBeGreaterThanOrEqual(h.min);
          expect(h.at(5000, 5000)).toBeLessThanOrEqual(h.max);
        }
      }
    }
  });

  it("reads its own place as its own value", () => {
    for (const name of ["Start at the front corner", "Lowest point"]) {
      const h = one(name);
      expect(h.at(h.x, h.y)).toBeCloseTo(h.value, 6);
    }
    const middle = one("Middle", { centreU: 0.3 });
    expect(middle.value).toBeCloseTo(30);
    expect(middle.at(left + 0.3 * width, 0)).toBeCloseTo(30, 6);
    const mids = one("Depth at mid-length");
    expect(mids.at(depthLeft + 0.5 * depthWidth, 0)).toBeCloseTo(5, 6);
  });

  it("sends one edit for its panel and its product", () => {
    const sent = (name: string, value: number, change: Partial<PanelPaint> = {}): PlanEdit =>
      one(name, change, 1).edit(value);
    const of = { panels: ["crown/0/0"], coat: 1 };
    expect(sent("Start at the front corner", 9.04)).toEqual({ kind: "setHeights", ...of, startCm: 9 });
    expect(sent("Start at the back corner", 11)).toEqual({ kind: "setHeights", ...of, slopeCm: 3 });
    expect(sent("Lowest point", 17)).toEqual({ kind: "setHeights", ...of, dropCm: 9 });
    expect(sent("Lowest point", 2)).toEqual({ kind: "setHeights", ...of, dropCm: 0 });
    expect(sent("Middle peak", 10, { shape: "w" })).toEqual({ kind: "setHeights", ...of, centreCm: 2 });
    expect(sent("Middle", 40)).toEqual({ kind: "setStrokes", ...of, centreU: 0.4 });
    expect(sent("Blur", 5.26)).toEqual({ kind: "setBlur", ...of, blurCm: 5.3 });
    expect(sent("End of the paint", 20, { bandCm: 6 })).toEqual({ kind: "setBand", ...of, bandCm: 12 });
    expect(sent("Depth at the ends", 6.2)).toEqual({ kind: "setDepth", ...of, midsMm: 5, endsMm: 6 });
    expect(sent("Held at, strokes meet", 20.2, { shape: "staggered" })).toEqual({
      kind: "setStrokes",
      ...of,
      mergeCm: 12,
    });
  });

  it("puts a slant's high and low side where it runs to", () => {
    expect(one("Start at the high side", { shape: "slant" }).x).toBe(left);
    expect(one("Start at the high side", { shape: "slant", flip: true }).x).toBe(left + width);
    expect(one("Lowest point", { shape: "slant", flip: true }).x).toBe(left);
  });
});
