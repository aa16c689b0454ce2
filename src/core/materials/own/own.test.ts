import { execFileSync } from "node:child_process";
import fc from "fast-check";
import { describe, expect, it } from "vitest";
import { weigh } from "../../figures/weigh/weigh";
import { newDesign } from "../../knife/design/create";
import { ownIdsIn, withDefinition, withOwnMaterials } from "../../knife/design/materials";
import { ownMaterial } from "../../knife/design/record/material";
import { designSchema } from "../../knife/design/schema";
import { MATERIALS, shippedMaterial } from "../materials";
import { searchMaterials } from "../search";
import type { Density, Material } from "../types";
import { anodicIndex, bearsPeening, isOily, isPressed, movementOf, toughnessOf } from "../working";
import { castPlan } from "./cast";
import { densityOf } from "./densityOf";
import { asMaterial, materialsWith } from "./known";
import { ownFrom, ownId, plainBasis, plainOwn } from "./make";
import { densityAtMoisture } from "./moisture";
import { BASIS_KINDS, DENSITY_LIMITS, type DensityBasis, type OwnMaterial } from "./types";
import { waterGcc } from "./water";

const exactly = (gcc: number): Density => ({ typical: gcc, low: gcc, high: gcc });
function densityFrom(basis: DensityBasis): Density {
  const reading = densityOf(basis);
  if (!reading.ok) throw new Error(reading.code);
  return reading.densityGcc;
}
const own = (density: DensityBasis, by: Partial<OwnMaterial> = {}): OwnMaterial => ({
  ...plainOwn(ownId("test-1")),
  name: "Mine",
  density,
  ...by,
});

