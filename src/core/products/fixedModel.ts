import { assemble } from "../assembly/assemble";
import type { Design } from "../design/schema";
import { weigh } from "../weigh/weigh";
import type { ProductModel } from "./product";

/** A knife with a fixed blade. */
export const fixedModel: ProductModel<Design> = {
  kind: "fixed",
  assemble,
  weigh,
  making: async () => (await import("./fixedMaking")).fixedMaking,
};
