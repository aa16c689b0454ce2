import { describe, expect, it } from "vitest";
import { degrees } from "../../base/number";
import { flushCheck } from "../../exchange/cutting/flush";
import { gauges } from "../../exchange/cutting/gauges";
import { DEMO_KNIVES } from "../../exchange/files/knife/demo.fixtures";
import { signedArea } from "../../geometry/contours/loop";
import { CONSTRUCTIONS } from "../../knife/design/constructions.fixtures";
import { layoutOf } from "../../knife/layout/layout";
import { STARTING_FORMS, startingForm } from "../../knife/starts/startingForms";
import { grindingAids, handleFlats } from "./grinding";
import { openingAt, pieceOpenings } from "./openings";

const knives = [...DEMO_KNIVES, ...STARTING_FORMS.map((f) => [f, startingForm(f, f)] as const)];
const knife = (file: string) => knives.find(([name]) => name === file)![1];

describe("before a blade is ground", () => {
  it("the edge is scribed in the middle of the stock, or once on a blade of one ground side", () => {
    for (const [name, design] of knives) {
      const { scribedMm, edgeMm } = grindingAids(design);
      expect(scribedMm.length === 1 || scribedMm.length === 2, name).toBe(true);
      if (scribedMm.length === 2) {
        expect(scribedMm[1] - scribedMm[0], name).toBeCloseTo(edgeMm, 9);
        expect(scribedMm[0] + scribedMm[1], name).toBeCloseTo(design.blade.spineMm, 9);
      }
    }
  });

  it("each face leans by the angle whose tangent is half of what comes off, by its height", () => {
    let seen = 0;
    for (const [name, design] of knives)
      for (const s of grindingAids(design).stations)
        for (const face of [s.right, s.left]) {
          if (!face) continue;
          seen++;
          expect(face.heightMm, name).toBeGreaterThan(0);
          const [half, whole] = [2, 1].map((by) =>
            degrees(Math.atan((s.thicknessMm - design.blade.edgeMm) / by / face.heightMm)),
          );
          const nearest = Math.min(Math.abs(face.angleDeg - half), Math.abs(face.angleDeg - whole));
          expect(nearest, name).toBeLessThan(1e-9);
        }
    expect(seen).toBeGreaterThan(50);
  });
});

describe("before a handle is rounded", () => {
  it("its flats are no wider than it is, and its gauges as large as its sections", () => {
    for (const [name, design] of knives) {
      for (const f of handleFlats(design)) {
        expect(f.firstMm, name).toBeLessThan(Math.hypot(f.heightMm, 2 * f.halfMm));
        for (const w of [...f.secondMm, f.firstMm, f.halfMm]) expect(w, name).toBeGreaterThanOrEqual(0);
      }
      const { body } = layoutOf(design);
      for (const g of gauges(design)) {
        const slice = body.sliceAt(-g.behindMm);
        const ys = slice!.ys!;
        let area = 0;
        const n = 2000;
        for (let i = 0; i < n; i++) {
          const y = ys[0] + ((ys[ys.length - 1] - ys[0]) * (i + 0.5)) / n;
          area += ((slice!.high(y) - slice!.low(y)) * (ys[ys.length - 1] - ys[0])) / n;
        }
        const drawn = g.outlines.reduce((sum, o) => sum + signedArea(o), 0);
        expect(drawn / area, `${name} at ${g.behindMm}`).toBeCloseTo(1, 1);
      }
    }
  });
});

describe("guard and handle at their joint", () => {
  it("are compared in eight directions, the step one less the other", () => {
    const gorse = knife("gorse-guard-knife.json");
    const found = flushCheck(gorse);
    expect(found.map((f) => f.deg).sort((a, b) => a - b)).toEqual([-135, -90, -45, 0, 45, 90, 135, 180]);
    for (const f of found) {
      expect(f.stepMm).toBeCloseTo(f.guardMm - f.handleMm, 12);
    }
    // Straight to the sides it is the handle's own half thickness there; up and down its height in halves.
    const { body, frontX } = layoutOf(gorse);
    const slice = body.sliceAt(frontX - 0.005)!;
    const ys = slice.ys!;
    const half = (ys[ys.length - 1] - ys[0]) / 2;
    const handleAt = (deg: number) => found.find((f) => f.deg === deg)!.handleMm;
    expect(handleAt(0)).toBeCloseTo(slice.high(ys[0] + half), 1);
    expect(handleAt(180)).toBeCloseTo(-slice.low(ys[0] + half), 1);
    expect(handleAt(90)).toBeCloseTo(half, 1);
    expect(handleAt(-90)).toBeCloseTo(half, 1);
  });

  it("are not where there is no guard", () => {
    expect(flushCheck(knife("orchard-parer.json"))).toEqual([]);
  });
});

const upright = (x: number) => ({ stationAt: () => x, tiltDeg: 0 });

describe("the opening for a tang", () => {
  it("is the tang and its room on both sides, ever smaller as the tang tapers", () => {
    const stack = knife("holm-leather-stack.json");
    const { frontX, tangAt } = layoutOf(stack);
    const front = openingAt(stack, upright(frontX - 0.001))!;
    const { lowY, highY, halfMm } = tangAt(frontX - 0.001);
    const roomMm = (front.heightMm - (highY - lowY)) / 2;
    expect(front.thicknessMm).toBeCloseTo(2 * halfMm + 2 * roomMm, 2);
    expect(roomMm).toBeGreaterThan(0);
    expect(openingAt(stack, upright(-40))!.heightMm).toBeLessThan(front.heightMm);
    for (const p of pieceOpenings(stack)) expect(p.front.heightMm).toBeLessThanOrEqual(front.heightMm + 0.01);
  });

  it("behind the tang lets its rod slide, and there is none of a full tang", () => {
    for (const [name, design] of knives)
      if (design.tang.kind !== "hidden") expect(openingAt(design, upright(-1)), name).toBeNull();
    const cap = CONSTRUCTIONS["butt cap as the nut"];
    const [block] = pieceOpenings(cap);
    if (cap.tang.kind !== "hidden" || cap.tang.end.kind !== "cap-nut") throw new Error("no cap");
    // Half a millimetre more than the rod: common practice, no source.
    const round = cap.tang.end.diameterMm + 0.5;
    expect(block.rear!.roundMm).toBeCloseTo(round, 9);
    expect(block.rear!.heightMm).toBeCloseTo(round, 2);
    expect(block.rear!.thicknessMm).toBeCloseTo(round, 2);
  });
});
