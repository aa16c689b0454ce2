import type { PartMesh } from "@/core/knife/kernel/partMeshes";

/** How far each part is drawn out of its place, mm, at a share from 0 (in place) to 1. */
export type Offset = readonly [number, number, number];

/** Distances of a knife drawn all the way apart, mm. */
const SIDE_MM = 45;
const PIN_MM = 95;
const APART_MM = 14;

/**
 * Scales and liners go out to their sides, the outer ones farther; what stands along the axis goes apart along it;
 * pins and bolts are drawn out to the right. Blade and tang stay.
 */
export function offsets(parts: readonly PartMesh[], share: number): ReadonlyMap<string, Offset> {
  const along = parts
    .filter((p) => p.group !== "blade" && p.group !== "fasteners" && !sided(p.middleMm))
    .sort((a, b) => b.middleMm[0] - a.middleMm[0]);
  return new Map(
    parts.map((p): readonly [string, Offset] => {
      if (p.group === "blade") return [p.id, [0, 0, 0]];
      if (p.group === "fasteners") return [p.id, [0, 0, share * (PIN_MM + p.middleMm[2])]];
      if (sided(p.middleMm))
        return [p.id, [0, 0, share * Math.sign(p.middleMm[2]) * (SIDE_MM + 3 * Math.abs(p.middleMm[2]))]];
      return [p.id, [-share * APART_MM * (along.indexOf(p) + 1), 0, 0]];
    }),
  );
}

/** Whether a part lies to one side of the centre plane. */
function sided(middle: readonly [number, number, number]): boolean {
  return Math.abs(middle[2]) > 0.5;
}
