/** A number of two digits: "07". */
export const two = (n: number) => String(n).padStart(2, "0");

/** A moment's day as it is written, in local time: "2026-12-01". */
export function dayOf(ms: number): string {
  const d = new Date(ms);
  return `${d.getFullYear()}-${two(d.getMonth() + 1)}-${two(d.getDate())}`;
}

/** The first moment of a day in local time, ms; NaN of what is no day. */
export function dayStart(day: string): number {
  const [, y, m, d] = (/^(\d{4})-(\d\d)-(\d\d)$/.exec(day) ?? []).map(Number);
  const date = new Date(y, m - 1, d);
  return date.getMonth() === m - 1 && date.getDate() === d ? date.getTime() : Number.NaN;
}

/** The first moment of the day after a day, ms. */
export function dayEnd(day: string): number {
  const start = new Date(dayStart(day));
  return new Date(start.getFullYear(), start.getMonth(), start.getDate() + 1).getTime();
}
