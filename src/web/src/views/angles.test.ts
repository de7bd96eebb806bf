import { expect, test } from "vitest";
import { angleStep, angleWords, namedAngles, turned } from "./angles";

test("every step has words, and no two the same", () => {
  const all = Array.from({ length: 360 / angleStep }, (_, i) => angleWords(i * angleStep));
  expect(new Set(all).size).toBe(all.length);
  expect(all.join()).not.toContain("undefined");
  expect(angleWords(345)).toBe("between three-quarter right and front");
});

test("turning goes round and comes back", () => {
  expect(turned(0, -angleStep)).toBe(345);
  expect(turned(345, angleStep)).toBe(0);
  expect(namedAngles.every((a) => turned(a, 360) === a)).toBe(true);
});
