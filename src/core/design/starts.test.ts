import { describe, expect, it } from "vitest";
import { checkDesign } from "../validity/checkDesign";
import type { MassReport } from "../weigh/report";
import { weigh } from "../weigh/weigh";
import { withTang } from "./constructions";
import { newDesign } from "./create";
import { measuredBalanceMm } from "./measuredBalance";
import type { Design } from "./schema";
import { asRehandled, newMeasured, withBalanceKind } from "./starts";

const sound = newDesign("Sedge");

function report(design: Design): MassReport {
  const weighing = weigh(design);
  if (!weighing.ok) throw new Error(JSON.stringify(weighing.findings));
  return weighing.report;
}

const inHand = (design: Design, massG: number, xMm: number, holesIn = true): Design => ({
  ...design,
  blade: { ...design.blade, measured: { ...newMeasured(massG, xMm), holesIn } },
});

describe("a blade in the hand", () => {
  it.each([sound, withTang(sound, "hidden"), withTang(sound, "framed")])(
    "plus a computed handle is hand arithmetic",
    (design) => {
      const drawn = report(design);
      const steel = drawn.parts.filter((p) => p.id === "blade" || p.id === "tang");
      const rest = drawn.parts.filter((p) => p.id !== "blade" && p.id !== "tang");
      const restG = rest.reduce((s, p) => s + p.massG, 0);
      const restMoment = rest.reduce((s, p) => s + p.massG * p.centreMm[0], 0);
      expect(steel.length).toBe(2);
      const whole = report(inHand(design, 123.4, 17.5));
      expect(whole.massG).toBeCloseTo(123.4 + restG, 6);
      expect(whole.balanceMm).toBeCloseTo((123.4 * 17.5 + restMoment) / (123.4 + restG), 6);
    },
  );

  it("balances on two supports at R·L/m from the plain one", () => {
    const blade = { ...sound.blade, measured: newMeasured(120, 14) };
    const supports = withBalanceKind(blade, "supports");
    if (supports?.balance.kind !== "supports") throw new Error("not on supports");
    expect(measuredBalanceMm(supports)).toBeCloseTo(14, 1);
    // 120 g on edges at −30 and 70 mm, 52.8 g on the second: 52.8 × 100/120 = 44 mm ahead of the first.
    const balance = { kind: "supports", restAtMm: -30, scaleAtMm: 70, readingG: 52.8 } as const;
    expect(measuredBalanceMm({ ...newMeasured(120, 0), balance })).toBeCloseTo(14, 9);
    const back = withBalanceKind({ ...blade, measured: supports }, "direct");
    expect(back?.balance).toEqual({ kind: "direct", xMm: expect.closeTo(14, 1) });
  });

  it("weighed before its holes were drilled loses what they take", () => {
    const hole = { id: "h", xMm: -50, yMm: 0, diameterMm: 10, fill: null, purpose: "lighten" as const };
    const drilled: Design = { ...sound, tang: { ...sound.tang, holes: [hole] } as Design["tang"] };
    const steelG = (d: Design) =>
      report(d)
        .parts.filter((p) => p.id === "blade" || p.id === "tang")
        .reduce((s, p) => s + p.massG, 0);
    expect(steelG(inHand(drilled, 120, 14, true))).toBeCloseTo(120, 6);
    const lost = 120 - steelG(inHand(drilled, 120, 14, false));
    // Pins and the hole: (2 × 6.35² + 10²)·π/4 × 4 mm of steel near 7.85 mg/mm³, at the measured density.
    const mm3 = ((2 * 6.35 ** 2 + 10 ** 2) * Math.PI * 4) / 4;
    expect(lost / ((mm3 * 7.85) / 1000)).toBeGreaterThan(0.8);
    expect(lost / ((mm3 * 7.85) / 1000)).toBeLessThan(1.2);
  });

  it("carries its own error into the interval", () => {
    const at = (massOffG: number, balanceOffMm: number) => {
      const measured = { ...newMeasured(120, 14), massOffG, balanceOffMm };
      return report({ ...sound, blade: { ...sound.blade, measured } });
    };
    const width = ([low, high]: readonly [number, number]) => high - low;
    expect(width(at(5, 0).massIntervalG)).toBeGreaterThan(width(at(0, 0).massIntervalG) + 1);
    expect(width(at(0, 3).balanceIntervalMm)).toBeGreaterThan(width(at(0, 0).balanceIntervalMm) + 1);
  });
});

describe("an old knife re-handled", () => {
  it("has its tang lengthened, its old holes filled and its pins moved clear of them", () => {
    const again = asRehandled(sound);
    if (again.tang.kind !== "full") throw new Error("no full tang");
    expect(again.tang.short).not.toBeNull();
    expect(again.tang.holes.map((h) => h.purpose)).toEqual(["old-pin", "old-pin"]);
    expect(checkDesign(again)).toEqual([]);
    expect(asRehandled(again).tang).toEqual(again.tang);
    const steel = (d: Design) => report(d).parts.find((p) => p.id === "tang-rest");
    expect(steel(again)?.massG).toBeGreaterThan(5);
  });

  it("is nothing that can be done to a hidden tang", () => {
    const hidden = withTang(sound, "hidden");
    expect(asRehandled(hidden)).toBe(hidden);
  });
});
