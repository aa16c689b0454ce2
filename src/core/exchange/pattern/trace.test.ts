import fc from "fast-check";
import { describe, expect, it } from "vitest";
import { weigh } from "../../figures/weigh/weigh";
import { boxOf, flattened, mapped, straightLoop } from "../../geometry/contours/loop";
import { after as first, shifted, stretched, through, turned } from "../../geometry/curve/affine";
import type { Point } from "../../geometry/curve/bezier";
import { refusalOf } from "../../knife/design/refusal";
import type { Design } from "../../knife/design/schema";
import { AS_DRAWN } from "../cutting/cutSettings";
import { pieceLayer, piecesNamed } from "../cutting/pieceLayers";
import { readDxf } from "../files/dxf/read";
import { writeDxf } from "../files/dxf/write";
import { DEMO_KNIVES } from "../files/knife/demo.fixtures";
import { readSvg } from "../files/svg/read";
import { writeSvg } from "../files/svg/write";
import { withGuardOutline } from "./applyGuard";
import { withHoles } from "./applyHoles";
import { withOutline } from "./applyOutline";
import { fitKnots } from "./fitKnots";
import { shapesIn } from "./found";
import { placed, proposedPlacing } from "./placing";
import { likelyUnit, proposedAssignment, traced } from "./trace";

const knife = (file: string): Design => DEMO_KNIVES.find(([name]) => name === file)![1];
const bytes = (text: string) => new TextEncoder().encode(text);

function massOf(design: Design): number {
  const weighing = weigh(design);
  if (!weighing.ok) throw new Error(JSON.stringify(weighing.findings[0]));
  return weighing.report.massG;
}

const FORMATS = [
  ["dxf", writeDxf, readDxf],
  ["svg", writeSvg, readSvg],
] as const;

/** Knives whose blade is ground from its own drawing: what is in the hand weighs what it weighs. */
const own = DEMO_KNIVES.filter(([, k]) => k.blade.measured === null && k.blade.bolster === null);

describe("a blank that is written and traced in again", () => {
  it.each(own.flatMap(([file]) => FORMATS.map(([format]) => [file, format] as const)))(
    "of %s as %s weighs within 0.1 %, 0.3 % with a notch, its curves within 0.05 mm",
    (file, format) => {
      const [, write, read] = FORMATS.find(([f]) => f === format)!;
      const before = knife(file);
      const [piece] = piecesNamed(before, "blank");
      const reading = read(bytes(write({ layers: [pieceLayer(piece, AS_DRAWN)] })));
      if (!reading.ok) throw new Error(reading.code);
      const { shapes } = shapesIn(reading.drawing, reading.drawing.mmPerUnit!);
      // The knife that it is put onto has neither its outline nor its pins in place.
      const other: Design = { ...before, blade: { ...before.blade, outline: null } };
      const answer = traced(other, proposedAssignment(other, shapes, "blank")!);
      if (!answer.ok) throw new Error(answer.code);
      expect(answer.largestDeviationMm).toBeLessThan(0.05);
      expect(refusalOf(answer.design)).toBeNull();
      // A notch in the edge is part of the outline now, and the ground face follows it.
      const within = before.blade.notches.length > 0 ? 3e-3 : 1e-3;
      expect(Math.abs(massOf(answer.design) / massOf(before) - 1)).toBeLessThan(within);
    },
  );
});

