import { Work } from "../../base/work";
import type { RawDrawing, RawRun } from "../../geometry/contours/raw";
import type { Point } from "../../geometry/curve/bezier";
import { distanceToChord, enclosedArea, lengthOf } from "../../geometry/curve/crossing";
import { fitCircle } from "./fitCircle";

/** Ends of open runs nearer than this are joined, and lines that lie this near on each other are one, mm. */
export const JOINED_MM = 0.05;
const DOUBLED_MM = 0.02;

/** A closed outline of a drawing, mm, x to the right and y up. */
export interface FoundOutline {
  readonly kind: "outline";
  readonly id: string;
  readonly layer: string;
  readonly points: readonly Point[];
  readonly areaMm2: number;
}

/** A round hole, or another whole circle. */
export interface FoundCircle {
  readonly kind: "circle";
  readonly id: string;
  readonly layer: string;
  readonly x: number;
  readonly y: number;
  readonly radiusMm: number;
}

/** A run that does not close: how far its ends are apart. */
export interface FoundOpen {
  readonly kind: "open";
  readonly id: string;
  readonly layer: string;
  readonly points: readonly Point[];
  readonly gapMm: number;
}

export type Found = FoundOutline | FoundCircle | FoundOpen;

/** What was found in a drawing, the largest outline first, and what was done to find it. */
export interface FoundShapes {
  readonly shapes: readonly Found[];
  /** Lines that lay twice in the drawing. */
  readonly doubled: number;
  /** Open runs that were joined to others, or closed, over a gap of a hair. */
  readonly joined: number;
}

/**
 * What a drawing holds at so many millimetres to its unit. Comparisons and joins are counted before they are done, from
 * `work`; throws `TooMuchWork`.
 */
export function shapesIn(drawing: RawDrawing, mmPerUnit: number, work = new Work()): FoundShapes {
  const runs = drawing.runs.map((r) => scaled(r, mmPerUnit));
  const { kept, doubled } = withoutDoubles(runs, work);
  const closed = kept.filter((r) => r.closed);
  const { runs: made, joined } = joinedRuns(
    kept.filter((r) => !r.closed),
    work,
  );
  const shapes = [...closed, ...made].flatMap((r) => shapeOf(r) ?? []).sort((a, b) => sizeOf(b) - sizeOf(a));
  return { shapes: shapes.map((s, i) => ({ ...s, id: `shape-${i + 1}` })), doubled, joined };
}

const sizeOf = (s: Unnumbered): number =>
  s.kind === "outline" ? s.areaMm2 : s.kind === "circle" ? Math.PI * s.radiusMm ** 2 : 0;

function scaled(run: RawRun, by: number): RawRun {
  const { circle } = run;
  return {
    ...run,
    points: run.points.map((p) => ({ x: p.x * by, y: p.y * by })),
    ...(circle ? { circle: { x: circle.x * by, y: circle.y * by, radius: circle.radius * by } } : {}),
  };
}

const apart = (p: Point, q: Point) => Math.hypot(p.x - q.x, p.y - q.y);

/** A shape before it has its number, which is by size, so that it keeps it when others come or go. */
type Unnumbered = Omit<FoundOutline, "id"> | Omit<FoundCircle, "id"> | Omit<FoundOpen, "id">;

function shapeOf(run: RawRun): Unnumbered | null {
  const { layer } = run;
  if (run.circle) {
    const { x, y, radius } = run.circle;
    return { kind: "circle", layer, x, y, radiusMm: radius };
  }
  const [first, last] = [run.points[0], run.points[run.points.length - 1]];
  const gapMm = apart(first, last);
  if (!run.closed && gapMm > JOINED_MM) return { kind: "open", layer, points: run.points, gapMm };
  // Where its last point stands on its first one, that is one point.
  const points = gapMm <= JOINED_MM && run.points.length > 3 ? run.points.slice(0, -1) : run.points;
  const areaMm2 = enclosedArea(points);
  if (points.length < 3 || !(areaMm2 > 0)) return null;
  const round = fitCircle(points);
  if (round) return { kind: "circle", layer, ...round };
  return { kind: "outline", layer, points, areaMm2 };
}

