import { execFileSync } from "node:child_process";
import { mkdtempSync, readFileSync, writeFileSync } from "node:fs";
import { tmpdir } from "node:os";
import { join } from "node:path";
import { getDocument, OPS } from "pdfjs-dist/legacy/build/pdf.mjs";
import sharp from "sharp";
import { describe, expect, it } from "vitest";
import { remembered } from "@/core/base/record/remembered";
import { blank } from "@/core/exchange/cutting/cutParts";
import { DEMO_KNIVES } from "@/core/exchange/files/knife/demo.fixtures";
import { pdfFonts, writePdf } from "@/core/exchange/files/pdf/write";
import { missingLetters } from "@/core/exchange/paper/letters";
import { footPlaces, type Page, SCALE_MM, SQUARE_MM } from "@/core/exchange/paper/page";
import { correction, type PaperChoice, setupOf, TRUE_PRINTER } from "@/core/exchange/paper/paper";
import { billOf } from "@/core/figures/cost/bill";
import { plainShop } from "@/core/figures/cost/shop";
import { weigh } from "@/core/figures/weigh/weigh";
import { boxOf, flattened } from "@/core/geometry/contours/loop";
import { signedDistance } from "@/core/geometry/curve/crossing";
import type { Design } from "@/core/knife/design/schema";
import { newPlan } from "@/core/plan/newPlan";
import { SHEET_KINDS, SHEET_WORDS, type SheetKind } from "@/words/sheets";
import { sheetKindsOf } from "./kinds";
import { sheetPages } from "./pages";

const A4: PaperChoice = { paper: "a4", way: "upright", printer: TRUE_PRINTER };
const fonts = await pdfFonts(async (file) => new Uint8Array(readFileSync(`public/fonts/${file}`)));
const knife = (file: string): Design => DEMO_KNIVES.find(([name]) => name === file)![1];

/** What sheets are made of: of each knife it is weighed once. */
const figuresOf = remembered((design: Design) => {
  const weighing = weigh(design);
  if (!weighing.ok) throw new Error(design.name);
  const { report } = weighing;
  return { report, bill: billOf(design, plainShop(), report) };
});

function pagesOf(kind: SheetKind, design: Design, setup = A4, optionMassG = 201): Page[] {
  const { report, bill } = figuresOf(design);
  const option = { name: "In brass", design, massG: optionMassG, balanceMm: -12, price: 310 };
  return sheetPages(kind, {
    design,
    report,
    units: "metric",
    paper: setup,
    bill,
    currency: "cr",
    options: [option],
    plan: newPlan(),
    recipes: [],
    day: "28 Nov 2026",
  });
}

const textOf = (pages: readonly Page[]) =>
  pages.flatMap((p) => p.items.flatMap((i) => (i.kind === "text" ? [i.text] : []))).join(" ");
const pdfOf = (pages: readonly Page[], setup = A4) =>
  writePdf(pages, { fonts, title: "Sheets", correction: correction(setup.printer) });

describe("sheets of every kind", () => {
  it.each(DEMO_KNIVES.map(([file]) => file))(
    "of %s hold only finite places, all of them on the paper",
    (file) => {
      for (const kind of sheetKindsOf(knife(file)))
        for (const setup of [A4, { ...A4, paper: "letter", way: "across" } as const]) {
          const pages = pagesOf(kind, knife(file), setup);
          expect(pages.length, kind).toBeGreaterThan(0);
          for (const { items, widthMm, heightMm } of pages)
            for (const item of items) {
              const places =
                item.kind === "fill"
                  ? item.loops.flat()
                  : item.kind === "line"
                    ? item.points
                    : item.kind === "loop"
                      ? item.loop
                      : [item];
              for (const { x, y } of places) {
                expect(x > 5 && x < widthMm - 5, `${kind}: ${item.kind} at ${x}, ${y}`).toBe(true);
                expect(y > 5 && y < heightMm - 5, `${kind}: ${item.kind} at ${x}, ${y}`).toBe(true);
              }
            }
          const said = textOf(pages);
          expect(said).toContain(`${SHEET_WORDS[kind].name} · 1 of ${pages.length}`);
          expect(said).not.toMatch(/NaN|undefined|Infinity|null/);
        }
    },
  );

  it("say what the knife weighs, what is drilled, and what an option costs", () => {
    const gorse = knife("gorse-guard-knife.json");
    expect(textOf(pagesOf("parts", gorse))).toContain("192.1 g");
    expect(textOf(pagesOf("fit-up", gorse))).toMatch(/Drill, in this order.*6\.35 mm/);
    expect(textOf(pagesOf("customer", gorse))).toMatch(/In brass.*310\.00 cr/);
    // (4.00 − 0.40)/2 and (4.00 + 0.40)/2.
    expect(textOf(pagesOf("grinding", gorse))).toContain("scribe the edge at 1.80 mm and 2.20 mm");
    expect(textOf(pagesOf("certificate", gorse))).toContain("416 stainless");
  });

  it("keep the fit-up card of a plain knife to one sheet", () => {
    for (const file of ["heath-field-knife.json", "orchard-parer.json", "gorse-guard-knife.json"])
      expect(pagesOf("fit-up", knife(file)).length, file).toBe(1);
  });
});

