/** A screw thread by its name: nominal diameter and pitch, mm. */
export interface Thread {
  readonly name: string;
  readonly diameterMm: number;
  readonly pitchMm: number;
}

const metric = (d: number, p: number): Thread => ({ name: `M${d}`, diameterMm: d, pitchMm: p });
/** Unified numbers n are 0.060 + 0.013·n inch over the thread. */
const unified = (n: number, perInch: number): Thread => ({
  name: `No. ${n}-${perInch}`,
  diameterMm: (0.06 + 0.013 * n) * 25.4,
  pitchMm: 25.4 / perInch,
});
const inch = (name: string, d: number, perInch: number): Thread => ({
  name: `${name}-${perInch}`,
  diameterMm: d * 25.4,
  pitchMm: 25.4 / perInch,
});

/**
 * Threads of knife sizes: metric coarse and unified coarse and fine.
 * @see ISO 261 (metric coarse), ASME B1.1 (unified); pitches from memory.
 */
export const THREADS: readonly Thread[] = [
  metric(2, 0.4),
  metric(2.5, 0.45),
  metric(3, 0.5),
  metric(4, 0.7),
  metric(5, 0.8),
  metric(6, 1),
  metric(8, 1.25),
  metric(10, 1.5),
  unified(2, 56),
  unified(4, 40),
  unified(6, 32),
  unified(8, 32),
  unified(10, 24),
  unified(10, 32),
  inch("1/4", 0.25, 20),
  inch("1/4", 0.25, 28),
  inch("5/16", 0.3125, 18),
  inch("3/8", 0.375, 16),
];
