import ClipperLib from "clipper-lib";
import type { Point } from "../curve/bezier";

/** Places are kept to a ten-thousandth of a millimetre while outlines are joined. */
const PER_MM = 1e4;
/** How far an outline that is grown may stand inside its true rounded corner, mm. */
const ROUNDING_MM = 0.002;
/** Corners nearer to each other than this are one, mm: a hair at a corner would grow with the outline. */
const SAME_CORNER_MM = 5e-4;
/** Pieces smaller than this are left over from joining, mm². */
const LEAST_MM2 = 1e-3;

type Path = { X: number; Y: number }[];

const inward = (points: readonly Point[]): Path =>
  points.map(({ x, y }) => ({ X: Math.round(x * PER_MM), Y: Math.round(y * PER_MM) }));
const outward = (paths: readonly Path[]): Point[][] =>
  paths
    .filter((p) => Math.abs(ClipperLib.Clipper.Area(p)) > LEAST_MM2 * PER_MM * PER_MM)
    // No minus before a zero.
    .map((p) => p.map(({ X, Y }) => ({ x: X / PER_MM + 0, y: Y / PER_MM + 0 })));

function oriented(path: Path): Path {
  return ClipperLib.Clipper.Orientation(path) ? path : [...path].reverse();
}

/**
 * What several closed chord lines cover together, less what others cover: outer lines run counter-clockwise, holes the
 * other way. Good to 1e-4 mm.
 */
export function joined(
  of: readonly (readonly Point[])[],
  without: readonly (readonly Point[])[] = [],
): Point[][] {
  const clipper = new ClipperLib.Clipper();
  clipper.AddPaths(
    of.map((p) => oriented(inward(p))),
    ClipperLib.PolyType.ptSubject,
    true,
  );
  if (without.length > 0)
    clipper.AddPaths(
      without.map((p) => oriented(inward(p))),
      ClipperLib.PolyType.ptClip,
      true,
    );
  const solution: Path[] = [];
  const { pftNonZero } = ClipperLib.PolyFillType;
  const kind = without.length > 0 ? ClipperLib.ClipType.ctDifference : ClipperLib.ClipType.ctUnion;
  clipper.Execute(kind, solution, pftNonZero, pftNonZero);
  return outward(ClipperLib.Clipper.CleanPolygons(solution, SAME_CORNER_MM * PER_MM));
}

/** What two sets of outlines as `joined` gives them have in common. */
export function common(of: readonly (readonly Point[])[], others: readonly (readonly Point[])[]): Point[][] {
  const clipper = new ClipperLib.Clipper();
  clipper.AddPaths(of.map(inward), ClipperLib.PolyType.ptSubject, true);
  clipper.AddPaths(others.map(inward), ClipperLib.PolyType.ptClip, true);
  const solution: Path[] = [];
  const { pftNonZero } = ClipperLib.PolyFillType;
  clipper.Execute(ClipperLib.ClipType.ctIntersection, solution, pftNonZero, pftNonZero);
  return outward(solution);
}

/** What lies in an odd number of closed chord lines, as outlines as `joined` gives them. */
export const evenOdd = (of: readonly (readonly Point[])[]) => filled(of, ClipperLib.PolyFillType.pftEvenOdd);

/** What closed chord lines run round more often one way than the other, as outlines as `joined` gives them. */
export const nonZero = (of: readonly (readonly Point[])[]) => filled(of, ClipperLib.PolyFillType.pftNonZero);

function filled(of: readonly (readonly Point[])[], rule: number): Point[][] {
  const clipper = new ClipperLib.Clipper();
  clipper.AddPaths(of.map(inward), ClipperLib.PolyType.ptSubject, true);
  const solution: Path[] = [];
  clipper.Execute(ClipperLib.ClipType.ctUnion, solution, rule, rule);
  return outward(ClipperLib.Clipper.CleanPolygons(solution, SAME_CORNER_MM * PER_MM));
}

/** Outlines as `joined` gives them, grown by so much all round, mm, holes made smaller; below zero shrunk. */
export function grown(outlines: readonly (readonly Point[])[], byMm: number): Point[][] {
  if (byMm === 0) return outlines.map((o) => [...o]);
  const offset = new ClipperLib.ClipperOffset(2, ROUNDING_MM * PER_MM);
  offset.AddPaths(outlines.map(inward), ClipperLib.JoinType.jtRound, ClipperLib.EndType.etClosedPolygon);
  const solution: Path[] = [];
  offset.Execute(solution, byMm * PER_MM);
  return outward(solution);
}

/** What a closed line covers while it is moved along all of another: their Minkowski sum, without what stays free inside. */
export function swept(along: readonly Point[], moved: readonly Point[]): Point[][] {
  if (isConvex(along) && isConvex(moved)) return [convexSum(along, moved)];
  const bands = ClipperLib.Clipper.MinkowskiSum(inward(moved), inward(along), true);
  return joined(outward(bands)).filter((l) => ClipperLib.Clipper.Area(inward(l)) > 0);
}

const cross = (o: Point, a: Point, b: Point) => (a.x - o.x) * (b.y - a.y) - (a.y - o.y) * (b.x - a.x);

/** Whether a closed line that runs counter-clockwise turns to the left throughout. */
const isConvex = (line: readonly Point[]): boolean =>
  line.every((a, i) => cross(a, line[(i + 1) % line.length], line[(i + 2) % line.length]) >= 0);

/** The Minkowski sum of two convex lines: their edges in the order of their directions. */
function convexSum(a: readonly Point[], b: readonly Point[]): Point[] {
  const edges = [a, b]
    .flatMap((line) =>
      line.map((p, i) => {
        const q = line[(i + 1) % line.length];
        return { x: q.x - p.x, y: q.y - p.y };
      }),
    )
    // From straight to the right on, as the lowest point's edges run, the leftmost of the lowest first.
    .map((e) => ({ ...e, at: (Math.atan2(e.y, e.x) + 2 * Math.PI) % (2 * Math.PI) }))
    .sort((e, f) => e.at - f.at);
  const lowest = (line: readonly Point[]) =>
    line.reduce((m, p) => (p.y < m.y || (p.y === m.y && p.x < m.x) ? p : m));
  const [p, q] = [lowest(a), lowest(b)];
  let at = { x: p.x + q.x, y: p.y + q.y };
  return edges.map((e) => {
    const from = at;
    at = { x: at.x + e.x, y: at.y + e.y };
    return from;
  });
}
