import { dayOf, dayStart } from "@/core/base/day";
import { newWorkshop } from "@/core/knife/design/workshop";
import { MOST_STRETCHES } from "@/core/knife/design/workshopParts";
import type { DayStretch, WorkDays } from "@/core/schedule/calendar";
import { Refusal } from "./refusal";

const WEEK: readonly string[] = ["mon", "tue", "wed", "thu", "fri", "sat", "sun"];

/** When to begin: a day, or a moment of one; none that is over. `nowMs` is now. */
export function startIn(typed: string, nowMs: number): number {
  const [, day, hours, minutes] = /^(\d{4}-\d\d-\d\d)(?:T(\d\d):(\d\d))?$/.exec(typed) ?? [];
  const start = dayStart(day ?? "");
  const clock = Number(hours ?? 0) * 60 + Number(minutes ?? 0);
  if (!Number.isFinite(start) || Number(hours ?? 0) > 23 || Number(minutes ?? 0) > 59)
    throw new Refusal(`--start is a day, such as 2027-01-04 or 2027-01-04T09:00, not "${typed}"`);
  const date = new Date(start);
  const ms = new Date(date.getFullYear(), date.getMonth(), date.getDate(), 0, clock).getTime();
  const today = dayOf(nowMs);
  if (day === today && hours === undefined) return nowMs;
  if (ms < nowMs) throw new Refusal(`--start ${typed} is over: begin today, ${today}, or later`);
  return ms;
}

const minutesIn = (clock: string): number => {
  const [, h, m] = /^(\d{1,2})(?::(\d\d))?$/.exec(clock) ?? [];
  const minutes = Number(h) * 60 + Number(m ?? 0);
  return Number(m ?? 0) < 60 && minutes <= 24 * 60 ? minutes : Number.NaN;
};

/** "9-12,13-17": stretches of a working day, in order. */
export function hoursIn(typed: string): readonly DayStretch[] {
  const stretches = typed.split(",").map((s) => {
    const [from, to, ...more] = s.trim().split("-");
    return more.length === 0 && to !== undefined
      ? { fromMin: minutesIn(from), toMin: minutesIn(to) }
      : { fromMin: Number.NaN, toMin: Number.NaN };
  });
  const sound = stretches.every(
    (s, i) => s.fromMin < s.toMin && (i === 0 || stretches[i - 1].toMin <= s.fromMin),
  );
  if (!sound || stretches.length > MOST_STRETCHES)
    throw new Refusal(
      `--hours is up to ${MOST_STRETCHES} stretches in order, such as 9-12,13-17 or 8:30-16, not "${typed}"`,
    );
  return stretches;
}

/** "mon-fri" or "mon,wed,sat": which weekdays are worked on, Monday first. */
export function weekdaysIn(typed: string): readonly boolean[] {
  const wrong = new Refusal(`--days is weekdays, such as mon-fri or mon,wed,sat, not "${typed}"`);
  const worked = WEEK.map(() => false);
  for (const part of typed.toLowerCase().split(",")) {
    const [from, to = from, ...more] = part.trim().split("-");
    const [a, b] = [from, to].map((d) => WEEK.indexOf(d));
    if (a < 0 || b < 0 || more.length > 0) throw wrong;
    for (let d = a; ; d = (d + 1) % 7) {
      worked[d] = true;
      if (d === b) break;
    }
  }
  return worked;
}

function daysOffIn(typed: string): readonly string[] {
  const days = typed.split(",");
  const wrong = days.find((d) => !Number.isFinite(dayStart(d)));
  if (wrong !== undefined) throw new Refusal(`--off is days, such as 2026-12-24,2026-12-25, not "${wrong}"`);
  return days;
}

/** When somebody works, as typed; a usual week where it is not said. */
export function workDaysIn(typed: { hours?: string; days?: string; off?: string }): WorkDays {
  const usual = newWorkshop("w", "w").hours;
  const day = typed.hours === undefined ? null : hoursIn(typed.hours);
  const worked = typed.days === undefined ? usual.map((h) => h.length > 0) : weekdaysIn(typed.days);
  return {
    hours: worked.map((on) => (on ? (day ?? usual[0]) : [])),
    daysOff: typed.off === undefined ? [] : daysOffIn(typed.off),
  };
}
