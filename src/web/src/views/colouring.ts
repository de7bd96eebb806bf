import { type Colours, type Hair, type Seen, SHADES, toLinear, toSrgb } from "../api/seen";

/** What a head is coloured by. */
export interface Colouring {
  hair: Hair;
  colours: Colours;
  panelOf?: Int16Array;
  /** Panels that shine through in the accent colour, to show where they are. */
  lit: ReadonlySet<number>;
  /** How much they do, 0..1. */
  glow: number;
  /** Where along the hair they do: shares of the length. */
  along?: [number, number];
}

const glows = (by: Colouring) => by.glow > 0 && by.lit.size > 0 && by.panelOf !== undefined;

/** Whether two pictures differ by hair alone. */
const differByHair = (by: Colouring, before: Colouring) =>
  before.colours === by.colours && before.hair.length === by.hair.length && !glows(before) && !glows(by);

/** Which strands are another than before; undefined where everything may be. */
function changedStrands(places: number, by: Colouring, before: Colouring | undefined) {
  if (!before || !differByHair(by, before)) {
    return undefined;
  }
  const changed = new Uint8Array(by.hair.length / places);
  for (let strand = 0; strand < changed.length; strand++) {
    const to = (strand + 1) * places;
    for (let i = strand * places; i < to; i++) {
      if (by.hair[i] !== before.hair[i]) {
        changed[strand] = 1;
        break;
      }
    }
  }
  return changed;
}

/**
 * Colours a head by looking up every sample's level and tint. Where the picture shows it as it was `before`, only what
 * changed since is looked up.
 */
export function colourHead(image: ImageData, seen: Seen, by: Colouring, before?: Colouring): void {
  if (before && before.hair === by.hair && differByHair(by, before)) {
    return;
  }
  const changed = changedStrands(seen.places, by, before);
  const glowing = glows(by) ? glowOf(seen, by) : undefined;
  const { counts, grey, strand, place, shade, shine, across, places } = seen;
  const { hair, colours } = by;
  const tables: Uint16Array[] = [];
  const out = image.data;
  const gain = (colours.shineGain * 65535) / 255;
  let s = 0;
  for (let i = 0; i < counts.length; i++) {
    const to = s + counts[i];
    if (changed) {
      let same = true;
      for (let k = s; k < to && same; k++) {
        same = changed[strand[k]] === 0;
      }
      if (same) {
        s = to;
        continue;
      }
    }
    const o = i * 4;
    out[o + 3] = 255;
    if (s === to) {
      out[o] = out[o + 1] = out[o + 2] = grey[i];
      continue;
    }
    let r = 0;
    let g = 0;
    let b = 0;
    for (; s < to; s++) {
      const of = hair[strand[s] * places + place[s]];
      const tint = of >> 8;
      tables[tint] ??= colours.table(tint);
      const table = tables[tint];
      const at = ((of & 255) * SHADES + (shade[s] >> 1)) * 3;
      const white = shine[s] * gain;
      let red = table[at] + white;
      let green = table[at + 1] + white;
      let blue = table[at + 2] + white;
      if (glowing) {
        const glow = glowing(s);
        red += (900 - red) * glow;
        green += (14000 - green) * glow;
        blue += (21000 - blue) * glow;
      }
      r += red;
      g += green;
      b += blue;
    }
    if (counts[i] < across) {
      const light = toLinear[grey[i]];
      r += light;
      g += light;
      b += light;
    }
    out[o] = toSrgb[Math.min(r / across, 65535) >> 4];
    out[o + 1] = toSrgb[Math.min(g / across, 65535) >> 4];
    out[o + 2] = toSrgb[Math.min(b / across, 65535) >> 4];
  }
}

/** How much a sample shines through. */
function glowOf({ places, place, strand }: Seen, { panelOf, lit, glow, along }: Colouring) {
  // A share of the length is 0.62 q² + 0.38 q along the places.
  const placeOf = (share: number) =>
    ((Math.sqrt(0.1444 + 2.48 * Math.max(share, 0)) - 0.38) / 1.24) * (places - 1);
  const [from, to] = along ? [placeOf(along[0]), placeOf(along[1])] : [-1, places];
  return (sample: number) =>
    panelOf && place[sample] >= from && place[sample] <= to && lit.has(panelOf[strand[sample]]) ? glow : 0;
}
