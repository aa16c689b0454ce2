import { remembered } from "../../base/record/remembered";
import { SAME_PLACE_MM } from "../../base/tolerances";
import { joined } from "../../geometry/contours/clip";
import { circleLoop, flattened } from "../../geometry/contours/loop";
import type { Point } from "../../geometry/curve/bezier";
import { ROD_ROOM_MM } from "../../kinds/tangEnds/nutted";
import { endKindOf } from "../../kinds/tangEnds/registry";
import type { Design } from "../../knife/design/schema";
import type { PartKey } from "../../knife/parts/partKey";
import type { EndFace } from "../../knife/parts/workpiece";
import { takenAt } from "../pieces/outlines";
import { pieceList } from "../pieces/pieceList";

/** What is open in one face of a piece for a hidden tang, or for its rod behind the tang's end. */
export interface Opening {
  /** Its middle over the axis. */
  readonly yMm: number;
  readonly heightMm: number;
  readonly thicknessMm: number;
  /** Round, where nothing but a rod goes through it. */
  readonly roundMm: number | null;
  /** Seen from the front, x to the right of a holder: outer lines run counter-clockwise. */
  readonly outline: readonly (readonly Point[])[];
}

/** The openings in one piece behind the guard: at its front, where the tang comes in, and at its rear. */
export interface PieceOpening {
  readonly key: PartKey;
  readonly id: string;
  /** Its place in the stack, from 1. */
  readonly number: number;
  readonly front: Opening;
  readonly rear: Opening | null;
}

/** Chords of a round opening lie within this of it, mm. */
const CHORD_MM = 0.001;

/**
 * What the tang, what holds its end and the hole round both take of a face, as it is weighed; for a rod with room to slide.
 * Null where nothing goes into it.
 */
export function openingAt(design: Design, end: EndFace): Opening | null {
  const { tang } = design;
  if (tang.kind !== "hidden") return null;
  const taken = takenAt(design, end);
  if (taken.length === 0) return null;
  const behind = end.stationAt(tang.yMm) < -tang.lengthMm + SAME_PLACE_MM;
  const rod = behind ? endKindOf(tang.end).rod(tang.end) : null;
  const round = rod ? rod.diameterMm + ROD_ROOM_MM : null;
  const outline =
    round === null ? taken : joined([...taken, flattened(circleLoop(0, tang.yMm, round / 2), CHORD_MM)]);
  const [xs, ys] = [outline.flat().map((p) => p.x), outline.flat().map((p) => p.y)];
  const [low, high] = [Math.min(...ys), Math.max(...ys)];
  const size = { heightMm: high - low, thicknessMm: Math.max(...xs) - Math.min(...xs) };
  const isRound = round !== null && Math.max(size.heightMm, size.thicknessMm) < round + CHORD_MM;
  return { yMm: (low + high) / 2, ...size, roundMm: isRound ? round : null, outline };
}

/** The openings of every piece of a stack that the tang, its rod or what holds it goes into, front first. */
export const pieceOpenings = remembered((design: Design): readonly PieceOpening[] => {
  const behind = pieceList(design).filter((p) => p.key.kind === "piece");
  return behind.flatMap(({ key, id, ends }, i): PieceOpening[] => {
    const front = ends && openingAt(design, ends.front);
    if (!front || key.kind !== "piece") return [];
    return [{ key, id, number: i + 1, front, rear: ends.rear && openingAt(design, ends.rear) }];
  });
});
