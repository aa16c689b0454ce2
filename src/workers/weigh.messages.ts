import type { Weighing } from "@/core/figures/weigh/weighAssembly";
import type { ProductDesign } from "@/core/knife/design/product";

/** What the weighing worker answers to. */
export interface WeighService {
  weigh(design: ProductDesign): Weighing;
}
