import type { FingerRing } from "../design/schema";
import { drillRegion } from "../solids/drill";
import { all, type Building, putLevels } from "./building";
import { circleMeetings } from "./joints";

/** A round of a ring, without end across; weighing breaks where it crosses the handle's edge. */
function putRound(b: Building, r: FingerRing, radiusMm: number): number {
  const round = drillRegion({ xMm: r.xMm, yMm: r.yMm, radiusMm });
  const meetings = circleMeetings(b.outline, { x: r.xMm, y: r.yMm }, radiusMm);
  const more = meetings.map((x) => ({ x, below: true, above: true }));
  return b.put({ ...round, breaks: [...round.breaks, ...more] });
}

function putWidth(b: Building, r: FingerRing): number {
  const reach = r.boreMm / 2 + r.wallMm + 1;
  return putLevels(b, -r.widthMm / 2, r.widthMm / 2, [r.xMm - reach, r.xMm + reach]);
}

/** Bores of the finger rings: nothing fills them. */
export function addRingBores(b: Building, rings: readonly FingerRing[]): void {
  for (const r of rings)
    b.add("handle", `${r.id}-bore`, "Ring bore", [], putRound(b, r, r.boreMm / 2), putWidth(b, r));
}

/** The rings, where the handle leaves them room. */
export function addRings(b: Building, rings: readonly FingerRing[]): void {
  for (const r of rings)
    b.add(
      "handle",
      r.id,
      "Finger ring",
      all(r.material),
      putRound(b, r, r.boreMm / 2 + r.wallMm),
      putWidth(b, r),
    );
}
