import type { TaskKind } from "@/core/plan/taskKinds";
import type { Schedule } from "@/core/schedule/schedule";
import { printMinutes } from "./money";
import { kindWords } from "./plan";

/** A task by its id, as far as that tells: its kind in words. */
const taskName = (id: string): string => {
  const [kind] = id.split(":");
  return kind === "own" || kind === "rework" ? "A task of your own" : (kindWords(kind as TaskKind) ?? id);
};

/** Why there is no schedule, with a way out. */
export function scheduleFailureWords(failure: Exclude<Schedule, { ok: true }>): string {
  const what = `${failure.knife}: “${taskName(failure.id)}”`;
  if (failure.code === "too-long")
    return failure.longestMin === 0
      ? "There are no working hours: put some into the workshop."
      : `${what} takes longer than the longest day at the bench, ${printMinutes(failure.longestMin)}, and cannot be put down in between: lengthen a day, or shorten the task.`;
  return `${what} finds no day on which what belongs together keeps within its time: lengthen a day, or free one.`;
}
