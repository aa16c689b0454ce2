import { ROUNDING, SAME_PLACE_MM } from "../../base/tolerances";
import { selfCrossing } from "../../geometry/curve/crossing";
import { taperPoints } from "../../geometry/solids/groundBlade";
import type { Design } from "../design/schema";
import { bladeOutline, riseAt } from "../layout/bladeOutline";
import { bladeEdges } from "../layout/bladeParts";
import { groundBlade } from "../layout/groundBlade";
import type { Report } from "../parts/faults";

/** Points of an outline are at least so far apart, mm. */
const LEAST_APART_MM = 0.01;
/** A curve may swing behind the datum, or beyond the tip, by so much before it is named, mm. */
const BEHIND_MM = 0.05;

/** The outline that a blade has of its own, and the thicknesses along its spine. */
export function checkBladeOutline({ blade }: Design, report: Report): void {
  const { outline } = blade;
  const raised = (x: number, y: number) => ({ x, y: y + riseAt(blade, x) });
  if (outline) {
    for (const run of [outline.spine, outline.edge]) {
      run.forEach((p, i) => {
        const next = run[i + 1] ?? { id: p.id, xMm: blade.lengthMm, yMm: outline.tipYMm };
        if (Math.hypot(next.xMm - p.xMm, next.yMm - p.yMm) < LEAST_APART_MM)
          report("error", "points-together", {
            at: raised(p.xMm, p.yMm),
            subject: next.id,
            limit: LEAST_APART_MM,
          });
      });
    }
    const { xRange } = bladeOutline(blade);
    const top = raised(0, blade.spineOverAxisMm);
    if (xRange[0] < -BEHIND_MM)
      report("error", "blade-behind-datum", { at: top, measured: -xRange[0], limit: 0 });
    if (xRange[1] > blade.lengthMm + BEHIND_MM)
      report("error", "blade-beyond-tip", {
        at: raised(blade.lengthMm, outline.tipYMm),
        measured: xRange[1],
        limit: blade.lengthMm,
      });
  }
  const crossing = selfCrossing(bladeOutline(blade).cubics);
  if (crossing) report("error", "blade-outline-crosses", { at: crossing });
  const kept = new Set(taperPoints(groundBlade(blade)).map((p) => p.xMm));
  for (const p of blade.taper) {
    const at = { x: p.xMm, y: bladeEdges(blade, p.xMm)[1] };
    if (p.thicknessMm > blade.spineMm + ROUNDING)
      report("error", "taper-thicker-than-stock", {
        at,
        subject: p.id,
        measured: p.thicknessMm,
        limit: blade.spineMm,
      });
    if (!kept.has(p.xMm)) report("warning", "taper-point-off", { at, subject: p.id, measured: p.xMm });
    if (blade.taper.some((q) => q !== p && Math.abs(q.xMm - p.xMm) < SAME_PLACE_MM && q.id > p.id))
      report("error", "points-together", { at, subject: p.id, limit: LEAST_APART_MM });
  }
}
