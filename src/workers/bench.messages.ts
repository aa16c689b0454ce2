import type { Bill } from "@/core/cost/bill";
import type { Shop } from "@/core/cost/shop";
import type { StockLayout } from "@/core/cutting/cutJob";
import type { Cuttable } from "@/core/cutting/cuttable";
import type { StockSheet } from "@/core/cutting/stockSheet";
import type { ProductDesign } from "@/core/design/product";
import type { Design } from "@/core/design/schema";
import type { FitSheet } from "@/core/fit/sheet";
import type { Review } from "@/core/review/reviewDesign";
import type { ReviewedAnswer } from "@/core/review/tuneReviewed";
import type { LeverEffect } from "@/core/tune/effects";
import type { Sampled } from "@/core/tune/sample";
import type { Target } from "@/core/tune/sets";
import type { Limits } from "@/core/tune/solve";
import type { Spread } from "@/core/tune/spread";

/** What the bench's second worker answers to, of designs that can be built. */
export interface BenchService {
  /** The trade's rules over the design; a quick review leaves out fixes that cost many weighings. */
  review(design: ProductDesign, quick: boolean): Promise<Review>;
  /** Everything to measure, drill, cut and mix for it. */
  fit(design: Design): FitSheet;
  /** What each change would do. */
  levers(design: Design): LeverEffect[];
  /** Smallest changes that land in the windows, by the levers named. */
  tune(design: Design, target: Target, allowed: readonly string[], limits: Limits): ReviewedAnswer[];
  /** How far weight and balance may be off, to first order; null of a knife that cannot be built. */
  spread(design: Design): Spread | null;
  /** Builds drawn at random; tells how many are drawn meanwhile. */
  sample(design: Design, count: number, seed: number, tell: (drawn: number) => void): Sampled | null;
  /** What it costs to make at a shop's prices; null of a knife that cannot be built. */
  bill(design: ProductDesign, shop: Shop): Promise<Bill | null>;
  /** What is cut of several knives, laid out on sheets of stock. */
  layOut(knives: readonly (readonly Cuttable[])[], stock: StockSheet): StockLayout;
}
