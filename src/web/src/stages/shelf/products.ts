import type { Schemas } from "../../api/client";
import type { Product } from "./useShelf";

export type Kind = NonNullable<Product["kind"]>;

/** Kinds of product: one, and many of them. */
export const kinds: readonly (readonly [Kind, string, string])[] = [
  ["lightener", "Lightener", "Lighteners"],
  ["developer", "Developer", "Developers"],
  ["additive", "Bond additive", "Bond additives"],
  ["shade", "Toner or deposit", "Toners and deposits"],
  ["covering", "Covering", "Coverings"],
];

const ours = (value: number) => ({ value, source: "assumption" as const });

/** A product nobody has described yet. */
export function fresh(kind: Kind): Product {
  const stock = (unit: Schemas["StockUnit"]) => ({ unit });
  switch (kind) {
    case "lightener":
      return {
        kind,
        name: "",
        stock: stock("gram"),
        type: "clay",
        ratedLevels: ours(7),
        dryingMinutes: ours(40),
        workingMinutes: ours(26),
        swells: false,
        scalpSafe: false,
        heatAllowed: false,
        limitMinutes: ours(50),
        windowMinutes: ours(25),
        ratios: [1.5],
      };
    case "developer":
      return { kind, name: "", stock: stock("millilitre"), volume: 20 };
    case "additive":
      return {
        kind,
        name: "",
        stock: stock("gram"),
        gramsPerGram: 0.06,
        openAirGramsPerGram: 0.03,
        slows: ours(0.05),
      };
    case "shade":
      return {
        kind,
        name: "",
        stock: stock("gram"),
        depth: 8,
        reflect: "natural",
        base: "acidGloss",
        developerParts: 1,
        developerVolume: 5,
        minutes: 20,
      };
    default:
      return { kind: "covering", name: "", stock: stock("sheet"), covering: "film", sheetCm: 30 };
  }
}
