import { weigh } from "../figures/weigh/weigh";
import { assemble } from "../knife/assembly/assemble";
import type { Design } from "../knife/design/schema";
import type { ProductModel } from "./product";

/** A knife with a fixed blade. */
export const fixedModel: ProductModel<Design> = {
  kind: "fixed",
  assemble,
  weigh,
  making: async () => (await import("./fixedMaking")).fixedMaking,
};
