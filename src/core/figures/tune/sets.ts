import { ROUNDING } from "../../base/tolerances";
import { outside } from "../../knife/design/uses";
import type { Figures } from "./effects";
import type { Goal } from "./goals";
import type { Lever } from "./lever";

/** What an answer tries to keep small. */
export const STRATEGIES = ["least-change", "lightest", "least-metal-work", "keeps-the-look"] as const;
export type Strategy = (typeof STRATEGIES)[number];

/** How far inside a window is aimed, as a share of it. */
const INSIDE_SHARE = 0.02;

/** How dear a step of a lever is to a strategy. */
export function weightOf(lever: Lever, strategy: Strategy, addsMass: boolean): number {
  if (strategy === "least-metal-work" && lever.nature === "metal") return 12;
  if (strategy === "keeps-the-look" && lever.nature === "look") return 12;
  if (strategy === "lightest" && addsMass) return 12;
  return 1;
}

export function aim(window: { readonly low: number; readonly high: number }): { low: number; high: number } {
  const inset = INSIDE_SHARE * (window.high - window.low);
  return { low: window.low + inset, high: window.high - inset };
}

/**
 * Weighted least change with J·d = r, n levers and a row for each figure: d = W⁻¹ Jᵀ (J W⁻¹ Jᵀ)⁻¹ r. Null where J is too
 * flat.
 */
export function leastChange(
  J: readonly (readonly number[])[],
  r: readonly number[],
  w: readonly number[],
): number[] | null {
  const dot = (a: readonly number[], b: readonly number[]) => a.reduce((s, x, i) => s + (x * b[i]) / w[i], 0);
  const gram = J.map((row) => J.map((other) => dot(row, other)));
  const u = solved(gram, r);
  return u && (J[0] ?? []).map((_, i) => J.reduce((sum, row, k) => sum + row[i] * u[k], 0) / w[i]);
}

/** x of G·x = r, for a symmetric G without negative eigenvalues, by Cholesky; null where one is next to nothing. */
function solved(G: readonly (readonly number[])[], r: readonly number[]): number[] | null {
  const n = r.length;
  if (n === 0) return null;
  const L: number[][] = [];
  for (let i = 0; i < n; i++) {
    L.push([]);
    for (let k = 0; k <= i; k++) {
      let sum = G[i][k];
      for (let m = 0; m < k; m++) sum -= L[i][m] * L[k][m];
      if (k < i) L[i].push(sum / L[k][k]);
      else if (sum > ROUNDING * Math.max(1, G[i][i])) L[i].push(Math.sqrt(sum));
      else return null;
    }
  }
  const y: number[] = [];
  for (let i = 0; i < n; i++)
    y.push((r[i] - L[i].slice(0, i).reduce((s, x, m) => s + x * y[m], 0)) / L[i][i]);
  const x = new Array<number>(n).fill(0);
  for (let i = n - 1; i >= 0; i--) {
    let sum = y[i];
    for (let m = i + 1; m < n; m++) sum -= L[m][i] * x[m];
    x[i] = sum / L[i][i];
  }
  return x;
}

/** What a step of a length does to the weight, and to each goal's figure, about the knife as it is. */
export interface Slope {
  readonly lever: Lever;
  readonly massG: number;
  readonly of: ReadonlyMap<string, number>;
}

/** What a step does to a goal's figure. */
export const slopeOf = ({ of }: Slope, goal: Goal): number => of.get(goal.id) ?? 0;

/** Whether a lever that goes the way that is needed adds weight: by the need that is not of the weight and farthest off. */
export function addsMass(slope: Slope, goals: readonly Goal[], needs: readonly number[]): boolean {
  const others = goals.flatMap((goal, i) => (goal.ref.figure === "massG" ? [] : [{ goal, need: needs[i] }]));
  if (others.length === 0) return false;
  const far = ({ goal, need }: (typeof others)[number]) => Math.abs(need) / goal.unit;
  const lead = others.reduce((most, o) => (far(o) > far(most) ? o : most));
  return slope.massG * Math.sign(slopeOf(slope, lead.goal) * (lead.need || 1)) > 0;
}

/** A change is worth as much as two steps of one that is made already: few changes are wanted, and small ones. */
const FEW = 4;
/** How many of the cheapest sets are tried for good. */
const TRIED = 8;

/** Sets of up to three lengths that would land by the slopes, the cheapest to the strategy first. */
export function cheapSets(
  slopes: readonly Slope[],
  goals: readonly Goal[],
  now: Figures,
  strategy: Strategy,
): Lever[][] {
  const aims = goals.map((g) => aim(g.window));
  const at = goals.map((g) => g.of(now));
  const needs = goals.map((_, i) => -outside(at[i], aims[i]) + 0);
  const missed = goals.flatMap((_, i) => (needs[i] === 0 ? [] : [i]));
  const found: { levers: Lever[]; cost: number }[] = [];
  const consider = (set: readonly Slope[]) => {
    if (missed.length === 0 || missed.length > set.length) return;
    const w = set.map((s) => weightOf(s.lever, strategy, addsMass(s, goals, needs)));
    const row = (i: number) => set.map((s) => slopeOf(s, goals[i]));
    let d = leastChange(
      missed.map(row),
      missed.map((i) => needs[i]),
      w,
    );
    if (!d) return;
    // What would be pushed out of its window is held in it.
    const landing = (i: number) => row(i).reduce((sum, by, k) => sum + by * (d?.[k] ?? 0), at[i]);
    const pushed = goals.flatMap((_, i) =>
      needs[i] === 0 && outside(landing(i), aims[i]) !== 0
        ? [{ i, need: landing(i) - outside(landing(i), aims[i]) - at[i] }]
        : [],
    );
    if (pushed.length > 0 && set.length >= missed.length + pushed.length)
      d = leastChange(
        [...missed.map(row), ...pushed.map((p) => row(p.i))],
        [...missed.map((i) => needs[i]), ...pushed.map((p) => p.need)],
        w,
      );
    const steps = d;
    if (!steps) return;
    const inReach = set.every((s, i) => {
      const to = steps[i] * s.lever.step;
      return to >= s.lever.low - ROUNDING && to <= s.lever.high + ROUNDING;
    });
    if (!inReach) return;
    const cost = w.reduce((sum, x, i) => sum + x * (FEW + steps[i] * steps[i]), 0);
    found.push({ levers: set.map((s) => s.lever), cost });
  };
  for (let i = 0; i < slopes.length; i++) {
    consider([slopes[i]]);
    for (let j = i + 1; j < slopes.length; j++) {
      consider([slopes[i], slopes[j]]);
      for (let k = j + 1; k < slopes.length; k++) consider([slopes[i], slopes[j], slopes[k]]);
    }
  }
  return found
    .sort((a, b) => a.cost - b.cost)
    .slice(0, TRIED)
    .map((f) => f.levers);
}
