import * as z from "zod";
import { fill, materialId, meshPlace, mm, printed, roundness } from "./fields";

/** Plates across the tang, the front face of the first on the datum. */
export const guard = z.strictObject({
  /** Front to back. */
  plates: z
    .array(z.strictObject({ material: materialId, thicknessMm: mm(0.3, 60), printed }))
    .min(1)
    .max(6),
  /** How far it stands over and under the axis. */
  aboveMm: mm(1, 150),
  belowMm: mm(1, 150),
  widthMm: mm(1, 120),
  /** 0 is a rectangle from the front, 1 an oval; for arms it has no meaning. */
  roundness,
  /** Half height of the middle, which stays flat for the handle and as wide as the guard. */
  bossMm: mm(1, 150),
  /** Width of the arms at their ends; null is one oval or rectangle. */
  armWidthMm: mm(0.5, 120).nullable(),
  /** How far the ends lean forward (+) or back (−). */
  sweepAboveMm: mm(-80, 80),
  sweepBelowMm: mm(-80, 80),
  /** Thickness at the ends as a share of that in the middle. */
  endShare: z.number().min(0.1).max(2),
  /** How far the front face's rim lies behind its middle. */
  domeMm: mm(0, 20),
  /** A round bite out of the lower end for the index finger. */
  notch: z.strictObject({ radiusMm: mm(1, 60), depthMm: mm(0.5, 60) }).nullable(),
  /** Room round a hidden tang. */
  slot: z.strictObject({ clearanceMm: mm(0, 5), fill }),
  /** A ring behind it that the handle's front stands in. */
  collar: z.strictObject({ lengthMm: mm(0.5, 60), wallMm: mm(0.2, 20), material: materialId }).nullable(),
  /** Two register pins along the axis, half in the guard. */
  dowels: z
    .strictObject({
      diameterMm: mm(0.5, 10),
      lengthMm: mm(1, 60),
      spreadMm: mm(1, 150),
      material: materialId,
    })
    .nullable(),
  /** An imported shape in place of the plates' own; the first plate's material and printing hold. */
  mesh: meshPlace.nullable(),
});

export type Guard = z.infer<typeof guard>;
