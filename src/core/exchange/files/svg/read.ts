import { own } from "../../../base/own";
import { TooMuchWork, Work } from "../../../base/work";
import {
  DEEPEST,
  type DrawingDoubt,
  type DrawingReading,
  LARGEST_DRAWING_BYTES,
  MOST_POINTS,
  type RawRun,
  type Unseen,
} from "../../../geometry/contours/raw";
import {
  type Affine,
  after,
  likeScale,
  SAME,
  shifted,
  stretched,
  through,
} from "../../../geometry/curve/affine";
import type { Point } from "../../../geometry/curve/bezier";
import { Counts } from "../counts";
import { type Element, elementsOf } from "./elements";
import { type Figure, figureOf, SHAPES } from "./figures";
import { lengthIn, type Viewport } from "./lengths";
import { NotUnderstood } from "./notUnderstood";
import { isLight, type Painted, type Property, paintedBy, seenOf, UNTOUCHED, undrawn } from "./seen";
import { Styles } from "./styles";
import { styledTransform, transformOf } from "./transform";
import { outermostOf, type ViewBox, viewBoxMap, viewBoxOf } from "./viewport";

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
const ANIMATIONS = ["animate", "animateTransform", "animateMotion", "set"];

/** What reading a transform costs by its letters. */
const TRANSFORM_LETTER = 0.01;
/** What asking whether a place is seen through a window costs. */
const WINDOW_PLACE = 0.2;
/** A page's colour passes its page by no more than this share of it. */
const PAGE_SHARE = 1e-3;

/**
 * Reads the lines of an SVG file that are seen, where a browser draws them. Nothing in it is run, and nothing that it refers
 * to is fetched: scripts, pictures and writing are passed over and counted. What it asks for is counted before it is done,
 * from `work`.
 */
export function readSvg(bytes: Uint8Array, work = new Work()): DrawingReading {
  if (bytes.byteLength > LARGEST_DRAWING_BYTES)
    return { ok: false, code: "too-large", bytes: bytes.byteLength, most: LARGEST_DRAWING_BYTES };
  try {
    const root = elementsOf(new TextDecoder().decode(bytes));
    if (root?.name !== "svg") return { ok: false, code: "not-a-drawing", format: "SVG" };
    return new ShapeReader(root, work).drawing();
  } catch (error) {
    if (error instanceof TooMuchWork) return { ok: false, code: "too-much", most: MOST_POINTS };
    if (error instanceof NotUnderstood) return { ok: false, code: "not-understood", what: error.what };
    throw error;
  }
}

/** What an element stands in. */
interface Place {
  readonly map: Affine;
  readonly layer: string;
  readonly depth: number;
  readonly viewport: Viewport;
  readonly painted: Painted;
  /** Windows that hide what lies outside them, by their corners in the drawing. */
  readonly windows: readonly (readonly Point[])[];
}

class ShapeReader {
  private readonly runs: RawRun[] = [];
  private readonly passedOver = new Counts<string>();
  private readonly unseen = new Counts<Unseen>();
  private readonly doubts = new Counts<DrawingDoubt>();
  private points = 0;
  private readonly byId = new Map<string, Element>();
  private readonly styles: Styles;
  private page: readonly Point[] | null = null;

  constructor(
    private readonly root: Element,
    private readonly work: Work,
  ) {
    for (const waiting = [root]; waiting.length > 0; ) {
      const e = waiting.pop()!;
      if (e.attributes.id && !this.byId.has(e.attributes.id)) this.byId.set(e.attributes.id, e);
      for (let i = e.children.length - 1; i >= 0; i--) waiting.push(e.children[i]);
    }
    this.styles = new Styles(root, this.passedOver, work);
  }

  drawing(): DrawingReading {
    const { root } = this;
    const property = this.propertyOf(root);
    const sized = { width: property("width"), height: property("height") };
    const { mmPerUnit, stretch, viewport, shown } = outermostOf({ ...root.attributes, ...sized });
    // Heights run downward in the file.
    const upright = stretched(1, -stretch);
    const map = after(upright, this.mapOf(root, viewport));
    const hides = shown && !isOpen(property("overflow"));
    this.page = shown && cornersOf(shown, map);
    this.readInto(root, {
      map,
      layer: "",
      depth: 0,
      viewport,
      painted: paintedBy(property, UNTOUCHED),
      windows: hides && this.page ? [this.page] : [],
    });
    const [passedOver, unseen] = [this.passedOver.all(), this.unseen.all()];
    if (this.runs.length === 0) return { ok: false, code: "no-lines", passedOver, unseen };
    return {
      ok: true,
      drawing: { runs: this.runs, mmPerUnit, passedOver, unseen, doubts: this.doubts.all() },
    };
  }

