import { describe, expect, it } from "vitest";
import { weigh } from "../../figures/weigh/weigh";
import { shippedMaterial } from "../../materials/materials";
import { ownId, plainOwn } from "../../materials/own/make";
import { CONSTRUCTIONS } from "../design/constructions.fixtures";
import { newDesign } from "../design/create";
import { materialsIn } from "../design/materials";
import { type Design, designSchema } from "../design/schema";
import { MATERIAL_PLACES } from "../parts/materialPlace";
import { materialAt, withMaterial } from "./materialPlaces";
import { inMaterials, proposedSets, setMaterial, setName } from "./materialSets";

const designs = Object.entries(CONSTRUCTIONS);
const none = { handle: null, fittings: null, sheets: null, pins: null };

function massOf(design: Design): number {
  const weighing = weigh(design);
  if (!weighing.ok) throw new Error(JSON.stringify(weighing.findings));
  return weighing.report.massG;
}

describe("a material in its place", () => {
  it.each(designs)("%s: is there once it was put there, and nothing else has changed", (_, design) => {
    for (const place of MATERIAL_PLACES) {
      const next = withMaterial(design, place, "titanium-5");
      const there = materialAt(design, place);
      if (there === null) expect(next).toBe(design);
      else {
        expect(materialAt(next, place), place).toBe("titanium-5");
        expect(designSchema.safeParse(next).success).toBe(true);
        const others = MATERIAL_PLACES.filter((p) => p !== place);
        expect(others.map((p) => materialAt(next, p))).toEqual(others.map((p) => materialAt(design, p)));
        expect({ ...next.blade, ...next.tang }).toEqual({ ...design.blade, ...design.tang });
      }
    }
  });

  it("a pressed washer of leather stays pressed as leather only", () => {
    const stack = Object.values(CONSTRUCTIONS).find(
      (d) =>
        d.handle.kind === "stack" && d.handle.pieces.some((p) => p.role === "washer" && p.pressedShare > 0),
    );
    if (stack?.handle.kind !== "stack") throw new Error("no pressed washers");
    const shares = (d: Design) =>
      d.handle.kind === "stack"
        ? d.handle.pieces.filter((p) => p.role === "washer").map((p) => p.pressedShare)
        : [];
    expect(Math.max(...shares(withMaterial(stack, "washers", "ebony-gaboon")))).toBe(0);
    expect(shares(withMaterial(stack, "washers", "leather-raw"))).toEqual(shares(stack));
  });
});

describe("same blade, six handles", () => {
  it.each(designs)("%s: six other materials for whatever has a handle", (_, design) => {
    const sets = proposedSets(design);
    expect(sets).toHaveLength(6);
    expect(new Set(sets.map((s) => s.handle)).size).toBe(6);
    const now = setMaterial(design, "handle");
    for (const set of sets) {
      expect(shippedMaterial(set.handle as string), `${set.handle}`).toBeDefined();
      expect(set.handle).not.toBe(now);
    }
  });

  /** Volume is the same and only density differs, so the change of weight is density's alone. */
  it("weighs more by the scales' volume times the difference in density", () => {
    const design = newDesign("Sedge");
    const before = weigh(design);
    if (!before.ok) throw new Error("not weighed");
    const scales = before.report.parts.filter((p) => p.material === "walnut-black");
    const cm3 = scales.reduce((s, p) => s + p.volumeMm3, 0) / 1000;
    const density = (id: string) => shippedMaterial(id)?.densityGcc.typical ?? Number.NaN;
    const next = inMaterials(design, { ...none, handle: "g10" });
    expect(massOf(next) - before.report.massG).toBeCloseTo(
      cm3 * (density("g10") - density("walnut-black")),
      9,
    );
    expect(inMaterials(design, none)).toBe(design);
  });

  it("is named for what it changes", () => {
    expect(setName({ ...none, handle: "g10", pins: "copper" }, shippedMaterial)).toBe(
      `${shippedMaterial("g10")?.name}, ${shippedMaterial("copper")?.name}`,
    );
    expect(setName(none, shippedMaterial)).toBe("As it is");
  });

  it("carry what is of their maker's own", () => {
    const own = { ...plainOwn(ownId("test")), name: "North lot" };
    const set = { handle: own.id, fittings: null, sheets: null, pins: null };
    const made = inMaterials(newDesign("Sedge"), set, [own]);
    expect(made.materials).toEqual([own]);
    expect(weigh(made).ok).toBe(true);
    expect(weigh(inMaterials(newDesign("Sedge"), set)).ok, "of what nobody knows").toBe(false);
    expect(setName(set, materialsIn(made))).toBe("North lot");
  });
});
