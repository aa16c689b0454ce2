import type { Assembly } from "../assembly/types";
import type { Point } from "../curve/bezier";
import type { Design } from "../design/schema";
import { remembered } from "../layout/remembered";
import { assembleDrawn } from "./drawn";
import { silhouette } from "./silhouette";

/** A part that does not follow the handle's outline, from the side. */
export interface ExtraShape {
  readonly id: string;
  readonly material: string;
  /** Inside other parts: drawn as hidden lines. */
  readonly hidden: boolean;
  readonly loops: readonly (readonly Point[])[];
}

/** The extra shapes of a design as it is drawn. */
export const drawnExtras = remembered((design: Design) => extraShapes(design, assembleDrawn(design)));

/** A circle of chords. */
function circle(at: { xMm: number; yMm: number }, radiusMm: number): Point[] {
  return Array.from({ length: 72 }, (_, i) => ({
    x: at.xMm + radiusMm * Math.cos((i * Math.PI) / 36),
    y: at.yMm + radiusMm * Math.sin((i * Math.PI) / 36),
  }));
}

/** Ids of what lies inside a handle or a tang. */
const HIDDEN = ["dowels", "butt-screw", "frame"];

/**
 * Shaped pieces, rings, collars, imported guards, and what holds a hidden tang at its end: what the outlines of
 * blade, handle and plate guard do not show.
 */
export function extraShapes(design: Design, { regions, parts }: Assembly): ExtraShape[] {
  const { handle, guard, tang } = design;
  const shaped = handle.kind === "stack" ? handle.pieces.filter((p) => p.shape).map((p) => p.id) : [];
  const rings = handle.kind === "stack" ? handle.rings : [];
  const shown = new Set([...shaped, "collar", "butt-nut", ...HIDDEN, ...(guard?.mesh ? ["guard"] : [])]);
  const inside = tang.kind === "hidden" && tang.end.kind === "threaded" && tang.end.seatMm > 0;
  const shapes: ExtraShape[] = rings.map((r) => ({
    id: r.id,
    material: r.material,
    hidden: false,
    loops: [circle(r, r.boreMm / 2 + r.wallMm), circle(r, r.boreMm / 2)],
  }));
  for (const part of [...parts].reverse()) {
    const of = part.regions.map((r) => regions[r]);
    // Further layers of an imported shape lie behind the first.
    if (!shown.has(part.id) || of.some((r) => (r.meshLayer?.layer ?? 0) > 0)) continue;
    if (part.made.length === 0) continue;
    const hidden = HIDDEN.includes(part.id) || (part.id === "butt-nut" && inside);
    shapes.push({ id: part.id, material: part.made[0].materialId, hidden, loops: silhouette(of, 40) });
  }
  if (tang.kind === "hidden" && tang.end.kind === "peened") {
    const heads = parts.filter((p) => p.id === "tang").slice(-2);
    for (const head of heads) {
      const of = head.regions.map((r) => regions[r]);
      if (of.length === 1)
        shapes.push({ id: "peen", material: design.blade.steel, hidden: false, loops: silhouette(of, 16) });
    }
  }
  return shapes;
}
