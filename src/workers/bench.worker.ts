import { expose } from "comlink";
import { fitSheet } from "@/core/fit/sheet";
import { reviewDesign } from "@/core/review/reviewDesign";
import type { BenchService } from "./bench.messages";

const service: BenchService = {
  review: (design) => reviewDesign(design),
  fit: (design) => fitSheet(design),
};
expose(service);
