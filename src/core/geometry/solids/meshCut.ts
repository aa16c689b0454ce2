import { clamp } from "../../base/number";
import type { TriangleMesh } from "./triangleMesh";

/** A cut of more corners than this is broken at every so many of them: their bends are slight. */
const MANY_CORNERS = 512;

/** Corners nearer to each other than this are one, mm. */
const SAME_CORNER_MM = 1e-7;

/** Slabs along x that triangles are sorted into, and the most segments of cuts that are remembered. */
const SLABS = 128;
const MOST_REMEMBERED = 1_200_000;

/** A closed mesh cut at one x: its border is segments in y and z, y0, z0, y1, z1 of each with y0 < y1. */
export interface Cut {
  /** Heights of all corners of the border, ascending. */
  readonly ys: Float64Array;
  /** Number of stretches between neighbouring corners. */
  readonly counts: Int32Array;
  /** Where weighing is to break: every corner, or every so many. */
  readonly creases: readonly number[];
  /** Where a ray at y meets the border, ascending; of one list that is used over and over. */
  heightsAt(y: number): readonly number[];
  /** Area inside the border by the even-odd rule, and the area that it runs round, mm²: of a simple border the same. */
  areas(): { readonly evenOdd: number; readonly around: number };
}

/** What a mesh is cut by. */
export interface Cutter {
  /** The cut at a station; the last few are remembered. */
  at(x: number): Cut | null;
  /** The lowest and the highest corner of the cut at a station, for a fraction of its cost. */
  reachAt(x: number): readonly [low: number, high: number] | null;
}

/** Cuts a mesh at stations. */
export function cutter({ vertices: v, triangles: t }: TriangleMesh): Cutter {
  const n = t.length / 3;
  const low = new Float64Array(n);
  const high = new Float64Array(n);
  let [from, to] = [Infinity, -Infinity];
  for (let i = 0; i < n; i++) {
    const [a, b, c] = [v[3 * t[3 * i]], v[3 * t[3 * i + 1]], v[3 * t[3 * i + 2]]];
    low[i] = Math.min(a, b, c);
    high[i] = Math.max(a, b, c);
    from = Math.min(from, low[i]);
    to = Math.max(to, high[i]);
  }
  const slabOf = (x: number) => clamp(Math.floor((SLABS * (x - from)) / (to - from)), 0, SLABS - 1);
  const slabs: number[][] = Array.from({ length: SLABS }, () => []);
  for (let i = 0; i < n; i++) for (let k = slabOf(low[i]); k <= slabOf(high[i]); k++) slabs[k].push(i);
  const known = new Map<number, Cut | null>();
  let remembered = 0;
  const reachAt = (x: number) => {
    let [lowest, highest] = [Infinity, -Infinity];
    for (const i of slabs[slabOf(x)]) {
      if (!(x > low[i] && x <= high[i])) continue;
      // As `crossing` does, without its heights.
      for (let k = 0; k < 3; k++) {
        const p = 3 * t[3 * i + k];
        const q = 3 * t[3 * i + ((k + 1) % 3)];
        const px = v[p];
        const qx = v[q];
        if (px < x === qx < x) continue;
        const y = v[p + 1] + ((x - px) / (qx - px)) * (v[q + 1] - v[p + 1]);
        if (y < lowest) lowest = y;
        if (y > highest) highest = y;
      }
    }
    return lowest < highest ? ([lowest, highest] as const) : null;
  };
  const at = (x: number) => {
    const found = known.get(x);
    if (found !== undefined) return found;
    const flat: number[] = [];
    const ways: number[] = [];
    for (const i of slabs[slabOf(x)]) if (x > low[i] && x <= high[i]) crossing(v, t, 3 * i, x, flat, ways);
    if (known.size > 600 || remembered > MOST_REMEMBERED) {
      known.clear();
      remembered = 0;
    }
    remembered += flat.length / 4;
    const cut = flat.length > 0 ? cutOf(flat, ways) : null;
    known.set(x, cut);
    return cut;
  };
  return { at, reachAt };
}

/**
 * Adds the segment in which a triangle meets the plane at x, its lower end first, and which way it faces: 1 up (+z),
 * −1 down.
 */
function crossing(
  v: Float32Array,
  t: Uint32Array,
  at: number,
  x: number,
  into: number[],
  ways: number[],
): void {
  let count = 0;
  let rising = false;
  let y0 = 0;
  let z0 = 0;
  let y1 = 0;
  let z1 = 0;
  for (let k = 0; k < 3; k++) {
    const p = 3 * t[at + k];
    const q = 3 * t[at + ((k + 1) % 3)];
    const px = v[p];
    const qx = v[q];
    if (px < x === qx < x) continue;
    const s = (x - px) / (qx - px);
    const y = v[p + 1] + s * (v[q + 1] - v[p + 1]);
    const z = v[p + 2] + s * (v[q + 2] - v[p + 2]);
    if (count++ === 0) {
      // The triangle runs toward +x here, and back on the other side.
      rising = px < x;
      y0 = y;
      z0 = z;
    } else {
      y1 = y;
      z1 = z;
    }
  }
  if (count < 2) return;
  if (y0 < y1) into.push(y0, z0, y1, z1);
  else if (y1 < y0) into.push(y1, z1, y0, z0);
  else return;
  ways.push(rising === y0 < y1 ? 1 : -1);
}

