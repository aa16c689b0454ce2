/** Two stations closer than this are one: far below any dimension that can be cut, far above rounding. */
export const SAME_STATION_MM = 1e-7;

/** Parametric roots are found to this fraction of a curve's own parameter. */
export const CURVE_PARAMETER = 1e-13;

/** Roundness under this draws a flat-sided section; the superellipse exponent would be past 40. */
export const FLAT_ROUNDNESS = 0.05;

/** Slack for rounding where two values that were worked out are compared, in their own unit. */
export const ROUNDING = 1e-9;

/** Places nearer than this are one, and sizes that differ by less are equal, mm: far below what a shop can measure. */
export const SAME_PLACE_MM = 1e-6;

/** How far inside its end a stretch or a curve is read, as a share of it. */
export const INSIDE_SHARE = 1e-6;

/** How far inside its end a shape is cut, mm: at the very end the cut may be empty. */
export const INSIDE_MM = 1e-6;
