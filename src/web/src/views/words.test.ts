import { describe, expect, it } from "vitest";
import { linesOf } from "./words";

describe("words on lines", () => {
  it("go on where there is no more room, and none is lost or cut", () => {
    expect(linesOf(14, "regrowth 7 cm, 6 months")).toEqual(["regrowth 7 cm,", "6 months"]);
    expect(linesOf(14, "level 7.5, warmer, lightened, 30\u00a0%")).toEqual([
      "level 7.5,",
      "warmer,",
      "lightened,",
      "30\u00a0%",
    ]);
    expect(linesOf(4, "extraordinarily long")).toEqual(["extraordinarily", "long"]);
    for (let letters = 1; letters < 30; letters++) {
      const words = "level 4.2, cooler, coloured, 55\u00a0% of it";
      const lines = linesOf(letters, words);
      expect(lines.join(" ")).toBe(words);
      for (const line of lines.filter((l) => l.includes(" "))) {
        expect(line.length).toBeLessThanOrEqual(letters);
      }
    }
  });
});