describe("a pattern", () => {
  const [piece] = piecesNamed(knife("heath-field-knife.json"), "blank");
  const layer = pieceLayer(piece, AS_DRAWN);

  it("is laid right whichever way it lies on its sheet, the tip found by itself", () => {
    const expected = massOf(knife("heath-field-knife.json"));
    fc.assert(
      fc.property(
        fc.double({ min: -180, max: 180, noNaN: true }),
        fc.double({ min: -900, max: 900, noNaN: true }),
        fc.boolean(),
        (deg, shift, mirrors) => {
          const map = first(shifted(shift, 77 - shift), first(turned(deg), stretched(1, mirrors ? -1 : 1)));
          const to = (p: Point) => through(map, p);
          const moved = {
            ...layer,
            loops: layer.loops.map((l) => mapped(l, to, mirrors)),
            circles: layer.circles.map((c) => ({ ...to(c), radiusMm: c.radiusMm })),
          };
          const reading = readDxf(bytes(writeDxf({ layers: [moved] })));
          if (!reading.ok) throw new Error(reading.code);
          const { shapes } = shapesIn(reading.drawing, 1);
          const assigned = proposedAssignment(knife("heath-field-knife.json"), shapes, "blank")!;
          // The datum is proposed at the heel; its maker puts it on the shoulder, and says which side the edge is on.
          const datum = to({ x: 0, y: 0 });
          const placing = { datum, tipDeg: deg, mirrored: mirrors };
          const off = Math.cos(((assigned.placing.tipDeg - deg) * Math.PI) / 180);
          expect(off).toBeGreaterThan(0.99);
          expect(
            Math.hypot(assigned.placing.datum.x - datum.x, assigned.placing.datum.y - datum.y),
          ).toBeLessThan(30);
          const answer = traced(knife("heath-field-knife.json"), { ...assigned, placing });
          if (!answer.ok) throw new Error(answer.code);
          expect(Math.abs(massOf(answer.design) / expected - 1)).toBeLessThan(2e-3);
        },
      ),
      { numRuns: 12, seed: 15 },
    );
  });

  it("keeps the knife's own pins where their holes are, and takes away those that it has not", () => {
    const before = knife("heath-field-knife.json");
    const holes = before.fasteners
      .slice(0, 2)
      .map((f) => ({ xMm: f.xMm + 0.4, yMm: f.yMm, diameterMm: 6.5, as: null }));
    const drilled = withHoles(before, [
      ...holes,
      { xMm: -90, yMm: 0, diameterMm: 4.8, as: null },
      { xMm: -70, yMm: -2, diameterMm: 11, as: null },
    ]);
    expect(drilled.fasteners.length).toBe(3);
    expect(drilled.fasteners[0]).toEqual({ ...before.fasteners[0], xMm: before.fasteners[0].xMm + 0.4 });
    // 4.8 mm is the drill that a 3/16 in pin slides in.
    expect(drilled.fasteners[2].diameterMm).toBeCloseTo((3 / 16) * 25.4, 2);
    expect(drilled.tang.kind === "full" && drilled.tang.holes.map((h) => [h.diameterMm, h.purpose])).toEqual([
      [11, "lighten"],
    ]);
  });

  it("of a guard gives its heights, its width, its roundness and the room in its slot", () => {
    const before = knife("gorse-guard-knife.json");
    const [guard] = piecesNamed(before, "guard");
    const reading = readDxf(bytes(writeDxf({ layers: [pieceLayer(guard, AS_DRAWN)] })));
    if (!reading.ok) throw new Error(reading.code);
    const [outer, slot] = shapesIn(reading.drawing, 1).shapes.filter((s) => s.kind === "outline");
    const other = {
      ...before,
      guard: { ...before.guard!, aboveMm: 9, belowMm: 9, widthMm: 30, roundness: 0 },
    };
    const answer = withGuardOutline(other, outer.points, slot.points, "drawn");
    if (!answer.ok) throw new Error(answer.code);
    const made = answer.design.guard!;
    for (const key of ["aboveMm", "belowMm", "widthMm", "roundness"] as const)
      expect(Math.abs(made[key] - before.guard![key]), key).toBeLessThan(0.02);
    expect(answer.largestDeviationMm).toBeLessThan(0.05);
    expect(withGuardOutline({ ...before, guard: null }, outer.points, null, "drawn")).toEqual({
      ok: false,
      code: "no-guard",
    });
  });

  it("of a guard that a hand laid aslant on its sheet is the same guard", () => {
    const before = knife("gorse-guard-knife.json");
    const [guard] = piecesNamed(before, "guard");
    const reading = readDxf(bytes(writeDxf({ layers: [pieceLayer(guard, AS_DRAWN)] })));
    if (!reading.ok) throw new Error(reading.code);
    const [outer, slot] = shapesIn(reading.drawing, 1).shapes.filter((s) => s.kind === "outline");
    const sizes = (deg: number, laid: "drawn" | "by-hand") => {
      const aslant = (points: readonly Point[]) => points.map((p) => through(turned(deg), p));
      const made = withGuardOutline(before, aslant(outer.points), aslant(slot.points), laid);
      if (!made.ok) throw new Error(made.code);
      const { aboveMm, belowMm, widthMm } = made.design.guard!;
      return [aboveMm, belowMm, widthMm];
    };
    const straight = sizes(0, "drawn");
    for (const deg of [-8, 3, 11])
      for (const [i, mm] of sizes(deg, "by-hand").entries())
        expect(Math.abs(mm - straight[i]), `${deg}`).toBeLessThan(0.1);
    expect(Math.abs(sizes(8, "drawn")[2] - straight[2])).toBeGreaterThan(0.5);
  });

  it.each(["heath-field-knife.json", "rook-hunter.json", "orchard-parer.json", "sallow-camp-chopper.json"])(
    "of %s that a hand laid aslant lies straight",
    (file) => {
      const design = knife(file);
      const layer = pieceLayer(piecesNamed(design, "blank")[0], AS_DRAWN);
      const drawn = flattened(layer.loops[0], 0.05);
      const longMm = boxOf([straightLoop(drawn)])!;
      for (const deg of [-5, -2, 0, 3, 5, 25]) {
        const points = drawn.map((p) => through(first(shifted(150, 100), turned(deg)), p));
        const { tipDeg } = proposedPlacing(points, "blank", { x: 0, y: 0 }, "by-hand");
        const off = tipDeg - deg;
        expect(Math.abs(off - 180 * Math.round(off / 180)), `${deg}°`).toBeLessThan(0.7);
        const lying = boxOf([
          straightLoop(placed(points, proposedPlacing(points, "blank", undefined, "by-hand"))),
        ])!;
        expect(Math.abs(lying.x1 - lying.x0 - (longMm.x1 - longMm.x0))).toBeLessThan(0.5);
      }
    },
  );

  it("of a scale or a tang gives the handle and the bar", () => {
    const heath = knife("heath-field-knife.json");
    const [scale] = piecesNamed(heath, "scale-right");
    const reading = readDxf(bytes(writeDxf({ layers: [pieceLayer(scale, AS_DRAWN)] })));
    if (!reading.ok) throw new Error(reading.code);
    const { shapes } = shapesIn(reading.drawing, 1);
    for (const as of ["scale", "handle"] as const) {
      const answer = traced(heath, proposedAssignment(heath, shapes, as)!);
      if (!answer.ok) throw new Error(answer.code);
      expect(Math.abs(massOf(answer.design) / massOf(heath) - 1)).toBeLessThan(1e-3);
    }
    const stick = knife("marsh-stick-tang.json");
    if (stick.tang.kind !== "hidden") throw new Error("no bar");
    const bar = [
      [0, 5.5],
      [-80, 3],
      [-80, -4],
      [0, -6.5],
    ].map(([x, y]) => ({ x, y }));
    const made = withOutline(stick, "tang", bar, { withinMm: 0.1, cornerReachMm: 1, laid: "drawn" } as const);
    if (!made.ok || made.design.tang.kind !== "hidden") throw new Error("no bar");
    const { lengthMm, yMm, frontHeightMm, endHeightMm } = made.design.tang;
    expect([lengthMm, yMm, frontHeightMm, endHeightMm]).toEqual([80, -0.5, 12, 7]);
    expect(made.largestDeviationMm).toBeLessThan(1e-6);
  });

  it("whose datum lies outside it, or whose blade is longer than any, is refused with what is wrong", () => {
    const heath = knife("heath-field-knife.json");
    const square = (x0: number, x1: number) => [
      { x: x0, y: -9 },
      { x: x1, y: -9 },
      { x: x1, y: 9 },
      { x: x0, y: 9 },
    ];
    const fit = { withinMm: 0.1, cornerReachMm: 1, laid: "drawn" } as const;
    expect(withOutline(heath, "blank", square(5, 200), fit)).toEqual({ ok: false, code: "datum-outside" });
    expect(withOutline(heath, "blank", square(-120, 3000), fit)).toMatchObject({
      code: "length",
      of: "blade",
      mm: 3000,
    });
    expect(withOutline(heath, "handle", square(-12, 0), fit)).toMatchObject({
      code: "length",
      of: "handle",
      mm: 12,
    });
  });

  it("is proposed in the unit that makes it a knife", () => {
    const of = (length: number) => ({
      runs: [
        {
          layer: "",
          points: [
            { x: 0, y: 0 },
            { x: length, y: 0 },
          ],
          closed: false,
        },
      ],
      mmPerUnit: null,
      passedOver: {},
      unseen: {},
      doubts: {},
    });
    expect([230, 9, 900, 24, 0.24].map((l) => likelyUnit(of(l)))).toEqual(["mm", "in", "px", "cm", "m"]);
  });

  it("lies as it is drawn where it is drawn in the knife's frame", () => {
    const heath = pieceLayer(piece, AS_DRAWN).loops[0].map(({ x, y }) => ({ x, y }));
    const placing = proposedPlacing(heath, "blank");
    expect(placing).toEqual({ datum: { x: 0, y: 0 }, tipDeg: 0, mirrored: false });
    expect(placed(heath, placing)).toEqual(heath);
  });
});