describe("a density is worked out from", () => {
  it("a piece that was weighed and measured, errors by their squares", () => {
    const { typical, low, high } = densityFrom({
      kind: "piece",
      massG: 41.2,
      massOffG: 0.05,
      lengthMm: 120,
      heightMm: 40,
      thicknessMm: 10,
      sizeOffMm: 0.5,
    });
    // By hand: 41.2 / 48 = 0.85833; √((0.05/41.2)² + (0.5/120)² + (0.5/40)² + (0.5/10)²) = 5.17 %.
    expect(typical).toBeCloseTo(0.85833, 5);
    expect((high - typical) / typical).toBeCloseTo(0.0517, 4);
    expect(typical - low).toBeCloseTo(high - typical, 12);
  });

  it("a piece in water, at the water's temperature", () => {
    // Pure aluminium, 2.70 g/cm³: 27.00 g displace 10.00 ml, 9.982 g of water at 20 °C.
    const basis = { kind: "immersion", massG: 27, displacedG: 9.982, offG: 0, waterC: 20 } as const;
    expect(densityFrom(basis).typical).toBeCloseTo(2.7, 3);
    const off = densityFrom({ ...basis, offG: 0.1 });
    expect((off.high - off.typical) / off.typical).toBeCloseTo(Math.hypot(0.1 / 27, 0.1 / 9.982), 9);
  });

  it("water as Kell's formula has it", () => {
    // Kell, J. Chem. Eng. Data 20 (1975) 97, from memory; kg/m³ from °C.
    const kell = (t: number) =>
      (999.83952 +
        16.945176 * t -
        7.9870401e-3 * t ** 2 -
        46.170461e-6 * t ** 3 +
        105.56302e-9 * t ** 4 -
        280.54253e-12 * t ** 5) /
      (1 + 16.87985e-3 * t);
    for (let t = 0; t <= 40; t += 0.5) expect(waterGcc(t)).toBeCloseTo(kell(t) / 1000, 3);
    expect([waterGcc(-5), waterGcc(60)], "the nearer end").toEqual([waterGcc(0), waterGcc(40)]);
  });

  it("layers by volume and alloys by weight", () => {
    const steel = (gcc: number, share: number) => ({ name: "Steel", densityGcc: exactly(gcc), share });
    const layers: DensityBasis = { kind: "mix", by: "volume", parts: [steel(7.85, 2), steel(7.93, 1)] };
    expect(densityFrom(layers).typical, "two layers to one").toBeCloseTo((2 * 7.85 + 7.93) / 3, 12);
    // Sterling silver: 925 parts of silver, 75 of copper by weight; 10.49 and 8.96 g/cm³ give 10.36. Handbook value 10.36.
    const sterling: DensityBasis = { kind: "mix", by: "mass", parts: [steel(10.49, 925), steel(8.96, 75)] };
    expect(densityFrom(sterling).typical).toBeCloseTo(10.36, 2);
  });

  it("the same shares by volume as Debian's units adds them up", () => {
    const said = execFileSync("units", ["-t", "(0.6 * 38 + 0.4 * 72) lb/ft^3", "g/cm^3"], {
      encoding: "utf8",
    });
    const pound = 0.016018463;
    const blend: DensityBasis = {
      kind: "mix",
      by: "volume",
      parts: [
        { name: "Walnut", densityGcc: exactly(38 * pound), share: 60 },
        { name: "Resin", densityGcc: exactly(72 * pound), share: 40 },
      ],
    };
    expect(densityFrom(blend).typical).toBeCloseTo(Number(said), 5);
  });

  it("wood and the resin that it took up, as far as it has room", () => {
    const dry = { typical: 0.5, low: 0.45, high: 0.55 };
    const soaked = { kind: "taken-up", dry, takenUpShare: 0.6, takenUpOffShare: 0.1, resinGcc: 1.1 } as const;
    const { typical, low, high } = densityFrom(soaked);
    expect([typical, low, high].map((g) => g.toFixed(4))).toEqual(["0.8000", "0.6750", "0.9350"]);
    // Two thirds of it are room: 0.6667 × 1.1 / 0.5 = 1.4667 of its mass.
    expect(densityOf({ ...soaked, takenUpShare: 1.46 }).ok).toBe(true);
    const over = densityOf({ ...soaked, takenUpShare: 1.47 });
    expect(over).toMatchObject({ ok: false, code: "more-than-pores" });
    expect(!over.ok && over.code === "more-than-pores" && over.mostShare).toBeCloseTo(1.4667, 4);
  });

  it("a mould with pieces in it, and tells what to mix by volume and by weight", () => {
    const cast: Extract<DensityBasis, { kind: "cast" }> = {
      kind: "cast",
      lengthMm: 100,
      heightMm: 50,
      thicknessMm: 20,
      resin: { name: "Epoxy", densityGcc: exactly(1.15) },
      inclusions: [{ name: "Cones", densityGcc: exactly(0.7), massG: 28 }],
      mixing: { ratio: 2, by: "volume", densityA: 1.1, densityB: 1, wasteShare: 0 },
    };
    // 100 ml, of which 40 ml are cones: 60 ml of resin, 69 g; 97 g together.
    expect(densityFrom(cast).typical).toBeCloseTo(0.97, 12);
    const plan = castPlan(cast);
    expect(plan).toMatchObject({ mouldMm3: 100_000, inclusionsMm3: 40_000, resinMm3: 60_000 });
    expect([plan.resinG, plan.partA.ml, plan.partB.ml, plan.partA.g, plan.partB.g]).toEqual(
      [69, 40, 20, 44, 20].map((v) => expect.closeTo(v, 9)),
    );
    const byMass = castPlan({
      ...cast,
      mixing: { ratio: 100 / 45, by: "mass", densityA: 1.15, densityB: 0.95, wasteShare: 0.1 },
    });
    expect(byMass.partA.g / byMass.partB.g).toBeCloseTo(100 / 45, 9);
    expect(byMass.partA.ml + byMass.partB.ml, "with a tenth more for the cup").toBeCloseTo(66, 9);
    const full = { ...cast, inclusions: [{ name: "Shot", densityGcc: exactly(7), massG: 700 }] };
    expect(densityOf(full)).toEqual({ ok: false, code: "mould-full" });
  });

  it.each([
    // Specific gravity green and at 12 % of USDA Wood Handbook, FPL-GTR-282, table 5-3b, from memory.
    ["black walnut", 0.51, 0.55],
    ["black cherry", 0.47, 0.5],
    ["sugar maple", 0.56, 0.63],
    ["white oak", 0.6, 0.68],
    ["hard beech", 0.56, 0.64],
  ])("moisture: %s dries from basic gravity %d to %d at 12 %%", (_, green, at12) => {
    const densityGreen = densityAtMoisture(at12 * 1.12, 30) / 1.3;
    expect(Math.abs(densityGreen / green - 1), "of what it is green").toBeLessThan(0.05);
    expect(densityAtMoisture(at12 * 1.12, 12)).toBeCloseTo(at12 * 1.12, 12);
  });

  it("moisture: a light wood gains weight with it, and the range spans what is not known", () => {
    const at12 = exactly(0.6);
    const at = (moisturePercent: number, moistureOffPercent = 0) =>
      densityFrom({ kind: "moisture", at12, moisturePercent, moistureOffPercent });
    expect(at(6).typical).toBeLessThan(0.6);
    expect(at(18).typical).toBeGreaterThan(0.6);
    expect(at(10, 4)).toEqual({ typical: at(10).typical, low: at(6).typical, high: at(14).typical });
  });
});

