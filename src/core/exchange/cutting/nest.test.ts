import fc from "fast-check";
import { describe, expect, it } from "vitest";
import { common, joined } from "../../geometry/contours/clip";
import type { Layer } from "../../geometry/contours/drawing";
import { flattened, signedArea, straightLoop } from "../../geometry/contours/loop";
import type { Point } from "../../geometry/curve/bezier";
import { signedDistance } from "../../geometry/curve/crossing";
import { DEMO_KNIVES } from "../files/knife/demo.fixtures";
import { cuttables, laidOnStock } from "./cutJob";
import { AS_DRAWN } from "./cutSettings";
import type { Cuttable } from "./cuttable";
import { nested } from "./nest";
import { nestedBoxes } from "./nestBoxes";
import { drawnPieces, pieceLayer } from "./pieceLayers";
import { layerBox, placed, QUARTERS } from "./place";

const knifeNamed = (file: string) => DEMO_KNIVES.find(([name]) => name === file)![1];

const piece = (name: string, corners: readonly (readonly [number, number])[]): Layer => ({
  name,
  loops: [straightLoop(corners.map(([x, y]) => ({ x, y })))],
  circles: [],
  centres: [],
});
const strip = (name: string, lengthMm: number, heightMm: number): Layer =>
  piece(name, [
    [0, 0],
    [lengthMm, 0],
    [lengthMm, heightMm],
    [0, heightMm],
  ]);

const outer = (l: Layer): Point[][] =>
  l.loops.map((loop) => flattened(loop, 0.01)).filter((line) => signedArea(straightLoop(line)) > 0);

/** The least distance between two that do not overlap; 0 where they do. */
function distance(a: Layer, b: Layer): number {
  if (common(joined(outer(a)), joined(outer(b))).length > 0) return 0;
  const between = (of: Layer, to: Layer) =>
    Math.min(
      ...outer(of).flatMap((line) =>
        line.flatMap((p) => outer(to).map((o) => Math.abs(signedDistance(o, p)))),
      ),
    );
  return Math.min(between(a, b), between(b, a));
}

