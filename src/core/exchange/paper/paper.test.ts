import { describe, expect, it } from "vitest";
import type { Item } from "./item";
import { missingLetters, textWidthMm } from "./letters";
import { flowed, footPlaces, roomOf, SQUARE_MM, table, writing } from "./page";
import { correction, measuredPrinter, PAPERS, sheetSize, TRUE_PRINTER } from "./paper";
import { cutsThrough, laidOut, laidOutProposed, type NamedFigure, overlapOn, tileStarts } from "./tile";
import { wrapped } from "./wrapped";

const setup = { paper: "a4", across: false, printer: TRUE_PRINTER } as const;
const words = (name: string, column: number, row: number, columns: number, rows: number) =>
  `${name} ${column}/${columns} ${row}/${rows}`;

const rect = (name: string, widthMm: number, heightMm: number): NamedFigure => ({
  name,
  widthMm,
  heightMm,
  items: [
    {
      kind: "loop",
      pen: "cut",
      loop: [
        [0, 0],
        [widthMm, 0],
        [widthMm, heightMm],
        [0, heightMm],
      ].map(([x, y]) => ({ x, y, bulge: 0 })),
    },
  ],
});

/** Where lines of a sheet reach, mm. */
function reach(items: readonly Item[]) {
  const points = items.flatMap((i) => (i.kind === "line" ? i.points : i.kind === "loop" ? i.loop : []));
  return [
    Math.min(...points.map((p) => p.x)),
    Math.min(...points.map((p) => p.y)),
    Math.max(...points.map((p) => p.x)),
    Math.max(...points.map((p) => p.y)),
  ];
}

describe("papers", () => {
  it("have the sizes of their standards", () => {
    // @see ISO 216: A4; ANSI/ASME Y14.1: 8.5 × 11 in.
    expect(PAPERS.a4).toEqual({ widthMm: 210, heightMm: 297 });
    expect(PAPERS.letter.widthMm).toBeCloseTo(8.5 * 25.4, 9);
    expect(PAPERS.letter.heightMm).toBeCloseTo(11 * 25.4, 9);
    expect(sheetSize({ paper: "letter", across: true })).toEqual({ widthMm: 279.4, heightMm: 215.9 });
  });

  it("a printer that makes 100 mm 98 is drawn larger, and one that was measured again after that more so", () => {
    expect(correction({ acrossMm: 98, downMm: 101 })).toEqual({ x: 100 / 98, y: 100 / 101 });
    // The corrected print measures 99.5: together the printer makes 97.51 of 100.
    expect(
      measuredPrinter({ acrossMm: 98, downMm: 100 }, { acrossMm: 99.5, downMm: 100 }).acrossMm,
    ).toBeCloseTo(97.51, 9);
    expect(correction(TRUE_PRINTER)).toEqual({ x: 1, y: 1 });
  });

  it("keep room for the foot with its test square", () => {
    for (const across of [false, true]) {
      const { y, heightMm } = roomOf({ ...setup, across }, "measured");
      const { square } = footPlaces({ ...setup, across });
      expect(square.y).toBeGreaterThan(y + heightMm);
      expect(square.y + SQUARE_MM).toBeLessThan(sheetSize({ ...setup, across }).heightMm - 8);
    }
  });
});

describe("tiles", () => {
  it("cover a long figure with an overlap, and no more of them than it needs", () => {
    const { widthMm } = roomOf(setup, "measured");
    const overlap = overlapOn(widthMm);
    for (const length of [widthMm - 1, widthMm + 1, 260, 400, 900]) {
      const starts = tileStarts(length, widthMm);
      expect(starts[0]).toBe(0);
      expect(starts[starts.length - 1] + widthMm).toBeGreaterThanOrEqual(length - 1e-9);
      starts.slice(1).forEach((s, i) => {
        expect(starts[i] + widthMm - s).toBeGreaterThanOrEqual(overlap - 1e-9);
      });
      expect(starts.length).toBe(length <= widthMm ? 1 : Math.ceil((length - overlap) / (widthMm - overlap)));
    }
  });

  it("stand beside each other on one sheet, with crosses that neighbours share far apart from each other", () => {
    const pages = laidOut([rect("long", 420, 30)], setup, words);
    expect(pages.length).toBe(1);
    const room = roomOf(setup, "measured");
    const [x0, , x1, y1] = reach(pages[0]);
    expect(x0).toBeGreaterThanOrEqual(room.x - 0.01);
    expect(x1).toBeLessThanOrEqual(room.x + room.widthMm + 0.01);
    expect(y1).toBeLessThanOrEqual(room.y + room.heightMm + 0.01);
    const starts = tileStarts(420, room.widthMm);
    const said = pages[0].flatMap((i) => (i.kind === "text" ? [i.text] : []));
    expect([...said].sort()).toEqual(starts.map((_, i) => `long ${i + 1}/${starts.length} 1/1`));
    // Each strip's crosses, by its place under the others.
    const heights = [...new Set(pages[0].flatMap((c) => (c.kind === "circle" ? [c.y] : [])))];
    const marks = heights.map((y) =>
      pages[0].flatMap((c) => (c.kind === "circle" && c.y === y ? [c.x - room.x] : [])),
    );
    expect(marks.length).toBe(starts.length);
    for (const m of marks) expect(m.length).toBeGreaterThanOrEqual(2);
    for (const m of marks) {
      const far = Math.max(...m) - Math.min(...m);
      // 0.2 mm of pasting, over as many of these distances as the blade is long.
      expect((0.2 * 420) / far).toBeLessThan(1.5);
    }
  });

  it("show every part of what they cut once or twice", () => {
    const { widthMm } = roomOf(setup, "measured");
    const starts = tileStarts(420, widthMm);
    for (let x = 1; x < 420; x += 7)
      expect([1, 2, 3]).toContain(starts.filter((s) => s <= x && x <= s + widthMm).length);
  });

  it("are proposed the way round that cuts the fewest figures", () => {
    const blade = rect("blade", 250, 40);
    expect(cutsThrough([blade], setup)).toBe(1);
    const ways = (figures: readonly NamedFigure[]) =>
      laidOutProposed(figures, setup, words).map((s) => s.setup.across);
    expect(ways([blade])).toEqual([true]);
    expect(ways([rect("plate", 30, 40)])).toEqual([false]);
    // Scales that stand over each other upright, a blade that lies whole across.
    expect(ways([blade, ...[1, 2, 3].map((n) => rect(`scale ${n}`, 150, 65))])).toEqual([true, false]);
  });

  it("put small figures together, none over another", () => {
    const figures = Array.from({ length: 24 }, (_, i) =>
      rect(`f${i}`, 20 + ((i * 37) % 90), 10 + ((i * 23) % 50)),
    );
    const pages = laidOut(figures, setup, words);
    const boxes = pages.map((p) => p.map((i) => reach([i])));
    expect(boxes.flat().length).toBe(24);
    for (const page of boxes)
      page.forEach((a, i) => {
        for (const b of page.slice(i + 1))
          expect(Math.max(b[0] - a[2], a[0] - b[2], b[1] - a[3], a[1] - b[3])).toBeGreaterThan(5);
      });
  });
});

