import type { PlannedTask } from "../plan/state";
import type { Resource, TaskKind } from "../plan/taskKinds";
import type { Job } from "./job";
import { ENDED_WITHIN_MIN, HELD_UNTIL, timeOf } from "./taskTimes";

const MINUTE = 60_000;

/** What must be over before an operation, by its number; how long before at least and at most. */
export interface Before {
  readonly of: number;
  readonly minMs: number;
  readonly maxMs: number;
}

/** One thing that hands do without putting it down but at breaks, with the wait after it: a task, or a cycle of one. */
export interface Operation {
  /** The tasks that it does, by the numbers of their jobs: several where like ones are done together. */
  readonly tasks: readonly { readonly job: number; readonly task: PlannedTask }[];
  /** In order; hands are kept all along, also through waits that are attended. */
  readonly course: readonly { readonly hands: boolean; readonly ms: number }[];
  readonly occupiesMs: number;
  readonly split: boolean;
  readonly waitMs: number;
  readonly untilTakenOut: boolean;
  readonly takes: readonly { readonly resource: Resource; readonly units: number }[];
  /** The operation whose end frees what this one takes: itself, or a later one. */
  freedBy: number;
  needs: readonly Before[];
  readonly notBeforeMs: number;
  /** It is begun before that where it can be; infinite where nobody wishes so. */
  readonly wishedByMs: number;
  /** By what is done already; infinite where nothing says so. */
  readonly latestMs: number;
}

/** Tasks that are done together, each by the number of its job and its id. */
export type Batch = readonly { readonly job: number; readonly id: string }[];

export const taskKey = (job: number, id: string): string => `${job} ${id}`;

/** Hands and waits of a task, or of several alike: cycles, each of what hands do, in order, and the wait after it. */
interface Leg {
  readonly course: { readonly hands: boolean; readonly ms: number }[];
  readonly waitMs: number;
  /** How long after the leg before it at most. */
  readonly withinMs: number;
}

/** Whole minutes that add up to so many, each about as long as the other. */
const wholeParts = (min: number, count: number): number[] =>
  Array.from(
    { length: count },
    (_, i) => Math.floor(((i + 1) * min) / count) - Math.floor((i * min) / count),
  );

/** The hands and waits of a task, in whole minutes. */
function legsOf(kind: TaskKind | null, activeRaw: number, waitRaw: number): Leg[] {
  const time = timeOf(kind);
  const [activeMin, waitMin] = [Math.ceil(activeRaw), Math.ceil(waitRaw)];
  const hands = (min: number) => ({ hands: true, ms: min * MINUTE });
  const whenever = Number.POSITIVE_INFINITY;
  const closing = Math.min(time.closingMin ?? 0, Math.floor(activeMin / 2));
  if (time.wait === "attended" && waitMin > 0)
    return [
      {
        course: [hands(activeMin - closing), { hands: false, ms: waitMin * MINUTE }, hands(closing)].filter(
          (c) => c.ms > 0,
        ),
        waitMs: 0,
        withinMs: whenever,
      },
    ];
  if (time.wait === "ended-soon" && waitMin > 0 && closing > 0)
    return [
      { course: [hands(activeMin - closing)], waitMs: waitMin * MINUTE, withinMs: whenever },
      { course: [hands(closing)], waitMs: 0, withinMs: ENDED_WITHIN_MIN * MINUTE },
    ];
  const cycles = waitMin > 0 && activeMin > 0 ? (time.cycles ?? 1) : 1;
  const waits = wholeParts(waitMin, cycles);
  return wholeParts(activeMin, cycles).map((min, i) => ({
    course: min > 0 ? [hands(min)] : [],
    waitMs: waits[i] * MINUTE,
    withinMs: whenever,
  }));
}

/** Minutes of work of tasks that are done together: what setting up takes once, else each its own. */
export function activeTogetherMin(tasks: readonly Pick<PlannedTask, "kind" | "activeMin">[]): number {
  const setUps = tasks.map((t) => Math.min(timeOf(t.kind).setUpMin ?? 0, t.activeMin));
  const all = tasks.reduce((sum, t, i) => sum + t.activeMin - setUps[i], 0);
  return all + Math.max(0, ...setUps);
}

/**
 * What is left to do as operations, each behind what it needs; null where tasks that are to be done together would wait for
 * each other. A task whose wait runs already has no work left.
 */
export function operationsOf(
  jobs: readonly Job[],
  batches: readonly Batch[],
  fromMs: number,
): Operation[] | null {
  const batchOf = new Map<string, number>();
  batches.forEach((batch, b) => {
    for (const { job, id } of batch) batchOf.set(taskKey(job, id), b);
  });
  // Nodes: tasks, or batches of them.
  const nodes: { job: number; task: PlannedTask }[][] = [];
  const nodeOf = new Map<string, number>();
  const nodeOfBatch = new Map<number, number>();
  jobs.forEach(({ tasks }, job) => {
    for (const task of tasks) {
      if (task.state === "done") continue;
      const b = batchOf.get(taskKey(job, task.id));
      let node = b === undefined ? undefined : nodeOfBatch.get(b);
      if (node === undefined) {
        node = nodes.length;
        nodes.push([]);
        if (b !== undefined) nodeOfBatch.set(b, node);
      }
      nodes[node].push({ job, task });
      nodeOf.set(taskKey(job, task.id), node);
    }
  });
  const needsOf = nodes.map((members) => needsOfAll(members, jobs, nodeOf));
  const order = sortedNodes(needsOf);
  if (!order) return null;
  const operations: Operation[] = [];
  const lastOf = new Map<number, number>();
  for (const n of order) {
    const members = nodes[n];
    const wishedByMs = Math.min(
      ...members.map(({ job, task }) => jobs[job].wishedByMs?.get(task.id) ?? Number.POSITIVE_INFINITY),
    );
    const { legs, notBeforeMs } = timesOf(members, jobs, fromMs);
    const first = operations.length;
    const { latestMs } = needsOf[n];
    legs.forEach(({ course, waitMs, withinMs }, leg) => {
      const own = operations.length;
      const kind = members[0].task.kind;
      operations.push({
        tasks: members,
        course,
        occupiesMs: course.reduce((sum, c) => sum + c.ms, 0),
        split: timeOf(kind).split,
        waitMs,
        untilTakenOut: timeOf(kind).wait === "until-taken-out",
        takes: leg > 0 ? [] : takenBy(members),
        freedBy: first + legs.length - 1,
        needs:
          leg > 0
            ? [{ of: own - 1, minMs: 0, maxMs: withinMs }]
            : needsOf[n].needs.map(({ node, minMs, maxMs }) => ({ of: lastOf.get(node) ?? 0, minMs, maxMs })),
        notBeforeMs: leg > 0 ? 0 : notBeforeMs,
        wishedByMs: leg > 0 ? Number.POSITIVE_INFINITY : wishedByMs,
        latestMs: leg > 0 ? Number.POSITIVE_INFINITY : latestMs,
      });
    });
    lastOf.set(n, operations.length - 1);
  }
  holdOn(operations);
  return operations;
}

