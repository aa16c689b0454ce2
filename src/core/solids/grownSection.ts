import { rootBetween } from "../curve/roots";
import type { SectionShape } from "./section";

/**
 * A quarter of a section, grown outward by a wall that is as thick everywhere. Distances run from the section's middle,
 * heights from its edge, mm.
 */
export interface GrownQuarter {
  /** Height so far from the middle. */
  height(y: number): number;
  /** How far from the middle it stands so high; null above the crown. */
  reach(z: number): number | null;
  /** Distances at which its curve changes from flat to round. */
  readonly creases: readonly number[];
}

/** A section of half the height `half` and the rise `rise`, with a wall round it. */
export function grownQuarter(
  { curve }: SectionShape,
  half: number,
  rise: number,
  wall: number,
): GrownQuarter {
  return curve.kind === "superellipse"
    ? grownCurve(curve.exponent, half, rise, wall)
    : grownPolygon(
        curve.corners.map(({ u, s }) => ({ y: u * half, z: s * rise })),
        wall,
      );
}

/** A superellipse |y/a|ⁿ + |z/b|ⁿ = 1, its points moved by the wall along its normal, which is its gradient. */
function grownCurve(n: number, a: number, b: number, wall: number): GrownQuarter {
  const power = (v: number, by: number) => (v > 0 ? v ** by : 0);
  const other = (v: number) => power(1 - power(v, n), 1 / n);
  /** The moved place of a point of the curve, both as shares. */
  const moved = (u: number, s: number) => {
    const [gy, gz] = [power(u, n - 1) / a, power(s, n - 1) / b];
    const size = Math.hypot(gy, gz);
    return { y: a * u + (wall * gy) / size, z: b * s + (wall * gz) / size };
  };
  // Where both shares are alike: below it the curve is smooth in u, beyond it in s.
  const alike = 2 ** (-1 / n);
  const middle = moved(alike, alike);
  return {
    height: (y) => {
      if (y >= a + wall) return 0;
      if (y <= middle.y) {
        const u = rootBetween((v) => moved(v, other(v)).y - y, 0, alike);
        return moved(u, other(u)).z;
      }
      const s = rootBetween((v) => moved(other(v), v).y - y, 0, alike);
      return moved(other(s), s).z;
    },
    reach: (z) => {
      if (!(z < b + wall)) return null;
      if (z >= middle.z) {
        const u = rootBetween((v) => moved(v, other(v)).z - z, 0, alike);
        return moved(u, other(u)).y;
      }
      const s = rootBetween((v) => moved(other(v), v).z - z, 0, alike);
      return moved(other(s), s).y;
    },
    creases: [],
  };
}

interface Corner {
  readonly y: number;
  readonly z: number;
}

/** Flats from the crown to an upright end, and arcs of the wall's radius round the corners between them. */
function grownPolygon(corners: readonly Corner[], wall: number): GrownQuarter {
  const [first, last] = [corners[0], corners[corners.length - 1]];
  const edges = corners.slice(1).map((to, i) => {
    const from = corners[i];
    const length = Math.hypot(to.y - from.y, to.z - from.z);
    const [ny, nz] = [(from.z - to.z) / length, (to.y - from.y) / length];
    const by = (p: Corner): Corner => ({ y: p.y + wall * ny, z: p.z + wall * nz });
    return { from: by(from), to: by(to) };
  });
  const round = (off: number) => Math.sqrt(Math.max(0, wall * wall - off * off));
  return {
    height: (y) => {
      if (y <= first.y) return first.z + wall;
      // Convex: the highest of what is there is the border.
      let height = 0;
      for (const c of corners) if (Math.abs(y - c.y) <= wall) height = Math.max(height, c.z + round(y - c.y));
      for (const { from, to } of edges)
        if (y >= from.y && y <= to.y && to.y > from.y)
          height = Math.max(height, from.z + ((to.z - from.z) * (y - from.y)) / (to.y - from.y));
      return height;
    },
    reach: (z) => {
      if (!(z < first.z + wall)) return null;
      if (z <= last.z) return last.y + wall;
      let reach = 0;
      for (const c of corners) if (Math.abs(z - c.z) <= wall) reach = Math.max(reach, c.y + round(z - c.z));
      for (const { from, to } of edges)
        if (z <= from.z && z >= to.z && from.z > to.z)
          reach = Math.max(reach, from.y + ((to.y - from.y) * (from.z - z)) / (from.z - to.z));
      return reach;
    },
    creases: [first.y, ...edges.flatMap(({ from, to }) => [from.y, to.y])],
  };
}
