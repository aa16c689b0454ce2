import type { PlannedTask } from "../plan/state";
import type { TaskKind } from "../plan/taskKinds";
import type { Alike, Job } from "./job";
import { activeTogetherMin, type Batch } from "./operations";

/** Like tasks of several knives, as they may be done together: in as few goes as hold them. */
export interface AlikeTasks {
  readonly kind: TaskKind;
  readonly batches: readonly Batch[];
  /** Work that is saved, min. */
  readonly savedMin: number;
  /** In no fewer goes can each of these tasks be done; of all of them that are alike. */
  readonly groups: readonly { readonly tasks: Batch; readonly leastGoes: number }[];
}

interface Member {
  readonly job: number;
  readonly task: PlannedTask;
  readonly alike: Alike;
}

/** Kinds that go together once the first of them is done together: what follows soon, or holds the same clamps. */
const CHAINS: Readonly<Partial<Record<TaskKind, readonly TaskKind[]>>> = {
  harden: ["cold", "temper"],
  "glue-handle": ["carry-indoors", "check-in-line", "clean-squeeze-out", "cure"],
};
/** For each that follows, what it follows. */
const LEADERS = new Map(
  Object.entries(CHAINS).flatMap(([leader, all]) => all.map((kind) => [kind, leader as TaskKind] as const)),
);

/** What doing like tasks together saves. */
export interface Saved {
  readonly kind: TaskKind;
  /** So many tasks in so many goes. */
  readonly tasks: number;
  readonly goes: number;
  readonly savedMin: number;
}

const isOfKind = (batch: Batch, kind: TaskKind, jobs: readonly Job[]): boolean =>
  jobs[batch[0].job].tasks.find((t) => t.id === batch[0].id)?.kind === kind;

/** The same of each kind; what follows a kind of its own is not counted again. */
export const savedBy = (kinds: readonly AlikeTasks[], jobs: readonly Job[]): Saved[] =>
  kinds.map(({ kind, batches, savedMin }) => {
    const own = batches.filter((b) => isOfKind(b, kind, jobs));
    return { kind, tasks: own.reduce((sum, b) => sum + b.length, 0), goes: own.length, savedMin };
  });

const idOf = ({ job, task }: Member) => ({ job, id: task.id });

/** Members in goes that hold them, in the order of their knives. */
function goes(members: readonly Member[], mostPieces: number): Member[][] {
  const found: Member[][] = [];
  for (const member of members) {
    const go = found.find(
      (g) =>
        g.length < mostPieces &&
        g.every((m) => m.job !== member.job) &&
        g.reduce((sum, m) => sum + m.alike.takes, member.alike.takes) <= member.alike.most,
    );
    if (go) go.push(member);
    else found.push([member]);
  }
  return found;
}

/** All tasks of several knives that are alike, by kind. `clampSets` as many handles are clamped at once at most. */
export function alikeTasks(jobs: readonly Job[], clampSets: number): readonly AlikeTasks[] {
  const byKey = new Map<string, Member[]>();
  // What follows goes with what it follows as long as that is still to be done; after that by itself.
  const isLed = (tasks: readonly PlannedTask[], kind: TaskKind): boolean =>
    tasks.some((t) => t.kind !== null && t.kind === LEADERS.get(kind) && t.state !== "done");
  jobs.forEach(({ tasks, alike, waitOverMs }, job) => {
    for (const task of tasks) {
      const of = alike?.get(task.id);
      if (!of || !task.kind || task.state === "done" || waitOverMs?.has(task.id)) continue;
      if (isLed(tasks, task.kind)) continue;
      byKey.set(of.key, [...(byKey.get(of.key) ?? []), { job, task, alike: of }]);
    }
  });
  const found = new Map<
    TaskKind,
    { batches: Batch[]; savedMin: number; groups: AlikeTasks["groups"][number][] }
  >();
  for (const members of byKey.values()) {
    const kind = members[0].task.kind;
    if (!kind) continue;
    const isClamped = members[0].task.resources.includes("clamps");
    const mostPieces = isClamped ? clampSets : Number.POSITIVE_INFINITY;
    const followersOf = (go: readonly Member[]): Member[][] =>
      (CHAINS[kind] ?? []).flatMap((next) => {
        const followers = go.flatMap(({ job, alike }) => {
          const task = jobs[job].tasks.find((t) => t.kind === next && t.state !== "done");
          return task ? [{ job, task, alike }] : [];
        });
        return followers.length > 1 ? [followers] : [];
      });
    const known = found.get(kind) ?? { batches: [], savedMin: 0, groups: [] };
    const load = members.reduce((sum, m) => sum + m.alike.takes, 0);
    const leastGoes = Math.ceil(Math.max(load / members[0].alike.most, members.length / mostPieces) - 1e-9);
    for (const group of [members, ...followersOf(members)])
      known.groups.push({ tasks: group.map(idOf), leastGoes: Math.max(1, leastGoes) });
    for (const go of goes(members, mostPieces)) {
      if (go.length < 2) continue;
      for (const together of [go, ...followersOf(go)]) {
        known.batches.push(together.map(idOf));
        known.savedMin +=
          together.reduce((sum, m) => sum + m.task.activeMin, 0) -
          activeTogetherMin(together.map((m) => m.task));
      }
    }
    if (known.batches.length > 0) found.set(kind, known);
  }
  return [...found].map(([kind, of]) => ({ kind, ...of })).sort((a, b) => b.savedMin - a.savedMin);
}
