/** How parts are cut. */
export interface CutSettings {
  /** Width of the cut: outlines are moved out by half of it, openings and holes made as much smaller. */
  readonly kerfMm: number;
  /** Left standing outside outlines, to be ground off; holes and openings stay. */
  readonly allowanceMm: number;
  /** Holes under this diameter are only marked, mm. */
  readonly leastHoleMm: number;
}

export const AS_DRAWN: CutSettings = { kerfMm: 0, allowanceMm: 0, leastHoleMm: 0 };