function cutOf(flat: readonly number[], upper: readonly number[]): Cut {
  const segments = Float64Array.from(flat);
  const n = segments.length / 4;
  const begun = new Float64Array(n);
  const ended = new Float64Array(n);
  for (let i = 0; i < n; i++) {
    begun[i] = segments[4 * i];
    ended[i] = segments[4 * i + 2];
  }
  begun.sort();
  ended.sort();
  const ends = new Float64Array(2 * n);
  let corners = 0;
  for (let b = 0, e = 0, before = Number.NEGATIVE_INFINITY; b < n || e < n; ) {
    const y = b < n && begun[b] <= ended[e] ? begun[b++] : ended[e++];
    if (y - before > SAME_CORNER_MM) ends[corners++] = y;
    before = y;
  }
  const ys = ends.slice(0, corners);
  // Over the middle of each gap: half of how many segments have begun, less how many have ended.
  const counts = new Int32Array(Math.max(0, corners - 1));
  for (let i = 0, b = 0, e = 0; i < counts.length; i++) {
    const y = (ys[i] + ys[i + 1]) / 2;
    while (b < n && begun[b] < y) b++;
    while (e < n && ended[e] < y) e++;
    counts[i] = (b - e) >> 1;
  }
  const every = Math.ceil(corners / MANY_CORNERS);
  const creases: number[] = [];
  for (let i = 0; i < corners; i += every) creases.push(ys[i]);
  if (corners > 0 && creases[creases.length - 1] !== ys[corners - 1]) creases.push(ys[corners - 1]);
  const heightsAt = heights(segments, ys, counts);
  const areas = () => {
    let evenOdd = 0;
    for (let i = 0; i < counts.length; i++) {
      const zs = heightsAt((ys[i] + ys[i + 1]) / 2);
      for (let k = 0; k + 1 < zs.length; k += 2) evenOdd += (zs[k + 1] - zs[k]) * (ys[i + 1] - ys[i]);
    }
    let around = 0;
    for (let i = 0; i < n; i++) {
      const [y0, z0, y1, z1] = segments.subarray(4 * i, 4 * i + 4);
      around += upper[i] * (y1 - y0) * (z0 + z1) * 0.5;
    }
    return { evenOdd, around };
  };
  return { ys, counts, creases, heightsAt, areas };
}

/**
 * Answers where a ray at y meets the border, ascending. Each gap between corners has its list of the segments over it;
 * a border folded past all measure has none, and every segment is looked at.
 */
function heights(
  segments: Float64Array,
  ys: Float64Array,
  counts: Int32Array,
): (y: number) => readonly number[] {
  const zs: number[] = [];
  let lists: { from: Int32Array; of: Int32Array } | null = null;
  let last = Number.NaN;
  let gap = 0;
  const add = (i: number, y: number) => {
    const y0 = segments[i];
    const y1 = segments[i + 2];
    zs.push(segments[i + 1] + ((segments[i + 3] - segments[i + 1]) * (y - y0)) / (y1 - y0));
  };
  return (y) => {
    if (y === last) return zs;
    last = y;
    zs.length = 0;
    lists ??= listsOf(segments, ys, counts);
    if (lists) {
      while (gap + 1 < counts.length && y > ys[gap + 1]) gap++;
      while (gap > 0 && y <= ys[gap]) gap--;
      // Also where corners are a hair apart: a segment counts over the whole of its gap, so that they come in pairs.
      for (let k = lists.from[gap]; k < lists.from[gap + 1]; k++) add(lists.of[k], y);
    } else
      for (let i = 0; i < segments.length; i += 4) if (y > segments[i] && y <= segments[i + 2]) add(i, y);
    if (zs.length > 2) zs.sort((a, b) => a - b);
    else if (zs.length === 2 && zs[0] > zs[1]) zs.reverse();
    return zs;
  };
}

/** The segments over each gap, gap by gap; null where that would be far more than there are segments. */
function listsOf(segments: Float64Array, ys: Float64Array, counts: Int32Array) {
  const n = segments.length / 4;
  let total = 0;
  for (const c of counts) total += 2 * c + 2;
  if (total > 4096 + 64 * n) return null;
  const order = Uint32Array.from({ length: n }, (_, i) => 4 * i).sort((a, b) => segments[a] - segments[b]);
  const from = new Int32Array(counts.length + 1);
  const of: number[] = [];
  const open: number[] = [];
  let next = 0;
  for (let gap = 0; gap < counts.length; gap++) {
    const y = (ys[gap] + ys[gap + 1]) / 2;
    while (next < n && segments[order[next]] < y) open.push(order[next++]);
    let kept = 0;
    for (const i of open) if (segments[i + 2] > y) open[kept++] = i;
    open.length = kept;
    for (const i of open) of.push(i);
    from[gap + 1] = of.length;
  }
  return { from, of: Int32Array.from(of) };
}
