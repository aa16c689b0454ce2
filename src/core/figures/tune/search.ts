import { clamp } from "../../base/number";
import { ROUNDING } from "../../base/tolerances";
import { assemble } from "../../knife/assembly/assemble";
import type { Design } from "../../knife/design/schema";
import { outside } from "../../knife/design/uses";
import { memoryOf } from "../weigh/momentsOf";
import { type Figures, figuresOf } from "./effects";
import { badness, type Goal, missesOf } from "./goals";
import type { Lever } from "./lever";
import { withLevers } from "./levers";
import { addsMass, aim, leastChange, type Slope, type Strategy, slopeOf, weightOf } from "./sets";

export type Amounts = ReadonlyMap<string, number>;

/** What a knife weighs with levers moved by so much, or null where it cannot be built. Each is weighed once. */
export type Trial = (amounts: Amounts) => Figures | null;

/** Trials of one knife, which give each changed knife back as it was weighed. */
export interface Trials extends Trial {
  designOf(amounts: Amounts): Design | null;
}

/** Trials of one design: the searches of several strategies meet the same ones again and again. */
export function trialsOf(design: Design): Trials {
  const known = new Map<string, { readonly design: Design | null; readonly figures: Figures | null }>();
  const tried = (amounts: Amounts) => {
    const moves = [...amounts].filter(([, a]) => a !== 0).sort(([a], [b]) => a.localeCompare(b));
    const key = JSON.stringify(moves);
    let entry = known.get(key);
    if (!entry) {
      const changed = moves.length > 0 ? withLevers(design, amounts) : design;
      entry = { design: changed, figures: figuresOf(changed, memoryOf(assemble(design))) };
      known.set(key, entry);
    }
    return entry;
  };
  return Object.assign((amounts: Amounts) => tried(amounts).figures, {
    designOf: (amounts: Amounts) => tried(amounts).design,
  });
}

/** Rounds of moving along the slopes. */
const ROUNDS = 12;
/** A round that leaves more than this share of what was missing has its slopes taken anew. */
const STALLED = 0.4;

/** Slopes of weight and of each goal's figure for a step of each length, about the point that some amounts reach. */
export function slopesAt(
  trial: Trial,
  levers: readonly Lever[],
  amounts: Amounts,
  now: Figures,
  goals: readonly Goal[],
): Slope[] {
  const lengths = levers.filter((l) => l.unit === "mm" && l.high > l.low);
  return lengths.flatMap((lever): Slope[] => {
    const at = amounts.get(lever.id) ?? 0;
    // Up where that can be, else down.
    const half = 0.5 * lever.step;
    const tried = (by: number) => trial(new Map(amounts).set(lever.id, at + by));
    let by = at + half <= lever.high ? half : -half;
    let then = tried(by);
    if (!then && by > 0 && at - half >= lever.low) {
      by = -half;
      then = tried(by);
    }
    if (!then) return [];
    // Per step, so that a step of any lever is as dear as one of another.
    const perStep = lever.step / by;
    const reached = then;
    const of = new Map(goals.map((g) => [g.id, (g.of(reached) - g.of(now)) * perStep]));
    return [{ lever, massG: (then.massG - now.massG) * perStep, of }];
  });
}

interface Move {
  readonly lever: Lever;
  readonly to: number;
}

/**
 * The least change along the slopes that brings what is needed of each figure. A lever that would pass its limit is set to
 * it, and the rest make up for it. Figures that cannot be brought at once are left out, the last ones first.
 */
function movesFor(
  slopes: readonly Slope[],
  amounts: Amounts,
  goals: readonly Goal[],
  needs: readonly number[],
  watched: readonly boolean[],
  strategy: Strategy,
): Move[] {
  const atOf = (s: Slope) => amounts.get(s.lever.id) ?? 0;
  let free = slopes;
  let left = needs;
  const moves: Move[] = [];
  while (free.length > 0) {
    const rows = goals.flatMap((g, i) =>
      watched[i] ? [{ by: free.map((s) => slopeOf(s, g)), need: left[i] }] : [],
    );
    const weights = free.map((s) => weightOf(s.lever, strategy, addsMass(s, goals, needs)));
    let d: number[] | null = null;
    for (let many = rows.length; many > 0 && !d; many--) {
      const some = rows.slice(0, many);
      d = leastChange(
        some.map((row) => row.by),
        some.map((row) => row.need),
        weights,
      );
    }
    if (!d) break;
    const steps = d;
    const to = free.map((s, i) => atOf(s) + steps[i] * s.lever.step);
    const over = free.findIndex(
      ({ lever }, i) => to[i] < lever.low - ROUNDING || to[i] > lever.high + ROUNDING,
    );
    if (over < 0) return [...moves, ...free.map(({ lever }, i) => ({ lever, to: to[i] }))];
    const stopped = free[over];
    const limit = clamp(to[over], stopped.lever.low, stopped.lever.high);
    const made = (limit - atOf(stopped)) / stopped.lever.step;
    moves.push({ lever: stopped.lever, to: limit });
    left = left.map((need, i) => need - slopeOf(stopped, goals[i]) * made);
    free = free.filter((s) => s !== stopped);
  }
  return moves;
}

