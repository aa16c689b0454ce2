import { describe, expect, it } from "vitest";
import { CONSTRUCTIONS } from "../../knife/design/constructions.fixtures";
import { newDesign } from "../../knife/design/create";
import { withHandleLength } from "../../knife/layout/handleLengths";
import { withTang } from "../../knife/starts/constructions";
import { inMaterials } from "../../knife/starts/materialSets";
import { differingTraits, TRAITS, traitOf } from "./traits";

const sedge = newDesign("Sedge");

describe("what tells knives apart", () => {
  it("is nothing between a knife and itself, whatever it is called", () => {
    expect(differingTraits([sedge, { ...sedge, name: "Other", notes: "x" }])).toEqual([]);
    expect(differingTraits([sedge])).toEqual([]);
    expect(differingTraits([])).toEqual([]);
  });

  it.each(Object.entries(CONSTRUCTIONS))("%s: every length of it is a number", (_, design) => {
    for (const trait of TRAITS) {
      const value = traitOf(design, trait);
      if (value?.kind === "mm") expect(value.mm, trait).toBeGreaterThan(0);
      if (value?.kind === "count") expect(Number.isInteger(value.count)).toBe(true);
    }
  });

  it("is what was changed, and that only", () => {
    const long = { ...sedge, handle: withHandleLength(sedge.handle, "length", 120) };
    expect(differingTraits([sedge, long])).toEqual(["handle-length"]);
    const other = inMaterials(sedge, { handle: "g10", fittings: null, sheets: null, pins: "copper" });
    expect(differingTraits([sedge, other])).toEqual(["scales", "pins"]);
    expect(differingTraits([sedge, sedge, long])).toEqual(["handle-length"]);
  });

  it("of another tang: its kind, its length, and the pieces that come with it", () => {
    const hidden = withTang(sedge, "hidden");
    const traits = differingTraits([sedge, hidden]);
    expect(traits).toEqual(expect.arrayContaining(["tang", "tang-length", "scales", "block"]));
    expect(traitOf(hidden, "tang")).toEqual({ kind: "tang", tang: "hidden", end: "plain" });
    expect(traitOf(hidden, "tang-openings")).toBeNull();
  });
});
