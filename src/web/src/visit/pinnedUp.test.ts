import { expect, test } from "vitest";
import { pinnedOf } from "./PinnedUp";

test("what is pinned up is said by panel or by zones, and nothing where there is no panel", () => {
  expect(pinnedOf("panel", "upperBack/2/0")).toBe("open=upperBack/2/0");
  expect(pinnedOf("panel", undefined)).toBe("");
  expect(pinnedOf("nothing", "nape/0/0")).toBe("");
  expect(pinnedOf("nape", undefined)).toContain("lowerBack");
});
