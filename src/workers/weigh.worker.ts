import { expose } from "comlink";
import { weigh } from "@/core/weigh/weigh";
import type { WeighService } from "./weigh.messages";

const service: WeighService = { weigh: (design) => weigh(design) };
expose(service);