  private propertyOf(e: Element): Property {
    const declared = this.styles.of(e);
    return (name) => declared.get(name) ?? own(e.attributes, name);
  }

  private mapOf(e: Element, viewport: Viewport): Affine {
    this.work.spend((e.attributes.transform?.length ?? 0) * TRANSFORM_LETTER);
    return styledTransform(this.styles.of(e), e.attributes, viewport) ?? transformOf(e.attributes.transform);
  }

  /** Reads the children of an element that is drawn; those of a choice, the first that holds. */
  private readInto(of: Element, place: Place): void {
    const children = of.name === "switch" ? of.children.filter(isChosen).slice(0, 1) : of.children;
    for (const child of children) {
      this.work.spend();
      this.read(child, place);
    }
  }

  private read(e: Element, outer: Place): void {
    const { name, attributes: a } = e;
    if (SILENT.includes(name) || UNDRAWN.includes(name)) return;
    if (ANIMATIONS.includes(name)) {
      this.doubts.add("animated");
      return;
    }
    const property = this.propertyOf(e);
    const hidden = undrawn(property);
    if (hidden) {
      this.unseen.add(hidden, this.shapesUnder(e));
      return;
    }
    if (outer.depth > DEEPEST * 4) {
      this.passedOver.add(name);
      return;
    }
    if (isSaid(property("clip-path")) || isSaid(property("mask"))) this.doubts.add("cut-away");
    if (isSaid(property("animation")) || isSaid(property("animation-name"))) this.doubts.add("animated");
    const place: Place = {
      ...outer,
      map: after(outer.map, this.mapOf(e, outer.viewport)),
      depth: outer.depth + 1,
      painted: paintedBy(property, outer.painted),
    };
    if (GROUPS.includes(name)) {
      const layer = a.label ?? a.id ?? outer.layer;
      if (name === "svg") this.readWindow(e, { ...place, layer }, property, property);
      else this.readInto(e, { ...place, layer });
    } else if (name === "use") this.readUse(e, place, property);
    else if (SHAPES.includes(name)) this.readShape(e, { ...place, layer: a.id ?? outer.layer }, property);
    else this.passedOver.add(name);
  }

  private readUse(e: Element, place: Place, property: Property): void {
    const href = e.attributes.href ?? "";
    const target = href.startsWith("#") ? this.byId.get(href.slice(1)) : undefined;
    if (!target || place.depth > DEEPEST + 1) {
      this.passedOver.add("use");
      return;
    }
    const { viewport } = place;
    const at = shifted(lengthIn(property("x"), "x", viewport), lengthIn(property("y"), "y", viewport));
    const there: Place = { ...place, map: after(place.map, at) };
    if (target.name !== "symbol" && target.name !== "svg") {
      this.read(target, there);
      return;
    }
    const own = this.propertyOf(target);
    const hidden = undrawn(own);
    if (hidden) {
      this.unseen.add(hidden, this.shapesUnder(target));
      return;
    }
    // What refers to it says how large it is, else it does itself.
    const sized: Property = (name) =>
      name === "width" || name === "height" ? (property(name) ?? own(name)) : own(name);
    const map = after(there.map, this.mapOf(target, viewport));
    this.readWindow(target, { ...there, map, painted: paintedBy(own, there.painted) }, sized, own);
  }

  /** Reads what stands in a window of its own size and coordinates. */
  private readWindow(e: Element, place: Place, sized: Property, own: Property): void {
    const { viewport } = place;
    const [x, y] = [lengthIn(own("x"), "x", viewport), lengthIn(own("y"), "y", viewport)];
    const width = lengthIn(sized("width") ?? "100%", "x", viewport);
    const height = lengthIn(sized("height") ?? "100%", "y", viewport);
    const box = viewBoxOf(e.attributes.viewBox);
    if (!(width > 0 && height > 0) || (box && !(box.width > 0 && box.height > 0))) {
      this.unseen.add("outside-page", this.shapesUnder(e));
      return;
    }
    const room = after(place.map, shifted(x, y));
    const inner = box ? viewBoxMap(box, { width, height }, e.attributes.preserveAspectRatio) : SAME;
    const corners = cornersOf({ x: 0, y: 0, width, height }, room);
    this.readInto(e, {
      ...place,
      map: after(room, inner),
      viewport: box ?? { width, height },
      windows: isOpen(own("overflow")) ? place.windows : [...place.windows, corners],
    });
  }

