import { Work } from "../../base/work";
import type { RawDrawing, RawRun } from "../../geometry/contours/raw";
import type { Point } from "../../geometry/curve/bezier";
import { enclosedArea } from "../../geometry/curve/crossing";
import { withAsides } from "./asides";
import { apart } from "./cells";
import { withoutDoubles } from "./doubles";
import { fitCircle } from "./fitCircle";
import { gapToClose, ROUNDING_MM } from "./gaps";
import { JOINED_MM, joinedRuns } from "./joins";

/** A closed outline of a drawing, mm, x to the right and y up. */
export interface FoundOutline {
  readonly kind: "outline";
  readonly id: string;
  readonly layer: string;
  readonly points: readonly Point[];
  readonly areaMm2: number;
  /** What a drawing lies on or is framed by, and no piece of work: it is proposed after all others. */
  readonly aside?: "page" | "frame";
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

/** The outline that is most likely meant, of shapes in their order: a page or a frame only where no line is left open. */
export function likelyOutline(shapes: readonly Found[]): FoundOutline | null {
  const outlines = shapes.filter((s) => s.kind === "outline");
  const part = outlines.find((o) => !o.aside);
  return part ?? (shapes.some((s) => s.kind === "open") ? null : (outlines[0] ?? null));
}

export type Found = FoundOutline | FoundCircle | FoundOpen;

/** What was found in a drawing, the largest outline first, and what was done to find it. */
export interface FoundShapes {
  readonly shapes: readonly Found[];
  /** Lines that lay twice in the drawing. */
  readonly doubled: number;
  /** Open runs that were joined to others, or closed, over a gap of a hair, or one that was asked to be closed. */
  readonly joined: number;
  /** The widest gap that was closed, mm. */
  readonly widestJoinMm: number;
  /** The widest of the gaps that keep a further outline from closing, mm; null where none of a size to be closed does. */
  readonly gapMm: number | null;
}

/** Shapes that were seen otherwise than in lines: nothing had to be joined. */
export const asFound = (shapes: readonly Found[]): FoundShapes => ({
  shapes,
  doubled: 0,
  joined: 0,
  widestJoinMm: 0,
  gapMm: null,
});

/**
 * What a drawing holds at so many millimetres to its unit, gaps up to `closeMm` closed. Comparisons and joins are counted
 * before they are done, from `work`; throws `TooMuchWork`.
 */
export function shapesIn(
  drawing: RawDrawing,
  mmPerUnit: number,
  work = new Work(),
  closeMm = JOINED_MM,
): FoundShapes {
  const runs = drawing.runs.map((r) => scaled(r, mmPerUnit));
  const { kept, doubled } = withoutDoubles(runs, work);
  const closed = kept.filter((r) => r.closed);
  const open = kept.filter((r) => !r.closed);
  const { runs: made, joined } = joinedRuns(open, Math.max(JOINED_MM, closeMm + ROUNDING_MM), work);
  const shapes = [...closed, ...made.map((m) => m.run)].flatMap((r) => shapeOf(r) ?? []);
  const sorted = withAsides(
    shapes.sort((a, b) => sizeOf(b) - sizeOf(a)),
    work,
  );
  return {
    shapes: sorted.map((s, i) => ({ ...s, id: `shape-${i + 1}` })),
    doubled,
    joined,
    widestJoinMm: made.reduce((most, m) => Math.max(most, m.widestMm), 0),
    gapMm: gapToClose(made.map((m) => m.run).filter((r) => !r.closed)),
  };
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
  return { kind: "outline", layer, points, areaMm2, ...(run.isPage ? { aside: "page" } : {}) };
}
