import { rangeOf } from "../solids/extent";
import type { Region } from "../solids/region";

/** How a part is printed: share of infill and thickness of the solid wall. */
export interface Printed {
  readonly infillShare: number;
  readonly wallMm: number;
}

/**
 * Share of its outer volume that a printed part's material fills: the wall is solid, the inside filled to the infill
 * share. The inside is taken as the whole with every side drawn in by the wall, Π(1 − 2w/extent): exact for boxes and
 * balls, close for ovals, and an estimate for other shapes. 1 for a part that is not printed.
 */
export function printedShare(printed: Printed | null, of: readonly Region[]): number {
  if (!printed) return 1;
  const extent = rangeOf(of);
  if (!extent) return 1;
  const inside = extent.reduce((share, [low, high]) => {
    const size = high - low;
    return size > 0 ? share * Math.max(0, 1 - (2 * printed.wallMm) / size) : 0;
  }, 1);
  return 1 - inside * (1 - printed.infillShare);
}
