import { billOf } from "../cost/bill";
import type { Design } from "../design/schema";
import { reviewDesign } from "../review/reviewDesign";
import type { ProductMaking } from "./product";

/** What making a knife with a fixed blade asks for. */
export const fixedMaking: ProductMaking<Design> = { review: reviewDesign, bill: billOf };
