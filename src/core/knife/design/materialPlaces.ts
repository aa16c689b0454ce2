import { byKind } from "../../base/record/byKind";
import type { MaterialOf } from "../../materials/types";
import { materialsIn } from "./materials";
import type { Design, Piece, PieceRole, ScalesHandle } from "./schema";

/** Where a knife has a material that can be changed by itself. */
export const MATERIAL_PLACES = [
  "scales",
  "block",
  "washers",
  "liners",
  "spacers",
  "guard",
  "bolsters",
  "ferrules",
  "pommel",
  "pins",
] as const;
export type MaterialPlace = (typeof MATERIAL_PLACES)[number];

/** Roles of the pieces that a place stands for. */
const ROLES: Partial<Record<MaterialPlace, readonly PieceRole[]>> = {
  block: ["block"],
  washers: ["washer"],
  spacers: ["spacer"],
  bolsters: ["bolster"],
  ferrules: ["ferrule"],
  pommel: ["pommel", "butt-plate"],
};

/** The material there, the first where there are several; null where the knife has no such place. */
export function materialAt(design: Design, place: MaterialPlace): string | null {
  const { handle, guard, fasteners } = design;
  if (place === "guard") return guard?.plates[0].material ?? null;
  if (place === "pins") return fasteners.find((f) => f.kind === "pin")?.material ?? null;
  return byKind<typeof handle, string | null>(handle, {
    bare: () => null,
    scales: ({ right, liners, bolsters: { front, rear } }) => {
      if (place === "scales") return right.material;
      if (place === "liners") return liners[0]?.material ?? null;
      return place === "bolsters" ? (front?.right ?? rear?.right ?? null) : null;
    },
    stack: ({ pieces }) => pieces.find((p) => ROLES[place]?.includes(p.role))?.material ?? null,
  });
}

/** Only the class that a material was pressed as stays pressed: leather does, the wood that takes its place does not. */
function remade(piece: Piece, material: string, materialOf: MaterialOf): Piece {
  const alike = materialOf(piece.material)?.class === materialOf(material)?.class;
  return { ...piece, material, pressedShare: alike ? piece.pressedShare : 0 };
}

/**
 * The knife with another material there, and as it was where it has no such place. Segments of scales follow where
 * they were of the scale's own material on their side.
 */
export function withMaterial(design: Design, place: MaterialPlace, material: string): Design {
  const { handle, guard, fasteners } = design;
  if (materialAt(design, place) === null) return design;
  if (place === "guard" && guard)
    return { ...design, guard: { ...guard, plates: guard.plates.map((p) => ({ ...p, material })) } };
  if (place === "pins")
    return { ...design, fasteners: fasteners.map((f) => (f.kind === "pin" ? { ...f, material } : f)) };
  return byKind(handle, {
    bare: () => design,
    scales: (scales) => ({ ...design, handle: scalesWith(scales, place, material) }),
    stack: (stack) => {
      const roles = ROLES[place] ?? [];
      const pieces = stack.pieces.map((p) =>
        roles.includes(p.role) ? remade(p, material, materialsIn(design)) : p,
      );
      return { ...design, handle: { ...stack, pieces } };
    },
  });
}

function scalesWith(handle: ScalesHandle, place: MaterialPlace, material: string): ScalesHandle {
  const { right, left, liners, joints } = handle;
  if (place === "liners") return { ...handle, liners: liners.map((l) => ({ ...l, material })) };
  if (place === "bolsters") {
    const { front, rear } = handle.bolsters;
    const all = { right: material, left: material };
    return {
      ...handle,
      bolsters: { front: front && { ...front, ...all }, rear: rear && { ...rear, ...all } },
    };
  }
  return {
    ...handle,
    right: { ...right, material },
    left: { ...left, material },
    joints: joints.map((j) => ({
      ...j,
      right: j.right === right.material ? material : j.right,
      left: j.left === left.material ? material : j.left,
    })),
  };
}
