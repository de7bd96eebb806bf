import type { PanelPaint, PanelView, PlanEdit } from "../api/client";
import { depthLeft, depthWidth, height, left, top, width } from "./stripDrawing";
import { cm, mm } from "./words";

/** Something to take hold of on the strip. */
export interface Handle {
  name: string;
  value: number;
  unit: "cm" | "mm" | "%";
  min: number;
  max: number;
  x: number;
  y: number;
  label: string;
  sideways?: boolean;
  pill?: boolean;
  /** The value stands beside its twin. */
  quiet?: boolean;
  /** The value under a point of the strip. */
  at(x: number, y: number): number;
  edit(value: number): PlanEdit;
}

const round = (v: number, step: number) => Number((Math.round(v / step) * step).toFixed(2));
const between = (v: number, low: number, high: number) => Math.min(high, Math.max(low, v));

/** The handles that a shape has: corners, middle, strokes, where they meet, where it ends, blur and depth. */
export function handlesOf(panel: PanelView, paint: PanelPaint, coat: number, start: number): Handle[] {
  const length = panel.lengthCm;
  const perCm = height / length;
  const panels = [panel.key];
  const y = (s: number) => top + between(s, 0, length) * perCm;
  const sAt = (_: number, py: number) => (py - top) / perCm;
  const shape = paint.shape ?? "v";
  const { dropCm = 0, blurCm = 0, slopeCm = 0, centreU = 0.5, centreCm = 0, mergeCm = 0, bandCm } = paint;
  const handles: Handle[] = [];
  const add = (
    h: Partial<Handle> & Pick<Handle, "name" | "value" | "x" | "edit">,
    min = 0,
    max = Math.min(75, length),
  ) =>
    handles.push({
      unit: "cm",
      min,
      max,
      y: y(h.value),
      label: cm(h.value),
      at: (px, py) => between(sAt(px, py), min, max),
      ...h,
    });
  const heights = (change: Partial<Extract<PlanEdit, { kind?: "setHeights" }>>): PlanEdit =>
    ({ kind: "setHeights", panels, coat, ...change }) as PlanEdit;
  const setStart = (v: number) => heights({ startCm: round(v, 0.1) });
  const corners =
    shape === "v" || shape === "w" || shape === "u" || shape === "spined" || shape === "sawtooth";
  if (corners) {
    add({ name: "Start at the front corner", value: start, x: left, edit: setStart });
    add({
      name: "Start at the back corner",
      value: start + slopeCm,
      x: left + width,
      quiet: slopeCm === 0,
      edit: (v) => heights({ slopeCm: round(between(v - start, -20, 20), 0.1) }),
    });
  } else if (shape === "slant") {
    add({
      name: "Start at the high side",
      value: start,
      x: paint.flip ? left + width : left,
      edit: setStart,
    });
  } else {
    add({
      name: "Start",
      value: start,
      x: left + width * (shape === "centre" ? centreU : 0.5),
      edit: setStart,
    });
  }

  const middle = left + centreU * width;
  const lowest = start + slopeCm * (shape === "slant" ? 1 : centreU) + dropCm;
  const setDrop = (v: number) => heights({ dropCm: round(between(v - (lowest - dropCm), 0, 40), 0.1) });
  if (shape === "v" || shape === "u" || shape === "spined") {
    add({ name: "Lowest point", value: lowest, x: middle, edit: setDrop });
  } else if (shape === "w") {
    add({ name: "Lowest point", value: lowest, x: (left + middle) / 2, edit: setDrop });
  } else if (shape === "slant") {
    add({ name: "Lowest point", value: lowest, x: paint.flip ? left : left + width, edit: setDrop });
  } else if (shape === "sawtooth") {
    add({ name: "Between the teeth", value: lowest, x: left + width / 2, edit: setDrop });
  } else if (shape === "staggered") {
    const value = start + dropCm;
    add({
      name: "Start of the low lines",
      value,
      x: left + (1.5 / (paint.strokes ?? 3)) * width,
      edit: (v) => heights({ dropCm: round(between(v - start, 0, 40), 0.1) }),
    });
  }

  if (shape === "w" || shape === "spined") {
    const from = start + slopeCm * centreU;
    add({
      name: shape === "w" ? "Middle peak" : "Start of the spine",
      value: from + centreCm,
      x: middle,
      edit: (v) => heights({ centreCm: round(between(v - from, 0, 40), 0.1) }),
    });
  }

  if (shape === "staggered" || (mergeCm > 0 && (shape === "centre" || shape === "spined"))) {
    add({
      name: "Held at, strokes meet",
      value: start + mergeCm,
      x: left + width * 0.8,
      label: `held ${cm(start + mergeCm)}`,
      edit: (v) =>
        ({ kind: "setStrokes", panels, coat, mergeCm: round(between(v - start, 0, 60), 0.5) }) as PlanEdit,
    });
  }

  if (bandCm != null) {
    add({
      name: "End of the paint",
      value: start + bandCm,
      x: left + width * 0.25,
      label: `ends ${cm(start + bandCm)}`,
      edit: (v) =>
        ({ kind: "setBand", panels, coat, bandCm: round(between(v - start, 0.5, 75), 0.1) }) as PlanEdit,
    });
  }

  if (corners && shape !== "sawtooth") {
    handles.push({
      name: "Middle",
      value: centreU * 100,
      unit: "%",
      min: 10,
      max: 90,
      x: middle,
      y: top + 2,
      label: "",
      sideways: true,
      quiet: true,
      at: (px) => between(((px - left) / width) * 100, 10, 90),
      edit: (v) => ({ kind: "setStrokes", panels, coat, centreU: round(v / 100, 0.01) }) as PlanEdit,
    });
  }

  const blurFrom =
    shape === "reverse" && bandCm != null
      ? start + bandCm
      : corners || shape === "slant"
        ? Math.max(lowest, start)
        : start;
  const up = shape === "reverse" ? -1 : 1;
  handles.push({
    name: "Blur",
    value: blurCm,
    unit: "cm",
    min: 0,
    max: 12,
    x: left + width / 2,
    y: between(y(blurFrom + up * Math.max(blurCm, 1.4)) + up * 12, top + 14, top + height - 14),
    label: `blur ${Number(blurCm.toFixed(1))}`,
    pill: true,
    at: (px, py) => between(up * (sAt(px, py - up * 12) - blurFrom), 0, 12),
    edit: (v) => ({ kind: "setBlur", panels, coat, blurCm: round(v, 0.1) }),
  });
  for (const share of ["mids", "ends"] as const) {
    const value = (share === "mids" ? paint.midsMm : paint.endsMm) ?? 0;
    const most = Math.min(40, panel.thicknessMm);
    handles.push({
      name: share === "mids" ? "Depth at mid-length" : "Depth at the ends",
      value,
      unit: "mm",
      min: 0,
      max: most,
      x: depthLeft + Math.min(1, value / panel.thicknessMm) * depthWidth,
      y: top + height * (share === "mids" ? 0.5 : 0.985),
      label: mm(value),
      sideways: true,
      at: (px) => between(((px - depthLeft) / depthWidth) * panel.thicknessMm, 0, most),
      edit: (v) => ({
        kind: "setDepth",
        panels,
        coat,
        midsMm: share === "mids" ? round(v, 0.5) : (paint.midsMm ?? 0),
        endsMm: share === "ends" ? round(v, 0.5) : (paint.endsMm ?? 0),
      }),
    });
  }
  return handles;
}
