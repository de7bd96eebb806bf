import type { Schemas } from "../api/client";
import type { Bowl } from "./bowls";
import type { Reading } from "./useScale";

export type BowlEvent = Schemas["BowlHappened"]["event"];

/** When a weight stands: the house's rule, as the server says it. */
export type Settling = Schemas["Settling"];

/** What is remembered from one reading of the scale to the next. */
export interface Memory {
  /** What has been standing there, and since when, ms. */
  since?: { what: string; at: number };
  /** What was sent and is not answered yet: a state of the bowl is spoken of once. */
  sent?: string;
  /** A weight that was just taken back: not taken again until it changes. */
  held?: number;
  /** Whether what stands on the scale has had product poured in: its weight is no empty bowl's. */
  used: boolean;
}

export const nothing: Memory = { used: false };

export interface Seen {
  bowl: Bowl;
  reading: Reading;
  /** Whether an answer is being waited for. */
  busy: boolean;
  now: number;
  rule: Settling;
}

/** All that stands on the scale, g; undefined while it can't say. */
export const grossOf = (reading: Reading) =>
  reading.state === "live" && reading.grossGrams !== null ? reading.grossGrams : undefined;

/** Grams poured in this step and not kept yet; undefined while the scale can't say. */
export const onScaleOf = (bowl: Bowl, reading: Reading) => {
  const gross = grossOf(reading);
  const expected = bowl.begun?.grossGrams ?? undefined;
  return gross === undefined || expected === undefined ? undefined : gross - expected;
};

/**
 * One step of weighing along with the scale: what is remembered next, and the event to send where a weight
 * has stood long enough.
 * All is counted from what the scale shows in all, so that a scale that was unplugged in between finds its place again.
 */
export function weigh(memory: Memory, { bowl, reading, busy, now, rule }: Seen): [Memory, BowlEvent?] {
  const gross = grossOf(reading);
  let m = memory;
  if (gross !== undefined) {
    const poured = bowl.steps.some((s) => s.pouredGrams > 0);
    const used = gross >= rule.leastBowlGrams && (m.used || poured);
    m = used === m.used ? m : { ...m, used };
  }
  const { begun } = bowl;
  if (!begun || busy || gross === undefined || !reading.stable) {
    return [{ ...m, since: undefined }];
  }
  if (m.held !== undefined) {
    if (Math.abs(gross - m.held) < rule.stillGrams) {
      return [m];
    }
    m = { ...m, held: undefined };
  }
  const mark = `${begun.id} ${begun.events}`;
  const stand = (what: string, ms: number, event: BowlEvent): [Memory, BowlEvent?] => {
    const since = m.since?.what === what ? m.since : { what, at: now };
    return now - since.at >= ms && m.sent !== mark ? [{ ...m, since, sent: mark }, event] : [{ ...m, since }];
  };
  if (begun.tareGrams === null) {
    return gross >= rule.leastBowlGrams && !m.used
      ? stand("tare", rule.metMs, { kind: "tared", grossGrams: gross })
      : [{ ...m, since: undefined }];
  }
  const onScale = onScaleOf(bowl, reading);
  if (onScale === undefined) {
    return [{ ...m, since: undefined }];
  }
  const grams = Math.round(onScale * 100) / 100;
  const pour = (ingredient: number): BowlEvent => ({ kind: "poured", ingredient, grams, how: "scale" });
  if (begun.over !== null && onScale > rule.moreGrams) {
    // More of the same came on while the question was open.
    return stand(`more ${begun.events}`, rule.overMs, pour(begun.over));
  }
  const step = begun.next === null ? undefined : bowl.steps[begun.next];
  if (begun.next === null || !step || grams <= 0) {
    return [{ ...m, since: undefined }];
  }
  const off = onScale - step.toGoGrams;
  if (Math.abs(off) <= step.toleranceGrams) {
    return stand(`met ${begun.events}`, rule.metMs, pour(begun.next));
  }
  return off > 0
    ? stand(`over ${begun.events}`, rule.overMs, pour(begun.next))
    : [{ ...m, since: undefined }];
}
