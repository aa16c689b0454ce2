import { INSIDE_SHARE } from "../../base/tolerances";
import type { Region } from "./region";
import type { Slice } from "./slice";

type Range = readonly [number, number];
export type Extent = readonly [Range, Range, Range];

/** Stations that are read besides the regions' own breaks, and heights at each. */
const STATIONS = 64;
const HEIGHTS = 16;
/** Halvings of the stretch between a place that has something and one that has nothing. */
const HALVINGS = 12;

/**
 * How far what the regions have in common reaches along x, y and z, mm; null where they have nothing in common. Sides
 * without an end are left out of account. Between the stations that are read it is looked for where they reach farthest;
 * what bulges elsewhere between two of them is missed, some 0.05 mm on a knife.
 */
export function rangeOf(regions: readonly Region[]): Extent | null {
  const read = readAlong(regions, (x) => across(regions, x), [
    ([[low]]) => -low,
    ([[, high]]) => high,
    ([, [low]]) => -low,
    ([, [, high]]) => high,
  ]);
  if (!read) return null;
  return [read.ends, hull(read.found.map(([y]) => y)), hull(read.found.map(([, z]) => z))];
}

/** The same along x and y only, in a fraction of the time. */
export function sideRangeOf(regions: readonly Region[]): readonly [Range, Range] | null {
  const read = readAlong(regions, (x) => upAndDown(regions, x), [([low]) => -low, ([, high]) => high]);
  return read && [read.ends, hull(read.found)];
}

const hull = (ranges: readonly Range[]): Range => [
  Math.min(...ranges.map((r) => r[0])),
  Math.max(...ranges.map((r) => r[1])),
];

/**
 * What is found at stations along what the regions have in common, and the stations between which there is any. Where one
 * of the reaches is greatest, it is read more closely, too.
 */
function readAlong<T>(
  regions: readonly Region[],
  at: (x: number) => T | null,
  reaches: readonly ((found: T) => number)[],
): { readonly ends: Range; readonly found: readonly T[] } | null {
  const x0 = Math.max(...regions.map((r) => r.xRange[0]));
  const x1 = Math.min(...regions.map((r) => r.xRange[1]));
  if (!(x1 > x0)) return null;
  const by = (x1 - x0) * INSIDE_SHARE;
  const stations = [x0 + by, x1 - by];
  for (let i = 1; i < STATIONS; i++) stations.push(x0 + ((x1 - x0) * i) / STATIONS);
  for (const { breaks } of regions) for (const { x } of breaks) stations.push(x - by, x + by);
  for (const x of planeStations(regions)) stations.push(x - by, x + by);
  const sorted = stations.filter((x) => x > x0 && x < x1).sort((a, b) => a - b);
  const found: T[] = [];
  const all = sorted.map(at);
  for (const reach of reaches) {
    const far = (x: number) => {
      const there = at(x);
      if (there !== null) found.push(there);
      return there === null ? Number.NEGATIVE_INFINITY : reach(there);
    };
    const values = all.map((there) => (there === null ? Number.NEGATIVE_INFINITY : reach(there)));
    const best = values.indexOf(Math.max(...values));
    greatestIn(far, sorted[Math.max(0, best - 1)], sorted[Math.min(sorted.length - 1, best + 1)]);
  }
  const spanned = spanOf(sorted, at, all);
  if (!spanned) return null;
  const read = { ...spanned, found: [...spanned.found, ...found] };
  const [low, high] = read.ends;
  return { ...read, ends: [low - x0 < 2 * by ? x0 : low, x1 - high < 2 * by ? x1 : high] };
}

/** Heights at which planes are met, from the lowest place of all outlines to the highest. */
const PLANE_HEIGHTS = 8;

/** Stations at which planes that stand across the knife are met: what lies between two of them may be narrow. */
function planeStations(regions: readonly Region[]): number[] {
  const ys = regions.flatMap((r) => r.outline?.cubics.flatMap((c) => [c.a.y, c.b.y, c.c.y, c.d.y]) ?? [0]);
  const [low, high] = [Math.min(...ys), Math.max(...ys)];
  const planes = regions.flatMap((r) => (r.kind === "half-spaces" ? r.planes : []));
  return planes.flatMap(({ normal: [nx, ny], offsetMm }) =>
    nx === 0
      ? []
      : Array.from({ length: PLANE_HEIGHTS + 1 }, (_, i) => {
          const y = low + ((high - low) * i) / PLANE_HEIGHTS;
          return (offsetMm - ny * y) / nx;
        }),
  );
}

/** Times that a stretch is narrowed down by the golden section. */
const NARROWINGS = 16;
const GOLDEN = (Math.sqrt(5) - 1) / 2;

