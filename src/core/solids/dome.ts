import { type ClosingZone, type Drill, NO_CROSSINGS, type Region } from "./region";

/**
 * Half an ellipsoid of revolution about an axis along z, standing on the plane z = `baseMm` and `heightMm` high;
 * `mirror` hangs it under −`baseMm` on the other side.
 */
export function domeRegion(on: Drill, baseMm: number, heightMm: number, mirror: boolean): Region {
  const { xMm, yMm, radiusMm: r } = on;
  return {
    xRange: [xMm - r, xMm + r],
    breaks: [
      { x: xMm - r, below: false, above: true },
      { x: xMm + r, below: true, above: false },
    ],
    sliceAt: (x) => {
      const half2 = r * r - (x - xMm) * (x - xMm);
      if (!(half2 > 0)) return null;
      const half = Math.sqrt(half2);
      const rise = (heightMm * half) / r;
      const top = (y: number) => {
        const u = (y - yMm) / half;
        return baseMm + rise * Math.sqrt(Math.max(0, 1 - u * u));
      };
      return {
        ys: [yMm - half, yMm + half],
        creases: NO_CROSSINGS,
        levels: [mirror ? -baseMm : baseMm],
        crossings: (z) => {
          const up = (mirror ? -z : z) - baseMm;
          if (!(up > 0) || !(up < rise)) return NO_CROSSINGS;
          const u = Math.sqrt(1 - (up / rise) ** 2);
          return [yMm - half * u, yMm + half * u];
        },
        zones: [zone(yMm, half, 1), zone(yMm, half, -1)],
        extraPoints: 0,
        flat: false,
        low: (y) => (mirror ? -top(y) : baseMm),
        high: (y) => (mirror ? -baseMm : top(y)),
      };
    },
  };
}

/** One half of a round section by the angle from its end. */
function zone(mid: number, half: number, side: 1 | -1): ClosingZone {
  const made: ClosingZone = {
    y0: side === 1 ? mid : mid - half,
    y1: side === 1 ? mid + half : mid,
    outerY: mid + side * half,
    stretch: 0,
    toParameter: (y) => Math.acos(Math.max(-1, Math.min(1, (side * (y - mid)) / half))),
    place: (angle) => {
      made.stretch = half * Math.sin(angle);
      return mid + side * half * Math.cos(angle);
    },
  };
  return made;
}
