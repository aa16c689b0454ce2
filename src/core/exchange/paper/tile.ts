import { MaxRectsPacker } from "maxrects-packer/dist/maxrects-packer.mjs";
import { SAME_PLACE_MM } from "../../base/tolerances";
import { circleLoop, flattened, type Loop } from "../../geometry/contours/loop";
import type { Point } from "../../geometry/curve/bezier";
import { cross, type Figure, type Item, moved } from "./item";
import { roomOf } from "./page";
import type { PaperSetup } from "./paper";

/**
 * How far two tiles of a large figure show the same, mm: their crosses stand that far apart, so that 0.2 mm of pasting is no
 * more than a millimetre at the end of a long blade. At most so large a share of the sheet.
 */
export const OVERLAP_MM = 90;
const OVERLAP_SHARE = 0.4;
/** Half the length of a register cross's strokes, mm. */
const CROSS_MM = 4;
/** Room over a tile for its crosses, and under it for what it is. */
const CROSSES_MM = 2 * CROSS_MM + 3;
const LABEL_MM = 6;
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
 * Figures at their own size on sheets, turned by none; those that are larger are cut into tiles with an overlap, with
 * crosses that two tiles share, and where in the figure each belongs. Tiles and small figures stand together.
 */
export function laidOut(figures: readonly NamedFigure[], setup: PaperSetup, tileWords: TileWords): Item[][] {
  return packed(
    figures.flatMap((f) => (fits(f, setup) ? [f] : tiles(f, setup, tileWords))),
    setup,
  );
}

/** How many cuts run through figures that are larger than a sheet. */
export function cutsThrough(figures: readonly NamedFigure[], setup: PaperSetup): number {
  return figures.reduce((sum, f) => {
    if (fits(f, setup)) return sum;
    const { xs, ys } = startsOf(f, setup);
    return sum + xs.length * ys.length - 1;
  }, 0);
}

/** What stands on a sheet, and which way round that lies. */
export interface LaidSheet {
  readonly items: readonly Item[];
  readonly setup: PaperSetup;
}

/**
 * The same the way round that cuts the fewest figures, and of two the one that takes fewer sheets: all upright, all
 * across, or across what is cut less so and upright what is left.
 */
export function laidOutProposed(
  figures: readonly NamedFigure[],
  setup: PaperSetup,
  tileWords: TileWords,
): LaidSheet[] {
  const [upright, across] = [false, true].map((way) => ({ ...setup, across: way }));
  const cuts = (f: NamedFigure, on: PaperSetup) => cutsThrough([f], on);
  const wide = figures.filter((f) => cuts(f, across) < cuts(f, upright));
  const rest = figures.filter((f) => !wide.includes(f));
  const laid = (of: readonly NamedFigure[], on: PaperSetup) =>
    laidOut(of, on, tileWords).map((items): LaidSheet => ({ items, setup: on }));
  const ways = [
    { sheets: laid(figures, upright), cuts: cutsThrough(figures, upright) },
    { sheets: laid(figures, across), cuts: cutsThrough(figures, across) },
    {
      sheets: [...laid(wide, across), ...laid(rest, upright)],
      cuts: cutsThrough(wide, across) + cutsThrough(rest, upright),
    },
  ];
  return ways.reduce((best, w) =>
    w.cuts < best.cuts || (w.cuts === best.cuts && w.sheets.length < best.sheets.length) ? w : best,
  ).sheets;
}

function fits({ widthMm, heightMm }: Figure, setup: PaperSetup): boolean {
  const room = roomOf(setup, "measured");
  return widthMm <= room.widthMm && heightMm <= room.heightMm;
}

function packed(figures: readonly Figure[], setup: PaperSetup): Item[][] {
  const room = roomOf(setup, "measured");
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
  const overlap = overlapOn(roomMm);
  const count = Math.ceil((lengthMm - overlap) / (roomMm - overlap));
  return Array.from({ length: count }, (_, i) => (i * (lengthMm - roomMm)) / (count - 1));
}

export const overlapOn = (roomMm: number): number => Math.min(OVERLAP_MM, OVERLAP_SHARE * roomMm);

/** Room for a tile on a sheet, and where the tiles of a figure begin. */
function startsOf(figure: Figure, setup: PaperSetup) {
  const room = roomOf(setup, "measured");
  const [w, h] = [room.widthMm, room.heightMm - CROSSES_MM - LABEL_MM];
  return { w, h, xs: tileStarts(figure.widthMm, w), ys: tileStarts(figure.heightMm, h) };
}

