import { TooMuchWork, Work } from "../../../base/work";
import {
  DEEPEST,
  type DrawingReading,
  LARGEST_DRAWING_BYTES,
  MOST_POINTS,
  type RawRun,
} from "../../../geometry/contours/raw";
import { type Affine, after, likeScale, through } from "../../../geometry/curve/affine";
import { type Point, straight } from "../../../geometry/curve/bezier";
import { polyline } from "../../../geometry/curve/crossing";
import { ellipticalArc } from "./arc";
import { type Element, elementsOf } from "./elements";
import { numbersIn } from "./numbers";
import { type Segment, segmentsOf } from "./pathData";
import { transformOf } from "./transform";
import { userUnits } from "./units";

/** What has no lines of its own, or is only drawn where something refers to it. */
const UNDRAWN = [
  "defs",
  "symbol",
  "clipPath",
  "mask",
  "marker",
  "pattern",
  "linearGradient",
  "radialGradient",
  "filter",
];
const SILENT = ["title", "desc", "metadata", "namedview", "style"];
const GROUPS = ["svg", "g", "a", "switch"];

/** Chords to a curve of a path. */
const CHORDS = 32;
/** What reading a straight piece of a path costs, beside a place that is only moved. */
const SEGMENT = 4;
/** What a chord of an arc costs: it takes a sine and a cosine. */
const ARC_CHORD = 2;
/** A whole turn's chords. */
const ROUND_CHORDS = 360;

/**
 * Reads the lines of an SVG file. Nothing in it is run, and nothing that it refers to is fetched: scripts, pictures and
 * writing are passed over and counted. What it asks for is counted before it is done, from `work`.
 */
export function readSvg(bytes: Uint8Array, work = new Work()): DrawingReading {
  if (bytes.byteLength > LARGEST_DRAWING_BYTES)
    return { ok: false, code: "too-large", bytes: bytes.byteLength, most: LARGEST_DRAWING_BYTES };
  try {
    const root = elementsOf(new TextDecoder().decode(bytes));
    if (root?.name !== "svg") return { ok: false, code: "not-a-drawing", format: "SVG" };
    const reader = new ShapeReader(root, work);
    const { mmPerUnit, stretch } = userUnits(root.attributes);
    // Heights run downward in the file.
    reader.readChildren(root, [1, 0, 0, -stretch, 0, 0], "", 0);
    const { runs } = reader;
    const passedOver = Object.fromEntries(reader.passedOver);
    if (runs.length === 0) return { ok: false, code: "no-lines", passedOver };
    return { ok: true, drawing: { runs, mmPerUnit, passedOver } };
  } catch (error) {
    if (error instanceof TooMuchWork) return { ok: false, code: "too-much", most: MOST_POINTS };
    throw error;
  }
}

const number = (text: string | undefined, otherwise = 0): number => {
  const value = Number.parseFloat(text ?? "");
  return Number.isFinite(value) ? value : otherwise;
};

const isHidden = ({ display, visibility, style = "" }: Element["attributes"]): boolean =>
  display === "none" || visibility === "hidden" || /display\s*:\s*none|visibility\s*:\s*hidden/.test(style);

class ShapeReader {
  readonly runs: RawRun[] = [];
  readonly passedOver = new Map<string, number>();
  private points = 0;
  private readonly byId = new Map<string, Element>();

  constructor(
    root: Element,
    private readonly work: Work,
  ) {
    for (const waiting = [root]; waiting.length > 0; ) {
      const e = waiting.pop()!;
      if (e.attributes.id && !this.byId.has(e.attributes.id)) this.byId.set(e.attributes.id, e);
      for (let i = e.children.length - 1; i >= 0; i--) waiting.push(e.children[i]);
    }
  }

  readChildren(of: Element, map: Affine, layer: string, depth: number): void {
    for (const child of of.children) {
      this.work.spend();
      this.read(child, map, layer, depth);
    }
  }

  private read(e: Element, outer: Affine, layer: string, depth: number): void {
    const { name, attributes: a } = e;
    if (SILENT.includes(name) || UNDRAWN.includes(name) || isHidden(a)) return;
    if (depth > DEEPEST * 4) {
      this.pass(name);
      return;
    }
    this.work.spend((a.transform?.length ?? 0) / 100);
    const map = after(outer, transformOf(a.transform));
    if (GROUPS.includes(name)) {
      const inner: Affine = name === "svg" ? after(map, [1, 0, 0, 1, number(a.x), number(a.y)]) : map;
      this.readChildren(e, inner, a.label ?? a.id ?? layer, depth + 1);
    } else if (name === "use") this.readUse(a, map, layer, depth);
    else this.readShape(e, map, layer);
  }

