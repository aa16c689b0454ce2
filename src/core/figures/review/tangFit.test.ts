import { describe, expect, it } from "vitest";
import { applyEdit } from "../../edit/applyEdit";
import { FIXED_EDITS, type FixedEdit, type FixedPath } from "../../edit/fixed/edits";
import { newBolster } from "../../knife/design/newParts";
import type { Design, ScalesHandle } from "../../knife/design/schema";
import { STARTING_FORMS, startingForm } from "../../knife/starts/startingForms";
import { checkDesign } from "../../knife/validity/checkDesign";
import { fixedRecord } from "../../products/fixedRecord";
import { applyFix } from "./fixes";
import { reviewDesign } from "./reviewDesign";
import { burned, burnedDamp, inWood, pinAt, pins, sound, stickOf, withStick } from "./trips.fixtures";

const findingOf = (design: Design, rule: string) =>
  reviewDesign(design).findings.find((f) => f.rule === rule);

const edited = (design: Design, edit: FixedEdit) =>
  fixedRecord.tidied(applyEdit(FIXED_EDITS, design, edit), design);

/** Common practice, no source: what a hot tang may be driven into. */
describe("a tang that is burned in", () => {
  it.each(["maple-burl-stabilised", "g10", "linen-phenolic", "bone-cattle", "leather-veg"])(
    "is a danger in %s, which comes first, and drilling and broaching takes it away",
    (material) => {
      const [first] = reviewDesign(burned(material)).findings;
      expect(first).toMatchObject({ rule: "burned-in-fumes", severity: "error", subject: material });
      const fixed = applyFix(burned(material), first.fixes![0].fix);
      expect(stickOf(fixed).hole.kind).toBe("broached");
      expect(findingOf(fixed, "burned-in-fumes")).toBeUndefined();
    },
  );

  it("is warned of in soft wood and in what is not known, and is nothing to speak of in hardwood", () => {
    expect(findingOf(burned("pine-white"), "burned-in-soft")).toMatchObject({
      severity: "warning",
      limit: 0.65,
    });
    expect(findingOf(burned("beech"), "burned-in-soft")).toBeUndefined();
    expect(findingOf(burned("beech"), "burned-in-fumes")).toBeUndefined();
    expect(findingOf(burned("brass-360"), "burned-in-fumes")).toBeUndefined();
  });
});

it("is warned of in wood that is known to be damp, by its moisture, and not in what is dry", () => {
  expect(findingOf(burnedDamp(28), "burned-in-damp")).toMatchObject({ measured: 0.28, limit: 0.15 });
  expect(findingOf(burnedDamp(12), "burned-in-damp")).toBeUndefined();
});

describe("the mouth of a tang hole", () => {
  const open = withStick({ hole: { kind: "broached", clearanceMm: 0.6, deeperMm: 3, fill: null } });

  it("that nothing covers is told by how far it stands beyond the shoulder, and can be filled or covered", () => {
    const f = findingOf(open, "mouth-uncovered")!;
    // The bar is as thick as the blade, so that the room beside it is what is seen.
    expect(f.measured).toBeCloseTo(0.6, 6);
    expect(f.fixes?.map(({ fix }) => fix.kind)).toEqual(["block-hole", "add-piece"]);
    for (const { fix } of f.fixes ?? [])
      expect(findingOf(applyFix(open, fix), "mouth-uncovered")).toBeUndefined();
  });

  it("is none that is filled, or as close as a tenth", () => {
    const hole = { kind: "broached" as const, clearanceMm: 0.1, deeperMm: 3, fill: null };
    expect(findingOf(withStick({ hole }), "mouth-uncovered")).toBeUndefined();
    expect(
      findingOf(withStick({ hole: { ...hole, clearanceMm: 2, fill: "epoxy" } }), "mouth-uncovered"),
    ).toBeUndefined();
  });
});

describe("a shoulder lower than the hole behind it", () => {
  it("can be made higher, where only its height is short", () => {
    const { blade, ...rest } = withStick({});
    const depthMm = stickOf(withStick({})).lengthMm + 3;
    const thick = blade.spineMm;
    const hole = {
      kind: "milled" as const,
      heightMm: 13,
      widthMm: thick,
      cutterMm: thick,
      depthMm,
      fill: null,
    };
    const low = withStick(
      { hole },
      { ...rest, blade: { ...blade, ricassoHeightMm: 12, spineOverAxisMm: 6 } },
    );
    const f = findingOf(low, "mouth-uncovered")!;
    expect(f.measured).toBeCloseTo(0.5, 6);
    const higher = f.fixes?.find(({ fix }) => fix.kind === "set");
    expect(higher).toBeDefined();
    expect(findingOf(applyFix(low, higher!.fix), "mouth-uncovered")).toBeUndefined();
  });
});