describe("own materials", () => {
  const range = fc
    .tuple(...Array.from({ length: 3 }, () => fc.double({ min: 0.1, max: 20, noNaN: true })))
    .map(([a, b, c]): Density => {
      const [low, typical, high] = [a, b, c].sort((x, y) => x - y);
      return { low, typical, high };
    });

  it("of any kind of basis begin from one that gives a sound density near what was known", () => {
    for (const m of MATERIALS)
      for (const kind of BASIS_KINDS) {
        const reading = densityOf(plainBasis(kind, m.densityGcc));
        expect(reading.ok, `${m.id} ${kind}`).toBe(true);
        const parsed = ownMaterial.safeParse(own(plainBasis(kind, m.densityGcc)));
        expect(parsed.success, `${m.id} ${kind}: ${parsed.error}`).toBe(true);
      }
  });

  it("made of several things are as dense as something between them", () => {
    fc.assert(
      fc.property(
        fc.array(fc.record({ densityGcc: range, share: fc.double({ min: 0.001, max: 1000, noNaN: true }) }), {
          minLength: 2,
          maxLength: 8,
        }),
        fc.constantFrom("volume", "mass"),
        (parts, by) => {
          const d = densityFrom({ kind: "mix", by, parts: parts.map((p) => ({ ...p, name: "Part" })) });
          for (const end of ["low", "typical", "high"] as const) {
            const ends = parts.map((p) => p.densityGcc[end]);
            expect(d[end]).toBeGreaterThanOrEqual(Math.min(...ends) * (1 - 1e-12));
            expect(d[end]).toBeLessThanOrEqual(Math.max(...ends) * (1 + 1e-12));
          }
        },
      ),
    );
  });

  it.each<[string, DensityBasis, string]>([
    ["no density", { kind: "stated", ...exactly(0) }, "out-of-range"],
    ["one that nothing has", { kind: "stated", ...exactly(30) }, "out-of-range"],
    ["no number", { kind: "stated", ...exactly(Number.NaN) }, "out-of-range"],
    ["a range that is upside down", { kind: "stated", typical: 1, low: 1.2, high: 0.9 }, "not-in-order"],
    [
      "a piece that weighs nothing",
      { ...(plainBasis("piece", exactly(1)) as object), massG: 0 } as DensityBasis,
      "out-of-range",
    ],
  ])("with %s are refused, by what is wrong and where", (_, basis, code) => {
    expect(densityOf(basis)).toMatchObject({ ok: false, code });
    const parsed = designSchema.safeParse({ ...newDesign("Sedge"), materials: [own(basis)] });
    expect(parsed.success).toBe(false);
    expect(parsed.error?.issues.every((i) => i.path.slice(0, 3).join(".") === "materials.0.density")).toBe(
      true,
    );
  });

  it("are worked as what they are like, else as their class", () => {
    const made = (by: Partial<OwnMaterial>) =>
      asMaterial(own({ kind: "stated", ...exactly(1) }, by)) as Material;
    const shipped = (id: string) => shippedMaterial(id) as Material;
    expect(isOily(made({ like: "cocobolo" }))).toBe(true);
    expect(isOily(made({}))).toBe(false);
    expect(movementOf(made({ like: "teak" }))).toEqual(movementOf(shipped("teak")));
    expect(movementOf(made({ class: "metal" }))).toBeNull();
    expect(isPressed(made({ like: "cork" }))).toBe(true);
    expect(toughnessOf(made({ class: "laminate" }))).toBe("laminate");
    expect(bearsPeening(made({ class: "metal" }))).toBe(true);
    expect(anodicIndex(made({ class: "metal", like: "brass-360" }))).toBe(anodicIndex(shipped("brass-360")));
    for (const m of MATERIALS) {
      const copy = asMaterial(ownFrom(m, ownId("copy"))) as Material;
      const of = (x: Material) => [movementOf(x), isOily(x), bearsPeening(x), toughnessOf(x), anodicIndex(x)];
      expect(of(copy), m.id).toEqual(of(m));
    }
  });

  it("are found by name and by what they are like, beside those that ship", () => {
    const mine = asMaterial(own({ kind: "stated", ...exactly(1) }, { name: "North lot", like: "cocobolo" }));
    const all = [mine as Material, ...MATERIALS];
    expect(searchMaterials("north", all)[0].id).toBe("own-test-1");
    expect(searchMaterials("cocobolo", all).map((m) => m.id)).toContain("own-test-1");
    expect(searchMaterials("north").map((m) => m.id)).not.toContain("own-test-1");
  });
});

