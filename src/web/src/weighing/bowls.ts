import type { Schemas } from "../api/client";

export type Bowl = Schemas["BowlView"];
export type BowlEvent = Schemas["BowlEvent"];

/** What a bowl on the scale is told to, whatever is mixed in it. */
export interface Weighs {
  /** Something said is on its way. */
  busy: boolean;
  /** When a weight stands: the house's rule; nothing while it isn't known. */
  settling: Schemas["Settling"] | undefined;
  /** What the scoop of a product holds, g. */
  scoopGramsOf?(product: string | null | undefined): number | null | undefined;
  /** Begins a bowl; whether it was kept. */
  begin(bowl: Bowl): Promise<boolean>;
  /** Something happened to a bowl; whether it was kept. */
  happen(bowl: Bowl, event: BowlEvent): Promise<boolean>;
}
