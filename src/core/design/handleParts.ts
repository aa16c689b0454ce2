import type { Design, FingerRing, Half, Handle, Piece, ScaleJoint } from "./schema";

const NONE: readonly never[] = [];

/** The pieces of a handle that has any. */
export const piecesOf = (handle: Handle): readonly Piece[] =>
  handle.kind === "stack" ? handle.pieces : NONE;

export const ringsOf = (handle: Handle): readonly FingerRing[] =>
  handle.kind === "stack" ? handle.rings : NONE;

export const jointsOf = (handle: Handle): readonly ScaleJoint[] =>
  handle.kind === "scales" ? handle.joints : NONE;

/** Shaped halves on a full tang. */
export const halvesOf = (handle: Handle): readonly Half[] =>
  handle.kind === "scales" ? handle.halves : NONE;

/** The materials that a hand holds: scales and their segments, or pieces; the blade's steel of a bare tang. */
export function gripMaterials({ handle, blade }: Design): readonly string[] {
  if (handle.kind === "bare") return [blade.steel];
  const lower = handle.lengthwise ? [handle.lengthwise.material] : [];
  if (handle.kind === "stack") return [...handle.pieces.map((p) => p.material), ...lower];
  const joints = handle.joints.flatMap((j) => [j.right, j.left]);
  return [handle.right.material, handle.left.material, ...joints, ...lower];
}

/** What a handle has besides its outline and thickness before its maker adds any of it. */
export function plainHandleForm() {
  return { symmetric: false, wrap: null, grooves: [] };
}
