import { expose } from "comlink";
import { billOf } from "@/core/cost/bill";
import { fitSheet } from "@/core/fit/sheet";
import { reviewDesign } from "@/core/review/reviewDesign";
import { leverEffects } from "@/core/tune/effects";
import { sampleBuilds } from "@/core/tune/sample";
import { tune } from "@/core/tune/solve";
import type { BenchService } from "./bench.messages";

const service: BenchService = {
  review: (design, quick) => reviewDesign(design, quick),
  fit: (design) => fitSheet(design),
  levers: (design) => leverEffects(design),
  tune: (design, target, allowed) => tune(design, target, (l) => allowed.includes(l.id)),
  bill: (design, shop) => billOf(design, shop),
  sample: (design, count, seed) => sampleBuilds(design, count, seed),
};
expose(service);
