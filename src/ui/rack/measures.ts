/** Width of the drawings on the rack, px. */
export const RACK_DRAWING_PX = 760;

/** Height of a knife's row, px; of an unknown knife the least. */
export function rowHeight(
  extent: { readonly yLow: number; readonly yHigh: number } | null,
  pxPerMm: number,
): number {
  return Math.max(84, extent ? (extent.yHigh - extent.yLow) * pxPerMm + 26 : 0);
}
