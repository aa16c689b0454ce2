import Module, { type ManifoldToplevel } from "manifold-3d";
import { beforeAll, describe, expect, it } from "vitest";
import { assemble } from "../../knife/assembly/assemble";
import { CONSTRUCTIONS } from "../../knife/design/constructions.fixtures";
import { newDesign } from "../../knife/design/create";
import { guardOfForm } from "../../knife/design/guards";
import { newPiece } from "../../knife/design/newParts";
import { plainKnife } from "../../knife/design/plainKnife.fixtures";
import type { Design, HiddenTang, PieceShape } from "../../knife/design/schema";
import { inKernelScope } from "../../knife/kernel/kernelScope";
import { partSolids } from "../../knife/kernel/partMeshes";
import { measureSolid } from "../../knife/kernel/solidParts";
import { withTang } from "../../knife/starts/constructions";
import { shippedMaterial } from "../../materials/materials";
import { printedInside } from "./printedInside";
import { weigh } from "./weigh";

const sound = newDesign("Sedge");
const hidden = plainKnife(withTang(sound, "hidden"));
type Printed = { infillShare: number; wallMm: number };

/** A printed end of its own shape, clear of the tang. */
function ended(shape: PieceShape, lengthMm: number, printed: Printed | null): Design {
  const pieces = [
    newPiece("b", "block", "g10", 50),
    { ...newPiece("p", "pommel", "pla", lengthMm), shape, printed },
  ];
  const tang = { ...(hidden.tang as HiddenTang), lengthMm: 20 };
  return { ...hidden, tang, handle: { ...hidden.handle, pieces } as Design["handle"] };
}

function partOf(design: Design, id: string) {
  const weighing = weigh(design);
  const part = weighing.ok ? weighing.report.parts.find((p) => p.id === id) : null;
  if (!part) throw new Error(JSON.stringify(weighing.findings));
  return part;
}

const SHAPES: readonly (readonly [string, PieceShape, number, (wall: number) => number])[] = [
  [
    "a box",
    { kind: "plate", aboveMm: 10, belowMm: 14, widthMm: 18, roundness: 0, domeMm: 0, frontDomeMm: 0 },
    20,
    (w) => (20 - 2 * w) * (24 - 2 * w) * (18 - 2 * w),
  ],
  ["a ball", { kind: "ball", diameterMm: 26, yMm: 0 }, 26, (w) => (4 / 3) * Math.PI * (13 - w) ** 3],
  [
    "a disc on edge",
    { kind: "disc", diameterMm: 30, widthMm: 12, yMm: 0 },
    30,
    (w) => Math.PI * (15 - w) ** 2 * (12 - 2 * w),
  ],
  [
    "a domed plate, half a ball",
    { kind: "plate", aboveMm: 11, belowMm: 11, widthMm: 22, roundness: 1, domeMm: 11, frontDomeMm: 0 },
    11,
    // A ball's cap: what of a ball of R − w lies a wall behind its middle.
    (w) => (Math.PI * (11 - 2 * w) ** 2 * (3 * (11 - w) - (11 - 2 * w))) / 3,
  ],
];

let kernel: ManifoldToplevel;
beforeAll(async () => {
  kernel = await Module();
  kernel.setup();
});

