import type { DrawnBlade } from "../design/schema";
import type { GroundBlade } from "../solids/bladeRegion";
import { bladeOutline } from "./bladeOutline";

/** The blade's solid from its record; the distal taper begins no earlier than the grind. */
export function groundBlade(blade: DrawnBlade): GroundBlade {
  return {
    outline: bladeOutline(blade),
    lengthMm: blade.lengthMm,
    ricassoMm: blade.ricassoMm,
    grind: blade.grind,
    stockMm: blade.spineMm,
    tipMm: blade.tipThicknessMm,
    edgeMm: blade.edgeMm,
    taperFromMm: Math.max(blade.taperFromMm, Math.min(blade.ricassoMm, blade.lengthMm)),
  };
}
