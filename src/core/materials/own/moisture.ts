/** Percent of moisture above which wood does not swell any more, and the volume that it gains up to there for each unit of specific gravity. */
const SATURATED = 30;
const SWELLS = 0.265;
/** Moisture content that densities of dry wood are stated at, percent. */
export const USUAL_MOISTURE = 12;

const belowSaturation = (percent: number) => Math.max(0, SATURATED - percent) / SATURATED;

/**
 * Density at another moisture content of a wood whose density at 12 % is known, both g/cm³: dry mass over the volume
 * at that moisture, and the water on top. @see USDA Wood Handbook, FPL-GTR-282, chapter 4, specific gravity at a moisture
 * content from basic specific gravity, from memory.
 */
export function densityAtMoisture(at12Gcc: number, percent: number): number {
  const dryOverVolume = at12Gcc / (1 + USUAL_MOISTURE / 100);
  const basic = dryOverVolume / (1 + SWELLS * belowSaturation(USUAL_MOISTURE) * dryOverVolume);
  return (basic / (1 - SWELLS * belowSaturation(percent) * basic)) * (1 + percent / 100);
}