describe("a heading", () => {
  it("stands on the sheet of what it leads to", () => {
    const line = (said: string, leads: boolean) => ({ ...writing(said, 100, { leads }), heightMm: 20 });
    const room = roomOf(setup, "titled");
    const fill = Array.from({ length: Math.floor(room.heightMm / 20) - 1 }, (_, i) => line(`t${i}`, false));
    const pages = flowed([...fill, line("heading", true), line("what follows", false)], setup, 0);
    const said = pages.map((p) => p.flatMap((i) => (i.kind === "text" ? [i.text] : [])));
    expect(said.at(-1)).toEqual(["heading", "what follows"]);
  });
});

describe("the fonts of the sheets", () => {
  /** Letters of a script in a block of Unicode that no font has. */
  const without = (script: RegExp, from: number, to: number) => {
    const letters = Array.from({ length: to - from + 1 }, (_, i) => String.fromCodePoint(from + i));
    return missingLetters(letters.filter((l) => script.test(l) && /\p{L}/u.test(l)));
  };

  it("have every letter of Latin, Greek and Cyrillic that a name is written with", () => {
    // @see The Unicode Standard, blocks Basic Latin to IPA Extensions, Greek and Coptic, Greek Extended, Cyrillic.
    expect(without(/\p{Script=Latin}/u, 0, 0x2af)).toEqual([]);
    expect(without(/\p{Script=Greek}/u, 0x370, 0x3ff)).toEqual([]);
    expect(without(/\p{Script=Greek}/u, 0x1f00, 0x1fff)).toEqual([]);
    expect(without(/\p{Script=Cyrillic}/u, 0x400, 0x4ff)).toEqual([]);
    // Of Latin Extended Additional all but four that mediaeval Welsh is written with.
    expect(without(/\p{Script=Latin}/u, 0x1e00, 0x1eff).length).toBe(4);
  });

  it("of what is put together from two signs the one letter counts", () => {
    expect(missingLetters(["o\u0301", "Z\u030c"])).toEqual([]);
    expect(textWidthMm("o\u0301", 3)).toBeCloseTo(textWidthMm("ó", 3), 9);
  });
});

describe("writing", () => {
  it("is broken before it is too long, and a word that is longer by itself is broken too", () => {
    const text = "Lay the blade flat and scribe the edge at 1.80 mm and 2.20 mm over the flat";
    for (const width of [20, 40, 90]) {
      const lines = wrapped(`${text} ${"w".repeat(60)}`, 3.2, width);
      for (const l of lines) expect(textWidthMm(l, 3.2)).toBeLessThanOrEqual(width);
      expect(lines.join(" ").replaceAll(" ", "")).toBe(`${text}${"w".repeat(60)}`.replaceAll(" ", ""));
    }
  });

  it("flows on to the next sheet, and a table with it", () => {
    const room = roomOf(setup, "titled");
    const rows = Array.from({ length: 90 }, (_, i) => [`Row ${i}`, "x".repeat(i % 70)]);
    const figures = [
      writing("Title", room.widthMm, { bold: true }),
      ...table(
        [
          { name: "A", share: 1 },
          { name: "B", share: 2, number: true },
        ],
        rows,
        room.widthMm,
      ),
    ];
    const pages = flowed(figures, setup);
    const said = pages.flat().flatMap((i) => (i.kind === "text" ? [i.text] : []));
    for (const [first] of rows) expect(said).toContain(first);
    for (const page of pages)
      for (const i of page) if (i.kind === "text") expect(i.y).toBeLessThanOrEqual(room.y + room.heightMm);
    expect(pages.length).toBeGreaterThan(1);
  });
});
