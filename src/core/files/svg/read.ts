import svgpath from "svgpath";
import {
  DEEPEST,
  type DrawingReading,
  LARGEST_DRAWING_BYTES,
  MOST_POINTS,
  type RawRun,
} from "../../contours/raw";
import { type Affine, after, likeScale, through } from "../../curve/affine";
import { type Point, straight } from "../../curve/bezier";
import { polyline } from "../../curve/crossing";
import { ellipticalArc } from "./arc";
import { type Element, elementsOf } from "./elements";
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
/** A whole turn's chords. */
const ROUND_CHORDS = 360;

/**
 * Reads the lines of an SVG file. Nothing in it is run, and nothing that it refers to is fetched: scripts, pictures and
 * writing are passed over and counted.
 */
export function readSvg(bytes: Uint8Array): DrawingReading {
  if (bytes.byteLength > LARGEST_DRAWING_BYTES)
    return { ok: false, code: "too-large", bytes: bytes.byteLength, most: LARGEST_DRAWING_BYTES };
  const root = elementsOf(new TextDecoder().decode(bytes));
  if (root === "too-much") return { ok: false, code: "too-much", most: MOST_POINTS };
  if (root?.name !== "svg") return { ok: false, code: "not-a-drawing", format: "svg" };
  const reader = new ShapeReader(root);
  const { mmPerUnit, stretch } = userUnits(root.attributes);
  // Heights run downward in the file.
  reader.readChildren(root, [1, 0, 0, -stretch, 0, 0], "", 0);
  if (reader.points > MOST_POINTS) return { ok: false, code: "too-much", most: MOST_POINTS };
  const { runs, passedOver } = reader;
  if (runs.length === 0) return { ok: false, code: "no-lines", passedOver };
  return { ok: true, drawing: { runs, mmPerUnit, passedOver } };
}

const number = (text: string | undefined, otherwise = 0): number => {
  const value = Number.parseFloat(text ?? "");
  return Number.isFinite(value) ? value : otherwise;
};

const isHidden = ({ display, visibility, style = "" }: Element["attributes"]): boolean =>
  display === "none" || visibility === "hidden" || /display\s*:\s*none|visibility\s*:\s*hidden/.test(style);

class ShapeReader {
  readonly runs: RawRun[] = [];
  readonly passedOver: Record<string, number> = {};
  points = 0;
  private readonly byId = new Map<string, Element>();

  constructor(root: Element) {
    const note = (e: Element) => {
      if (e.attributes.id) this.byId.set(e.attributes.id, e);
      for (const child of e.children) note(child);
    };
    note(root);
  }

  readChildren(of: Element, map: Affine, layer: string, depth: number): void {
    for (const child of of.children) {
      if (this.points > MOST_POINTS) return;
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
    this.passedOver[name] = (this.passedOver[name] ?? 0) + 1;
  }

  private put(layer: string, map: Affine, points: readonly Point[], closed: boolean): void {
    const moved = points
      .map((p) => through(map, p))
      .filter((p) => Number.isFinite(p.x) && Number.isFinite(p.y));
    if (moved.length < 2) return;
    this.points += moved.length;
    this.runs.push({ layer, points: moved, closed });
  }

  private readRound(centre: Point, rx: number, ry: number, map: Affine, layer: string): void {
    if (!(rx > 0 && ry > 0)) return;
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
    svgpath(d)
      .abs()
      .unshort()
      .iterate((segment, _, x, y) => {
        const [kind, ...n] = segment as [string, ...number[]];
        const from = { x, y };
        if (kind === "M") {
          done(false);
          points = [{ x: n[0], y: n[1] }];
          return;
        }
        if (kind === "Z") {
          done(true);
          return;
        }
        if (points.length === 0) points = [from];
        points.push(...alongSegment(kind, n, from));
      });
    done(false);
  }
}

/** Places along a piece of a path, without its beginning. */
function alongSegment(kind: string, n: readonly number[], from: Point): Point[] {
  const to = (x: number, y: number): Point => ({ x, y });
  switch (kind) {
    case "H":
      return [to(n[0], from.y)];
    case "V":
      return [to(from.x, n[0])];
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
  const n = (text.match(/[-+]?(?:\d+\.?\d*|\.\d+)(?:[eE][-+]?\d+)?/g) ?? []).map(Number);
  return Array.from({ length: Math.floor(n.length / 2) }, (_, i) => ({ x: n[2 * i], y: n[2 * i + 1] }));
}
