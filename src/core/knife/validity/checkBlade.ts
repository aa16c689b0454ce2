import { ROUNDING } from "../../base/tolerances";
import { measuredBalanceMm } from "../design/measuredBalance";
import type { Design } from "../design/schema";
import { bladeHeights } from "../layout/bladeOutline";
import { layoutOf } from "../layout/layout";
import type { Report } from "../parts/faults";
import { checkBladeCuts } from "./checkBladeCuts";
import { checkBladeOutline } from "./checkBladeOutline";
import { checkGrind } from "./checkGrind";

/** The blade's own measures, and what was measured of one in the hand. */
export function checkBlade(design: Design, report: Report): void {
  const { blade } = design;
  const heights = bladeHeights(blade);
  const heel = { x: blade.ricassoMm, y: heights.edge };
  if (blade.ricassoMm >= blade.lengthMm) {
    report("error", "ricasso-longer-than-blade", {
      at: heel,
      measured: blade.ricassoMm,
      limit: blade.lengthMm,
    });
  }
  if (!blade.outline && blade.ricassoHeightMm > blade.heelHeightMm) {
    const more = { at: heel, measured: blade.ricassoHeightMm, limit: blade.heelHeightMm };
    report("warning", "ricasso-higher-than-heel", more);
  }
  if (blade.edgeMm >= blade.spineMm) {
    report("error", "edge-thicker-than-spine", { at: heel, measured: blade.edgeMm, limit: blade.spineMm });
  }
  if (blade.tipThicknessMm > blade.spineMm + ROUNDING) {
    const at = { x: blade.lengthMm, y: heights.tip };
    report("error", "tip-thicker-than-spine", { at, measured: blade.tipThicknessMm, limit: blade.spineMm });
  } else if (blade.edgeMm > blade.tipThicknessMm + ROUNDING && blade.edgeMm < blade.spineMm) {
    const at = { x: blade.lengthMm, y: heights.tip };
    report("warning", "edge-thicker-than-tip", { at, measured: blade.edgeMm, limit: blade.tipThicknessMm });
  }
  if (blade.taperFromMm > blade.lengthMm) {
    const at = { x: blade.lengthMm, y: heights.spine };
    report("warning", "taper-beyond-blade", { at, measured: blade.taperFromMm, limit: blade.lengthMm });
  }
  const longest = Math.max(blade.tip.dropMm, blade.tip.bellyMm + blade.ricassoMm);
  if (!blade.outline && longest > blade.lengthMm) {
    const at = { x: blade.lengthMm, y: heights.tip };
    report("warning", "tip-longer-than-blade", { at, measured: longest, limit: blade.lengthMm });
  }
  checkBladeOutline(design, report);
  checkGrind(design, report);
  checkBladeCuts(design, report);
  checkMeasured(design, report);
}

function checkMeasured(design: Design, report: Report): void {
  const { measured, lengthMm } = design.blade;
  if (!measured) return;
  const { balance, massG } = measured;
  if (balance.kind === "supports") {
    const { restAtMm, scaleAtMm, readingG } = balance;
    const at = { x: restAtMm, y: 0 };
    const apart = Math.abs(scaleAtMm - restAtMm);
    if (!(apart > 1)) {
      report("error", "supports-together", { at, measured: apart, limit: 1 });
      return;
    }
    if (readingG !== null && massG !== null && readingG > massG) {
      report("error", "reading-over-weight", { at, measured: readingG, limit: massG });
      return;
    }
  }
  const { tang } = design;
  const rear = tang.kind === "full" ? layoutOf(design).buttX : -tang.lengthMm;
  const x = measuredBalanceMm(measured);
  if (x !== null && (x > lengthMm || x < rear))
    report("error", "balance-beyond-blade", {
      at: { x, y: 0 },
      measured: x,
      limit: x > lengthMm ? lengthMm : rear,
    });
}
