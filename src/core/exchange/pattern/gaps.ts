import { TooMuchWork, Work } from "../../base/work";
import { boxOf, straightLoop } from "../../geometry/contours/loop";
import type { RawRun } from "../../geometry/contours/raw";
import { joinedRuns } from "./joins";
import { SHORTEST_MM } from "./sizes";

/** Gaps over this are not offered to be closed: what is drawn there is not known, mm. */
export const MOST_CLOSED_MM = 3;
/** Distances over which ends are tried, mm, ascending. */
const TRIED_MM = [0.1, 0.2, 0.5, 1, 2, MOST_CLOSED_MM];
/** What is tried takes so much work at most; lines that ask for more are told without it. */
const TRIES = 300_000;

/** Under this a length is rounding, mm. */
export const ROUNDING_MM = 1e-6;

/** A gap, rounded up to what is said and typed of it: closed up to that, it is closed. */
export const hundredthUp = (gapMm: number): number => Math.ceil((gapMm - ROUNDING_MM) * 100) / 100;

/** The widest gap that has to be closed for open runs to close into an outline, mm, where it is small; else null. */
export function gapToClose(open: readonly RawRun[]): number | null {
  if (open.length === 0) return null;
  const work = new Work(TRIES);
  try {
    for (const withinMm of TRIED_MM) {
      const closed = joinedRuns(open, withinMm, work).runs.filter(({ run }) => run.closed && isLong(run));
      if (closed.length > 0) return closed.reduce((least, c) => Math.min(least, c.widestMm), withinMm);
    }
  } catch (error) {
    if (!(error instanceof TooMuchWork)) throw error;
  }
  return null;
}

function isLong({ points }: RawRun): boolean {
  const box = boxOf([straightLoop(points)]);
  return box !== null && Math.max(box.x1 - box.x0, box.y1 - box.y0) >= SHORTEST_MM;
}
