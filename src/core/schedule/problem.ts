import type { Resource } from "../plan/taskKinds";
import { Calendar, type WorkDays } from "./calendar";
import type { Capacity } from "./job";
import type { Before, Operation } from "./operations";
import { isPlaced, PLACED, type Place, type State } from "./state";
import { freeAt, freed, taken } from "./units";

/** What follows an operation: least and greatest lag. */
interface After {
  readonly op: number;
  readonly minMs: number;
  readonly maxMs: number;
}

/** A place, or by how much it would be late. */
type Tried = { readonly ok: true; readonly place: Place } | { readonly ok: false; readonly lateMs: number };

const NEVER: Tried = { ok: false, lateMs: Number.POSITIVE_INFINITY };
/** What has to keep together is moved on so many times at most. */
const MOST_MOVES = 30;

/** Operations to place in a calendar by one pair of hands, with so much of each resource. */
export class Problem {
  readonly calendar: Calendar;
  readonly after: readonly (readonly After[])[];
  /** Whether something must follow an operation within a time. */
  readonly mustFollow: readonly boolean[];
  /** The longest way from an operation's beginning to the end of all, ms, breaks left out. */
  readonly tailMs: Float64Array;
  /** The longest way from the end of its work to the end of all, ms. */
  readonly restMs: Float64Array;
  /** Operations with hands, those of the longest rest first. */
  private readonly byRest: readonly number[];
  private readonly resources: readonly Resource[];
  private readonly taken: readonly (readonly { readonly r: number; readonly units: number }[])[];
  /** What follows each operation within a time takes: that long before it is free it may begin at the earliest. */
  private readonly followed: readonly (readonly {
    readonly r: number;
    readonly units: number;
    readonly aheadMs: number;
  }[])[];
  /** What each operation frees at its end of what another took. */
  private readonly freed: readonly { readonly r: number; readonly units: number }[][];

  constructor(
    readonly operations: readonly Operation[],
    readonly fromMs: number,
    days: WorkDays,
    readonly capacity: Capacity,
  ) {
    this.calendar = new Calendar(fromMs, days);
    const after: After[][] = operations.map(() => []);
    operations.forEach(({ needs }, i) => {
      for (const { of, minMs, maxMs } of needs) after[of].push({ op: i, minMs, maxMs });
    });
    this.after = after;
    this.mustFollow = after.map((list) => list.some((a) => Number.isFinite(a.maxMs)));
    this.tailMs = new Float64Array(operations.length);
    for (let i = operations.length - 1; i >= 0; i--)
      this.tailMs[i] =
        operations[i].occupiesMs +
        operations[i].waitMs +
        after[i].reduce((most, a) => Math.max(most, a.minMs + this.tailMs[a.op]), 0);
    this.restMs = this.tailMs.map((tail, i) => tail - operations[i].occupiesMs);
    this.byRest = operations
      .flatMap((o, i) => (o.occupiesMs > 0 ? [i] : []))
      .sort((a, b) => this.restMs[b] - this.restMs[a]);
    this.resources = [...new Set(operations.flatMap((o) => o.takes.map((t) => t.resource)))];
    this.taken = operations.map((o) =>
      o.takes.map(({ resource, units }) => ({ r: this.resources.indexOf(resource), units })),
    );
    this.followed = operations.map((o, i) =>
      o.untilTakenOut
        ? []
        : after[i]
            .filter((a) => Number.isFinite(a.maxMs))
            .flatMap((a) =>
              // What splits may end later than its work lasts, over breaks.
              o.split
                ? []
                : this.taken[a.op].map((t) => ({ ...t, aheadMs: o.occupiesMs + o.waitMs + a.maxMs })),
            ),
    );
    const freed: { r: number; units: number }[][] = operations.map(() => []);
    operations.forEach((o, i) => {
      if (o.freedBy !== i) freed[o.freedBy].push(...this.taken[i]);
    });
    this.freed = freed;
  }

  capacityOf(resource: Resource): number {
    return this.capacity[resource] ?? 1;
  }

  begin(): State {
    const { operations: ops, fromMs } = this;
    const waitsFor = Int16Array.from(ops, (o) => o.needs.length);
    const state: State = {
      freeMs: fromMs,
      finishMs: fromMs,
      left: ops.length,
      handsLeftMs: ops.reduce((sum, o) => sum + o.occupiesMs, 0),
      waitsFor,
      readyMs: Float64Array.from(ops, (o) => Math.max(fromMs, o.notBeforeMs)),
      latestMs: Float64Array.from(ops, (o) => o.latestMs),
      units: this.resources.map((r) => new Float64Array(this.capacityOf(r)).fill(fromMs)),
      pending: ops.flatMap((o, i) => (Number.isFinite(o.latestMs) ? [i] : [])),
      ready: ops.flatMap((o, i) => (o.needs.length === 0 ? [i] : [])),
      last: null,
    };
    return this.withWaits(state);
  }