describe("what lies a wall inside a printed part", () => {
  it.each(SHAPES)("of %s, by a closed form, within a hundredth", (_, shape, length, inside) => {
    for (const wallMm of [0.8, 1.2, 2]) {
      const design = ended(shape, length, { infillShare: 0.2, wallMm });
      const found = printedInside(assemble(design), "piece:p", wallMm);
      expect(Math.abs(found.v / inside(wallMm) - 1)).toBeLessThan(0.01);
    }
  });

  /** Source: npm's manifold-3d, the difference of the guard's solid and a ball rolled over all of its surface (Minkowski). */
  it.each(["oval", "straight"] as const)("of a guard, %s, within two hundredths of the kernel's", (form) => {
    const base = withTang(sound, "hidden");
    const plates = [{ material: "pla", thicknessMm: 8, printed: { infillShare: 0.2, wallMm: 1.5 } }];
    const assembly = assemble({ ...base, guard: { ...guardOfForm(form, base), plates } });
    const found = printedInside(assembly, "guard", 1.5);
    inKernelScope((scope) => {
      const solids = partSolids(kernel, assembly, { stations: 8, rows: 16 });
      for (const { solid } of solids) scope.hold(solid);
      const guard = solids.find((s) => s.id === "guard");
      if (!guard) throw new Error("no guard");
      const ball = scope.hold(kernel.Manifold.sphere(1.5, 12));
      const inner = measureSolid(scope.hold(guard.solid.minkowskiDifference(ball)));
      expect(Math.abs(found.v / inner.volumeMm3 - 1)).toBeLessThan(0.02);
      expect(Math.abs(found.originX + found.x / found.v - inner.centreMm[0])).toBeLessThan(0.05);
    });
  });

  it("is nothing where its walls meet everywhere, and all of it where there is none", () => {
    const ball = { kind: "ball", diameterMm: 26, yMm: 0 } as const;
    const of = (printed: Printed | null) => partOf(ended(ball, 26, printed), "piece:p").massG;
    expect(printedInside(assemble(ended(ball, 26, null)), "piece:p", 13.5).v).toBe(0);
    expect(of({ infillShare: 0.2, wallMm: 14 })).toBe(of(null));
    expect(of({ infillShare: 1, wallMm: 1 })).toBe(of(null));
    expect(of({ infillShare: 0.35, wallMm: 0 }) / of(null)).toBeCloseTo(0.35, 12);
  });
});

describe("a printed part", () => {
  it("weighs its walls and the infill's share of what they leave, and keeps its volume", () => {
    const box = SHAPES[0][1];
    const [solid, open] = [null, { infillShare: 0.25, wallMm: 1.6 }].map((p) =>
      partOf(ended(box, 20, p), "piece:p"),
    );
    const density = shippedMaterial("pla")!.densityGcc.typical / 1000;
    const inside = SHAPES[0][3](1.6);
    expect(open.volumeMm3).toBeCloseTo(solid.volumeMm3, 9);
    expect(solid.massG).toBeCloseTo(solid.volumeMm3 * density, 9);
    expect(Math.abs(open.massG / ((solid.volumeMm3 - 0.75 * inside) * density) - 1)).toBeLessThan(0.001);
  });

  it("balances where its material is: a thin end is solid, a thick one is not", () => {
    // Half a ball's dome in front of its flat rear half: most of its hollow lies in the block behind the dome's edge.
    const domed: PieceShape = {
      kind: "plate",
      aboveMm: 11,
      belowMm: 11,
      widthMm: 22,
      roundness: 1,
      domeMm: 11,
      frontDomeMm: 0,
    };
    const [solid, open] = [null, { infillShare: 0, wallMm: 1.2 }].map(
      (p) => partOf(ended(domed, 24, p), "piece:p").centreMm[0],
    );
    // In closed form: a cylinder 13 long with half a ball behind it, less the same drawn in by the wall.
    const moment = (r: number, front: number, middle: number): readonly [number, number] => {
      const [long, ball] = [Math.PI * r * r * (front - middle), (2 / 3) * Math.PI * r ** 3];
      return [long + ball, (long * (front + middle)) / 2 + ball * (middle - (3 / 8) * r)];
    };
    const [v, x] = moment(11, -76, -89);
    const [vIn, xIn] = moment(11 - 1.2, -76 - 1.2, -89);
    expect(solid).toBeCloseTo(x / v, 3);
    expect(Math.abs(open - (x - xIn) / (v - vIn))).toBeLessThan(0.1);
    expect(Math.abs(open - solid)).toBeGreaterThan(0.3);
  });

  it("grows with the wall and with the infill", () => {
    const mass = (infillShare: number, wallMm: number) =>
      partOf({ ...CONSTRUCTIONS["printed guard"], ...guardPrinted({ infillShare, wallMm }) }, "guard").massG;
    const walls = [0, 0.4, 0.8, 1.2, 2, 3.9].map((wall) => mass(0.15, wall));
    expect(walls).toEqual([...walls].sort((a, b) => a - b));
    expect(mass(0.3, 1)).toBeGreaterThan(mass(0.2, 1));
  });
});

function guardPrinted(printed: Printed): Pick<Design, "guard"> {
  const { guard } = CONSTRUCTIONS["printed guard"];
  if (!guard) throw new Error("no guard");
  return { guard: { ...guard, plates: guard.plates.map((p) => ({ ...p, printed })) } };
}
