/**
 * Integrals over a solid about an origin of its own at (`originX`, 0, 0): v = ∫dV in mm³, x = ∫x dV in mm⁴,
 * xx = ∫x² dV in mm⁵, and so on. Mutable: the integrator adds to it cut by cut.
 */
export interface Moments {
  originX: number;
  v: number;
  x: number;
  y: number;
  z: number;
  xx: number;
  yy: number;
  zz: number;
  xy: number;
  xz: number;
  yz: number;
}

export function noMoments(originX: number): Moments {
  return { originX, v: 0, x: 0, y: 0, z: 0, xx: 0, yy: 0, zz: 0, xy: 0, xz: 0, yz: 0 };
}

/** Sums over one cut at constant x: area, first and second moments in y and z. */
export interface CutSums {
  a: number;
  y: number;
  z: number;
  yy: number;
  zz: number;
  yz: number;
}

export function noSums(): CutSums {
  return { a: 0, y: 0, z: 0, yy: 0, zz: 0, yz: 0 };
}

/** Adds the stretch from z0 to z1 of a ray at y, with weight w in mm. */
export function addRay(c: CutSums, w: number, y: number, z0: number, z1: number): void {
  const d = w * (z1 - z0);
  const mid = (z0 + z1) / 2;
  const half = (z1 - z0) / 2;
  const dy = d * y;
  c.a += d;
  c.y += dy;
  c.z += d * mid;
  c.yy += dy * y;
  c.zz += d * (mid * mid + (half * half) / 3);
  c.yz += dy * mid;
}

/** Adds the rectangle from y0 to y1 and z0 to z1, in closed form. */
export function addFlat(c: CutSums, y0: number, y1: number, z0: number, z1: number): void {
  const area = (y1 - y0) * (z1 - z0);
  const y = (y0 + y1) / 2;
  const z = (z0 + z1) / 2;
  c.a += area;
  c.y += area * y;
  c.z += area * z;
  c.yy += area * (y * y + ((y1 - y0) * (y1 - y0)) / 12);
  c.zz += area * (z * z + ((z1 - z0) * (z1 - z0)) / 12);
  c.yz += area * y * z;
}

/** Adds a cut at x with weight w in mm to the moments, and empties it. */
export function addCut(m: Moments, c: CutSums, x: number, w: number): void {
  const d = x - m.originX;
  m.v += w * c.a;
  m.x += w * c.a * d;
  m.y += w * c.y;
  m.z += w * c.z;
  m.xx += w * c.a * d * d;
  m.yy += w * c.yy;
  m.zz += w * c.zz;
  m.xy += w * c.y * d;
  m.xz += w * c.z * d;
  m.yz += w * c.yz;
  c.a = 0;
  c.y = 0;
  c.z = 0;
  c.yy = 0;
  c.zz = 0;
  c.yz = 0;
}

/** Adds the moments of another piece of the same solid, about the same origin. */
export function addMoments(m: Moments, piece: Readonly<Moments>): void {
  m.v += piece.v;
  m.x += piece.x;
  m.y += piece.y;
  m.z += piece.z;
  m.xx += piece.xx;
  m.yy += piece.yy;
  m.zz += piece.zz;
  m.xy += piece.xy;
  m.xz += piece.xz;
  m.yz += piece.yz;
}

/** The moments of so many times a solid. */
export function scaledMoments(m: Readonly<Moments>, by: number): Moments {
  const scaled = { ...m };
  for (const k of SUMS) scaled[k] *= by;
  return scaled;
}

const SUMS = ["v", "x", "y", "z", "xx", "yy", "zz", "xy", "xz", "yz"] as const;

/** The same solid's moments about an origin at another x. */
export function aboutOrigin(m: Readonly<Moments>, originX: number): Moments {
  const d = m.originX - originX;
  return {
    ...m,
    originX,
    x: m.x + d * m.v,
    xx: m.xx + 2 * d * m.x + d * d * m.v,
    xy: m.xy + d * m.y,
    xz: m.xz + d * m.z,
  };
}

/** Moments of several solids together, about the first one's origin. None gives an empty solid at 0. */
export function sumOfMoments(all: readonly Readonly<Moments>[]): Moments {
  const sum = noMoments(all[0]?.originX ?? 0);
  for (const one of all) {
    const m = aboutOrigin(one, sum.originX);
    for (const k of SUMS) sum[k] += m[k];
  }
  return sum;
}
