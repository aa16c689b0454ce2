import { laidOnStock } from "@/core/exchange/cutting/cutJob";
import { fitFigures } from "@/core/figures/fit/fitFigures";
import { placedFastener } from "@/core/figures/review/placeFastener";
import { ruleNotes } from "@/core/figures/review/reviewDesign";
import { tuneReviewed } from "@/core/figures/review/tuneReviewed";
import { leverEffects } from "@/core/figures/tune/effects";
import { sampleBuilds } from "@/core/figures/tune/sample";
import { spreadOf } from "@/core/figures/tune/spread";
import { wayBecomes } from "@/core/plan/buildSheet";
import { knivesInDays } from "@/core/products/knivesInDays";
import { gradeShared, lineFigures } from "@/core/products/lineFigures";
import { modelOf } from "@/core/products/modelOf";
import { shoppingList } from "@/core/shelf/shopping";
import type { BenchService } from "../workers/bench.messages";

/** What the bench's second worker answers with: the core's own functions. */
export const benchService: BenchService = {
  review: async (design, quick) => (await modelOf(design).making()).review(design, quick),
  mend: async (design) => (await modelOf(design).making()).mend(design),
  rules: ruleNotes,
  fit: (design) => fitFigures(design),
  levers: (design) => leverEffects(design),
  tune: (design, target, allowed, limits) =>
    tuneReviewed(design, target, (l) => allowed.includes(l.id), limits),
  bill: async (design, shop) => (await modelOf(design).making()).bill(design, shop),
  build: async (design, record, recipes, usual) =>
    (await modelOf(design).making()).build(design, record, recipes, usual),
  wayBecomes,
  lotsFor: async (design, lots) => (await modelOf(design).making()).lotsFor(design, lots),
  pathsOfPiece: async (design, piece) => (await modelOf(design).making()).pathsOfPiece(design, piece),
  shopping: async (knives, lots, options) => {
    const needed = [];
    for (const { design, schools, forged } of knives) {
      const needs = (await modelOf(design).making()).needs(design, schools, forged);
      if (needs) needed.push({ knife: design.name, needs });
    }
    return shoppingList(needed, lots, options);
  },
  inDays: knivesInDays,
  line: lineFigures,
  gradeShared,
  layOut: laidOnStock,
  spread: (design) => spreadOf(design),
  placeFastener: placedFastener,
  sample: (design, count, seed, tell) =>
    sampleBuilds(design, count, seed, (drawn) => {
      tell(drawn);
      return false;
    }),
};
