import { own } from "../base/own";
import { billOf } from "../figures/cost/bill";
import { mendsOf } from "../figures/review/mends";
import { reviewDesign } from "../figures/review/reviewDesign";
import { weigh } from "../figures/weigh/weigh";
import type { Design } from "../knife/design/schema";
import { buildSheet } from "../plan/buildSheet";
import { blankContradictions, blankDifferences } from "../plan/contradictions";
import { planOf } from "../plan/planOf";
import { alikeOf } from "../schedule/alike";
import { lotsFor, pathsOfPiece } from "../shelf/lotsFor";
import { needsOf } from "../shelf/needs";
import type { ProductMaking } from "./product";

/** What making a knife with a fixed blade asks for. */
export const fixedMaking: ProductMaking<Design> = {
  review: reviewDesign,
  mend: mendsOf,
  bill: billOf,
  plan: planOf,
  build: buildSheet,
  alike: alikeOf,
  needs: (design, schools, forged) => {
    const weighed = weigh(design);
    return weighed.ok ? needsOf(design, weighed.report, schools, forged) : null;
  },
  lotsFor,
  blankAgainst: blankDifferences,
  blankCutAgainst: (design, done) => (own(done, "profile") ? blankContradictions(design, done) : null),
  pathsOfPiece,
};
