import { expose } from "comlink";
import { DEFAULT_FINENESS } from "@/core/weigh/integrate";
import { PanelMemory } from "@/core/weigh/panelMemory";
import { weigh } from "@/core/weigh/weigh";
import type { WeighService } from "./weigh.messages";

// While a point is dragged, most of a knife stays as it was.
const memory = new PanelMemory();
const service: WeighService = { weigh: (design) => weigh(design, DEFAULT_FINENESS, memory) };
expose(service);
