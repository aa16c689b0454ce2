import fc from "fast-check";
import Module, { type ManifoldToplevel } from "manifold-3d";
import { beforeAll, describe, expect, it } from "vitest";
import { meshAgreement } from "../../figures/weigh/agreement";
import { weigh } from "../../figures/weigh/weigh";
import { patternShares } from "../../kinds/fasteners/patternedPin";
import { shippedMaterial } from "../../materials/materials";
import { newDesign, outlineFrom, plainFullTang, planFrom, tipFrom } from "../design/create";
import { newGuard } from "../design/guards";
import { newPiece } from "../design/newParts";
import { newScale } from "../design/newScale";
import { plainKnife } from "../design/plainKnife.fixtures";
import { type Design, designSchema, TIP_STYLES } from "../design/schema";
import { pieceStations } from "../shapes/pieces";
import { withTang } from "../starts/constructions";
import { checkDesign } from "../validity/checkDesign";
import { assemble } from "./assemble";
import { volumes } from "./volumes.fixtures";

const sound = newDesign("Sedge");

const plain = (kind: "full" | "hidden") => plainKnife(withTang(sound, kind));

describe("closed forms of each construction", () => {
  it("full tang: slab, liners and scales as boxes", () => {
    const base = plain("full");
    if (base.handle.kind !== "scales") throw new Error("no scales");
    const handle = { ...base.handle, liners: [{ material: "g10", thicknessMm: 1 }] };
    const v = volumes({ ...base, handle });
    expect(v.get("tang")).toBeCloseTo(100 * 24 * 4, 4);
    expect(v.get("liner:right")).toBeCloseTo(100 * 24, 4);
    expect(v.get("scale:left")).toBeCloseTo(100 * 24 * 7, 4);
  });

  it("tapered tang: the scales follow it, the whole handle stays", () => {
    const base = plain("full");
    const v = volumes({ ...base, tang: { ...plainFullTang(), taper: { frontMm: 4, buttMm: 1 } } });
    expect(v.get("tang")).toBeCloseTo(100 * 24 * 2.5, 4);
    expect(v.get("tang")! + v.get("scale:left")! + v.get("scale:right")!).toBeCloseTo(100 * 24 * 20, 4);
  });

  it("lightened tang: holes are cylinders, empty ones weigh nothing", () => {
    const holes = [
      { id: "full", xMm: -40, yMm: 0, diameterMm: 8, fill: "epoxy", purpose: "lighten" as const },
      { id: "empty", xMm: -60, yMm: 0, diameterMm: 8, fill: null, purpose: "lighten" as const },
    ];
    const design: Design = { ...plain("full"), tang: { ...plainFullTang(), holes } };
    const v = volumes(design);
    expect(v.get("hole:full")! / (Math.PI * 16 * 4)).toBeCloseTo(1, 5);
    expect(v.get("tang")! / (100 * 24 * 4 - 2 * Math.PI * 16 * 4)).toBeCloseTo(1, 6);
    const weighing = weigh(design);
    if (!weighing.ok) throw new Error("not weighed");
    expect(weighing.report.parts.map((p) => p.id)).not.toContain("empty");
  });

  it("hidden tang: stick, hole and block", () => {
    const base = plain("hidden");
    const tang = {
      ...base.tang,
      kind: "hidden",
      lengthMm: 60,
      yMm: 0,
      frontHeightMm: 12,
      endHeightMm: 8,
      frontThicknessMm: 4,
      endThicknessMm: 4,
      hole: { kind: "broached", clearanceMm: 0, deeperMm: 5, fill: "epoxy" },
    } as Design["tang"];
    const v = volumes({ ...base, tang });
    const stick = 60 * 10 * 4;
    // The hole goes on by the tang's own taper: 8 mm high at 60 mm, 8 − 5/15 at its bottom.
    const below = (5 * (8 + 8 - 1 / 3) * 4) / 2;
    expect(v.get("tang")).toBeCloseTo(stick, 4);
    expect(v.get("tang-hole")).toBeCloseTo(below, 4);
    expect(v.get("piece:piece-1")).toBeCloseTo(100 * 24 * 20 - stick - below, 3);
  });

  it("guard: a plate less its slot, and a handle that begins behind it", () => {
    const guard = { ...newGuard(sound), aboveMm: 15, belowMm: 20, widthMm: 18, roundness: 0 };
    const v = volumes({ ...plain("full"), guard });
    expect(v.get("guard")).toBeCloseTo(6 * (35 * 18 - 24 * 4), 4);
    expect(v.get("scale:right")).toBeCloseTo(94 * 24 * 8, 4);
    const hidden = volumes({ ...plain("hidden"), guard });
    // What the guard leaves is the slot, as high and thick as the tang falls over its 6 mm.
    const { tang } = plain("hidden");
    if (tang.kind !== "hidden") throw new Error("no hidden tang");
    const share = (x: number) => x / tang.lengthMm;
    const tall = (x: number) => tang.frontHeightMm + (tang.endHeightMm - tang.frontHeightMm) * share(x);
    const thick = (x: number) =>
      tang.frontThicknessMm + (tang.endThicknessMm - tang.frontThicknessMm) * share(x);
    // Simpson's rule is exact for the product of two straight falls.
    const slot = (tall(0) * thick(0) + 4 * tall(3) * thick(3) + tall(6) * thick(6)) * (6 / 6);
    expect(hidden.get("guard")! + slot).toBeCloseTo(6 * 35 * 18, 4);
  });

  it("oval guard: the area of an ellipse", () => {
    const guard = { ...newGuard(sound), aboveMm: 20, belowMm: 20, widthMm: 18, roundness: 1 };
    // On a full tang the handle's own front, 24 × 4 mm, fills the slot.
    const v = volumes({ ...plain("full"), guard });
    expect((v.get("guard")! + 6 * 24 * 4) / (6 * Math.PI * 20 * 9)).toBeCloseTo(1, 5);
  });

  it("pieces: each its length, the last the rest", () => {
    const base = plain("hidden");
    if (base.handle.kind !== "stack") throw new Error("no pieces");
    const piece = (id: string, lengthMm: number) => newPiece(id, "spacer", "g10", lengthMm);
    const handle = { ...base.handle, pieces: [piece("p1", 30), piece("p2", 20), piece("p3", 999)] };
    expect(pieceStations(handle, -6, -100)).toEqual([
      [-36, -6],
      [-56, -36],
      [-100, -56],
    ]);
    const v = volumes({ ...base, handle, tang: { ...base.tang, lengthMm: 5 } as Design["tang"] });
    expect(v.get("piece:p2")).toBeCloseTo(20 * 24 * 20, 4);
    expect(v.get("piece:p3")).toBeCloseTo(50 * 24 * 20, 4);
  });

  it("a patterned pin's shares add up to one, overfull or not", () => {
    const pin = (tube: number, rods: number) =>
      patternShares({
        tube: { material: "copper", share: tube },
        rods: { material: "brass-260", share: rods },
        fill: "epoxy",
      });
    for (const shares of [pin(0.3, 0.4), pin(0.9, 0.9)]) {
      expect(shares.reduce((s, m) => s + m.share, 0)).toBeCloseTo(1, 12);
      expect(shares.every((m) => m.share >= 0)).toBe(true);
    }
  });
});

