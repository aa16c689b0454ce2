import { length } from "../record/fields";

/** Fields of a thread by its nominal diameter and pitch. */
export const threadFields = { diameterMm: length(1, 30), pitchMm: length(0.1, 6) } as const;

/**
 * Radius of the plain rod that is as heavy as a thread: half its pitch diameter, d − 0.6495 P, at which flanks gain
 * what grooves lose. @see ISO 68-1, ISO 724.
 */
export function threadRadius({ diameterMm, pitchMm }: { diameterMm: number; pitchMm: number }): number {
  return Math.max(0.1, diameterMm - 0.6495 * pitchMm) / 2;
}
