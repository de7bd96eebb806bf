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

/** Figures with metric units in the server's words, as this device shows them. */
export function inUnits(text: string, units: Units): string {
  if (units === "metric") {
    return text;
  }
  const plain = text.replace(/g per g\b/g, "for each of the same");
  const steep = plain.replace(
    /(\d+(?:\.\d+)?) level(s?)\/cm/g,
    (_, n: string, many: string) => `${(Number(n) * scales.cm.per).toFixed(1)} level${many}/in`,
  );
  return steep.replace(/(\d+(?:\.\d+)?)( ?)(cm|mm|ml|g)(?![\w²])/g, (_, n: string, _gap, unit: string) => {
    const scale = scales[unit];
    return `${(Number(n) / scale.per).toFixed(scale.digits)} ${scale.us}`;
  });
}
