import type { HairProfile, Schemas, Wear, Zone } from "../api/client";
import { quantity, unitsNow } from "./units";

const zones: Record<Zone, string> = {
  nape: "Nape",
  lowerBack: "Lower back",
  upperBack: "Upper back",
  crown: "Crown",
  sideLeft: "Left side",
  sideRight: "Right side",
  topLeft: "Top left",
  topRight: "Top right",
  fringeLeft: "Fringe left",
  fringeRight: "Fringe right",
  faceFrameLeft: "Face frame left",
  faceFrameRight: "Face frame right",
};

export const zoneWords = (zone: Zone) => zones[zone];
export const allZones = Object.keys(zones) as Zone[];

export const wearWords: Record<Wear, string> = {
  down: "Down",
  otherPart: "Other part",
  tiedHigh: "Tied high",
  tiedLow: "Tied low",
  halfUp: "Half up",
  tucked: "Tucked",
  sweptBack: "Swept back",
  wet: "Wet",
};

/** The ways a client can wear her hair; wet it only is for a while. */
export const wornWays = (Object.keys(wearWords) as Wear[]).filter((w) => w !== "wet");

/** A length as this device shows it; read while drawing, so that a change of units is seen with the next. */
export const cm = (value: number) => quantity(value, "cm", unitsNow());

/** The same of what is measured in millimetres. */
export const mm = (value: number) => quantity(value, "mm", unitsNow());

export const stepKindWords: Record<Schemas["StepKind"], string> = {
  base: "Base",
  lighten: "Lighten",
  deposit: "Colour",
  gloss: "Gloss",
  treat: "Treat",
};

/** Where a step is laid: "root to 4 cm", "all lengths". */
export const areaWords = (area: Schemas["Area"]) =>
  (area.fromCm > 0
    ? area.toCm == null
      ? `from ${cm(area.fromCm)} to the ends`
      : `${cm(area.fromCm)} to ${cm(area.toCm)}`
    : area.toCm == null
      ? "all lengths"
      : `root to ${cm(area.toCm)}`) + (area.between ? ", between the panels" : "");

// Each list below has a word for every value the API knows: where one is added there, this does not compile.
const reflectWords = {
  natural: "natural",
  ash: "ash",
  matte: "matte",
  violet: "violet",
  pearl: "pearl",
  beige: "beige",
  gold: "gold",
  copper: "copper",
  red: "red",
} satisfies Record<Schemas["Reflect"], string>;
export const reflects = Object.keys(reflectWords) as Schemas["Reflect"][];

const lightenerNames = {
  clay: "clay",
  powder: "powder",
  cream: "cream",
  half: "half clay, half powder",
} satisfies Record<Schemas["Lightener"], string>;
export const lighteners = Object.keys(lightenerNames) as Schemas["Lightener"][];
export const lightenerWords = (l: Schemas["Lightener"]) => lightenerNames[l];

const coveringNames = {
  open: "open",
  mesh: "mesh",
  film: "film",
  foil: "foil",
} satisfies Record<Schemas["Covering"], string>;
export const coverings = Object.keys(coveringNames) as Schemas["Covering"][];

/** A formula in a few words: "A · clay, 30 vol". */
export const formulaWords = (f: Schemas["Formula"]) =>
  `${f.id} · ${f.depositLevel != null ? colourWords(f) : lightenerWords(f.lightener)}, ${f.volume} vol`;

const colourWords = (f: Schemas["Formula"]) =>
  [
    { demi: "deposit", gloss: "gloss", permanent: "permanent" }[f.base ?? "demi"],
    f.depositLevel,
    f.reflect && f.reflect !== "natural" ? f.reflect : "",
  ]
    .filter(Boolean)
    .join(" ");

export function hairWords(hair: HairProfile): string {
  const longest = longestCm(hair);
  const length = hair.cut.evenCm
    ? "one length all over"
    : longest < 25
      ? "bob"
      : longest < 40
        ? "shoulder length"
        : "long";
  return [
    `Natural ${hair.naturalLevel.toFixed(1)}`,
    hair.diameter,
    `${hair.density} density`,
    hair.curl,
    `${length} (${cm(longest)})`,
  ].join(", ");
}

/** Length of the longest hair, pulled straight, cm. */
export const longestCm = (hair: HairProfile) => hair.cut.evenCm ?? hair.cut.hemCm;

/** With a capital letter, to begin a sentence. */
export const capital = (words: string) => words[0].toUpperCase() + words.slice(1);

/** Words on lines of so many letters, where they fit; a word that is longer has a line of its own. */
export function linesOf(letters: number, words: string): string[] {
  const lines: string[] = [];
  for (const word of words.split(" ")) {
    const longer = `${lines.at(-1)} ${word}`;
    if (lines.length > 0 && longer.length <= letters) {
      lines[lines.length - 1] = longer;
    } else {
      lines.push(word);
    }
  }
  return lines;
}
