import { randomStream } from "../base/random";
import type { Problem } from "./problem";
import type { Place, State } from "./state";

/** So many operations are placed in the best order of all: none of the schedules in parts is left out, up to so many. */
const SOLVED_EXACTLY = 14;
const MOST_EXACT = 60_000;
/** Of more operations so many schedules in parts are gone on from, fewer the more there are: each costs their square. */
const MOST_WIDE = 200;
const STATES = 100_000;
/** Of more operations than this only one order is tried. */
const MANY = 600;

export type Found =
  | {
      readonly ok: true;
      readonly places: readonly Place[];
      readonly finishMs: number;
      /** How many operations begin later than wished. */
      readonly missed: number;
    }
  | { readonly ok: false; readonly op: number };

const placesOf = (state: State): Place[] => {
  const places: Place[] = [];
  for (let at = state.last; at; at = at.before) places.push(at.place);
  return places.reverse();
};

/** Ready operations that hands do, what is first by some order before the others. */
const handled = (problem: Problem, state: State): number[] =>
  state.ready.filter((i) => problem.operations[i].occupiesMs > 0);

/** One operation after the other: of those that hands can begin at once the one that comes first, else the one that can begin first. */
function dispatched(problem: Problem, first: Float64Array): State | { readonly blocked: number } {
  let state = problem.begin();
  while (state.left > 0) {
    const all = handled(problem, state);
    // What must be followed soon waits until what had to follow before has begun.
    const calm = all.filter(
      (op) => state.pending.length === 0 || state.pending.includes(op) || !problem.mustFollow[op],
    );
    const best: State | null =
      soonest(problem, state, calm, first) ??
      (calm.length < all.length ? soonest(problem, state, all, first) : null);
    if (!best) return { blocked: all[0] ?? state.ready[0] ?? 0 };
    state = best;
  }
  return state;
}

/** The schedule with the operation more that hands can begin first; of those that can at once the one that comes first. */
function soonest(
  problem: Problem,
  state: State,
  candidates: readonly number[],
  first: Float64Array,
): State | null {
  const left = candidates.map((op) => ({ op, startMs: problem.startMs(state, op) }));
  let best: State | null = null;
  while (left.length > 0) {
    let at = 0;
    for (let i = 1; i < left.length; i++) if (isBefore(left[i], left[at], first)) at = i;
    const { op, startMs } = left[at];
    if (!Number.isFinite(startMs) || (best && startMs >= startOf(best))) break;
    left.splice(at, 1);
    // What must be followed soon may have to begin later.
    const extended = problem.extended(state, op, true);
    if (extended && !(best && startOf(extended) >= startOf(best))) best = extended;
  }
  return best;
}

interface Candidate {
  readonly op: number;
  readonly startMs: number;
}

const isBefore = (a: Candidate, b: Candidate, first: Float64Array): boolean =>
  a.startMs < b.startMs ||
  (a.startMs === b.startMs && (first[a.op] > first[b.op] || (first[a.op] === first[b.op] && a.op < b.op)));

/** When the hands of the operation that was placed last begin: what only waits was placed after it. */
function startOf(state: State): number {
  let at = state.last;
  while (at && at.place.handsMs === at.place.startMs && at.before) at = at.before;
  return at?.place.startMs ?? 0;
}

/** Orders to try: by the longest way to the end, an hour of hands weighing as four of waiting, as one, or as ten. */
const WEIGHTS = [4, 1, 10] as const;

function ordersOf(problem: Problem): Float64Array[] {
  const { operations, after } = problem;
  const wished = wishedFirst(problem);
  return WEIGHTS.map((weight) => {
    const way = new Float64Array(operations.length);
    for (let i = operations.length - 1; i >= 0; i--)
      way[i] =
        weight * operations[i].occupiesMs +
        operations[i].waitMs +
        after[i].reduce((most, a) => Math.max(most, a.minMs + way[a.op]), 0);
    return way.map((ms, i) => ms + wished[i]);
  });
}

/** Longer than any way to the end: what is wished by a day goes first, with all that it waits for, the soonest day first. */
const WISHED_MS = 1e12;

function wishedFirst({ operations, fromMs }: Problem): Float64Array {
  const first = new Float64Array(operations.length);
  for (let i = operations.length - 1; i >= 0; i--) {
    const { wishedByMs, needs } = operations[i];
    if (Number.isFinite(wishedByMs)) first[i] = Math.max(first[i], WISHED_MS - (wishedByMs - fromMs));
    for (const { of } of needs) first[of] = Math.max(first[of], first[i]);
  }
  return first;
}

/** How many operations begin later than wished. */
function missed({ operations }: Problem, state: State): number {
  let count = 0;
  for (let at = state.last; at; at = at.before)
    if (at.place.startMs >= operations[at.place.op].wishedByMs) count++;
  return count;
}

/** Whether a schedule keeps more of what is wished than another, or as much and finishes earlier. */
function isBetter(problem: Problem, a: State, b: State): boolean {
  const [x, y] = [missed(problem, a), missed(problem, b)];
  return x < y || (x === y && a.finishMs < b.finishMs);
}

/** So many orders are tried of so many operations: what they cost grows with the square of that. */
const ORDERS = 250_000;
const MOST_ORDERS = 300;

/**
 * Other orders, each a good one with some operations, or all of one knife, put earlier or later: those that finish earlier,
 * or as early with less ahead, are gone on from.
 */
