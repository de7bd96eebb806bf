import { expect, test } from "vitest";
import { barsOf } from "./bars";
import type { ApplyView } from "./useApply";

const minute = (m: number) => new Date(Date.UTC(2031, 4, 6, 10, m)).toISOString();
const panel = (key: string, state: string, begun: number, from: number) => ({
  panel: key,
  state,
  begunAt: minute(begun),
  paintedAt: minute(begun + 1),
  fromAt: minute(from),
  toAt: minute(from + 15),
});
const service = (...panels: object[]) => ({ panels }) as unknown as ApplyView;
const at = (m: number) => Date.parse(minute(m));

test("a zone is one bar: from its first panel to its last, filled as far as it is painted", () => {
  const [nape, crown] = barsOf(
    service(
      panel("nape/0/0", "on", 0, 25),
      panel("nape/0/1", "on", 1, 26),
      panel("nape/0/2", "waits", 3, 28),
      panel("crown/0/0", "waits", 4, 29),
    ),
    at(3),
  );
  expect([nape.zone, nape.begun, nape.painted, nape.done]).toEqual(["nape", at(0), at(4), at(2)]);
  expect(crown.done).toBe(crown.begun);
});

test("it may be rinsed all at once from the latest beginning to the first end", () => {
  const [nape] = barsOf(service(panel("nape/0/0", "on", 0, 25), panel("nape/0/1", "on", 10, 45)), at(12));
  expect(nape.from).toBe(at(45));
  expect(nape.to).toBe(at(40));
});

test("a zone is rinsed when all of it is, and what stays natural has no bar", () => {
  const left = { panel: "crown/0/0", state: "left", begunAt: null };
  const bars = barsOf(
    service(panel("nape/0/0", "rinsed", 0, 25), panel("nape/0/1", "on", 1, 26), left),
    at(30),
  );
  expect(bars).toHaveLength(1);
  expect(bars[0].rinsed).toBe(false);
  expect(barsOf(service(panel("nape/0/0", "rinsed", 0, 25)), at(30))[0].rinsed).toBe(true);
});
