import { roundTo } from "../../base/number";
import { withValueAt } from "../../base/record/path";
import { keepsLocks, keepsMeasured } from "../../knife/design/marks";
import { refusalOf } from "../../knife/design/refusal";
import type { Design } from "../../knife/design/schema";
import { type Fault, isError } from "../../knife/parts/faults";
import { faultsOf } from "../weigh/faults";
import { applyFix } from "./fixes";
import { type Place, type Places, placesOf } from "./mendPlaces";
import { OF_READINGS, wholeFixes } from "./mendWholes";
import { changesOf } from "./offers";
import type { Finding, Fix, Offer } from "./types";

/** Faults that no single number has to do with. */
const OF_WHOLE: ReadonlySet<string> = new Set([
  "unknown-material",
  "duplicate-id",
  "tang-and-handle-apart",
  "bare-needs-full-tang",
  "left-grind-unused",
  "wrap-no-pommel",
  "shape-missing",
  "shape-crosses-itself",
  "shape-too-folded",
  "shapes-too-fine",
  "design-too-detailed",
]);

const isOfWhole = ({ rule }: Pick<Fault, "rule">) => OF_WHOLE.has(rule);

/** Faults that are mended at a time. */
const MOST_FAULTS = 6;

/** With more numbers than these none is searched: an item is taken out instead. */
const MANY_NUMBERS = 250;

/** So many ways to mend one fault are offered at most. */
const MOST = 3;

type Sign = 1 | -1;

const keyOf = ({ rule, subject }: Pick<Fault, "rule" | "subject">) => `${rule} ${subject}`;

/** What says that a change does something to a fault: what it says of it. */
const saysOf = ({ measured, limit, at }: Pick<Fault, "measured" | "limit" | "at">) =>
  JSON.stringify([measured, limit, at]);

/** How far a number is moved to see whether a fault has to do with it: as a share of it, and at least, mm or degrees. */
const PROBE_SHARE = 0.03;
const PROBE_LEAST = 0.05;

/** Steps that are tried of a number, as shares of it, the smallest first; and what a number counts at least for that. */
const STEPS = [0.02, 0.05, 0.1, 0.2, 0.4, 0.7, 1, 1.6, 2.5, 4] as const;
const LEAST_SIZE = 1;
const HALVINGS = 7;

/** A design with faults, and what else may be done with it. */
class Mending {
  private readonly errors: ReadonlySet<string>;
  private readonly places: Places;
  private readonly probed = new Map<string, readonly Fault[]>();

  constructor(
    private readonly design: Design,
    faults: readonly Fault[],
  ) {
    this.errors = new Set(faults.filter(isError).map(keyOf));
    this.places = placesOf(design);
  }

  /** Whether a fix takes a fault away, brings no other, and can be kept. */
  private mends(fault: Fault, fix: Fix): boolean {
    const next = this.applied(fix);
    if (!next) return false;
    return faultsOf(next).every(
      (f) => !isError(f) || (this.errors.has(keyOf(f)) && keyOf(f) !== keyOf(fault)),
    );
  }

  /** Whether steel that is finished and was measured may be drawn otherwise: only where nothing else mends. */
  private redraws = false;

  private applied(fix: Fix): Design | null {
    const { design } = this;
    const next = applyFix(design, fix);
    if (next === design || refusalOf(next) || !keepsLocks(design, next)) return null;
    return this.redraws || keepsMeasured(design, next) ? next : null;
  }

  private set(path: string, value: number): Fix {
    return { kind: "set", changes: [{ path, value }] };
  }

  /** What is found of the design with a number moved a little; the same for all faults. */
  private movedALittle({ path, value, limits }: Place): readonly Fault[] {
    const before = this.probed.get(path);
    if (before) return before;
    const step = Math.max(PROBE_LEAST, Math.abs(value) * PROBE_SHARE);
    const to = value + step <= limits.high ? value + step : value - step;
    const next = withValueAt(this.design, path, to);
    const found = next && !refusalOf(next) ? faultsOf(next) : [];
    this.probed.set(path, found);
    return found;
  }

  /** The numbers that a fault has to do with. */
  private numbersOf(fault: Fault): readonly Place[] {
    const says = saysOf(fault);
    return this.places.numbers.filter((place) => {
      const then = this.movedALittle(place).find((f) => keyOf(f) === keyOf(fault));
      return !then || saysOf(then) !== says;
    });
  }

  /** Whether a number set so mends a fault. */
  private holds = (fault: Fault, { path }: Place, to: number): boolean =>
    this.mends(fault, this.set(path, to));

