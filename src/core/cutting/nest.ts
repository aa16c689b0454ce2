import { MaxRectsPacker } from "maxrects-packer/dist/maxrects-packer.mjs";
import type { Drawing, Layer } from "../contours/drawing";
import { layerBox, placed } from "./place";

/** A piece to lay out: how often, and whether it may be turned (one with a grain may not). */
export interface Wanted {
  readonly layer: Layer;
  readonly count: number;
  readonly mayTurn: boolean;
}

/** The sheet that is cut from, the distance that is kept between pieces, and the rim that is left free, mm. */
export interface StockSheet {
  readonly widthMm: number;
  readonly heightMm: number;
  readonly gapMm: number;
  readonly rimMm: number;
}

export interface Nesting {
  /** One drawing for each sheet that is needed. */
  readonly sheets: readonly Drawing[];
  /** Names of what is larger than a sheet, and is not laid out. */
  readonly tooLarge: readonly string[];
  /** How much of each sheet's area the pieces' boxes take. */
  readonly usedShares: readonly number[];
}

/** A box for the packer, which fills in its place and whether it was turned. */
type Box = {
  x: number;
  y: number;
  width: number;
  height: number;
  rot: boolean;
  allowRotation: boolean;
  layer: Layer;
  /** Handed over on its side already. */
  turned: boolean;
  name: string;
};

/** Pieces laid out on sheets of stock by the boxes round them, largest first; those that may be turned are by a quarter. */
export function nested(wanted: readonly Wanted[], { widthMm, heightMm, gapMm, rimMm }: StockSheet): Nesting {
  const packer = new MaxRectsPacker<Box>(widthMm, heightMm, gapMm, {
    smart: false,
    pot: false,
    square: false,
    allowRotation: true,
    border: rimMm,
  });
  const [roomW, roomH] = [widthMm - 2 * rimMm, heightMm - 2 * rimMm];
  const tooLarge: string[] = [];
  const rects = wanted.flatMap(({ layer, count, mayTurn }) => {
    const box = layerBox(layer);
    if (!box) return [];
    const [w, h] = [box.x1 - box.x0, box.y1 - box.y0];
    const fits = (w <= roomW && h <= roomH) || (mayTurn && h <= roomW && w <= roomH);
    if (!fits) {
      tooLarge.push(layer.name);
      return [];
    }
    return Array.from({ length: count }, (_, i) => {
      // One that only fits on its side is handed over so.
      const turned = w > roomW || h > roomH;
      const rect: Box = {
        x: 0,
        y: 0,
        width: turned ? h : w,
        height: turned ? w : h,
        rot: false,
        allowRotation: mayTurn && !turned,
        layer,
        turned,
        name: count > 1 ? `${layer.name}-${i + 1}` : layer.name,
      };
      return rect;
    });
  });
  packer.addArray(rects);
  const sheets = packer.bins.map(
    ({ rects: on }): Drawing => ({
      layers: on.map((r) => placed(r.layer, { x: r.x, y: r.y }, r.rot !== r.turned, r.name)),
    }),
  );
  const usedShares = packer.bins.map(
    ({ rects: on }) => on.reduce((sum, r) => sum + r.width * r.height, 0) / (widthMm * heightMm),
  );
  return { sheets, tooLarge, usedShares };
}
