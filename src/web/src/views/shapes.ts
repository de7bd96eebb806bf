import type { PanelPaint, Schemas } from "../api/client";

export type Shape = Schemas["ShapeKind"];

/** Every shape with its name and a drawing on a 28 × 34 tile: light is what is painted. */
export const shapes: { shape: Shape; name: string; d: string }[] = [
  { shape: "v", name: "V", d: "M2 3 L14 20 L26 3 V32 H2Z" },
  { shape: "w", name: "W", d: "M2 3 L8 17 L14 5 L20 17 L26 3 V32 H2Z" },
  { shape: "u", name: "U", d: "M2 3 Q4 20 14 20 Q24 20 26 3 V32 H2Z" },
  { shape: "slant", name: "Slant", d: "M2 4 L26 20 V32 H2Z" },
  { shape: "spined", name: "Spined V", d: "M2 3 L12.6 18 V5 H15.4 V18 L26 3 V32 H2Z" },
  { shape: "sawtooth", name: "Sawtooth", d: "M2 14 L6 4 L10 15 L14 7 L18 15 L22 5 L26 14 V32 H2Z" },
  {
    shape: "staggered",
    name: "Lines",
    d: "M4 4 H6 L8 21 L9 10 H11 L13 21 L13.5 4 H15.5 L17 21 L18 10 H20 L21 21 L23 4 H25 L26 24 V32 H2 V24Z",
  },
  { shape: "full", name: "Full", d: "M2 6 H26 V32 H2Z" },
  { shape: "centre", name: "Centre", d: "M11 5 H17 L19 32 H9Z" },
  { shape: "fold", name: "Fold", d: "M2 6 H26 V18 H2Z" },
  {
    shape: "scrunch",
    name: "Scrunch",
    d:
      "M4 9 h5 v4 h-5Z M14 7 h6 v3 h-6Z M9 16 h7 v4 h-7Z M19 15 h6 v5 h-6Z " +
      "M3 22 h6 v4 h-6Z M12 24 h9 v6 h-9Z M3 29 h7 v3 h-7Z M22 25 h4 v7 h-4Z",
  },
  { shape: "tip", name: "Tip", d: "M2 24 H26 V32 H2Z" },
  { shape: "melt", name: "Melt", d: "M2 2 H26 V12 H2Z M2 14 H26 V15 H2Z M2 17 H26 V32 H2Z" },
  { shape: "reverse", name: "Reverse", d: "M2 2 H26 V12 L20 16 L14 12 L8 16 L2 12Z" },
];

export const shapeName = (shape: Shape | undefined) =>
  shapes.find((s) => s.shape === shape)?.name ?? "Natural";

const counted: Partial<Record<Shape, { name: string; most: number; least: number }>> = {
  spined: { name: "Spines", least: 1, most: 3 },
  sawtooth: { name: "Teeth", least: 2, most: 9 },
  staggered: { name: "Lines", least: 3, most: 9 },
  scrunch: { name: "Passes", least: 1, most: 6 },
};

/** What is counted about a shape. */
export const countOf = (shape: Shape) => counted[shape];
export const hasStrokes = (shape: Shape) => shape === "spined" || shape === "staggered" || shape === "centre";

/** One of the products on a panel, in the order they are laid. */
export function coatOf(paint: PanelPaint | null | undefined, coat: number): PanelPaint | undefined {
  let at = paint ?? undefined;
  for (let i = 0; i < coat && at; i++) {
    at = at.next ?? undefined;
  }
  return at;
}

export const coatsOf = (paint: PanelPaint | null | undefined): PanelPaint[] => {
  const all: PanelPaint[] = [];
  for (let at = paint; at; at = at.next) {
    all.push(at);
  }
  return all;
};
