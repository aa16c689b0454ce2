import type { Point } from "../../geometry/curve/bezier";
import type { GreyImage } from "./image";
import { shadeAt } from "./image";
import { bentBy, type Lens, lensOf, straightened } from "./lens";
import { inOrder } from "./planeScale";

/** Places along an edge where it is looked for, and how few of them have to agree. */
const PROBES = 60;
const FEWEST = 20;
/** Shares of an edge that are left out at both ends: the corners may be rounded or hidden. */
const ENDS = 0.06;
/** Once an edge is known about, it is looked for this near to that, as a share of the reach; and no nearer than so, px. */
const AGAIN_SHARE = 0.25;
const AGAIN_PX = 5;

/** How a sheet of paper lies in a photo, by its edges. */
export interface SheetSeen {
  /** From the upper left on, clockwise, in the photo's own pixels. */
  readonly corners: readonly Point[];
  /** The lens that makes the edges straight; null where they are that anyhow, or no lens does. */
  readonly lens: Lens | null;
  /** How far the lens bows the edge that it bows most, px; 0 without a lens. */
  readonly lensBowPx: number;
  /** How far each edge that was found is bowed outward when the lens is taken out, px; null of one that was not. */
  readonly bowsPx: readonly (number | null)[];
}

/**
 * A sheet found near where its corners were marked: along each edge the steepest change of shade within `reachPx`, a curve
 * through those places, the lens that makes all of them straight, and the places where neighbouring lines cross. A corner
 * whose edges cannot be found stays where it was marked. Null where no sheet has such corners.
 */
export function sheetSeen(image: GreyImage, marked: readonly Point[], reachPx: number): SheetSeen | null {
  const ordered = inOrder(marked);
  if (!ordered) return null;
  const edges = ordered.map((a, i) => edgePlaces(image, a, ordered[(i + 1) % 4], reachPx));
  const lens = lensThatStraightens(image, edges);
  const straight = (p: Point) => (lens ? straightened(lens, p) : p);
  const flat = edges.map((places) => places.flatMap((p) => straight(p) ?? []));
  const lines = flat.map((places) => (places.length >= FEWEST ? leastSquares(places) : null));
  const corners = ordered.map((corner, i) => {
    const [before, after] = [lines[(i + 3) % 4], lines[i]];
    const met = before && after ? crossing(before, after) : null;
    const drawn = met && lens ? bentBy(lens, met) : met;
    return drawn && Math.hypot(drawn.x - corner.x, drawn.y - corner.y) < 3 * reachPx ? drawn : corner;
  });
  const middle = {
    x: corners.reduce((s, p) => s + p.x, 0) / 4,
    y: corners.reduce((s, p) => s + p.y, 0) / 4,
  };
  const bows = (of: readonly (readonly Point[])[]) =>
    of.map((places) => (places.length >= FEWEST ? bowOf(places, middle) : null));
  const bent = bows(edges);
  return {
    corners,
    lens,
    lensBowPx: lens ? Math.max(...bent.map((b) => Math.abs(b ?? 0))) : 0,
    bowsPx: bows(flat),
  };
}

/** The corners of a sheet found near where they were marked; those that cannot be found stay there. */
export function foundCorners(image: GreyImage, marked: readonly Point[], reachPx: number): Point[] {
  return [...(sheetSeen(image, marked, reachPx)?.corners ?? marked)];
}

