import type { DateArray } from "ics";

/** An entry of a calendar. */
export interface CalendarEntry {
  /** The same each time that the file is written: a calendar that has it already changes it. */
  readonly id: string;
  readonly title: string;
  readonly says: string;
  readonly fromMs: number;
  readonly toMs: number;
  /** Whether somebody is taken up by it. */
  readonly busy: boolean;
}

/** A moment as the format has it, apart from any clock that is changed: universal time. */
const universal = (ms: number): DateArray => {
  const d = new Date(ms);
  return [d.getUTCFullYear(), d.getUTCMonth() + 1, d.getUTCDate(), d.getUTCHours(), d.getUTCMinutes()];
};

/** A calendar file (RFC 5545) of entries; those that last no time are left out. Throws where the writer refuses one. */
export async function writeCalendar(name: string, entries: readonly CalendarEntry[]): Promise<string> {
  const { createEvents } = await import("ics");
  const { error, value } = createEvents(
    entries
      .filter((e) => e.toMs > e.fromMs)
      .map(({ id, title, says, fromMs, toMs, busy }) => ({
        uid: `${id}@euaxis`,
        title,
        description: says,
        start: universal(fromMs),
        startInputType: "utc" as const,
        startOutputType: "utc" as const,
        end: universal(toMs),
        endInputType: "utc" as const,
        endOutputType: "utc" as const,
        busyStatus: busy ? ("BUSY" as const) : ("FREE" as const),
        transp: busy ? ("OPAQUE" as const) : ("TRANSPARENT" as const),
      })),
    { productId: "euaxis", calName: name },
  );
  if (error || !value) throw error ?? new Error("no calendar was written");
  return value;
}
