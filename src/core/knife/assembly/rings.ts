import { cylinderRegion } from "../../geometry/solids/cylinder";
import { whole } from "../../kinds/fasteners/kind";
import type { FingerRing } from "../design/schema";
import type { AssemblyBuilder } from "../parts/builder";

/** A round of a ring, without end across. */
function putRound(b: AssemblyBuilder, r: FingerRing, radiusMm: number): number {
  return b.put(cylinderRegion({ xMm: r.xMm, yMm: r.yMm, radiusMm }));
}

function putWidth(b: AssemblyBuilder, r: FingerRing): number {
  const reach = r.boreMm / 2 + r.wallMm + 1;
  return b.putLevels(-r.widthMm / 2, r.widthMm / 2, [r.xMm - reach, r.xMm + reach]);
}

/** A bore goes so far to both sides, mm: through the thickest handle, not only as wide as its ring. */
const THROUGH_MM = 100;

/** Bores of the finger rings: nothing fills them, and nothing stands in the finger's way. */
export function addRingBores(b: AssemblyBuilder, rings: readonly FingerRing[]): void {
  for (const r of rings) {
    const through = b.putLevels(-THROUGH_MM, THROUGH_MM, [r.xMm - r.boreMm, r.xMm + r.boreMm]);
    b.add("handle", { kind: "ring-bore", id: r.id }, [], putRound(b, r, r.boreMm / 2), through);
  }
}

/** The rings, where the handle leaves them room. */
export function addRings(b: AssemblyBuilder, rings: readonly FingerRing[]): void {
  for (const r of rings) {
    const round = putRound(b, r, r.boreMm / 2 + r.wallMm);
    b.add("handle", { kind: "ring", id: r.id }, whole(r.material), round, putWidth(b, r));
  }
}
