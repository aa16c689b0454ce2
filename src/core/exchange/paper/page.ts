import { SAME_PLACE_MM } from "../../base/tolerances";
import type { Figure, Item } from "./item";
import { moved } from "./item";
import { MARGIN_MM, type PaperSetup, sheetSize } from "./paper";
import { wrapped } from "./wrapped";

/** A sheet of paper with what stands on it. */
export interface Page {
  readonly widthMm: number;
  readonly heightMm: number;
  readonly items: readonly Item[];
}

/** What is written at the foot of every sheet, in words. */
export interface FootWords {
  /** The knife, the sheet and its number: "Heath field knife · Templates · 1 of 3". */
  title(number: number, of: number): string;
  /** What to do with the scales. */
  check: string;
  millimetres: string;
  inches: string;
  square: string;
}

/** Side of the test square, and lengths of the two scales, mm. */
export const SQUARE_MM = 50;
export const SCALE_MM = 100;
export const SCALE_INCH = 4;
const INCH_MM = 25.4;

/** What stands at the foot: of sheets at true size scales and a square to measure, of others a title alone. */
export type Foot = "measured" | "titled";

/** Height of each foot, mm, and its distance from what stands over it. */
const FOOT_MM: Readonly<Record<Foot, number>> = { measured: SQUARE_MM + 2, titled: 6 };
const GAP_MM = 4;

/** The room for what a sheet shows: its upper left corner and its size. */
export function roomOf(setup: PaperSetup, foot: Foot) {
  const { widthMm, heightMm } = sheetSize(setup);
  return {
    x: MARGIN_MM,
    y: MARGIN_MM,
    widthMm: widthMm - 2 * MARGIN_MM,
    heightMm: heightMm - 2 * MARGIN_MM - FOOT_MM[foot] - GAP_MM,
  };
}

/** Sheets with their foot, each as it lies. */
export function pagesOf(
  bodies: readonly { readonly items: readonly Item[]; readonly setup: PaperSetup }[],
  words: FootWords,
  foot: Foot,
): Page[] {
  const of = foot === "measured" ? measuredFoot : titledFoot;
  return bodies.map(({ items, setup }, i) => ({
    ...sheetSize(setup),
    items: [...items, ...of(setup, words, words.title(i + 1, bodies.length))],
  }));
}

/** The title alone, under a line. */
function titledFoot(setup: PaperSetup, _: FootWords, title: string): Item[] {
  const { widthMm, heightMm } = sheetSize(setup);
  const top = heightMm - MARGIN_MM - FOOT_MM.titled;
  const [line] = wrapped(title, TITLE_MM, widthMm - 2 * MARGIN_MM);
  return [
    {
      kind: "line",
      pen: "rule",
      points: [
        { x: MARGIN_MM, y: top },
        { x: widthMm - MARGIN_MM, y: top },
      ],
    },
    { kind: "text", x: MARGIN_MM, y: top + 4.5, text: line, sizeMm: TITLE_MM, anchor: "start" },
  ];
}

const TITLE_MM = 3;

/** Where a sheet's test square and its scale in mm begin: what is measured of a print. */
export function footPlaces(setup: Pick<PaperSetup, "paper" | "across">) {
  const { widthMm, heightMm } = sheetSize(setup);
  const top = heightMm - MARGIN_MM - FOOT_MM.measured;
  return { square: { x: widthMm - MARGIN_MM - SQUARE_MM, y: top + 1 }, scale: { x: MARGIN_MM, y: top + 33 } };
}

function measuredFoot(setup: PaperSetup, words: FootWords, title: string): Item[] {
  const { square, scale } = footPlaces(setup);
  const text = (x: number, y: number, sizeMm: number, said: string, bold = false): Item => ({
    kind: "text",
    x,
    y,
    text: said,
    sizeMm,
    anchor: "start",
    bold,
  });
  const room = square.x - scale.x - 6;
  const lines = [
    ...wrapped(title, 4, room, true).map((l) => ({ l, size: 4, bold: true })),
    ...wrapped(words.check, 2.9, room).map((l) => ({ l, size: 2.9, bold: false })),
  ].slice(0, 6);
  let y = square.y + 1;
  const written = lines.map(({ l, size, bold }) => {
    y += size * 1.25;
    return text(scale.x, y, size, l, bold);
  });
  return [
    ...written,
    ...ruler(scale.x, scale.y, SCALE_MM, 5, 2),
    text(scale.x + SCALE_MM + 2, scale.y + 0.8, 2.9, words.millimetres),
    ...ruler(scale.x, scale.y + 11, SCALE_INCH * INCH_MM, INCH_MM / 4, 4),
    text(scale.x + SCALE_INCH * INCH_MM + 2, scale.y + 11.8, 2.9, words.inches),
    box(square.x, square.y, SQUARE_MM, SQUARE_MM, "mark"),
    {
      ...text(square.x + SQUARE_MM / 2, square.y + SQUARE_MM / 2 + 1, 3.2, words.square),
      anchor: "middle",
    } as Item,
  ];
}

