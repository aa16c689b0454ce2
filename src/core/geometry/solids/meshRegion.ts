import { clamp } from "../../base/number";
import { INSIDE_SHARE, ROUNDING, SAME_PLACE_MM } from "../../base/tolerances";
import type { Region } from "./region";
import type { Slice } from "./slice";
import type { TriangleMesh } from "./triangleMesh";

export interface MeshFineness {
  /** Stations in 25 mm of length; where a shape closes, a panel gets half as many more. */
  readonly stations: number;
  /** Rows across y at each station. */
  readonly rows: number;
}

/** Regions without an end in y or z are cut off here, mm: farther than any knife reaches. */
export const FAR_MM = 400;

/** A shape steps where it changes by more than so between two stations a hair apart, mm. */
const STEP_MM = 0.05;

/** Rings of neighbouring tubes overlap by this, mm, so that a kernel joins them. */
const OVERLAP_MM = 1e-4;

/**
 * Meshes a region as tubes of rings, one a station, that crowd toward the ends of panels and of sections: one tube,
 * or several that overlap by a hair where the outline parts into stretches, or a blade steps. Inscribed: a convex surface comes out a
 * little small, by about the square of the step. A region with no extent gives none.
 */
export function meshRegion(region: Region, fineness: MeshFineness): TriangleMesh[] {
  // Across its height a plate is made of rectangles, which no row has to follow.
  if (region.kind === "plate") return meshRegion(region.turned(), fineness).map(turnedBack);
  const { stations, rows } = fineness;
  const middle = region.sliceAt((region.xRange[0] + region.xRange[1]) / 2);
  const flat = middle?.flat ?? false;
  const endless = middle?.ys === null;
  const meshes: TriangleMesh[] = [];
  const panels = panelsOf(region, endless ? 0 : stations);
  const stretches = panels.map((xs) => stretchesAt(region, xs[xs.length >> 1]));
  let parted = stretches.some((n) => n > 1);
  let run: number[][] = [];
  const close = () => {
    if (run.length > 1) meshes.push(tube(run));
    run = [];
  };
  panels.forEach((xs, p) => {
    if (stretches[p] !== 1) close();
    else if (
      region.kind === "blade" &&
      run.length > 1 &&
      (steps(region, panels[p - 1][panels[p - 1].length - 1], xs[0]) ||
        creasesAt(region, panels[p - 1]) !== creasesAt(region, xs))
    ) {
      // Rows of one tube would fold over each other on the face of the step, or run from one crease to another.
      close();
      parted = true;
    }
    for (let k = 0; k < stretches[p]; k++) {
      for (const x of xs) {
        const slice = region.sliceAt(x);
        const ring = slice && ringOf(slice, x, flat ? 2 : rows, k, region.kind);
        if (ring) run.push(ring);
      }
      if (stretches[p] !== 1) close();
    }
  });
  close();
  if (parted) for (const m of meshes) overlapEnds(m, region.xRange);
  return meshes;
}

function stretchesAt(region: Region, x: number): number {
  const slice = region.sliceAt(x);
  return slice === null ? 0 : slice.ys === null ? 1 : slice.ys.length / 2;
}

/** How many creases a panel's section has in its middle. */
function creasesAt(region: Region, xs: readonly number[]): number {
  return region.sliceAt(xs[xs.length >> 1])?.creases.length ?? 0;
}

/** Whether a blade steps from one station to another close by, at its plunge or its heel. */
function steps(region: Region, from: number, to: number): boolean {
  const [a, b] = [region.sliceAt(from), region.sliceAt(to)];
  if (!a || !b || !a.ys || !b.ys || a.ys.length < 2 || b.ys.length < 2) return false;
  const [a0, a1, b0, b1] = [a.ys[0], a.ys[1], b.ys[0], b.ys[1]];
  if (Math.abs(a0 - b0) > STEP_MM || Math.abs(a1 - b1) > STEP_MM) return true;
  return [0.1, 0.3, 0.5, 0.7, 0.9].some((t) => {
    const y = a0 + (a1 - a0) * t;
    return Math.abs(a.low(y) - b.low(y)) > STEP_MM || Math.abs(a.high(y) - b.high(y)) > STEP_MM;
  });
}

