import type { StockLayout } from "@/core/exchange/cutting/cutJob";
import type { Cuttable } from "@/core/exchange/cutting/cuttable";
import type { Panel } from "@/core/exchange/cutting/panel";
import type { Bill } from "@/core/figures/cost/bill";
import type { Shop } from "@/core/figures/cost/shop";
import type { FitFigures } from "@/core/figures/fit/fitFigures";
import type { Review } from "@/core/figures/review/reviewDesign";
import type { RuleNote } from "@/core/figures/review/rules/context";
import type { ReviewedAnswer } from "@/core/figures/review/tuneReviewed";
import type { Finding } from "@/core/figures/review/types";
import type { LeverEffect } from "@/core/figures/tune/effects";
import type { Target } from "@/core/figures/tune/goals";
import type { Sampled } from "@/core/figures/tune/sample";
import type { Limits } from "@/core/figures/tune/solve";
import type { Spread } from "@/core/figures/tune/spread";
import type { ProductDesign } from "@/core/knife/design/product";
import type { Design, Fastener, FastenerKind } from "@/core/knife/design/schema";
import type { BuildSheet, WeightChange } from "@/core/plan/buildSheet";
import type { Recipe } from "@/core/plan/recipes";
import type { PlanRecord } from "@/core/plan/record";
import type { Schools } from "@/core/plan/types";
import type { UsualMinutes } from "@/core/plan/usualMinutes";
import type { DaysAsked, KnifeToDo, KnivesInDays } from "@/core/products/knivesInDays";
import type { GradeAgainstOthers, GradeMade, LineFigures } from "@/core/products/lineFigures";
import type { Lot } from "@/core/shelf/lot";
import type { LotsForPiece } from "@/core/shelf/lotsFor";
import type { Forging } from "@/core/shelf/needs";
import type { ShoppingList, ShoppingOptions } from "@/core/shelf/shopping";

/** What the bench's second worker answers to, of designs that can be built. */
export interface BenchService {
  /** The trade's rules over the design; a quick review leaves out fixes that cost many weighings. */
  review(design: ProductDesign, quick: boolean): Promise<Review>;
  /** What keeps the design from being built, each with what would mend it. */
  mend(design: ProductDesign): Promise<readonly Finding[]>;
  /** The trade's rules, by their usual limits and their sources. */
  rules(): RuleNote[];
  /** Everything to measure, drill, cut and mix for it. */
  fit(design: Design): FitFigures;
  /** What each change would do. */
  levers(design: Design): LeverEffect[];
  /** Smallest changes that land in the windows, by the levers named. */
  tune(design: Design, target: Target, allowed: readonly string[], limits: Limits): ReviewedAnswer[];
  /** How far weight and balance may be off, to first order; null of a knife that cannot be built. */
  spread(design: Design): Spread | null;
  /** A new fastener of a kind where the rules have least against it, in sizes that suit its place. */
  placeFastener(design: Design, kind: FastenerKind, id: string): Fastener;
  /** Builds drawn at random; tells how many are drawn meanwhile. */
  sample(design: Design, count: number, seed: number, tell: (drawn: number) => void): Sampled | null;
  /** What it costs to make at a shop's prices; null of a knife that cannot be built. */
  bill(design: ProductDesign, shop: Shop): Promise<Bill | null>;
  /** Its plan as far as it has come, with the figures of each task; null of a knife that cannot be built. */
  build(
    design: ProductDesign,
    record: PlanRecord,
    recipes: readonly Recipe[],
    usual: UsualMinutes,
  ): Promise<BuildSheet | null>;
  /** What a way back does to weight and balance; null where the knife could not be built then. */
  wayBecomes(design: Design, code: string, mm: number): WeightChange | null;
  /** For every piece the lots that serve or miss; null of a knife that cannot be built. */
  lotsFor(design: ProductDesign, lots: readonly Lot[]): Promise<readonly LotsForPiece[] | null>;
  /** The places of its record that say what a piece is made of. */
  pathsOfPiece(design: ProductDesign, piece: string): Promise<readonly string[]>;
  /** What has to be bought for several knives, after what is on the shelf; knives that cannot be built are left out. */
  shopping(
    knives: readonly {
      readonly design: ProductDesign;
      readonly schools: Schools;
      readonly forged: Forging | null;
    }[],
    lots: readonly Lot[],
    options: ShoppingOptions,
  ): Promise<ShoppingList>;
  /** Several knives in days, by one pair of hands; those that cannot be built are left out, and told. */
  inDays(
    knives: readonly KnifeToDo[],
    lots: readonly Lot[],
    usual: UsualMinutes,
    asked: DaysAsked,
  ): Promise<KnivesInDays>;
  /** A line of grades: what each weighs and costs, what they share, and what all of them take together. */
  line(
    grades: readonly GradeMade[],
    lots: readonly Lot[],
    usual: UsualMinutes,
    shop: Shop,
    clampSets: number,
  ): Promise<LineFigures>;
  /** How one grade agrees with the others and with what is cut; null where it cannot be built. */
  gradeShared(
    grades: readonly GradeMade[],
    of: number,
    lots: readonly Lot[],
  ): Promise<GradeAgainstOthers | null>;
  /** What is cut of several knives, laid out on sheets of stock. */
  layOut(knives: readonly (readonly Cuttable[])[], stock: Panel): StockLayout;
}
