import { ROUNDING } from "../../base/tolerances";
import type { Use } from "../../knife/design/schema";
import { outside } from "../../knife/design/uses";
import type { Figures } from "./effects";
import type { Lever } from "./lever";

/** What an answer tries to keep small. */
export const STRATEGIES = ["least-change", "lightest", "least-metal-work", "keeps-the-look"] as const;
export type Strategy = (typeof STRATEGIES)[number];

/** Windows to land in; the mass may be left open. */
export interface Target {
  readonly balanceMm: Use["balanceMm"];
  readonly massG: Use["massG"] | null;
}

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

/** Weighted least change with J·d = r, n levers and one or two rows: d = W⁻¹ Jᵀ (J W⁻¹ Jᵀ)⁻¹ r. Null where J is too flat. */
export function leastChange(
  J: readonly (readonly number[])[],
  r: readonly number[],
  w: readonly number[],
): number[] | null {
  const dot = (a: readonly number[], b: readonly number[]) => a.reduce((s, x, i) => s + (x * b[i]) / w[i], 0);
  if (J.length === 1) {
    const k = dot(J[0], J[0]);
    return k > ROUNDING ? J[0].map((x, i) => (x * r[0]) / k / w[i]) : null;
  }
  const [a, b, c] = [dot(J[0], J[0]), dot(J[0], J[1]), dot(J[1], J[1])];
  const det = a * c - b * b;
  if (!(det > ROUNDING * Math.max(1, a * c))) return null;
  const [u, v] = [(c * r[0] - b * r[1]) / det, (a * r[1] - b * r[0]) / det];
  return J[0].map((x, i) => (x * u + J[1][i] * v) / w[i]);
}

/** Slope of weight and balance for a step of each length, about the knife as it is. */
export interface Slope {
  readonly lever: Lever;
  readonly b: number;
  readonly m: number;
}

/** A change is worth as much as two steps of one that is made already: few changes are wanted, and small ones. */
const FEW = 4;
/** How many of the cheapest sets are tried for good. */
const TRIED = 8;

/** Sets of up to three lengths that would land by the slopes, the cheapest to the strategy first. */
export function cheapSets(
  slopes: readonly Slope[],
  target: Target,
  now: Figures,
  strategy: Strategy,
): Lever[][] {
  const needB = -outside(now.balanceMm, aim(target.balanceMm));
  const windowM = target.massG && aim(target.massG);
  const needM = windowM ? -outside(now.massG, windowM) : 0;
  const found: { levers: Lever[]; cost: number }[] = [];
  const consider = (set: readonly Slope[]) => {
    const w = set.map((s) => weightOf(s.lever, strategy, s.m * Math.sign(s.b * (needB || 1)) > 0));
    const rows: number[][] = [];
    const r: number[] = [];
    if (needB !== 0) {
      rows.push(set.map((s) => s.b));
      r.push(needB);
    }
    if (needM !== 0) {
      rows.push(set.map((s) => s.m));
      r.push(needM);
    }
    if (rows.length > set.length) return;
    let d = rows.length > 0 ? leastChange(rows, r, w) : null;
    // What would push the weight out of its window is held in it.
    const mass = (steps: readonly number[]) => set.reduce((sum, s, i) => sum + s.m * steps[i], now.massG);
    if (d && windowM && needM === 0 && outside(mass(d), windowM) !== 0 && set.length > 1)
      d = leastChange(
        [set.map((s) => s.b), set.map((s) => s.m)],
        [needB, mass(d) - outside(mass(d), windowM) - now.massG],
        w,
      );
    if (!d) return;
    const inReach = set.every((s, i) => {
      const to = d[i] * s.lever.step;
      return to >= s.lever.low - ROUNDING && to <= s.lever.high + ROUNDING;
    });
    if (!inReach) return;
    const cost = w.reduce((sum, x, i) => sum + x * (FEW + d[i] * d[i]), 0);
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
