import type { Layer } from "../../geometry/contours/drawing";
import type { Quarters } from "./place";

/** A piece to lay out: how often, and whether it may be turned on its side (one with a grain may not). */
export interface Wanted {
  readonly layer: Layer;
  readonly count: number;
  readonly mayTurn: boolean;
}

/** The sheet that is cut from, the distance that is kept between pieces, and the rim that is left free, mm. */
export interface Panel {
  readonly widthMm: number;
  readonly heightMm: number;
  readonly gapMm: number;
  readonly rimMm: number;
}

/** One of the wanted, where the lower left corner of its box lies on a sheet, mm, and how it is turned. */
export interface LaidPiece {
  readonly layer: Layer;
  readonly name: string;
  readonly x: number;
  readonly y: number;
  readonly quarters: Quarters;
}

/** What is wanted, one by one, each under its own name. */
export const onePiece = (wanted: readonly Wanted[]) =>
  wanted.flatMap(({ layer, count, mayTurn }) =>
    Array.from({ length: count }, (_, i) => ({
      layer,
      mayTurn,
      name: count > 1 ? `${layer.name}-${i + 1}` : layer.name,
    })),
  );
