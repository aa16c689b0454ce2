import type { ProductDesign } from "@/core/design/product";
import type { Weighing } from "@/core/weigh/weighAssembly";

/** What the weighing worker answers to. */
export interface WeighService {
  weigh(design: ProductDesign): Weighing;
}
