import type { Bill } from "../figures/cost/bill";
import type { Shop } from "../figures/cost/shop";
import type { Interval, MassReport } from "../figures/weigh/report";
import type { ProductDesign } from "../knife/design/product";
import type { Contradiction } from "../plan/contradictions";
import { newPlan } from "../plan/newPlan";
import { piecesOf } from "../plan/progress";
import type { PlanRecord } from "../plan/record";
import { planState } from "../plan/state";
import type { UsualMinutes } from "../plan/usualMinutes";
import { alikeTasks, type Saved, savedBy } from "../schedule/batches";
import type { Job } from "../schedule/job";
import { jobOf } from "../schedule/jobOf";
import type { Lot } from "../shelf/lot";
import { modelOf } from "./modelOf";
import type { ProductMaking } from "./product";

/** A grade of a line: its design, and what is kept of its plan; null where nothing is yet. */
export interface GradeMade {
  readonly design: ProductDesign;
  readonly plan: PlanRecord | null;
}

/** What of a grade is cut already, and what lies on the shelf for it. */
export interface BlanksCut {
  /** Pieces of it whose blank is cut, the first being 0, with where they do not serve for the design as it is now. */
  readonly cut: readonly { readonly piece: number; readonly what: readonly Contradiction[] }[];
  /** Blanks on the shelf, by their lot, and whether they serve for it. */
  readonly blanks: readonly { readonly lot: string; readonly serves: boolean }[];
}

/** A grade as it is made: null figures of one that cannot be built. */
export interface GradeFigures extends BlanksCut {
  readonly massG: number;
  readonly massIntervalG: Interval;
  readonly balanceMm: number;
  /** What it is made of, the heaviest first. */
  readonly materials: readonly string[];
  /** Of one that is made by itself. */
  readonly bill: Bill | null;
  /** How many are made of it. */
  readonly pieces: number;
  /** Where its blank is not the line's; null of another kind of product, which has none in common with it. */
  readonly differs: readonly Contradiction[] | null;
}

/** What all pieces of all grades take when they are made together, min and g; money in the shop's currency. */
export interface LineFigures {
  /** In the order that they were given. */
  readonly grades: readonly (GradeFigures | null)[];
  /** The grade whose blank is the line's: the first that can be built; null where none can. */
  readonly blankOf: number | null;
  readonly pieces: number;
  readonly materials: number;
  readonly others: number;
  /** Of work, before anything is done together. */
  readonly minutes: number;
  readonly saved: readonly Saved[];
  readonly savedMin: number;
  readonly labour: number;
  readonly total: number;
  /** In so many cups, each within its pot life. */
  readonly glueG: number;
  readonly cups: number;
}

type Making = ProductMaking<ProductDesign>;

/** Pieces of a plan whose blank is cut, each with where it does not serve for a design. */
const cutPieces = (plan: PlanRecord | null, design: ProductDesign, making: Making): BlanksCut["cut"] =>
  piecesOf(plan ?? newPlan()).flatMap(({ done }, piece) => {
    const what = making.blankCutAgainst(design, done);
    return what ? [{ piece, what }] : [];
  });

/** Lots with an outline of their own that could be the blank, and whether they are: with no old hole left in it. */
function blanksFor(design: ProductDesign, lots: readonly Lot[], making: Making): BlanksCut["blanks"] {
  const outlined = lots.filter((l) => l.shape.form === "piece" && l.shape.outline !== null);
  if (outlined.length === 0) return [];
  const blank = making.lotsFor(design, outlined)?.find((p) => p.piece.key.kind === "blade");
  return (blank?.lots ?? []).flatMap(({ lot, laid, ok }) =>
    laid ? [{ lot, serves: ok && laid.holes.every((h) => h.becomes !== "filled") }] : [],
  );
}

/** A grade against the others of its line. */
export interface GradeAgainstOthers extends BlanksCut {
  /** Other grades whose blank is another one, by their number: what they have that this one has not. */
  readonly differs: readonly { readonly grade: number; readonly what: readonly Contradiction[] }[];
  /** Pieces of other grades whose blank is cut, and that would not serve for this one. */
  readonly cutOfOthers: readonly { readonly grade: number; readonly piece: number }[];
}

