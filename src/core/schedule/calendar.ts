import type { Workshop } from "../knife/design/record/workshop";

/** When somebody works: hours by weekday, Monday first, and days on which nobody does, "2026-12-24". */
export interface WorkDays {
  readonly hours: Workshop["hours"];
  readonly daysOff: readonly string[];
}

/** A stretch of time, ms since 1970. */
export interface Stretch {
  readonly fromMs: number;
  readonly toMs: number;
}

/** So many days ahead are looked at. */
export const MOST_DAYS = 730;

const two = (n: number) => String(n).padStart(2, "0");

/** A moment's day as it is written, in local time: "2026-12-01". */
export function dayOf(ms: number): string {
  const d = new Date(ms);
  return `${d.getFullYear()}-${two(d.getMonth() + 1)}-${two(d.getDate())}`;
}

/** Stretches of work from a moment on, one after the other; clocks that are changed move them, waits they do not. */
export function* workFrom(ms: number, { hours, daysOff }: WorkDays): Generator<Stretch> {
  const off = new Set(daysOff);
  const begin = new Date(ms);
  for (let n = 0; n < MOST_DAYS; n++) {
    const [y, m, d] = [begin.getFullYear(), begin.getMonth(), begin.getDate() + n];
    const day = new Date(y, m, d);
    const of = hours[(day.getDay() + 6) % 7];
    if (!of || off.has(dayOf(day.getTime()))) continue;
    const at = (min: number) => new Date(y, m, d, 0, min).getTime();
    const fromMs = Math.max(ms, at(of.fromMin));
    const toMs = at(of.toMin);
    if (toMs > fromMs) yield { fromMs, toMs };
  }
}

/** The first moment of work at or after a moment; null where there is none within two years. */
export function nextWork(ms: number, days: WorkDays): number | null {
  for (const { fromMs } of workFrom(ms, days)) return fromMs;
  return null;
}

/** A moment in local time, as it is written: "2026-12-01T09:30". */
export function localTime(ms: number): string {
  const d = new Date(ms);
  return `${dayOf(ms)}T${two(d.getHours())}:${two(d.getMinutes())}`;
}
