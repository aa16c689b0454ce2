import type { Region } from "./region";

type Range = readonly [number, number];

/**
 * How far what the regions have in common reaches along x, y and z, read at 64 stations and 17 heights of each; null
 * where they have nothing in common. Sides without an end are left out of account.
 */
export function rangeOf(regions: readonly Region[]): readonly [Range, Range, Range] | null {
  const x0 = Math.max(...regions.map((r) => r.xRange[0]));
  const x1 = Math.min(...regions.map((r) => r.xRange[1]));
  if (!(x1 > x0)) return null;
  const wide = { y0: Infinity, y1: -Infinity, z0: Infinity, z1: -Infinity };
  for (let i = 0; i <= 64; i++) {
    const x = x0 + (x1 - x0) * (1e-6 + ((1 - 2e-6) * i) / 64);
    const cuts = regions.map((r) => r.sliceAt(x));
    if (cuts.some((c) => c === null)) continue;
    const bounded = cuts.flatMap((c) => (c?.ys && c.ys.length > 1 ? [c.ys] : []));
    const low = Math.max(...bounded.map((ys) => ys[0]));
    const high = Math.min(...bounded.map((ys) => ys[ys.length - 1]));
    if (!(high > low)) continue;
    for (let k = 0; k <= 16; k++) {
      const y = low + (high - low) * (1e-6 + ((1 - 2e-6) * k) / 16);
      const z0 = Math.max(...cuts.map((c) => c!.low(y)));
      const z1 = Math.min(...cuts.map((c) => c!.high(y)));
      if (!(z1 > z0)) continue;
      wide.y0 = Math.min(wide.y0, y);
      wide.y1 = Math.max(wide.y1, y);
      wide.z0 = Math.min(wide.z0, z0);
      wide.z1 = Math.max(wide.z1, z1);
    }
  }
  if (!(wide.y1 > wide.y0)) return null;
  return [
    [x0, x1],
    [wide.y0, wide.y1],
    [wide.z0, wide.z1],
  ];
}
