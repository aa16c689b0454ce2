import type { Work } from "../../base/work";
import type { RawRun } from "../../geometry/contours/raw";
import type { Point } from "../../geometry/curve/bezier";
import { distanceToChord, lengthOf } from "../../geometry/curve/crossing";
import { apart, cellKey } from "./cells";

/** Lines that lie this near on each other are one, mm. */
const DOUBLED_MM = 0.02;

/** A line with what is needed to compare it with others. */
interface Compared {
  readonly run: RawRun;
  readonly points: readonly Point[];
  readonly lengthMm: number;
}

/** Lines without those that lie on an earlier one, whichever way they run. */
export function withoutDoubles(runs: readonly RawRun[], work: Work): { kept: RawRun[]; doubled: number } {
  const kept: RawRun[] = [];
  const byPlace = new Map<number, Compared[]>();
  for (const run of runs) {
    const points = withEnd(run);
    const line: Compared = { run, points, lengthMm: lengthOf(points) };
    work.spend(points.length);
    const place = placeOf(line);
    if (liesOnOne(line, place, byPlace, work)) continue;
    kept.push(run);
    const key = cellKey(...place);
    const others = byPlace.get(key);
    if (others) others.push(line);
    else byPlace.set(key, [line]);
  }
  return { kept, doubled: runs.length - kept.length };
}

type Place = readonly [i: number, k: number, long: number];

/** Whether a line lies on one of those in its cell and the cells round it. */
function liesOnOne(
  line: Compared,
  [i, k, long]: Place,
  byPlace: ReadonlyMap<number, readonly Compared[]>,
  work: Work,
): boolean {
  for (let di = -1; di <= 1; di++)
    for (let dk = -1; dk <= 1; dk++)
      for (let dl = -1; dl <= 1; dl++) {
        const others = byPlace.get(cellKey(i + di, k + dk, long + dl));
        if (others?.some((other) => liesOn(line, other, work))) return true;
      }
  return false;
}

/** Lengths of which one may be the other's within their tolerance lie no farther apart than one on this scale. */
const lengthScale = (mm: number) => 1000 * Math.log1p(mm / (4000 * DOUBLED_MM));

/** The cell of a grid about a line's middle and of its length, so that only lines that may be the same are compared. */
function placeOf({ points, lengthMm }: Compared): Place {
  let [x0, x1, y0, y1] = [Infinity, -Infinity, Infinity, -Infinity];
  for (const { x, y } of points) {
    x0 = Math.min(x0, x);
    x1 = Math.max(x1, x);
    y0 = Math.min(y0, y);
    y1 = Math.max(y1, y);
  }
  const cell = 4 * DOUBLED_MM;
  const middle = (low: number, high: number) => Math.round((low + high) / 2 / cell);
  return [middle(x0, x1), middle(y0, y1), Math.floor(lengthScale(lengthMm))];
}

/** Whether every tenth of a line, by its length, lies on another of about its length. */
function liesOn(a: Compared, b: Compared, work: Work): boolean {
  work.spend();
  if (Math.abs(a.lengthMm - b.lengthMm) > 4 * DOUBLED_MM + 1e-3 * a.lengthMm) return false;
  work.spend(a.points.length);
  return tenths(a.points, a.lengthMm).every((p) => {
    work.spend(b.points.length);
    return distanceTo(b.points, p) < DOUBLED_MM;
  });
}

const withEnd = ({ points, closed }: RawRun): readonly Point[] => (closed ? [...points, points[0]] : points);

function tenths(points: readonly Point[], length: number): Point[] {
  const found = [points[0]];
  let run = 0;
  for (let i = 1; i < points.length; i++) {
    const step = apart(points[i - 1], points[i]);
    while (found.length <= 10 && run + step >= (length * found.length) / 10 - 1e-12 && step > 0) {
      const t = ((length * found.length) / 10 - run) / step;
      found.push({
        x: points[i - 1].x + t * (points[i].x - points[i - 1].x),
        y: points[i - 1].y + t * (points[i].y - points[i - 1].y),
      });
    }
    run += step;
  }
  return found;
}

/** Least distance from a place to a chord line. */
function distanceTo(points: readonly Point[], p: Point): number {
  let least = Number.POSITIVE_INFINITY;
  for (let i = 1; i < points.length; i++)
    least = Math.min(least, distanceToChord(points[i - 1], points[i], p));
  return least;
}
