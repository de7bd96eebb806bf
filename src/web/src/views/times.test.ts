import { expect, test } from "vitest";
import { angleOf } from "./angles";
import { minutes, span } from "./times";

test("time to go is told in minutes and seconds, with hours where there are", () => {
  expect(span(150_000)).toBe("2:30");
  expect(span(150_999)).toBe("2:30");
  expect(span(-5_000)).toBe("0:05");
  expect(span(3_750_000)).toBe("1:02:30");
  expect(minutes(0, 89_000)).toBe(1);
});

test("each zone is seen from its own side", () => {
  expect(angleOf("nape")).toBe(180);
  expect(angleOf("sideLeft")).toBe(90);
  expect(angleOf("faceFrameRight")).toBe(330);
});
