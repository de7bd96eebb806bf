import { describe, expect, it } from "vitest";
import type { Bowl } from "./bowls";
import type { Reading } from "./useScale";
import { type Memory, nothing, type Settling, weigh } from "./weighing";

const rule: Settling = { leastBowlGrams: 20, metMs: 700, overMs: 1300, stillGrams: 0.4, moreGrams: 0.3 };

const live = (grossGrams: number, stable = true): Reading => ({
  state: "live",
  grossGrams,
  grams: grossGrams,
  stable,
});
const lost: Reading = { state: "lost", grossGrams: null, grams: null, stable: false };

const bowl = (begun: Partial<NonNullable<Bowl["begun"]>> | null, poured: number[] = [0, 0], to = [20, 30]) =>
  ({
    number: 1,
    steps: poured.map((pouredGrams, i) => ({
      pouredGrams,
      toGoGrams: to[i] - pouredGrams,
      toleranceGrams: 0.4,
    })),
    begun: begun && {
      id: "b",
      events: 1,
      tareGrams: 212,
      grossGrams: 212,
      next: 0,
      over: null,
      isDone: false,
      ...begun,
    },
  }) as unknown as Bowl;

/** Readings one after another, every 100 ms from a start; what was sent. */
function over(b: Bowl, readings: Reading[], memory: Memory = nothing, from = 0) {
  let m = memory;
  const sent = [];
  for (const [i, reading] of readings.entries()) {
    const [next, event] = weigh(m, { bowl: b, reading, busy: false, now: from + i * 100, rule });
    m = next;
    if (event) {
      sent.push(event);
    }
  }
  return { m, sent };
}

const many = (reading: Reading, n = 20) => Array.from({ length: n }, () => reading);

describe("weighing", () => {
  it("takes an empty bowl's weight once it has stood", () => {
    const empty = bowl({ tareGrams: null, grossGrams: null });
    expect(over(empty, many(live(212), rule.metMs / 100)).sent).toEqual([]);
    expect(over(empty, many(live(212))).sent).toEqual([{ kind: "tared", grossGrams: 212 }]);
  });

  it("takes no bowl with product in it for an empty one, until the scale was empty", () => {
    // The bowl before: its developer was typed while the plug was out.
    const before = over(bowl({ next: 1, grossGrams: 232 }, [20, 0]), [live(232)]);
    expect(before.m.used).toBe(true);
    const next = bowl({ id: "c", tareGrams: null, grossGrams: null });
    const standing = over(next, many(live(232)), before.m);
    expect(standing.sent).toEqual([]);
    const lifted = over(next, [live(0), ...many(live(212))], standing.m);
    expect(lifted.sent).toEqual([{ kind: "tared", grossGrams: 212 }]);
  });

  it("takes a weight within its mark sooner than one beyond it", () => {
    const met = over(bowl({}), many(live(232.1)));
    expect(met.sent).toEqual([{ kind: "poured", ingredient: 0, grams: 20.1, how: "scale" }]);
    expect(over(bowl({}), many(live(240), 13)).sent).toEqual([]);
    expect(over(bowl({}), many(live(240))).sent).toHaveLength(1);
  });

  it("waits while less than needed stands there, while it swings and while there is no word", () => {
    expect(over(bowl({}), many(live(222))).sent).toEqual([]);
    expect(over(bowl({}), many(live(232, false))).sent).toEqual([]);
    expect(over(bowl({}), many(lost)).sent).toEqual([]);
    const cut = over(bowl({}), [...many(live(232), 5), lost, ...many(live(232), 5)]);
    expect(cut.sent).toEqual([]);
  });

  it("speaks of one state of the bowl once", () => {
    expect(over(bowl({}), many(live(232), 60)).sent).toHaveLength(1);
  });

  it("does not take again what was just taken back", () => {
    const held = over(bowl({}), many(live(232)), { ...nothing, held: 232 });
    expect(held.sent).toEqual([]);
    expect(over(bowl({}), many(live(232.5)), { ...nothing, held: 232 }).sent).toHaveLength(1);
  });

  it("counts what came on while the question of too much was open", () => {
    const question = bowl({ next: null, over: 0, grossGrams: 240 });
    expect(over(question, many(live(245))).sent).toEqual([
      { kind: "poured", ingredient: 0, grams: 5, how: "scale" },
    ]);
    expect(over(question, many(live(240.2))).sent).toEqual([]);
  });
});
