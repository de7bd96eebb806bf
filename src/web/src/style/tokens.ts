/** Every colour of the interface, once: the theme, the styles (as --name) and what is drawn read them here. */
export const tokens = {
  ink: "#1d2325",
  inkSoft: "#566064",
  deep: "#353c3f",
  edge: "#7c8480",
  line: "#c9cac6",
  track: "#dddeda",
  surround: "#e6e6e3",
  /** The very grey that pictures of hair are drawn on. */
  ground: "#e6e6e6",
  well: "#ebebe8",
  panel: "#f1f1ef",
  card: "#fafaf8",
  white: "#ffffff",
  accent: "#0b6a80",
  accentDeep: "#063f4c",
  accentBright: "#1590ab",
  accentMid: "#94b9c2",
  accentSoft: "#d3dfe1",
  good: "#1d6b4a",
  alarm: "#a33a1f",
  caution: "#b07a12",
  leftOut: "#46484a",
  unknown: "#777777",
  hairDark: "#4f392f",
  hairLit: "#af8a65",
  powder: "#cdc6b8",
  cream: "#8d8580",
  developer: "#e0e7ea",
  additive: "#b9c4c1",
} as const;

/** Formulas told apart on the map of what goes where, in the order of their letters. */
export const formulaFills = ["#5f7f88", "#3d4a4e", "#93a7a5", "#6d6f72", "#b3bdbb"];

const dashed = (name: string) => name.replace(/[A-Z]/g, (c) => `-${c.toLowerCase()}`);

/** Gives the styles the tokens as custom properties. */
export function toStyles(root: HTMLElement) {
  for (const [name, value] of Object.entries(tokens)) {
    root.style.setProperty(`--${dashed(name)}`, value);
  }
}