/** Places along a path of the reader's: cubics by chords. */
function pointsOf(ops: readonly number[], coords: readonly number[]): number[][] {
  const points: number[][] = [];
  let k = 0;
  for (const op of ops) {
    if (op === OPS.moveTo || op === OPS.lineTo) points.push([coords[k++], coords[k++]]);
    else if (op === OPS.curveTo) {
      const [[ax, ay], c] = [points[points.length - 1], coords.slice(k, k + 6)];
      k += 6;
      for (let i = 1; i <= 40; i++) {
        const [t, u] = [i / 40, 1 - i / 40];
        const at = (a: number, b: number, d: number, e: number) =>
          u ** 3 * a + 3 * u * u * t * b + 3 * u * t * t * d + t ** 3 * e;
        points.push([at(ax, c[0], c[2], c[4]), at(ay, c[1], c[3], c[5])]);
      }
    } else if (op !== OPS.closePath) throw new Error(`operator ${op}`);
  }
  return points;
}

/** Places that a page's paths begin at and lead to, mm, y down: as a reader of another author gives them. */
async function pathsOf(bytes: Uint8Array, number: number) {
  const doc = await getDocument({ data: bytes.slice(), useSystemFonts: false, verbosity: 0 }).promise;
  const page = await doc.getPage(number);
  const [, , width, height] = page.view;
  const list = await page.getOperatorList();
  const mm = 25.4 / 72;
  const boxes: number[][] = [];
  const paths: number[][][] = [];
  list.fnArray.forEach((fn, i) => {
    if (fn !== OPS.constructPath) return;
    const points = pointsOf(list.argsArray[i][0], list.argsArray[i][1]).map(([x, y]) => [
      x * mm,
      (height - y) * mm,
    ]);
    const [xs, ys] = [points.map((p) => p[0]), points.map((p) => p[1])];
    paths.push(points);
    boxes.push([Math.min(...xs), Math.min(...ys), Math.max(...xs), Math.max(...ys)]);
  });
  const { items } = await page.getTextContent();
  const text = items.map((t) => ("str" in t ? t.str : "")).join(" ");
  return { size: [width * mm, height * mm], boxes, paths, text, pages: doc.numPages };
}

