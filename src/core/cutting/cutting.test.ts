import fc from "fast-check";
import { describe, expect, it } from "vitest";
import { assemble } from "../assembly/assemble";
import { assembleBare } from "../assembly/bareBlade";
import type { Layer } from "../contours/drawing";
import { boxOf, signedArea, straightLoop } from "../contours/loop";
import type { Design } from "../design/schema";
import { STARTING_FORMS, startingForm } from "../design/startingForms";
import { bareBladeOf } from "../design/starts";
import { DEMO_KNIVES } from "../files/knife/demo.fixtures";
import { fitSheet } from "../fit/sheet";
import { cutList } from "../fit/stockList";
import { undrilled, unpierced } from "../pieces/undrilled";
import { momentsOf } from "../weigh/momentsOf";
import { type Cuttable, cuttables, laidOnStock } from "./cutJob";
import { blank, type CutPart, cutParts } from "./cutParts";
import { discs } from "./discs";
import { nested } from "./nest";
import { AS_DRAWN, drawnPieces, pieceLayer, piecesNamed } from "./pieceLayers";
import { layerBox } from "./place";

const areaOf = (p: Pick<CutPart, "outlines">) => p.outlines.reduce((sum, o) => sum + signedArea(o), 0);
const knives: (readonly [string, Design])[] = [
  ...DEMO_KNIVES,
  ...STARTING_FORMS.map((f) => [f, startingForm(f, f)] as const),
];

/** A blade of one thickness throughout, so that the weigher's volume is its area by that thickness. */
function flatBlade(design: Design): Design {
  const { blade, tang } = design;
  const mm = blade.spineMm;
  return {
    ...design,
    blade: {
      ...blade,
      measured: null,
      grind: { kind: "none" },
      leftGrind: null,
      tipThicknessMm: mm,
      taper: [],
      swedge: null,
      fullers: [],
      sharpenedDeg: null,
      ramp: null,
      bolster: null,
    },
    tang:
      tang.kind === "full"
        ? { ...tang, taper: null, recess: null }
        : { ...tang, frontThicknessMm: mm, endThicknessMm: mm, frontCornerMm: 0, endCornerMm: 0 },
  };
}

describe("areas of outlines, against the weigher's own", () => {
  it.each(knives)("the blank of %s within 0.02 %", (_, knife) => {
    const design = flatBlade(knife);
    // A round rod at the end of a tang has no one thickness.
    if (design.tang.kind === "hidden" && design.tang.end.kind !== "plain") return;
    const { regions, parts } = undrilled(assembleBare(bareBladeOf(design)), design);
    const volume = momentsOf({ regions, parts }).reduce(
      (sum, m, i) => sum + (parts[i].materials.length > 0 ? m.v : 0),
      0,
    );
    expect(Math.abs((areaOf(blank(design)) * design.blade.spineMm) / volume - 1)).toBeLessThan(2e-4);
  });

  it("guards that are as thick everywhere within 0.05 %", () => {
    let checked = 0;
    for (const [name, knife] of knives) {
      const { guard } = knife;
      if (!guard || guard.mesh || guard.domeMm > 0 || guard.endShare !== 1) continue;
      if (guard.sweepAboveMm !== 0 || guard.sweepBelowMm !== 0) continue;
      const assembly = unpierced(undrilled(assemble(knife), knife));
      const moments = momentsOf(assembly);
      for (const part of cutParts(knife).filter((p) => p.key.kind === "guard")) {
        const volume = assembly.parts.reduce((sum, p, i) => (p.id === part.id ? sum + moments[i].v : sum), 0);
        const outer = part.outlines.map(signedArea).filter((a) => a > 0);
        const off = (outer.reduce((a, b) => a + b, 0) * part.thicknessMm) / volume - 1;
        expect(Math.abs(off), `${name} ${part.id}`).toBeLessThan(5e-4);
        checked++;
      }
    }
    expect(checked).toBeGreaterThan(3);
  });
});

