import { expect, test } from "vitest";
import { actOf } from "./act";
import type { ApplyView } from "./useApply";

const ready = {
  ready: ["partSet", "combed"],
  steps: [],
  bowls: [{ number: 1, formula: "A", ordinal: 1, mixedAt: "2031-05-06T10:00:00Z" }],
  panels: [{ panel: "nape/0/0", state: "waits" }],
  waves: [],
  next: { title: "Nape, row 1, panel 1", bowl: 1, panel: { key: "nape/0/0" } },
};

const at = (changes: object) => actOf({ ...ready, ...changes } as unknown as ApplyView);

test("the part is set and the hair combed before anything is painted", () => {
  expect(at({ ready: [] })?.fact).toEqual({ kind: "prepared", what: "partSet" });
  expect(at({ ready: ["partSet"] })?.fact).toEqual({ kind: "prepared", what: "combed" });
  expect(at({})?.fact).toEqual({ kind: "painted", panel: "nape/0/0" });
});

test("the bowl that the next panel is painted from is mixed first, and no other", () => {
  const bowls = [
    { number: 1, formula: "A", ordinal: 1, mixedAt: null },
    { number: 11, formula: "A", ordinal: 2, mixedAt: null },
  ];
  expect(at({ bowls })?.fact).toEqual({ kind: "mixed", formula: "A", ordinal: 1 });
  expect(at({ bowls, next: { ...ready.next, bowl: 11 } })?.fact).toEqual({
    kind: "mixed",
    formula: "A",
    ordinal: 2,
  });
  expect(at({ bowls: [{ ...bowls[1] }] })?.fact.kind).toBe("painted");
});

test("what waits to be laid over an area is mixed first, and laid when its bowl is", () => {
  const area = { next: null, panels: [], areaWaits: true, steps: [{ words: "base", isNow: true }] };
  const bowl = { number: 1, formula: "B", ordinal: 1, mixedAt: null, neededAt: "2031-05-06T10:05:00Z" };
  const other = { number: 2, formula: "A", ordinal: 1, mixedAt: null, neededAt: null };
  expect(at({ ...area, bowls: [other, bowl] })?.fact).toEqual({ kind: "mixed", formula: "B", ordinal: 1 });
  const mixed = { ...bowl, mixedAt: "2031-05-06T10:06:00Z", neededAt: null };
  expect(at({ ...area, bowls: [mixed, other] })?.fact).toEqual({ kind: "laid" });
});

test("what burns is rinsed, all of it, before anything else", () => {
  const panels = [
    { panel: "nape/0/0", state: "on" },
    { panel: "nape/0/1", state: "rinsed" },
    { panel: "crown/0/0", state: "on" },
    { panel: "crown/0/1", state: "waits" },
  ];
  expect(at({ comfort: "burning", panels })?.fact).toEqual({
    kind: "waveBegun",
    panels: ["nape/0/0", "crown/0/0"],
  });
  expect(at({ comfort: "burning" })).toBeUndefined();
  expect(at({ comfort: "burning", panels, wave: { panels: ["nape/0/0"] } })?.fact.kind).toBe("waveEnded");
});

test("when nothing waits it is rinsed in the next wave, then washed, then done", () => {
  const on = { next: null, panels: [{ panel: "nape/0/0", state: "on" }] };
  const waves = [{ number: 2, startsAt: "2031-05-06T10:40:00Z", panels: ["nape/0/0"] }];
  expect(at({ ...on, waves })?.fact).toEqual({ kind: "waveBegun", panels: ["nape/0/0"] });
  expect(at({ ...on, waves })?.title).toContain("Rinse 2");
  const rinsed = { next: null, panels: [{ panel: "nape/0/0", state: "rinsed" }] };
  expect(at(rinsed)?.fact.kind).toBe("washed");
  expect(at({ next: null, panels: [], areaIsOn: true })?.fact).toEqual({ kind: "waveBegun", panels: [] });
  const area = { next: null, panels: [], areaIsOn: true, areaFromAt: "2031-05-06T11:05:00Z" };
  expect(at(area)?.title).toMatch(/^Rinse at \d\d:05$/);
  // A step without panels is washed, too.
  expect(at({ next: null, panels: [] })?.fact.kind).toBe("washed");
  expect(at({ ...rinsed, isDone: true })).toBeUndefined();
});

test("what is not rinsed before the next step goes on beneath it", () => {
  const on = { next: null, goesOn: true, panels: [{ panel: "nape/0/0", state: "on" }] };
  const steps = [
    { words: "lighten", isNow: true, isDone: false },
    { words: "root base", isNow: false, isDone: false },
  ];
  expect(at({ ...on, steps })).toEqual({
    title: "Next: root base",
    label: "Go on",
    fact: { kind: "wentOn" },
  });
});

test("where somebody else rinses, painting goes on through the wave; where nothing waits, the wave is in hand", () => {
  const wave = { begunAt: "2031-05-06T10:40:00Z", panels: ["nape/0/0"] };
  expect(at({ wave })?.fact.kind).toBe("waveEnded");
  expect(at({ wave, help: "mixes" })?.fact.kind).toBe("waveEnded");
  expect(at({ wave, help: "rinses" })?.fact.kind).toBe("painted");
  expect(at({ wave, help: "rinses", next: null })?.fact.kind).toBe("waveEnded");
});
