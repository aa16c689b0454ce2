import { remembered } from "../../base/record/remembered";
import type { GroundBlade } from "../../geometry/solids/groundBlade";
import type { DrawnBlade } from "../design/schema";
import { bladeOutline } from "./bladeOutline";

/** The blade's solid from its record; the distal taper begins no earlier than the grind. */
export const groundBlade = remembered(
  (blade: DrawnBlade): GroundBlade => ({
    outline: bladeOutline(blade),
    lengthMm: blade.lengthMm,
    ricassoMm: blade.ricassoMm,
    grind: blade.grind,
    leftGrind: blade.leftGrind,
    stockMm: blade.spineMm,
    tipMm: blade.tipThicknessMm,
    edgeMm: blade.edgeMm,
    taperFromMm: Math.max(blade.taperFromMm, Math.min(blade.ricassoMm, blade.lengthMm)),
    taper: blade.taper,
    plunge: blade.plunge,
    swedge: blade.swedge,
    fullers: blade.fullers,
    sharpenedDeg: blade.sharpenedDeg,
  }),
);
