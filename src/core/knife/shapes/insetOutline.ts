import { INSIDE_MM, INSIDE_SHARE, SAME_PLACE_MM } from "../../base/tolerances";
import {
  type Cubic,
  cubicDx,
  cubicDy,
  cubicX,
  cubicY,
  type Point,
  straight,
} from "../../geometry/curve/bezier";
import { type Contour, contourOf } from "../../geometry/curve/contour";
import { enclosedArea, polyline } from "../../geometry/curve/crossing";
import { bisect } from "../../geometry/curve/roots";

/** Chords of a segment that distances are measured to, and places along a segment's offset that are looked at. */
const CHORDS = 48;
const LOOKED_AT = 24;
/** Knots of the inner outline stand no farther apart than this turn, in radians, and this length, mm. */
const MOST_TURN = 0.3;
const MOST_STEP_MM = 16;
/** A place is clear of the outline when it is no nearer than the rim, less what chords lie inside their curve, mm. */
const SLACK_MM = 0.004;
/** Smaller hollows are none, mm². */
const LEAST_AREA = 1;

/** A stretch of what runs a rim inside the outline: a segment's offset, or an arc round a corner that looks inward. */
interface Offset {
  at(share: number): Point;
  readonly knots: number;
}

/**
 * The outline that lies `rimMm` inside a handle's, behind the station `fromX`: its points are a rim away from the nearest
 * of the outline's, whose `run` goes from the front at the spine round the butt to the front at the edge. Where a waist
 * parts it, the larger of both; null where the rim leaves nothing.
 */
export function insetOutline(run: readonly Cubic[], rimMm: number, fromX: number): Contour | null {
  const border = polyline(run, CHORDS);
  const clear = ({ x, y }: Point) => x <= fromX && distance(border, x, y) >= rimMm - SLACK_MM;
  const pieces = offsetsOf(run, rimMm).flatMap((o) => clearPieces(o, clear));
  const largest = loopsOf(joined(pieces), fromX)
    .map((cubics) => ({ cubics, area: enclosedArea(polyline(cubics, 4)) }))
    .filter(({ area }) => area > LEAST_AREA)
    .sort((a, b) => b.area - a.area)[0];
  return largest ? contourOf(largest.cubics) : null;
}

function distance(border: readonly Point[], x: number, y: number): number {
  let least = Number.POSITIVE_INFINITY;
  for (let i = 0; i + 1 < border.length; i++) {
    const [a, b] = [border[i], border[i + 1]];
    const [dx, dy] = [b.x - a.x, b.y - a.y];
    const length2 = dx * dx + dy * dy;
    const t = length2 > 0 ? Math.max(0, Math.min(1, ((x - a.x) * dx + (y - a.y) * dy) / length2)) : 0;
    const [ox, oy] = [x - a.x - t * dx, y - a.y - t * dy];
    least = Math.min(least, ox * ox + oy * oy);
  }
  return Math.sqrt(least);
}

/** Direction of a segment at t, as an angle. */
function directionAt(c: Cubic, t: number): number {
  // A hair inside its ends, where a control point may lie on the end itself.
  const inside = Math.max(INSIDE_SHARE, Math.min(1 - INSIDE_SHARE, t));
  return Math.atan2(cubicDy(c, inside), cubicDx(c, inside));
}

function offsetsOf(run: readonly Cubic[], rimMm: number): Offset[] {
  return run.flatMap((c, i): Offset[] => {
    const at = (t: number): Point => {
      // Inward lies to the left of the way round.
      const a = directionAt(c, t) + Math.PI / 2;
      return { x: cubicX(c, t) + rimMm * Math.cos(a), y: cubicY(c, t) + rimMm * Math.sin(a) };
    };
    const turn = Array.from({ length: 8 }, (_, k) =>
      Math.abs(turned(directionAt(c, k / 8), directionAt(c, (k + 1) / 8))),
    ).reduce((a, b) => a + b);
    const length = Math.hypot(c.d.x - c.a.x, c.d.y - c.a.y);
    const own: Offset = { at, knots: Math.ceil(Math.max(turn / MOST_TURN, length / MOST_STEP_MM, 1)) };
    const next = run[i + 1];
    if (!next) return [own];
    const from = directionAt(c, 1);
    const outward = turned(from, directionAt(next, 0));
    // A corner that turns away from the inside leaves a gap, which a circle round it closes.
    if (!(outward < -SAME_PLACE_MM)) return [own];
    const round: Offset = {
      at: (share) => {
        const a = from + outward * share + Math.PI / 2;
        return { x: c.d.x + rimMm * Math.cos(a), y: c.d.y + rimMm * Math.sin(a) };
      },
      knots: Math.ceil(-outward / MOST_TURN),
    };
    return [own, round];
  });
}

