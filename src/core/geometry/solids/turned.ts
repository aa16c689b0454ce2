import type { Point } from "../curve/bezier";
import { straight } from "../curve/bezier";
import { type Contour, contourOf } from "../curve/contour";
import type { Profile } from "../curve/profile";
import { arc, boxContour, ellipseContour } from "../curve/shapes";
import { type LoftSide, loftRegion } from "./loft";
import type { Region } from "./region";
import { facetedSection, type SectionShape, sectionOf } from "./section";

const ROUND = sectionOf(1);

/**
 * A body alike on both sides by its outline from the side, its half width along x and its section; `from` is all that
 * the half width is made from, as plain data.
 */
export function evenLoft(
  outline: Contour,
  halfWidth: (x: number) => number,
  section: SectionShape,
  xRange: readonly [number, number] = outline.xRange,
  from?: readonly unknown[],
): Region {
  const crown: Profile = { knots: [], at: halfWidth };
  const side: LoftSide = { crown, land: () => 0, cap: () => Number.POSITIVE_INFINITY };
  return loftRegion({
    outline,
    xRange,
    right: side,
    left: side,
    sectionAt: () => section,
    stations: [],
    from: from && [section.from, ...from],
  });
}

/** A round rod along x between two stations, its axis at height y. */
export function rodRegion(x0: number, x1: number, y: number, radiusMm: number): Region {
  const r = Math.max(0, radiusMm);
  return evenLoft(boxContour(x0, x1, y - r, y + r), () => r, ROUND, undefined, ["even", r]);
}

/** A hexagonal prism along x, by its width across flats. */
export function hexRodRegion(x0: number, x1: number, y: number, acrossMm: number): Region {
  const [flat, point] = [acrossMm / 2, acrossMm / Math.sqrt(3)];
  return evenLoft(boxContour(x0, x1, y - point, y + point), () => flat, facetedSection(6), undefined, [
    "even",
    flat,
  ]);
}

/** A ball. */
export function ballRegion(centre: Point, radiusMm: number, xRange?: readonly [number, number]): Region {
  const r = radiusMm;
  const half = (x: number) => Math.sqrt(Math.max(0, r * r - (x - centre.x) ** 2));
  return evenLoft(ellipseContour(centre, r, r), half, ROUND, xRange, ["ball", centre, r]);
}

/**
 * A block across the knife from x1 back to x0, its rear face and its front face each domed by half an ellipsoid so deep
 * (both held to its length, in proportion).
 */
export function domedBlockRegion(
  [x0, x1]: readonly [number, number],
  [y0, y1]: readonly [number, number],
  widthMm: number,
  domeMm: number,
  section: SectionShape,
  frontDomeMm = 0,
): Region {
  const held = Math.min(1, (x1 - x0) / Math.max(domeMm + frontDomeMm, Number.MIN_VALUE));
  const [rear, front] = [domeMm * held, frontDomeMm * held];
  if (!(rear > 0) && !(front > 0))
    return evenLoft(boxContour(x0, x1, y0, y1), () => widthMm / 2, section, undefined, ["even", widthMm / 2]);
  const [from, to] = [x0 + rear, x1 - front];
  const [y, r] = [(y0 + y1) / 2, (y1 - y0) / 2];
  const ahead =
    front > 0
      ? arc({ x: to, y }, front, r, -Math.PI / 2, Math.PI / 2)
      : [straight({ x: x1, y: y0 }, { x: x1, y: y1 })];
  const behind =
    rear > 0
      ? arc({ x: from, y }, rear, r, Math.PI / 2, (3 * Math.PI) / 2)
      : [straight({ x: x0, y: y1 }, { x: x0, y: y0 })];
  const [top, bottom] = [ahead[ahead.length - 1].d, ahead[0].a];
  const [rearTop, rearBottom] = [behind[0].a, behind[behind.length - 1].d];
  const long = to > from;
  const outline = contourOf([
    ...ahead,
    ...(long ? [straight(top, rearTop)] : []),
    ...behind,
    ...(long ? [straight(rearBottom, bottom)] : []),
  ]);
  const within = (far: number, dome: number) =>
    far <= 0 ? 1 : Math.sqrt(Math.max(0, 1 - (far / dome) ** 2));
  const k = (x: number) => within(from - x, rear) * within(x - to, front);
  const made = ["domed", x0, x1, widthMm, rear, ...(front > 0 ? [front] : [])];
  return evenLoft(outline, (x) => (widthMm / 2) * k(x), section, undefined, made);
}
