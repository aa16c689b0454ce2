import type { Region } from "./region";

type Range = readonly [number, number];
export type Extent = readonly [Range, Range, Range];

/** Stations that are read besides the regions' own breaks, and heights at each. */
const STATIONS = 64;
const HEIGHTS = 16;
/** Halvings of the stretch between a place that has something and one that has nothing. */
const HALVINGS = 12;

/**
 * How far what the regions have in common reaches along x, y and z, mm; null where they have nothing in common. Sides
 * without an end are left out of account. What bulges between two of the stations or heights that are read is missed:
 * some 0.05 mm on a knife.
 */
export function rangeOf(regions: readonly Region[]): Extent | null {
  const x0 = Math.max(...regions.map((r) => r.xRange[0]));
  const x1 = Math.min(...regions.map((r) => r.xRange[1]));
  if (!(x1 > x0)) return null;
  const by = (x1 - x0) * 1e-6;
  const stations = [x0 + by, x1 - by];
  for (let i = 1; i < STATIONS; i++) stations.push(x0 + ((x1 - x0) * i) / STATIONS);
  for (const { breaks } of regions) for (const { x } of breaks) stations.push(x - by, x + by);
  const read = spanOf(
    stations.filter((x) => x > x0 && x < x1).sort((a, b) => a - b),
    (x) => across(regions, x),
  );
  if (!read) return null;
  const [low, high] = read.ends;
  const over = (k: 0 | 1): Range => [
    Math.min(...read.found.map((f) => f[k][0])),
    Math.max(...read.found.map((f) => f[k][1])),
  ];
  return [[low - x0 < 2 * by ? x0 : low, x1 - high < 2 * by ? x1 : high], over(0), over(1)];
}

/** The same along y and z in the cut at x. */
function across(regions: readonly Region[], x: number): readonly [Range, Range] | null {
  const cuts = regions.flatMap((r) => r.sliceAt(x) ?? []);
  if (cuts.length < regions.length) return null;
  const bounded = cuts.flatMap(({ ys }) => (ys && ys.length > 1 ? [ys] : []));
  const low = Math.max(...bounded.map((ys) => ys[0]));
  const high = Math.min(...bounded.map((ys) => ys[ys.length - 1]));
  if (!(high > low)) return null;
  const heights = Array.from(
    { length: HEIGHTS + 1 },
    (_, k) => low + (high - low) * (1e-6 + ((1 - 2e-6) * k) / HEIGHTS),
  );
  const read = spanOf(heights, (y): Range | null => {
    const bottom = Math.max(...cuts.map((c) => c.low(y)));
    const top = Math.min(...cuts.map((c) => c.high(y)));
    return top > bottom ? [bottom, top] : null;
  });
  if (!read) return null;
  // Read a little within its ends, where surfaces close.
  const [from, to] = read.ends;
  const ys: Range = [from === heights[0] ? low : from, to === heights[HEIGHTS] ? high : to];
  return [ys, [Math.min(...read.found.map(([z]) => z)), Math.max(...read.found.map(([, z]) => z))]];
}

/** From where to where along ascending places something is found, its ends narrowed down; null of nothing at all. */
function spanOf<T>(
  places: readonly number[],
  at: (place: number) => T | null,
): { readonly ends: Range; readonly found: readonly T[] } | null {
  const read = places.map(at);
  const first = read.findIndex((f) => f !== null);
  if (first < 0) return null;
  const last = read.findLastIndex((f) => f !== null);
  const found = read.filter((f) => f !== null);
  const end = (inside: number, outside: number | undefined): number => {
    if (outside === undefined) return inside;
    let [has, hasNot] = [inside, outside];
    for (let i = 0; i < HALVINGS; i++) {
      const middle = (has + hasNot) / 2;
      const there = at(middle);
      if (there === null) hasNot = middle;
      else {
        has = middle;
        found.push(there);
      }
    }
    return has;
  };
  return { ends: [end(places[first], places[first - 1]), end(places[last], places[last + 1])], found };
}
