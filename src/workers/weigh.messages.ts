import type { ProductDesign } from "@/core/knife/design/product";
import type { Weighing } from "@/core/figures/weigh/weighAssembly";

/** What the weighing worker answers to. */
export interface WeighService {
  weigh(design: ProductDesign): Weighing;
}
