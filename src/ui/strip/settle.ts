import { clamp } from "@/core/base/number";
/** Where the beam's rest stands and how fast it moves: mm, mm/s. */
export interface Resting {
  readonly atMm: number;
  readonly speedMmS: number;
}

/** Natural frequency of the settling, 1/s, and its damping as a share of critical: it swings past once, a little. */
const OMEGA = 14;
const DAMPING = 0.7;
/** Nearer and slower than this it has settled. */
const STILL_MM = 0.02;
const STILL_MM_S = 0.2;
/** Longer steps are cut into such ones, s: a stalled frame must not throw it off. */
const STEP_S = 1 / 120;
const LONGEST_S = 0.25;

/**
 * Moves the beam's rest toward the balance point for so many seconds, as a damped spring (semi-implicit Euler). Gives
 * the balance point itself back once it has settled there, and at once for anything that is not a number.
 */
export function settle(from: Resting, balanceMm: number, seconds: number): Resting {
  let { atMm, speedMmS } = from;
  if (!Number.isFinite(atMm) || !Number.isFinite(speedMmS)) return { atMm: balanceMm, speedMmS: 0 };
  for (let left = Math.min(LONGEST_S, seconds); left > 0; left -= STEP_S) {
    const dt = Math.min(STEP_S, left);
    speedMmS += (OMEGA * OMEGA * (balanceMm - atMm) - 2 * DAMPING * OMEGA * speedMmS) * dt;
    atMm += speedMmS * dt;
  }
  const still = Math.abs(balanceMm - atMm) < STILL_MM && Math.abs(speedMmS) < STILL_MM_S;
  return still ? { atMm: balanceMm, speedMmS: 0 } : { atMm, speedMmS };
}

/** Whether the beam is level and at rest. */
export function settled({ atMm, speedMmS }: Resting, balanceMm: number): boolean {
  return atMm === balanceMm && speedMmS === 0;
}

const STEEPEST_DEG = 5;
const DEG_PER_MM = 0.6;

/** How far the beam tips while its rest is not yet under the balance point; + dips toward the tip. */
export function tipDeg({ atMm }: Resting, balanceMm: number): number {
  return clamp((balanceMm - atMm) * DEG_PER_MM, -STEEPEST_DEG, STEEPEST_DEG);
}
