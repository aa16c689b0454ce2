import type { TwoPartResin } from "./own/types";

/** Below this most epoxies hardly set, °C. Common practice, no source: cold shops bring the work indoors. */
export const COLDEST_C = 10;

/** One part of a resin: how much to measure out. */
export interface Measure {
  readonly ml: number;
  readonly g: number;
}

/** How much of either part of a resin gives a volume, mm³, by its ratio and densities; what is wasted is not added. */
export function twoParts(
  volumeMm3: number,
  { ratio, by, densityA, densityB }: Omit<TwoPartResin, "wasteShare">,
): { readonly partA: Measure; readonly partB: Measure } {
  const ml = volumeMm3 / 1000;
  const [a, b] = by === "volume" ? [ratio, 1] : [ratio / densityA, 1 / densityB];
  const mlA = ml * (a / (a + b));
  const mlB = ml - mlA;
  return { partA: { ml: mlA, g: mlA * densityA }, partB: { ml: mlB, g: mlB * densityB } };
}