function tiles(figure: NamedFigure, setup: PaperSetup, tileWords: TileWords): NamedFigure[] {
  const { w, h, xs, ys } = startsOf(figure, setup);
  const marks = crosses(figure, xs, ys, w, h);
  return ys.flatMap((y, row) =>
    xs.map((x, column): NamedFigure => {
      const window = {
        x0: x,
        y0: y,
        x1: Math.min(x + w, figure.widthMm),
        y1: Math.min(y + h, figure.heightMm),
      };
      const own = marks.filter(
        (c) =>
          c.x >= x - SAME_PLACE_MM &&
          c.x <= window.x1 + SAME_PLACE_MM &&
          c.row <= row &&
          c.row + c.rows > row,
      );
      // No higher than what it shows: strips of a long blade stand over each other on a sheet.
      const [top, bottom] = heightsIn(figure.items, window) ?? [y, y];
      const from = Math.min(top, ...own.map((c) => c.y - CROSS_MM - 1));
      const to = Math.max(bottom, ...own.map((c) => c.y + CROSS_MM + 1));
      const shown = figure.items.filter((item) => reaches(item, { ...window, y0: top, y1: bottom }));
      const label: Item = {
        kind: "text",
        x: 0,
        y: to - from + LABEL_MM - 1.5,
        text: tileWords(figure.name, column + 1, row + 1, xs.length, ys.length),
        sizeMm: 3.4,
        anchor: "start",
        bold: true,
      };
      const items = [
        ...shown.flatMap((item) => clipped(item, { ...window, y0: top, y1: bottom }) ?? []),
        ...own.flatMap(register),
      ].map((i) => moved(i, -x, -from));
      return {
        name: figure.name,
        items: [...items, label],
        widthMm: Math.min(w, window.x1 - x),
        heightMm: to - from + LABEL_MM,
      };
    }),
  );
}

/** From where to where what a window shows reaches; lines that only help the eye do not count. */
function heightsIn(items: readonly Item[], window: Window): readonly [number, number] | null {
  const ys = items
    .filter((i) => (i.kind === "text" || i.kind === "fill" || i.pen !== "centre") && reaches(i, window))
    .flatMap((item) => clipped(item, window) ?? [])
    .flatMap((i) => {
      if (i.kind === "text") return [i.y - i.sizeMm, i.y + i.sizeMm / 2];
      if (i.kind === "fill") return i.loops.flat().map((p) => p.y);
      if (i.kind === "circle") return [i.y - i.radiusMm, i.y + i.radiusMm];
      return (i.kind === "line" ? i.points : closedChords(i.loop)).map((p) => p.y);
    });
  return ys.length > 0 ? [Math.min(...ys), Math.max(...ys)] : null;
}

/** A place that tiles share, and the rows of them that it is shown in. */
interface Shared extends Point {
  readonly row: number;
  readonly rows: number;
}

/** Places that two tiles share, near both ends of each overlap: over what it shows, or at the sides of one in rows. */
function crosses(
  figure: Figure,
  xs: readonly number[],
  ys: readonly number[],
  w: number,
  h: number,
): Shared[] {
  const rim = CROSS_MM + 1;
  const seams = (starts: readonly number[], room: number) =>
    starts.slice(1).map((s, i) => [s, starts[i] + room] as const);
  const beside = seams(xs, w).flatMap(([x0, x1]) =>
    ys.flatMap((y, row) => {
      const seen = heightsIn(figure.items, { x0, x1, y0: y, y1: y + h });
      const at = (seen?.[0] ?? y) - rim;
      return [x0 + rim, x1 - rim].map((x) => ({ x, y: at, row, rows: 1 }));
    }),
  );
  const under = seams(ys, h).flatMap(([y0, y1], row) =>
    [y0 + rim, y1 - rim].flatMap((y) =>
      xs.flatMap((x) => [x + rim, x + w - rim].map((at) => ({ x: at, y, row, rows: 2 }))),
    ),
  );
  return [...beside, ...under];
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
  if (item.kind === "loop" || item.kind === "line" || item.kind === "fill") return true;
  const r = item.kind === "circle" ? item.radiusMm : 0;
  return item.x + r >= x0 && item.x - r <= x1 && item.y + r >= y0 && item.y - r <= y1;
}

/** What of an item lies in a window: lines are cut at its rim, so that nothing is drawn over the next sheet's part. */
function clipped(item: Item, window: Window): Item[] | null {
  // Sheets at true size are drawn in lines: a filled one is not cut.
  if (item.kind === "text" || item.kind === "fill") return [item];
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
