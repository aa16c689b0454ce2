import { DEFAULT_FINENESS } from "@/core/figures/weigh/integrate";
import { PanelMemory } from "@/core/figures/weigh/panelMemory";
import { modelOf } from "@/core/products/modelOf";
import type { WeighService } from "../workers/weigh.messages";

// While a point is dragged, most of a knife stays as it was.
const memory = new PanelMemory();

/** What weighing workers answer with. */
export const weighService: WeighService = {
  weigh: (design) => modelOf(design).weigh(design, DEFAULT_FINENESS, memory),
};
