import type { Assembly } from "../assembly/types";
import { measuredBalanceMm } from "../design/measuredBalance";
import type { Design } from "../design/schema";
import { DEFAULT_FINENESS, type Fineness, integrate } from "./integrate";
import { type Calibration, isOfBlade } from "./measured";
import { type Moments, sumOfMoments } from "./moments";

/**
 * How the measured weight and balance correct blade and tang as drawn, or null for a blade drawn here. The drawing is
 * calibrated as it was weighed: with its holes in it, or before they were drilled, so that no steel is counted twice
 * and what is drilled later is missing from it.
 */
export function calibration(
  design: Design,
  assembly: Assembly,
  moments: readonly Moments[],
  fineness: Fineness = DEFAULT_FINENESS,
): Calibration | null {
  const { measured } = design.blade;
  if (!measured) return null;
  const weighed = assembly.parts.flatMap((p, i) => (isOfBlade(p.key) ? [i] : []));
  const drawn = sumOfMoments(
    measured.holesIn
      ? weighed.map((i) => moments[i])
      : integrate({ regions: assembly.regions, parts: weighed.map((i) => assembly.parts[i]) }, fineness),
  );
  if (!(drawn.v > 0)) return null;
  const balanceMm = measuredBalanceMm(measured);
  return {
    partIds: [...new Set(weighed.map((i) => assembly.parts[i].id))],
    massG: measured.massG,
    balanceMm,
    massOffG: measured.massOffG,
    balanceOffMm: measured.balanceOffMm,
    densityGmm3: measured.massG / drawn.v,
    shiftMm: balanceMm - (drawn.originX + drawn.x / drawn.v),
  };
}
