import type { Design, FingerRing, Half, Handle, Lengthwise, Piece, ScaleJoint } from "./schema";

const NONE: readonly never[] = [];

/** The pieces of a handle that has any. */
export const piecesOf = (handle: Handle): readonly Piece[] => ("pieces" in handle ? handle.pieces : NONE);

export const ringsOf = (handle: Handle): readonly FingerRing[] => ("rings" in handle ? handle.rings : NONE);

export const jointsOf = (handle: Handle): readonly ScaleJoint[] =>
  "joints" in handle ? handle.joints : NONE;

/** A joint along the handle, of a handle that can have one; null of none. */
export const lengthwiseOf = (handle: Handle): Lengthwise | null =>
  "lengthwise" in handle ? handle.lengthwise : null;

/** Shaped halves on a full tang. */
export const halvesOf = (handle: Handle): readonly Half[] => ("halves" in handle ? handle.halves : NONE);

/** What a handle has besides its outline and thickness before its maker adds any of it. */
export function plainHandleForm() {
  return { symmetric: false, wraps: [], grooves: [] };
}

/** How far behind the datum the handle's outline reaches. */
export function handleReach(design: Design): number {
  return -Math.min(...design.handle.outline.map((n) => n.xMm));
}
