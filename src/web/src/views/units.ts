import { useSyncExternalStore } from "react";

export type Units = "metric" | "us";

const key = "wendro.units";
const heard = new Set<() => void>();

const read = (): Units => {
  try {
    return localStorage.getItem(key) === "us" ? "us" : "metric";
  } catch {
    return "metric";
  }
};
let now = read();

export function setUnits(units: Units) {
  now = units;
  try {
    localStorage.setItem(key, units);
  } catch {
    // Not kept on this device then; it holds until the page is closed.
  }
  for (const tell of heard) {
    tell();
  }
}

/** Units this device shows now. */
export const unitsNow = (): Units => now;

/** Units this device shows: what is stored stays metric. */
export function useUnits(): Units {
  return useSyncExternalStore(
    (tell) => {
      heard.add(tell);
      return () => heard.delete(tell);
    },
    () => now,
  );
}

interface Scale {
  /** The unit in the other system. */
  us: string;
  /** How many of the metric unit one of these is. */
  per: number;
  digits: number;
}

const scales: Record<string, Scale> = {
  g: { us: "oz", per: 28.349523125, digits: 2 },
  ml: { us: "fl oz", per: 29.5735295625, digits: 2 },
  cm: { us: "in", per: 2.54, digits: 2 },
  mm: { us: "in", per: 25.4, digits: 2 },
};

/** How a metric unit is shown: its name, and a factor. */
export const shownAs = (unit: string | undefined, units: Units) =>
  units === "us" && unit && scales[unit] ? scales[unit] : undefined;

/** A figure with its unit, as this device shows it. */
export function quantity(value: number, unit: string, units: Units, digits = 1): string {
  const scale = shownAs(unit, units);
  return scale
    ? `${(value / scale.per).toFixed(scale.digits)} ${scale.us}`
    : `${Number(value.toFixed(digits))} ${unit}`;
}

/** A piece of what the server says: words, or a quantity as it is written in metric units. */
export interface Piece {
  text: string;
  value?: number | null;
  unit?: string | null;
}

/** A sentence of the server as this device shows it: its quantities in the units chosen. */
export const said = (pieces: readonly Piece[] | null | undefined, units: Units): string =>
  (pieces ?? [])
    .map((p) => {
      if (units === "metric" || p.value == null || !p.unit) {
        return p.text;
      }
      return p.unit === "level/cm"
        ? `${(p.value * scales.cm.per).toFixed(1)} levels an in`
        : quantity(p.value, p.unit, units);
    })
    .join("");

/** A rise of the level along the hair, as this device shows it. */
export const rise = (perCm: number, units: Units): string =>
  units === "us" ? `${(perCm * scales.cm.per).toFixed(1)} /in` : `${perCm.toFixed(1)} /cm`;