describe("the curve through few points", () => {
  it("keeps corners, and needs two points for what is straight", () => {
    const run = [
      { x: 0, y: 0 },
      { x: 40, y: 0 },
      { x: 40, y: 30 },
    ];
    const { knots, largestDeviationMm } = fitKnots(run, { withinMm: 0.1, most: 30, cornerReachMm: 1 });
    expect(knots.map((k) => [k.x, k.y])).toEqual([
      [0, 0],
      [40, 0],
      [40, 30],
    ]);
    expect(largestDeviationMm).toBeLessThan(1e-9);
  });

  it("stays within the distance that was asked for, with ever fewer points for a larger one", () => {
    const wave = Array.from({ length: 800 }, (_, i) => ({ x: i / 4, y: 9 * Math.sin(i / 60) }));
    const counts = [0.02, 0.1, 0.5].map((withinMm) => {
      const fitted = fitKnots(wave, { withinMm, most: 60, cornerReachMm: 1 });
      expect(fitted.largestDeviationMm).toBeLessThanOrEqual(withinMm);
      return fitted.knots.length;
    });
    expect(counts[0]).toBeGreaterThan(counts[1]);
    expect(counts[1]).toBeGreaterThan(counts[2]);
    const few = fitKnots(wave, { withinMm: 0.02, most: 6, cornerReachMm: 1 });
    expect(few.knots.length).toBe(6);
    expect(few.largestDeviationMm).toBeGreaterThan(0.02);
  });
});
