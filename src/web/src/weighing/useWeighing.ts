import { type RefObject, useEffect } from "react";
import type { Bowl, Weighs } from "./bowls";
import type { Reading } from "./useScale";
import { grossOf, type Memory, onScaleOf, weigh } from "./weighing";

export interface Weighing {
  /** Grams poured in this step and not kept yet; undefined while the scale can't say. */
  onScale: number | undefined;
  /** The bowl was lifted, or something of it taken out. */
  lifted: boolean;
  /** A bowl with product in it still stands there. */
  stands: boolean;
  /** What stands there now is not taken again until it changes: it was just taken back. */
  hold(): void;
}

/**
 * Weighs one bowl along with the scale. What is remembered outlasts the bowl: what stands there may be the
 * one before.
 */
export function useWeighing(
  bowl: Bowl,
  reading: Reading,
  mixing: Weighs,
  memory: RefObject<Memory>,
): Weighing {
  const onScale = onScaleOf(bowl, reading);
  useEffect(() => {
    const rule = mixing.settling;
    if (!rule) {
      return;
    }
    const { busy } = mixing;
    const [next, event] = weigh(memory.current, { bowl, reading, busy, now: performance.now(), rule });
    memory.current = next;
    if (event) {
      mixing.happen(bowl, event).then((taken) => {
        if (!taken) {
          memory.current = { ...memory.current, sent: undefined };
        }
      });
    }
  }, [bowl, reading, mixing, memory]);

  return {
    onScale,
    lifted: onScale !== undefined && onScale < -3,
    stands: memory.current.used && (grossOf(reading) ?? 0) > 0,
    hold: () => {
      memory.current = { ...memory.current, held: grossOf(reading) };
    },
  };
}
