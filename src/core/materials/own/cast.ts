import { type Measure, twoParts } from "../twoPart";
import type { Density } from "../types";
import type { DensityBasis } from "./types";

type Cast = Extract<DensityBasis, { kind: "cast" }>;

export interface CastPlan {
  readonly mouldMm3: number;
  readonly inclusionsMm3: number;
  /** What the mould takes beside the pieces; not above zero where they fill it. */
  readonly resinMm3: number;
  readonly resinG: number;
  /** Of the whole cast. */
  readonly massG: number;
  /** To mix, with what is wasted. */
  readonly partA: Measure;
  readonly partB: Measure;
}

/** What a mould takes with pieces in it, densities being at one end of their ranges or typical. Shrinkage is left out. */
export function castPlan(
  { lengthMm, heightMm, thicknessMm, resin, inclusions, mixing }: Cast,
  end: keyof Density = "typical",
): CastPlan {
  const mouldMm3 = lengthMm * heightMm * thicknessMm;
  const inclusionsMm3 = inclusions.reduce((sum, i) => sum + (1000 * i.massG) / i.densityGcc[end], 0);
  const resinMm3 = mouldMm3 - inclusionsMm3;
  const resinG = (resinMm3 / 1000) * resin.densityGcc[end];
  return {
    mouldMm3,
    inclusionsMm3,
    resinMm3,
    resinG,
    massG: resinG + inclusions.reduce((sum, i) => sum + i.massG, 0),
    ...twoParts(Math.max(0, resinMm3) * (1 + mixing.wasteShare), mixing),
  };
}
