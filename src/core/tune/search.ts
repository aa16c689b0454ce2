import { assemble } from "../assembly/assemble";
import type { Design } from "../design/schema";
import { outside } from "../design/uses";
import { clamp } from "../number";
import { ROUNDING } from "../tolerances";
import { memoryOf } from "../weigh/momentsOf";
import { type Figures, figuresOf, withLevers } from "./effects";
import type { Lever } from "./levers";
import { aim, leastChange, type Slope, type Strategy, type Target, weightOf } from "./sets";

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
/** Grams that are as bad to miss by as a millimetre. */
const GRAMS_A_MM = 10;

/** Slopes of weight and balance for a step of each length, about the point that some amounts reach. */
export function slopesAt(trial: Trial, levers: readonly Lever[], amounts: Amounts, now: Figures): Slope[] {
  const lengths = levers.filter((l) => l.unit === "mm" && l.high > l.low);
  return lengths.flatMap((lever): Slope[] => {
    const at = amounts.get(lever.id) ?? 0;
    const by = at + lever.step * 0.5 <= lever.high ? lever.step * 0.5 : -lever.step * 0.5;
    const then = trial(new Map(amounts).set(lever.id, at + by));
    if (!then) return [];
    // Per step, so that a step of any lever is as dear as one of another.
    const perStep = lever.step / by;
    return [{ lever, b: (then.balanceMm - now.balanceMm) * perStep, m: (then.massG - now.massG) * perStep }];
  });
}

interface Need {
  readonly b: number;
  readonly m: number;
}

interface Move {
  readonly lever: Lever;
  readonly to: number;
}

/**
 * The least change along the slopes that brings what is needed, in balance or mass or both. A lever that would pass its
 * limit is set to it, and the rest make up for it.
 */
function movesFor(
  slopes: readonly Slope[],
  amounts: Amounts,
  need: Need,
  watched: { readonly balance: boolean; readonly mass: boolean },
  strategy: Strategy,
): Move[] {
  const atOf = (s: Slope) => amounts.get(s.lever.id) ?? 0;
  let free = slopes;
  let left = need;
  const moves: Move[] = [];
  while (free.length > 0) {
    const rows: number[][] = [];
    const r: number[] = [];
    if (watched.balance) {
      rows.push(free.map((s) => s.b));
      r.push(left.b);
    }
    if (watched.mass) {
      rows.push(free.map((s) => s.m));
      r.push(left.m);
    }
    const weights = free.map((s) => weightOf(s.lever, strategy, s.m * Math.sign(s.b * (need.b || 1)) > 0));
    const d = leastChange(rows, r, weights) ?? leastChange(rows.slice(0, 1), r.slice(0, 1), weights);
    if (!d) break;
    const to = free.map((s, i) => atOf(s) + d[i] * s.lever.step);
    const over = free.findIndex(
      ({ lever }, i) => to[i] < lever.low - ROUNDING || to[i] > lever.high + ROUNDING,
    );
    if (over < 0) return [...moves, ...free.map(({ lever }, i) => ({ lever, to: to[i] }))];
    const stopped = free[over];
    const limit = clamp(to[over], stopped.lever.low, stopped.lever.high);
    const steps = (limit - atOf(stopped)) / stopped.lever.step;
    moves.push({ lever: stopped.lever, to: limit });
    left = { b: left.b - stopped.b * steps, m: left.m - stopped.m * steps };
    free = free.filter((s) => s !== stopped);
  }
  return moves;
}

/**
 * One strategy from one start: lengths are solved for, the choice is given. `known` are slopes about the knife as it is;
 * they serve until they lead no further. Null where the start cannot be built.
 */
export function search(
  trial: Trial,
  levers: readonly Lever[],
  known: readonly Slope[],
  target: Target,
  strategy: Strategy,
  choice: string | null,
): Amounts | null {
  const lengths = levers.filter((l) => l.unit === "mm" && l.high > l.low);
  const amounts = new Map<string, number>(choice ? [[choice, 1]] : []);
  let now = trial(amounts);
  if (!now) return null;
  const windows = { balance: aim(target.balanceMm), mass: target.massG && aim(target.massG) };
  const needOf = (f: Figures): Need => ({
    b: -outside(f.balanceMm, windows.balance),
    m: windows.mass ? -outside(f.massG, windows.mass) : 0,
  });
  const miss = ({ b, m }: Need) => Math.abs(b) + Math.abs(m) / GRAMS_A_MM;
  let slopes = known.filter((s) => lengths.includes(s.lever));
  let fresh = choice === null;
  let watched = { balance: false, mass: false };
  for (let round = 0; round < ROUNDS; round++) {
    const need = needOf(now);
    if (miss(need) === 0) break;
    // What was outside once stays watched, so that mending one does not spoil the other.
    watched = { balance: watched.balance || need.b !== 0, mass: watched.mass || need.m !== 0 };
    const moves = movesFor(slopes, amounts, need, watched, strategy);
    // Half way back until it can be built.
    let next: Figures | null = null;
    const tried = new Map(amounts);
    for (let k = 0, share = 1; k < 5 && moves.length > 0 && !next; k++, share /= 2) {
      for (const { lever, to } of moves) {
        const at = amounts.get(lever.id) ?? 0;
        tried.set(lever.id, at + (to - at) * share);
      }
      next = trial(tried);
    }
    const better = next !== null && miss(needOf(next)) <= STALLED * miss(need);
    if (next && (better || fresh)) {
      // Slopes that were just taken are believed, even where they lead only a little further.
      if (!better && miss(needOf(next)) >= miss(need)) break;
      for (const [id, to] of tried) amounts.set(id, to);
      now = next;
      fresh = false;
    } else if (fresh) break;
    else {
      slopes = slopesAt(trial, lengths, amounts, now);
      fresh = true;
    }
  }
  return amounts;
}
