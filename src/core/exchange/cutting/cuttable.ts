import type { Drawing, Layer } from "../../geometry/contours/drawing";
import type { CutSettings } from "./cutSettings";
import { pieceLayer } from "./pieceLayers";

/** Something that can be sent to a cutter: a piece of a knife, one disc of a stack, or a film. */
export interface Cuttable {
  readonly name: string;
  readonly layer: Layer;
  readonly count: number;
  readonly material: string;
  readonly thicknessMm: number;
  /** A piece with a grain lies along the sheet. */
  readonly mayTurn: boolean;
}

/** A piece as it is cut, with what it is cut from. */
export const cuttableOf = (
  piece: Parameters<typeof pieceLayer>[0],
  settings: CutSettings,
  of: Omit<Cuttable, "name" | "layer">,
): Cuttable => ({ name: piece.name, layer: pieceLayer(piece, settings), ...of });

/** A drawing of one cuttable by itself. */
export const drawingOf = (of: Cuttable): Drawing => ({ layers: [of.layer] });
