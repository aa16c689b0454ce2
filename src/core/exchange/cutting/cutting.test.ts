import { describe, expect, it } from "vitest";
import { fitFigures } from "../../figures/fit/fitFigures";
import { cutList } from "../../figures/fit/stockList";
import { undrilled, unpierced } from "../../figures/pieces/undrilled";
import { momentsOf } from "../../figures/weigh/momentsOf";
import { boxOf, signedArea } from "../../geometry/contours/loop";
import { assemble } from "../../knife/assembly/assemble";
import { assembleBare } from "../../knife/assembly/bareBlade";
import type { Design } from "../../knife/design/schema";
import { STARTING_FORMS, startingForm } from "../../knife/starts/startingForms";
import { bareBladeOf } from "../../knife/starts/starts";
import { DEMO_KNIVES } from "../files/knife/demo.fixtures";
import { blank, type CutPart, cutParts } from "./cutParts";
import { AS_DRAWN } from "./cutSettings";
import { discs } from "./discs";
import { drawnPieces, pieceLayer, piecesNamed } from "./pieceLayers";
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
    const sheet = fitFigures(heath);
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
