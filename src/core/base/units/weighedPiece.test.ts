import { describe, expect, it } from "vitest";
import { densityOf, parseBox, parseWeight } from "./weighedPiece";

describe("the density of a weighed piece", () => {
  it("is its weight over its volume, and as sure as its readings", () => {
    const found = densityOf(parseWeight("41.2g")!, parseBox("120x40x10mm")!)!;
    expect(found.densityGcc).toBeCloseTo(41.2 / 48, 9);
    // By hand: 0.05/41.2, 0.5/120, 0.5/40 and 0.5/10, squared, added, rooted: 5.17 %.
    expect(found.plusMinus / found.densityGcc).toBeCloseTo(0.0517, 4);
    const finer = densityOf(parseWeight("41.2g")!, parseBox("120.0x40.00x10.00mm")!)!;
    expect(finer.plusMinus).toBeLessThan(found.plusMinus / 10);
  });

  it("is read in other units: 1 lb in a cubic foot is 0.016018 g/cm³", () => {
    const found = densityOf(parseWeight("1 lb")!, parseBox("12 x 12 x 12 in")!)!;
    expect(found.densityGcc).toBeCloseTo(0.016018463, 8);
    expect(parseBox('4 x 1 x 1/4"')).toBeNull();
    expect(parseBox("10cm x 40mm x 1 in")!.map((s) => s.value)).toEqual([100, 40, 25.4]);
  });

  it("is not told of what is no weight or no box", () => {
    for (const bad of ["", "41", "g", "-3g", "41,2g"]) expect(parseWeight(bad)).toBeNull();
    for (const bad of ["", "120x40", "120x40x10x2", "axbxc", "1x2x-3mm"]) expect(parseBox(bad)).toBeNull();
    expect(densityOf(parseWeight("0g")!, parseBox("1x1x1")!)).toBeNull();
    expect(densityOf(parseWeight("5g")!, parseBox("1x0x1")!)).toBeNull();
  });
});
