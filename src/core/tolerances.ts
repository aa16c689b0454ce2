/** Two stations closer than this are one: far below any dimension that can be cut, far above rounding. */
export const SAME_STATION_MM = 1e-7;

/** Parametric roots are found to this fraction of a curve's own parameter. */
export const CURVE_PARAMETER = 1e-13;

/** Roundness under this draws a flat-sided section; the superellipse exponent would be past 40. */
export const FLAT_ROUNDNESS = 0.05;
