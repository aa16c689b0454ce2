import { MaxRectsPacker, Rectangle } from "maxrects-packer/dist/maxrects-packer.mjs";
import type { Drawing, Layer } from "../contours/drawing";
import { signedArea } from "../contours/loop";
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

export interface NestedSheet {
  readonly drawing: Drawing;
  /** How much of its area the pieces themselves take. */
  readonly usedShare: number;
}

export interface Nesting {
  readonly sheets: readonly NestedSheet[];
  /** Names of what is larger than a sheet, and is not laid out. */
  readonly tooLarge: readonly string[];
}

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
      const name = count > 1 ? `${layer.name}-${i + 1}` : layer.name;
      return new Box(turned ? h : w, turned ? w : h, mayTurn && !turned, layer, name, turned);
    });
  });
  packer.addArray(rects);
  const sheets = packer.bins.map(
    ({ rects: on }): NestedSheet => ({
      drawing: { layers: on.map((r) => placed(r.layer, { x: r.x, y: r.y }, r.rot !== r.turned, r.name)) },
      usedShare: on.reduce((sum, r) => sum + areaOf(r.layer), 0) / (widthMm * heightMm),
    }),
  );
  return { sheets, tooLarge };
}

/** What a piece covers, its openings left out, mm². */
const areaOf = ({ loops }: Layer) => loops.reduce((sum, l) => sum + signedArea(l), 0);