describe("a knife", () => {
  const steel = own(
    { kind: "stated", typical: 7.85, low: 7.8, high: 7.9 },
    { class: "steel", like: "steel-1084" },
  );
  const plain = newDesign("Sedge");
  const inSteel = { ...plain, blade: { ...plain.blade, steel: steel.id } };

  it("of an own material weighs by the density that it carries, and one that nobody knows is a fault", () => {
    const carried = withOwnMaterials(inSteel, [steel]);
    const lighter = weigh(withDefinition(carried, { ...steel, density: { kind: "stated", ...exactly(7) } }));
    const [mine, theirs] = [
      weigh(carried),
      weigh({ ...plain, blade: { ...plain.blade, steel: "steel-1084" } }),
    ];
    if (!mine.ok || !theirs.ok || !lighter.ok) throw new Error("unbuildable");
    expect(mine.report.massG).toBeCloseTo(theirs.report.massG, 9);
    const steelG = (r: typeof mine.report) => r.parts.find((p) => p.id === "blade")?.massG ?? Number.NaN;
    expect(steelG(lighter.report) / steelG(mine.report)).toBeCloseTo(7 / 7.85, 9);
    const unknown = weigh(inSteel);
    expect(unknown.ok).toBe(false);
    expect(unknown.findings).toContainEqual(
      expect.objectContaining({ rule: "unknown-material", subject: steel.id }),
    );
  });

  it("carries what it is made of, as it has it, and nothing else", () => {
    const other = own({ kind: "stated", ...exactly(1) }, { id: ownId("other") });
    const carried = withOwnMaterials(inSteel, [other, steel]);
    expect(carried.materials).toEqual([steel]);
    expect(withOwnMaterials(carried, [{ ...steel, name: "Other" }]), "as it has it").toBe(carried);
    expect(withOwnMaterials({ ...plain, materials: carried.materials }, [steel]).materials).toEqual([]);
    expect([...ownIdsIn({ ...inSteel, notes: other.id })], "what is only said is not made of it").toEqual([
      steel.id,
    ]);
    expect(materialsWith(carried.materials)).toBe(materialsWith(carried.materials));
    expect(materialsWith([])("g10")).toBe(shippedMaterial("g10"));
  });

  it("has every density within what may be stated", () => {
    for (const { densityGcc: d } of MATERIALS) {
      expect(d.low).toBeGreaterThanOrEqual(DENSITY_LIMITS[0]);
      expect(d.high).toBeLessThanOrEqual(DENSITY_LIMITS[1]);
    }
  });
});
