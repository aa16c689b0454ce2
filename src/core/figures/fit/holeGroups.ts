import type { Design } from "../../knife/design/schema";
import type { CutKey } from "../../knife/parts/cutKey";
import { piecesWithBlank } from "../pieces/pieceList";
import type { Hole } from "./holes";

/** Holes of one piece, or alike in both of a pair, that are drilled the same way. */
export interface HoleGroup {
  readonly key: CutKey;
  readonly holes: readonly Hole[];
  /** How many there are in one piece. */
  readonly count: number;
}

/** Depths that agree to so many digits of a millimetre are one. */
const DEPTH_DIGITS = 2;

/** A mark for the way that a hole is drilled: what has the same one is drilled alike. */
export const wayOf = ({ use, drilledMm, thread, from, depthMm }: Hole): string =>
  [use, drilledMm, thread, from, depthMm?.toFixed(DEPTH_DIGITS)].join(" ");

/** Every hole by the piece that it is in, blade and tang first, those that are drilled alike together. */
export function holeGroups(design: Design, all: readonly Hole[]): HoleGroup[] {
  return piecesWithBlank(design).flatMap(({ key, id }) => {
    const groups = new Map<string, Hole[]>();
    for (const h of all.filter((o) => o.piece === id)) {
      const way = wayOf(h);
      groups.set(way, [...(groups.get(way) ?? []), h]);
    }
    return [...groups.values()].map((holes): HoleGroup => {
      const left = holes.filter((h) => h.side === "left").length;
      const right = holes.filter((h) => h.side === "right").length;
      const alone = holes.length - left - right;
      return { key, holes, count: alone + Math.max(left, right) };
    });
  });
}