  private readUse(a: Element["attributes"], map: Affine, layer: string, depth: number): void {
    const target = (a.href ?? "").startsWith("#") ? this.byId.get((a.href ?? "").slice(1)) : undefined;
    if (!target || depth > DEEPEST) {
      this.pass("use");
      return;
    }
    const at = after(map, [1, 0, 0, 1, number(a.x), number(a.y)]);
    if (target.name === "symbol") this.readChildren(target, at, layer, depth + 1);
    else this.read(target, at, layer, depth + 1);
  }

  private readShape({ name, attributes: a }: Element, map: Affine, layer: string): void {
    const own = a.id ?? layer;
    switch (name) {
      case "path":
        this.readPath(a.d ?? "", map, own);
        break;
      case "line":
        this.put(own, map, [point(a.x1, a.y1), point(a.x2, a.y2)], false);
        break;
      case "polyline":
      case "polygon":
        this.work.spend((a.points?.length ?? 0) / 4);
        this.put(own, map, pointsOf(a.points ?? ""), name === "polygon");
        break;
      case "rect":
        this.readRect(a, map, own);
        break;
      case "circle":
        this.readRound(point(a.cx, a.cy), number(a.r), number(a.r), map, own);
        break;
      case "ellipse":
        this.readRound(point(a.cx, a.cy), number(a.rx), number(a.ry), map, own);
        break;
      default:
        this.pass(name);
        break;
    }
  }

  private pass(name: string): void {
    this.passedOver.set(name, (this.passedOver.get(name) ?? 0) + 1);
  }

  private put(layer: string, map: Affine, points: readonly Point[], closed: boolean): void {
    const moved = points
      .map((p) => through(map, p))
      .filter((p) => Number.isFinite(p.x) && Number.isFinite(p.y));
    if (moved.length < 2) return;
    this.points += moved.length;
    if (this.points > MOST_POINTS) throw new TooMuchWork();
    this.runs.push({ layer, points: moved, closed });
  }

  private readRound(centre: Point, rx: number, ry: number, map: Affine, layer: string): void {
    if (!(rx > 0 && ry > 0)) return;
    this.work.spend(ROUND_CHORDS);
    const points = Array.from({ length: ROUND_CHORDS }, (_, i) => {
      const t = (2 * Math.PI * i) / ROUND_CHORDS;
      return { x: centre.x + rx * Math.cos(t), y: centre.y + ry * Math.sin(t) };
    });
    this.put(layer, map, points, true);
    const scale = rx === ry ? likeScale(map) : null;
    const last = this.runs.length - 1;
    if (scale !== null)
      this.runs[last] = { ...this.runs[last], circle: { ...through(map, centre), radius: rx * scale } };
  }

  private readRect(a: Element["attributes"], map: Affine, layer: string): void {
    const [x, y, w, h] = [number(a.x), number(a.y), number(a.width), number(a.height)];
    if (!(w > 0 && h > 0)) return;
    // A radius that is left out is the other one's.
    const rx = Math.min(number(a.rx ?? a.ry), w / 2);
    const ry = Math.min(number(a.ry ?? a.rx), h / 2);
    const d =
      rx > 0 && ry > 0
        ? `M${x + rx} ${y}H${x + w - rx}A${rx} ${ry} 0 0 1 ${x + w} ${y + ry}V${y + h - ry}A${rx} ${ry} 0 0 1 ${x + w - rx} ${y + h}H${x + rx}A${rx} ${ry} 0 0 1 ${x} ${y + h - ry}V${y + ry}A${rx} ${ry} 0 0 1 ${x + rx} ${y}Z`
        : `M${x} ${y}H${x + w}V${y + h}H${x}Z`;
    this.readPath(d, map, layer);
  }

  private readPath(d: string, map: Affine, layer: string): void {
    let points: Point[] = [];
    const done = (closed: boolean) => {
      this.put(layer, map, points, closed);
      points = [];
    };
    // Looking at it is work as well: one path may be used many times.
    this.work.spend(d.length / 100);
    let from: Point = { x: 0, y: 0 };
    for (const segment of segmentsOf(d)) {
      const { kind, n } = segment;
      this.work.spend(kind === "C" || kind === "Q" ? CHORDS : SEGMENT);
      if (kind === "M") {
        done(false);
        from = { x: n[0], y: n[1] };
        points = [from];
      } else if (kind === "Z") {
        // What follows goes on from where the outline began.
        if (points.length > 0) [from] = points;
        done(true);
      } else {
        if (points.length === 0) points = [from];
        const along = alongSegment(segment, from);
        if (kind === "A") this.work.spend(ARC_CHORD * along.length);
        for (const p of along) points.push(p);
        from = points[points.length - 1];
      }
    }
    done(false);
  }
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

const point = (x: string | undefined, y: string | undefined): Point => ({ x: number(x), y: number(y) });

function pointsOf(text: string): Point[] {
  const n = numbersIn(text);
  return Array.from({ length: Math.floor(n.length / 2) }, (_, i) => ({ x: n[2 * i], y: n[2 * i + 1] }));
}
