import type { PartKey } from "../assembly/partKey";
import type { Assembly } from "../assembly/types";
import type { Design, MeasuredBlade } from "../design/schema";
import { DEFAULT_FINENESS, type Fineness, integrate } from "./integrate";
import { type Moments, sumOfMoments } from "./moments";

/** How a blade in the hand corrects the steel that its drawing gives. */
export interface Calibration {
  /** The parts that were weighed together. */
  readonly partIds: readonly string[];
  /** What it weighed, and where it balanced. */
  readonly massG: number;
  readonly balanceMm: number;
  readonly massOffG: number;
  readonly balanceOffMm: number;
  /** Density that makes the drawing weigh that much, g/mm³. */
  readonly densityGmm3: number;
  /** How far its mass is moved along x to balance there. */
  readonly shiftMm: number;
}

/** Whether a part was on the scale when the blade in the hand was weighed. */
export function isOfBlade({ kind }: PartKey): boolean {
  return kind === "blade" || kind === "tang";
}

/**
 * Balance of a blade from the datum, mm. On two supports the scale under one bears R of the weight m, so it balances
 * R·L/m from the other. Common practice; moments about the resting support.
 */
export function measuredBalanceMm({ balance, massG }: MeasuredBlade): number {
  if (balance.kind === "direct") return balance.xMm;
  return balance.restAtMm + (balance.readingG * (balance.scaleAtMm - balance.restAtMm)) / massG;
}

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
