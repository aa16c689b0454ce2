import { clamp } from "../../base/number";
import { INSIDE_SHARE } from "../../base/tolerances";
import type { Point } from "../../geometry/curve/bezier";
import type { Region } from "../../geometry/solids/region";

/** Stretches of y in which all of several cuts have something, between which surfaces: y0, y1, y0, y1 … */
export function commonStretches(cuts: readonly (readonly number[] | null)[]): number[] {
  let common: number[] = [Number.NEGATIVE_INFINITY, Number.POSITIVE_INFINITY];
  for (const ys of cuts) {
    if (ys === null) continue;
    const next: number[] = [];
    for (let i = 0; i + 1 < common.length; i += 2) {
      for (let k = 0; k + 1 < ys.length; k += 2) {
        const [low, high] = [Math.max(common[i], ys[k]), Math.min(common[i + 1], ys[k + 1])];
        if (high > low) next.push(low, high);
      }
    }
    common = next;
  }
  return common.every(Number.isFinite) ? common : [];
}

/**
 * What several regions have in common, seen from the side: closed chord lines, one for each stretch that runs through.
 * Read at `steps` stations that crowd toward both ends; nothing in common gives none.
 */
export function silhouette(regions: readonly Region[], steps = 48): Point[][] {
  const x0 = Math.max(...regions.map((r) => r.xRange[0]));
  const x1 = Math.min(...regions.map((r) => r.xRange[1]));
  if (!(x1 > x0)) return [];
  const loops: { upper: Point[]; lower: Point[] }[] = [];
  let open: { upper: Point[]; lower: Point[] }[] = [];
  for (let i = 0; i <= steps; i++) {
    const t = clamp((1 - Math.cos((Math.PI * i) / steps)) / 2, INSIDE_SHARE, 1 - INSIDE_SHARE);
    const x = x0 + (x1 - x0) * t;
    const cuts = regions.map((r) => r.sliceAt(x));
    const ys = cuts.some((c) => c === null) ? [] : commonStretches(cuts.map((c) => c!.ys));
    if (ys.length / 2 !== open.length) {
      open = Array.from({ length: ys.length / 2 }, () => ({ upper: [], lower: [] }));
      loops.push(...open);
    }
    open.forEach((loop, k) => {
      loop.lower.push({ x, y: ys[2 * k] });
      loop.upper.push({ x, y: ys[2 * k + 1] });
    });
  }
  return loops.filter((l) => l.upper.length > 1).map((l) => [...l.upper, ...l.lower.reverse()]);
}
