/**
 * When each unit of a resource is free, ms, the soonest first: infinite while that is not known yet. Each of these gives new
 * ones, in the same order.
 */
export type Units = Float64Array;

/** The first moment at which so many are free. */
export const freeAt = (units: Units, n: number): number => units[n - 1] ?? Number.POSITIVE_INFINITY;

/** So many that are free at a moment taken until another, those that have been free for the shortest time first. */
export function taken(units: Units, n: number, atMs: number, untilMs: number): Units {
  const next = units.slice();
  let last = next.length - 1;
  while (last >= 0 && next[last] > atMs) last--;
  for (let k = 0; k < n; k++) next[last - k] = untilMs;
  return next.sort();
}

/** So many of those of which it was not known when they are free, free at a moment. */
export function freed(units: Units, n: number, atMs: number): Units {
  const next = units.slice();
  const at = next.indexOf(Number.POSITIVE_INFINITY);
  if (at >= 0) next.fill(atMs, at, at + n);
  return next.sort();
}
