import { ROUNDING } from "../../base/tolerances";
import type { Point } from "../curve/bezier";
import type { Bend, Loop } from "./loop";

/** Points nearer than this are one, mm. */
const SAME_MM = 2e-4;
const FULL_TURN = 2 * Math.PI;
/** An arc of one piece turns by less than this, radians. */
const MOST_TURN = (3 / 4) * FULL_TURN;
/** Where the way turns by more than this in one point, pieces end, radians. */
const CORNER = (12 * Math.PI) / 180;

/**
 * A closed run of points as the fewest straight and round pieces, found greedily, that pass no point by more than
 * `withinMm`. Corners stay where they are. Fewer than three points give nothing.
 */
export function fitArcs(points: readonly Point[], withinMm: number): Loop {
  const p = apart(points);
  if (p.length < 3) return [];
  const n = p.length;
  // It begins at the sharpest corner, so that no piece runs over the seam.
  const turns = p.map((_, i) => Math.abs(turnAt(p[(i - 1 + n) % n], p[i], p[(i + 1) % n])));
  const start = turns.indexOf(Math.max(...turns));
  const at = (i: number) => p[(start + i) % n];
  const corners = Array.from({ length: n + 1 }, (_, i) => i === n || turns[(start + i) % n] > CORNER);
  const loop: Bend[] = [];
  let from = 0;
  while (from < n) {
    let limit = from + 1;
    while (limit < n && !corners[limit]) limit++;
    let good = from + 1;
    let bulge = 0;
    // Ever longer pieces by doubling, then the longest by halving.
    let step = 1;
    let bad = limit + 1;
    while (good < limit) {
      const to = Math.min(limit, good + step, bad - 1);
      if (to <= good) break;
      const fits = pieceThrough(at, from, to, withinMm);
      if (fits !== null) {
        good = to;
        bulge = fits;
        step *= 2;
      } else {
        bad = to;
        step = Math.max(1, Math.floor((bad - good) / 2));
      }
      if (bad - good <= 1) break;
    }
    loop.push({ x: at(from).x, y: at(from).y, bulge });
    from = good;
  }
  return loop;
}

/** The points without those that stand on their neighbour. */
function apart(points: readonly Point[]): Point[] {
  const p = points.filter(
    (q, i) => i === 0 || Math.hypot(q.x - points[i - 1].x, q.y - points[i - 1].y) > SAME_MM,
  );
  while (p.length > 1 && Math.hypot(p[0].x - p[p.length - 1].x, p[0].y - p[p.length - 1].y) <= SAME_MM)
    p.pop();
  return p;
}

function turnAt(a: Point, b: Point, c: Point): number {
  const [ux, uy, vx, vy] = [b.x - a.x, b.y - a.y, c.x - b.x, c.y - b.y];
  return Math.atan2(ux * vy - uy * vx, ux * vx + uy * vy);
}

/** The bulge of the piece from one point to another that passes those between within a distance; null where none does. */
function pieceThrough(at: (i: number) => Point, from: number, to: number, withinMm: number): number | null {
  const [a, d] = [at(from), at(to)];
  const chord = Math.hypot(d.x - a.x, d.y - a.y);
  if (!(chord > SAME_MM)) return null;
  const [ux, uy] = [(d.x - a.x) / chord, (d.y - a.y) / chord];
  // In the chord's own frame: along it, and off it to its right, where a left turn bows out to.
  const inFrame = (q: Point) => {
    const [dx, dy] = [q.x - a.x, q.y - a.y];
    return { t: dx * ux + dy * uy, s: dx * uy - dy * ux };
  };
  const local = (i: number) => inFrame(at(i));
  let most = 0;
  let before = 0;
  for (let i = from + 1; i < to; i++) {
    const { t, s } = local(i);
    if (Math.abs(s) > Math.abs(most)) most = s;
    before = Math.max(before, -t, t - chord);
  }
  if (Math.abs(most) <= withinMm && before <= 0) return 0;
  const bulge = (2 * most) / chord;
  const angle = 4 * Math.atan(bulge);
  if (Math.abs(angle) > MOST_TURN) return null;
  const radius = chord / 2 / Math.sin(Math.abs(angle) / 2);
  const centre = { t: chord / 2, s: most - Math.sign(most) * radius };
  let last = 0;
  const isOff = ({ t, s }: { t: number; s: number }) =>
    Math.abs(Math.hypot(t - centre.t, s - centre.s) - radius) > withinMm;
  // The way between two points is straight: in the middle of a long one an arc would stand off it the farthest.
  for (let i = from; i < to; i++) {
    const [p, q] = [at(i), at(i + 1)];
    if (isOff(inFrame({ x: (p.x + q.x) / 2, y: (p.y + q.y) / 2 }))) return null;
  }
  for (let i = from + 1; i < to; i++) {
    const { t, s } = local(i);
    if (isOff({ t, s })) return null;
    // Each point lies farther along the arc than the one before.
    const swept = sweptBy(t, s, centre, angle);
    if (swept < last - SAME_ANGLE || swept > Math.abs(angle) + SAME_ANGLE) return null;
    last = swept;
  }
  return bulge;
}

/** Points that lie this little before another on an arc lie in one place, radians. */
const SAME_ANGLE = 1e-6;

/** How far round the arc, from its beginning, a point lies, radians. A left turn runs clockwise in this frame. */
function sweptBy(t: number, s: number, centre: { t: number; s: number }, angle: number): number {
  const begin = Math.atan2(-centre.s, -centre.t);
  const here = Math.atan2(s - centre.s, t - centre.t);
  const turn = angle > 0 ? begin - here : here - begin;
  const swept = ((turn % FULL_TURN) + FULL_TURN) % FULL_TURN;
  return swept > FULL_TURN - ROUNDING ? 0 : swept;
}