  /** When an operation could begin at the earliest, all that it needs being placed; infinite while that is not known. */
  startMs(state: State, op: number, notBeforeMs = 0): number {
    const o = this.operations[op];
    let startMs = Math.max(state.readyMs[op], notBeforeMs);
    for (const { r, units } of this.taken[op]) startMs = Math.max(startMs, freeAt(state.units[r], units));
    for (const { r, units, aheadMs } of this.followed[op]) {
      const free = freeAt(state.units[r], units);
      if (Number.isFinite(free)) startMs = Math.max(startMs, free - aheadMs);
    }
    return o.occupiesMs > 0
      ? this.calendar.begin(Math.max(startMs, state.freeMs), o.occupiesMs, o.split)
      : startMs;
  }

  /** Where an operation would go at the earliest, all that it needs being placed. */
  place(state: State, op: number, notBeforeMs = 0): Tried {
    const startMs = this.startMs(state, op, notBeforeMs);
    if (!Number.isFinite(startMs)) return NEVER;
    const lateMs = startMs - state.latestMs[op];
    if (lateMs > 0) return { ok: false, lateMs };
    const o = this.operations[op];
    const handsMs = this.calendar.end(startMs, o.occupiesMs);
    const overMs = handsMs + o.waitMs;
    const releaseMs = o.waitMs > 0 ? this.calendar.next(overMs) : handsMs;
    if (!Number.isFinite(releaseMs)) return NEVER;
    return {
      ok: true,
      place: { op, startMs, handsMs, endMs: o.untilTakenOut ? releaseMs : overMs, releaseMs },
    };
  }

  /** The schedule with an operation more, in the place of the one before where that is used up. */
  private with(state: State, place: Place, useUp = false): State {
    const { op, startMs, handsMs, endMs, releaseMs } = place;
    const o = this.operations[op];
    const waitsFor = useUp ? state.waitsFor : state.waitsFor.slice();
    waitsFor[op] = PLACED;
    const readyMs = useUp ? state.readyMs : state.readyMs.slice();
    let latestMs = state.latestMs;
    const ready = state.ready.filter((i) => i !== op);
    let pending = state.pending.includes(op) ? state.pending.filter((i) => i !== op) : state.pending;
    for (const { op: next, minMs, maxMs } of this.after[op]) {
      readyMs[next] = Math.max(readyMs[next], endMs + minMs);
      if (Number.isFinite(maxMs)) {
        if (latestMs === state.latestMs && !useUp) latestMs = state.latestMs.slice();
        latestMs[next] = Math.min(latestMs[next], endMs + maxMs);
        if (!pending.includes(next)) pending = [...pending, next];
      }
      if (--waitsFor[next] === 0) ready.push(next);
    }
    const units = state.units.slice();
    const mine = o.freedBy === op;
    for (const { r, units: n } of this.taken[op])
      units[r] = taken(units[r], n, startMs, mine ? releaseMs : Number.POSITIVE_INFINITY);
    for (const { r, units: n } of this.freed[op]) units[r] = freed(units[r], n, releaseMs);
    return {
      freeMs: o.occupiesMs > 0 ? handsMs : state.freeMs,
      finishMs: Math.max(state.finishMs, endMs),
      left: state.left - 1,
      handsLeftMs: state.handsLeftMs - o.occupiesMs,
      waitsFor,
      readyMs,
      latestMs,
      units,
      pending,
      ready,
      last: { place, before: state.last },
    };
  }

  /** What takes no hands begins as soon as it can. */
  private withWaits(state: State, useUp = false): State {
    let now = state;
    for (;;) {
      const op = now.ready.find((i) => this.operations[i].occupiesMs === 0 && this.place(now, i).ok);
      if (op === undefined) return now;
      const tried = this.place(now, op);
      if (!tried.ok) return now;
      now = this.with(now, tried.place, useUp);
    }
  }

  /**
   * By how much something that has to begin by some time would be late, were it all that is done next; 0 where it is not.
   * `all` looks at what has to begin soonest first and the others behind it, which is more than has to be.
   */
  private lateMs(state: State, all: boolean): number {
    let now = state;
    for (const op of [...state.pending].sort((a, b) => state.latestMs[a] - state.latestMs[b])) {
      const found = this.placedWay(all ? now : state, op);
      if (!found.ok) return found.lateMs;
      now = found.state;
    }
    return 0;
  }

