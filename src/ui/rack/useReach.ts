import { useMemo } from "react";
import type { RackFigures } from "@/store/rackFigures";
import { RACK_DRAWING_PX } from "./measures";

/** How far knives reach before anything is known of them, mm. */
const USUAL = { behind: 130, ahead: 160 };

export interface Reach {
  readonly behindMm: number;
  readonly aheadMm: number;
  readonly pxPerMm: number;
}

/** How far the knives reach to either side, and the scale that fits them all. */
export function useReach(ids: readonly string[], known: RackFigures["known"]): Reach {
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
    return { behindMm, aheadMm, pxPerMm: (RACK_DRAWING_PX - 24) / (behindMm + aheadMm) };
  }, [ids, known]);
}
