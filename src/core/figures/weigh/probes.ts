/** How near its ends a panel's order is read, as a share of it. */
const AT_END = 1e-6;
/** Within it the order is read as often as this, mm, and so often at the most. */
const PROBE_MM = 2;
const MOST_PROBES = 12;

/** At how many places of a panel the order of so many curved regions is read: at its ends, and between them the closer the longer it is. */
export function probeCount(curved: number, split: number, lengthMm: number): number {
  if (curved < 2) return 2;
  return Math.min(MOST_PROBES, 2 + Math.ceil((split * lengthMm) / PROBE_MM));
}

/** The i-th of so many places of a panel, its ends read just inside. */
export function probe(y0: number, y1: number, i: number, count: number): number {
  return y0 + (y1 - y0) * (i === 0 ? AT_END : i === count - 1 ? 1 - AT_END : i / (count - 1));
}
