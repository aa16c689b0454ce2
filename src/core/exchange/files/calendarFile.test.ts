import ICAL from "ical.js";
import { describe, expect, it } from "vitest";
import { type CalendarEntry, writeCalendar } from "./calendarFile";

const entry = (of: Partial<CalendarEntry>): CalendarEntry => ({
  id: "2027-01-04-1-harden-1",
  title: "Heath field knife: Harden",
  says: "Work by hand.",
  fromMs: Date.UTC(2027, 0, 4, 9, 0),
  toMs: Date.UTC(2027, 0, 4, 9, 10),
  busy: true,
  ...of,
});

const eventsIn = (text: string) =>
  new ICAL.Component(ICAL.parse(text)).getAllSubcomponents("vevent").map((v) => new ICAL.Event(v));

describe("a calendar file, read by another reader", () => {
  it("has each entry with its times, title and whether it takes anybody up", async () => {
    const text = await writeCalendar("Order of work", [
      entry({}),
      entry({
        id: "2",
        title: "Fen; rigging, knife: Temper (waiting)",
        busy: false,
        says: "Line\nbreak, and; marks",
      }),
      entry({ id: "3", toMs: Date.UTC(2027, 0, 4, 9, 0) }),
    ]);
    const events = eventsIn(text);
    // What lasts no time is no entry.
    expect(events.map((e) => e.summary)).toEqual([
      "Heath field knife: Harden",
      "Fen; rigging, knife: Temper (waiting)",
    ]);
    expect(events[1].description).toBe("Line\nbreak, and; marks");
    expect(events.map((e) => e.component.getFirstPropertyValue("transp"))).toEqual(["OPAQUE", "TRANSPARENT"]);
    expect(events[0].startDate.toJSDate().getTime()).toBe(Date.UTC(2027, 0, 4, 9, 0));
    expect(events[0].duration.toSeconds()).toBe(600);
    expect(events[0].uid).toBe("2027-01-04-1-harden-1@euaxis");
    expect(text.split("\r\n").every((line) => new TextEncoder().encode(line).length <= 75)).toBe(true);
  });

  it("keeps what lasts across a change of clocks as long as it is", async () => {
    // In the night to 28 March 2027 clocks in much of Europe go on an hour.
    const from = Date.UTC(2027, 2, 27, 16, 0);
    const to = from + 24 * 3_600_000;
    const [event] = eventsIn(await writeCalendar("x", [entry({ fromMs: from, toMs: to })]));
    expect(event.endDate.toJSDate().getTime() - event.startDate.toJSDate().getTime()).toBe(24 * 3_600_000);
    expect(event.startDate.zone.tzid).toBe("UTC");
  });

  it("of nothing is a calendar still", async () => {
    expect(eventsIn(await writeCalendar("Empty", []))).toEqual([]);
  });
});
