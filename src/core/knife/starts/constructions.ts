import { endKindOf, newEnd } from "../../kinds/tangEnds/registry";
import { handleAs, handleModule, handleOn } from "../constructions/handles/registry";
import { tangKindOf } from "../constructions/tangs/registry";
import { round } from "../design/create";
import { handleReach } from "../design/handleParts";
import { materialsIn } from "../design/materials";
import { newPiece, pinsTang } from "../design/newParts";
import type { BarEnd, BlockHole, Design, ScaleJoint } from "../design/schema";

/**
 * The knife with another kind of tang, keeping what still makes sense: outline, thickness, section, guard, pins, the
 * bar's measures between hidden and framed, and the handle's material. The same kind changes nothing.
 */
export function withTang(design: Design, kind: Design["tang"]["kind"]): Design {
  if (design.tang.kind === kind) return design;
  const tang = tangKindOf({ kind }).begin(design);
  return { ...design, tang, handle: handleOn(design.handle, kind) };
}

/** The knife with a full tang that has nothing on it, or with scales on it again. */
export function withBareTang(design: Design, bare: boolean): Design {
  const full = withTang(design, "full");
  return { ...full, handle: handleAs(full.handle, bare ? "bare" : "scales") };
}

/** The knife with a grip all of one metal, cast or built up over the tang: one tight block. */
export function withMetalGrip(design: Design, material: string): Design {
  const hidden = withTang(design, "hidden");
  if (hidden.tang.kind !== "hidden" || hidden.handle.kind !== "stack") return design;
  const hole: BlockHole = { kind: "broached", clearanceMm: 0, deeperMm: 0, fill: null };
  return {
    ...hidden,
    tang: { ...hidden.tang, hole },
    handle: { ...hidden.handle, pieces: [newPiece("piece-1", "block", material, 100)] },
  };
}

/**
 * The knife with another end of its hidden tang, the bar made as long as that end asks for. What comes apart is not
 * glued, nor pinned through its tang; what glue alone holds is.
 */
export function withEnd(design: Design, kind: BarEnd["kind"]): Design {
  const { tang } = design;
  if (tang.kind !== "hidden" || tang.end.kind === kind) return design;
  const reach = handleReach(design);
  const end = newEnd(kind, design.blade.steel);
  const lengthMm = endKindOf({ kind }).barLengthMm(reach) ?? tang.lengthMm;
  const next: Design = { ...design, tang: { ...tang, lengthMm: round(Math.max(5, lengthMm)), end } };
  return endKindOf({ kind }).comesApart ? unglued(next) : endKindOf({ kind }).glueOnly ? glued(next) : next;
}

const isAdhesive = (design: Design, material: string | null) =>
  material !== null && materialsIn(design)(material)?.class === "adhesive";

/** A hidden tang without glue round it and without pins through it. */
export function unglued(design: Design): Design {
  const { tang, guard, fasteners } = design;
  if (tang.kind !== "hidden") return design;
  const left = (fill: string | null) => (isAdhesive(design, fill) ? null : fill);
  return {
    ...design,
    tang: { ...tang, hole: { ...tang.hole, fill: left(tang.hole.fill) } },
    guard: guard && { ...guard, slot: { ...guard.slot, fill: left(guard.slot.fill) } },
    fasteners: fasteners.filter((f) => !pinsTang(tang, f)),
  };
}

function glued(design: Design): Design {
  const { tang } = design;
  return tang.kind === "hidden" && tang.hole.fill === null
    ? { ...design, tang: { ...tang, hole: { ...tang.hole, fill: "epoxy" } } }
    : design;
}

/** A joint half way along the handle, or behind the last one. */
export function newJoint(id: string, design: Design): ScaleJoint {
  const material = handleModule(design.handle).mainMaterial(design.handle);
  const reach = handleReach(design);
  const last = design.handle.kind === "scales" ? Math.min(0, ...design.handle.joints.map((j) => j.xMm)) : 0;
  return {
    id,
    xMm: round((last - reach) / 2),
    tiltDeg: 0,
    dividers: [{ material: "brass-260", thicknessMm: 1 }],
    right: material,
    left: material,
  };
}
