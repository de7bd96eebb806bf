import { expect, test } from "vitest";
import { mostSteps, moved, stepped, whole } from "./closer";

test("closer stays within the picture and never goes past its steps", () => {
  let at = whole;
  for (let i = 0; i < 6; i++) {
    at = stepped(at, 1, 0.95, 0.02);
    expect(at.steps).toBe(Math.min(i + 1, mostSteps));
  }
  expect(at).toEqual({ steps: 3, across: 20, down: 4 });
  expect(stepped(at, -9)).toEqual(whole);
});

test("the point under the finger stays where it is, as near as a 24th is", () => {
  const near = stepped(whole, 2, 0.7, 0.4);
  // Seen of the whole picture at 0.7, 0.4 before: 16.8 and 9.6 of 24.
  expect(near.across + (0.7 - 0.5) * 12).toBeCloseTo(16.8, 0);
  expect(near.down + (0.4 - 0.5) * 12).toBeCloseTo(9.6, 0);
});

test("moved along it shows what lies beside, up to the edge; the whole picture does not move", () => {
  const near = stepped(whole, 2);
  expect(moved(near, -0.25, 0)).toEqual({ steps: 2, across: 15, down: 12 });
  expect(moved(near, -5, 5)).toEqual({ steps: 2, across: 18, down: 6 });
  expect(moved(whole, 1, 1)).toEqual(whole);
});
