import { remembered } from "../../base/record/remembered";
import type { Point } from "../../geometry/curve/bezier";
import { FITTINGS } from "../../kinds/guardFittings/registry";
import { endKindOf } from "../../kinds/tangEnds/registry";
import type { Design } from "../../knife/design/schema";
import type { PartKey } from "../../knife/parts/partKey";
import type { Assembly } from "../../knife/parts/types";
import { assembleDrawn } from "./drawn";
import { silhouette } from "./silhouette";

/** A part that does not follow the handle's outline, from the side. */
export interface Protrusion {
  readonly id: string;
  readonly material: string;
  /** Inside other parts: drawn as hidden lines. */
  readonly hidden: boolean;
  /** Lies over the handle and hides it. */
  readonly covers: boolean;
  readonly loops: readonly (readonly Point[])[];
}

/** The extra shapes of a design as it is drawn. */
export const drawnProtrusions = remembered((design: Design) => extraShapes(design, assembleDrawn(design)));

/** A circle of chords. */
function circle(at: { xMm: number; yMm: number }, radiusMm: number): Point[] {
  return Array.from({ length: 72 }, (_, i) => ({
    x: at.xMm + radiusMm * Math.cos((i * Math.PI) / 36),
    y: at.yMm + radiusMm * Math.sin((i * Math.PI) / 36),
  }));
}

/** What shows from the side by itself, and whether it lies inside other parts; null of what the outlines show. */
function shownOf(design: Design, { key, detail }: Assembly["parts"][number]): { hidden: boolean } | null {
  const { handle, guard, tang } = design;
  switch (key.kind) {
    case "piece":
      return handle.kind === "stack" && handle.pieces.some((p) => p.id === key.id && p.shape)
        ? { hidden: false }
        : null;
    case "fitting": {
      const { seen } = FITTINGS.find((f) => f.kind === key.sort) ?? { seen: "void" };
      return seen === "void" ? null : { hidden: seen === "hidden" };
    }
    case "guard":
      return guard?.mesh ? { hidden: false } : null;
    case "wrap":
      return { hidden: false };
    case "half":
      // From the right side the right one is seen.
      return key.side === "right" ? { hidden: false } : null;
    case "frame":
      return { hidden: true };
    case "tang-end": {
      const letIn = tang.kind === "hidden" && endKindOf(tang.end).letIn(tang.end);
      return { hidden: (key.component !== "nut" && key.component !== "cap") || letIn };
    }
    case "tang":
      return detail === "peened-head" ? { hidden: false } : null;
    default:
      return null;
  }
}

const COVERS: readonly PartKey["kind"][] = ["wrap", "half"];

/** Stations that a shape is read at: a peened head is small. */
const STEPS = { usual: 40, small: 16 };

/**
 * Shaped pieces, rings, fittings of the guard, imported guards, and what holds a hidden tang at its end: what the
 * outlines of blade, handle and plate guard do not show.
 */
export function extraShapes(design: Design, { regions, parts }: Assembly): Protrusion[] {
  const rings = design.handle.kind === "stack" ? design.handle.rings : [];
  const shapes: Protrusion[] = rings.map((r) => ({
    id: r.id,
    material: r.material,
    hidden: false,
    covers: false,
    loops: [circle(r, r.boreMm / 2 + r.wallMm), circle(r, r.boreMm / 2)],
  }));
  const heads: Protrusion[] = [];
  // What takes its space first lies over the rest, but wraps, of which the last is seen.
  const wraps = parts.filter((p) => p.key.kind === "wrap");
  const others = parts.filter((p) => p.key.kind !== "wrap");
  for (const part of [...wraps, ...others.reverse()]) {
    const shown = part.materials.length > 0 ? shownOf(design, part) : null;
    const of = part.regions.map((r) => regions[r]);
    // Further layers of an imported shape lie behind the first.
    if (!shown || of.some((r) => r.kind === "mesh-layer" && r.layer > 0)) continue;
    const small = part.detail !== undefined;
    const loops = silhouette(of, small ? STEPS.small : STEPS.usual);
    (small ? heads : shapes).push({
      id: part.id,
      material: part.materials[0].materialId,
      covers: COVERS.includes(part.key.kind),
      ...shown,
      loops,
    });
  }
  return [...shapes, ...heads];
}
