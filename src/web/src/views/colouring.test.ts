import { describe, expect, it } from "vitest";
import { coloursOf, type Seen } from "../api/seen";
import { type Colouring, colourHead } from "./colouring";

// A generator of its own: the same made-up heads everywhere.
let state = 7;
const below = (n: number) => {
  state = (Math.imul(state, 1664525) + 1013904223) >>> 0;
  return Math.floor((state / 2 ** 32) * n);
};

const strands = 40;
const places = 64;
const tints = Uint16Array.from({ length: 3 * 256 * 3 }, (_, i) => (i * 97) % 65536);
const curve = Array.from({ length: 128 }, (_, i) => 0.2 + i / 100);
const colours = coloursOf(tints, {
  levels: [],
  shineGain: 0.26,
  red: curve,
  green: curve,
  blue: curve,
  knee: 0.12,
});

/** A made-up view of 24 × 16 pixels, some without hair, some with less than all samples. */
function madeUpView(): Seen {
  const across = 4;
  const counts = Uint8Array.from({ length: 24 * 16 }, () => below(across + 1));
  const samples = counts.reduce((a, b) => a + b, 0);
  const each = (n: number) => Uint8Array.from({ length: samples }, () => below(n));
  return {
    width: 24,
    height: 16,
    across,
    places,
    counts,
    grey: Uint8Array.from({ length: counts.length }, () => below(256)),
    strand: Uint16Array.from({ length: samples }, () => below(strands)),
    place: each(places),
    shade: each(256),
    shine: each(256),
  };
}

const picture = (seen: Seen) =>
  ({ data: new Uint8ClampedArray(seen.width * seen.height * 4) }) as unknown as ImageData;
const madeUpHair = () => Uint16Array.from({ length: strands * places }, () => below(256) | (below(3) << 8));
const plain = (hair: Uint16Array): Colouring => ({ hair, colours, lit: new Set(), glow: 0 });
const panelOf = Int16Array.from({ length: strands }, (_, i) => i % 5);

function whole(seen: Seen, by: Colouring) {
  const image = picture(seen);
  colourHead(image, seen, by);
  return image.data;
}

describe("colouring a head", () => {
  it("looks up only what changed, and comes to the picture coloured whole", () => {
    for (let head = 0; head < 30; head++) {
      const seen = madeUpView();
      const image = picture(seen);
      let before = plain(madeUpHair());
      colourHead(image, seen, before);
      for (let edit = 0; edit < 6; edit++) {
        const hair = before.hair.slice();
        for (let change = below(4); change > 0; change--) {
          const from = below(strands) * places;
          hair.fill(below(256) | (below(3) << 8), from + below(places), from + places);
        }
        const by: Colouring =
          below(3) > 0 ? plain(hair) : { ...plain(hair), panelOf, lit: new Set([below(5)]), glow: below(2) };
        colourHead(image, seen, by, before);
        expect(image.data).toEqual(whole(seen, by));
        before = by;
      }
    }
  });

  it("leaves what did not change as it stands", () => {
    const seen = madeUpView();
    const before = plain(madeUpHair());
    const image = picture(seen);
    image.data.fill(1);
    colourHead(image, seen, { ...before, hair: before.hair.slice() }, before);
    expect(new Set(image.data)).toEqual(new Set([1]));
    colourHead(image, seen, { ...before }, before);
    expect(new Set(image.data)).toEqual(new Set([1]));
  });

  it("is coloured whole by other colours", () => {
    const seen = madeUpView();
    const before = plain(madeUpHair());
    const others = { ...before, colours: { ...colours, shineGain: 0 } };
    const image = picture(seen);
    colourHead(image, seen, before);
    colourHead(image, seen, others, before);
    expect(image.data).toEqual(whole(seen, others));
    expect(image.data).not.toEqual(whole(seen, before));
  });

  it("lights a panel where it is asked to along the hair, and nothing else", () => {
    const seen = madeUpView();
    const dark = plain(new Uint16Array(strands * places));
    const by: Colouring = { ...dark, panelOf, lit: new Set([2]), glow: 1, along: [0.5, 1] };
    const unlit = whole(seen, dark);
    const lit = whole(seen, by);
    const middle = (Math.sqrt(0.1444 + 2.48 * 0.5) - 0.38) / 1.24;
    let s = 0;
    for (let i = 0; i < seen.counts.length; i++) {
      const to = s + seen.counts[i];
      let shines = false;
      for (; s < to; s++) {
        shines ||= seen.strand[s] % 5 === 2 && seen.place[s] >= middle * (places - 1);
      }
      expect(lit[i * 4 + 2] !== unlit[i * 4 + 2] || lit[i * 4] !== unlit[i * 4], `pixel ${i}`).toBe(shines);
    }
  });
});