const HELD_ON: ReadonlySet<TaskKind | null> = new Set(Object.values(HELD_UNTIL).concat("carry-indoors"));

/** What is held from one operation until another is over is freed by that; what comes between holds it already. */
function holdOn(operations: Operation[]): void {
  operations.forEach((op, i) => {
    const until = op.tasks[0].task.kind && HELD_UNTIL[op.tasks[0].task.kind];
    if (!until) return;
    const isOf = (o: Operation, job: number) => o.tasks.some((t) => t.job === job && t.task.kind === until);
    // Of several the last to end: each has its own.
    const at = Math.max(...op.tasks.map(({ job }) => operations.findIndex((o, k) => k > i && isOf(o, job))));
    if (at < 0) return;
    op.freedBy = operations[at].freedBy;
    const jobs = new Set(op.tasks.map((t) => t.job));
    for (let k = i + 1; k <= at; k++) {
      const o = operations[k];
      if (HELD_ON.has(o.tasks[0].task.kind) && o.tasks.every((t) => jobs.has(t.job)))
        operations[k] = { ...o, takes: [] };
    }
  });
}

interface NodeNeeds {
  readonly needs: readonly { readonly node: number; readonly minMs: number; readonly maxMs: number }[];
  readonly latestMs: number;
}

function needsOfAll(
  members: readonly { job: number; task: PlannedTask }[],
  jobs: readonly Job[],
  nodeOf: ReadonlyMap<string, number>,
): NodeNeeds {
  const needs = new Map<number, { node: number; minMs: number; maxMs: number }>();
  let latestMs = Number.POSITIVE_INFINITY;
  for (const { job, task } of members)
    for (const { id, minLagMin, maxLagMin } of task.needs) {
      const maxMs = maxLagMin === null ? Number.POSITIVE_INFINITY : maxLagMin * MINUTE;
      const node = nodeOf.get(taskKey(job, id));
      if (node === undefined) {
        const at = jobs[job].doneAtMs?.get(id);
        if (at !== undefined) latestMs = Math.min(latestMs, at + maxMs);
        continue;
      }
      const known = needs.get(node);
      needs.set(node, {
        node,
        minMs: Math.max(known?.minMs ?? 0, minLagMin * MINUTE),
        maxMs: Math.min(known?.maxMs ?? Number.POSITIVE_INFINITY, maxMs),
      });
    }
  return { needs: [...needs.values()], latestMs };
}

/** Nodes in an order in which each stands behind what it needs, as they came else; null of a circle. */
function sortedNodes(needs: readonly NodeNeeds[]): number[] | null {
  const order: number[] = [];
  const state = new Uint8Array(needs.length);
  const visit = (n: number): boolean => {
    if (state[n] === 2) return true;
    if (state[n] === 1) return false;
    state[n] = 1;
    for (const { node } of needs[n].needs) if (!visit(node)) return false;
    state[n] = 2;
    order.push(n);
    return true;
  };
  for (let n = 0; n < needs.length; n++) if (!visit(n)) return null;
  return order;
}

function timesOf(
  members: readonly { job: number; task: PlannedTask }[],
  jobs: readonly Job[],
  fromMs: number,
): { readonly legs: readonly Leg[]; readonly notBeforeMs: number } {
  const kind = members[0].task.kind;
  const running = members.map(({ job, task }) => jobs[job].waitOverMs?.get(task.id));
  const held = members.map(({ job, task }) => jobs[job].notBeforeMs?.get(task.id) ?? 0);
  const over = running[0];
  if (members.length === 1 && over !== undefined)
    return {
      legs: [{ course: [], waitMs: Math.max(0, over - fromMs), withinMs: Number.POSITIVE_INFINITY }],
      notBeforeMs: 0,
    };
  return {
    legs: legsOf(
      kind,
      activeTogetherMin(members.map((m) => m.task)),
      Math.max(...members.map((m) => m.task.waitMin)),
    ),
    notBeforeMs: Math.max(...held),
  };
}

/** Resources that are counted by the piece; of an oven or a bath several pieces take one load. */
const BY_THE_PIECE: ReadonlySet<Resource> = new Set(["clamps"]);

const takenBy = (members: readonly { task: PlannedTask }[]): Operation["takes"] =>
  members[0].task.resources.map((resource) => ({
    resource,
    units: BY_THE_PIECE.has(resource) ? members.length : 1,
  }));
