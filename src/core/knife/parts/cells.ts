import type { Cylinder } from "../../geometry/solids/region";

/** A cut across the handle: its station on the axis and its lean, the top toward the front. */
export interface CutAcross {
  readonly xMm: number;
  readonly tiltDeg: number;
}

/** What shows between two cuts of the handle from the right side. */
export interface Cell {
  readonly id: string;
  readonly material: string;
  readonly front: CutAcross;
  readonly rear: CutAcross;
  /** Hollowed by a wheel into what lies ahead of it. */
  readonly wheel?: Cylinder | null;
  /** Whether a joint along the handle runs through it. */
  readonly parted: boolean;
}

export const upright = (xMm: number): CutAcross => ({ xMm, tiltDeg: 0 });
