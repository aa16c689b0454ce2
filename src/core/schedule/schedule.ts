import type { PlannedTask } from "../plan/state";
import type { Resource, TaskKind } from "../plan/taskKinds";
import { nextWork, type Stretch, type WorkDays, workFrom } from "./calendar";
import { isEndedByHand, maySplit } from "./taskTimes";

const MINUTE = 60_000;
/** A group that has to keep together is tried so far apart. */
const STEP_MS = 15 * MINUTE;
const MOST_TRIES = 3000;

/** What is left to do of one knife. */
export interface Job {
  readonly knife: string;
  readonly tasks: readonly PlannedTask[];
}

/** How much of each there is; what is not named there is one of. */
export type Capacity = Readonly<Partial<Record<Resource, number>>>;

/** A task in days: when hands work at it, when its wait is over, and until when it keeps busy what it keeps busy. */
export interface Placed {
  readonly knife: string;
  readonly id: string;
  readonly kind: TaskKind | null;
  readonly work: readonly Stretch[];
  readonly startMs: number;
  /** Its wait over. */
  readonly endMs: number;
  /** Until somebody is there to take it out. */
  readonly busyUntilMs: number;
}

export type Schedule =
  | {
      readonly ok: true;
      /** In the order that they begin. */
      readonly placed: readonly Placed[];
      readonly finishMs: number;
      /** Nothing finishes before this: neither all the work nor the longest chain can. */
      readonly lowerBoundMs: number;
    }
  /** Longer than any stretch of work, and not to be put down in between. */
  | {
      readonly ok: false;
      readonly code: "too-long";
      readonly knife: string;
      readonly id: string;
      readonly longestMin: number;
    }
  /** No time was found at which what belongs together keeps within its lags. */
  | { readonly ok: false; readonly code: "no-room"; readonly knife: string; readonly id: string };

interface Node {
  readonly key: string;
  readonly knife: string;
  readonly task: PlannedTask;
  readonly needs: readonly { readonly key: string; readonly minMs: number; readonly maxMs: number | null }[];
}

const keyOf = (knife: string, n: number, id: string) => `${n} ${knife} ${id}`;

/** Open tasks of all jobs; what is done is over. */
function nodesOf(jobs: readonly Job[]): Node[] {
  return jobs.flatMap(({ knife, tasks }, n) => {
    const open = tasks.filter((t) => t.state !== "done");
    const ids = new Set(open.map((t) => t.id));
    return open.map((task) => ({
      key: keyOf(knife, n, task.id),
      knife,
      task,
      needs: task.needs
        .filter((need) => ids.has(need.id))
        .map(({ id, minLagMin, maxLagMin }) => ({
          key: keyOf(knife, n, id),
          minMs: minLagMin * MINUTE,
          maxMs: maxLagMin === null ? null : maxLagMin * MINUTE,
        })),
    }));
  });
}

/** All that comes before each node, however far back. */
function before(nodes: readonly Node[]): ReadonlyMap<string, ReadonlySet<string>> {
  const known = new Map<string, Set<string>>();
  // Each stands behind what it needs.
  for (const { key, needs } of nodes)
    known.set(key, new Set(needs.flatMap((n) => [n.key, ...(known.get(n.key) ?? [])])));
  return known;
}

/** Nodes that have to keep together, by greatest lags, with all that lies between them; each other one by itself. */
function groups(nodes: readonly Node[]): Node[][] {
  const behind = before(nodes);
  const sets: Set<string>[] = [];
  for (const node of nodes)
    for (const { key, maxMs } of node.needs) if (maxMs !== null) sets.push(new Set([key, node.key]));
  let changed = true;
  while (changed) {
    changed = false;
    for (const set of sets)
      for (const { key } of nodes) {
        if (set.has(key)) continue;
        const after = [...set].some((k) => behind.get(key)?.has(k));
        const ahead = [...set].some((k) => behind.get(k)?.has(key));
        if (after && ahead) {
          set.add(key);
          changed = true;
        }
      }
    for (let i = 0; i < sets.length; i++)
      for (let k = sets.length - 1; k > i; k--)
        if ([...sets[k]].some((key) => sets[i].has(key))) {
          for (const key of sets[k]) sets[i].add(key);
          sets.splice(k, 1);
          changed = true;
        }
  }
  const taken = new Set(sets.flatMap((s) => [...s]));
  const grouped = sets.map((s) => nodes.filter((n) => s.has(n.key)));
  return [...grouped, ...nodes.filter((n) => !taken.has(n.key)).map((n) => [n])];
}