  private readShape(e: Element, place: Place, property: Property): void {
    const seen = seenOf(place.painted);
    if (typeof seen === "string") {
      this.unseen.add(seen);
      return;
    }
    // An area that is filled and not stroked is seen closed, whether its line is or not.
    const filled = seen.fill && !seen.stroke && e.name !== "line" && place.painted.isFillSaid;
    for (const figure of figureOf(e.name, property, place.viewport, this.work))
      this.put(figure, place, filled);
  }

  private put(figure: Figure, { layer, map, windows, painted }: Place, filled: boolean): void {
    const points = figure.points
      .map((p) => through(map, p))
      .filter((p) => Number.isFinite(p.x) && Number.isFinite(p.y));
    if (points.length < 2) return;
    this.work.spend(WINDOW_PLACE * points.length * windows.length);
    const within = windows.map((corners) => points.filter((p) => isWithin(corners, p)).length);
    if (within.includes(0)) {
      this.unseen.add("outside-page");
      return;
    }
    if (within.some((n) => n < points.length)) this.doubts.add("cut-away");
    this.points += points.length;
    if (this.points > MOST_POINTS) throw new TooMuchWork();
    const closed = figure.closed || (filled && points.length > 2);
    const scale = figure.circle ? likeScale(map) : null;
    const circle =
      figure.circle && scale !== null
        ? { ...through(map, figure.circle), radius: figure.circle.radius * scale }
        : null;
    const isPage = filled && isLight(painted.fill) && this.page !== null && covers(points, this.page);
    this.runs.push({ layer, points, closed, ...(circle ? { circle } : {}), ...(isPage ? { isPage } : {}) });
  }

  /** How many lines an element would draw. */
  private shapesUnder(e: Element): number {
    let count = 0;
    for (const waiting = [e]; waiting.length > 0; ) {
      const next = waiting.pop()!;
      this.work.spend();
      if (SHAPES.includes(next.name) || next.name === "use") count++;
      waiting.push(...next.children);
    }
    return count;
  }
}

/** Whether a property says anything but that there is none. */
const isSaid = (value: string | undefined): boolean =>
  value !== undefined && value.trim() !== "" && value.trim() !== "none";

const isOpen = (overflow: string | undefined): boolean => overflow === "visible" || overflow === "auto";

/** Whether a child of a choice may be the one: it asks for nothing, or for a language that is read here. */
const isChosen = ({ name, attributes: a }: Element): boolean =>
  !SILENT.includes(name) &&
  !a.requiredExtensions?.trim() &&
  (a.systemLanguage === undefined || a.systemLanguage.split(",").some((l) => /^en\b/.test(l.trim())));

const cornersOf = ({ x, y, width, height }: ViewBox, map: Affine): Point[] =>
  [
    { x, y },
    { x: x + width, y },
    { x: x + width, y: y + height },
    { x, y: y + height },
  ].map((p) => through(map, p));

/** Whether a place lies in a window, or on its border. */
function isWithin(corners: readonly Point[], p: Point): boolean {
  let [left, right] = [false, false];
  const size = Math.abs(corners[2].x - corners[0].x) + Math.abs(corners[2].y - corners[0].y);
  corners.forEach((a, i) => {
    const b = corners[(i + 1) % corners.length];
    const side = (b.x - a.x) * (p.y - a.y) - (b.y - a.y) * (p.x - a.x);
    const off = PAGE_SHARE * size * Math.hypot(b.x - a.x, b.y - a.y);
    if (side > off) left = true;
    if (side < -off) right = true;
  });
  return !(left && right);
}

/** Whether a rectangle is a page: nothing of the page lies outside it. */
const covers = (points: readonly Point[], page: readonly Point[]): boolean =>
  points.length <= 5 && points.length >= 4 && page.every((corner) => isWithin(points.slice(0, 4), corner));
