/** The value, or the nearer end where it lies outside; NaN stays NaN. */
export function clamp(value: number, low: number, high: number): number {
  return Math.max(low, Math.min(high, value));
}

/** Rounded to so many decimals. */
export function roundTo(value: number, decimals: number): number {
  const scale = 10 ** decimals;
  return Math.round(value * scale) / scale;
}

/** Degrees as radians. */
export const radians = (degrees: number) => (degrees * Math.PI) / 180;
/** Radians as degrees. */
export const degrees = (radiansOf: number) => (radiansOf * 180) / Math.PI;