/** Booked stretches of hands, and of what there is a number of. */
class Bookings {
  private readonly hands: Stretch[] = [];
  private readonly held = new Map<Resource, Stretch[]>();
  constructor(
    private readonly days: WorkDays,
    private readonly capacity: Capacity,
  ) {}

  /** Free stretches of hands within working hours, from a moment on. */
  private *free(fromMs: number): Generator<Stretch> {
    const busy = [...this.hands].sort((a, b) => a.fromMs - b.fromMs);
    for (const stretch of workFrom(fromMs, this.days)) {
      let at = stretch.fromMs;
      for (const b of busy) {
        if (b.toMs <= at || b.fromMs >= stretch.toMs) continue;
        if (b.fromMs > at) yield { fromMs: at, toMs: b.fromMs };
        at = Math.max(at, b.toMs);
      }
      if (at < stretch.toMs) yield { fromMs: at, toMs: stretch.toMs };
    }
  }

  /** When hands could do so much work, beginning at a moment or later; null where they cannot within two years. */
  work(fromMs: number, ms: number, split: boolean): Stretch[] | null {
    if (ms === 0) return [];
    const parts: Stretch[] = [];
    let left = ms;
    for (const f of this.free(fromMs)) {
      const room = f.toMs - f.fromMs;
      if (!split) {
        if (room >= ms) return [{ fromMs: f.fromMs, toMs: f.fromMs + ms }];
        continue;
      }
      const part = Math.min(room, left);
      parts.push({ fromMs: f.fromMs, toMs: f.fromMs + part });
      left -= part;
      if (left <= 0) return parts;
    }
    return null;
  }

  /** The first moment from which something is free for long enough; the moment itself where it is already. */
  freeFrom(resource: Resource, of: Stretch): number {
    const most = this.capacity[resource] ?? 1;
    const over = (this.held.get(resource) ?? []).filter((b) => b.fromMs < of.toMs && b.toMs > of.fromMs);
    if (over.length < most) return of.fromMs;
    return over.map((b) => b.toMs).sort((a, b) => a - b)[over.length - most];
  }

  book(placed: Placed, resources: readonly Resource[]): void {
    this.hands.push(...placed.work);
    for (const r of resources)
      this.held.set(r, [
        ...(this.held.get(r) ?? []),
        ...(placed.endMs > workEnd(placed)
          ? [{ fromMs: placed.startMs, toMs: placed.busyUntilMs }]
          : placed.work),
      ]);
  }

  copy(): Bookings {
    const other = new Bookings(this.days, this.capacity);
    other.hands.push(...this.hands);
    for (const [r, list] of this.held) other.held.set(r, [...list]);
    return other;
  }
}

const workEnd = ({ work, startMs }: Pick<Placed, "work" | "startMs">): number => work.at(-1)?.toMs ?? startMs;

/** One task at the earliest from a moment on; null where hands have no time for it. */
function placeOne(node: Node, fromMs: number, bookings: Bookings, days: WorkDays): Placed | null {
  const { task, knife } = node;
  let from = fromMs;
  for (let i = 0; i < MOST_TRIES; i++) {
    const work = bookings.work(from, task.activeMin * MINUTE, maySplit(task.kind));
    if (work === null) return null;
    const startMs = work[0]?.fromMs ?? from;
    const overMs = (work.at(-1)?.toMs ?? from) + task.waitMin * MINUTE;
    const busyUntilMs = task.waitMin > 0 ? (nextWork(overMs, days) ?? overMs) : overMs;
    const endMs = isEndedByHand(task.kind) ? busyUntilMs : overMs;
    const placed: Placed = { knife, id: task.id, kind: task.kind, work, startMs, endMs, busyUntilMs };
    const later = task.resources.reduce(
      (most, r) => Math.max(most, bookings.freeFrom(r, { fromMs: startMs, toMs: busyUntilMs })),
      startMs,
    );
    if (later <= startMs) return placed;
    from = later;
  }
  return null;
}

/** Work through the calendar with nothing else to do: when it is over. */
function walked(fromMs: number, ms: number, days: WorkDays): number {
  let left = ms;
  if (left === 0) return fromMs;
  for (const { fromMs: a, toMs: b } of workFrom(fromMs, days)) {
    if (b - a >= left) return a + left;
    left -= b - a;
  }
  return Number.POSITIVE_INFINITY;
}

