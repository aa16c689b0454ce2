import { clamp, roundTo } from "../../base/number";
import { own } from "../../base/own";
import { SAME_PLACE_MM } from "../../base/tolerances";
import type { Design } from "../../knife/design/schema";
import type { Fault } from "../../knife/parts/faults";
import { faultsOf } from "../weigh/faults";
import { type Figures, figuresOf } from "./effects";
import { badness, type Goal, goalsOf, type Miss, missesOf, type Target } from "./goals";
import type { Lever } from "./lever";
import { leversOf } from "./levers";
import { type Amounts, type Stop, search, slopesAt, type Trial, type Trials, trialsOf } from "./search";
import { cheapSets, STRATEGIES, type Strategy } from "./sets";

export interface Answer<Finding = unknown> {
  readonly strategy: Strategy;
  readonly changes: readonly { readonly id: string; readonly amount: number }[];
  readonly massG: number;
  readonly balanceMm: number;
  /** The windows that it still lies outside of; none when it lands. */
  readonly misses: readonly Miss[];
  readonly lands: boolean;
  /** Findings that the changes bring with them. */
  readonly brings: readonly Finding[];
  /** Levers that ended at their limit: what stands in the way of one that does not land. */
  readonly atLimit: readonly string[];
  /** Levers that could be moved no farther since the knife could not be built there, or not at all. */
  readonly blocked: readonly Blocked[];
}

/** A lever that stopped short: at which amount, and what would stand against the next step; null where it has no meaning. */
export interface Blocked {
  readonly id: string;
  readonly amount: number;
  readonly why: Fault | null;
}

/** The amount below which a lever is not worth moving, in steps. */
const IDLE_STEPS = 0.04;

/** Amounts as a maker would set them: idle levers left alone, the rest to a tenth where that still lands. */
function tidied(trial: Trial, levers: readonly Lever[], amounts: Amounts, goals: readonly Goal[]): Amounts {
  const idle = new Map(
    [...amounts].filter(([id, amount]) => {
      const lever = levers.find((l) => l.id === id);
      return lever && Math.abs(amount) >= IDLE_STEPS * lever.step;
    }),
  );
  // Rounding carries no lever past its limit.
  const reach = (id: string, amount: number) => {
    const lever = levers.find((l) => l.id === id);
    return lever ? clamp(amount, lever.low, lever.high) : amount;
  };
  const rounded = (digits: number) =>
    new Map(
      [...idle]
        .map(([id, a]) => [id, reach(id, Math.round(a * 10 ** digits) / 10 ** digits)] as const)
        .filter(([, a]) => a !== 0),
    );
  for (const set of [rounded(1), rounded(2), idle]) {
    const f = trial(set);
    if (f && missesOf(f, goals).length === 0) return set;
  }
  return new Map([...amounts].map(([id, a]) => [id, roundTo(a, 4)] as const));
}

/** What stands against each lever that stopped, a little farther on. */
function blockedBy(
  trial: Trials,
  among: readonly Lever[],
  amounts: Amounts,
  stops: ReadonlyMap<string, Stop>,
): Blocked[] {
  return among.flatMap((lever): Blocked[] => {
    const stop = stops.get(lever.id);
    if (!stop) return [];
    const beyond = stop.at + stop.toward * BEYOND_STEPS * lever.step;
    const design = trial.designOf(new Map(amounts).set(lever.id, beyond));
    const why = design ? (faultsOf(design).find((f) => f.severity === "error") ?? null) : null;
    return [{ id: lever.id, amount: stop.at, why }];
  });
}

/** How far beyond its stop a lever is asked what stands against it, in steps. */
const BEYOND_STEPS = 0.5;

/** How far a maker lets levers go, from the knife as it is, by their ids; they go no farther than they can. */
export type Limits = Readonly<Record<string, { readonly low: number; readonly high: number }>>;

/** The lever with less reach. One that may not stay as it is may at least do that. */
function within(lever: Lever, limit: Limits[string] | undefined): Lever {
  if (!limit || lever.unit !== "mm") return lever;
  const low = Math.min(0, Math.max(lever.low, limit.low));
  return { ...lever, low, high: Math.max(0, Math.min(lever.high, limit.high)) };
}

/** Tells what a changed knife has against it that the knife as it is had not. */
export type Brings<Finding> = (after: Design) => readonly Finding[];

/**
 * The smallest sets of changes that land a knife in its windows, one for each strategy that differs, each verified by a
 * whole weighing and by what `bringsOf` tells; those that land and bring nothing first. Where none lands, the nearest, with
 * what stands in the way. Empty of a knife that cannot be built. Deterministic.
 */
