import type { FingerRing } from "../design/schema";
import { whole } from "../fasteners/kind";
import { circleMeetings } from "../layout/meetings";
import { cylinderRegion } from "../solids/cylinder";
import type { AssemblyBuilder } from "./builder";

/** A round of a ring, without end across; weighing breaks where it crosses the handle's edge. */
function putRound(b: AssemblyBuilder, r: FingerRing, radiusMm: number): number {
  const round = cylinderRegion({ xMm: r.xMm, yMm: r.yMm, radiusMm });
  const meetings = circleMeetings(b.layout.outline, { x: r.xMm, y: r.yMm }, radiusMm);
  const more = meetings.map((x) => ({ x, below: true, above: true }));
  return b.put({ ...round, breaks: [...round.breaks, ...more] });
}

function putWidth(b: AssemblyBuilder, r: FingerRing): number {
  const reach = r.boreMm / 2 + r.wallMm + 1;
  return b.putLevels(-r.widthMm / 2, r.widthMm / 2, [r.xMm - reach, r.xMm + reach]);
}

/** Bores of the finger rings: nothing fills them. */
export function addRingBores(b: AssemblyBuilder, rings: readonly FingerRing[]): void {
  for (const r of rings)
    b.add("handle", { kind: "ring-bore", id: r.id }, [], putRound(b, r, r.boreMm / 2), putWidth(b, r));
}

/** The rings, where the handle leaves them room. */
export function addRings(b: AssemblyBuilder, rings: readonly FingerRing[]): void {
  for (const r of rings) {
    const round = putRound(b, r, r.boreMm / 2 + r.wallMm);
    b.add("handle", { kind: "ring", id: r.id }, whole(r.material), round, putWidth(b, r));
  }
}
