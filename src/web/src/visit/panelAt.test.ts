import { expect, test } from "vitest";
import { panelAt } from "./panelAt";

const at = (zone: "crown" | "nape", row: number, column: number) => ({
  key: `${zone}/${row}/${column}`,
  zone,
  row,
  column,
});
const cut = [at("nape", 0, 0), at("crown", 0, 0), at("crown", 0, 1), at("crown", 1, 0)];

test("a panel that is there is itself", () => {
  expect(panelAt(cut, "crown/0/1")?.key).toBe("crown/0/1");
});

test("one that was cut away is the nearest of its zone, its row before its place in it", () => {
  expect(panelAt(cut, "crown/4/1")?.key).toBe("crown/1/0");
  expect(panelAt(cut, "crown/0/7")?.key).toBe("crown/0/1");
  expect(panelAt(cut, "nape/3/3")?.key).toBe("nape/0/0");
});

test("where its zone has none, and where nothing was picked, there is none", () => {
  expect(panelAt(cut, "topLeft/0/0")).toBeUndefined();
  expect(panelAt(cut, undefined)).toBeUndefined();
});