/** Places on an edge between two corners: the steepest change of shade at each, without those that lie off the others. */
function edgePlaces(image: GreyImage, a: Point, b: Point, reachPx: number): Point[] {
  const length = Math.hypot(b.x - a.x, b.y - a.y);
  if (!(length > 10)) return [];
  const [ux, uy] = [(b.x - a.x) / length, (b.y - a.y) / length];
  const at = (t: number, s: number): Point => ({ x: a.x + ux * t - uy * s, y: a.y + uy * t + ux * s });
  const shade = (t: number) => (s: number) => {
    const p = at(t, s);
    // Places run through pixels' corners: shades are sampled at their middles.
    return shadeAt(image, p.x - 0.5, p.y - 0.5);
  };
  const probes = Array.from(
    { length: PROBES },
    (_, i) => length * (ENDS + ((1 - 2 * ENDS) * (i + 0.5)) / PROBES),
  );
  const seen = (about: (t: number) => number, within: number) =>
    probes.flatMap((t): Probe[] => {
      const s = steepest(shade(t), about(t), within);
      return s === null ? [] : [{ t: t / length, s }];
    });
  const roughly = curveThrough(seen(() => 0, reachPx));
  if (!roughly) return [];
  const again = seen((t) => heightAt(roughly.curve, t / length), Math.max(AGAIN_PX, AGAIN_SHARE * reachPx));
  const near = curveThrough(again);
  if (!near || near.offPx > Math.max(1, reachPx / 6)) return [];
  return near.kept.map(({ t, s }) => at(t * length, s));
}

/** A place along an edge, as a share of its length, and how far beside the line between its corners, px. */
interface Probe {
  readonly t: number;
  readonly s: number;
}

/** s = c₀ + c₁ t + c₂ t². */
type Curve = readonly [number, number, number];
const heightAt = ([c0, c1, c2]: Curve, t: number) => c0 + t * (c1 + t * c2);

/** A curve of the second degree through most probes: those off by more than three times the middle distance are left out. */
function curveThrough(
  probes: readonly Probe[],
): { readonly curve: Curve; readonly kept: readonly Probe[]; readonly offPx: number } | null {
  let kept = [...probes];
  for (let round = 0; round < 8 && kept.length >= FEWEST; round++) {
    const curve = parabola(kept);
    if (!curve) return null;
    const off = (p: Probe) => Math.abs(p.s - heightAt(curve, p.t));
    const sorted = kept.map(off).sort((p, q) => p - q);
    const middle = sorted[Math.floor(sorted.length / 2)];
    const limit = Math.max(0.3, 3 * middle);
    const next = kept.filter((p) => off(p) <= limit);
    if (next.length === kept.length) return { curve, kept, offPx: middle };
    kept = next;
  }
  return null;
}

/** Least squares of a parabola, by its three normal equations. */
function parabola(probes: readonly Probe[]): Curve | null {
  const sum = (of: (p: Probe) => number) => probes.reduce((all, p) => all + of(p), 0);
  const [m0, m1, m2, m3, m4] = [0, 1, 2, 3, 4].map((n) => sum((p) => p.t ** n));
  const [b0, b1, b2] = [0, 1, 2].map((n) => sum((p) => p.s * p.t ** n));
  const det3 = (...[a, b, c, d, e, f, g, h, i]: number[]) =>
    a * (e * i - f * h) - b * (d * i - f * g) + c * (d * h - e * g);
  const det = det3(m0, m1, m2, m1, m2, m3, m2, m3, m4);
  if (!(Math.abs(det) > 0)) return null;
  return [
    det3(b0, m1, m2, b1, m2, m3, b2, m3, m4) / det,
    det3(m0, b0, m2, m1, b1, m3, m2, b2, m4) / det,
    det3(m0, m1, b0, m1, m2, b1, m2, m3, b2) / det,
  ];
}

/** The darkening that is strongest across an edge within so many pixels of `about`, to half a pixel; null of none to speak of. */
function steepest(shade: (s: number) => number | null, about: number, withinPx: number): number | null {
  let best = { s: 0, change: 12 };
  const change = (s: number): number | null => {
    const [p, q] = [shade(s - 1.5), shade(s + 1.5)];
    return p === null || q === null ? null : Math.abs(q - p);
  };
  for (let s = about - withinPx; s <= about + withinPx; s += 0.5) {
    const by = change(s);
    if (by !== null && by > best.change) best = { s, change: by };
  }
  if (best.change === 12) return null;
  // The middle of the darkening: a parabola through the change there and beside it.
  const [a, b] = [change(best.s - 1), change(best.s + 1)];
  const bend = a === null || b === null ? 0 : a - 2 * best.change + b;
  return bend < 0 ? best.s + ((a ?? 0) - (b ?? 0)) / (2 * bend) : best.s;
}

