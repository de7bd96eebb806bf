import { api, type Wear } from "./client";
import { bytes, given } from "./given";

/** What is seen from one side: see docs/formats/seen.md. */
export interface Seen {
  width: number;
  height: number;
  across: number;
  places: number;
  counts: Uint8Array;
  grey: Uint8Array;
  strand: Uint16Array;
  place: Uint8Array;
  shade: Uint8Array;
  shine: Uint8Array;
}

/** What every strand is at its 64 places: level in the low byte, tint in the high one. */
export type Hair = Uint16Array;

/** The colour of hair by level and tint: raw, or toned as wished. */
export interface Colours {
  /** Linear light under every shade by level byte, 256 × 128 × 3, of one tint. */
  table(tint: number): Uint16Array;
  /** #rrggbb in even light. */
  hex(levelByte: number, tint: number): string;
  /** Natural hair, a tenth of a level apart. */
  levels: string[];
  shineGain: number;
}

export const SHADES = 128;
export const toLinear = Uint16Array.from({ length: 256 }, (_, i) => {
  const c = i / 255;
  return Math.round(65535 * (c <= 0.04045 ? c / 12.92 : ((c + 0.055) / 1.055) ** 2.4));
});
export const toSrgb = Uint8Array.from({ length: 4096 }, (_, i) => {
  const v = i / 4095;
  return Math.round(255 * (v <= 0.0031308 ? v * 12.92 : 1.055 * v ** (1 / 2.4) - 0.055));
});

export function readSeen(buffer: ArrayBuffer): Seen {
  const head = new DataView(buffer);
  if (head.getUint32(0) !== 0x5753454e || head.getUint16(4, true) !== 1) {
    throw new Error("The picture's data is of another version. Load the page again.");
  }
  const width = head.getUint16(6, true);
  const height = head.getUint16(8, true);
  const samples = head.getUint32(20, true);
  let at = 24;
  const take = (n: number) => {
    at += n;
    return new Uint8Array(buffer, at - n, n);
  };
  const counts = take(width * height);
  const grey = take(width * height);
  const strand = new Uint16Array(buffer.slice(at, at + samples * 2));
  at += samples * 2;
  return {
    width,
    height,
    across: head.getUint8(10),
    places: head.getUint8(11),
    counts,
    grey,
    strand,
    place: take(samples),
    shade: take(samples),
    shine: take(samples),
  };
}

/** The colours of hair: raw, or with a tone −1 cool .. 1 warm as wished after toning. */
export async function fetchColours(tone?: number): Promise<Colours> {
  const [tints, named] = await Promise.all([
    bytes(`/api/colours/tints${tone === undefined ? "" : `?tone=${tone}`}`),
    given(api.GET("/api/colours")),
  ]);
  return coloursOf(new Uint16Array(tints), named);
}

/** Colours out of linear light by tint and level, and what shade makes of it. A tint is shaded when first seen. */
export function coloursOf(
  tints: Uint16Array,
  named: {
    levels: string[];
    shineGain: number;
    red: number[];
    green: number[];
    blue: number[];
    knee: number;
  },
): Colours {
  const tables: Uint16Array[] = [];
  const curves = [named.red, named.green, named.blue];
  const shaded = (tint: number) => {
    const table = new Uint16Array(256 * SHADES * 3);
    for (let l = 0; l < 256; l++) {
      for (let c = 0; c < 3; c++) {
        const light = tints[(tint * 256 + l) * 3 + c] / 65535;
        for (let s = 0; s < SHADES; s++) {
          const lit = light * curves[c][s];
          table[(l * SHADES + s) * 3 + c] = Math.min(65535, (lit / (1 + named.knee * lit)) * 65535);
        }
      }
    }
    return table;
  };
  return {
    table: (tint) => {
      tables[tint] ??= shaded(tint);
      return tables[tint];
    },
    hex: (level, tint) => {
      const at = (tint * 256 + level) * 3;
      return `#${[0, 1, 2].map((c) => toSrgb[tints[at + c] >> 4].toString(16).padStart(2, "0")).join("")}`;
    },
    levels: named.levels,
    shineGain: named.shineGain,
  };
}

/** Level bytes and tint bytes by turns, as they travel. */
export const readHair = (buffer: ArrayBuffer): Hair => new Uint16Array(buffer);

/** How the head is looked at. */
export interface Look {
  wear: Wear;
  angle: number;
  tilt: number;
  /** How much closer, and where: 24ths of the whole picture. */
  closer?: { steps: number; across: number; down: number };
  /** What is clipped up, as the address says it. */
  pinned?: string;
}

export async function fetchSeen(visit: string, look: Look, signal?: AbortSignal): Promise<Seen> {
  const { wear, angle, tilt, closer, pinned } = look;
  const near =
    closer && closer.steps > 0 ? `&closer=${closer.steps}&across=${closer.across}&down=${closer.down}` : "";
  return readSeen(
    await bytes(
      `/api/visits/${visit}/seen?wear=${wear}&angle=${angle}&tilt=${tilt}${near}${pinned ? `&${pinned}` : ""}`,
      signal,
    ),
  );
}

/** The strand seen at a pixel, or −1 where there is no hair. */
export function strandAt(seen: Seen, x: number, y: number): number {
  const pixel = y * seen.width + x;
  if (x < 0 || y < 0 || x >= seen.width || y >= seen.height || seen.counts[pixel] === 0) {
    return -1;
  }
  let s = 0;
  for (let i = 0; i < pixel; i++) {
    s += seen.counts[i];
  }
  return seen.strand[s];
}