/** From one direction to another, the shorter way round. */
function turned(from: number, to: number): number {
  const by = to - from;
  return by - 2 * Math.PI * Math.round(by / (2 * Math.PI));
}

/** The stretches of an offset that are clear, as curves. */
function clearPieces({ at, knots }: Offset, clear: (p: Point) => boolean): Cubic[][] {
  const flags = Array.from({ length: LOOKED_AT + 1 }, (_, i) => clear(at(i / LOOKED_AT)));
  const border = (i: number) =>
    bisect((s) => (clear(at(s)) === flags[i] ? -1 : 1), i / LOOKED_AT, (i + 1) / LOOKED_AT);
  const pieces: Cubic[][] = [];
  let from: number | null = flags[0] ? 0 : null;
  const end = (to: number) => {
    if (from === null) return;
    const n = Math.max(1, Math.ceil(knots * (to - from)));
    const [start, step] = [from, (to - from) / n];
    pieces.push(Array.from({ length: n }, (_, k) => hermite(at, start + k * step, start + (k + 1) * step)));
    from = null;
  };
  for (let i = 0; i < LOOKED_AT; i++) {
    if (flags[i] === flags[i + 1]) continue;
    if (flags[i]) end(border(i));
    else from = border(i);
  }
  end(1);
  return pieces;
}

/** The cubic that leaves and reaches a curve as the curve itself runs there. */
function hermite(at: (s: number) => Point, s0: number, s1: number): Cubic {
  const [a, d] = [at(s0), at(s1)];
  const h = (s1 - s0) * NEARBY;
  const [after, before] = [at(s0 + h), at(s1 - h)];
  const [more, less] = [at(s0 + 2 * h), at(s1 - 2 * h)];
  // A third of the derivative, by three places on the inside of the stretch.
  const toward = (p: Point, q: Point, r: Point, k: "x" | "y") =>
    p[k] + (4 * q[k] - 3 * p[k] - r[k]) / (6 * NEARBY);
  return {
    a,
    b: { x: toward(a, after, more, "x"), y: toward(a, after, more, "y") },
    c: { x: toward(d, before, less, "x"), y: toward(d, before, less, "y") },
    d,
  };
}

/** Places that a derivative is taken from, as a share of the stretch. */
const NEARBY = 1e-3;

/** Pieces that go on where the one before ends, put together. */
function joined(pieces: readonly Cubic[][]): Cubic[][] {
  const runs: Cubic[][] = [];
  for (const piece of pieces) {
    const last = runs[runs.length - 1];
    if (last && apart(endOf(last), piece[0].a) < JOINED_MM) last.push(...piece);
    else runs.push([...piece]);
  }
  return runs;
}

const endOf = (run: readonly Cubic[]) => run[run.length - 1].d;

/** Ends nearer than this are one, mm. */
const JOINED_MM = 1e-4;

const apart = (a: Point, b: Point) => Math.hypot(a.x - b.x, a.y - b.y);

/** Runs followed from end to the nearest beginning until they close, by straight lines where they do not meet. */
function loopsOf(runs: readonly Cubic[][], fromX: number): Cubic[][] {
  const left = new Set(runs);
  const loops: Cubic[][] = [];
  const onFront = (p: Point) => Math.abs(p.x - fromX) < INSIDE_MM * 10;
  for (const first of runs) {
    if (!left.has(first)) continue;
    const loop: Cubic[] = [];
    let at: Cubic[] | undefined = first;
    while (at && left.has(at)) {
      left.delete(at);
      if (loop.length > 0) loop.push(straight(endOf(loop), at[0].a));
      loop.push(...at);
      const end: Point = endOf(at);
      // The front is an upright line from its end at the edge to its beginning at the spine.
      const ways: Cubic[][] = onFront(end) ? runs.filter((r) => onFront(r[0].a)) : [...runs];
      at = ways.sort((p, q) => apart(p[0].a, end) - apart(q[0].a, end))[0];
    }
    loop.push(straight(endOf(loop), loop[0].a));
    loops.push(loop);
  }
  return loops;
}
