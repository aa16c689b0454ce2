import type { Design } from "../design/schema";
import { outside } from "../design/uses";
import { reviewDesign } from "../review/reviewDesign";
import type { Finding } from "../review/types";
import { type Figures, figuresOf, pulled } from "./effects";
import { type Lever, leversOf } from "./levers";
import {
  aim,
  cheapSets,
  leastChange,
  STRATEGIES,
  type Strategy,
  slopesOf,
  type Target,
  weightOf,
} from "./sets";

export interface Answer {
  readonly strategy: Strategy;
  readonly changes: readonly { readonly id: string; readonly amount: number }[];
  readonly massG: number;
  readonly balanceMm: number;
  /** What is still missing to the windows; 0 and 0 when it lands. */
  readonly offBalanceMm: number;
  readonly offMassG: number;
  readonly lands: boolean;
  /** Findings that the changes bring with them. */
  readonly brings: readonly Finding[];
  /** Levers that ended at their limit: what stands in the way of one that does not land. */
  readonly atLimit: readonly string[];
}

/** Rounds of linearising, and the amount below which a lever is not worth pulling. */
const ROUNDS = 8;
const IDLE_STEPS = 0.04;

/** One strategy from one start: lengths are solved for, the choice is given. */
function search(
  design: Design,
  levers: readonly Lever[],
  target: Target,
  strategy: Strategy,
  choice: string | null,
) {
  const lengths = levers.filter((l) => l.unit === "mm" && l.high > l.low);
  const amounts = new Map<string, number>(choice ? [[choice, 1]] : []);
  let now = figuresOf(pulled(design, amounts));
  if (!now) return null;
  const windows = { balance: aim(target.balanceMm), mass: target.massG && aim(target.massG) };
  const missing = (f: Figures) =>
    [-outside(f.balanceMm, windows.balance), windows.mass ? -outside(f.massG, windows.mass) : 0] as const;
  let watched = { balance: false, mass: false };
  for (let round = 0; round < ROUNDS; round++) {
    const [needB, needM] = missing(now);
    if (needB === 0 && needM === 0) break;
    // What was outside once stays watched, so that mending one does not spoil the other.
    watched = { balance: watched.balance || needB !== 0, mass: watched.mass || needM !== 0 };
    const slopes = lengths.flatMap((lever) => {
      const at = amounts.get(lever.id) ?? 0;
      const by = at + lever.step * 0.5 <= lever.high ? lever.step * 0.5 : -lever.step * 0.5;
      const then = figuresOf(pulled(design, new Map(amounts).set(lever.id, at + by)));
      if (!then || !now) return [];
      // Per step, so that a step of any lever is as dear as one of another.
      const perStep = lever.step / by;
      return [
        { lever, at, b: (then.balanceMm - now.balanceMm) * perStep, m: (then.massG - now.massG) * perStep },
      ];
    });
    let free = slopes;
    let moves: { lever: Lever; to: number }[] = [];
    for (let k = 0; k < 6; k++) {
      const rows: number[][] = [];
      const r: number[] = [];
      const taken = moves.reduce(
        (s, m) => {
          const slope = slopes.find((x) => x.lever === m.lever)!;
          const steps = (m.to - slope.at) / m.lever.step;
          return { b: s.b + slope.b * steps, m: s.m + slope.m * steps };
        },
        { b: 0, m: 0 },
      );
      if (watched.balance) {
        rows.push(free.map((s) => s.b));
        r.push(needB - taken.b);
      }
      if (watched.mass) {
        rows.push(free.map((s) => s.m));
        r.push(needM - taken.m);
      }
      const weights = free.map((s) => weightOf(s.lever, strategy, s.m * Math.sign(s.b * (needB || 1)) > 0));
      const d =
        free.length > 0
          ? (leastChange(rows, r, weights) ?? leastChange(rows.slice(0, 1), r.slice(0, 1), weights))
          : null;
      if (!d) break;
      const over = free.findIndex((s, i) => {
        const to = s.at + d[i] * s.lever.step;
        return to < s.lever.low - 1e-9 || to > s.lever.high + 1e-9;
      });
      if (over < 0) {
        moves = [...moves, ...free.map((s, i) => ({ lever: s.lever, to: s.at + d[i] * s.lever.step }))];
        break;
      }
      // One that would pass its limit is set to it, and the rest make up for it.
      const s = free[over];
      moves = [
        ...moves,
        { lever: s.lever, to: Math.max(s.lever.low, Math.min(s.lever.high, s.at + d[over] * s.lever.step)) },
      ];
      free = free.filter((x) => x !== s);
    }
    if (moves.length === 0) break;
    // Half way back until it can be built.
    let share = 1;
    let next: Figures | null = null;
    const tried = new Map(amounts);
    for (let k = 0; k < 5 && !next; k++, share /= 2) {
      for (const { lever, to } of moves) {
        const at = amounts.get(lever.id) ?? 0;
        tried.set(lever.id, at + (to - at) * share);
      }
      next = figuresOf(pulled(design, tried));
    }
    if (!next) break;
    for (const [id, to] of tried) amounts.set(id, to);
    now = next;
  }
  return amounts;
}

