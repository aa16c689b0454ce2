/**
 * Density of water at 0 to 40 °C, g/cm³, every 5 °C. @see CRC Handbook of Chemistry and Physics, "Properties of water",
 * from memory.
 */
const BY_5_C = [0.9998, 1.0, 0.9997, 0.9991, 0.9982, 0.997, 0.9956, 0.994, 0.9922] as const;

/** Density of water at a temperature of 0 to 40 °C, g/cm³, along straight lines; outside, that of the nearer end. */
export function waterGcc(atC: number): number {
  const at = Math.max(0, Math.min(BY_5_C.length - 1, atC / 5));
  const i = Math.min(BY_5_C.length - 2, Math.floor(at));
  return BY_5_C[i] + (at - i) * (BY_5_C[i + 1] - BY_5_C[i]);
}
