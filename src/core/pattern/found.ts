import type { RawDrawing, RawRun } from "../contours/raw";
import type { Point } from "../curve/bezier";
import { distanceToChord, enclosedArea, lengthOf } from "../curve/crossing";
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

/** What a drawing holds at so many millimetres to its unit. */
export function shapesIn(drawing: RawDrawing, mmPerUnit: number): FoundShapes {
  const runs = drawing.runs.map((r) => scaled(r, mmPerUnit));
  const { kept, doubled } = withoutDoubles(runs);
  const closed = kept.filter((r) => r.closed);
  const { runs: made, joined } = joinedRuns(kept.filter((r) => !r.closed));
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

/** Lines without those that lie on an earlier one, whichever way they run. */
function withoutDoubles(runs: readonly RawRun[]): { kept: RawRun[]; doubled: number } {
  const kept: RawRun[] = [];
  const byPlace = new Map<string, RawRun[]>();
  for (const run of runs) {
    const { key, near } = placeOf(run);
    const others = near.flatMap((k) => byPlace.get(k) ?? []);
    if (others.some((o) => liesOn(run, o))) continue;
    kept.push(run);
    byPlace.set(key, [...(byPlace.get(key) ?? []), run]);
  }
  return { kept, doubled: runs.length - kept.length };
}

/** Cells of a grid about a run's middle, so that only neighbours are compared. */
function placeOf({ points }: RawRun): { key: string; near: string[] } {
  let [x0, x1, y0, y1] = [Infinity, -Infinity, Infinity, -Infinity];
  for (const { x, y } of points) {
    [x0, x1] = [Math.min(x0, x), Math.max(x1, x)];
    [y0, y1] = [Math.min(y0, y), Math.max(y1, y)];
  }
  const cell = 4 * DOUBLED_MM;
  const [i, k] = [Math.round((x0 + x1) / 2 / cell), Math.round((y0 + y1) / 2 / cell)];
  const near = [-1, 0, 1].flatMap((di) => [-1, 0, 1].map((dk) => `${i + di} ${k + dk}`));
  return { key: `${i} ${k}`, near };
}

/** Whether every tenth of a line, by its length, lies on another of about its length. */
function liesOn(a: RawRun, b: RawRun): boolean {
  const [pa, pb] = [withEnd(a), withEnd(b)];
  const [la, lb] = [lengthOf(pa), lengthOf(pb)];
  if (Math.abs(la - lb) > 4 * DOUBLED_MM + 1e-3 * la) return false;
  return tenths(pa, la).every((p) => distanceTo(pb, p) < DOUBLED_MM);
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

/** Open runs put together end to end where their ends meet; of several that meet in one place, the nearest two. */
function joinedRuns(open: readonly RawRun[]): { runs: RawRun[]; joined: number } {
  const left = new Set(open.filter((r) => r.points.length > 1));
  const byEnd = new Map<string, Set<RawRun>>();
  const cells = ({ x, y }: Point) => {
    const [i, k] = [Math.floor(x / JOINED_MM), Math.floor(y / JOINED_MM)];
    return [-1, 0, 1].flatMap((di) => [-1, 0, 1].map((dk) => `${i + di} ${k + dk}`));
  };
  const own = ({ x, y }: Point) => `${Math.floor(x / JOINED_MM)} ${Math.floor(y / JOINED_MM)}`;
  const ends = (r: RawRun) => [r.points[0], r.points[r.points.length - 1]];
  for (const run of left)
    for (const end of ends(run)) byEnd.set(own(end), (byEnd.get(own(end)) ?? new Set()).add(run));
  const nextAt = (p: Point): { run: RawRun; atStart: boolean } | null => {
    let best: { run: RawRun; atStart: boolean; gap: number } | null = null;
    for (const cell of cells(p))
      for (const run of byEnd.get(cell) ?? [])
        if (left.has(run))
          ends(run).forEach((end, i) => {
            const gap = apart(end, p);
            if (gap <= JOINED_MM && (best === null || gap < best.gap)) best = { run, atStart: i === 0, gap };
          });
    return best;
  };
  const runs: RawRun[] = [];
  let joined = 0;
  for (const run of open) {
    if (!left.delete(run)) continue;
    let points = [...run.points];
    // On from its end, then on from its beginning, until nothing follows.
    for (const way of [0, 1]) {
      if (way === 1) points.reverse();
      for (;;) {
        const next =
          apart(points[0], points[points.length - 1]) <= JOINED_MM && points.length > 2
            ? null
            : nextAt(points[points.length - 1]);
        if (!next) break;
        left.delete(next.run);
        const more = next.atStart ? next.run.points : [...next.run.points].reverse();
        points = [...points, ...more.slice(1)];
        joined++;
      }
    }
    const closed = points.length > 2 && apart(points[0], points[points.length - 1]) <= JOINED_MM;
    runs.push({ layer: run.layer, points: closed ? points.slice(0, -1) : points, closed });
  }
  return { runs, joined };
}
