/** Numbers that come out the same for the same seed. mulberry32; common practice, no source. */
export function seeded(seed: number) {
  let state = seed >>> 0;
  const next = () => {
    state = (state + 0x6d2b79f5) >>> 0;
    let t = Math.imul(state ^ (state >>> 15), state | 1);
    t ^= t + Math.imul(t ^ (t >>> 7), t | 61);
    return ((t ^ (t >>> 14)) >>> 0) / 2 ** 32;
  };
  return {
    /** From 0 up to, but not, 1. */
    next,
    /** A whole number from 0 up to, but not, n. */
    below: (n: number) => Math.floor(next() * n),
    of: <T>(list: readonly T[]): T => list[Math.floor(next() * list.length)],
  };
}

export type Random = ReturnType<typeof seeded>;
