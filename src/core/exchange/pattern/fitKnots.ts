import { cubicX, cubicY, type Point } from "../../geometry/curve/bezier";
import { distanceToChord, lengthOf } from "../../geometry/curve/crossing";
import { curveThrough, type Knot } from "../../geometry/curve/spline";

/** Few points that a curve runs through, and how far it passes the places that it was to follow, mm. */
export interface FittedCurve {
  readonly knots: readonly Knot[];
  readonly largestDeviationMm: number;
}

export interface FitOptions {
  /** The curve passes no place by more, if so many points can do that. */
  readonly withinMm: number;
  /** Points at the most, both ends included. */
  readonly most: number;
  /** Corners are looked for over this reach: as far as the places are rough. */
  readonly cornerReachMm: number;
}

/** A turn of more than this over the reach is a corner, radians. */
const CORNER = (32 * Math.PI) / 180;
/** Places are looked at no farther apart than this, mm, and so many at most. */
const STEP_MM = 0.5;
const MOST_PLACES = 1600;
/** Chords to a piece of the curve that distances are measured to. */
const CHORDS = 20;

/**
 * The curve through the fewest points, found greedily, that stays within a distance of an open run of places: corners
 * first, then points where it is farthest off, then without those that are not needed. Where `most` do not suffice, the
 * deviation says how far it is off. Fewer than two places give no curve.
 */
export function fitKnots(
  places: readonly Point[],
  { withinMm, most, cornerReachMm }: FitOptions,
): FittedCurve {
  const p = evenly(places);
  if (p.length < 2) return { knots: [], largestDeviationMm: Number.POSITIVE_INFINITY };
  const corners = cornersOf(p, cornerReachMm).slice(0, most - 2);
  const corner = new Set(corners);
  let at = [0, ...[...corners].sort((a, b) => a - b), p.length - 1];
  let off = offsOf(p, at, corner);
  while (at.length < most && worst(off).mm > withinMm) {
    const { piece, place } = worst(off);
    at = [...at.slice(0, piece + 1), place, ...at.slice(piece + 1)];
    off = offsOf(p, at, corner);
  }
  // Without each point that is not needed, until all are.
  const within = Math.max(withinMm, worst(off).mm);
  for (let again = true; again; ) {
    again = false;
    for (let i = 1; i + 1 < at.length; i++) {
      if (corner.has(at[i])) continue;
      const fewer = [...at.slice(0, i), ...at.slice(i + 1)];
      const now = offsOf(p, fewer, corner);
      if (worst(now).mm > within) continue;
      [at, off, again] = [fewer, now, true];
      i--;
    }
  }
  return { knots: knotsOf(p, at, corner), largestDeviationMm: worst(off).mm };
}

const knotsOf = (p: readonly Point[], at: readonly number[], corner: ReadonlySet<number>): Knot[] =>
  at.map((i) => ({ x: p[i].x, y: p[i].y, corner: corner.has(i) || i === 0 || i === p.length - 1 }));

/** The places with more between those that stand far apart, in even steps along the run. */
function evenly(places: readonly Point[]): Point[] {
  const length = lengthOf(places);
  if (!(length > 0)) return [...places].slice(0, 1);
  const step = Math.max(STEP_MM, length / MOST_PLACES);
  return places.flatMap((a, i): Point[] => {
    const b = places[i + 1];
    if (!b) return [a];
    const n = Math.max(1, Math.round(Math.hypot(b.x - a.x, b.y - a.y) / step));
    return Array.from({ length: n }, (_, k) => ({
      x: a.x + ((b.x - a.x) * k) / n,
      y: a.y + ((b.y - a.y) * k) / n,
    }));
  });
}

/** Places where the run turns most over a reach to both sides, each the sharpest within it, the sharpest first. */
function cornersOf(p: readonly Point[], reachMm: number): number[] {
  const run = [0];
  for (let i = 1; i < p.length; i++)
    run.push(run[i - 1] + Math.hypot(p[i].x - p[i - 1].x, p[i].y - p[i - 1].y));
  const turns = p.map((b, i) => {
    let [before, after] = [i, i];
    while (before > 0 && run[i] - run[before] < reachMm) before--;
    while (after < p.length - 1 && run[after] - run[i] < reachMm) after++;
    if (
      before === i ||
      after === i ||
      run[i] - run[0] < reachMm / 2 ||
      run[p.length - 1] - run[i] < reachMm / 2
    )
      return 0;
    const [a, c] = [p[before], p[after]];
    const [ux, uy, vx, vy] = [b.x - a.x, b.y - a.y, c.x - b.x, c.y - b.y];
    return Math.abs(Math.atan2(ux * vy - uy * vx, ux * vx + uy * vy));
  });
  const order = turns.map((_, i) => i).filter((i) => turns[i] > CORNER);
  order.sort((i, k) => turns[k] - turns[i]);
  const found: number[] = [];
  for (const i of order) if (found.every((k) => Math.abs(run[i] - run[k]) > reachMm)) found.push(i);
  return found;
}

/** How far each piece of the curve is off at most, and where. */
interface Off {
  readonly mm: number;
  readonly place: number;
}

function offsOf(p: readonly Point[], at: readonly number[], corner: ReadonlySet<number>): Off[] {
  const cubics = curveThrough(knotsOf(p, at, corner));
  return at.slice(1).map((to, piece): Off => {
    const from = at[piece];
    const cubic = cubics[piece];
    if (!cubic) return { mm: 0, place: from };
    const chords = Array.from({ length: CHORDS + 1 }, (_, k) => ({
      x: cubicX(cubic, k / CHORDS),
      y: cubicY(cubic, k / CHORDS),
    }));
    let best: Off = { mm: 0, place: Math.floor((from + to) / 2) };
    let near = 0;
    for (let i = from + 1; i < to; i++) {
      const found = nearest(chords, p[i], near);
      near = found.chord;
      if (found.mm > best.mm) best = { mm: found.mm, place: i };
    }
    return best;
  });
}

/** Distance from a place to a chord line, looked for from the chord where the place before was nearest. */
function nearest(chords: readonly Point[], q: Point, from: number): { mm: number; chord: number } {
  let best = { mm: Number.POSITIVE_INFINITY, chord: from };
  for (let i = Math.max(0, from - 2); i + 1 < chords.length; i++) {
    const mm = distanceToChord(chords[i], chords[i + 1], q);
    if (mm < best.mm) best = { mm, chord: i };
  }
  return best;
}

function worst(off: readonly Off[]): Off & { piece: number } {
  let piece = 0;
  for (let i = 1; i < off.length; i++) if (off[i].mm > off[piece].mm) piece = i;
  return { ...(off[piece] ?? { mm: 0, place: 0 }), piece };
}
