import { spawnSync } from "node:child_process";
import fc from "fast-check";
import { describe, expect, it } from "vitest";
import { MM_PER_INCH, parseLength } from "./length";
import {
  GRAMS_PER_OUNCE,
  type MeasureKind,
  measureOf,
  printFraction,
  printLength,
  printLengthBare,
  printLengthPlain,
  printMass,
  printMeasure,
} from "./print";

function mm(text: string, unit: "mm" | "in" = "mm"): number {
  const reading = parseLength(text, unit);
  if (!reading.ok) throw new Error(`${text}: ${reading.code}`);
  return reading.mm;
}

describe("reading a length as makers write it", () => {
  // Check values of common practice: 1/4 in pin, letter F 0.257 in = 6.53 mm; No. 13 drill 0.185 in = 4.70 mm.
  it.each([
    ["3/16", 4.7625],
    ['1 1/4"', 31.75],
    ["1-1/4 in", 31.75],
    ["4.76mm", 4.76],
    ["4,76 mm", 4.76],
    [".257", 6.5278],
    ["#13", 4.699],
    ["No. 13", 4.699],
    ["F", 6.5278],
    ["f", 6.5278],
    ["2.5 cm", 25],
    ["-3.5", -3.5],
    ["−1/8", -3.175],
    ["12", 12],
  ])("%s is %f mm", (text, expected) => {
    expect(mm(text)).toBeCloseTo(expected, 9);
  });

  it("takes a bare decimal in the maker's own unit", () => {
    expect(mm("0.25", "in")).toBeCloseTo(6.35, 12);
    expect(mm("0.25", "mm")).toBe(0.25);
  });

  it.each([
    ["", "empty"],
    ["   ", "empty"],
    ["3/0", "zero-denominator"],
    ["#99", "no-such-drill"],
    ["-F", "no-such-drill"],
    ["abc", "not-a-length"],
    ["1/2/3", "not-a-length"],
    ["4 mm mm", "not-a-length"],
    ["1e3", "not-a-length"],
    ["NaN", "not-a-length"],
    ["999999999", "too-large"],
  ])("refuses %j as %s", (text, code) => {
    expect(parseLength(text, "mm")).toMatchObject({ ok: false, code });
  });

  it("never answers NaN, whatever is typed", () => {
    fc.assert(
      fc.property(fc.string(), fc.constantFrom("mm" as const, "in" as const), (text, unit) => {
        const reading = parseLength(text, unit);
        return !reading.ok || Number.isFinite(reading.mm);
      }),
      { seed: 20261124 },
    );
  });
});

describe("printing", () => {
  it("reads back to within half a sixty-fourth what it prints as a fraction", () => {
    fc.assert(
      fc.property(fc.double({ min: 0.02, max: 30, noNaN: true }), (inches) => {
        const back = mm(printFraction(inches), "in") / MM_PER_INCH;
        return Math.abs(back - inches) <= 1 / 128 + 1e-12;
      }),
      { seed: 7 },
    );
  });

  it("prints reduced fractions and true signs", () => {
    expect(printFraction(1.25)).toBe("1 1/4");
    expect(printFraction(-3 / 16)).toBe("−3/16");
    expect(printFraction(63.9999 / 64)).toBe("1");
    expect(printLength(-0.04, "metric")).toBe("0.0 mm");
    expect(printLength(4.7625, "inch-fraction")).toBe("3/16 in");
    expect(printLengthBare(25.4, "inch")).toBe("1.000");
    expect(printLength(Number.NaN, "metric")).toBe("–");
    // What is finer than a 64th of an inch is not nothing.
    expect(printLength(0.1, "inch-fraction")).toBe("0.004 in");
    expect(printLength(-0.1, "inch-fraction")).toBe("−0.004 in");
    expect(printLength(0, "inch-fraction")).toBe("0 in");
    expect(printLength(0.4, "inch-fraction")).toBe("1/64 in");
  });

  it("prints ounces by the exact definition", () => {
    expect(printMass(GRAMS_PER_OUNCE, "inch")).toBe("1.00 oz");
    expect(printMass(182.44, "metric")).toBe("182.4 g");
    // An avoirdupois ounce is 28.349523125 g: 182.44 g are 6.435 of them, and three eighths are 0.375.
    expect(printMass(182.44, "inch")).toBe("6.44 oz");
    expect(printMass(182.44, "inch-fraction")).toBe("6 3/8 oz");
    expect(printMass(-182.44, "inch-fraction")).toBe("−6 3/8 oz");
    expect(printMass(4.52, "inch")).toBe("0.16 oz");
    expect(printMass(-0.4, "inch-fraction")).toBe("−0.01 oz");
  });
});

describe("moments, inertias, forces and stresses", () => {
  it("are read in metric or inch units, a minus is a minus, and what is no number is a dash", () => {
    expect(printMeasure("moment", -169.4, "metric")).toBe("−169 N·mm");
    expect(printMeasure("inertia", 5708e3, "metric")).toBe("5708 kg·mm²");
    expect(printMeasure("stress", 130, "inch-fraction")).toBe("18.9 ksi");
    expect(printMeasure("force", 150, "inch")).toBe("34 lbf");
    expect(printMeasure("force", Number.NaN, "inch")).toBe("–");
    expect(printMeasure("moment", -0.3, "metric")).toBe("0 N·mm");
  });

  /** Debian's `units`, where it is installed; else its answers as they were read from it. */
  it.each([
    ["moment", "ozf inch", "N mm", 7.0615518],
    ["inertia", "oz inch^2", "g mm^2", 18289.978],
    ["force", "lbf", "N", 4.4482216],
    ["stress", "ksi", "MPa", 6.8947573],
  ] as [MeasureKind, string, string, number][])("%s: one %s is so many %s", (kind, unit, metric, many) => {
    const said = spawnSync("units", ["-t", unit, metric], { encoding: "utf8" });
    const published = said.status === 0 ? Number(said.stdout) : many;
    expect(measureOf(kind, "inch").per / published).toBeCloseTo(1, 6);
    expect(many / published).toBeCloseTo(1, 6);
  });

  it("a half is rounded up, both ways from zero", () => {
    expect(printLength(3.175, "metric", 2)).toBe("3.18 mm");
    expect(printLength(-3.175, "metric", 2)).toBe("−3.18 mm");
  });

  it("a length in words has its unit, and no needless zeros", () => {
    expect([3, 0.1, 12.7].map((mm) => printLengthPlain(mm, "metric"))).toEqual(["3 mm", "0.1 mm", "12.7 mm"]);
    expect(printLengthPlain(3.175, "inch-fraction")).toBe("1/8 in");
    expect(printLengthPlain(3, "inch")).toBe("0.118 in");
  });
});
