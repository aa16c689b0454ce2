import { radians } from "../../base/number";
import { remembered } from "../../base/record/remembered";
import { signedArea, straightLoop } from "../../geometry/contours/loop";
import type { Point } from "../../geometry/curve/bezier";
import { assemble } from "../../knife/assembly/assemble";
import { assembleBare } from "../../knife/assembly/bareBlade";
import type { Design } from "../../knife/design/schema";
import { layoutOf } from "../../knife/layout/layout";
import type { EndFace, StationsAt, Workpiece } from "../../knife/parts/workpiece";
import { bareBladeOf } from "../../knife/starts/starts";
import { frontOutline } from "./frontOutline";
import { blankPiece, pieceList } from "./pieceList";
import { type Group, sideOutlines } from "./sideOutline";
import { facesOf, solidsOf, undrilled } from "./undrilled";

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
  const flat = pieceList(design).filter((p) => p.across === null && p.key.kind !== "blade");
  const groups = flat.flatMap((p): Group[] => {
    const leastMm = filmOver(design, p);
    return [{ parts: p.parts, leastMm }, ...(p.leftParts ? [{ parts: p.leftParts, leastMm }] : [])];
  });
  const seen = sideOutlines(solidsOf(design), groups, layoutOf(design).plainBody).map(withoutCrumbs);
  const found = new Map<string, PieceOutline>();
  let next = 0;
  for (const p of flat) found.set(p.id, { outlines: seen[next++], left: p.leftParts ? seen[next++] : null });
  for (const p of pieceList(design)) {
    if (!p.across) continue;
    const { stationsAt, tiltDeg } = p.across;
    const face = (parts: readonly string[]) =>
      frontOutline(facesOf(design), parts, stationsAt, 1 / Math.cos(radians(tiltDeg)));
    found.set(p.id, { outlines: face(p.parts), left: p.leftParts && face(p.leftParts) });
  }
  return found;
});

/** A film over a shaped half, or beside a tang in the sheet that it is let into, that is thinner is ground away with the rest, mm. */
const FILM_MM = 0.5;

/** What is parted from a piece, by a notch or beside a shaped half, is waste where it is smaller than this share of it. */
const CRUMB_SHARE = 5e-3;

function withoutCrumbs(outlines: readonly Point[][]): Point[][] {
  const areas = outlines.map((o) => signedArea(straightLoop(o)));
  // Openings have areas below zero.
  return outlines.filter((_, i) => areas[i] < 0 || areas[i] > CRUMB_SHARE * Math.max(...areas));
}

function filmOver({ handle }: Design, { key }: Workpiece): number {
  // Marked out on its side, a guard's plate is the sheet between two others.
  if (key.kind === "guard") return FILM_MM;
  const covers = key.kind === "scale" || key.kind === "lower" || key.kind === "lengthwise-sheet";
  return covers && handle.kind === "scales" && handle.halves.length > 0 ? FILM_MM : 0;
}

/** The outline of blade and tang in one: whether they are made here or are in the hand. */
export const blankOutline = remembered((design: Design): readonly (readonly Point[])[] => {
  const bare = undrilled(assembleBare(bareBladeOf(design)), design);
  return withoutCrumbs(sideOutlines(bare, [{ parts: blankPiece(design).parts, leastMm: 0 }], null)[0]);
});

/** The outline of a piece between two stations, such as one disc of a stack. */
export function faceOutline(design: Design, { parts, across }: Workpiece, stationsAt: StationsAt): Point[][] {
  const longer = 1 / Math.cos(radians(across?.tiltDeg ?? 0));
  return frontOutline(facesOf(design), parts, stationsAt, longer);
}

/** The front or the rear face of a piece along the tang, seen from the front; whole, without what goes into it. */
export function endOutline(design: Design, { parts }: Workpiece, { stationAt, tiltDeg }: EndFace): Point[][] {
  return frontOutline(facesOf(design), parts, (y) => [stationAt(y)], 1 / Math.cos(radians(tiltDeg)));
}

/** What the tang, what holds its end and the hole round both take of such a face. */
export function takenAt(design: Design, { stationAt, tiltDeg }: EndFace): Point[][] {
  const { regions, parts } = assemble(design);
  const takes = parts.filter(({ key }) =>
    key.kind === "tang-end" ? key.component !== "cap" : key.kind === "tang" || key.kind === "tang-hole",
  );
  const ids = takes.map((p) => p.id);
  return frontOutline({ regions, parts: takes }, ids, (y) => [stationAt(y)], 1 / Math.cos(radians(tiltDeg)));
}
