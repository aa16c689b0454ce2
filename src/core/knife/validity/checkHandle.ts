import { radians } from "../../base/number";
import { byKind } from "../../base/record/byKind";
import { ROUNDING, SAME_PLACE_MM } from "../../base/tolerances";
import type { Point } from "../../geometry/curve/bezier";
import { insideBy } from "../../geometry/curve/contour";
import { enclosedArea, polyline, selfCrossing, signedDistance } from "../../geometry/curve/crossing";
import { lineAt } from "../../geometry/solids/line";
import { fittingOf } from "../../kinds/guardFittings/registry";
import { handleReach } from "../design/constructions";
import type { Design, Half, Handle, ScalesHandle, SideGroove, StackHandle } from "../design/schema";
import { barSizeAt } from "../layout/bar";
import { grooveMiddle, hasEdge } from "../layout/grips";
import { closedOutline } from "../layout/halves";
import { waistDepth } from "../layout/handleBody";
import { handleOutline } from "../layout/handleOutline";
import { type Layout, layoutOf } from "../layout/layout";
import { lengthwiseOutlines } from "../layout/lengthwise";
import { type LeaningJoint, leastBetween } from "../layout/meetings";
import { bodyEnd, jointTilt, pressedLength, slackPiece } from "../layout/pieces";
import { behindDividers, bolsterJoint, jointsFrontFirst, linersThickness } from "../layout/scales";
import type { Report } from "./types";

/** Thickness of the handle against what lies inside it, and where its pieces, joints and rings stand. */
export function checkHandle(design: Design, edge: readonly Point[], report: Report): void {
  const { handle } = design;
  if (handle.waist && !(handle.waist.wheelRadiusMm > handle.waist.chordMm / 2)) {
    const at = { x: handle.waist.xMm, y: 0 };
    const measured = handle.waist.wheelRadiusMm;
    report("error", "waist-wheel-too-small", { at, measured, limit: handle.waist.chordMm / 2 });
  }
  checkWrap(design, report);
  checkLengthwise(handle, report);
  for (const g of handle.grooves) {
    const { buttX, frontX } = layoutOf(design);
    const at = { x: g.xMm, y: 0 };
    if (g.xMm > frontX || g.xMm < buttX)
      report("error", "groove-off-handle", { at, subject: g.id, measured: g.xMm, limit: buttX });
    else checkGroove(design, g, report);
  }
  byKind(handle, {
    bare: () => undefined,
    scales: (scales) => checkScales(design, scales, report),
    stack: (stack) => {
      checkPieces(design, stack, report);
      checkRings(stack, edge, report);
    },
  });
}

/** Rings are joined to what they stand on. */
function checkRings({ rings }: StackHandle, edge: readonly Point[], report: Report): void {
  for (const r of rings) {
    const at = { x: r.xMm, y: r.yMm };
    const measured = signedDistance(edge, at) - r.boreMm / 2 - r.wallMm;
    if (!(measured < 0)) report("error", "ring-apart", { at, subject: r.id, measured, limit: 0 });
  }
}

/** A groove stays in what covers the tang. */
function checkGroove(design: Design, g: SideGroove, report: Report): void {
  const layout = layoutOf(design);
  const { tang, handle } = design;
  const at = grooveMiddle(layout, g);
  const barHalf = tang.kind === "hidden" && at.x > -tang.lengthMm ? barSizeAt(tang, at.x).halfThickness : 0;
  const core = tang.kind === "hidden" ? barHalf : handle.kind === "bare" ? 0 : lineAt(layout.tangFace, at.x);
  for (const side of ["right", "left"] as const) {
    if (g.sides !== "both" && g.sides !== side) continue;
    const limit = layout.surfaceAt(at.x, at.y, side) - core;
    if (!(g.depthMm < limit)) {
      report("error", "groove-into-tang", { at, subject: g.id, measured: g.depthMm, limit });
      return;
    }
  }
}

/** Cord or leather wound round the handle. */
function checkWrap({ handle, ...design }: Design, report: Report): void {
  const { wrap } = handle;
  if (!wrap) return;
  const { buttX, frontX } = layoutOf({ ...design, handle });
  const at = { x: wrap.fromMm, y: 0 };
  const layout = layoutOf({ ...design, handle });
  if (!hasEdge(layout, wrap)) report("error", "wrap-no-pommel", { at: { x: buttX, y: 0 } });
  else if (
    wrap.on === "grip" &&
    (!(wrap.fromMm > wrap.toMm) || wrap.fromMm > frontX + SAME_PLACE_MM || wrap.toMm < buttX - SAME_PLACE_MM)
  )
    report("error", "wrap-off-handle", { at, measured: wrap.toMm, limit: buttX });
  const collar = fittingOf(design.guard, "collar");
  const clear = frontX - (collar?.lengthMm ?? 0);
  if (collar && wrap.on === "grip" && wrap.fromMm > clear + SAME_PLACE_MM)
    report("error", "wrap-over-collar", { at, measured: wrap.fromMm, limit: clear });
  if (wrap.pitchMm < wrap.widthMm - ROUNDING)
    report("error", "wrap-too-close", { at, measured: wrap.pitchMm, limit: wrap.widthMm });
}

