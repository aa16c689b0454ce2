import { cubicY, parameterAtX } from "@/core/curve/bezier";
import { curveThrough } from "@/core/curve/spline";
import { isFull } from "@/core/design/limits";
import type { Blade, Design } from "@/core/design/schema";
import { freeId } from "@/core/fit/openSpot";
import { settledBlade } from "@/core/layout/bladeLengths";
import { bladeHeights } from "@/core/layout/bladeOutline";
import { roundTo } from "@/core/number";
import type { Draft, SessionState } from "@/store/session";

type Edit = SessionState<Design>["edit"];

/** The two curves of a blade's own outline. */
export const bladeRuns = ["spine", "edge"] as const;
export type BladeRun = (typeof bladeRuns)[number];

/** Brings the blade's measures in step with its outline. */
export function syncBladeMeasures(d: Draft<Design>): void {
  if (d.blade.outline) d.blade.heelHeightMm = settledBlade({ ...(d.blade as Blade) }).heelHeightMm;
}

/**
 * Adds a point on the curve after the one at `after`, or in the longest gap, where the curve runs; answers what the
 * drawing calls it.
 */
export function addBladePoint(
  edit: Edit,
  design: Design,
  run: BladeRun,
  after: number | null,
): string | null {
  const { blade } = design;
  const { outline } = blade;
  if (!outline || isFull(design, `blade.outline.${run}`)) return null;
  const heights = bladeHeights(blade);
  const from = { x: 0, y: run === "spine" ? heights.spine : heights.ricassoBottom, corner: true };
  const tip = { x: blade.lengthMm, y: heights.tip, corner: true };
  const knots = [from, ...outline[run].map((p) => ({ x: p.xMm, y: p.yMm, corner: p.corner })), tip];
  const gaps = knots.slice(1).map((k, i) => Math.hypot(k.x - knots[i].x, k.y - knots[i].y));
  const gap = after === null ? gaps.indexOf(Math.max(...gaps)) : after + 1;
  const curve = curveThrough(knots)[gap];
  const middle = (knots[gap].x + knots[gap + 1].x) / 2;
  const t = curve ? parameterAtX(curve, 0, 1, middle) : 0;
  const yMm = curve ? cubicY(curve, t) : (knots[gap].y + knots[gap + 1].y) / 2;
  const id = freeId(run, outline[run]);
  edit(`Add point on the ${run}`, (d) => {
    d.blade.outline?.[run].splice(gap, 0, {
      id,
      xMm: roundTo(middle, 2),
      yMm: roundTo(yMm, 2),
      corner: false,
    });
  });
  return `blade-${run}-${id}`;
}

export function removeBladePoint(d: Draft<Design>, run: BladeRun, at: number): void {
  d.blade.outline?.[run].splice(at, 1);
  syncBladeMeasures(d);
}
