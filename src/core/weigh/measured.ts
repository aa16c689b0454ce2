import type { PartKey } from "../assembly/partKey";
import type { MeasuredBlade } from "../design/schema";

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
