import { PHASES, phaseOf } from "./phases";
import type { OwnTask, PlanRecord } from "./record";
import { TASKS, type TaskKind } from "./taskKinds";
import type { Need, Task } from "./types";
import type { UsualMinutes } from "./usualMinutes";

/** A task as it stands in a knife's plan: one of the design, one on a way back, or one of its maker's own. */
export interface PlannedTask extends Omit<Task, "kind"> {
  /** Null of a task of the maker's own. */
  readonly kind: TaskKind | null;
  /** What the maker calls a task of their own; null of others. */
  readonly title: string | null;
  readonly state: "done" | "ready" | "waiting";
  /** Of what it needs, what is not done yet. */
  readonly waitsFor: readonly string[];
}

/** Something of a plan's record that does not hold. */
export type PlanNotice =
  /** A task of the maker's own that would wait for itself: it stands at the end, after what it says it comes after. */
  | { readonly code: "loop"; readonly task: string }
  /** It names a task that the plan has no more. */
  | { readonly code: "gone"; readonly task: string; readonly names: string }
  /** Done, but the design asks for it no more. */
  | { readonly code: "not-asked"; readonly task: string };

export interface PlanState {
  readonly tasks: readonly PlannedTask[];
  readonly notices: readonly PlanNotice[];
  /** Of what is not done yet. */
  readonly activeMin: number;
  readonly waitMin: number;
}

type Loose = Omit<PlannedTask, "state" | "waitsFor">;

/** What is done on ways back, each before the task that failed is tried again. */
function withReworks(tasks: readonly Loose[], { reworks }: PlanRecord): Loose[] {
  const all = [...tasks];
  for (const { id, task: kind, reopens, on } of reworks) {
    const at = all.findIndex((t) => t.id === on);
    if (!kind || at < 0) continue;
    const spec = TASKS[kind];
    const task: Loose = {
      id: `rework:${id}`,
      kind,
      title: null,
      of: null,
      needs: [],
      activeMin: spec.activeMin,
      waitMin: "waitMin" in spec ? spec.waitMin : 0,
      resources: "resources" in spec ? spec.resources : [],
      noReturn: "noReturn" in spec,
      inspection: false,
    };
    const need: Need = { id: task.id, minLagMin: 0, maxLagMin: null, why: "way-back" };
    // What failed, and what is done over with it, waits for it.
    const over = new Set<TaskKind | null>([...reopens, all[at].kind]);
    const first = all.findIndex((t) => over.has(t.kind));
    for (const [i, t] of all.entries()) if (over.has(t.kind)) all[i] = { ...t, needs: [...t.needs, need] };
    all.splice(first < 0 ? at : first, 0, task);
  }
  return all;
}

/** Whether one task comes after another by what each needs, or is the other. */
function comesAfter(tasks: ReadonlyMap<string, Loose>, task: string, other: string): boolean {
  const seen = new Set<string>();
  const open = [task];
  for (let id = open.pop(); id !== undefined; id = open.pop()) {
    if (id === other) return true;
    if (seen.has(id)) continue;
    seen.add(id);
    open.push(...(tasks.get(id)?.needs ?? []).map((n) => n.id));
  }
  return false;
}

/** The maker's own tasks among the others: each after one and before another, where that can be. */
function withOwn(tasks: readonly Loose[], own: readonly OwnTask[], notices: PlanNotice[]): Loose[] {
  const all = new Map(tasks.map((t) => [t.id, t]));
  for (const { id, title, activeMin, waitMin } of own)
    all.set(id, {
      id,
      kind: null,
      title,
      of: null,
      needs: [],
      activeMin,
      waitMin,
      resources: [],
      noReturn: false,
      inspection: false,
    });
  const need = (task: string, on: string, owner: string) => {
    const [t, o] = [all.get(task), all.get(on)];
    if (!t || !o) {
      notices.push({ code: "gone", task: owner, names: t ? on : task });
      return;
    }
    if (comesAfter(all, on, task)) {
      notices.push({ code: "loop", task: owner });
      return;
    }
    all.set(task, {
      ...t,
      needs: [...t.needs, { id: on, minLagMin: 0, maxLagMin: null, why: "as-you-say" }],
    });
  };
  for (const { id, after, before } of own) {
    if (after !== null) need(id, after, id);
    if (before !== null) need(before, id, id);
  }
  return [...all.values()];
}

