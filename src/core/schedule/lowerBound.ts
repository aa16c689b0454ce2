import type { Resource } from "../plan/taskKinds";
import type { AlikeTasks } from "./batches";
import { type Operation, taskKey } from "./operations";
import type { Problem } from "./problem";
import { timeOf } from "./taskTimes";

const MINUTE = 60_000;

/**
 * Nothing finishes before: all work by hand through the calendar with the shortest wait that can close it, what each
 * resource is loaded with, and the longest chain with hands and resources free. Like tasks count as in the best batching;
 * `problem` has each by itself.
 */
export function lowerBoundMs(problem: Problem, alike: readonly AlikeTasks[]): number {
  const { operations, calendar, fromMs } = problem;
  const shares = sharesOf(alike);
  const handsMs = operations.reduce((sum, o) => sum + leastHandsMs(o, shares), 0);
  const closing = operations.reduce(
    (least, o, i) => (o.occupiesMs > 0 ? Math.min(least, problem.restMs[i]) : least),
    Number.POSITIVE_INFINITY,
  );
  const byHands = handsMs > 0 ? calendar.walked(fromMs, handsMs) + closing : fromMs;
  return Math.max(byHands, problem.chainMs(problem.begin()), fromMs + loadMs(problem, shares));
}

/** In how many goes each task is done in the best batching, as a share: a third of one that three are done in. */
function sharesOf(alike: readonly AlikeTasks[]): ReadonlyMap<string, number> {
  return new Map(
    alike.flatMap(({ groups }) =>
      groups.flatMap(({ tasks, leastGoes }) =>
        tasks.map(({ job, id }) => [taskKey(job, id), leastGoes / tasks.length] as const),
      ),
    ),
  );
}

const shareOf = ({ tasks: [{ job, task }] }: Operation, shares: ReadonlyMap<string, number>): number =>
  shares.get(taskKey(job, task.id)) ?? 1;

/** What an operation asks of hands in the best batching: setting up, and staying with it, shared. */
function leastHandsMs(o: Operation, shares: ReadonlyMap<string, number>): number {
  const share = shareOf(o, shares);
  if (share === 1) return o.occupiesMs;
  const ownMs = o.course.reduce((ms, c) => ms + (c.hands ? c.ms : 0), 0);
  const setUpMs = Math.min(ownMs, (timeOf(o.tasks[0].task.kind).setUpMin ?? 0) * MINUTE);
  return ownMs - setUpMs + share * (setUpMs + o.occupiesMs - ownMs);
}

/** How long the resource that is loaded most is busy at least, ms. */
function loadMs(problem: Problem, shares: ReadonlyMap<string, number>): number {
  const { operations } = problem;
  const loads = new Map<Resource, number>();
  operations.forEach((o, i) => {
    let ms = o.occupiesMs + o.waitMs;
    for (let k = i + 1; k <= o.freedBy; k++)
      if (k === o.freedBy || operations[k].tasks[0].task === o.tasks[0].task)
        ms += operations[k].occupiesMs + operations[k].waitMs;
    for (const { resource } of o.takes) {
      // Of clamps each handle needs its own, however many are glued at once.
      const share = resource === "clamps" ? 1 : shareOf(o, shares);
      loads.set(resource, (loads.get(resource) ?? 0) + ms * share);
    }
  });
  return Math.max(0, ...[...loads].map(([r, ms]) => ms / problem.capacityOf(r)));
}
