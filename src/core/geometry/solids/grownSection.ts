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

/** A section of half the height `half` and the rise `rise`, cut off flat at the height `cap`, with a wall round it. */
export function grownQuarter(
  { curve }: SectionShape,
  half: number,
  rise: number,
  cap: number,
  wall: number,
): GrownQuarter {
  if (curve.kind === "superellipse") {
    const whole = grownCurve(curve.exponent, half, rise, wall);
    return cap < rise ? grownCut(whole, curve.exponent, half, rise, cap, wall) : whole;
  }
  return grownPolygon(
    cutOff(
      curve.corners.map(({ u, s }) => ({ y: u * half, z: s * rise })),
      cap,
    ),
    wall,
  );
}

/** A polygon's corners with what is over the cap cut off; the first is where the flat crown ends. */
function cutOff(corners: readonly Corner[], cap: number): readonly Corner[] {
  if (!(corners[0].z > cap)) return corners;
  const next = corners.findIndex((c) => c.z <= cap);
  // All of it stands higher: an upright end, cut off.
  if (next < 0) return [{ y: corners[corners.length - 1].y, z: cap }];
  const [a, b] = [corners[next - 1], corners[next]];
  return [{ y: a.y + ((b.y - a.y) * (a.z - cap)) / (a.z - b.z), z: cap }, ...corners.slice(next)];
}

/** A grown superellipse that is cut off at a cap: the wall lies flat on the cap, and goes round its corner. */
function grownCut(
  whole: GrownQuarter,
  n: number,
  a: number,
  b: number,
  cap: number,
  wall: number,
): GrownQuarter {
  const s = cap / b;
  const u = (1 - s ** n) ** (1 / n);
  const corner = { y: a * u, z: cap };
  // From here out the wall stands on the curve.
  const turned = moved(n, a, b, wall, u, s);
  const round = (off: number) => Math.sqrt(Math.max(0, wall * wall - off * off));
  return {
    height: (y) => (y <= corner.y ? cap + wall : y < turned.y ? cap + round(y - corner.y) : whole.height(y)),
    reach: (z) => (!(z < cap + wall) ? null : z > turned.z ? corner.y + round(z - corner.z) : whole.reach(z)),
    creases: [corner.y, turned.y],
  };
}

const power = (v: number, by: number) => (v > 0 ? v ** by : 0);

/** A point of the curve |y/a|ⁿ + |z/b|ⁿ = 1, given by its shares, moved out by the wall. */
function moved(n: number, a: number, b: number, wall: number, u: number, s: number): Corner {
  const [gy, gz] = [power(u, n - 1) / a, power(s, n - 1) / b];
  const size = Math.hypot(gy, gz);
  return { y: a * u + (wall * gy) / size, z: b * s + (wall * gz) / size };
}

/** A superellipse |y/a|ⁿ + |z/b|ⁿ = 1, its points moved by the wall along its normal, which is its gradient. */
function grownCurve(n: number, a: number, b: number, wall: number): GrownQuarter {
  const other = (v: number) => power(1 - power(v, n), 1 / n);
  const at = (u: number, s: number) => moved(n, a, b, wall, u, s);
  // Where both shares are alike: below it the curve is smooth in u, beyond it in s.
  const alike = 2 ** (-1 / n);
  const middle = at(alike, alike);
  return {
    height: (y) => {
      if (y >= a + wall) return 0;
      if (y <= middle.y) {
        const u = rootBetween((v) => at(v, other(v)).y - y, 0, alike);
        return at(u, other(u)).z;
      }
      const s = rootBetween((v) => at(other(v), v).y - y, 0, alike);
      return at(other(s), s).z;
    },
    reach: (z) => {
      if (!(z < b + wall)) return null;
      if (z >= middle.z) {
        const u = rootBetween((v) => at(v, other(v)).z - z, 0, alike);
        return at(u, other(u)).y;
      }
      const s = rootBetween((v) => at(other(v), v).z - z, 0, alike);
      return at(other(s), s).y;
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