export function tune<Finding>(
  design: Design,
  target: Target,
  bringsOf: Brings<Finding>,
  allowed: (lever: Lever) => boolean = () => true,
  limits: Limits = {},
): Answer<Finding>[] {
  const now = figuresOf(design);
  if (!now) return [];
  const goals = goalsOf(target);
  if (missesOf(now, goals).length === 0) return [asItIs(now)];
  const levers = leversOf(design)
    .filter(allowed)
    .map((l) => within(l, own(limits, l.id)));
  const solver: Solver<Finding> = { trial: trialsOf(design), levers, goals, bringsOf };
  const slopes = slopesAt(solver.trial, levers, new Map(), now, goals);
  // What can be moved neither way stops where it is.
  const still = levers
    .filter((l) => l.unit === "mm" && l.high > l.low && !slopes.some((s) => s.lever === l))
    .map((l): [string, Stop] => [l.id, { at: 0, toward: l.high > 0 ? 1 : -1 }]);
  const answers: Answer<Finding>[] = [];
  const consider = (strategy: Strategy, choice: string | null, among: readonly Lever[]) => {
    const found = search(solver.trial, among, slopes, goals, strategy, choice);
    const stops = new Map([...still, ...(found?.stops ?? [])]);
    const answer = found && answerOf(solver, strategy, among, found.amounts, stops);
    if (answer) answers.push(answer);
    return answer;
  };
  for (const strategy of STRATEGIES) {
    // The cheapest set that lands and brings no findings; all lengths together where no small set does.
    const landed = cheapSets(slopes, goals, now, strategy).some((set) => {
      const answer = consider(strategy, null, set);
      return answer?.lands && answer.brings.length === 0;
    });
    if (!landed) consider(strategy, null, levers);
  }
  // A change of material may do what no length can: tried where lengths alone do not land.
  if (!answers.some((a) => a.lands))
    for (const lever of levers) if (lever.unit === "choice") consider("least-change", lever.id, levers);
  return bestOf(answers);
}

/** What a search goes by: trials of a knife, its levers as they are limited, the windows, and what changes bring. */
interface Solver<Finding> {
  readonly trial: Trials;
  readonly levers: readonly Lever[];
  readonly goals: readonly Goal[];
  readonly bringsOf: Brings<Finding>;
}

/** A knife that is in its windows already: nothing is to be changed. */
const asItIs = ({ massG, balanceMm }: Figures): Answer<never> => ({
  strategy: "least-change",
  changes: [],
  massG,
  balanceMm,
  misses: [],
  lands: true,
  brings: [],
  atLimit: [],
  blocked: [],
});

/** What a set of amounts comes to, weighed as a whole; null where the knife cannot be built so. */
function answerOf<Finding>(
  { trial, levers, goals, bringsOf }: Solver<Finding>,
  strategy: Strategy,
  among: readonly Lever[],
  wanted: Amounts,
  stops: ReadonlyMap<string, Stop>,
): Answer<Finding> | null {
  const amounts = tidied(trial, levers, wanted, goals);
  const then = trial.designOf(amounts);
  const figures = trial(amounts);
  if (!then || !figures) return null;
  const misses = missesOf(figures, goals);
  const isAtLimit = ({ id, unit, low, high }: Lever) => {
    const at = amounts.get(id);
    return unit === "mm" && at !== undefined && (at <= low + SAME_PLACE_MM || at >= high - SAME_PLACE_MM);
  };
  return {
    strategy,
    changes: [...amounts].map(([id, amount]) => ({ id, amount })),
    massG: figures.massG,
    balanceMm: figures.balanceMm,
    misses,
    lands: misses.length === 0,
    brings: bringsOf(then),
    blocked: blockedBy(trial, among, amounts, stops),
    atLimit: levers.filter(isAtLimit).map((l) => l.id),
  };
}

/** So many answers are given at the most. */
const MOST_ANSWERS = 4;

/** The answers that land and bring least first, one a strategy; where none lands, the nearest. None twice. */
function bestOf<Finding>(answers: readonly Answer<Finding>[]): Answer<Finding>[] {
  const miss = (a: Answer<Finding>) => badness(a.misses);
  const sorted = [...answers].sort(
    (a, b) =>
      Number(b.lands) - Number(a.lands) ||
      a.brings.length - b.brings.length ||
      miss(a) - miss(b) ||
      a.changes.length - b.changes.length,
  );
  const landing = sorted.filter((a) => a.lands);
  const seen = new Set<string>();
  const kept = new Set<Strategy>();
  return (landing.length > 0 ? landing : sorted)
    .filter((a) => {
      // One answer a strategy, but for those that do not land.
      if (a.lands && kept.has(a.strategy)) return false;
      const key = JSON.stringify([...a.changes].sort((p, q) => p.id.localeCompare(q.id)));
      if (seen.has(key)) return false;
      seen.add(key);
      kept.add(a.strategy);
      return true;
    })
    .slice(0, MOST_ANSWERS);
}