function improved(
  problem: Problem,
  from: State,
  order: Float64Array,
  isBest: (state: State) => boolean,
): State {
  const random = randomStream(1);
  const { operations } = problem;
  const jobs = Math.max(...operations.map((o) => o.tasks[0].job)) + 1;
  const scale = Math.max(...order);
  let best = from;
  let bestEnds = endsMs(problem, from);
  let first = order;
  const tries = Math.min(MOST_ORDERS, Math.round(ORDERS / operations.length ** 2));
  for (let i = 0; i < tries && !isBest(best); i++) {
    const next = first.slice();
    const by = (random() - 0.5) * scale;
    const job = random() < 0.3 ? Math.floor(random() * jobs) : -1;
    const count = 1 + Math.floor(random() * 3);
    if (job >= 0)
      operations.forEach((o, k) => {
        if (o.tasks[0].job === job) next[k] += by;
      });
    else for (let k = 0; k < count; k++) next[Math.floor(random() * next.length)] += by;
    const found = dispatched(problem, next);
    if ("blocked" in found) continue;
    const ends = endsMs(problem, found);
    if (isBetter(problem, best, found)) continue;
    if (!isBetter(problem, found, best) && ends > bestEnds) continue;
    best = found;
    bestEnds = ends;
    first = next;
  }
  return best;
}

/** The ends of all operations, summed up. */
function endsMs(problem: Problem, state: State): number {
  let sum = 0;
  for (let at = state.last; at; at = at.before) sum += at.place.endMs - problem.fromMs;
  return sum;
}

/** How a schedule in parts compares with another of the same operations. */
function isNoWorse(a: State, b: State): boolean {
  if (a.freeMs > b.freeMs || a.finishMs > b.finishMs) return false;
  for (let i = 0; i < a.waitsFor.length; i++) {
    if (a.waitsFor[i] !== b.waitsFor[i]) return false;
    if (a.waitsFor[i] < 0) continue;
    if (a.readyMs[i] > b.readyMs[i]) return false;
    if (a.latestMs[i] < b.latestMs[i]) return false;
  }
  return a.units.every((u, r) => u.every((ms, k) => ms <= b.units[r][k]));
}

/** How much lies ahead: what each operation that is left could end all by, summed up. */
function aheadMs(problem: Problem, { waitsFor, readyMs, freeMs }: State): number {
  let sum = 0;
  for (let i = 0; i < waitsFor.length; i++)
    if (waitsFor[i] >= 0) sum += Math.max(readyMs[i], freeMs) - problem.fromMs + problem.tailMs[i];
  return sum;
}

/** Operations in parts, from none to all, those that promise least left out where they get too many. */
function beam(problem: Problem, wide: number, best: State | null): State | null {
  let states: State[] = [problem.begin()];
  let found = best;
  while (states.length > 0) {
    const next = new Map<string, { state: State; boundMs: number; ahead: number }[]>();
    for (const state of states)
      for (const op of worthwhile(problem, state)) {
        const extended = problem.extended(state, op);
        if (!extended) continue;
        if (extended.left === 0) {
          if (!found || extended.finishMs < found.finishMs) found = extended;
          continue;
        }
        const boundMs = problem.boundMs(extended);
        if (found && boundMs >= found.finishMs) continue;
        const key = extended.waitsFor.join();
        const known = next.get(key) ?? [];
        if (known.some((k) => isNoWorse(k.state, extended))) continue;
        const others = known.filter((k) => !isNoWorse(extended, k.state));
        next.set(key, [...others, { state: extended, boundMs, ahead: aheadMs(problem, extended) }]);
      }
    const all = [...next.values()].flat();
    if (all.length > wide) all.sort((a, b) => a.boundMs - b.boundMs || a.ahead - b.ahead);
    states = all.slice(0, wide).map((a) => a.state);
  }
  return found;
}

/** What could come next: nothing for which there would be time after another that holds nothing up. */
function worthwhile(problem: Problem, state: State): number[] {
  const placed = handled(problem, state).flatMap((op) => {
    const tried = problem.place(state, op);
    return tried.ok ? [tried.place] : [];
  });
  const free = placed.filter(
    ({ op }) => problem.operations[op].takes.length === 0 && !problem.mustFollow[op],
  );
  const soonest = Math.min(...free.map((p) => p.handsMs));
  return placed.filter((p) => p.startMs < soonest || p.handsMs === soonest).map((p) => p.op);
}

/**
 * Every operation placed, finishing as early as could be found: of up to 14 operations as early as can be.
 * Always the same for the same problem. `quick` looks at a few orders only.
 */
export function solved(problem: Problem, quick = false): Found {
  let best: State | null = null;
  let order: Float64Array | null = null;
  let blocked = 0;
  const n = problem.operations.length;
  const least = problem.boundMs(problem.begin());
  const isBest = (state: State | null) =>
    state !== null && !missed(problem, state) && state.finishMs <= least;
  for (const tried of n > MANY ? ordersOf(problem).slice(0, 1) : ordersOf(problem)) {
    const found = dispatched(problem, tried);
    if ("blocked" in found) blocked = found.blocked;
    else if (!best || isBetter(problem, found, best)) {
      best = found;
      order = tried;
    }
    if (isBest(best)) break;
  }
  if (best && order && !quick && n > SOLVED_EXACTLY) best = improved(problem, best, order, isBest);
  // By what is wished alone a search would not go.
  const isWished = problem.operations.some((o) => Number.isFinite(o.wishedByMs));
  const wide =
    quick || (isWished && best)
      ? 1
      : n <= SOLVED_EXACTLY
        ? MOST_EXACT
        : Math.min(MOST_WIDE, Math.round(STATES / n ** 2));
  if (wide > 1 && !isBest(best)) best = beam(problem, wide, best);
  return best
    ? { ok: true, places: placesOf(best), finishMs: best.finishMs, missed: missed(problem, best) }
    : { ok: false, op: blocked };
}
