import type { Design } from "../design/schema";
import { bladeHeights } from "../layout/bladeOutline";
import { groundThickness } from "../solids/grind";
import type { Report } from "./types";

/** The blade's own measures, and what was measured of one in the hand. */
export function checkBlade({ blade }: Design, report: Report): void {
  const heights = bladeHeights(blade);
  const heel = { x: blade.ricassoMm, y: heights.edge };
  if (blade.ricassoMm >= blade.lengthMm) {
    report("error", "ricasso-longer-than-blade", {
      at: heel,
      measured: blade.ricassoMm,
      limit: blade.lengthMm,
    });
  }
  if (blade.ricassoHeightMm > blade.heelHeightMm) {
    const more = { at: heel, measured: blade.ricassoHeightMm, limit: blade.heelHeightMm };
    report("warning", "ricasso-higher-than-heel", more);
  }
  if (blade.edgeMm >= blade.spineMm) {
    report("error", "edge-thicker-than-spine", { at: heel, measured: blade.edgeMm, limit: blade.spineMm });
  }
  const longest = Math.max(blade.tip.dropMm, blade.tip.bellyMm + blade.ricassoMm);
  if (longest > blade.lengthMm) {
    const at = { x: blade.lengthMm, y: heights.tip };
    report("warning", "tip-longer-than-blade", { at, measured: longest, limit: blade.lengthMm });
  }
  const { grind } = blade;
  if (grind.kind === "hollow") {
    const faceMm = Math.min(grind.heightMm, blade.heelHeightMm);
    const cut = { spineMm: blade.spineMm, edgeMm: blade.edgeMm, faceMm };
    const chord = Math.hypot(faceMm, (blade.spineMm - blade.edgeMm) / 2);
    const at = { x: blade.ricassoMm, y: heights.edge + faceMm / 2 };
    if (2 * grind.wheelRadiusMm <= chord) {
      report("error", "hollow-wheel-too-small", { at, measured: grind.wheelRadiusMm, limit: chord / 2 });
    } else {
      // The thinnest spot of a hollow lies low on the face; a dozen places find it to a few per cent.
      const thin = Math.min(
        ...Array.from({ length: 24 }, (_, i) => groundThickness(grind, cut, (faceMm * i) / 24)),
      );
      if (!(thin > 0)) report("error", "hollow-cuts-through", { at, measured: 0, limit: blade.edgeMm });
    }
  }
  checkMeasured(blade, report);
}

function checkMeasured({ measured }: Design["blade"], report: Report): void {
  if (measured?.balance.kind !== "supports") return;
  const { restAtMm, scaleAtMm, readingG } = measured.balance;
  const at = { x: restAtMm, y: 0 };
  const apart = Math.abs(scaleAtMm - restAtMm);
  if (!(apart > 1)) report("error", "supports-together", { at, measured: apart, limit: 1 });
  if (readingG > measured.massG)
    report("warning", "reading-over-weight", { at, measured: readingG, limit: measured.massG });
}
