import type { Bill } from "@/core/figures/cost/bill";
import type { MassReport } from "@/core/figures/weigh/report";
import type { Design } from "@/core/knife/design/schema";
import type { Compared } from "@/store/comparison";

/** One of the knives or variants that lie side by side. */
export interface Column {
  readonly key: string;
  readonly name: string;
  /** What it is beside the knife on the bench; null is that knife itself. */
  readonly compared: Compared | null;
  readonly design: Design;
  /** Null while it is weighed, or where it cannot be built. */
  readonly report: MassReport | null;
  readonly broken: boolean;
  readonly bill: Bill | null;
}
