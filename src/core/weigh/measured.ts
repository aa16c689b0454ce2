import type { PartKey } from "../assembly/partKey";

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
