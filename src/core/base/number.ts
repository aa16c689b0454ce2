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

/** Slack that keeps a value that is a tenth already from being taken to the next, in tenths. */
const TENTH = 1e-6;

/** Up, or down, to a tenth: as sizes are given. */
export const upToTenth = (value: number) => Math.ceil(value * 10 - TENTH) / 10;
export const downToTenth = (value: number) => Math.floor(value * 10 + TENTH) / 10;