/** A scale with a stroke at every step, each `longer`-th of them longer. */
function ruler(x: number, y: number, lengthMm: number, stepMm: number, longer: number): Item[] {
  const steps = Math.round(lengthMm / stepMm);
  const strokes = Array.from({ length: steps + 1 }, (_, i): Item => {
    const at = x + i * stepMm;
    const tall = i % longer === 0 ? 5 : 3;
    return {
      kind: "line",
      pen: "mark",
      points: [
        { x: at, y },
        { x: at, y: y - tall },
      ],
    };
  });
  return [
    {
      kind: "line",
      pen: "mark",
      points: [
        { x, y },
        { x: x + lengthMm, y },
      ],
    },
    ...strokes,
  ];
}

const box = (x: number, y: number, w: number, h: number, pen: "mark" | "guide"): Item => ({
  kind: "loop",
  pen,
  loop: [
    { x, y, bulge: 0 },
    { x: x + w, y, bulge: 0 },
    { x: x + w, y: y + h, bulge: 0 },
    { x, y: y + h, bulge: 0 },
  ],
});

/**
 * Figures one under the other, as many to a sheet as find room; each is no higher than the room. What leads on to the next,
 * a heading or the head of a table, stands on one sheet with it.
 */
export function flowed(figures: readonly Figure[], setup: PaperSetup, gapMm = 5): Item[][] {
  const room = roomOf(setup, "titled");
  const pages: Item[][] = [];
  let y = Number.POSITIVE_INFINITY;
  figures.forEach((f, i) => {
    let needed = f.heightMm;
    for (let k = i; figures[k].leads && k + 1 < figures.length; k++)
      needed += gapMm + figures[k + 1].heightMm;
    // Of a chain that no sheet holds, the first goes where it finds room.
    if (y + (needed <= room.heightMm ? needed : f.heightMm) > room.heightMm + SAME_PLACE_MM) {
      pages.push([]);
      y = 0;
    }
    pages[pages.length - 1].push(...f.items.map((item) => moved(item, room.x, room.y + y)));
    y += f.heightMm + gapMm;
  });
  return pages;
}

/** A line of writing, or several where it is longer than the room. */
export function writing(
  text: string,
  widthMm: number,
  {
    sizeMm = 3.4,
    bold = false,
    afterMm = 0,
    leads = false,
  }: { sizeMm?: number; bold?: boolean; afterMm?: number; leads?: boolean } = {},
): Figure {
  const lines = wrapped(text, sizeMm, widthMm, bold);
  const items = lines.map(
    (l, i): Item => ({
      kind: "text",
      x: 0,
      y: (i + 0.8) * sizeMm * 1.3,
      text: l,
      sizeMm,
      anchor: "start",
      bold,
    }),
  );
  return { items, widthMm, heightMm: lines.length * sizeMm * 1.3 + afterMm, leads };
}

/** A column of a table: its name, how wide it is next to the others, and whether figures stand in it. */
export interface Column {
  readonly name: string;
  readonly share: number;
  readonly number?: boolean;
}

const CELL_MM = 3.2;
const PAD_MM = 0.8;

/** A table as one figure a row, its head first, so that it may go on on the next sheet. */
export function table(
  columns: readonly Column[],
  rows: readonly (readonly string[])[],
  widthMm: number,
): Figure[] {
  const all = columns.reduce((sum, c) => sum + c.share, 0);
  const widths = columns.map((c) => (c.share / all) * widthMm);
  const starts = widths.map((_, i) => widths.slice(0, i).reduce((sum, w) => sum + w, 0));
  const row = (cells: readonly string[], bold: boolean): Figure => {
    const lines = cells.map((cell, i) => wrapped(cell, CELL_MM, widths[i] - 2 * PAD_MM, bold));
    const most = Math.max(1, ...lines.map((l) => l.length));
    const heightMm = most * CELL_MM * 1.3 + 2 * PAD_MM;
    const items = lines.flatMap((of, i) =>
      of.map(
        (text, k): Item => ({
          kind: "text",
          x: columns[i].number ? starts[i] + widths[i] - PAD_MM : starts[i] + PAD_MM,
          y: PAD_MM + (k + 0.8) * CELL_MM * 1.3,
          text,
          sizeMm: CELL_MM,
          anchor: columns[i].number ? "end" : "start",
          bold,
        }),
      ),
    );
    const line: Item = {
      kind: "line",
      pen: bold ? "mark" : "rule",
      points: [
        { x: 0, y: heightMm },
        { x: widthMm, y: heightMm },
      ],
    };
    return { items: [...items, line], widthMm, heightMm, leads: bold };
  };
  return [
    row(
      columns.map((c) => c.name),
      true,
    ),
    ...rows.map((r) => row(r, false)),
  ];
}
