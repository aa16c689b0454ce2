import { expect, it } from "vitest";
import { dayEnd, dayOf, dayStart } from "./day";

it("a day begins and ends where its date changes, also over months and changed clocks", () => {
  for (const day of ["2026-03-29", "2026-10-25", "2026-12-31", "2028-02-29"]) {
    expect(dayOf(dayStart(day))).toBe(day);
    expect(dayOf(dayEnd(day) - 1)).toBe(day);
    expect(dayOf(dayEnd(day))).not.toBe(day);
  }
  const before = process.env.TZ;
  process.env.TZ = "Europe/Berlin";
  try {
    expect((dayEnd("2026-03-29") - dayStart("2026-03-29")) / 3_600_000).toBe(23);
    expect((dayEnd("2026-10-25") - dayStart("2026-10-25")) / 3_600_000).toBe(25);
  } finally {
    process.env.TZ = before;
  }
});

it.each(["2027-02-30", "2027-13-01", "27-01-01", "soon", ""])("%s is no day", (text) => {
  expect(dayStart(text)).toBeNaN();
});
