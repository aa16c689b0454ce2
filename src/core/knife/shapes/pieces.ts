import type { Region } from "../../geometry/solids/region";
import { shapeKindOf } from "../../kinds/pieceShapes/registry";
import type { Design, Piece, PieceShape, StackHandle } from "../design/schema";
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
  if (shape.kind === "mesh") return importedRegions(meshes, shape.place, range[1]);
  return [shapeKindOf(shape).regions(shape, range)];
}
