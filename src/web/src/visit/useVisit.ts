import { createContext, useContext } from "react";
import type { Wear } from "../api/client";
import type { Colours } from "../api/seen";
import type { MomentKey, Work } from "../api/usePlan";
import type { Mode } from "../views/modes";
import type { Comparing } from "./LookBar";
import type { Selection } from "./useSelection";

/** A visit at work, as every stage sees it. */
export interface Visit {
  visit: string;
  work: Work;
  /** The colours of the rinsed head: raw or toned, as is switched. */
  colours: Colours | undefined;
  /** The colours at a moment: what is not rinsed yet, or not done yet, can't be toned. */
  coloursAt(moment: MomentKey, raw?: boolean): Colours | undefined;
  /** Whether the rinsed head is shown raw, before toner. */
  raw: boolean;
  setRaw(raw: boolean): void;
  /** One selection for head, map and strip, whatever the stage. */
  selection: Selection;
  /** What the head's shape depends on: looks are fetched anew when it changes. */
  hairKey: string;
  wear: Wear;
  setWear(wear: Wear): void;
  angle: number;
  setAngle(angle: number): void;
  /** What the head's colours stand for. */
  mode: Mode;
  setMode(mode: Mode): void;
  comparing: Comparing | undefined;
  setComparing(comparing: Comparing | undefined): void;
}

export const VisitContext = createContext<Visit | undefined>(undefined);

/** The visit at work; only inside a visit's layout. */
export function useVisit(): Visit {
  const visit = useContext(VisitContext);
  if (!visit) {
    throw new Error("There is no visit here.");
  }
  return visit;
}
