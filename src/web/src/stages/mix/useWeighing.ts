import { useEffect, useRef } from "react";
import type { Bowl, Mixing } from "./useMix";
import type { Reading } from "./useScale";

/** Lighter than this nothing counts as a bowl, g. */
const leastBowl = 20;
/** How long a weight must stand before it is taken, ms: within its mark, and beyond it. */
const dwell = { met: 700, over: 1300 };

export interface Weighing {
  /** Grams poured in this step and not kept yet; undefined while the scale can't say. */
  onScale: number | undefined;
  /** The bowl was lifted, or something of it taken out. */
  lifted: boolean;
  /** A bowl that was mixed before still stands there: its number. */
  stands: number | undefined;
  /** What stands there now is not taken again until it changes: it was just taken back. */
  hold(): void;
}

/**
 * Weighs one bowl along with the scale: takes the empty bowl's weight, and each ingredient once it stands within its mark, or beyond it.
 * All is counted from what the scale shows in all, so that a scale that was unplugged in between finds its place again.
 */
export function useWeighing(bowl: Bowl, reading: Reading, mixing: Mixing): Weighing {
  const { begun } = bowl;
  const gross = reading.state === "live" && reading.grossGrams !== null ? reading.grossGrams : undefined;
  const expected = begun?.grossGrams ?? undefined;
  const onScale = gross !== undefined && expected !== undefined ? gross - expected : undefined;
  const step = begun && begun.next !== null ? bowl.steps[begun.next] : undefined;
  // What a mixed bowl weighs is no empty bowl's weight.
  const stands = mixing.mix?.bowls.find(
    (b) =>
      b.number !== bowl.number &&
      b.begun?.isDone &&
      b.begun.grossGrams !== null &&
      gross !== undefined &&
      Math.abs(gross - b.begun.grossGrams) < 1,
  )?.number;
  const since = useRef<{ what: string; at: number }>(undefined);
  const sent = useRef("");
  const held = useRef<number>(undefined);

  useEffect(() => {
    if (!begun || mixing.busy || gross === undefined || !reading.stable) {
      since.current = undefined;
      return;
    }
    if (held.current !== undefined) {
      if (Math.abs(gross - held.current) < 0.4) {
        return;
      }
      held.current = undefined;
    }
    const wait = (what: string, ms: number) => {
      if (since.current?.what !== what) {
        since.current = { what, at: performance.now() };
      }
      return performance.now() - since.current.at >= ms;
    };
    // One word for each state of the bowl: what was sent is not sent again while the answer is on its way.
    const once = (event: Parameters<Mixing["happen"]>[1]) => {
      const mark = `${begun.id} ${begun.events}`;
      if (sent.current !== mark) {
        sent.current = mark;
        mixing.happen(bowl, event).then((taken) => {
          if (!taken) {
            sent.current = "";
          }
        });
      }
    };
    if (begun.tareGrams === null) {
      if (
        gross >= leastBowl &&
        stands === undefined &&
        bowl.steps.every((s) => s.pouredGrams === 0) &&
        wait("tare", dwell.met)
      ) {
        once({ kind: "tared", grossGrams: gross });
      }
      return;
    }
    if (begun.over !== null && onScale !== undefined && onScale > 0.3) {
      // More of the same came on while the question was open.
      if (wait(`more ${begun.events}`, dwell.over)) {
        once({
          kind: "poured",
          ingredient: begun.over,
          grams: Math.round(onScale * 100) / 100,
          how: "scale",
        });
      }
      return;
    }
    if (begun.next === null || !step || onScale === undefined) {
      since.current = undefined;
      return;
    }
    const off = onScale - step.toGoGrams;
    const grams = Math.round(onScale * 100) / 100;
    const pour = { kind: "poured", ingredient: begun.next, grams, how: "scale" } as const;
    if (grams > 0 && Math.abs(off) <= step.toleranceGrams) {
      if (wait(`met ${begun.events}`, dwell.met)) {
        once(pour);
      }
    } else if (grams > 0 && off > 0) {
      if (wait(`over ${begun.events}`, dwell.over)) {
        once(pour);
      }
    } else {
      since.current = undefined;
    }
  }, [bowl, begun, gross, reading, mixing, step, onScale, stands]);

  return {
    onScale,
    lifted: onScale !== undefined && onScale < -3,
    stands,
    hold: () => {
      held.current = gross;
    },
  };
}