  /** The least changes of single numbers that mend a fault, the smallest first: the same step is tried of all at a time. */
  private leastChanges(fault: Fault): readonly Move[] {
    const ways = this.numbersOf(fault).flatMap((place) =>
      ([1, -1] as const).map((sign) => ({ place, sign, fails: place.value, ends: false })),
    );
    const moves: Move[] = [];
    for (const share of STEPS) {
      for (const way of ways) {
        if (way.ends) continue;
        const { value, limits } = way.place;
        const wanted = value + way.sign * share * sizeOf(way.place);
        const to = Math.min(limits.high, Math.max(limits.low, wanted));
        way.ends = to !== wanted;
        if (to === way.fails) continue;
        if (!this.holds(fault, way.place, to)) way.fails = to;
        else {
          way.ends = true;
          const move = this.narrowed(fault, way.place, way.fails, to, way.sign);
          if (move) moves.push(move);
        }
      }
      if (moves.length >= MOST) break;
    }
    return moves.sort((p, q) => p.share - q.share).slice(0, MOST);
  }

  /** The least number between one that fails and one that mends, as a maker would set it. */
  private narrowed(fault: Fault, place: Place, fails: number, mends: number, sign: Sign): Move | null {
    for (let k = 0; k < HALVINGS; k++) {
      const middle = (fails + mends) / 2;
      if (this.holds(fault, place, middle)) mends = middle;
      else fails = middle;
    }
    const { path, value, limits } = place;
    const isIn = (to: number) => to >= limits.low && to <= limits.high;
    const to = [outward(mends, 1, sign), outward(mends, 2, sign), roundTo(mends, 4)].find(
      (rounded) => isIn(rounded) && this.holds(fault, place, rounded),
    );
    return to === undefined ? null : { path, to, share: Math.abs(to - value) / sizeOf(place) };
  }

  /** Ways to mend a fault: a number by the least share first, then what is taken away. */
  offers(fault: Fault): readonly Offer[] {
    this.redraws = false;
    const kept = this.waysFor(fault);
    this.redraws = this.design.blade.measured !== null;
    const ways = kept.length > 0 || !this.redraws ? kept : this.waysFor(fault);
    return ways.map((fix) => ({ fix, changes: changesOf(this.design, fix), massG: null, balanceMm: null }));
  }

  private waysFor(fault: Fault): readonly Fix[] {
    const isOfNumbers =
      this.places.numbers.length <= MANY_NUMBERS && !OF_READINGS.has(fault.rule) && !isOfWhole(fault);
    const moves = isOfNumbers ? this.leastChanges(fault) : [];
    const sets = moves.map((move) => this.set(move.path, move.to));
    return [...sets, ...this.others(fault, MOST - sets.length)];
  }

  /** What may be taken away, or made otherwise as a whole, so that a fault is gone. */
  private others(fault: Fault, most: number): readonly Fix[] {
    if (most <= 0) return [];
    const found: Fix[] = [];
    for (const fix of wholeFixes(this.design, fault, this.places)) {
      if (found.length === most) break;
      if (!this.mends(fault, fix)) continue;
      found.push(fix);
      if (this.places.numbers.length > MANY_NUMBERS) break;
      // What was read is left open once, not all of it.
      if (fix.kind === "clear" && OF_READINGS.has(fault.rule)) break;
    }
    return found;
  }
}

interface Move {
  readonly path: string;
  readonly to: number;
  /** Of the number. */
  readonly share: number;
}

const sizeOf = ({ value }: Place) => Math.max(LEAST_SIZE, Math.abs(value));

/** Rounded to so many digits, away from where it came from. */
function outward(value: number, digits: number, sign: Sign): number {
  const of = 10 ** digits;
  return (sign > 0 ? Math.ceil(value * of - 1e-6) : Math.floor(value * of + 1e-6)) / of;
}

/**
 * What keeps a design from being built, each with what would mend it, tried on the whole design: it takes that fault away,
 * brings no other, and leaves alone what is locked and what was read off a scale. Of very many faults the first: the others
 * have their turn when those are mended. Empty of a design that can be built.
 */
export function mendsOf(design: Design): readonly Finding[] {
  const faults = faultsOf(design);
  if (!faults.some(isError)) return [];
  const mending = new Mending(design, faults);
  const errors = faults.filter(isError);
  const first = [...errors.filter(isOfWhole), ...errors.filter((f) => !isOfWhole(f))].slice(0, MOST_FAULTS);
  return errors.map((fault) => (first.includes(fault) ? { ...fault, fixes: mending.offers(fault) } : fault));
}
