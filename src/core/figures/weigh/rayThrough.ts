import { holds } from "../../geometry/solids/slice";
import type { Assembly } from "../../knife/parts/types";
import { Taken } from "./taken";

/** A stretch of a ray along z that one part fills: which part of the assembly, and from where to where, mm. */
export interface Passed {
  readonly part: number;
  readonly fromMm: number;
  readonly toMm: number;
}

/** What a ray along z through (x, y) passes, from the left side to the right. Empty spaces are left out. */
export function rayThrough({ regions, parts }: Assembly, x: number, y: number): Passed[] {
  const taken = new Taken();
  const passed: Passed[] = [];
  const cuts = new Map<number, readonly [number, number] | null>();
  const cutOf = (r: number) => {
    let cut = cuts.get(r);
    if (cut === undefined) {
      const { xRange } = regions[r];
      const slice = x > xRange[0] && x < xRange[1] ? regions[r].sliceAt(x) : null;
      cut = slice && holds(slice.ys, y) ? [slice.low(y), slice.high(y)] : null;
      cuts.set(r, cut);
    }
    return cut;
  };
  parts.forEach(({ regions: of, materials }, part) => {
    let [low, high] = [Number.NEGATIVE_INFINITY, Number.POSITIVE_INFINITY];
    for (const r of of) {
      const cut = cutOf(r);
      if (!cut) return;
      low = Math.max(low, cut[0]);
      high = Math.min(high, cut[1]);
    }
    if (!(high > low)) return;
    taken.claim(part, low, high, 0, 0, (of1, fromMm, toMm) => {
      if (materials.length > 0) passed.push({ part: of1, fromMm, toMm });
    });
  });
  return passed.sort((a, b) => a.fromMm - b.fromMm);
}
