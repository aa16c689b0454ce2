import { radians } from "../../base/number";
import { remembered } from "../../base/record/remembered";
import { ROUNDING } from "../../base/tolerances";
import { type Cubic, type Point, straight } from "../../geometry/curve/bezier";
import { type Contour, contourOf } from "../../geometry/curve/contour";
import { curveThrough } from "../../geometry/curve/spline";
import type { BladeOutline, DrawnBlade, TipStyle } from "../design/schema";

/** Control distance of a quarter ellipse as a cubic, from memory: 4/3·(√2 − 1); its area is 0.03 % off. */
const QUARTER = (4 / 3) * (Math.SQRT2 - 1);

/** How the spine runs to the tip. */
type SpineRun = "round-over" | "scoop" | "quarter";

const SPINE_RUN: Record<TipStyle, SpineRun> = {
  "drop-point": "round-over",
  "clip-point": "scoop",
  spear: "round-over",
  sheepsfoot: "quarter",
  "straight-back": "round-over",
  "trailing-point": "round-over",
};

/** The heights that the blade's outline is drawn between, mm over the axis, before it is raised by its angle. */
export function bladeHeights(blade: DrawnBlade) {
  const spine = blade.spineOverAxisMm;
  const edge = spine - blade.heelHeightMm;
  return {
    spine,
    edge,
    ricassoBottom: spine - blade.ricassoHeightMm,
    tip: blade.outline ? blade.outline.tipYMm : edge + blade.tip.heightShare * blade.heelHeightMm,
  };
}

/** How far a blade at an angle to the handle is raised at a station, mm. */
export function riseAt({ riseDeg }: Pick<DrawnBlade, "riseDeg">, x: number): number {
  return riseDeg === 0 ? 0 : x * Math.tan(radians(riseDeg));
}

/**
 * The blade's outline ahead of the datum as one closed run of cubics: along the spine to the tip, back along the
 * edge to the heel, and along the ricasso. Each of its stations is raised by the blade's angle.
 */
export const bladeOutline = remembered((blade: DrawnBlade): Contour => {
  const runs = blade.outline ? ownOutline(blade, blade.outline) : styledOutline(blade);
  return contourOf(blade.riseDeg === 0 ? runs : runs.map((c) => raised(blade, c)));
});

function raised(blade: DrawnBlade, { a, b, c, d }: Cubic): Cubic {
  const up = (p: Point): Point => ({ x: p.x, y: p.y + riseAt(blade, p.x) });
  return { a: up(a), b: up(b), c: up(c), d: up(d) };
}

/** Curves through the points of the spine, and back along those of the edge, between the shoulder's corners and the tip. */
function ownOutline(blade: DrawnBlade, { spine, edge }: BladeOutline): Cubic[] {
  const heights = bladeHeights(blade);
  const corner = (x: number, y: number) => ({ x, y, corner: true });
  const knots = (points: BladeOutline["spine"]) =>
    points.map((p) => ({ x: p.xMm, y: p.yMm, corner: p.corner }));
  const [top, bottom] = [corner(0, heights.spine), corner(0, heights.ricassoBottom)];
  const tip = corner(blade.lengthMm, heights.tip);
  return [
    ...curveThrough([top, ...knots(spine), tip]),
    ...curveThrough([tip, ...knots(edge).reverse(), bottom]),
    straight(bottom, top),
  ];
}

/** The outline of the tip's style. Lengths beyond the blade are held within it. */
function styledOutline(blade: DrawnBlade): Cubic[] {
  const L = blade.lengthMm;
  const ricasso = Math.min(blade.ricassoMm, L);
  const { spine, edge, ricassoBottom, tip } = bladeHeights(blade);
  const spineEnd = L - Math.min(blade.tip.dropMm, L);
  const edgeEnd = L - Math.min(blade.tip.bellyMm, L - ricasso);
  const at = (x: number, y: number): Point => ({ x, y });
  const corners: Cubic[] = [
    straight(at(0, spine), at(spineEnd, spine)),
    runToTip(SPINE_RUN[blade.tip.style], at(spineEnd, spine), at(L, tip)),
    reversed(runToTip("round-over", at(edgeEnd, edge), at(L, tip))),
    straight(at(edgeEnd, edge), at(ricasso, edge)),
    straight(at(ricasso, edge), at(ricasso, ricassoBottom)),
    straight(at(ricasso, ricassoBottom), at(0, ricassoBottom)),
    straight(at(0, ricassoBottom), at(0, spine)),
  ];
  return corners.filter((c) => Math.hypot(c.d.x - c.a.x, c.d.y - c.a.y) > ROUNDING);
}

function runToTip(run: SpineRun, from: Point, tip: Point): Cubic {
  const midX = (from.x + tip.x) / 2;
  if (run === "quarter") {
    return {
      a: from,
      b: { x: from.x + QUARTER * (tip.x - from.x), y: from.y },
      c: { x: tip.x, y: tip.y + QUARTER * (from.y - tip.y) },
      d: tip,
    };
  }
  // A parabola: leaving the straight spine or edge without a corner, or a shallow scoop between two corners.
  const controlY = run === "round-over" ? from.y : 0.25 * from.y + 0.75 * tip.y;
  const q = { x: midX, y: controlY };
  const third = (p: Point): Point => ({ x: p.x + (2 / 3) * (q.x - p.x), y: p.y + (2 / 3) * (q.y - p.y) });
  return { a: from, b: third(from), c: third(tip), d: tip };
}

function reversed(c: Cubic): Cubic {
  return { a: c.d, b: c.c, c: c.b, d: c.a };
}