/** Bends that lenses have, with radii in halves of the diagonal, and how finely they are tried at first. */
const MOST_BEND = 0.25;
const BEND_STEP = 0.01;
/** Edges that lie this near to lines need no lens, px; one is believed that leaves no more than this share of what was off. */
const STRAIGHT_PX = 0.35;
const BELIEVED_SHARE = 0.6;

/** The lens with which all edges come straight at once; null where they are that, or where it does not help much. */
function lensThatStraightens(image: GreyImage, edges: readonly (readonly Point[])[]): Lens | null {
  const found = edges.filter((e) => e.length >= FEWEST);
  // One pair of edges could be a curled sheet as well.
  if (found.length < 3) return null;
  const off = (k: number) => offStraight(found, lensOf(image, k));
  const none = off(0);
  if (none <= STRAIGHT_PX) return null;
  let best = 0;
  for (let k = -MOST_BEND; k <= MOST_BEND; k += BEND_STEP) if (off(k) < off(best)) best = k;
  let [low, high] = [best - BEND_STEP, best + BEND_STEP];
  for (let i = 0; i < 30; i++) {
    const [a, b] = [low + 0.382 * (high - low), low + 0.618 * (high - low)];
    if (off(a) < off(b)) high = b;
    else low = a;
  }
  const k = (low + high) / 2;
  return off(k) <= BELIEVED_SHARE * none ? lensOf(image, k) : null;
}

/** How far places lie off straight edges once a lens is taken out: the root of the mean square, px. */
function offStraight(edges: readonly (readonly Point[])[], lens: Lens): number {
  let [sum, count] = [0, 0];
  for (const edge of edges) {
    const straight = edge.flatMap((p) => straightened(lens, p) ?? []);
    if (straight.length < edge.length) return Infinity;
    const line = leastSquares(straight);
    for (const p of straight) sum += beside(line, p) ** 2;
    count += straight.length;
  }
  return Math.sqrt(sum / count);
}

/** How far an edge bows away from a place inside, px; below 0 towards it. By a parabola along its own line. */
function bowOf(places: readonly Point[], inside: Point): number {
  const line = leastSquares(places);
  const along = (p: Point) => (p.x - line.at.x) * line.along.x + (p.y - line.at.y) * line.along.y;
  const outward = beside(line, inside) > 0 ? -1 : 1;
  const ts = places.map(along);
  const [from, to] = [Math.min(...ts), Math.max(...ts)];
  const curve = parabola(
    places.map((p, i) => ({ t: (ts[i] - from) / (to - from), s: outward * beside(line, p) })),
  );
  // Over its whole length a parabola stands c₂ / 4 over the line between its ends.
  return curve ? -curve[2] / 4 : 0;
}

/** A line by a place on it and its direction. */
interface Line {
  readonly at: Point;
  readonly along: Point;
}

/** How far a place lies to the right of a line as it is looked along, y downward, px. */
const beside = ({ at, along }: Line, p: Point): number => (p.y - at.y) * along.x - (p.x - at.x) * along.y;

function leastSquares(p: readonly Point[]): Line {
  const at = { x: p.reduce((s, q) => s + q.x, 0) / p.length, y: p.reduce((s, q) => s + q.y, 0) / p.length };
  let [xx, xy, yy] = [0, 0, 0];
  for (const q of p) {
    xx += (q.x - at.x) ** 2;
    xy += (q.x - at.x) * (q.y - at.y);
    yy += (q.y - at.y) ** 2;
  }
  const turn = Math.atan2(2 * xy, xx - yy) / 2;
  return { at, along: { x: Math.cos(turn), y: Math.sin(turn) } };
}

function crossing(a: Line, b: Line): Point | null {
  const det = a.along.x * b.along.y - a.along.y * b.along.x;
  if (!(Math.abs(det) > 0.05)) return null;
  const t = ((b.at.x - a.at.x) * b.along.y - (b.at.y - a.at.y) * b.along.x) / det;
  return { x: a.at.x + t * a.along.x, y: a.at.y + t * a.along.y };
}
