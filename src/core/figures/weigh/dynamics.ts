import type { MassReport } from "./report";

/** Standard acceleration of free fall, m/s². @see ISO 80000-3. */
const G = 9.80665;

/** What of a weighed knife its motion hangs on. */
export type Weighed = Pick<MassReport, "massG" | "centreMm" | "inertiaGmm2">;

/** How a knife moves about a grip point. mm, g, N·mm, g·mm². */
export interface Dynamics {
  readonly gripMm: number;
  /** Distance from the grip point to the centre of mass. */
  readonly armMm: number;
  /** What the wrist holds up with the knife level: m·g·d; + is nose-heavy. */
  readonly momentNmm: number;
  readonly inertiaBalanceGmm2: number;
  readonly inertiaGripGmm2: number;
  /** Where a blow does not sting the hand, from the datum; null where grip and centre of mass are one. */
  readonly percussionMm: number | null;
  /** Of the centre of mass, over the axis and to the right. */
  readonly heightMm: number;
  readonly sidewaysMm: number;
}

/** Nearer than this the grip point is the centre of mass, mm. */
const SAME_POINT_MM = 1e-6;

/**
 * Moment at the grip m·g·d; inertia about it I_P = I_G + m·d² (parallel axes); centre of percussion q = I_P/(m·d) from
 * the grip, on the far side of the centre of mass. The grip point lies on the axis. All about an axis across the
 * blade. @see any text on rigid bodies.
 */
export function dynamics(report: Weighed, gripMm: number): Dynamics {
  const { massG, centreMm, inertiaGmm2 } = report;
  const [dx, dy] = [centreMm[0] - gripMm, centreMm[1]];
  const armMm = Math.hypot(dx, dy);
  const inertiaGripGmm2 = inertiaGmm2.zz + massG * armMm * armMm;
  const q = massG > 0 && armMm > SAME_POINT_MM ? inertiaGripGmm2 / (massG * armMm) : null;
  return {
    gripMm,
    armMm,
    momentNmm: (massG / 1000) * G * dx,
    inertiaBalanceGmm2: inertiaGmm2.zz,
    inertiaGripGmm2,
    percussionMm: q === null ? null : gripMm + (q * dx) / armMm,
    heightMm: centreMm[1],
    sidewaysMm: centreMm[2],
  };
}

/**
 * Mass that something struck at a station feels, g: 1/(1/m + s²/I_G), s from the centre of mass along the blade.
 */
export function effectiveMass(report: Weighed, xMm: number): number {
  const { massG, centreMm, inertiaGmm2 } = report;
  const s = xMm - centreMm[0];
  if (!(massG > 0) || !(inertiaGmm2.zz > 0)) return 0;
  return 1 / (1 / massG + (s * s) / inertiaGmm2.zz);
}