/** A mesh with x and y exchanged; its triangles go round the other way then. */
function turnedBack({ vertices, triangles }: TriangleMesh): TriangleMesh {
  const [turned, round] = [new Float32Array(vertices.length), triangles.slice()];
  for (let i = 0; i < vertices.length; i += 3) turned.set([vertices[i + 1], vertices[i], vertices[i + 2]], i);
  for (let i = 0; i < round.length; i += 3) [round[i + 1], round[i + 2]] = [round[i + 2], round[i + 1]];
  return { vertices: turned, triangles: round };
}

/** Draws the end rings of a tube out along x, but for those at the ends of its region, which stay where they are. */
function overlapEnds({ vertices }: TriangleMesh, [from, to]: readonly [number, number]): void {
  let [low, high] = [Infinity, -Infinity];
  for (let i = 0; i < vertices.length; i += 3) {
    low = Math.min(low, vertices[i]);
    high = Math.max(high, vertices[i]);
  }
  const inner = (x: number, end: number) => Math.abs(x - end) > OVERLAP_MM;
  for (let i = 0; i < vertices.length; i += 3) {
    if (vertices[i] === low && inner(low, from)) vertices[i] -= OVERLAP_MM;
    else if (vertices[i] === high && inner(high, to)) vertices[i] += OVERLAP_MM;
  }
}

/** Stations of the rings, panel by panel. */
function panelsOf(region: Region, fineness: number): number[][] {
  const [from, to] = region.xRange;
  const ends = [...new Set([from, ...region.breaks.map((b) => b.x), to])]
    .filter((x) => x >= from && x <= to)
    .sort((a, b) => a - b);
  const panels: number[][] = [];
  for (let k = 0; k + 1 < ends.length; k++) {
    const [a, b] = [ends[k], ends[k + 1]];
    if (b - a < SAME_PLACE_MM) continue;
    const at = (x: number, end: number) => Math.abs(x - end) < SAME_PLACE_MM;
    const roots = region.breaks.some((k) => (at(k.x, a) && k.above) || (at(k.x, b) && k.below));
    // A whole number at the base of 8 stations, then in proportion: halved steps are halved everywhere.
    const base = Math.max(2, Math.ceil((8 * (b - a)) / 25 + (roots ? 4 : 0)));
    const perPanel = Math.max(1, Math.round((base * fineness) / 8));
    // Both sides of a break get a ring, so that a step in the shape stands upright.
    const xs: number[] = [];
    for (let i = 0; i <= perPanel; i++) {
      const t = clamp((1 - Math.cos((Math.PI * i) / perPanel)) / 2, INSIDE_SHARE, 1 - INSIDE_SHARE);
      xs.push(a + (b - a) * t);
    }
    panels.push(xs);
  }
  return panels;
}

/** The border of one stretch of the section at x: lower faces from −y to +y, then upper faces back. */
function ringOf(
  slice: Slice,
  x: number,
  rows: number,
  stretch: number,
  kind: Region["kind"],
): number[] | null {
  const ys = slice.ys;
  const [y0, y1] = ys ? [ys[2 * stretch] ?? 0, ys[2 * stretch + 1] ?? 0] : [-FAR_MM, FAR_MM];
  if (!(y1 > y0)) return null;
  const ring: number[] = [];
  const bounded = (z: number) => clamp(z, -FAR_MM, FAR_MM);
  const shared = kind === "blade" && slice.creases.length > 1 && slice.creases.length < rows;
  const at = shared ? rowsBetween(slice.creases, y0, y1, rows) : rowsOf(slice, y0, y1, rows);
  for (const y of at) ring.push(x, y, bounded(slice.low(y)));
  for (const y of at.reverse()) ring.push(x, y, bounded(slice.high(y)));
  return ring;
}

