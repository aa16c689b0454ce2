/** Width of the drawings on a rack that has room for them, px, and what it leaves to the words beside them. */
const DRAWING_PX = 760;
const WORDS_PX = 430;
/** A rack narrower than this has its words under the drawings, px. */
const STACKED_BELOW_PX = 640;

/** How wide the drawings are on a rack of some width, px, and whether the words stand under them. */
export function drawingsOn(rackPx: number): { readonly drawingPx: number; readonly isStacked: boolean } {
  const isStacked = rackPx < STACKED_BELOW_PX;
  const room = isStacked ? rackPx - 2 : Math.min(DRAWING_PX, rackPx - WORDS_PX);
  return { drawingPx: Math.max(200, Math.round(room)), isStacked };
}

/** A name, a weight, two lines of balance and one of its state: a row is no lower before they are there than after, px. */
export const LEAST_PX = 116;
/** The line under a row, px. */
export const RULE_PX = 1;

/** Height of a knife's row without its rule, px; of an unknown knife the least. */
export function rowHeight(
  extent: { readonly yLow: number; readonly yHigh: number } | null,
  { pxPerMm, isStacked }: { readonly pxPerMm: number; readonly isStacked: boolean },
): number {
  const drawing = drawingHeight(extent, pxPerMm);
  return isStacked ? drawing + LEAST_PX : Math.max(LEAST_PX, drawing);
}

/** Height of a knife's drawing with the mark of its balance under it, px. */
export const drawingHeight = (
  extent: { readonly yLow: number; readonly yHigh: number } | null,
  pxPerMm: number,
): number => (extent ? (extent.yHigh - extent.yLow) * pxPerMm + 26 : 0);
