import { assemble } from "../assembly/assemble";
import { assembleBare } from "../assembly/bareBlade";
import type { Point } from "../curve/bezier";
import type { Design } from "../design/schema";
import { bareBladeOf } from "../design/starts";
import { layoutOf } from "../layout/layout";
import { remembered } from "../layout/remembered";
import { radians } from "../number";
import { type StationsAt, frontOutline } from "./frontOutline";
import { blankPiece, pieceList, type Workpiece } from "./pieceList";
import { type Group, sideOutlines } from "./sideOutline";
import { undrilled, unpierced } from "./undrilled";

/** What a piece covers on the side that it is marked out on: closed chord lines, outer ones counter-clockwise. */
export interface PieceOutline {
  /** Of a pair, the right one's. */
  readonly outlines: readonly (readonly Point[])[];
  /** The left one's, seen from the right as well; null of what has none. */
  readonly left: readonly (readonly Point[])[] | null;
}

/**
 * The outline of every piece, by its id, read of the parts that are weighed, before anything is drilled in them. From the
 * side x runs toward the tip and y to the spine; from the front x is to the right of a holder.
 */
export const pieceOutlines = remembered((design: Design): ReadonlyMap<string, PieceOutline> => {
  const whole = undrilled(assemble(design), design);
  const flat = pieceList(design).filter((p) => p.across === null && p.key.kind !== "blade");
  const groups = flat.flatMap((p): Group[] => {
    const leastMm = filmOver(design, p);
    return [{ parts: p.parts, leastMm }, ...(p.leftParts ? [{ parts: p.leftParts, leastMm }] : [])];
  });
  const seen = sideOutlines(whole, groups, layoutOf(design).plainBody);
  const found = new Map<string, PieceOutline>();
  let next = 0;
  for (const p of flat)
    found.set(p.id, { outlines: seen[next++], left: p.leftParts ? seen[next++] : null });
  const faces = unpierced(whole);
  for (const p of pieceList(design)) {
    if (!p.across) continue;
    const { stationsAt, tiltDeg } = p.across;
    const face = (parts: readonly string[]) =>
      frontOutline(faces, parts, stationsAt, 1 / Math.cos(radians(tiltDeg)));
    found.set(p.id, { outlines: face(p.parts), left: p.leftParts && face(p.leftParts) });
  }
  return found;
});

/** A film of a scale over a shaped half that is thinner than this is ground away with the rest, mm. */
const FILM_MM = 0.5;

function filmOver({ handle }: Design, { key }: Workpiece): number {
  const covers = key.kind === "scale" || key.kind === "lower" || key.kind === "lengthwise-sheet";
  return covers && handle.kind === "scales" && handle.halves.length > 0 ? FILM_MM : 0;
}

/** The outline of blade and tang in one: whether they are made here or are in the hand. */
export const blankOutline = remembered((design: Design): readonly (readonly Point[])[] => {
  const bare = undrilled(assembleBare(bareBladeOf(design)), design);
  return sideOutlines(bare, [{ parts: blankPiece(design).parts, leastMm: 0 }], null)[0];
});

/** The outline of a piece between two stations, such as one disc of a stack. */
export function faceOutline(design: Design, { parts, across }: Workpiece, stationsAt: StationsAt): Point[][] {
  const longer = 1 / Math.cos(radians(across?.tiltDeg ?? 0));
  return frontOutline(unpierced(undrilled(assemble(design), design)), parts, stationsAt, longer);
}
