import { useMemo } from "react";
import type { RackFigures } from "@/store/rackFigures";
import { drawingsOn } from "./measures";

/** How far knives reach before anything is known of them, mm. */
const USUAL = { behind: 130, ahead: 160 };

export interface Reach {
  readonly behindMm: number;
  readonly aheadMm: number;
  readonly pxPerMm: number;
  /** How wide the drawings are, and whether the words stand under them. */
  readonly drawingPx: number;
  readonly isStacked: boolean;
}

/** How far the knives reach to either side, and the scale that fits them all on a rack of some width. */
export function useReach(ids: readonly string[], known: RackFigures["known"], rackPx: number): Reach {
  return useMemo(() => {
    const extents = ids.flatMap((id) => known.get(id)?.extent ?? []);
    const plain = extents.length < Math.min(ids.length, 8) ? USUAL : { behind: 100, ahead: 100 };
    let { behind, ahead } = plain;
    for (const e of extents) {
      behind = Math.max(behind, -e.xLow);
      ahead = Math.max(ahead, e.xHigh);
    }
    // In steps, so that the scale does not creep while knives are being weighed.
    const behindMm = Math.ceil(behind / 10) * 10;
    const aheadMm = Math.ceil(ahead / 10) * 10;
    const { drawingPx, isStacked } = drawingsOn(rackPx);
    const pxPerMm = (drawingPx - 24) / (behindMm + aheadMm);
    return { behindMm, aheadMm, pxPerMm, drawingPx, isStacked };
  }, [ids, known, rackPx]);
}
