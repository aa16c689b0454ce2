import { dayEnd, dayStart } from "../base/day";
import type { PlanRecord } from "../plan/record";
import type { PlannedTask } from "../plan/state";
import type { Alike, Job } from "./job";

/** What is left to do of a knife, by what is kept of its plan: what is held back, what was done when, waits that run. */
export function jobOf(
  knife: string,
  tasks: readonly PlannedTask[],
  alike: ReadonlyMap<string, Alike>,
  record: PlanRecord,
): Job {
  const isDone = new Set(Object.keys(record.done));
  return {
    knife,
    tasks,
    alike,
    notBeforeMs: new Map(Object.entries(record.holds).map(([id, { day }]) => [id, dayStart(day)])),
    wishedByMs: new Map(
      Object.entries(record.holds).flatMap(([id, { day, why }]) =>
        why === "chosen" ? [[id, dayEnd(day)] as const] : [],
      ),
    ),
    doneAtMs: new Map(Object.entries(record.done).map(([id, { at }]) => [id, at])),
    waitOverMs: new Map(
      Object.entries(record.timers)
        .filter(([id]) => !isDone.has(id))
        .map(([id, { startedAt, min }]) => [id, startedAt + min * 60_000]),
    ),
  };
}
