import type { Design } from "@/core/design/schema";
import type { FitSheet } from "@/core/fit/sheet";
import type { Review } from "@/core/review/reviewDesign";

/** What the bench's second worker answers to, of designs that can be built. */
export interface BenchService {
  /** The trade's rules over the design. */
  review(design: Design): Review;
  /** Everything to measure, drill, cut and mix for it. */
  fit(design: Design): FitSheet;
}
