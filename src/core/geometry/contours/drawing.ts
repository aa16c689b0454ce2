import type { Point } from "../curve/bezier";
import type { Loop } from "./loop";

/** A round hole, mm. */
export interface Circle extends Point {
  readonly radiusMm: number;
}

/** What is drawn of one part: closed outlines, round holes, and centres that are only marked. mm. */
export interface Layer {
  readonly name: string;
  readonly loops: readonly Loop[];
  readonly circles: readonly Circle[];
  readonly centres: readonly Point[];
}

/** A flat drawing in mm, x to the right and y up. */
export interface Drawing {
  readonly layers: readonly Layer[];
}
