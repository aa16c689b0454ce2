import { weigh } from "../figures/weigh/weigh";
import type { Design } from "../knife/design/schema";
import { drawnSizes, type Prediction, predictedAt } from "./asBuilt";
import { type Contradiction, contradictions } from "./contradictions";
import { type CutFact, factsOf } from "./cutFacts";
import { planOf } from "./planOf";
import { piecesOf } from "./progress";
import type { Recipe } from "./recipes";
import type { PlanRecord } from "./record";
import { type Remedy, remediesOf, withRemedy } from "./remedies";
import { type PlanState, planState } from "./state";
import { type SteelState, steelState } from "./steelState";
import { figuresFor, type TaskFigure } from "./taskFigures";
import { type SizePlace, STAGES, type Stage, type Task } from "./types";
import type { UsualMinutes } from "./usualMinutes";
import { wayBack } from "./waysBack";

/** What weight and balance become with a change of the design; null where it could not be built then. */
export interface WeightChange {
  readonly massG: number;
  readonly balanceMm: number;
}

export interface WeighedRemedy extends Remedy {
  /** Against the design as it is; null where it cannot be built with the remedy. */
  readonly becomes: WeightChange | null;
}

/** What a design asks for against what was cut, with the ways to resolve it. */
export interface Contradicted {
  readonly what: Contradiction;
  /** The pieces that it holds of, the first being 0. */
  readonly pieces: readonly number[];
  readonly remedies: readonly WeighedRemedy[];
}

/** All that is worked out to build a knife: what is done and what is to be done, with the figures of each task. */
export interface BuildSheet extends PlanState {
  /** By the task's id. */
  readonly figures: ReadonlyMap<string, readonly TaskFigure[]>;
  /** What each task will have cut once it is done, by its id. */
  readonly cut: ReadonlyMap<string, readonly CutFact[]>;
  readonly contradicted: readonly Contradicted[];
  readonly massG: number;
  readonly balanceMm: number;
  /** What it should weigh, and where balance, at each stage. */
  readonly predicted: ReadonlyMap<Stage, Prediction>;
  /** Sizes as they are drawn, mm. */
  readonly drawn: ReadonlyMap<SizePlace, number>;
  /** Null of a product that has no steel of its own. */
  readonly steel: SteelState | null;
}

/** What a way back does to weight and balance, its length being mm; null where the knife could not be built then. */
export function wayBecomes(design: Design, code: string, mm: number): WeightChange | null {
  const change = wayBack(code)?.change;
  const before = weigh(design);
  const after = change && weigh(change(design, mm));
  if (!before.ok || !after?.ok) return null;
  return {
    massG: after.report.massG - before.report.massG,
    balanceMm: after.report.balanceMm - before.report.balanceMm,
  };
}

/** What is found of the pieces that are made of a design, each once, with those that it holds of. */
function overPieces(
  record: PlanRecord,
  find: (done: PlanRecord["done"]) => readonly Contradiction[],
): readonly Pick<Contradicted, "what" | "pieces">[] {
  const found = new Map<string, { what: Contradiction; pieces: number[] }>();
  for (const [piece, { done }] of piecesOf(record).entries())
    for (const what of find(done)) {
      const key = JSON.stringify(what);
      const known = found.get(key);
      if (known) known.pieces.push(piece);
      else found.set(key, { what, pieces: [piece] });
    }
  return [...found.values()];
}

/** The sheet of a design that can be built; null of one that cannot. */
export function buildSheet(
  design: Design,
  record: PlanRecord,
  recipes: readonly Recipe[],
  usual?: UsualMinutes,
): BuildSheet | null {
  const weighed = weigh(design);
  if (!weighed.ok) return null;
  const { massG, balanceMm } = weighed.report;
  const fromDesign = planOf(design, record.schools);
  const state = planState(fromDesign, record, usual);
  const isDone = new Set(Object.keys(record.done));
  const doneTasks = fromDesign.filter((t) => isDone.has(t.id));
  const becomes = (remedy: Remedy): WeightChange | null => {
    if (!remedy.change) return { massG: 0, balanceMm: 0 };
    const after = weigh(withRemedy(design, remedy.change));
    if (!after.ok) return null;
    return { massG: after.report.massG - massG, balanceMm: after.report.balanceMm - balanceMm };
  };
  return {
    ...state,
    figures: new Map(state.tasks.map((t) => [t.id, figuresFor(design, t, recipes)])),
    cut: new Map(fromDesign.map((t: Task) => [t.id, factsOf(design, t)])),
    contradicted: overPieces(record, (done) => contradictions(design, fromDesign, done)).map(
      ({ what, pieces }) => ({
        what,
        pieces,
        // What is done over is done over at the first piece; at another its tick is taken back.
        remedies: remediesOf(design, what, doneTasks)
          .filter((r) => pieces.includes(0) || r.change !== null)
          .map((r) => ({ ...r, becomes: becomes(r) })),
      }),
    ),
    massG,
    balanceMm,
    predicted: new Map(
      STAGES.flatMap((stage) => {
        const found = predictedAt(design, weighed.report, stage);
        return found ? [[stage, found] as const] : [];
      }),
    ),
    drawn: drawnSizes(design),
    steel: steelState(design, record),
  };
}