describe("pieces on sheets of stock", () => {
  const pieces = ["heath-field-knife.json", "mere-framed-hunter.json", "sallow-camp-chopper.json"]
    .flatMap((f) => drawnPieces(knifeNamed(f)))
    .map((p) => ({ layer: pieceLayer(p, AS_DRAWN), count: p.count, mayTurn: p.part.grain === null }));

  it("lie without touching, every piece once, whatever the sheet", () => {
    fc.assert(
      fc.property(
        fc.integer({ min: 370, max: 900 }),
        fc.integer({ min: 60, max: 500 }),
        fc.integer({ min: 0, max: 8 }),
        fc.subarray(pieces, { minLength: 2, maxLength: 8 }),
        (widthMm, heightMm, gapMm, wanted) => {
          const { sheets, tooLarge } = nested(wanted, { widthMm, heightMm, gapMm, rimMm: 5 });
          expect(tooLarge).toEqual([]);
          expect(sheets.flatMap((s) => s.drawing.layers.map((l) => l.name)).length).toBe(
            wanted.reduce((sum, p) => sum + p.count, 0),
          );
          expect(sheets.every((s) => s.usedShare > 0 && s.usedShare < 1)).toBe(true);
          for (const { layers } of sheets.map((s) => s.drawing))
            layers.forEach((a, i) => {
              const box = layerBox(a)!;
              expect(Math.min(box.x0, box.y0, widthMm - box.x1, heightMm - box.y1)).toBeGreaterThan(5 - 0.02);
              for (const b of layers.slice(i + 1))
                expect(distance(a, b), `${a.name} and ${b.name}`).toBeGreaterThan(gapMm - 0.02);
            });
        },
      ),
      { numRuns: 8, seed: 15 },
    );
  });

  it("names what is larger than the sheet", () => {
    expect(nested([pieces[0]], { widthMm: 100, heightMm: 100, gapMm: 2, rimMm: 5 }).tooLarge).toEqual([
      "blank",
    ]);
    expect(nested([], { widthMm: 100, heightMm: 100, gapMm: 2, rimMm: 5 })).toMatchObject({ sheets: [] });
  });

  it("lie in each other's corners where their boxes would need another sheet", () => {
    // Two squares' halves and two brackets, each pair of which fills a rectangle.
    const triangle = piece("triangle", [
      [0, 0],
      [60, 0],
      [0, 60],
    ]);
    const bracket = piece("bracket", [
      [0, 0],
      [90, 0],
      [90, 20],
      [20, 20],
      [20, 50],
      [0, 50],
    ]);
    for (const [layer, sheet] of [
      [triangle, { widthMm: 66, heightMm: 66, gapMm: 1, rimMm: 1 }],
      [bracket, { widthMm: 120, heightMm: 80, gapMm: 2, rimMm: 2 }],
    ] as const) {
      const wanted = [{ layer, count: 2, mayTurn: false }];
      expect(nestedBoxes(wanted, sheet).length, layer.name).toBe(2);
      const laid = nested(wanted, sheet);
      expect([laid.by, laid.sheets.length], layer.name).toEqual(["outlines", 1]);
      const [a, b] = laid.sheets[0].drawing.layers;
      expect(distance(a, b)).toBeGreaterThan(sheet.gapMm - 0.02);
    }
  });

  it("keep their shape and their lower left corner in every turn", () => {
    const { layer } = pieces[0];
    for (const quarters of QUARTERS) {
      const turned = placed(layer, { x: 7, y: 9 }, quarters);
      expect([layerBox(turned)!.x0, layerBox(turned)!.y0]).toEqual([
        expect.closeTo(7, 9),
        expect.closeTo(9, 9),
      ]);
      expect(signedArea(turned.loops[0])).toBeCloseTo(signedArea(layer.loops[0]), 6);
      // A hole keeps its distance from the outline.
      const off = (l: Layer) => signedDistance(flattened(l.loops[0], 0.001), l.circles[0]);
      expect(off(turned)).toBeCloseTo(off(layer), 3);
    }
  });

  it("keep their grain along the sheet, and lie beside nothing of another material or thickness", () => {
    // Sheets on which the packer would turn a piece to save room.
    const pieces = [strip("a", 90, 40), strip("b", 70, 30), strip("c", 60, 25), strip("d", 50, 45)];
    const turnedOf = (mayTurn: boolean) => {
      let turned = 0;
      for (let widthMm = 100; widthMm <= 200; widthMm += 20)
        for (let heightMm = 60; heightMm <= 200; heightMm += 20) {
          const wanted = pieces.map((layer) => ({ layer, count: 2, mayTurn }));
          const { sheets } = nested(wanted, { widthMm, heightMm, gapMm: 2, rimMm: 3 });
          for (const layer of sheets.flatMap((s) => s.drawing.layers)) {
            const box = layerBox(layer)!;
            if (box.y1 - box.y0 > box.x1 - box.x0) turned++;
          }
        }
      return turned;
    };
    expect(turnedOf(false)).toBe(0);
    expect(turnedOf(true)).toBeGreaterThan(0);
    const knives = DEMO_KNIVES.slice(0, 6).map(([, d]) => cuttables(d, AS_DRAWN));
    const { sheets } = laidOnStock(knives, { widthMm: 400, heightMm: 300, gapMm: 3, rimMm: 5 });
    const kinds = new Map<string, Cuttable>();
    knives.forEach((of, i) => {
      for (const c of of) kinds.set(`knife-${i + 1}-${c.name}`, c);
    });
    for (const { drawing, material, thicknessMm } of sheets)
      for (const { name } of drawing.layers) {
        const c = kinds.get(name) ?? kinds.get(name.replace(/-\d+$/, ""))!;
        expect([c.material, c.thicknessMm], name).toEqual([material, expect.closeTo(thicknessMm, 3)]);
      }
  });
});
