import type { Moments } from "./moments";

/** How what is in the hand corrects what its drawing gives. */
export interface Calibration {
  readonly of: "blade" | "knife";
  /** The parts that are corrected: of a finished knife those that take the difference. */
  readonly partIds: readonly string[];
  /** What it weighed, and where it balanced. */
  readonly massG: number;
  readonly balanceMm: number;
  readonly massOffG: number;
  readonly balanceOffMm: number;
  /** Density of the corrected parts, g/mm³, by what their materials give. */
  readonly densityOf: (typicalGmm3: number) => number;
  /** How far their mass is moved along x. */
  readonly shiftMm: number;
  /** Volume (cm³) and its first moment in x of each other material that was on the scale. */
  readonly weighedWith: ReadonlyMap<string, { readonly v: number; readonly x: number }>;
}

/** Centre of some moments along x. */
export function centreX(m: Readonly<Moments>): number {
  return m.v > 0 ? m.originX + m.x / m.v : 0;
}
