import { clamp } from "../../base/number";
import { byKind } from "../../base/record/byKind";
import { kindOf } from "../../kinds/fasteners/registry";
import { type SizedShapeKind, shapeFor } from "../../kinds/pieceShapes/registry";
import { endKindOf, newEnd } from "../../kinds/tangEnds/registry";
import { plainFullTang, round } from "./create";
import { materialsIn } from "./materials";
import type {
  Bar,
  BarEnd,
  BareHandle,
  BlockHole,
  Bolster,
  Design,
  Fastener,
  FullTang,
  Handle,
  HiddenTang,
  Piece,
  PieceRole,
  PieceShape,
  ScaleJoint,
  StackHandle,
} from "./schema";

type HandleForm = Omit<BareHandle, "kind">;

/** How far behind the datum the handle's outline reaches. */
export function handleReach(design: Design): number {
  return -Math.min(...design.handle.outline.map((n) => n.xMm));
}

/** The material that most of the handle is of. */
export function mainMaterial(design: Design): string {
  const { handle } = design;
  return byKind(handle, {
    scales: ({ right }) => right.material,
    bare: () => "walnut-black",
    stack: ({ pieces }) => (pieces.find((p) => p.role === "block") ?? pieces[0]).material,
  });
}

/** A bar to begin from: two thirds of the handle long, half of its front high. */
function newBar(design: Design): Bar {
  const nodes = design.handle.outline;
  const front = nodes[0].yMm - nodes[nodes.length - 1].yMm;
  return {
    lengthMm: round((2 / 3) * handleReach(design)),
    yMm: round((nodes[0].yMm + nodes[nodes.length - 1].yMm) / 2),
    frontHeightMm: round(front / 2),
    endHeightMm: round(front / 3.5),
    frontThicknessMm: design.blade.spineMm,
    endThicknessMm: round(design.blade.spineMm * 0.8),
    frontCornerMm: 0,
    endCornerMm: 0,
    shoulderRadiusMm: 1,
  };
}

function barOf(design: Design): Bar {
  const { tang } = design;
  if (tang.kind === "full") return newBar(design);
  const { kind, ...rest } = tang;
  const { hole, ...more } = rest;
  const { frame, end, ...bar } = more as Bar & { frame?: unknown; end?: unknown };
  return bar;
}

/** A piece to begin from. */
export function newPiece(id: string, role: PieceRole, material: string, lengthMm: number): Piece {
  return {
    id,
    role,
    material,
    lengthMm,
    discMm: null,
    pressedShare: 0,
    tiltDeg: 0,
    shape: null,
    printed: null,
  };
}

/**
 * The knife with another kind of tang, keeping what still makes sense: outline, thickness, section, guard, pins, the
 * bar's measures between hidden and framed, and the handle's material. The same kind changes nothing.
 */
export function withTang(design: Design, kind: Design["tang"]["kind"]): Design {
  return design.tang.kind === kind ? design : WITH_TANG[kind](design);
}

const newRoom = () => ({ clearanceMm: 0.5, deeperMm: 3, fill: "epoxy" });

const WITH_TANG: Readonly<Record<Design["tang"]["kind"], (design: Design) => Design>> = {
  full: (design) => ({ ...design, tang: plainFullTang(), handle: asScales(design) }),
  hidden: (design) => {
    const hole = { kind: "broached" as const, ...newRoom() };
    const tang: HiddenTang = { kind: "hidden", ...barOf(design), hole, end: { kind: "plain" } };
    return { ...design, tang, handle: asStack(design) };
  },
  framed: (design) => {
    const bar = barOf(design);
    const frame = { material: "nickel-silver", thicknessMm: round(bar.frontThicknessMm + 1) };
    return {
      ...design,
      tang: { kind: "framed", ...bar, frame, hole: newRoom() },
      handle: asScales(design),
    };
  },
};

function asStack(design: Design): StackHandle {
  if (design.handle.kind === "stack") return design.handle;
  const pieces = [newPiece("piece-1", "block", mainMaterial(design), 100)];
  return { kind: "stack", ...formOf(design.handle), pieces, rings: [], lengthwise: null };
}

