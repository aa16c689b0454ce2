import { straight } from "../curve/bezier";
import { contourOf } from "../curve/contour";
import { boxContour } from "../curve/shapes";
import { curveThrough } from "../curve/spline";
import type { Design, Piece, PieceShape, StackHandle } from "../design/schema";
import { cylinderRegion } from "../solids/cylinder";
import { layerRegion } from "../solids/layer";
import type { Region } from "../solids/region";
import { facetedSection, sectionOf } from "../solids/section";
import { ballRegion, domedBlockRegion, evenLoft } from "../solids/turned";
import { importedRegions } from "./imported";

/** Length of a piece once it is pressed together. */
export function pressedLength(piece: Piece): number {
  return piece.lengthMm * (1 - piece.pressedShare);
}

/** The piece that takes what length the others leave: the last that follows the handle's outline, or none (−1). */
export function slackPiece(handle: StackHandle): number {
  return handle.pieces.findLastIndex((p) => p.shape === null);
}

/**
 * Stations that a stack's pieces stand between, front first. Those before the slack piece begin at the front, those
 * after it end at the butt, and it fills what is between.
 */
export function pieceStations(handle: StackHandle, front: number, butt: number): [number, number][] {
  const { pieces } = handle;
  const slack = slackPiece(handle);
  const ranges: [number, number][] = pieces.map(() => [butt, butt]);
  let from = front;
  const upTo = slack < 0 ? pieces.length : slack;
  for (let i = 0; i < upTo; i++) {
    const to = slack < 0 ? from - pressedLength(pieces[i]) : Math.max(butt, from - pressedLength(pieces[i]));
    ranges[i] = [to, from];
    from = to;
  }
  let end = butt;
  for (let i = pieces.length - 1; i > slack && slack >= 0; i--) {
    const to = end + pressedLength(pieces[i]);
    ranges[i] = [end, to];
    end = to;
  }
  if (slack >= 0) ranges[slack] = [Math.min(end, from), from];
  return ranges;
}

/** Where the body that follows the outline ends: at the butt, or where shaped pieces at the end begin. */
export function bodyEnd(handle: StackHandle, front: number, butt: number): number {
  const slack = slackPiece(handle);
  return slack < 0 ? front : pieceStations(handle, front, butt)[slack][0];
}

/** Lean of the joint behind a piece: only two pieces of the handle's own outline have one. */
export function jointTilt(handle: StackHandle, i: number): number {
  const [piece, next] = [handle.pieces[i], handle.pieces[i + 1]];
  return next && piece.shape === null && next.shape === null ? piece.tiltDeg : 0;
}

/** A piece of its own outline between two stations, as regions: what they have in common, or each of several. */
export function shapeRegions(
  meshes: Design["meshes"],
  shape: PieceShape,
  range: readonly [number, number],
): readonly (readonly Region[])[] {
  const [x0, x1] = range;
  if (shape.kind === "mesh") return importedRegions(meshes, shape.place, x1);
  if (shape.kind === "ball") {
    const r = shape.diameterMm / 2;
    return [[ballRegion({ x: x0 + r, y: shape.yMm }, r, range)]];
  }
  if (shape.kind === "disc") {
    const r = shape.diameterMm / 2;
    const sides = layerRegion(
      { at0: -shape.widthMm / 2, slope: 0 },
      { at0: shape.widthMm / 2, slope: 0 },
      range,
    );
    return [[cylinderRegion({ xMm: x0 + r, yMm: shape.yMm, radiusMm: r }), sides]];
  }
  const heights: [number, number] = [-shape.belowMm, shape.aboveMm];
  if (shape.kind === "plate")
    return [[domedBlockRegion([x0, x1], heights, shape.widthMm, shape.domeMm, sectionOf(shape.roundness))]];
  if (shape.kind === "faceted") {
    const box = boxContour(x0, x1, ...heights);
    return [[evenLoft(box, () => shape.widthMm / 2, facetedSection(shape.facets))]];
  }
  return [[evenLoft(beakOutline(shape, range), () => shape.widthMm / 2, sectionOf(shape.roundness))]];
}

/** A rounded back, running down into a beak that hooks forward a little under the handle. */
function beakOutline(shape: Extract<PieceShape, { kind: "beak" }>, [x0, x1]: readonly [number, number]) {
  const { aboveMm: up, belowMm: down, beakMm } = shape;
  const length = x1 - x0;
  const knot = (x: number, y: number, corner = false) => ({ x, y, corner });
  const run = curveThrough([
    knot(x1, up, true),
    knot(x0 + 0.35 * length, 0.9 * up),
    knot(x0, -0.2 * down),
    knot(x0 + 0.12 * length, -down - 0.5 * beakMm),
    knot(x0 + 0.42 * length, -down - beakMm, true),
    knot(x0 + 0.62 * length, -down - 0.3 * beakMm),
    knot(x1, -down, true),
  ]);
  return contourOf([...run, straight(run[run.length - 1].d, run[0].a)]);
}
