import { describe, expect, it } from "vitest";
import { typedNumber } from "./typedNumber";

describe("a typed number", () => {
  it("is read with a point or a comma", () => {
    expect(typedNumber("2.5")).toBe(2.5);
    expect(typedNumber(" 2,5 ")).toBe(2.5);
    expect(typedNumber("-1")).toBe(-1);
    expect(typedNumber("60")).toBe(60);
  });

  it("is nothing when nothing was typed, and no number when words were", () => {
    expect(typedNumber("")).toBeNull();
    expect(typedNumber("  ")).toBeNull();
    expect(typedNumber("ten")).toBeNaN();
    expect(typedNumber("12 min")).toBeNaN();
    expect(typedNumber("1,000,5")).toBeNaN();
  });
});