/** Reads a function where it is greatest within a stretch, by golden section. */
function greatestIn(far: (x: number) => number, from: number, to: number): void {
  let [a, b] = [from, to];
  let [p, q] = [b - GOLDEN * (b - a), a + GOLDEN * (b - a)];
  let [fp, fq] = [far(p), far(q)];
  for (let i = 0; i < NARROWINGS; i++)
    if (fp > fq) {
      [b, q, fq] = [q, p, fp];
      p = b - GOLDEN * (b - a);
      fp = far(p);
    } else {
      [a, p, fp] = [p, q, fq];
      q = a + GOLDEN * (b - a);
      fq = far(q);
    }
}

/** A cut through all the regions at x: the heights at which it is read, and what they have in common at each. */
class CutThrough {
  private constructor(
    private readonly cuts: readonly Slice[],
    private readonly low: number,
    private readonly high: number,
  ) {}

  /** Null where one of the regions is not there, or they have no height in common. */
  static at(regions: readonly Region[], x: number): CutThrough | null {
    const cuts: Slice[] = [];
    let [low, high] = [Number.NEGATIVE_INFINITY, Number.POSITIVE_INFINITY];
    for (const region of regions) {
      const cut = region.sliceAt(x);
      if (!cut) return null;
      cuts.push(cut);
      if (!cut.ys || cut.ys.length < 2) continue;
      low = Math.max(low, cut.ys[0]);
      high = Math.min(high, cut.ys[cut.ys.length - 1]);
    }
    return high > low ? new CutThrough(cuts, low, high) : null;
  }

  /** The k-th of the heights, a little within the ends, where surfaces close. */
  height(k: number): number {
    return this.low + (this.high - this.low) * (INSIDE_SHARE + ((1 - 2 * INSIDE_SHARE) * k) / HEIGHTS);
  }

  readonly depthAt = (y: number): Range | null => {
    let [bottom, top] = [Number.NEGATIVE_INFINITY, Number.POSITIVE_INFINITY];
    for (const cut of this.cuts) {
      bottom = Math.max(bottom, cut.low(y));
      top = Math.min(top, cut.high(y));
    }
    return top > bottom ? [bottom, top] : null;
  };

  /** A range of heights that were read, out to the very ends. */
  whole([from, to]: Range): Range {
    return [from === this.height(0) ? this.low : from, to === this.height(HEIGHTS) ? this.high : to];
  }
}

/** How far the regions reach along y and z in the cut at x. */
function across(regions: readonly Region[], x: number): readonly [Range, Range] | null {
  const cut = CutThrough.at(regions, x);
  if (!cut) return null;
  const heights = Array.from({ length: HEIGHTS + 1 }, (_, k) => cut.height(k));
  const read = spanOf(heights, cut.depthAt);
  return read && [cut.whole(read.ends), hull(read.found)];
}

/** How far they reach along y alone: most often from the lowest height to the highest. */
function upAndDown(regions: readonly Region[], x: number): Range | null {
  const cut = CutThrough.at(regions, x);
  if (!cut) return null;
  const has = (k: number) => cut.depthAt(cut.height(k)) !== null;
  let first = 0;
  while (first <= HEIGHTS && !has(first)) first++;
  if (first > HEIGHTS) return null;
  let last = HEIGHTS;
  while (!has(last)) last--;
  const end = (inside: number, outside: number) =>
    outside < 0 || outside > HEIGHTS
      ? cut.height(inside)
      : narrowed(cut.height(inside), cut.height(outside), cut.depthAt);
  return cut.whole([end(first, first - 1), end(last, last + 1)]);
}

/** From where to where along ascending places something is found, its ends narrowed down; null of nothing at all. */
function spanOf<T>(
  places: readonly number[],
  at: (place: number) => T | null,
  read: readonly (T | null)[] = places.map(at),
): { readonly ends: Range; readonly found: readonly NonNullable<T>[] } | null {
  const first = read.findIndex((f) => f !== null);
  if (first < 0) return null;
  const last = read.findLastIndex((f) => f !== null);
  const found = read.flatMap((f) => (f === null || f === undefined ? [] : [f]));
  const end = (inside: number, outside: number | undefined): number =>
    outside === undefined ? inside : narrowed(inside, outside, at, (there) => found.push(there));
  return { ends: [end(places[first], places[first - 1]), end(places[last], places[last + 1])], found };
}

/** The last place toward `outside` where something is found, by halving; what is found on the way is reported. */
function narrowed<T>(
  inside: number,
  outside: number,
  at: (place: number) => T | null,
  tell: (found: NonNullable<T>) => void = () => undefined,
): number {
  let [has, hasNot] = [inside, outside];
  for (let i = 0; i < HALVINGS; i++) {
    const middle = (has + hasNot) / 2;
    const there = at(middle) ?? null;
    if (there === null) hasNot = middle;
    else {
      has = middle;
      tell(there);
    }
  }
  return has;
}
