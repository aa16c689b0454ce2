import { MaxRectsPacker } from "maxrects-packer/dist/maxrects-packer.mjs";
import { circleLoop, flattened, type Loop } from "../contours/loop";
import type { Point } from "../curve/bezier";
import { cross, type Figure, type Item, moved } from "./item";
import { roomOf } from "./page";
import type { PaperSetup } from "./paper";

/** How far two tiles of a large figure show the same, mm: to lay one on the other. */
export const OVERLAP_MM = 12;
/** Half the length of a register cross's strokes, mm. */
const CROSS_MM = 4;
/** Distance between figures on a sheet, mm. */
const GAP_MM = 6;

/** What is written on the tiles of a figure that is larger than a sheet. */
export type TileWords = (
  figure: string,
  column: number,
  row: number,
  columns: number,
  rows: number,
) => string;

export interface NamedFigure extends Figure {
  readonly name: string;
}

/**
 * Figures at their own size on sheets: small ones together, turned by none; larger ones tiled with an overlap, a cross at
 * each corner of it that two sheets share, and where in the figure the tile belongs.
 */
export function laidOut(figures: readonly NamedFigure[], setup: PaperSetup, tileWords: TileWords): Item[][] {
  const room = roomOf(setup);
  const small = figures.filter((f) => f.widthMm <= room.widthMm && f.heightMm <= room.heightMm);
  const large = figures.filter((f) => !small.includes(f));
  return [...large.flatMap((f) => tiles(f, setup, tileWords)), ...packed(small, setup)];
}

function packed(figures: readonly NamedFigure[], setup: PaperSetup): Item[][] {
  const room = roomOf(setup);
  const options = { smart: false, pot: false, square: false, allowRotation: false };
  const packer = new MaxRectsPacker<{ x: number; y: number; width: number; height: number; figure: Figure }>(
    room.widthMm + GAP_MM,
    room.heightMm + GAP_MM,
    0,
    options,
  );
  packer.addArray(
    figures.map((figure) => ({
      x: 0,
      y: 0,
      width: figure.widthMm + GAP_MM,
      height: figure.heightMm + GAP_MM,
      figure,
    })),
  );
  return packer.bins.map((bin) =>
    bin.rects.flatMap(({ x, y, figure }) => figure.items.map((item) => moved(item, room.x + x, room.y + y))),
  );
}

/** Beginnings of tiles along a length, evenly, so that neighbours share at least the overlap. */
export function tileStarts(lengthMm: number, roomMm: number): number[] {
  if (lengthMm <= roomMm) return [0];
  const count = Math.ceil((lengthMm - OVERLAP_MM) / (roomMm - OVERLAP_MM));
  return Array.from({ length: count }, (_, i) => (i * (lengthMm - roomMm)) / (count - 1));
}

/** A tile is written on this high above its lower edge, mm, in the rim that is kept free for it. */
const LABEL_MM = 6;

function tiles(figure: NamedFigure, setup: PaperSetup, tileWords: TileWords): Item[][] {
  const room = roomOf(setup);
  const [w, h] = [room.widthMm, room.heightMm - LABEL_MM];
  const [xs, ys] = [tileStarts(figure.widthMm, w), tileStarts(figure.heightMm, h)];
  return ys.flatMap((y, row) =>
    xs.map((x, column): Item[] => {
      const window = { x0: x, y0: y, x1: x + w, y1: y + h };
      const shown = figure.items.filter((item) => reaches(item, window));
      const marks = crosses(xs, ys, w, h, figure.heightMm).filter(
        (c) =>
          c.x >= window.x0 - 1e-6 &&
          c.x <= window.x1 + 1e-6 &&
          c.y >= window.y0 - 1e-6 &&
          c.y <= window.y1 + 1e-6,
      );
      const label: Item = {
        kind: "text",
        x: room.x,
        y: room.y + room.heightMm - 1,
        text: tileWords(figure.name, column + 1, row + 1, xs.length, ys.length),
        sizeMm: 3.4,
        anchor: "start",
        bold: true,
      };
      return [
        ...shown
          .map((item) => clipped(item, window))
          .filter((i) => i !== null)
          .flat()
          .map((i) => moved(i, room.x - x, room.y - y)),
        ...marks.flatMap(register).map((i) => moved(i, room.x - x, room.y - y)),
        label,
      ];
    }),
  );
}