/** Designs of every construction within what makers build; some of them impossible, which the review must say. */
const anyDesign: fc.Arbitrary<Design> = fc
  .record({
    length: fc.integer({ min: 90, max: 140 }),
    front: fc.integer({ min: 20, max: 30 }),
    swell: fc.integer({ min: 22, max: 34 }),
    drop: fc.integer({ min: 0, max: 12 }),
    halves: fc.tuple(...[1, 2, 3, 4].map(() => fc.integer({ min: 7, max: 12 }))) as fc.Arbitrary<
      [number, number, number, number]
    >,
    roundness: fc.constantFrom(0, 0.4, 0.7, 1),
    hidden: fc.boolean(),
    guarded: fc.boolean(),
    tip: fc.constantFrom(...TIP_STYLES),
    stock: fc.integer({ min: 4, max: 12 }),
    pinX: fc.integer({ min: 15, max: 80 }),
  })
  .map((r) => {
    const shaped = {
      ...sound,
      blade: { ...sound.blade, tip: tipFrom(r.tip, sound.blade.lengthMm) },
      handle: {
        ...sound.handle,
        outline: outlineFrom({
          lengthMm: r.length,
          frontMm: r.front,
          grooveMm: r.front - 2,
          swellMm: r.swell,
          buttMm: r.swell - 1,
          dropMm: r.drop,
        }),
        plan: planFrom(r.length, r.halves, r.roundness),
        right: newScale("walnut-black", r.stock),
        left: newScale("linen-phenolic", r.stock),
      },
      fasteners: [{ id: "pin-1", kind: "pin", xMm: -r.pinX, yMm: 0, diameterMm: 5, material: "brass-360" }],
    } as Design;
    const whole = r.hidden ? withTang(shaped, "hidden") : shaped;
    return r.guarded ? { ...whole, guard: newGuard(whole) } : whole;
  });

describe("random designs", () => {
  let kernel: ManifoldToplevel;
  beforeAll(async () => {
    kernel = await Module();
    kernel.setup();
  });

  it("are weighed in finite figures, or refused with a finding", () => {
    fc.assert(
      fc.property(anyDesign, (design) => {
        expect(designSchema.safeParse(design).success).toBe(true);
        const weighing = weigh(design);
        if (!weighing.ok) return weighing.findings.some((f) => f.severity === "error");
        const { massG, balanceMm, inertiaGmm2, parts } = weighing.report;
        const figures = [massG, balanceMm, ...Object.values(inertiaGmm2), ...parts.map((p) => p.massG)];
        return figures.every(Number.isFinite) && parts.every((p) => p.volumeMm3 >= 0);
      }),
      { seed: 31, numRuns: 60 },
    );
  });

  /** Source: npm's manifold-3d, two step sizes extrapolated; 0.1 % in each part over 200 mm³, 0.05 mm in balance. */
  it("agree with the mesh kernel part by part", () => {
    const designs = fc
      .sample(anyDesign, { seed: 77, numRuns: 14 })
      .filter((d) => checkDesign(d).every((f) => f.severity !== "error"));
    expect(designs.length).toBeGreaterThan(5);
    for (const design of designs.slice(0, 6)) {
      const assembly = assemble(design);
      let [mass, first, massMesh, firstMesh] = [0, 0, 0, 0];
      for (const p of meshAgreement(kernel, assembly)) {
        if (!(p.volumeMm3 > 200)) continue;
        const where = `${p.id} of ${JSON.stringify(design)}`;
        expect(Math.abs(p.meshVolumeMm3 / p.volumeMm3 - 1), where).toBeLessThan(0.001);
        const materials = assembly.parts.find((q) => q.id === p.id)!.materials;
        const density = materials.reduce(
          (s, k) => s + k.share * shippedMaterial(k.materialId)!.densityGcc.typical,
          0,
        );
        mass += density * p.volumeMm3;
        first += density * p.volumeMm3 * p.xMm;
        massMesh += density * p.meshVolumeMm3;
        firstMesh += density * p.meshVolumeMm3 * p.meshXMm;
      }
      expect(Math.abs(firstMesh / massMesh - first / mass)).toBeLessThan(0.05);
    }
  });
});