const knifeNamed = (file: string) => DEMO_KNIVES.find(([name]) => name === file)![1];

describe("what is cut", () => {
  it("is known by names that no two have, a left piece the mirror image of its right one", () => {
    for (const [name, knife] of knives) {
      const names = drawnPieces(knife).map((p) => p.name);
      expect(new Set(names).size, name).toBe(names.length);
      expect(names[0]).toBe("blank");
    }
    const heath = knifeNamed("heath-field-knife.json");
    const [right, left] = piecesNamed(heath, "liner").map((p) => pieceLayer(p, AS_DRAWN));
    expect([right.name, left.name]).toEqual(["liner-right", "liner-left"]);
    expect(left.circles.map((c) => c.x)).toEqual(right.circles.map((c) => -c.x));
    const area = (l: typeof left) => l.loops.reduce((sum, o) => sum + signedArea(o), 0);
    expect(area(left)).toBeCloseTo(area(right), 6);
    expect(area(left)).toBeGreaterThan(0);
    expect(piecesNamed(heath, "pommel")).toEqual([]);
  });

  it("is drilled at the size of the drill that the fit-up sheet names, in the knife's own places", () => {
    const heath = knifeNamed("heath-field-knife.json");
    const sheet = fitSheet(heath);
    for (const hole of blank(heath).holes) {
      if (!heath.fasteners.some((f) => f.xMm === hole.xMm && f.yMm === hole.yMm)) continue;
      expect(sheet.bores.map((b) => b.drill?.mm)).toContain(hole.diameterMm);
    }
    expect(blank(heath).holes.length).toBe(6);
  });

  it("grows by half the kerf and the allowance, holes and slots shrink by half the kerf", () => {
    const knife = knifeNamed("gorse-guard-knife.json");
    for (const name of ["blank", "guard"]) {
      const [piece] = piecesNamed(knife, name);
      const own = pieceLayer(piece, AS_DRAWN);
      const cut = pieceLayer(piece, { kerfMm: 0.4, allowanceMm: 1, leastHoleMm: 0 });
      const [a, b] = [layerBox(own)!, layerBox(cut)!];
      // Past a sharp tip the rounded corner reaches as far as the sides do.
      for (const [grown, was] of [
        [a.x0 - b.x0, 1.2],
        [b.y1 - a.y1, 1.2],
        [a.y0 - b.y0, 1.2],
        [b.x1 - a.x1, 1.2],
      ])
        expect(Math.abs(grown - was)).toBeLessThan(0.02);
      for (const [i, c] of cut.circles.entries())
        expect(c.radiusMm).toBeCloseTo(own.circles[i].radiusMm - 0.2, 9);
      const openings = (l: typeof own) => l.loops.filter((o) => signedArea(o) < 0);
      expect(openings(cut).length).toBe(openings(own).length);
      openings(cut).forEach((o, i) => {
        const [is, was] = [boxOf([o])!, boxOf([openings(own)[i]])!];
        expect(was.x1 - is.x1).toBeCloseTo(0.2, 2);
        expect(was.y1 - is.y1).toBeCloseTo(0.2, 2);
      });
    }
  });

  it("marks the centres of holes that the cutter cannot hold", () => {
    const [piece] = piecesNamed(knifeNamed("heath-field-knife.json"), "blank");
    const layer = pieceLayer(piece, { kerfMm: 0, allowanceMm: 0, leastHoleMm: 8 });
    expect(layer.circles.map((c) => 2 * c.radiusMm)).toEqual([10, 10, 10]);
    expect(layer.centres.length).toBe(3);
  });

  it("lies on sheets of stock without touching, every piece once, whatever the sheet", () => {
    const pieces = ["heath-field-knife.json", "mere-framed-hunter.json", "holm-leather-stack.json"]
      .flatMap((f) => drawnPieces(knifeNamed(f)))
      .map((p) => ({ layer: pieceLayer(p, AS_DRAWN), count: p.count, mayTurn: p.part.grain === null }));
    const many = pieces.reduce((sum, p) => sum + p.count, 0);
    fc.assert(
      fc.property(
        fc.integer({ min: 260, max: 900 }),
        fc.integer({ min: 60, max: 500 }),
        (widthMm, heightMm) => {
          const { sheets, tooLarge } = nested(pieces, { widthMm, heightMm, gapMm: 2, rimMm: 5 });
          expect(tooLarge).toEqual([]);
          expect(sheets.flatMap((s) => s.drawing.layers).length).toBe(many);
          expect(sheets.every((s) => s.usedShare > 0 && s.usedShare < 1)).toBe(true);
          for (const { layers } of sheets.map((s) => s.drawing)) {
            const boxes = layers.map((l) => layerBox(l)!);
            boxes.forEach((a, i) => {
              expect(Math.min(a.x0, a.y0, widthMm - a.x1, heightMm - a.y1)).toBeGreaterThan(5 - 0.02);
              for (const b of boxes.slice(i + 1))
                expect(Math.max(b.x0 - a.x1, a.x0 - b.x1, b.y0 - a.y1, a.y0 - b.y1)).toBeGreaterThan(
                  2 - 0.02,
                );
            });
          }
        },
      ),
      { numRuns: 40, seed: 15 },
    );
    const blade = pieces[0];
    expect(nested([blade], { widthMm: 100, heightMm: 100, gapMm: 2, rimMm: 5 }).tooLarge).toEqual(["blank"]);
  });

  it("keeps the grain along the sheet, and lays nothing of another material or thickness beside it", () => {
    const strip = (name: string, lengthMm: number, heightMm: number): Layer => ({
      name,
      loops: [
        straightLoop([
          { x: 0, y: 0 },
          { x: lengthMm, y: 0 },
          { x: lengthMm, y: heightMm },
          { x: 0, y: heightMm },
        ]),
      ],
      circles: [],
      centres: [],
    });
    // Sheets on which the packer would turn a piece to save room.
    const pieces = [strip("a", 90, 40), strip("b", 70, 30), strip("c", 60, 25), strip("d", 50, 45)];
    const turnedOf = (mayTurn: boolean) => {
      let turned = 0;
      for (let widthMm = 100; widthMm <= 200; widthMm += 10)
        for (let heightMm = 60; heightMm <= 200; heightMm += 10) {
          const wanted = pieces.map((layer) => ({ layer, count: 3, mayTurn }));
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

  it("has a disc for each of a stack, as many as length by pressed thickness, each with the tang's slot at its place", () => {
    const knife = knifeNamed("holm-leather-stack.json");
    const stack = cutList(knife).find((c) => c.discs)!;
    const all = discs(knife).filter((d) => d.piece === stack.id);
    const leather =
      knife.handle.kind === "stack" ? knife.handle.pieces.find((p) => stack.id.endsWith(p.id))! : null;
    // (stack length)/(thickness × (1 − pressed)). Common practice, no source.
    const lengthMm = stack.finishedMm.lengthMm * (1 - leather!.pressedShare);
    expect(all.length).toBe(
      Math.ceil(lengthMm / (stack.discs!.thicknessMm * (1 - leather!.pressedShare)) - 1e-9),
    );
    expect(all.length).toBeGreaterThan(10);
    // The tang tapers: each slot is no larger than the one before.
    all.slice(1).forEach((d, i) => {
      expect(d.slotMm![0]).toBeLessThanOrEqual(all[i].slotMm![0] + 1e-9);
      expect(signedArea(d.outlines[0])).toBeGreaterThan(100);
      expect(signedArea(d.outlines[1])).toBeLessThan(0);
    });
    expect(all[0].slotMm![0] - all[all.length - 1].slotMm![0]).toBeGreaterThan(0.5);
  });
});