/**
 * Tasks in an order in which each stands behind what it needs: of those that could come next the one that its maker put
 * first, else the one that the design's order has first.
 */
export function inOrder<T extends Pick<Task, "id" | "needs">>(
  tasks: readonly T[],
  sequence: readonly string[],
): T[] {
  const place = new Map(sequence.map((id, i) => [id, i]));
  const rank = new Map(tasks.map((t, i) => [t.id, i]));
  // What nobody moved keeps its place between those round it.
  const key = (t: T): readonly [number, number] => {
    const own = place.get(t.id);
    return own === undefined ? [rank.get(t.id) ?? 0, 1] : [own, 0];
  };
  const left = new Set(tasks);
  const done = new Set<string>();
  const known = new Set(tasks.map((t) => t.id));
  const ordered: T[] = [];
  while (left.size > 0) {
    const ready = [...left].filter((t) => t.needs.every((n) => done.has(n.id) || !known.has(n.id)));
    // None is ready only of a circle, which plans have none of: what is left follows as it stands.
    const pool = ready.length > 0 ? ready : [...left];
    const next = pool.reduce((a, b) => {
      const [ka, kb] = [key(a), key(b)];
      return kb[0] < ka[0] || (kb[0] === ka[0] && kb[1] < ka[1]) ? b : a;
    });
    ordered.push(next);
    left.delete(next);
    done.add(next.id);
  }
  return ordered;
}

/** Tasks by the part of the work that they are of, in the order that they have there; one of the maker's own by its neighbour. */
function byPhase(tasks: readonly Loose[], own: readonly OwnTask[]): Loose[] {
  const known = new Map(tasks.map((t) => [t.id, t]));
  const place = (t: Loose | undefined): number => {
    if (!t) return PHASES.length;
    if (t.kind !== null) return PHASES.indexOf(phaseOf({ kind: t.kind, of: t.of }));
    const said = own.find((o) => o.id === t.id);
    const beside = [said?.after, said?.before].flatMap((id) => known.get(id ?? "") ?? []);
    const found = beside.find((b) => b.kind !== null);
    return place(found);
  };
  return [...tasks].sort((a, b) => place(a) - place(b));
}

const NO_MINUTES: UsualMinutes = new Map();

/** A plan as far as it has come, of the tasks that follow from its design. */
export function planState(
  fromDesign: readonly Task[],
  record: PlanRecord,
  usual: UsualMinutes = NO_MINUTES,
): PlanState {
  const notices: PlanNotice[] = [];
  const loose = fromDesign.map((t): Loose => ({ ...t, title: null }));
  const all = withOwn(withReworks(loose, record), record.own, notices);
  const minutes = new Map(Object.entries(record.minutes));
  const done = new Set(Object.keys(record.done));
  const ids = new Set(all.map((t) => t.id));
  for (const id of done) if (!ids.has(id)) notices.push({ code: "not-asked", task: id });
  const tasks = inOrder(byPhase(all, record.own), record.sequence).map((t): PlannedTask => {
    const waitsFor = t.needs.map((n) => n.id).filter((id) => ids.has(id) && !done.has(id));
    const { activeMin, waitMin } = minutes.get(t.id) ?? {
      activeMin: (t.kind && usual.get(t.kind)?.activeMin) ?? t.activeMin,
      waitMin: t.waitMin,
    };
    const state = done.has(t.id) ? "done" : waitsFor.length === 0 ? "ready" : "waiting";
    return { ...t, activeMin, waitMin, waitsFor, state };
  });
  const open = tasks.filter((t) => t.state !== "done");
  return {
    tasks,
    notices,
    activeMin: open.reduce((sum, t) => sum + t.activeMin, 0),
    waitMin: open.reduce((sum, t) => sum + t.waitMin, 0),
  };
}
