import { byKind } from "../../base/record/byKind";
import type { Design, FingerRing, Half, Handle, Piece, ScaleJoint } from "./schema";

const NONE: readonly never[] = [];

/** The pieces of a handle that has any. */
export const piecesOf = (handle: Handle): readonly Piece[] => ("pieces" in handle ? handle.pieces : NONE);

export const ringsOf = (handle: Handle): readonly FingerRing[] => ("rings" in handle ? handle.rings : NONE);

export const jointsOf = (handle: Handle): readonly ScaleJoint[] =>
  "joints" in handle ? handle.joints : NONE;

/** Shaped halves on a full tang. */
export const halvesOf = (handle: Handle): readonly Half[] => ("halves" in handle ? handle.halves : NONE);

/** The materials that a hand holds: scales and their segments, or pieces; the blade's steel of a bare tang. */
export function gripMaterials({ handle, blade }: Design): readonly string[] {
  const lower = "lengthwise" in handle && handle.lengthwise ? [handle.lengthwise.material] : [];
  const upper = byKind<typeof handle, readonly string[]>(handle, {
    bare: () => [blade.steel],
    stack: ({ pieces }) => pieces.map((p) => p.material),
    scales: ({ right, left, joints }) => [
      right.material,
      left.material,
      ...joints.flatMap((j) => [j.right, j.left]),
    ],
  });
  return [...upper, ...lower];
}

/** What a handle has besides its outline and thickness before its maker adds any of it. */
export function plainHandleForm() {
  return { symmetric: false, wrap: null, grooves: [] };
}
