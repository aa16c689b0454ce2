import type { CalendarEntry } from "@/core/exchange/files/calendarFile";
import type { PlannedTask } from "@/core/plan/state";
import type { Saved } from "@/core/schedule/batches";
import type { Placed, ScheduleFailure } from "@/core/schedule/schedule";
import { ENDED_WITHIN_MIN, timeOf } from "@/core/schedule/taskTimes";
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

/** Whether a task may be put down, and what becomes of its wait, in a line; nothing of one that takes no time. */
export function timeWords({
  kind,
  activeMin,
  waitMin,
}: Pick<PlannedTask, "kind" | "activeMin" | "waitMin">): string {
  const { split, wait, cycles } = timeOf(kind);
  const work = activeMin === 0 ? null : split ? "May be put down at a break" : "In one go, without a break";
  const runs = cycles
    ? `in ${cycles} cycles, somebody there at the beginning of each`
    : "the wait runs by itself, overnight too";
  const waits = {
    runs,
    attended: "somebody stays with it while it waits",
    "ended-soon": `ended by hand within ${ENDED_WITHIN_MIN} min of its time`,
    "until-taken-out": "it lasts until somebody takes it out",
  }[wait];
  const said = [work, waitMin > 0 ? waits : null].filter((w) => w !== null).join("; ");
  return said === "" ? "" : `${said[0].toUpperCase()}${said.slice(1)}.`;
}

/** What doing like tasks together saves, in a line. */
export const savedWords = ({ kind, tasks, goes, savedMin }: Saved): string =>
  `${kindWords(kind)}: ${tasks} in ${counted(goes, "go", "goes")}${savedMin > 0 ? `, ${printMinutes(savedMin)} of work less` : ""}`;

const inId = (text: string): string => text.replace(/[^A-Za-z0-9-]+/g, "-");

/**
 * A schedule as a calendar: an entry for each stretch of work, and for each wait, which takes nobody up. Entries keep their
 * names when days move: a calendar that has them already changes them.
 */
export function calendarOf(placed: readonly Placed[]): CalendarEntry[] {
  const jobsOf = new Map<string, Set<number>>();
  for (const p of placed) jobsOf.set(p.knife, (jobsOf.get(p.knife) ?? new Set()).add(p.job));
  return placed.flatMap((p) => {
    // Knives of one name are told apart by their number.
    const knife = (jobsOf.get(p.knife)?.size ?? 1) > 1 ? `${p.knife}-${p.job + 1}` : p.knife;
    return p.spans.map(({ fromMs, toMs, hands }, i) => ({
      id: inId(`${knife}-${p.id}-${i + 1}`),
      title: `${p.knife}: ${plannedWords(p)}${hands ? "" : " (waiting)"}`,
      says: timeWords({ kind: p.kind, activeMin: hands ? 1 : 0, waitMin: hands ? 0 : 1 }),
      fromMs,
      toMs,
      busy: hands,
    }));
  });
}