/** What every kind of handle has. */
function formOf({ outline, plan, facets, waist, symmetric, wrap, grooves }: Handle): HandleForm {
  return { outline, plan, facets, waist, symmetric, wrap, grooves };
}

/** The knife with a full tang that has nothing on it, or with scales on it again. */
export function withBareTang(design: Design, bare: boolean): Design {
  const full = withTang(design, "full");
  if (bare) return { ...full, handle: { kind: "bare", ...formOf(full.handle) } };
  return { ...full, handle: asScales(full) };
}

function asScales(design: Design): Design["handle"] {
  if (design.handle.kind === "scales") return design.handle;
  const scale = { material: mainMaterial(design), thicknessMm: 9.5 };
  return {
    kind: "scales",
    ...formOf(design.handle),
    right: scale,
    left: scale,
    liners: [],
    frontBevel: null,
    bolsters: { front: null, rear: null },
    joints: [],
    lengthwise: null,
    halves: [],
  };
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

/** Whether a fastener's hole goes through a bar. */
export function pinsTang(tang: Bar, f: Fastener): boolean {
  const r = kindOf(f).tangBoreMm(f) / 2;
  if (f.xMm - r > 0 || f.xMm + r < -tang.lengthMm) return false;
  const share = Math.max(0, Math.min(1, -f.xMm / tang.lengthMm));
  const half = (tang.frontHeightMm + (tang.endHeightMm - tang.frontHeightMm) * share) / 2;
  return Math.abs(f.yMm - tang.yMm) < half + r;
}

/** The hole of a block to begin from, fitted to the bar. */
export function newBlockHole(kind: BlockHole["kind"], tang: HiddenTang): BlockHole {
  const { fill } = tang.hole;
  const depthMm = round(tang.lengthMm + 3);
  const bit = round(Math.max(0.5, tang.frontThicknessMm + 0.5));
  if (kind === "milled")
    return { kind, heightMm: round(tang.frontHeightMm + 1), widthMm: bit, cutterMm: bit, depthMm, fill };
  if (kind === "drilled") {
    // A row of bores as wide as the tang is thick, along its height.
    const count = clamp(Math.ceil(tang.frontHeightMm / bit), 1, 12);
    const pitchMm = count > 1 ? round(Math.max(0, (tang.frontHeightMm + 0.5 - bit) / (count - 1))) : 0;
    return { kind, stages: [{ bitMm: bit, count, pitchMm, depthMm }], fill };
  }
  return { kind, clearanceMm: kind === "burned" ? 0.2 : 0.5, deeperMm: 3, fill };
}

/** A recess to begin from: clear of the front fifth, where bending is highest. */
export function newRecess(design: Design): NonNullable<FullTang["recess"]> {
  return {
    rimMm: 5,
    fromMm: round(handleReach(design) / 4),
    depthMm: round(Math.max(0.05, design.blade.spineMm / 4)),
    floor: "flat",
    fill: null,
  };
}

/** A tang that ends three fifths along the handle. */
export function newShort(design: Design): NonNullable<FullTang["short"]> {
  return { lengthMm: round(0.6 * handleReach(design)), behind: "weld", material: design.blade.steel };
}

export function newBolster(material: string): Bolster {
  return { right: material, left: material, lengthMm: 14, tiltDeg: 0, dovetailDeg: 0 };
}

/** A joint half way along the handle, or behind the last one. */
export function newJoint(id: string, design: Design): ScaleJoint {
  const material = mainMaterial(design);
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

/** A shape of its own for a piece, sized to the handle's butt. */
export function newShape(kind: SizedShapeKind, design: Design): PieceShape {
  const nodes = design.handle.outline;
  const at = (role: string) => nodes.find((n) => n.role === role)?.yMm;
  const top = at("rear-top") ?? 10;
  const bottom = at("rear-bottom") ?? -12;
  return shapeFor(kind, {
    aboveMm: round(Math.max(1, top + 1)),
    belowMm: round(Math.max(1, -bottom + 1)),
    widthMm: round(2 * design.handle.plan[design.handle.plan.length - 1].halfMm + 2),
    yMm: round((top + bottom) / 2),
    heightMm: round(Math.max(10, top - bottom)),
  });
}
