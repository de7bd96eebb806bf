import { describe, expect, it } from "vitest";
import { quantity, rise, said, shownAs } from "./units";

describe("units", () => {
  it("leaves metric figures as they are and drops what is not needed", () => {
    expect(quantity(2, "cm", "metric")).toBe("2 cm");
    expect(quantity(2.04, "cm", "metric")).toBe("2 cm");
    expect(quantity(2.06, "cm", "metric")).toBe("2.1 cm");
    expect(quantity(140.6, "g", "metric", 0)).toBe("141 g");
  });

  it("turns lengths and masses into inches and ounces", () => {
    expect(quantity(2.54, "cm", "us")).toBe("1.00 in");
    expect(quantity(25.4, "mm", "us")).toBe("1.00 in");
    expect(quantity(28.349523125, "g", "us")).toBe("1.00 oz");
    expect(quantity(59.147, "ml", "us")).toBe("2.00 fl oz");
  });

  it("shows units it does not know as they are", () => {
    expect(quantity(30, "vol", "us")).toBe("30 vol");
    expect(shownAs("min", "us")).toBeUndefined();
    expect(shownAs(undefined, "us")).toBeUndefined();
    expect(shownAs("cm", "metric")).toBeUndefined();
    expect(shownAs("cm", "us")?.us).toBe("in");
  });

  it("writes a sentence's quantities in the units chosen and never looks into its words", () => {
    const pieces = [
      { text: "Begins " },
      { text: "2 cm", value: 2, unit: "cm" },
      { text: " from the scalp, 3 cm on, rises " },
      { text: "1.5 levels a cm", value: 1.5, unit: "level/cm" },
      { text: "." },
    ];
    expect(said(pieces, "metric")).toBe("Begins 2 cm from the scalp, 3 cm on, rises 1.5 levels a cm.");
    expect(said(pieces, "us")).toBe("Begins 0.79 in from the scalp, 3 cm on, rises 3.8 levels an in.");
    expect(said(null, "us")).toBe("");
    expect(said(undefined, "metric")).toBe("");
  });

  it("says a rise by centimetre or by inch", () => {
    expect(rise(0.6, "metric")).toBe("0.6 /cm");
    expect(rise(0.6, "us")).toBe("1.5 /in");
  });
});
