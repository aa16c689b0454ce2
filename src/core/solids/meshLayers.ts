import type { TriangleMesh } from "./meshRegion";
import { NO_CROSSINGS, type Region, type Slice } from "./region";

/** A ray may meet a shape in this many stretches at most; further ones are left out. */
const MOST_LAYERS = 6;

/** Stations that a shape of many corners is broken at. */
const FEW_BREAKS = 40;

/** A closed mesh cut at one x: the border as segments in y and z. */
interface Cut {
  /** y0, z0, y1, z1 of each segment, y0 < y1. */
  readonly segments: Float64Array;
  /** Heights of all corners of the border, ascending. */
  readonly ys: readonly number[];
  /** Number of stretches between neighbouring corners. */
  readonly counts: readonly number[];
}

/**
 * A closed mesh as regions: the first holds the first stretch in which each ray along z meets it, the second the
 * second, and so on. Together they are the whole. Exact for the mesh, between whose corners everything is straight.
 */
export function meshLayers(mesh: TriangleMesh): Region[] {
  const cutAt = cutter(mesh);
  const xs = [...new Set(stationsOf(mesh))].sort((a, b) => a - b);
  const xRange: [number, number] = [xs[0], xs[xs.length - 1]];
  let most = 1;
  for (let i = 1; i < xs.length; i++) {
    for (const t of [0.25, 0.75]) {
      const cut = cutAt(xs[i - 1] + t * (xs[i] - xs[i - 1]));
      for (const n of cut?.counts ?? []) most = Math.max(most, n);
    }
  }
  const breaks = xs.map((x) => ({ x, below: false, above: false }));
  return Array.from({ length: Math.min(MOST_LAYERS, most) }, (_, layer) => ({
    xRange,
    breaks,
    meshLayer: { mesh, layer },
    sliceAt: (x: number) => {
      const cut = x > xRange[0] && x < xRange[1] ? cutAt(x) : null;
      return cut && layerSlice(cut, layer);
    },
  }));
}

/** Ends, faces that stand upright, and some stations between; of a simple shape every corner. */
function stationsOf({ vertices: v, triangles: t }: TriangleMesh): number[] {
  const xs = new Set<number>();
  for (let i = 0; i < v.length; i += 3) xs.add(v[i]);
  if (xs.size <= FEW_BREAKS) return [...xs];
  let [low, high] = [Infinity, -Infinity];
  for (const x of xs) {
    low = Math.min(low, x);
    high = Math.max(high, x);
  }
  const upright = new Map<number, number>();
  for (let i = 0; i < t.length; i += 3) {
    const [a, b, c] = [3 * t[i], 3 * t[i + 1], 3 * t[i + 2]];
    if (Math.abs(v[a] - v[b]) > 1e-4 || Math.abs(v[a] - v[c]) > 1e-4) continue;
    const area =
      Math.abs(
        (v[b + 1] - v[a + 1]) * (v[c + 2] - v[a + 2]) - (v[c + 1] - v[a + 1]) * (v[b + 2] - v[a + 2]),
      ) / 2;
    upright.set(v[a], (upright.get(v[a]) ?? 0) + area);
  }
  const faces = [...upright].sort((p, q) => q[1] - p[1]).slice(0, FEW_BREAKS / 2);
  const even = Array.from({ length: FEW_BREAKS + 1 }, (_, i) => low + ((high - low) * i) / FEW_BREAKS);
  return [...even, ...faces.map(([x]) => x)];
}

/** Cuts the mesh at stations; remembers the last few hundred. */
function cutter({ vertices: v, triangles: t }: TriangleMesh): (x: number) => Cut | null {
  const n = t.length / 3;
  const low = new Float64Array(n);
  const high = new Float64Array(n);
  for (let i = 0; i < n; i++) {
    const [a, b, c] = [v[3 * t[3 * i]], v[3 * t[3 * i + 1]], v[3 * t[3 * i + 2]]];
    low[i] = Math.min(a, b, c);
    high[i] = Math.max(a, b, c);
  }
  const known = new Map<number, Cut | null>();
  return (x) => {
    const found = known.get(x);
    if (found !== undefined) return found;
    if (known.size > 600) known.clear();
    const flat: number[] = [];
    for (let i = 0; i < n; i++) {
      if (x <= low[i] || x > high[i]) continue;
      crossing(v, t, 3 * i, x, flat);
    }
    const cut = flat.length > 0 ? cutOf(flat) : null;
    known.set(x, cut);
    return cut;
  };
}

/** Adds the segment in which a triangle meets the plane at x, its lower end first. */
function crossing(v: Float32Array, t: Uint32Array, at: number, x: number, into: number[]): void {
  const ends: number[] = [];
  for (let k = 0; k < 3; k++) {
    const p = 3 * t[at + k];
    const q = 3 * t[at + ((k + 1) % 3)];
    const [px, qx] = [v[p], v[q]];
    if (px < x === qx < x) continue;
    const s = (x - px) / (qx - px);
    ends.push(v[p + 1] + s * (v[q + 1] - v[p + 1]), v[p + 2] + s * (v[q + 2] - v[p + 2]));
  }
  if (ends.length < 4) return;
  const [y0, z0, y1, z1] = ends;
  if (y0 < y1) into.push(y0, z0, y1, z1);
  else if (y1 < y0) into.push(y1, z1, y0, z0);
}

function cutOf(flat: readonly number[]): Cut {
  const segments = Float64Array.from(flat);
  const ends: number[] = [];
  for (let i = 0; i < segments.length; i += 4) ends.push(segments[i], segments[i + 2]);
  ends.sort((a, b) => a - b);
  const ys = ends.filter((y, i) => i === 0 || y - ends[i - 1] > 1e-7);
  const counts = ys.slice(1).map((y, i) => Math.floor(heightsAt(segments, (y + ys[i]) / 2).length / 2));
  return { segments, ys, counts };
}

/** Where a ray at y meets the border, ascending. */
function heightsAt(segments: Float64Array, y: number): number[] {
  const zs: number[] = [];
  for (let i = 0; i < segments.length; i += 4) {
    const [y0, y1] = [segments[i], segments[i + 2]];
    if (y <= y0 || y > y1) continue;
    zs.push(segments[i + 1] + ((segments[i + 3] - segments[i + 1]) * (y - y0)) / (y1 - y0));
  }
  return zs.sort((a, b) => a - b);
}

function layerSlice(cut: Cut, layer: number): Slice | null {
  const ys: number[] = [];
  cut.counts.forEach((n, i) => {
    if (n <= layer) return;
    if (ys.length > 0 && ys[ys.length - 1] === cut.ys[i]) ys[ys.length - 1] = cut.ys[i + 1];
    else ys.push(cut.ys[i], cut.ys[i + 1]);
  });
  if (ys.length === 0) return null;
  let last = Number.NaN;
  let zs: number[] = [];
  const at = (y: number) => {
    if (y !== last) {
      last = y;
      zs = heightsAt(cut.segments, y);
    }
    return zs;
  };
  return {
    ys,
    creases: cut.ys,
    levels: NO_CROSSINGS,
    crossings: () => NO_CROSSINGS,
    zones: [],
    extraPoints: 0,
    flat: false,
    low: (y) => at(y)[2 * layer] ?? 0,
    high: (y) => at(y)[2 * layer + 1] ?? 0,
  };
}
