import { describe, expect, it } from "vitest";
import { coloursOf, readHair } from "./seen";

/** Two tints: black to white, and all red. */
const tints = new Uint16Array(2 * 256 * 3);
for (let l = 0; l < 256; l++) {
  tints.fill(l * 257, l * 3, l * 3 + 3);
  tints[(256 + l) * 3] = 65535;
}
const shades = Array.from({ length: 128 }, (_, i) => i / 127);
const colours = coloursOf(tints, {
  levels: ["#000000"],
  shineGain: 0.26,
  red: shades,
  green: shades,
  blue: shades,
  knee: 0,
});

describe("the colours of hair by level and tint", () => {
  it("reads level and tint as they travel by turns", () => {
    const hair = readHair(Uint8Array.from([113, 0, 198, 9]).buffer);
    expect([hair[0] & 255, hair[0] >> 8, hair[1] & 255, hair[1] >> 8]).toEqual([113, 0, 198, 9]);
  });

  it("says a colour in even light", () => {
    expect(colours.hex(0, 0)).toBe("#000000");
    expect(colours.hex(255, 0)).toBe("#ffffff");
    expect(colours.hex(40, 1)).toBe("#ff0000");
  });

  it("shades a tint once, darker in the dark", () => {
    const table = colours.table(0);
    expect(colours.table(0)).toBe(table);
    expect(colours.table(1)).not.toBe(table);
    const at = (level: number, shade: number) => table[(level * 128 + shade) * 3];
    expect(at(255, 127)).toBe(65535);
    expect(at(255, 0)).toBe(0);
    expect(at(128, 100)).toBeLessThan(at(255, 100));
  });

  it("bends light beyond white down where there is a knee", () => {
    const bent = coloursOf(tints, {
      levels: [],
      shineGain: 0,
      red: shades.map((s) => s * 2),
      green: shades,
      blue: shades,
      knee: 0.12,
    });
    const white = 255 * 128 + 64;
    expect(bent.table(0)[white * 3]).toBeGreaterThan(bent.table(0)[white * 3 + 1]);
    expect(bent.table(0)[(255 * 128 + 127) * 3]).toBe(65535);
  });
});
