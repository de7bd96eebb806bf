import type { PanelView } from "../api/client";
import type { Colours, Hair } from "../api/seen";
import { tokens } from "../style/tokens";

/** What the colours of the head stand for. */
export type Mode = "hair" | "level" | "panel" | "seen" | "toCome";

export const modeWords: Record<Mode, string> = {
  hair: "As hair",
  level: "Level map",
  panel: "Panels",
  seen: "Seen share",
  toCome: "Lift to come",
};

export interface Shown {
  hair: Hair;
  colours: Colours;
  legend: { hex: string; label: string }[];
}

const SHADES = 128;

// Nothing warm but hair: every scale runs from ink over blue and teal to near white.
const ramp = (t: number): [number, number, number] => {
  const stops: [number, number, number][] = [
    [22, 26, 46],
    [38, 66, 120],
    [24, 122, 150],
    [92, 186, 190],
    [214, 240, 240],
  ];
  const x = Math.min(0.9999, Math.max(0, t)) * (stops.length - 1);
  const i = Math.floor(x);
  return stops[i].map((v, c) => v + (stops[i + 1][c] - v) * (x - i)) as [number, number, number];
};

const hexOf = (rgb: [number, number, number]) =>
  `#${rgb.map((v) => Math.round(v).toString(16).padStart(2, "0")).join("")}`;

const linear = (srgb: number) => {
  const c = srgb / 255;
  return c <= 0.04045 ? c / 12.92 : ((c + 0.055) / 1.055) ** 2.4;
};

/** A table of linear light for 256 flat colours under every shade: form stays readable, hue says what. */
function tableOf(of: (index: number) => [number, number, number], colours: Colours): Colours {
  const table = new Uint16Array(256 * SHADES * 3);
  for (let i = 0; i < 256; i++) {
    const light = of(i).map(linear);
    for (let s = 0; s < SHADES; s++) {
      const code = s / (SHADES - 1);
      const shade = 0.35 + 0.65 * Math.min(1.25, code * code * 1.7);
      for (let c = 0; c < 3; c++) {
        table[(i * SHADES + s) * 3 + c] = Math.min(65535, light[c] * shade * 65535);
      }
    }
  }
  return { ...colours, table: () => table, shineGain: 0 };
}

const cool: [number, number, number][] = [
  [32, 74, 128],
  [92, 178, 190],
  [58, 52, 110],
  [150, 196, 226],
  [20, 110, 118],
  [186, 214, 210],
  [84, 110, 170],
  [120, 150, 160],
];

/** The same samples, coloured by something else than hair. Bytes become numbers into a table of flat colours. */
export function showAs(
  mode: Mode,
  hair: Hair,
  rinsed: Hair | undefined,
  panelOf: Int16Array | undefined,
  panels: PanelView[],
  colours: Colours,
): Shown {
  if (mode === "hair" || !panelOf) {
    return { hair, colours, legend: [] };
  }
  if (mode === "level") {
    const step = (byte: number) => Math.floor(1 + (byte * 9) / 255 + 1e-6);
    return {
      hair,
      colours: tableOf((i) => ramp((step(i) - 1) / 9), colours),
      legend: [2, 4, 5, 6, 7, 8, 9, 10].map((l) => ({ hex: hexOf(ramp((l - 1) / 9)), label: String(l) })),
    };
  }
  const bytes = new Uint16Array(hair.length);
  if (mode === "toCome") {
    for (let i = 0; i < bytes.length; i++) {
      bytes[i] = Math.min(255, Math.abs(((rinsed ?? hair)[i] & 255) - (hair[i] & 255)) * 2);
    }
    return {
      hair: bytes,
      colours: tableOf((i) => ramp(i / 255), colours),
      legend: [0, 1, 2, 3, 4].map((l) => ({
        hex: hexOf(ramp((l * 28.3 * 2) / 255)),
        label: l === 4 ? "4+" : String(l),
      })),
    };
  }
  const most = Math.max(0.004, ...panels.map((p) => p.seenShare));
  for (let s = 0; s < panelOf.length; s++) {
    const p = panels[panelOf[s]];
    const value = !p
      ? 0
      : mode === "panel"
        ? 1 + ((p.row * 3 + p.column + p.zone.length) % cool.length)
        : 1 + Math.round((p.seenShare / most) * 254);
    bytes.fill(value, s * 64, s * 64 + 64);
  }
  return mode === "panel"
    ? {
        hair: bytes,
        colours: tableOf((i) => (i === 0 ? [70, 72, 74] : cool[(i - 1) % cool.length]), colours),
        legend: [{ hex: tokens.leftOut, label: "left out" }],
      }
    : {
        hair: bytes,
        colours: tableOf((i) => ramp(i / 255), colours),
        legend: [0, 0.25, 0.5, 0.75, 1].map((t) => ({
          hex: hexOf(ramp(t)),
          label: `${(t * most * 100).toFixed(1)} %`,
        })),
      };
}
