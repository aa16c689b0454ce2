/** Width of the drawings on the rack, px. */
export const RACK_DRAWING_PX = 760;

/** A name, a weight, two lines of balance and one of its state: a row is no lower before they are there than after, px. */
export const LEAST_PX = 116;
/** The line under a row, px. */
export const RULE_PX = 1;

/** Height of a knife's row without its rule, px; of an unknown knife the least. */
export function rowHeight(
  extent: { readonly yLow: number; readonly yHigh: number } | null,
  pxPerMm: number,
): number {
  return Math.max(LEAST_PX, extent ? (extent.yHigh - extent.yLow) * pxPerMm + 26 : 0);
}
