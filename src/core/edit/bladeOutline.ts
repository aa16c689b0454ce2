import { produce } from "immer";
import { roundTo } from "../base/number";
import { cubicY, parameterAtX } from "../geometry/curve/bezier";
import { curveThrough } from "../geometry/curve/spline";
import { isFull } from "../knife/design/limits";
import type { Blade, Design } from "../knife/design/schema";
import { settledBlade } from "../knife/layout/bladeLengths";
import { bladeHeights } from "../knife/layout/bladeOutline";
import type { Draft } from "./draft";

/** The two curves of a blade's own outline. */
export const BLADE_RUNS = ["spine", "edge"] as const;
export type BladeRun = (typeof BLADE_RUNS)[number];

/** What the drawing calls a point of the blade's own outline. */
export const bladePointId = (run: BladeRun, id: string) => `blade-${run}-${id}`;

/** Brings the blade's measures in step with its outline. */
export function syncBladeMeasures(d: Draft<Design>): void {
  if (d.blade.outline) d.blade.heelHeightMm = settledBlade({ ...(d.blade as Blade) }).heelHeightMm;
}

/** With a point on the curve after the one at a place, or in the longest gap, where the curve runs. */
export function withBladePoint(design: Design, run: BladeRun, after: number | null, id: string): Design {
  const { blade } = design;
  const { outline } = blade;
  if (!outline || isFull(design, `blade.outline.${run}`)) return design;
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
  return produce(design, (d) => {
    d.blade.outline?.[run].splice(gap, 0, {
      id,
      xMm: roundTo(middle, 2),
      yMm: roundTo(yMm, 2),
      corner: false,
    });
  });
}

/** Without one of its points. */
export const withoutBladePoint = (design: Design, run: BladeRun, at: number): Design =>
  produce(design, (d) => {
    d.blade.outline?.[run].splice(at, 1);
    syncBladeMeasures(d as Draft<Design>);
  });
