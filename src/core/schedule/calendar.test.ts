import { describe, expect, it } from "vitest";
import { Calendar, localTime, type WorkDays } from "./calendar";

const HOUR = 3_600_000;
const at = (text: string) => new Date(text).getTime();
const MONDAY = at("2026-11-30T09:00");
const everyDay = (...stretches: { fromMin: number; toMin: number }[]): WorkDays => ({
  hours: Array.from({ length: 7 }, () => stretches),
  daysOff: [],
});

describe("a calendar", () => {
  it("has weekends, days off and breaks out of it", () => {
    const noon = everyDay({ fromMin: 540, toMin: 720 }, { fromMin: 780, toMin: 1020 });
    const days = { ...noon, daysOff: ["2026-12-02"] };
    const calendar = new Calendar(at("2026-12-01T11:00"), days);
    expect(localTime(calendar.next(at("2026-12-01T12:00")))).toBe("2026-12-01T13:00");
    expect(localTime(calendar.begin(at("2026-12-01T11:00"), 2 * HOUR, false))).toBe("2026-12-01T13:00");
    expect(localTime(calendar.begin(at("2026-12-01T11:00"), 2 * HOUR, true))).toBe("2026-12-01T11:00");
    expect(localTime(calendar.end(at("2026-12-01T11:00"), 6 * HOUR))).toBe("2026-12-03T10:00");
    expect(
      calendar
        .stretches(at("2026-12-01T11:00"), 6 * HOUR)
        .map((s) => [localTime(s.fromMs), localTime(s.toMs)]),
    ).toEqual([
      ["2026-12-01T11:00", "2026-12-01T12:00"],
      ["2026-12-01T13:00", "2026-12-01T17:00"],
      ["2026-12-03T09:00", "2026-12-03T10:00"],
    ]);
    expect(new Calendar(MONDAY, everyDay()).next(MONDAY)).toBe(Number.POSITIVE_INFINITY);
    expect(calendar.begin(MONDAY, 5 * HOUR, false)).toBe(Number.POSITIVE_INFINITY);
  });
});
