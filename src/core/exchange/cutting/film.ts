import { signedArea, straightLoop } from "../../geometry/contours/loop";
import type { Point } from "../../geometry/curve/bezier";
import type { BladeMark } from "../../knife/design/schema";
import type { Side } from "../../knife/parts/partKey";

/** What stands for a material that no knife has. */
export const FILM = "stencil-film";

/**
 * The film of one side of the blade, in the knife's frame: openings for its marks, or none where it covers the back. Both
 * sides' films are alike, so that their crosses lie on each other.
 */
export interface Stencil {
  readonly side: Side;
  readonly marks: readonly BladeMark[];
  readonly film: readonly Point[];
  /** What is opened in it; in the other direction what stays inside an opening, and would fall out. */
  readonly openings: readonly (readonly Point[])[];
  readonly crosses: readonly Point[];
  /** The blade's outline under it. */
  readonly blade: readonly (readonly Point[])[];
}

/** Parts of the film that stand free inside letters, and come loose when it is cut. */
export const looseIslands = ({ openings }: Stencil): number =>
  openings.filter((l) => signedArea(straightLoop(l)) < 0).length;