  /** The schedule with an operation and all that it waits for placed next; or by how much that would be late. */
  private placedWay(
    state: State,
    op: number,
  ): { readonly ok: true; readonly state: State } | { readonly ok: false; readonly lateMs: number } {
    let now = state;
    for (const i of this.wayTo(state, op)) {
      if (isPlaced(now, i)) continue;
      let tried = this.place(now, i);
      if (!tried.ok && !Number.isFinite(tried.lateMs)) {
        // What it takes is held until something else is over, which is waited for.
        now = this.withFreed(now, i);
        tried = this.place(now, i);
      }
      if (!tried.ok) return tried;
      now = this.withWaits(this.with(now, tried.place));
    }
    return { ok: true, state: now };
  }

  /** The schedule with all placed that frees what an operation takes. */
  private withFreed(state: State, op: number): State {
    const wanted = new Set(this.operations[op].takes.map((t) => t.resource));
    let now = state;
    for (let at = state.last; at; at = at.before) {
      const { takes, freedBy } = this.operations[at.place.op];
      if (isPlaced(now, freedBy) || !takes.some((t) => wanted.has(t.resource))) continue;
      for (const i of this.wayTo(now, freedBy)) {
        const tried = isPlaced(now, i) ? null : this.place(now, i);
        if (tried?.ok) now = this.withWaits(this.with(now, tried.place));
      }
    }
    return now;
  }

  /** What is to be placed up to an operation, in order; itself last. */
  private wayTo(state: State, op: number): number[] {
    const way: number[] = [];
    const seen = new Set<number>();
    const visit = (i: number, needs: readonly Before[]) => {
      if (seen.has(i)) return;
      seen.add(i);
      if (state.waitsFor[i] > 0)
        for (const { of } of needs) if (!isPlaced(state, of)) visit(of, this.operations[of].needs);
      way.push(i);
    };
    visit(op, this.operations[op].needs);
    return way;
  }

  /**
   * The schedule with an operation placed as early as what follows it within a time allows; null where it cannot be placed,
   * or would make late what was placed before it. `all` leaves time for all of that one after the other, and
   * may use up the schedule that it is given.
   */
  extended(state: State, op: number, all = false): State | null {
    if (all && state.pending.length === 0 && !this.mustFollow[op]) {
      const tried = this.place(state, op);
      return tried.ok ? this.withWaits(this.with(state, tried.place, true), true) : null;
    }
    let notBeforeMs = 0;
    for (let i = 0; i < MOST_MOVES; i++) {
      const tried = this.place(state, op, notBeforeMs);
      if (!tried.ok) return null;
      const next = this.withWaits(this.with(state, tried.place));
      if (next.pending.length === 0) return next;
      const lateMs = this.lateMs(next, all);
      if (lateMs === 0) return next;
      if (!Number.isFinite(lateMs)) return null;
      notBeforeMs = tried.place.startMs + lateMs;
    }
    return null;
  }

  /** Nothing that goes on from here finishes before: by its chains, and by the work that is left. */
  boundMs(state: State): number {
    return Math.max(this.chainMs(state), this.workMs(state));
  }

  /** Each chain through the calendar with hands and resources free: when the longest is over. */
  chainMs(state: State): number {
    const { operations, calendar, after } = this;
    const free = calendar.next(state.freeMs);
    const earliest = state.readyMs.slice();
    let most = state.finishMs;
    for (let i = 0; i < operations.length; i++) {
      if (isPlaced(state, i)) continue;
      const o = operations[i];
      let end = earliest[i];
      if (o.occupiesMs > 0)
        end = calendar.end(calendar.begin(Math.max(free, end), o.occupiesMs, o.split), o.occupiesMs);
      end += o.waitMs;
      if (o.untilTakenOut) end = calendar.next(end);
      most = Math.max(most, end);
      for (const { op, minMs } of after[i]) earliest[op] = Math.max(earliest[op], end + minMs);
    }
    return most;
  }

  /**
   * Work through the calendar, what has the longest way to go after it first: when the last way is over. In any order some
   * of those that have at least so long a way is the last of them.
   */
  private workMs(state: State): number {
    const free = this.calendar.next(state.freeMs);
    let most = state.finishMs;
    let handsMs = 0;
    for (const i of this.byRest) {
      if (isPlaced(state, i)) continue;
      handsMs += this.operations[i].occupiesMs;
      most = Math.max(most, this.calendar.end(free, handsMs) + this.restMs[i]);
    }
    return most;
  }
}
