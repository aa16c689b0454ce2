import { radians } from "../../../base/number";
import { ROUNDING, SAME_PLACE_MM } from "../../../base/tolerances";
import { insideBy } from "../../../geometry/curve/contour";
import { enclosedArea, polyline, selfCrossing } from "../../../geometry/curve/crossing";
import { lineAt } from "../../../geometry/solids/line";
import type { Half, ScalesHandle } from "../../design/schema";
import type { Report } from "../../parts/faults";
import { closedOutline } from "../../shapes/halves";
import { waistDepth } from "../../shapes/handleBody";
import { type LeaningJoint, leastBetween } from "../../shapes/meetings";
import { scalesSpan } from "../../shapes/scaleEnd";
import { behindDividers, bolsterJoint, jointsFrontFirst, linersThickness } from "../../shapes/scales";
import type { Layout } from "../../shapes/types";

export function checkScales(layout: Layout, handle: ScalesHandle, report: Report): void {
  const { frontX: front, tangFace, crowns } = layout;
  const liners = linersThickness(handle);
  const hollow = (x: number) => {
    const w = handle.waist;
    return w && Math.abs(x - w.xMm) < SAME_PLACE_MM ? waistDepth(w) : 0;
  };
  const places = [
    ...handle.plan.map((p) => ({ x: p.xMm, id: p.id })),
    ...(handle.waist ? [{ x: handle.waist.xMm, id: "waist" }] : []),
  ];
  for (const { x, id } of places) {
    const at = { x, y: 0 };
    const core = lineAt(tangFace, x) + liners;
    for (const side of ["right", "left"] as const) {
      const halfMm = crowns[side].at(x) - hollow(x);
      const stock = handle[side].thicknessMm;
      if (!(halfMm > core)) {
        report("error", "handle-thinner-than-tang", { at, subject: id, measured: halfMm, limit: core });
        break;
      }
      if (halfMm > core + stock + ROUNDING) {
        report("warning", "stock-thinner-than-handle", {
          at,
          subject: id,
          measured: halfMm,
          limit: core + stock,
        });
        break;
      }
    }
  }
  const stock = Math.min(handle.right.thicknessMm, handle.left.thicknessMm);
  const [rear] = scalesSpan(handle, layout.span);
  const bevels = [
    { bevel: handle.frontBevel, end: front, toward: 1 },
    { bevel: handle.rearBevel, end: rear, toward: -1 },
  ];
  for (const { bevel, end, toward } of bevels) {
    if (!bevel) continue;
    const cut = bevel.lengthMm * Math.tan(radians(bevel.angleDeg));
    const face = lineAt(tangFace, end);
    const deep = Math.min(crowns.right.at(end - toward * bevel.lengthMm), face + liners + stock) - face;
    if (cut > deep) report("warning", "bevel-too-deep", { at: { x: end, y: 0 }, measured: cut, limit: deep });
  }
  checkJoints(handle, layout, report);
  for (const half of handle.halves) checkHalf(half, layout, report);
}

/** Halves enclose this much at least, mm². */
const LEAST_AREA_MM2 = 1;

/** Halves have an outline that does not cross itself, and lie on the tang somewhere. */
function checkHalf(half: Half, { outline }: Layout, report: Report): void {
  if (half.shape.kind !== "outline") return;
  const { cubics } = closedOutline(half.shape.points);
  const [first] = half.shape.points;
  const crossing = selfCrossing(cubics);
  if (crossing) report("error", "outline-crosses-itself", { at: crossing, subject: half.id });
  const meets = polyline(cubics, 24).some(({ x, y }) => insideBy(outline, x, y) >= 0);
  if (!(enclosedArea(polyline(cubics, 24)) > LEAST_AREA_MM2)) {
    report("error", "half-no-area", { at: { x: first.xMm, y: first.yMm }, subject: half.id });
    return;
  }
  if (!meets) report("error", "half-off-handle", { at: { x: first.xMm, y: first.yMm }, subject: half.id });
}

function checkJoints(handle: ScalesHandle, layout: Layout, report: Report): void {
  const { outline } = layout;
  const span = scalesSpan(handle, layout.span);
  const { front, rear } = handle.bolsters;
  const ending = (xMm: number, tiltDeg = 0): LeaningJoint => ({ xMm, tiltDeg });
  const from = front ? { ...front, xMm: bolsterJoint(front, "front", span) } : ending(span[1]);
  const to = rear
    ? { ...rear, xMm: bolsterJoint(rear, "rear", span) }
    : ending(span[0], handle.rearEnd?.tiltDeg);
  if (
    handle.rearEnd &&
    !(leastBetween(outline, ending(span[1]), ending(span[0], handle.rearEnd.tiltDeg)) > 0)
  ) {
    const limit = span[1] - layout.span[0];
    report("error", "scales-without-room", {
      at: { x: span[0], y: 0 },
      measured: handle.rearEnd.bareMm,
      limit,
    });
    return;
  }
  if (!(to.xMm < from.xMm) || !(leastBetween(outline, from, to) > 0))
    report("error", "bolsters-meet", { at: { x: from.xMm, y: 0 }, measured: to.xMm, limit: from.xMm });
  let ahead = from;
  for (const j of jointsFrontFirst(handle)) {
    const at = { x: j.xMm, y: 0 };
    const end = { ...j, xMm: behindDividers(j) };
    if (!(j.xMm < from.xMm) || !(end.xMm > to.xMm)) {
      const limit = j.xMm < from.xMm ? to.xMm : from.xMm;
      report("error", "joint-off-handle", { at, subject: j.id, measured: j.xMm, limit });
    } else {
      const between = leastBetween(outline, ahead, j);
      if (!(between > 0)) report("error", "joints-cross", { at, subject: j.id, measured: between, limit: 0 });
    }
    ahead = end;
  }
  // The last one against the rear bolster, whose joint may lean into it; an upright butt was looked at above.
  const between = leastBetween(outline, ahead, to);
  if (ahead !== from && rear && ahead.xMm > to.xMm && !(between > 0))
    report("error", "joints-cross", { at: { x: ahead.xMm, y: 0 }, measured: between, limit: 0 });
}
