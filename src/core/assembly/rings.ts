import type { FingerRing } from "../design/schema";
import { drillRegion } from "../solids/drill";
import { all, type Building, putLevels } from "./building";

/** Bores of the finger rings: nothing fills them. */
export function addRingBores(b: Building, rings: readonly FingerRing[]): void {
  for (const r of rings) {
    const bore = b.put(drillRegion({ xMm: r.xMm, yMm: r.yMm, radiusMm: r.boreMm / 2 }));
    const side = putLevels(b, -r.widthMm / 2, r.widthMm / 2, [r.xMm - 60, r.xMm + 60]);
    b.add("handle", `${r.id}-bore`, "Ring bore", [], bore, side);
  }
}

/** The rings, where the handle leaves them room. */
export function addRings(b: Building, rings: readonly FingerRing[]): void {
  for (const r of rings) {
    const outer = b.put(drillRegion({ xMm: r.xMm, yMm: r.yMm, radiusMm: r.boreMm / 2 + r.wallMm }));
    const side = putLevels(b, -r.widthMm / 2, r.widthMm / 2, [r.xMm - 90, r.xMm + 90]);
    b.add("handle", r.id, "Finger ring", all(r.material), outer, side);
  }
}
