import type { PlannedTask } from "../plan/state";
import type { TaskKind } from "../plan/taskKinds";
import type { Subject } from "../plan/types";
import { type AlikeTasks, alikeTasks, type Saved, savedBy } from "./batches";
import { longestStretchMin, type WorkDays } from "./calendar";
import type { Capacity, Job } from "./job";
import { lowerBoundMs } from "./lowerBound";
import { type Batch, type Operation, operationsOf, taskKey } from "./operations";
import { Problem } from "./problem";
import { solved } from "./search";
import type { Place } from "./state";

const MINUTE = 60_000;

/** A stretch of a task: work by hand, or waiting. */
export interface Span {
  readonly fromMs: number;
  readonly toMs: number;
  readonly hands: boolean;
}

/** A task in days. */
export interface Placed {
  /** Its knife, by its number. */
  readonly job: number;
  readonly knife: string;
  readonly id: string;
  readonly kind: TaskKind | null;
  readonly title: string | null;
  readonly of: Subject | null;
  /** In order: work, put down over breaks, and waits. */
  readonly spans: readonly Span[];
  readonly startMs: number;
  /** Its wait over. */
  readonly endMs: number;
  /** Until somebody is there to take it out: what it keeps busy is so until then. */
  readonly busyUntilMs: number;
  /** The others that are done at once with it. */
  readonly together: readonly { readonly job: number; readonly id: string }[];
  /** It begins later than something that was done before it allows. */
  readonly overdue: boolean;
}

interface NamedTask extends Pick<PlannedTask, "id" | "kind" | "title" | "of"> {
  readonly knife: string;
}

export type ScheduleFailure =
  | { readonly code: "never-open" }
  /** Longer than any stretch of work, and not to be put down in between. */
  | ({ readonly code: "too-long"; readonly longestMin: number } & NamedTask)
  /** No day allows it within the time after, or before, what it belongs to; or it would have to be too far ahead. */
  | ({ readonly code: "no-room" } & NamedTask);

export type Schedule =
  | {
      readonly ok: true;
      /** In the order that they begin. */
      readonly placed: readonly Placed[];
      readonly finishMs: number;
      readonly lowerBoundMs: number;
      readonly saved: readonly Saved[];
    }
  | ({ readonly ok: false } & ScheduleFailure);

/** Whether like tasks of several knives are done together: where nothing finishes later for it, always, or never. */
export const TOGETHER = ["if-no-later", "always", "never"] as const;
export type Together = (typeof TOGETHER)[number];

/** Of so many operations each choice is worked out in full. */
const MOST_IN_FULL = 150;
/** So many operations are tried kind by kind, which of them to do together; of more all or none. */
const MOST_BY_KIND = 400;

/**
 * Knives in days, by one pair of hands: each task after what it needs, within its lags, in working hours, with no more of an
 * oven, a bath or clamps than there is, so as to finish early. Always the same for the same knives. Tasks of a knife stand
 * behind what they need.
 */
export function schedule(
  jobs: readonly Job[],
  beginMs: number,
  days: WorkDays,
  { capacity = {}, together = "if-no-later" }: { capacity?: Capacity; together?: Together } = {},
): Schedule {
  const fromMs = Math.ceil(beginMs / MINUTE) * MINUTE;
  const alone = operationsOf(jobs, [], fromMs) ?? [];
  const longestMin = longestStretchMin(days);
  if (alone.some((o) => o.occupiesMs > 0) && longestMin === 0) return { ok: false, code: "never-open" };
  const tooLong = alone.find((o) => isTooLong(o, longestMin));
  if (tooLong) return { ok: false, code: "too-long", ...nameOf(tooLong, jobs), longestMin };
  const alike = alikeTasks(jobs, capacity.clamps ?? 1);
  const attempt = (soft: boolean): Solution => {
    const problemOf = (kinds: readonly AlikeTasks[]): Problem | null => {
      const operations = kinds.length === 0 ? alone : operationsOf(jobs, batchesOf(kinds), fromMs);
      if (!operations || operations.some((o) => isTooLong(o, longestMin))) return null;
      return new Problem(lenient(operations, fromMs, soft), fromMs, days, capacity);
    };
    return bestTogether(together === "never" ? [] : alike, problemOf, together);
  };
  const strict = attempt(false);
  // What is done is done: what should follow it in time, and cannot, does not keep the rest from its days.
  const best =
    strict.blocked !== null && alone.some((o) => Number.isFinite(o.latestMs)) ? attempt(true) : strict;
  if (best.blocked !== null)
    return { ok: false, code: "no-room", ...nameOf(best.problem.operations[best.blocked], jobs) };
  const placed = placedTasks(best, jobs);
  return {
    ok: true,
    placed,
    finishMs: best.finishMs,
    lowerBoundMs: Math.min(best.finishMs, lowerBoundMs(new Problem(alone, fromMs, days, capacity), alike)),
    saved: savedBy(best.kinds, jobs),
  };
}

interface Solution {
  readonly kinds: readonly AlikeTasks[];
  readonly problem: Problem;
  readonly places: readonly Place[];
  readonly finishMs: number;
  readonly missed: number;
  /** The operation that has no place; null where all have one. */
  readonly blocked: number | null;
}