/** A line with what is needed to compare it with others. */
interface Compared {
  readonly run: RawRun;
  readonly points: readonly Point[];
  readonly lengthMm: number;
}

/** One number of a cell's three. Two cells may share it: what is in them is compared all the same. */
const cellKey = (i: number, k: number, l: number) =>
  (Math.imul(i, 73856093) ^ Math.imul(k, 19349663) ^ Math.imul(l, 83492791)) >>> 0;

/** Lines without those that lie on an earlier one, whichever way they run. */
function withoutDoubles(runs: readonly RawRun[], work: Work): { kept: RawRun[]; doubled: number } {
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

/** An end of an open run. */
interface End {
  readonly run: RawRun;
  readonly at: Point;
  readonly atStart: boolean;
}

/** Ends of runs by the cells of a grid: those near a place are found without looking at the others. */
class Ends {
  private readonly byCell = new Map<number, Set<End>>();
  private readonly of = new Map<RawRun, readonly End[]>();

  constructor(runs: readonly RawRun[]) {
    for (const run of runs) {
      const ends: readonly End[] = [
        { run, at: run.points[0], atStart: true },
        { run, at: run.points[run.points.length - 1], atStart: false },
      ];
      this.of.set(run, ends);
      for (const end of ends) {
        const key = cellOf(end.at, 0, 0);
        const there = this.byCell.get(key);
        if (there) there.add(end);
        else this.byCell.set(key, new Set([end]));
      }
    }
  }

  /** Takes a run out; false where it was out already. */
  take(run: RawRun): boolean {
    const ends = this.of.get(run);
    if (!ends) return false;
    this.of.delete(run);
    for (const end of ends) this.byCell.get(cellOf(end.at, 0, 0))?.delete(end);
    return true;
  }

  /** The end nearest to a place, within the distance over which lines are joined. */
  nearest(p: Point, work: Work): End | null {
    let best: End | null = null;
    let least = JOINED_MM;
    for (let di = -1; di <= 1; di++)
      for (let dk = -1; dk <= 1; dk++)
        for (const end of this.byCell.get(cellOf(p, di, dk)) ?? []) {
          work.spend();
          const gap = apart(end.at, p);
          if (gap > least || (best !== null && gap === least)) continue;
          best = end;
          least = gap;
        }
    return best;
  }
}

const cellOf = ({ x, y }: Point, di: number, dk: number) =>
  cellKey(Math.floor(x / JOINED_MM) + di, Math.floor(y / JOINED_MM) + dk, 0);

/** Open runs put together end to end where their ends meet; of several that meet in one place, the nearest two. */
function joinedRuns(open: readonly RawRun[], work: Work): { runs: RawRun[]; joined: number } {
  const ends = new Ends(open.filter((r) => r.points.length > 1));
  const runs: RawRun[] = [];
  let joined = 0;
  for (const run of open) {
    if (!ends.take(run)) continue;
    const first = run.points[0];
    const last = run.points[run.points.length - 1];
    let count = run.points.length;
    /** Pieces that follow a place, each in the order in which it is run through; `far` is the chain's other end. */
    const chain = (from: Point, far: Point) => {
      const pieces: (readonly Point[])[] = [];
      let at = from;
      while (!(apart(at, far) <= JOINED_MM && count > 2)) {
        const next = ends.nearest(at, work);
        if (!next) break;
        ends.take(next.run);
        work.spend(next.run.points.length);
        pieces.push(next.atStart ? next.run.points : [...next.run.points].reverse());
        at = pieces[pieces.length - 1][next.run.points.length - 1];
        count += next.run.points.length - 1;
        joined++;
      }
      return { pieces, end: at };
    };
    // On from its end, then on from its beginning, until nothing follows.
    const ahead = chain(last, first);
    const behind = chain(first, ahead.end);
    const points = [
      ...behind.pieces.flatMap((piece) => piece.slice(1)).reverse(),
      ...run.points,
      ...ahead.pieces.flatMap((piece) => piece.slice(1)),
    ];
    // What had something before it was turned round to be gone on with.
    points.reverse();
    const closed = points.length > 2 && apart(points[0], points[points.length - 1]) <= JOINED_MM;
    runs.push({ layer: run.layer, points: closed ? points.slice(0, -1) : points, closed });
  }
  return { runs, joined };
}
