import { straight } from "../curve/bezier";
import { type Contour, contourOf } from "../curve/contour";
import type { HiddenTang } from "../design/schema";
import type { Line } from "../solids/layer";

/** A straight-sided bar from x0 down to x1, its heights about a middle line. */
function bar(x0: number, x1: number, y: number, height0: number, height1: number): Contour {
  const p = [
    { x: x0, y: y + height0 / 2 },
    { x: x1, y: y + height1 / 2 },
    { x: x1, y: y - height1 / 2 },
    { x: x0, y: y - height0 / 2 },
  ];
  return contourOf(p.map((a, i) => straight(a, p[(i + 1) % 4])));
}

/** Height of a hidden tang at x, straight from its front to its end, and on beyond. */
function heightAt(tang: HiddenTang, x: number): number {
  return tang.frontHeightMm + ((tang.endHeightMm - tang.frontHeightMm) * -x) / tang.lengthMm;
}

/** The tang from the side. */
export function hiddenTangOutline(tang: HiddenTang): Contour {
  return bar(0, -tang.lengthMm, tang.yMm, tang.frontHeightMm, tang.endHeightMm);
}

/** Half its thickness along x. */
export function hiddenTangHalf(tang: HiddenTang): Line {
  return {
    at0: tang.frontThicknessMm / 2,
    slope: (tang.frontThicknessMm - tang.endThicknessMm) / 2 / tang.lengthMm,
  };
}

/** The hole it stands in, from `frontX` to its bottom: the tang's shape with the clearance all round. */
export function hiddenHole(tang: HiddenTang, frontX: number): { outline: Contour; half: Line } {
  const { clearanceMm, deeperMm } = tang.hole;
  const bottom = -tang.lengthMm - deeperMm;
  const roomy = (x: number) => Math.max(0.01, heightAt(tang, x)) + 2 * clearanceMm;
  const half = hiddenTangHalf(tang);
  return {
    outline: bar(frontX, bottom, tang.yMm, roomy(frontX), roomy(bottom)),
    half: { at0: half.at0 + clearanceMm, slope: half.slope },
  };
}