function checkScales(design: Design, handle: ScalesHandle, report: Report): void {
  const layout = layoutOf(design);
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
  const bevel = handle.frontBevel;
  if (bevel) {
    const stock = Math.min(handle.right.thicknessMm, handle.left.thicknessMm);
    const cut = bevel.lengthMm * Math.tan(radians(bevel.angleDeg));
    const face = lineAt(tangFace, front);
    const deep = Math.min(crowns.right.at(front - bevel.lengthMm), face + liners + stock) - face;
    if (cut > deep)
      report("warning", "bevel-too-deep", { at: { x: front, y: 0 }, measured: cut, limit: deep });
  }
  checkJoints(handle, layout, report);
  for (const half of handle.halves) checkHalf(half, layout, report);
}

/** A joint along the handle runs from front to rear, and through the handle. */
function checkLengthwise(handle: Handle, report: Report): void {
  if (handle.kind === "bare" || !handle.lengthwise) return;
  const { points } = handle.lengthwise;
  points.forEach((p, i) => {
    const ahead = points[i - 1];
    if (ahead && !(p.xMm < ahead.xMm - SAME_PLACE_MM))
      report("error", "lengthwise-turns-back", {
        at: { x: p.xMm, y: p.yMm },
        subject: p.id,
        measured: p.xMm,
        limit: ahead.xMm,
      });
  });
  const outline = handleOutline(handle);
  const inside = polyline(lengthwiseOutlines(handle.lengthwise).curve, 24).some(
    ({ x, y }) => insideBy(outline, x, y) > 0,
  );
  if (!inside) report("error", "lengthwise-off-handle", { at: { x: points[0].xMm, y: points[0].yMm } });
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
  const { span, outline } = layout;
  const { front, rear } = handle.bolsters;
  const upright = (xMm: number): LeaningJoint => ({ xMm, tiltDeg: 0 });
  const from = front ? { ...front, xMm: bolsterJoint(front, "front", span) } : upright(span[1]);
  const to = rear ? { ...rear, xMm: bolsterJoint(rear, "rear", span) } : upright(span[0]);
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

/** Pieces along the tang: together they fill the handle. */
function checkPieces(design: Design, handle: StackHandle, report: Report): void {
  const { buttX: butt, frontX: front, pieces: stations, outline } = layoutOf(design);
  const slack = slackPiece(handle);
  if (slack < 0) {
    const end = stations[stations.length - 1][0];
    if (Math.abs(end - butt) > 0.5) {
      const at = { x: end, y: 0 };
      report("warning", "pieces-short-of-butt", { at, measured: front - end, limit: front - butt });
    }
    return;
  }
  const rest = bodyEnd(handle, front, butt);
  const given = handle.pieces.reduce((sum, p, i) => (i === slack ? sum : sum + pressedLength(p)), 0);
  const room = front - butt;
  if (!(given < room))
    report("error", "pieces-longer-than-handle", { at: { x: rest, y: 0 }, measured: given, limit: room });
  else
    handle.pieces.forEach((piece, i) => {
      if (piece.shape || i === 0) return;
      const [to, from] = stations[i];
      const ahead = { xMm: from, tiltDeg: jointTilt(handle, i - 1) };
      const behind = { xMm: to, tiltDeg: jointTilt(handle, i) };
      const between = leastBetween(outline, ahead, behind);
      if (!(between > 0)) {
        const more = { at: { x: to, y: 0 }, subject: piece.id, measured: between, limit: 0 };
        report("error", "joints-cross", more);
      }
    });
}

/** Whether the handle has length left behind its guard; what stands on it is not checked where it has none. */
export function checkRoom(design: Design, report: Report): boolean {
  const { frontX, guardMm } = layoutOf(design);
  const reach = handleReach(design);
  if (frontX > -reach) return true;
  report("error", "guard-longer-than-handle", { at: { x: frontX, y: 0 }, measured: guardMm, limit: reach });
  return false;
}
