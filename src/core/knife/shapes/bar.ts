import { straight } from "../../geometry/curve/bezier";
import { type Contour, contourOf } from "../../geometry/curve/contour";
import { arc, boxContour } from "../../geometry/curve/shapes";
import { barRegion } from "../../geometry/solids/bar";
import { type Line, lineAt } from "../../geometry/solids/line";
import type { Region } from "../../geometry/solids/region";
import { rodRegion } from "../../geometry/solids/turned";
import { roundFor } from "../design/barSection";
import type { Bar, BlockHole } from "../design/schema";

/** Heights of a straight-sided bar about its middle line, from `x0` down to `x1`; its inside corners at x0 rounded. */
function barOutline(
  x0: number,
  x1: number,
  y: number,
  heightAt: (x: number) => number,
  radiusMm: number,
): Contour {
  const r = Math.max(0, Math.min(radiusMm, x0 - x1));
  const top = (x: number) => ({ x, y: y + heightAt(x) / 2 });
  const bottom = (x: number) => ({ x, y: y - heightAt(x) / 2 });
  if (!(r > 0)) {
    const p = [top(x0), top(x1), bottom(x1), bottom(x0)];
    return contourOf(p.map((a, i) => straight(a, p[(i + 1) % 4])));
  }
  // The fillets stand on the shoulder and touch the bar's sides, whose slope over one radius they overlook.
  const at = x0 - r;
  const [t, b] = [top(at), bottom(at)];
  const over = arc({ x: at, y: t.y + r }, r, r, 0, -Math.PI / 2);
  const under = arc({ x: at, y: b.y - r }, r, r, Math.PI / 2, 0);
  return contourOf([
    ...over,
    straight(over[over.length - 1].d, top(x1)),
    straight(top(x1), bottom(x1)),
    straight(bottom(x1), under[0].a),
    ...under,
    straight(under[under.length - 1].d, over[0].a),
  ]);
}

/** Height of the bar at x, straight from its front to its end, and on beyond; never below nothing. */
export function barHeight(bar: Bar, x: number): number {
  return Math.max(0.01, bar.frontHeightMm + ((bar.endHeightMm - bar.frontHeightMm) * -x) / bar.lengthMm);
}

/** The bar from the side. */
export function barTangOutline(bar: Bar): Contour {
  return barOutline(0, -bar.lengthMm, bar.yMm, (x) => barHeight(bar, x), bar.shoulderRadiusMm);
}

/** Half its thickness along x. */
export function barHalf(bar: Bar): Line {
  return {
    at0: bar.frontThicknessMm / 2,
    slope: (bar.frontThicknessMm - bar.endThicknessMm) / 2 / bar.lengthMm,
  };
}

function cornerLine(bar: Bar, more = 0): Line {
  const at0 = bar.frontCornerMm + (bar.frontCornerMm > 0 ? more : 0);
  return { at0, slope: (bar.frontCornerMm - bar.endCornerMm) / bar.lengthMm };
}

/** The bar as a solid. */
export function barTangRegion(bar: Bar): Region {
  return barRegion(barTangOutline(bar), barHalf(bar), cornerLine(bar), [-bar.lengthMm, 0]);
}

/** The bar with room all round it from `frontX` to so much deeper than it ends. */
export function roomRegion(bar: Bar, clearanceMm: number, deeperMm: number, frontX: number): Region {
  const bottom = -bar.lengthMm - deeperMm;
  const half = barHalf(bar);
  const roomy = { at0: half.at0 + clearanceMm, slope: half.slope };
  const outline = barOutline(frontX, bottom, bar.yMm, (x) => barHeight(bar, x) + 2 * clearanceMm, 0);
  return barRegion(outline, roomy, cornerLine(bar, clearanceMm), [bottom, frontX]);
}

/** The hole of a block for a bar, begun at `frontX`: one region, or one for each bore of a drilled one. */
export function blockHoleRegions(bar: Bar, hole: BlockHole, frontX: number): Region[] {
  if (hole.kind === "milled") {
    const { heightMm, widthMm, cutterMm, depthMm } = hole;
    const outline = boxContour(frontX - depthMm, frontX, bar.yMm - heightMm / 2, bar.yMm + heightMm / 2);
    const corner = { at0: Math.min(cutterMm, widthMm) / 2, slope: 0 };
    return [barRegion(outline, { at0: widthMm / 2, slope: 0 }, corner, outline.xRange)];
  }
  if (hole.kind === "drilled") return hole.stages.flatMap((s) => bores(s, bar.yMm, frontX));
  return [roomRegion(bar, hole.clearanceMm, hole.deeperMm, frontX)];
}

function bores(
  stage: Extract<BlockHole, { kind: "drilled" }>["stages"][number],
  y: number,
  frontX: number,
): Region[] {
  return Array.from({ length: stage.count }, (_, i) => {
    const up = (i - (stage.count - 1) / 2) * stage.pitchMm;
    return rodRegion(frontX - stage.depthMm, frontX, y + up, stage.bitMm / 2);
  });
}

/** How deep behind the datum a block's hole goes. */
export function holeBottom(bar: Bar, hole: BlockHole, frontX: number): number {
  if (hole.kind === "milled") return frontX - hole.depthMm;
  if (hole.kind === "drilled") return frontX - Math.max(...hole.stages.map((s) => s.depthMm));
  return -bar.lengthMm - hole.deeperMm;
}

/** The round hole that the bar just goes into at x. */
export function barDiagonal(bar: Bar, x: number): number {
  const { halfHeight, halfThickness } = barSizeAt(bar, x);
  return roundFor(2 * halfHeight, 2 * halfThickness, lineAt(cornerLine(bar), x));
}

/** Half height and half thickness of the bar at x. */
export function barSizeAt(bar: Bar, x: number): { halfHeight: number; halfThickness: number } {
  return { halfHeight: barHeight(bar, x) / 2, halfThickness: lineAt(barHalf(bar), x) };
}
