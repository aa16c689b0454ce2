import type { Design } from "@/core/design/schema";
import type { Weighing } from "@/core/weigh/weigh";

/** What the weighing worker answers to. */
export interface WeighService {
  weigh(design: Design): Weighing;
}