describe("a round hole for a bar", () => {
  /** Handbook of the trade: a round hole for a square bar is its diagonal; 5 × 5 mm wants 7.1 mm. */
  const square = (bitMm: number) =>
    withStick({
      frontHeightMm: 5,
      endHeightMm: 5,
      frontThicknessMm: 5,
      endThicknessMm: 5,
      frontCornerMm: 0,
      endCornerMm: 0,
      hole: { kind: "drilled", stages: [{ bitMm, count: 1, pitchMm: 0, depthMm: 120 }], fill: null },
    });
  const misfit = (design: Design) => checkDesign(design).find((f) => f.rule === "tang-does-not-fit-hole");

  it("is judged by the bar's diagonal", () => {
    expect(misfit(square(7))).toMatchObject({ limit: 7 });
    expect(misfit(square(7))?.measured).toBeCloseTo(7.0711, 4);
    expect(misfit(square(7.1))).toBeUndefined();
  });

  it("that is begun anew takes it", () => {
    const begun = edited(square(7), { code: "hole-made", kind: "drilled" });
    const { hole } = stickOf(begun);
    expect(hole.kind === "drilled" && hole.stages).toMatchObject([{ count: 1, bitMm: 7.4 }]);
    expect(misfit(begun)).toBeUndefined();
  });
});

describe("blade and tang", () => {
  const set = (design: Design, path: FixedPath, to: number) => edited(design, { code: "set", path, to });

  it.each(STARTING_FORMS)("%s: a tang follows a thinner and a thicker spine, and nothing is said", (form) => {
    const begun = startingForm(form, "Sedge");
    for (const change of [-0.6, 0.8]) {
      const next = set(begun, "blade.spineMm", begun.blade.spineMm + change);
      expect(findingOf(next, "blade-thinner-than-tang")).toBeUndefined();
    }
  });

  it("what was set by hand, or is locked, stays; a tang left thicker is told, and can be brought along", () => {
    const { spineMm } = sound.blade;
    const tapered: Design = {
      ...sound,
      blade: { ...sound.blade, measured: null },
      tang: { ...sound.tang, taper: { frontMm: spineMm, buttMm: 2.4 } } as Design["tang"],
    };
    const taperOf = ({ tang }: Design) => (tang.kind === "full" ? tang.taper : null);
    expect(taperOf(set(tapered, "blade.spineMm", 3))).toEqual({ frontMm: 3, buttMm: 2.4 });
    expect(taperOf(set(tapered, "blade.spineMm", 2))).toEqual({ frontMm: 2, buttMm: 2 });
    const byHand = set(tapered, "tang.taper.frontMm", spineMm - 0.4);
    expect(taperOf(set(byHand, "blade.spineMm", 2.5))?.frontMm).toBe(spineMm - 0.4);
    const locked = { ...tapered, locked: ["tang.taper.frontMm"] };
    const left = set(locked, "blade.spineMm", 2.5);
    expect(taperOf(left)?.frontMm).toBe(spineMm);
    const free = { ...left, locked: [] };
    const f = findingOf(free, "blade-thinner-than-tang")!;
    expect(f.measured).toBeCloseTo(spineMm - 2.5, 9);
    expect(taperOf(applyFix(free, f.fixes![0].fix))).toEqual({ frontMm: 2.5, buttMm: 2.4 });
  });
});

describe("metal", () => {
  const bolstered = (material: string): Design => ({
    ...sound,
    handle: {
      ...(sound.handle as ScalesHandle),
      frontBevel: null,
      bolsters: { front: { ...newBolster(material), lengthMm: 15 }, rear: null },
    },
  });

  it("that nothing pins is told once of a pair, and a pin through it holds it", () => {
    const design = bolstered("brass-360");
    const found = reviewDesign(design).findings.filter((f) => f.rule === "metal-unpinned");
    expect(found).toMatchObject([{ part: { kind: "bolster", sort: "front", side: "right" } }]);
    const pinned = pins(design, ...design.fasteners, pinAt("pin-9", -8, 0));
    expect(findingOf(pinned, "metal-unpinned")).toBeUndefined();
    expect(findingOf(bolstered("g10"), "metal-unpinned")).toBeUndefined();
  });

  it("of a block on a glued tang is offered a pin of its own metal through the tang", () => {
    const block = inWood(withStick({}), "bronze-silicon");
    const f = findingOf(block, "metal-unpinned")!;
    const fix = f.fixes![0].fix;
    expect(fix).toMatchObject({
      kind: "add-fastener",
      fastener: { kind: "pin", material: "bronze-silicon" },
    });
    expect(findingOf(applyFix(block, fix), "metal-unpinned")).toBeUndefined();
  });
});
