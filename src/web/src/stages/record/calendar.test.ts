import ICAL from "ical.js";
import { expect, test } from "vitest";
// What the server writes, pinned by a test of its own, read by a reader that shares no code with its writer.
import text from "../../../../../tests/Wendro.Host.Tests/Fixtures/visits.ics?raw";

test("visits are appointments for another reader: who, when in UTC, how long, once each", () => {
  const calendar = new ICAL.Component(ICAL.parse(text));
  for (const zone of calendar.getAllSubcomponents("vtimezone")) {
    ICAL.TimezoneService.register(new ICAL.Timezone(zone));
  }
  const events = calendar.getAllSubcomponents("vevent").map((e) => new ICAL.Event(e));
  const read = events.map((e) => ({
    who: e.summary,
    at: e.startDate.toJSDate().toISOString(),
    minutes: e.duration.toSeconds() / 60,
  }));
  expect(read).toEqual([
    { who: 'Ödön, of the "quay"; north', at: "2031-10-24T09:00:00.000Z", minutes: 90 },
    { who: "x".repeat(100), at: "2031-10-28T10:00:00.000Z", minutes: 180 },
  ]);
  expect(new Set(events.map((e) => e.uid)).size).toBe(2);
});