/** Nothing finishes before: all hand minutes through the calendar, and the longest chain with nothing else in its way. */
function lowerBound(nodes: readonly Node[], fromMs: number, days: WorkDays): number {
  const ends = new Map<string, number>();
  let chain = fromMs;
  for (const { key, task, needs } of nodes) {
    const start = needs.reduce((most, n) => Math.max(most, (ends.get(n.key) ?? fromMs) + n.minMs), fromMs);
    const end = walked(start, task.activeMin * MINUTE, days) + task.waitMin * MINUTE;
    ends.set(key, end);
    chain = Math.max(chain, end);
  }
  const hands = nodes.reduce((sum, n) => sum + n.task.activeMin * MINUTE, 0);
  return Math.max(chain, walked(fromMs, hands, days));
}

/** How long each node's way to the end is, ms: what has the longest goes first. */
function waysToEnd(nodes: readonly Node[]): ReadonlyMap<string, number> {
  const ways = new Map<string, number>();
  for (const { key, task, needs } of [...nodes].reverse()) {
    const own = (ways.get(key) ?? 0) + (task.activeMin + task.waitMin) * MINUTE;
    ways.set(key, own);
    for (const n of needs) ways.set(n.key, Math.max(ways.get(n.key) ?? 0, own + n.minMs));
  }
  return ways;
}

/**
 * Knives in days, by one pair of hands: each task after what it needs, within its lags, in working hours, with no more of an
 * oven, a bath or clamps than there is. What has the longest way to the end goes first; always the same for the same
 * knives. Tasks of a knife stand behind what they need.
 */
export function schedule(
  jobs: readonly Job[],
  fromMs: number,
  days: WorkDays,
  capacity: Capacity = {},
): Schedule {
  const nodes = nodesOf(jobs);
  const longest = Math.max(0, ...days.hours.map((h) => (h ? h.toMin - h.fromMin : 0)));
  const tooLong = nodes.find(({ task: t }) => t.activeMin > longest && (longest === 0 || !maySplit(t.kind)));
  if (tooLong)
    return { ok: false, code: "too-long", knife: tooLong.knife, id: tooLong.task.id, longestMin: longest };
  const ways = waysToEnd(nodes);
  const placed = new Map<string, Placed>();
  const rank = new Map(nodes.map((n, i) => [n.key, i]));
  let bookings = new Bookings(days, capacity);
  const open = groups(nodes);
  const priority = (group: readonly Node[]) => Math.max(...group.map((n) => ways.get(n.key) ?? 0));
  while (open.length > 0) {
    const ready = open.filter((group) =>
      group.every((n) => n.needs.every(({ key }) => placed.has(key) || group.some((g) => g.key === key))),
    );
    const next = ready.reduce((a, b) =>
      priority(b) > priority(a) || (priority(b) === priority(a) && rank.get(b[0].key)! < rank.get(a[0].key)!)
        ? b
        : a,
    );
    const found = placeGroup(next, placed, bookings, fromMs, days);
    if (!found) return { ok: false, code: "no-room", knife: next[0].knife, id: next[0].task.id };
    for (const [key, p] of found.placed) placed.set(key, p);
    bookings = found.bookings;
    open.splice(open.indexOf(next), 1);
  }
  const all = [...placed.values()].sort((a, b) => a.startMs - b.startMs || a.endMs - b.endMs);
  const finishMs = all.reduce((most, p) => Math.max(most, p.endMs), fromMs);
  return { ok: true, placed: all, finishMs, lowerBoundMs: lowerBound(nodes, fromMs, days) };
}

/** A group at the earliest time at which it keeps within its lags. */
function placeGroup(
  group: readonly Node[],
  there: ReadonlyMap<string, Placed>,
  bookings: Bookings,
  fromMs: number,
  days: WorkDays,
): { readonly placed: ReadonlyMap<string, Placed>; readonly bookings: Bookings } | null {
  let begin = fromMs;
  for (let i = 0; i < MOST_TRIES; i++) {
    const mine = new Map<string, Placed>();
    const trial = bookings.copy();
    let late = false;
    for (const node of group) {
      const endOf = (key: string) => (mine.get(key) ?? there.get(key))?.endMs ?? fromMs;
      const least = node.needs.reduce((most, n) => Math.max(most, endOf(n.key) + n.minMs), begin);
      const p = placeOne(node, least, trial, days);
      if (!p) return null;
      late = node.needs.some((n) => n.maxMs !== null && p.startMs > endOf(n.key) + n.maxMs);
      if (late) break;
      mine.set(node.key, p);
      trial.book(p, node.task.resources);
    }
    if (!late) return { placed: mine, bookings: trial };
    const first = mine.get(group[0].key);
    begin = Math.max(begin, first?.startMs ?? begin) + STEP_MS;
    begin = nextWork(begin, days) ?? begin;
  }
  return null;
}
