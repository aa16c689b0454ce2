import type { CalendarEntry } from "@/core/exchange/files/calendarFile";
import { dayOf } from "@/core/schedule/calendar";
import type { Placed, Saved, ScheduleFailure } from "@/core/schedule/schedule";
import { counted } from "./grammar";
import { printMinutes } from "./money";
import { kindWords, plannedWords } from "./plan";

/** Why there is no schedule, with a way out. */
export function scheduleFailureWords(failure: ScheduleFailure): string {
  if (failure.code === "never-open")
    return "There are no working hours in all that time: put some into the workshop, or take days off out of it.";
  const what = `${failure.knife}: “${plannedWords(failure)}”`;
  if (failure.code === "too-long")
    return `${what} takes longer than the longest stretch at the bench, ${printMinutes(failure.longestMin)}, and cannot be put down in between: lengthen a stretch, or shorten the task.`;
  return `${what} finds no day on which it keeps within the time after what it must follow: lengthen a day, or free the day after.`;
}

/** What doing like tasks together saves, in a line. */
export const savedWords = ({ kind, tasks, goes, savedMin }: Saved): string =>
  `${kindWords(kind)}: ${tasks} in ${counted(goes, "go", "goes")}${savedMin > 0 ? `, ${printMinutes(savedMin)} of work less` : ""}`;

/** A schedule as a calendar: an entry for each stretch of work, and for each wait, which takes nobody up. */
export function calendarOf(placed: readonly Placed[]): CalendarEntry[] {
  return placed.flatMap((p) =>
    p.spans.map(({ fromMs, toMs, hands }, i) => ({
      id: `${dayOf(p.startMs)}-${p.job + 1}-${p.id}-${i + 1}`.replace(/[^A-Za-z0-9-]+/g, "-"),
      title: `${p.knife}: ${plannedWords(p)}${hands ? "" : " (waiting)"}`,
      says: hands ? "Work by hand." : "It waits: nobody has to be at it, but for what its task says.",
      fromMs,
      toMs,
      busy: hands,
    })),
  );
}