/** Rows across a section, evenly by angle between its creases; as many at every station. */
function rowsOf(slice: Slice, y0: number, y1: number, rows: number): number[] {
  const inset = (y1 - y0) * ROUNDING;
  const crease = slice.creases.filter((y) => y > y0 + inset && y < y1 - inset);
  const ends =
    crease.length === 1 ? [y0 + inset, crease[0], y1 - inset] : [y0 + inset, (y0 + y1) / 2, y1 - inset];
  const ys: number[] = [];
  for (let k = 0; k < 2; k++) {
    for (let i = k; i <= rows / 2; i++) {
      const t = (2 * i) / rows;
      // Toward the outer end of each half the rows crowd, as the section closes there.
      const s = k === 0 ? 1 - Math.cos((Math.PI * t) / 2) : Math.sin((Math.PI * t) / 2);
      ys.push(ends[k] + (ends[k + 1] - ends[k]) * s);
    }
  }
  if (crease.length > 1) for (const y of crease) snap(ys, y);
  return ys;
}

/** Creases nearer than this stand on either side of a step, mm. */
const STEP_APART_MM = 1e-5;

/** Rows of a blade's section, shared out evenly between its creases: as many of them at every station. */
function rowsBetween(creases: readonly number[], y0: number, y1: number, rows: number): number[] {
  const inset = (y1 - y0) * ROUNDING;
  const inner = [...creases].sort((a, b) => a - b).filter((y) => y > y0 + 2 * inset && y < y1 - 2 * inset);
  const ends = [y0 + inset, ...inner, y1 - inset].filter((y, i, all) => i === 0 || y > all[i - 1]);
  const wide = ends.slice(1).filter((y, i) => y - ends[i] > STEP_APART_MM).length;
  const narrow = ends.length - 1 - wide;
  const each = Math.floor((rows - narrow) / wide);
  let spare = rows - narrow - each * wide;
  const ys = [ends[0]];
  for (let k = 0; k + 1 < ends.length; k++) {
    const [a, b] = [ends[k], ends[k + 1]];
    const n = b - a > STEP_APART_MM ? each + (spare-- > 0 ? 1 : 0) : 1;
    for (let i = 1; i <= n; i++) ys.push(a + ((b - a) * (1 - Math.cos((Math.PI * i) / n))) / 2);
  }
  return ys;
}

/** Moves the row nearest to a crease onto it; the outermost stay. */
function snap(ys: number[], crease: number): void {
  let best = 1;
  for (let i = 1; i < ys.length - 1; i++)
    if (Math.abs(ys[i] - crease) < Math.abs(ys[best] - crease)) best = i;
  ys[best] = crease;
}

function tube(rings: readonly (readonly number[])[]): TriangleMesh {
  const n = rings[0].length / 3;
  const vertices = new Float32Array(rings.length * n * 3);
  rings.forEach((ring, r) => {
    vertices.set(ring, r * n * 3);
  });
  const triangles: number[] = [];
  for (let r = 0; r + 1 < rings.length; r++) {
    for (let i = 0; i < n; i++) {
      const j = (i + 1) % n;
      const [a, b, c, d] = [r * n + i, r * n + j, (r + 1) * n + j, (r + 1) * n + i];
      triangles.push(a, b, c, a, c, d);
    }
  }
  // Caps, as strips between the lower and the upper faces of the first and the last ring.
  const last = (rings.length - 1) * n;
  for (let i = 0; i < n / 2 - 1; i++) {
    const [p, q, r, s] = [i, i + 1, n - 2 - i, n - 1 - i];
    triangles.push(p, s, q, q, s, r, last + p, last + q, last + s, last + q, last + r, last + s);
  }
  return { vertices, triangles: Uint32Array.from(triangles) };
}