/** How one grade of a line agrees with the others and with what is cut; null where it cannot be built. */
export async function gradeShared(
  grades: readonly GradeMade[],
  of: number,
  lots: readonly Lot[],
): Promise<GradeAgainstOthers | null> {
  const { design, plan } = grades[of];
  if (!modelOf(design).weigh(design).ok) return null;
  const making = await modelOf(design).making();
  const others = grades.flatMap((g, grade) =>
    grade !== of && g.design.kind === design.kind && modelOf(g.design).weigh(g.design).ok
      ? [{ ...g, grade }]
      : [],
  );
  const blanks = blanksFor(design, lots, making);
  // What serves for no grade is no blank of this line.
  const ours = new Set(
    [...blanks, ...others.flatMap((o) => blanksFor(o.design, lots, making))]
      .filter((b) => b.serves)
      .map((b) => b.lot),
  );
  return {
    differs: others.flatMap((o) => {
      const what = making.blankAgainst(design, o.design);
      return what.length > 0 ? [{ grade: o.grade, what }] : [];
    }),
    cut: cutPieces(plan, design, making),
    blanks: blanks.filter((b) => ours.has(b.lot)),
    cutOfOthers: others.flatMap(({ grade, plan: theirs }) =>
      cutPieces(theirs, design, making).flatMap(({ piece, what }) =>
        what.length > 0 ? [{ grade, piece }] : [],
      ),
    ),
  };
}

/** All pieces of a grade as nobody has begun them. */
function jobsOf({ design, plan }: GradeMade, making: Making, usual: UsualMinutes): Job[] {
  const record: PlanRecord = { ...newPlan(), schools: plan?.schools ?? newPlan().schools };
  const { tasks } = planState(making.plan(design, record.schools), record, usual);
  const job = jobOf(design.name, tasks, making.alike(design, tasks), record);
  return Array.from({ length: plan?.pieces ?? 1 }, () => job);
}

/** Materials by what there is of each. */
function materialsOf({ parts }: MassReport): readonly string[] {
  const massG = new Map<string, number>();
  for (const part of parts)
    for (const id of part.material.split("+")) massG.set(id, (massG.get(id) ?? 0) + part.massG);
  return [...massG].sort((a, b) => b[1] - a[1]).map(([id]) => id);
}

/** A glue-up's kind, by which cups are counted. */
const GLUE_UP = "glue-handle";

/** A line of grades with what each weighs and costs, and what all of them take together. */
export async function lineFigures(
  grades: readonly GradeMade[],
  lots: readonly Lot[],
  usual: UsualMinutes,
  shop: Shop,
  clampSets: number,
): Promise<LineFigures> {
  const weighings = grades.map(({ design }) => modelOf(design).weigh(design));
  const first = weighings.findIndex((w) => w.ok);
  const jobs: Job[] = [];
  const made: (GradeFigures | null)[] = [];
  let glueG = 0;
  for (const [i, grade] of grades.entries()) {
    const weighing = weighings[i];
    if (!weighing.ok) {
      made.push(null);
      continue;
    }
    const { design, plan } = grade;
    const making = await modelOf(design).making();
    const { massG, massIntervalG, balanceMm } = weighing.report;
    const pieces = plan?.pieces ?? 1;
    const needs = making.needs(design, (plan ?? newPlan()).schools, null) ?? [];
    const glue = needs.reduce((sum, n) => sum + (n.kind === "mass" && n.glue ? n.massG : 0), 0);
    glueG += pieces * glue;
    jobs.push(...jobsOf(grade, making, usual));
    made.push({
      massG,
      massIntervalG,
      balanceMm,
      materials: materialsOf(weighing.report),
      bill: making.bill(design, shop),
      pieces,
      differs:
        design.kind === grades[first].design.kind ? making.blankAgainst(design, grades[first].design) : null,
      cut: cutPieces(plan, design, making),
      blanks: blanksFor(design, lots, making),
    });
  }
  const saved = savedBy(alikeTasks(jobs, clampSets), jobs);
  const savedMin = saved.reduce((sum, s) => sum + s.savedMin, 0);
  const sum = (of: (bill: Bill) => number) =>
    made.reduce((all, g) => all + (g?.bill ? g.pieces * of(g.bill) : 0), 0);
  const [materials, others, minutes] = [sum((b) => b.materials), sum((b) => b.others), sum((b) => b.minutes)];
  const labour = (Math.max(0, minutes - savedMin) / 60) * shop.ratePerHour;
  const glued = jobs.filter((j) => j.tasks.some((t) => t.kind === GLUE_UP)).length;
  const together = saved.find((s) => s.kind === GLUE_UP);
  return {
    grades: made,
    blankOf: first < 0 ? null : first,
    pieces: made.reduce((all, g) => all + (g?.pieces ?? 0), 0),
    materials,
    others,
    minutes,
    saved,
    savedMin,
    labour,
    total: materials + others + labour,
    glueG,
    cups: glued - (together ? together.tasks - together.goes : 0),
  };
}