/** Where a lever could be moved no farther, since the knife could not be built there, and which way it was going. */
export interface Stop {
  readonly at: number;
  readonly toward: 1 | -1;
}

/** What a search came to: amounts, and the levers that stopped short of where they were wanted. */
export interface Found {
  readonly amounts: Amounts;
  readonly stops: ReadonlyMap<string, Stop>;
}

/** Halvings that find where a lever stops: to a thirty-second of its move. */
const HALVINGS = 5;

/**
 * The moves made one after the other, each as far as the knife can still be built. Amounts reached, and which levers
 * stopped short.
 */
function asFarAsBuilt(trial: Trial, from: Amounts, moves: readonly Move[]): Found {
  let amounts = from;
  const stops = new Map<string, Stop>();
  for (const { lever, to } of moves) {
    const at = amounts.get(lever.id) ?? 0;
    const moved = (share: number) => new Map(amounts).set(lever.id, at + (to - at) * share);
    if (trial(moved(1))) {
      amounts = moved(1);
      continue;
    }
    let [built, step] = [0, 0.5];
    for (let k = 0; k < HALVINGS; k++, step /= 2) if (trial(moved(built + step))) built += step;
    if (built > 0) amounts = moved(built);
    stops.set(lever.id, { at: at + (to - at) * built, toward: to >= at ? 1 : -1 });
  }
  return { amounts, stops };
}

/** A lever that goes no farther than where it stopped, on that side. */
function stopped(lever: Lever, stop: Stop | undefined): Lever {
  if (!stop) return lever;
  const { at, toward } = stop;
  return toward > 0 ? { ...lever, high: Math.max(0, at) } : { ...lever, low: Math.min(0, at) };
}

/**
 * One strategy from one start: lengths are solved for, the choice is given. `known` are slopes about the knife as it is;
 * they serve until they lead no further. A lever that cannot be moved farther stays where it stopped, and the others go
 * on. Null where the start cannot be built.
 */
export function search(
  trial: Trial,
  levers: readonly Lever[],
  known: readonly Slope[],
  goals: readonly Goal[],
  strategy: Strategy,
  choice: string | null,
): Found | null {
  let lengths = levers.filter((l) => l.unit === "mm" && l.high > l.low);
  let amounts: Amounts = new Map<string, number>(choice ? [[choice, 1]] : []);
  const stops = new Map<string, Stop>();
  let now = trial(amounts);
  if (!now) return null;
  const aimed = goals.map((g) => ({ ...g, window: aim(g.window) }));
  const missed = (f: Figures) => badness(missesOf(f, aimed));
  let slopes = known.filter((s) => lengths.some((l) => l.id === s.lever.id));
  let fresh = choice === null;
  let watched = goals.map(() => false);
  for (let round = 0; round < ROUNDS; round++) {
    const figures: Figures = now;
    const needs = aimed.map((g) => -outside(g.of(figures), g.window) + 0);
    const bad = missed(figures);
    if (bad === 0) break;
    // What was outside once stays watched, so that fixing one does not spoil the other.
    watched = watched.map((before, i) => before || needs[i] !== 0);
    const moves = movesFor(slopes, amounts, goals, needs, watched, strategy);
    let tried: Amounts = new Map([...amounts, ...moves.map((m) => [m.lever.id, m.to] as const)]);
    let next = moves.length > 0 ? trial(tried) : null;
    let held = false;
    if (!next && moves.length > 0) {
      const reached = asFarAsBuilt(trial, amounts, moves);
      for (const [id, stop] of reached.stops) stops.set(id, stop);
      const within = (l: Lever) => stopped(l, reached.stops.get(l.id));
      lengths = lengths.map(within);
      slopes = slopes.map((s) => ({ ...s, lever: within(s.lever) }));
      held = true;
      tried = reached.amounts;
      next = trial(tried);
    }
    const better = next !== null && missed(next) <= STALLED * bad;
    const stuck = next === null || missed(next) >= bad;
    if (next && (better || ((fresh || held) && !stuck))) {
      // Slopes that were just taken are believed, even where they lead only a little further.
      amounts = tried;
      now = next;
      fresh = false;
    } else if (fresh && !held) break;
    else if (!held) {
      slopes = slopesAt(trial, lengths, amounts, now, goals);
      fresh = true;
    }
  }
  return { amounts, stops };
}