/** Amounts as a maker would set them: idle levers left alone, the rest to a tenth where that still lands. */
function tidied(
  design: Design,
  levers: readonly Lever[],
  amounts: ReadonlyMap<string, number>,
  target: Target,
) {
  const idle = new Map(
    [...amounts].filter(([id, amount]) => {
      const lever = levers.find((l) => l.id === id);
      return lever && Math.abs(amount) >= IDLE_STEPS * lever.step;
    }),
  );
  const rounded = (digits: number) =>
    new Map(
      [...idle]
        .map(([id, a]) => [id, Math.round(a * 10 ** digits) / 10 ** digits] as const)
        .filter(([, a]) => a !== 0),
    );
  for (const set of [rounded(1), rounded(2), idle]) {
    const f = figuresOf(pulled(design, set));
    if (
      f &&
      outside(f.balanceMm, target.balanceMm) === 0 &&
      (!target.massG || outside(f.massG, target.massG) === 0)
    )
      return set;
  }
  return new Map([...amounts].map(([id, a]) => [id, Math.round(a * 1e4) / 1e4] as const));
}

/** Findings of a review that another did not have. */
function newFindings(before: Design, after: Design): Finding[] {
  const key = (f: Finding) => `${f.rule} ${f.subject}`;
  const had = new Set(reviewDesign(before).findings.map(key));
  return reviewDesign(after).findings.filter((f) => f.severity !== "note" && !had.has(key(f)));
}

/**
 * The smallest sets of changes that land a knife in its windows, one for each strategy that differs, each verified by a
 * whole weighing and by the rules; those that land and bring no findings first. Where none lands, the nearest, with
 * what stands in the way. Empty of a knife that cannot be built. Deterministic.
 */
export function tune(
  design: Design,
  target: Target,
  allowed: (lever: Lever) => boolean = () => true,
): Answer[] {
  const now = figuresOf(design);
  if (!now) return [];
  const inside =
    outside(now.balanceMm, target.balanceMm) === 0 &&
    (!target.massG || outside(now.massG, target.massG) === 0);
  if (inside)
    return [
      {
        strategy: "least-change",
        changes: [],
        ...now,
        offBalanceMm: 0,
        offMassG: 0,
        lands: true,
        brings: [],
        atLimit: [],
      },
    ];
  const levers = leversOf(design).filter(allowed);
  const materials = levers.filter((l) => l.unit === "choice");
  const answers: Answer[] = [];
  const consider = (strategy: Strategy, choice: string | null, among: readonly Lever[]): Answer | null => {
    const found = search(design, among, target, strategy, choice);
    if (!found) return null;
    const amounts = tidied(design, levers, found, target);
    const then = pulled(design, amounts);
    const figures = figuresOf(then);
    if (!then || !figures) return null;
    const offBalanceMm = outside(figures.balanceMm, target.balanceMm);
    const offMassG = target.massG ? outside(figures.massG, target.massG) : 0;
    const answer: Answer = {
      strategy,
      changes: [...amounts].map(([id, amount]) => ({ id, amount })),
      ...figures,
      offBalanceMm,
      offMassG,
      lands: offBalanceMm === 0 && offMassG === 0,
      brings: newFindings(design, then),
      atLimit: levers
        .filter((l) => {
          const at = amounts.get(l.id);
          return l.unit === "mm" && at !== undefined && (at <= l.low + 1e-6 || at >= l.high - 1e-6);
        })
        .map((l) => l.id),
    };
    answers.push(answer);
    return answer;
  };
  const slopes = slopesOf(design, levers, now);
  for (const strategy of STRATEGIES) {
    // The cheapest set that lands and brings no findings; all lengths together where no small set does.
    const landed = cheapSets(slopes, target, now, strategy).some((set) => {
      const answer = consider(strategy, null, set);
      return answer?.lands && answer.brings.length === 0;
    });
    if (!landed) consider(strategy, null, levers);
  }
  // A change of material may do what no length can: tried where lengths alone do not land.
  if (!answers.some((a) => a.lands)) for (const m of materials) consider("least-change", m.id, levers);
  const miss = (a: Answer) => Math.abs(a.offBalanceMm) + Math.abs(a.offMassG) / 10;
  const sorted = answers.sort(
    (a, b) =>
      Number(b.lands) - Number(a.lands) ||
      a.brings.length - b.brings.length ||
      miss(a) - miss(b) ||
      a.changes.length - b.changes.length,
  );
  const landing = sorted.filter((a) => a.lands);
  const seen = new Set<string>();
  const told = new Set<Strategy>();
  return (landing.length > 0 ? landing : sorted)
    .filter((a) => {
      // One answer a strategy, but for those that do not land.
      if (a.lands && told.has(a.strategy)) return false;
      const key = JSON.stringify([...a.changes].sort((p, q) => p.id.localeCompare(q.id)));
      if (seen.has(key)) return false;
      seen.add(key);
      told.add(a.strategy);
      return true;
    })
    .slice(0, 4);
}
