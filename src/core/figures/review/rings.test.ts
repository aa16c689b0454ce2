import { describe, expect, it } from "vitest";
import { fingerMm } from "../../knife/design/fingerRings";
import { ringsOf } from "../../knife/design/handleParts";
import type { Design } from "../../knife/design/schema";
import { newRing } from "../../knife/layout/newRing";
import { applyFix } from "./fixes";
import { reviewDesign } from "./reviewDesign";
import { ringed } from "./trips.fixtures";

const findingOf = (design: Design, rule: string) =>
  reviewDesign(design).findings.find((f) => f.rule === rule);

const forHand = (design: Design, handMm: number): Design => ({
  ...design,
  workshop: { ...design.workshop, handMm },
});

describe("finger rings by the hand's fingers", () => {
  it("takes a finger of 20 mm for a hand of 85: DIN 33402-2, from memory", () => {
    expect(fingerMm(85)).toBe(20);
  });

  it("wants 2 mm of room: a bore of 22 mm holds, one of 21.9 is told and widened downward", () => {
    expect(findingOf(ringed(22), "ring-narrow")).toBeUndefined();
    const tight = ringed(21.9);
    const finding = findingOf(tight, "ring-narrow")!;
    expect(finding.measured).toBeCloseTo(1.9, 9);
    const [before] = ringsOf(tight.handle);
    const fixed = applyFix(tight, finding.fixes![0].fix);
    const [after] = ringsOf(fixed.handle);
    expect(after.boreMm).toBeCloseTo(22, 9);
    expect(after.yMm + after.boreMm / 2).toBeCloseTo(before.yMm + before.boreMm / 2, 9);
    expect(findingOf(fixed, "ring-narrow")).toBeUndefined();
  });

  it("follows the hand that it is for", () => {
    expect(findingOf(forHand(ringed(22), 100), "ring-narrow")).toBeDefined();
    expect(findingOf(forHand(ringed(18), 68), "ring-narrow")).toBeUndefined();
  });

  it("stand a quarter of the hand apart, to within what a finger is spread; those behind move along", () => {
    expect(findingOf(ringed(22, 29), "ring-spacing")).toBeUndefined();
    const wide = ringed(22, 31, 57);
    const finding = findingOf(wide, "ring-spacing")!;
    expect(finding.measured).toBeCloseTo(31 - 85 / 4, 9);
    const fixed = applyFix(wide, finding.fixes![0].fix);
    const [a, b, c] = ringsOf(fixed.handle).map((r) => r.xMm);
    expect(a - b).toBeCloseTo(29.2, 6);
    expect(b - c).toBeCloseTo(26, 6);
    expect(findingOf(fixed, "ring-spacing")).toBeUndefined();
  });

  it.each([60, 85, 110])("a new one and the next bring no warning for a hand of %d mm", (handMm) => {
    const bare = forHand(ringed(22), handMm);
    if (bare.handle.kind !== "stack") throw new Error("no stack");
    let design: Design = { ...bare, handle: { ...bare.handle, rings: [] } };
    for (const id of ["n-1", "n-2", "n-3"]) {
      const handle = design.handle as typeof bare.handle;
      design = { ...design, handle: { ...handle, rings: [...handle.rings, newRing(id, design)!] } };
      expect(findingOf(design, "ring-narrow")).toBeUndefined();
      expect(findingOf(design, "ring-spacing")).toBeUndefined();
    }
  });
});
