import { billOf } from "../figures/cost/bill";
import { mendsOf } from "../figures/review/mends";
import { reviewDesign } from "../figures/review/reviewDesign";
import type { Design } from "../knife/design/schema";
import type { ProductMaking } from "./product";

/** What making a knife with a fixed blade asks for. */
export const fixedMaking: ProductMaking<Design> = { review: reviewDesign, mend: mendsOf, bill: billOf };
