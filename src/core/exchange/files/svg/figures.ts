import type { Work } from "../../../base/work";
import { type Point, straight } from "../../../geometry/curve/bezier";
import { polyline } from "../../../geometry/curve/crossing";
import { ellipticalArc } from "./arc";
import { type Along, lengthIn, type Viewport } from "./lengths";
import { NotUnderstood } from "./notUnderstood";
import { numbersIn } from "./numbers";
import { type Segment, segmentsOf } from "./pathData";
import type { Property } from "./seen";

/** A line that an element draws, in the coordinates that it stands in. */
export interface Figure {
  readonly points: readonly Point[];
  readonly closed: boolean;
  readonly circle?: { readonly x: number; readonly y: number; readonly radius: number };
}

/** Elements that draw lines. */
export const SHAPES = ["path", "line", "polyline", "polygon", "rect", "circle", "ellipse"];

/** Chords to a curve of a path. */
const CHORDS = 32;
/** What reading a straight piece of a path costs, beside a place that is only moved. */
const SEGMENT = 4;
/** What a chord of an arc costs: it takes a sine and a cosine. */
const ARC_CHORD = 2;
/** A whole turn's chords. */
const ROUND_CHORDS = 360;

/** The lines of an element of `SHAPES`; none of one that browsers draw nothing of. */
export function* figureOf(
  name: string,
  property: Property,
  viewport: Viewport,
  work: Work,
): Generator<Figure> {
  const at = (of: string, along: Along) => lengthIn(property(of), along, viewport);
  switch (name) {
    case "path":
      yield* pathFigures(pathOf(property("d")), work);
      break;
    case "line": {
      const points = [
        { x: at("x1", "x"), y: at("y1", "y") },
        { x: at("x2", "x"), y: at("y2", "y") },
      ];
      yield { points, closed: false };
      break;
    }
    case "polyline":
    case "polygon": {
      const text = property("points") ?? "";
      work.spend(text.length / 4);
      yield { points: pointsOf(text), closed: name === "polygon" };
      break;
    }
    case "rect":
      yield* rectFigures(property, viewport, work);
      break;
    default:
      yield* roundFigures(name === "circle", property, viewport, work);
  }
}

/** Path data, of the attribute or as a style says it. */
function pathOf(text: string | undefined): string {
  const clean = (text ?? "").trim();
  const quotes = ['"', "'"].find((q) => clean.includes(q));
  if (quotes && clean.startsWith("path("))
    return clean.slice(clean.indexOf(quotes) + 1, clean.lastIndexOf(quotes));
  if (/^[a-z]+\(/i.test(clean)) throw new NotUnderstood(`d: ${clean.slice(0, 40)}`);
  return clean === "none" ? "" : clean;
}

function* roundFigures(
  isCircle: boolean,
  property: Property,
  viewport: Viewport,
  work: Work,
): Generator<Figure> {
  const centre = { x: lengthIn(property("cx"), "x", viewport), y: lengthIn(property("cy"), "y", viewport) };
  const none = Number.NaN;
  const r = isCircle ? lengthIn(property("r"), "both", viewport) : none;
  const [a, b] = isCircle
    ? [r, r]
    : [lengthIn(property("rx"), "x", viewport, none), lengthIn(property("ry"), "y", viewport, none)];
  // A radius that is left out is the other one's.
  const [rx, ry] = [Number.isNaN(a) ? b : a, Number.isNaN(b) ? a : b];
  if (!(rx > 0 && ry > 0)) return;
  work.spend(ROUND_CHORDS);
  const points = Array.from({ length: ROUND_CHORDS }, (_, i) => {
    const t = (2 * Math.PI * i) / ROUND_CHORDS;
    return { x: centre.x + rx * Math.cos(t), y: centre.y + ry * Math.sin(t) };
  });
  yield { points, closed: true, ...(rx === ry ? { circle: { ...centre, radius: rx } } : {}) };
}

function* rectFigures(property: Property, viewport: Viewport, work: Work): Generator<Figure> {
  const at = (of: string, along: Along, otherwise = 0) => lengthIn(property(of), along, viewport, otherwise);
  const [x, y, w, h] = [at("x", "x"), at("y", "y"), at("width", "x"), at("height", "y")];
  if (!(w > 0 && h > 0)) return;
  const [a, b] = [at("rx", "x", Number.NaN), at("ry", "y", Number.NaN)];
  // A radius that is left out, or is none, is the other one's.
  const radius = (own: number, other: number, side: number) => {
    const said = [own, other].find((r) => r >= 0) ?? 0;
    return Math.min(said, side / 2);
  };
  const [rx, ry] = [radius(a, b, w), radius(b, a, h)];
  const d =
    rx > 0 && ry > 0
      ? `M${x + rx} ${y}H${x + w - rx}A${rx} ${ry} 0 0 1 ${x + w} ${y + ry}V${y + h - ry}A${rx} ${ry} 0 0 1 ${x + w - rx} ${y + h}H${x + rx}A${rx} ${ry} 0 0 1 ${x} ${y + h - ry}V${y + ry}A${rx} ${ry} 0 0 1 ${x + rx} ${y}Z`
      : `M${x} ${y}H${x + w}V${y + h}H${x}Z`;
  yield* pathFigures(d, work);
}

function* pathFigures(d: string, work: Work): Generator<Figure> {
  // Looking at it is work as well: one path may be used many times.
  work.spend(d.length / 100);
  let points: Point[] = [];
  let from: Point = { x: 0, y: 0 };
  for (const segment of segmentsOf(d)) {
    const { kind, n } = segment;
    work.spend(kind === "C" || kind === "Q" ? CHORDS : SEGMENT);
    if (kind === "M") {
      yield { points, closed: false };
      from = { x: n[0], y: n[1] };
      points = [from];
    } else if (kind === "Z") {
      // What follows goes on from where the outline began.
      if (points.length > 0) [from] = points;
      yield { points, closed: true };
      points = [];
    } else {
      if (points.length === 0) points = [from];
      const along = alongSegment(segment, from);
      if (kind === "A") work.spend(ARC_CHORD * along.length);
      for (const p of along) points.push(p);
      from = points[points.length - 1];
    }
  }
  yield { points, closed: false };
}

/** Places along a piece of a path, without its beginning. */
function alongSegment({ kind, n }: Segment, from: Point): Point[] {
  const to = (x: number, y: number): Point => ({ x, y });
  switch (kind) {
    case "C": {
      const cubic = { a: from, b: to(n[0], n[1]), c: to(n[2], n[3]), d: to(n[4], n[5]) };
      return polyline([cubic], CHORDS).slice(1);
    }
    case "Q": {
      const [q, d] = [to(n[0], n[1]), to(n[2], n[3])];
      const third = (p: Point): Point => ({ x: (p.x + 2 * q.x) / 3, y: (p.y + 2 * q.y) / 3 });
      return polyline([{ a: from, b: third(from), c: third(d), d }], CHORDS).slice(1);
    }
    case "A":
      return ellipticalArc(from, n, ROUND_CHORDS);
    default:
      return [straight(from, to(n[0], n[1])).d];
  }
}

function pointsOf(text: string): Point[] {
  const n = numbersIn(text);
  return Array.from({ length: Math.floor(n.length / 2) }, (_, i) => ({ x: n[2 * i], y: n[2 * i + 1] }));
}
