import type { Design } from "../../knife/design/schema";
import { bladePlanPoints, bladePoints } from "./bladePoints";
import { pinPoints } from "./boredPoints";
import { guardPlanPoints, guardPoints } from "./guardPoints";
import { handlePlanPoints, handlePoints } from "./handlePoints";
import { tangPlanPoints, tangPoints } from "./tangPoints";
import type { BenchPoint } from "./types";

/** The points of a step on the side view, but for the handle's outline, which has its own. */
export function sidePoints(design: Design, step: string, selected: string | null): BenchPoint[] {
  if (step === "blade") return bladePoints(design);
  if (step === "tang") return tangPoints(design);
  if (step === "handle") return handlePoints(design, selected);
  if (step === "guard") return guardPoints(design);
  return step === "pins" ? pinPoints(design) : [];
}

/** The points of a step on the view from above, but for the handle's thickness; heights are to the left. */
export function planPoints(design: Design, step: string): BenchPoint[] {
  if (step === "blade") return bladePlanPoints(design);
  if (step === "tang") return tangPlanPoints(design);
  if (step === "handle") return handlePlanPoints(design);
  return step === "guard" ? guardPlanPoints(design) : [];
}
