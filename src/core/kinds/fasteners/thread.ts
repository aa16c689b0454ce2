import { roundTo, upToTenth } from "../../base/number";
import { length } from "../../base/record/fields";
import { screwSizes } from "../../base/units/screws";
import type { Thread } from "../../base/units/threads";
import { overCorners } from "./seated";

/** Fields of a thread by its nominal diameter and pitch. */
export const threadFields = { diameterMm: length(1, 30), pitchMm: length(0.1, 6) } as const;

interface Threaded {
  readonly diameterMm: number;
  readonly pitchMm: number;
}

/**
 * Radius of the plain rod that is as heavy as a thread: half its pitch diameter, d − 0.6495 P, at which flanks gain
 * what grooves lose. @see ISO 68-1, ISO 724.
 */
export function threadRadius({ diameterMm, pitchMm }: Threaded): number {
  return Math.max(0.1, diameterMm - 0.6495 * pitchMm) / 2;
}

/** A pitch of half the diameter and more leaves no rod between its grooves: pairs of the smaller and the larger size. */
export function sizesOfThread({ diameterMm, pitchMm }: Threaded): [number, number][] {
  return [[2 * pitchMm, diameterMm]];
}

/** Head, key and counterbore of a socket head screw, by their fields, mm; null where the tables have none. */
export function socketHeadSizes(thread: Thread) {
  const sizes = screwSizes(thread);
  if (!sizes) return null;
  return {
    headMm: roundTo(sizes.headMm, 3),
    headLengthMm: roundTo(sizes.headLengthMm, 3),
    socketMm: roundTo(sizes.keyMm, 3),
    // A quarter millimetre all round lets the head in. Common practice, no source.
    counterboreMm: upToTenth(sizes.headMm + 0.5),
  };
}

/** A hexagonal nut and the counterbore that lets it in over its corners, by their fields, mm; null where the tables have none. */
export function hexNutSizes(thread: Thread) {
  const sizes = screwSizes(thread);
  if (!sizes) return null;
  return {
    nutAcrossMm: roundTo(sizes.nutAcrossMm, 3),
    nutLengthMm: roundTo(sizes.nutLengthMm, 3),
    counterboreMm: upToTenth(overCorners(sizes.nutAcrossMm) + 0.1),
  };
}