describe("the PDF, read by others", () => {
  it("has pages of the paper's size, the square at 50 mm and the outline of the blank at its own size", async () => {
    const rook = knife("orchard-parer.json");
    const setup: PaperChoice = { ...A4, way: "across" };
    const pages = pagesOf("templates", rook, setup);
    const read = await pathsOf(pdfOf(pages, setup), 1);
    expect(read.pages).toBe(pages.length);
    expect(read.size[0]).toBeCloseTo(297, 1);
    expect(read.size[1]).toBeCloseTo(210, 1);
    expect(read.text).toContain("Blade and tang");
    const square = read.boxes.find(
      (b) => Math.abs(b[2] - b[0] - SQUARE_MM) < 0.02 && Math.abs(b[3] - b[1] - SQUARE_MM) < 0.02,
    );
    expect(square).toBeDefined();
    const box = boxOf(blank(rook).outlines)!;
    const outline = read.boxes.find(
      (b) =>
        Math.abs(b[2] - b[0] - (box.x1 - box.x0)) < 0.03 && Math.abs(b[3] - b[1] - (box.y1 - box.y0)) < 0.03,
    );
    expect(outline).toBeDefined();
    // Laid on the part itself, every place of the printed line lies on its outline.
    const drawn = read.paths[read.boxes.indexOf(outline!)];
    const own = flattened(blank(rook).outlines[0], 0.002);
    const off = drawn.map(([x, y]) =>
      Math.abs(signedDistance(own, { x: x - outline![0] + box.x0, y: box.y1 - (y - outline![1]) })),
    );
    expect(Math.max(...off)).toBeLessThan(0.03);
  });

  const LETTERS = "Łódź Čeština Ľuboš İstanbul Ağaç Ţară Việt · Жуков Ελλάδα Ωμέγα Ћирилица Ґудзь";

  it.each(SHEET_KINDS.filter((k) => k !== "owner"))(
    "the %s sheet prints every letter of Latin, Greek and Cyrillic, read back",
    async (kind) => {
      const named = { ...knife("heath-field-knife.json"), name: LETTERS };
      const pages = pagesOf(kind, named);
      expect(missingLetters([textOf(pages)])).toEqual([]);
      const read = await pathsOf(pdfOf(pages), 1);
      const letters = (text: string) => text.replaceAll(/\s/g, "");
      expect(letters(read.text)).toContain(letters(LETTERS));
    },
  );

  it("tells a customer by how much another making is heavier, or that it is as heavy", () => {
    const heath = knife("heath-field-knife.json");
    const weighing = weigh(heath);
    if (!weighing.ok) throw new Error(heath.name);
    const { massG } = weighing.report;
    const said = (optionMassG: number) => textOf(pagesOf("customer", heath, A4, optionMassG));
    expect(said(massG + 5)).toContain("5.0 g heavier");
    expect(said(massG - 0.4)).toContain("0.4 g lighter");
    expect(said(massG + 0.04)).toContain("as heavy");
  });

  it("names what no font has, and shows a sign where it would stand", async () => {
    const named = { ...knife("heath-field-knife.json"), name: "刀 Knife ナイフ" };
    const pages = pagesOf("parts", named);
    expect(missingLetters([named.name])).toEqual(["刀", "ナ", "イ", "フ"]);
    const read = await pathsOf(pdfOf(pages), 1);
    expect(read.text.replaceAll(/\s/g, "")).toContain("\u{fffd}Knife\u{fffd}\u{fffd}\u{fffd}");
  });

  it("keeps the order of a line with a Hebrew name in it: what is around stands as it stood", async () => {
    const named = { ...knife("heath-field-knife.json"), name: "For שלום (12 mm) 2026" };
    const doc = await getDocument({ data: pdfOf(pagesOf("parts", named)), verbosity: 0 }).promise;
    const { items } = await (await doc.getPage(1)).getTextContent();
    const placed = items
      .flatMap((t) =>
        "str" in t && t.str.trim() ? [{ text: t.str, x: t.transform[4], y: t.transform[5] }] : [],
      )
      .filter((t) => /For|ש|ם|12 mm|2026/.test(t.text));
    const line = placed.filter((t) => t.y === placed[0].y).sort((a, b) => a.x - b.x);
    const at = (said: RegExp) => line.findIndex((t) => said.test(t.text));
    expect(at(/For/)).toBeLessThan(at(/[שם]/));
    expect(at(/[שם]/)).toBeLessThan(at(/12 mm/));
  });

  it("holds its fonts, and no picture of the page", () => {
    const text = Buffer.from(pdfOf(pagesOf("parts", knife("heath-field-knife.json")))).toString("latin1");
    expect(text).toContain("/FontFile2");
    expect(text).toContain("/PrintScaling /None");
    expect(text).not.toContain("/Subtype /Image");
  });

  it.each([
    ["a true printer", TRUE_PRINTER],
    ["one that prints 2 % small across and 1 % large down", { acrossMm: 98, downMm: 101 }],
  ])("drawn by pdftoppm for %s shows the test square within a pixel", async (_, printer) => {
    const setup: PaperChoice = { ...A4, printer };
    const dir = mkdtempSync(join(tmpdir(), "euaxis-pdf-"));
    writeFileSync(
      join(dir, "s.pdf"),
      pdfOf(pagesOf("templates", knife("heath-field-knife.json"), setup), setup),
    );
    const dpi = 300;
    execFileSync("pdftoppm", [
      "-r",
      String(dpi),
      "-gray",
      "-png",
      "-singlefile",
      join(dir, "s.pdf"),
      join(dir, "s"),
    ]);
    const { data, info } = await sharp(join(dir, "s.png"))
      .greyscale()
      .raw()
      .toBuffer({ resolveWithObject: true });
    const dark = (x: number, y: number) => data[y * info.width + x] < 128;
    const perMm = dpi / 25.4;
    const { square, scale } = footPlaces(setupOf(setup));
    const by = correction(printer);
    const at = (x: number, y: number) =>
      [105 + (x - 105) * by.x, 148.5 + (y - 148.5) * by.y].map((v) => Math.round(v * perMm));
    // Along a row through the square's upper part the two uprights are met; along a column its two sides.
    const [left, row] = at(square.x, square.y + 10);
    const [column] = at(square.x + 10, square.y);
    const metX = Array.from({ length: info.width - left + 40 }, (_, i) => left - 40 + i).filter((x) =>
      dark(x, row),
    );
    const [, top] = at(square.x, square.y);
    const metY = Array.from({ length: info.height - top + 30 }, (_, i) => top - 30 + i).filter(
      (y) => y < info.height && dark(column, y),
    );
    const span = (met: number[]) => met[met.length - 1] - met[0];
    // The outer rims of two lines: their width is added. The scale ends before what is written beside it.
    const line = 0.18 * perMm;
    expect(Math.abs(span(metX) - SQUARE_MM * by.x * perMm)).toBeLessThan(1 + line);
    expect(Math.abs(span(metY) - SQUARE_MM * by.y * perMm)).toBeLessThan(1 + line);
    const [x0, y0] = at(scale.x, scale.y);
    const along = Array.from({ length: Math.round(SCALE_MM * perMm * 1.04) }, (_, i) => x0 - 20 + i).filter(
      (x) => dark(x, y0),
    );
    expect(Math.abs(span(along) - SCALE_MM * by.x * perMm)).toBeLessThan(1 + line);
  });
});
