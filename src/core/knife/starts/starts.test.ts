import { describe, expect, it } from "vitest";
import { faultsOf } from "../../figures/weigh/faults";
import type { MassReport } from "../../figures/weigh/report";
import { weigh } from "../../figures/weigh/weigh";
import { newDesign } from "../design/create";
import { measuredBalanceMm } from "../design/measuredBalance";
import { plainKnife } from "../design/plainKnife.fixtures";
import type { BareBlade, Design, Takes } from "../design/schema";
import { checkDesign } from "../validity/checkDesign";
import { withTang } from "./constructions";
import {
  asRehandled,
  bareBladeOf,
  CUTS,
  finishedKnifeOf,
  isCutLater,
  newMeasured,
  wasIn,
  withBalanceKind,
  withCut,
} from "./starts";

const sound = newDesign("Sedge");

function report(design: Design): MassReport {
  const weighing = weigh(design);
  if (!weighing.ok) throw new Error(JSON.stringify(weighing.findings));
  return weighing.report;
}

/** In the hand as it is drawn, or as it was drawn then. */
const inHand = (design: Design, massG: number, xMm: number, asWeighed: BareBlade | null = null): Design => ({
  ...design,
  blade: { ...design.blade, measured: { ...newMeasured(massG, xMm), of: { kind: "blade", asWeighed } } },
});
const steelG = (d: Design) =>
  report(d)
    .parts.filter((p) => p.id === "blade" || p.id === "tang")
    .reduce((s, p) => s + p.massG, 0);

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
      expect(whole.massG).toBeCloseTo(123.4 + restG, 5);
      expect(whole.balanceMm).toBeCloseTo((123.4 * 17.5 + restMoment) / (123.4 + restG), 6);
    },
  );

  it("that is not weighed yet weighs what it is drawn, and no figure of it is made up", () => {
    const drawn = report(sound);
    const begun = newMeasured(null, null);
    const held = { ...sound, blade: { ...sound.blade, measured: begun } };
    expect(report(held).massG).toBe(drawn.massG);
    expect(report(held).balanceMm).toBe(drawn.balanceMm);
    // A balance by itself corrects nothing; a weight by itself leaves the balance of blade and tang where it is drawn.
    const found = { ...held, blade: { ...held.blade, measured: newMeasured(null, 30) } };
    expect(report(found).balanceMm).toBe(drawn.balanceMm);
    const weighedG = 1.05 * steelG(sound);
    const heavier = { ...held, blade: { ...held.blade, measured: newMeasured(weighedG, null) } };
    expect(steelG(heavier)).toBeCloseTo(weighedG, 5);
    const centre = (d: Design) => {
      const steel = report(d).parts.filter((p) => p.id === "blade" || p.id === "tang");
      return steel.reduce((s, p) => s + p.massG * p.centreMm[0], 0) / steel.reduce((s, p) => s + p.massG, 0);
    };
    expect(centre(heavier)).toBeCloseTo(centre(sound), 6);
    expect(withBalanceKind(held.blade, "supports")?.balance).toMatchObject({ readingG: null });
  });

  it("is told of where reading and drawing cannot both be true, and only there", () => {
    const rules = (massG: number | null, xMm: number | null) => {
      const weighing = weigh({ ...sound, blade: { ...sound.blade, measured: newMeasured(massG, xMm) } });
      return weighing.findings.map((f) => f.rule).filter((r) => r.endsWith("unlike-drawn"));
    };
    const bare = { ...sound, fasteners: [] };
    const drawnG = steelG(bare);
    expect(rules(drawnG, null)).toEqual([]);
    expect(rules(1.1 * drawnG, null)).toEqual([]);
    expect(rules(1.2 * drawnG, null)).toEqual(["measured-unlike-drawn"]);
    // Ounces read as grams.
    expect(rules(drawnG / 28.35, null)).toEqual(["measured-unlike-drawn"]);
    expect(rules(drawnG, 40)).toEqual(["balance-unlike-drawn"]);
    expect(rules(null, 40)).toEqual([]);
  });

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
    expect(steelG(inHand(drilled, 120, 14))).toBeCloseTo(120, 3);
    const undrilled = bareBladeOf({ ...sound, fasteners: [] });
    const lost = 120 - steelG(inHand(drilled, 120, 14, undrilled));
    // Pins and the hole: (2 × 4.7625² + 10²)·π/4 × 4 mm of steel near 7.85 mg/mm³, at the measured density.
    const mm3 = ((2 * 4.7625 ** 2 + 10 ** 2) * Math.PI * 4) / 4;
    expect(lost / ((mm3 * 7.85) / 1000)).toBeGreaterThan(0.8);
    expect(lost / ((mm3 * 7.85) / 1000)).toBeLessThan(1.2);
  });

  it("loses what is cut later, at its own density and where it is cut", () => {
    const plain = plainKnife(sound);
    if (plain.tang.kind !== "full") throw new Error("no full tang");
    const held = inHand(plain, 130, 10, bareBladeOf(plain));
    const steel = (d: Design) => {
      const parts = report(d).parts.filter((p) => p.id === "blade" || p.id === "tang");
      const massG = parts.reduce((s, p) => s + p.massG, 0);
      return { massG, at: parts.reduce((s, p) => s + p.massG * p.centreMm[0], 0) / massG };
    };
    const before = steel(held);
    expect(before.massG).toBeCloseTo(130, 9);
    expect(before.at).toBeCloseTo(10, 9);
    const volume = report(plain)
      .parts.filter((p) => p.id === "blade" || p.id === "tang")
      .reduce((s, p) => s + p.volumeMm3, 0);
    const density = 130 / volume;
    /** What is cut: its volume, and where along the knife its middle was. */
    const cuts: [string, Design["tang"], number, number][] = [
      // From 4 mm all along to 2 mm at the butt: a wedge of 100 × 24 × 2 / 2 mm³, a third from its thick end.
      ["a taper", { ...plain.tang, taper: { frontMm: 4, buttMm: 2 } }, (100 * 24 * 2) / 2, -200 / 3],
      [
        "a hole",
        {
          ...plain.tang,
          holes: [{ id: "h", xMm: -60, yMm: 0, diameterMm: 12, fill: "epoxy", purpose: "lighten" }],
        },
        Math.PI * 36 * 4,
        -60,
      ],
      [
        "a recess",
        { ...plain.tang, recess: { rimMm: 4, fromMm: 20, depthMm: 0.8, floor: "flat", fill: null } },
        2 * 0.8 * 76 * 16,
        -58,
      ],
      [
        "a shorter tang",
        { ...plain.tang, short: { lengthMm: 70, behind: "filler", material: "g10" } },
        30 * 24 * 4,
        -85,
      ],
    ];
    for (const [what, tang, mm3, at] of cuts) {
      const after = steel({ ...held, tang });
      expect(after.massG, what).toBeCloseTo(130 - mm3 * density, 4);
      expect(after.at, what).toBeCloseTo((130 * 10 - mm3 * density * at) / (130 - mm3 * density), 3);
    }
  });

  it("loses what is ground off the blade, and nothing where the drawing only describes it", () => {
    const change = (d: Design, blade: Partial<Design["blade"]>): Design => ({
      ...d,
      blade: { ...d.blade, ...blade },
    });
    const volumeOf = (d: Design) =>
      report(d)
        .parts.filter((p) => p.id === "blade" || p.id === "tang")
        .reduce((s, p) => s + p.volumeMm3, 0);
    for (const blade of [
      { tipThicknessMm: 1 },
      { lengthMm: 98 },
      { heelHeightMm: 25 },
      { grind: { kind: "full-flat" as const } },
    ]) {
      const held = inHand(sound, 120, 14, bareBladeOf(sound));
      const ground = steelG(change(held, blade));
      expect(ground).toBeCloseTo((120 * volumeOf(change(sound, blade))) / volumeOf(sound), 2);
      expect(ground).toBeLessThan(119);
      expect(steelG(change(inHand(sound, 120, 14), blade))).toBeCloseTo(120, 3);
    }
  });

  it("a hidden tang that is cut shorter is lighter by its bar", () => {
    const hidden = withTang(sound, "hidden");
    if (hidden.tang.kind !== "hidden") throw new Error("no hidden tang");
    const bar = { frontHeightMm: 12, endHeightMm: 12, frontThicknessMm: 4, endThicknessMm: 4 };
    const long: Design = { ...hidden, fasteners: [], tang: { ...hidden.tang, ...bar, lengthMm: 95 } };
    const held = inHand(long, 110, 12, bareBladeOf(long));
    const short: Design = { ...held, tang: { ...long.tang, lengthMm: 75 } as Design["tang"] };
    const volume = report(long)
      .parts.filter((p) => p.id === "blade" || p.id === "tang")
      .reduce((s, p) => s + p.volumeMm3, 0);
    expect(steelG(held) - steelG(short)).toBeCloseTo((110 * 20 * 48) / volume, 2);
  });

  it("says of each kind of cut whether it was in it, and takes it in or out", () => {
    const then = bareBladeOf({ ...sound, fasteners: [] });
    const held = inHand(sound, 120, 14, then);
    expect(CUTS.map((cut) => wasIn(held, then, cut))).toEqual([false, null, null, null]);
    expect(isCutLater(held)).toBe(true);
    const drilled = withCut(held, then, "bores", true);
    expect(drilled.bores).toHaveLength(sound.fasteners.length);
    expect(isCutLater(inHand(sound, 120, 14, drilled))).toBe(false);
    expect(withCut(held, drilled, "bores", false).bores).toEqual([]);
    const tapered: Design = {
      ...held,
      tang: { ...sound.tang, taper: { frontMm: 4, buttMm: 2 } } as Design["tang"],
    };
    expect(wasIn(tapered, then, "taper")).toBe(false);
    expect(withCut(tapered, then, "taper", true).tang).toMatchObject({ taper: { buttMm: 2 } });
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

describe("a finished knife in the hand", () => {
  const inHandWhole = (design: Design, massG: number, xMm: number, takes: Takes, kept = true): Design => ({
    ...design,
    blade: {
      ...design.blade,
      measured: {
        ...newMeasured(massG, xMm, "knife"),
        massG,
        balance: { kind: "direct", xMm },
        of: { kind: "knife", asWeighed: kept ? finishedKnifeOf(design) : null, takes },
      },
    },
  });

  it.each(["blade", "handle"] as const)(
    "weighs and balances as it did; the %s takes the difference",
    (takes) => {
      const drawn = report(sound);
      for (const kept of [true, false]) {
        const whole = report(inHandWhole(sound, drawn.massG + 9, drawn.balanceMm + 3, takes, kept));
        expect(whole.massG).toBeCloseTo(drawn.massG + 9, 6);
        expect(whole.balanceMm).toBeCloseTo(drawn.balanceMm + 3, 6);
        const changed = whole.parts.filter((p) => {
          const was = drawn.parts.find((q) => q.id === p.id);
          return Math.abs(p.massG - (was?.massG ?? 0)) > 1e-6;
        });
        expect(new Set(changed.map((p) => p.group))).toEqual(new Set([takes]));
      }
    },
  );

  it("keeps what the blade took when it is given another handle", () => {
    const drawn = report(sound);
    const held = inHandWhole(sound, drawn.massG + 9, drawn.balanceMm, "blade");
    if (held.handle.kind !== "scales") throw new Error("no scales");
    const scale = { ...held.handle.right, material: "g10" };
    const rehandled: Design = { ...held, handle: { ...held.handle, right: scale, left: scale } };
    const plain = report({ ...rehandled, blade: { ...sound.blade } });
    expect(report(rehandled).massG).toBeCloseTo(plain.massG + 9, 6);
  });

  it("is as sure as the scale, for what was on it; a new handle brings its own doubt", () => {
    const drawn = report(sound);
    const held = inHandWhole(sound, drawn.massG, drawn.balanceMm, "blade");
    const width = ([low, high]: readonly [number, number]) => high - low;
    expect(width(report(held).massIntervalG)).toBeCloseTo(1, 6);
    expect(width(report(held).balanceIntervalMm)).toBeLessThan(1.1);
    if (held.handle.kind !== "scales") throw new Error("no scales");
    const scale = { ...held.handle.right, material: "antler-deer" };
    const rehandled: Design = { ...held, handle: { ...held.handle, right: scale, left: scale } };
    expect(width(report(rehandled).massIntervalG)).toBeGreaterThan(2);
  });

  it("that differs by more than the part weighs is refused", () => {
    const faults = faultsOf(inHandWhole(sound, 20, -20, "handle")).map((f) => f.rule);
    expect(faults).toContain("measured-too-far-off");
  });
});