/** Places that two tiles share: in the middle of each overlap, near its ends. */
function crosses(
  xs: readonly number[],
  ys: readonly number[],
  w: number,
  h: number,
  figureMm: number,
): Point[] {
  const [right, bottom] = [xs[xs.length - 1] + w, ys[ys.length - 1] + h];
  // Clear of a figure that leaves room under it.
  const upper = ys.length === 1 && figureMm + 3 * CROSS_MM < bottom ? figureMm + 2 * CROSS_MM : CROSS_MM + 2;
  const seams = (starts: readonly number[], room: number) =>
    starts.slice(1).map((s, i) => (s + starts[i] + room) / 2);
  return [
    ...seams(xs, w).flatMap((x) => [upper, bottom - CROSS_MM - 2].map((y) => ({ x, y }))),
    ...seams(ys, h).flatMap((y) => [CROSS_MM + 2, right - CROSS_MM - 2].map((x) => ({ x, y }))),
  ];
}

/** A mark that two sheets share. */
const register = (at: Point): Item[] => [
  ...cross(at, CROSS_MM, "mark"),
  { kind: "circle", pen: "mark", ...at, radiusMm: CROSS_MM / 2 },
];

interface Window {
  readonly x0: number;
  readonly y0: number;
  readonly x1: number;
  readonly y1: number;
}

function reaches(item: Item, { x0, y0, x1, y1 }: Window): boolean {
  if (item.kind === "loop" || item.kind === "line") return true;
  const r = item.kind === "circle" ? item.radiusMm : 0;
  return item.x + r >= x0 && item.x - r <= x1 && item.y + r >= y0 && item.y - r <= y1;
}

/** What of an item lies in a window: lines are cut at its rim, so that nothing is drawn over the next sheet's part. */
function clipped(item: Item, window: Window): Item[] | null {
  if (item.kind === "text") return [item];
  const runs =
    item.kind === "line"
      ? [item.points]
      : item.kind === "loop"
        ? [closedChords(item.loop)]
        : [closedChords(circleLoop(item.x, item.y, item.radiusMm))];
  const inside = runs.flatMap((r) => within(r, window));
  const [run] = inside;
  const whole = inside.length === 1 && run.length === runs[0].length && run.every((p, i) => p === runs[0][i]);
  if (whole) return [item];
  return inside.map((points): Item => ({ kind: "line", pen: item.pen, points }));
}

/** Chords of a line that is cut at a sheet's rim lie within this of it, mm. */
const CHORD_MM = 0.005;

function closedChords(loop: Loop): Point[] {
  const chords = flattened(loop, CHORD_MM);
  return [...chords, chords[0]];
}

/** The stretches of a chord line that lie in a window. */
function within(points: readonly Point[], w: Window): Point[][] {
  const runs: Point[][] = [];
  let open: Point[] | null = null;
  for (let i = 1; i < points.length; i++) {
    const cut = chordWithin(points[i - 1], points[i], w);
    if (!cut) {
      open = null;
      continue;
    }
    const [a, b] = cut;
    const last = open?.[open.length - 1];
    if (!open || !last || last.x !== a.x || last.y !== a.y) {
      open = [a];
      runs.push(open);
    }
    open.push(b);
    if (b.x !== points[i].x || b.y !== points[i].y) open = null;
  }
  return runs;
}

/** The part of a chord in a window, or null. @see Liang and Barsky, ACM Trans. Graphics 3 (1984). */
function chordWithin(a: Point, b: Point, { x0, y0, x1, y1 }: Window): readonly [Point, Point] | null {
  const [dx, dy] = [b.x - a.x, b.y - a.y];
  let [t0, t1] = [0, 1];
  for (const [p, q] of [
    [-dx, a.x - x0],
    [dx, x1 - a.x],
    [-dy, a.y - y0],
    [dy, y1 - a.y],
  ]) {
    if (p === 0) {
      if (q < 0) return null;
      continue;
    }
    const t = q / p;
    if (p < 0) t0 = Math.max(t0, t);
    else t1 = Math.min(t1, t);
  }
  if (!(t1 > t0)) return null;
  const at = (t: number): Point => (t === 0 ? a : t === 1 ? b : { x: a.x + t * dx, y: a.y + t * dy });
  return [at(t0), at(t1)];
}
