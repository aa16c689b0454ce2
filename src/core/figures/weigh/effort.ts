import type { Fault } from "../../knife/parts/faults";
import type { Assembly } from "../../knife/parts/types";
import { DEFAULT_FINENESS, xPointsOf } from "./integrate";
import { xPanels } from "./panels";

/**
 * The most that a knife may take to weigh: cuts, times the regions that each goes through. It stands for about a second
 * on one core of a bench computer; a knife takes some thousands, and one with 40 bolts and 80 openings some 500,000.
 */
export const MOST_EFFORT = 600_000;

/** What weighing an assembly takes at the default setting, counted beforehand: its cuts × the regions they go through. */
export function weighingEffort(assembly: Assembly): number {
  let effort = 0;
  for (const panel of xPanels(assembly)) {
    let through = 0;
    for (const { xRange } of assembly.regions) if (xRange[0] < panel.b && xRange[1] > panel.a) through++;
    effort += through * xPointsOf(panel, DEFAULT_FINENESS, through);
  }
  return effort;
}

/** What would take far more than a second to weigh so many times is not begun with. Null of what can be weighed. */
export function effortFault(assembly: Assembly, times = 1): Fault | null {
  const measured = times * weighingEffort(assembly);
  if (!(measured > MOST_EFFORT)) return null;
  return {
    rule: "design-too-detailed",
    severity: "error",
    at: null,
    subject: null,
    measured,
    limit: MOST_EFFORT,
  };
}
