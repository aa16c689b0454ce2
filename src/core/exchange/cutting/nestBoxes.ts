import { MaxRectsPacker, Rectangle } from "maxrects-packer/dist/maxrects-packer.mjs";
import type { Layer } from "../../geometry/contours/drawing";
import { type LaidPiece, onePiece, type Panel, type Wanted } from "./panel";
import { layerBox } from "./place";

/**
 * A box for the packer, which fills in its place and whether it was turned. Of the packer's own kind: whether a plain
 * object may be turned it does not look at.
 */
class Box extends Rectangle {
  constructor(
    width: number,
    height: number,
    mayTurn: boolean,
    readonly layer: Layer,
    readonly name: string,
    /** Handed over on its side already. */
    readonly turned: boolean,
  ) {
    super(width, height, 0, 0, false, mayTurn);
  }
}

/** Pieces laid out by the boxes round them, largest first; each fits on the sheet, if need be on its side. */
export function nestedBoxes(
  wanted: readonly Wanted[],
  { widthMm, heightMm, gapMm, rimMm }: Panel,
): LaidPiece[][] {
  const packer = new MaxRectsPacker<Box>(widthMm, heightMm, gapMm, {
    smart: false,
    pot: false,
    square: false,
    allowRotation: true,
    border: rimMm,
  });
  const [roomW, roomH] = [widthMm - 2 * rimMm, heightMm - 2 * rimMm];
  packer.addArray(
    onePiece(wanted).flatMap(({ layer, mayTurn, name }) => {
      const box = layerBox(layer);
      if (!box) return [];
      const [w, h] = [box.x1 - box.x0, box.y1 - box.y0];
      // One that only fits on its side is handed over so.
      const turned = w > roomW || h > roomH;
      return [new Box(turned ? h : w, turned ? w : h, mayTurn && !turned, layer, name, turned)];
    }),
  );
  return packer.bins.map(({ rects }) =>
    rects.map(({ layer, name, x, y, rot, turned }) => ({
      layer,
      name,
      x,
      y,
      quarters: rot === turned ? 0 : 1,
    })),
  );
}