function solution(kinds: readonly AlikeTasks[], problem: Problem, quick = false): Solution {
  const found = solved(problem, quick);
  return found.ok
    ? { kinds, problem, places: found.places, finishMs: found.finishMs, missed: found.missed, blocked: null }
    : { kinds, problem, places: [], finishMs: Number.POSITIVE_INFINITY, missed: 0, blocked: found.op };
}

/**
 * The best of doing some kinds of like tasks together: kept where nothing finishes later for it, or by wish. Which of them
 * is found quickly; what it is held against, and itself, are worked out in full.
 */
function bestTogether(
  alike: readonly AlikeTasks[],
  problemOf: (kinds: readonly AlikeTasks[]) => Problem | null,
  together: Together,
): Solution {
  const attempt = (kinds: readonly AlikeTasks[], quick: boolean): Solution | null => {
    const problem = problemOf(kinds);
    const found = problem && solution(kinds, problem, quick);
    return found?.blocked === null ? found : null;
  };
  const alone = problemOf([]);
  if (!alone) throw new Error("tasks wait for themselves");
  const apart = solution([], alone);
  const all = attempt(alike, false);
  if (alike.length === 0) return apart;
  if (all && (together === "always" || isNoLater(all, apart))) return all;
  if (alone.operations.length > MOST_BY_KIND) return apart;
  let kinds: readonly AlikeTasks[] = [];
  const quick = alone.operations.length > MOST_IN_FULL;
  let best = quick ? solution([], alone, true) : apart;
  for (const kind of alike) {
    const more = attempt([...kinds, kind], quick);
    if (!more || (together !== "always" && !isNoLater(more, best))) continue;
    kinds = more.kinds;
    best = more;
  }
  const some = kinds.length > 0 ? attempt(kinds, false) : null;
  return some && (together === "always" || isNoLater(some, apart)) ? some : apart;
}

/** Whether nothing finishes later, and as much of what is wished is kept. */
const isNoLater = (a: Solution, b: Solution): boolean => a.finishMs <= b.finishMs && a.missed <= b.missed;

const batchesOf = (kinds: readonly AlikeTasks[]): Batch[] => kinds.flatMap((k) => [...k.batches]);

const isTooLong = ({ split, occupiesMs }: Operation, longestMin: number): boolean =>
  !split && occupiesMs > longestMin * MINUTE;

function nameOf({ tasks: [{ job, task }] }: Operation, jobs: readonly Job[]): NamedTask {
  const { id, kind, title, of } = task;
  return { knife: jobs[job].knife, id, kind, title, of };
}

/** What should have been begun already is begun as soon as can be; where it is `soft`, so is what cannot keep its time. */
const lenient = (operations: readonly Operation[], fromMs: number, soft: boolean): Operation[] =>
  operations.map((o) =>
    o.latestMs < fromMs || (soft && Number.isFinite(o.latestMs))
      ? { ...o, latestMs: Number.POSITIVE_INFINITY, wishedByMs: Math.min(o.wishedByMs, o.latestMs + 1) }
      : o,
  );

/** Stretches of one operation: its course through the calendar, and the wait after it. */
function spansOf(problem: Problem, { op, startMs, handsMs, endMs }: Place): Span[] {
  const { course, split } = problem.operations[op];
  const spans: Span[] = [];
  let at = startMs;
  for (const { hands, ms } of course) {
    if (split && hands) spans.push(...problem.calendar.stretches(at, ms).map((s) => ({ ...s, hands: true })));
    else spans.push({ fromMs: at, toMs: at + ms, hands });
    at = spans[spans.length - 1]?.toMs ?? at;
  }
  if (endMs > handsMs) spans.push({ fromMs: handsMs, toMs: endMs, hands: false });
  return spans;
}

function placedTasks({ problem, places }: Solution, jobs: readonly Job[]): Placed[] {
  const at = new Map<string, Placed>();
  for (const place of [...places].sort((a, b) => a.op - b.op)) {
    const { tasks } = problem.operations[place.op];
    const spans = spansOf(problem, place);
    for (const { job, task } of tasks) {
      const key = taskKey(job, task.id);
      const known = at.get(key);
      const startMs = known?.startMs ?? place.startMs;
      at.set(key, {
        job,
        knife: jobs[job].knife,
        id: task.id,
        kind: task.kind,
        title: task.title,
        of: task.of,
        spans: [...(known?.spans ?? []), ...spans],
        startMs,
        endMs: place.endMs,
        busyUntilMs: place.releaseMs,
        together: tasks.filter((t) => t.job !== job).map((t) => ({ job: t.job, id: t.task.id })),
        overdue: isOverdue(task, jobs[job], startMs),
      });
    }
  }
  return [...at.values()].sort((a, b) => a.startMs - b.startMs || a.endMs - b.endMs || a.job - b.job);
}

/** Whether a task begins later than what was done before it allows. */
const isOverdue = ({ needs }: PlannedTask, { doneAtMs }: Job, startMs: number): boolean =>
  needs.some(({ id, maxLagMin }) => {
    const at = doneAtMs?.get(id);
    return at !== undefined && maxLagMin !== null && startMs > at + maxLagMin * MINUTE;
  });
