import { describe, expect, it } from "vitest";
import { openSpot } from "@/core/figures/fit/openSpot";
import { RULES } from "@/core/figures/review/reviewDesign";
import { leverEffects } from "@/core/figures/tune/effects";
import { inWindows } from "@/core/figures/tune/goals";
import { leversOf } from "@/core/figures/tune/levers";
import { STRATEGIES } from "@/core/figures/tune/sets";
import { weigh } from "@/core/figures/weigh/weigh";
import { CONSTRUCTIONS } from "@/core/knife/design/constructions.fixtures";
import { newDesign } from "@/core/knife/design/create";
import { USES } from "@/core/knife/design/schema";
import { outside, plainUse, withUse } from "@/core/knife/design/uses";
import { shippedMaterial } from "@/core/materials/materials";
import { cautionsFor } from "./cautions";
import { ownerWords } from "./fit";
import { leverWords, STRATEGY_WORDS, USE_WORDS } from "./levers";
import { RULE_WORDS, ruleUnitWords } from "./rules";
import { repairWords, shapeFailureWords } from "./shapes";

const sound = newDesign("Sedge");

describe("words of the bench", () => {
  it("say of every rule its name, why, and how to fix it, and of its limit in what it counts", () => {
    for (const rule of RULES) {
      const words = RULE_WORDS[rule.code];
      expect(words.name.length).toBeGreaterThan(5);
      expect(words.why).toMatch(/^[A-Z].*\.$/);
      expect(words.fix).toMatch(/^[A-Z].*\.$/);
      expect(rule.source.length).toBeGreaterThan(5);
      if (rule.unit !== "none") expect(ruleUnitWords(rule.unit)).not.toBe("");
    }
    const names = RULES.map((r) => RULE_WORDS[r.code].name);
    expect(new Set(names).size).toBe(names.length);
  });

  it("name every lever and strategy in words, none by its code", () => {
    for (const design of Object.values(CONSTRUCTIONS))
      for (const lever of leversOf(design)) {
        expect(leverWords(lever.id, shippedMaterial), lever.id).not.toBe(lever.id);
        expect(leverWords(lever.id, shippedMaterial)).not.toMatch(/[a-z]-[a-z]+:/);
      }
    expect(STRATEGIES.every((s) => STRATEGY_WORDS[s].length > 5)).toBe(true);
    expect(leverWords("guard-metal:brass-360", shippedMaterial)).toBe("Guard of Free-cutting brass (C36000)");
    const pin = { kind: "fastener", sort: "pin", number: 2 } as const;
    expect(ownerWords([pin, { kind: "fitting", sort: "dowels" }, { kind: "butt-screw" }])).toBe(
      "Pin 2, Dowels, Screw at the butt",
    );
  });

  it("warn of what a design's operations can do, and of the law", () => {
    const plain = cautionsFor(sound);
    expect(plain.some((c) => c.includes("laws differ by place"))).toBe(true);
    expect(plain.some((c) => c.includes("never water on burning oil"))).toBe(true);
    const of = (name: string) => cautionsFor(CONSTRUCTIONS[name]).join(" ");
    expect(of("hidden tang, burned in")).toContain("Burning a tang in");
    expect(of("through tang, peened")).toContain("Peening: eye protection");
    expect(of("fastener: rivet")).toContain("Peening: eye protection");
    expect(of("metal grip with finger rings")).toContain("ask before making, selling or carrying");
    expect(plain.join(" ")).not.toContain("Burning a tang in");
    expect(new Set(plain).size).toBe(plain.length);
  });

  it("say why a shape was refused, or what was done to it", () => {
    const open = shapeFailureWords({ ok: false, code: "open", edges: 3 }, "metric");
    expect(open).toContain("3 of its edges");
    const large = { ok: false, code: "size", mm: 512.4, limit: 400 } as const;
    expect(shapeFailureWords(large, "metric")).toContain("512 mm long; up to 400 mm");
    expect(shapeFailureWords(large, "inch")).toContain("20.17 in long; up to 15.75 in");
    for (const code of ["not-a-mesh", "damaged", "not-finite", "empty"] as const)
      expect(shapeFailureWords({ ok: false, code }, "metric")).toMatch(/\.$/);
    expect(repairWords({ code: "scaled", unit: "meter", stated: false })).toContain("Choose the unit if");
    expect(repairWords({ code: "scaled", unit: "inch", stated: true })).not.toContain("Choose");
    expect(repairWords({ code: "simplified", from: 20000, to: 9000, volumeShare: 0.0012 })).toContain(
      "0.12 %",
    );
  });
});

describe("uses", () => {
  it("propose windows that are the right way round; one's own keeps what was there", () => {
    for (const kind of USES) {
      const use = withUse(plainUse(), kind);
      expect(use.balanceMm.low).toBeLessThan(use.balanceMm.high);
      expect(use.massG.low).toBeLessThan(use.massG.high);
      expect(USE_WORDS[kind].length).toBeGreaterThan(4);
    }
    const own = { ...plainUse(), balanceMm: { low: 3, high: 4 } };
    expect(withUse(own, "own").balanceMm).toEqual({ low: 3, high: 4 });
  });

  it("put choppers ahead of the guard and hunters at the index finger: common practice", () => {
    expect(withUse(plainUse(), "chopper").balanceMm).toEqual({ low: 25, high: 75 });
    expect(withUse(plainUse(), "hunting").balanceMm).toEqual({ low: -20, high: 0 });
    expect(withUse(plainUse(), "kitchen-slicer").balanceMm).toEqual({ low: 0, high: 30 });
  });

  it("tell how far outside a window a value is, and whether both are in", () => {
    const window = { low: -20, high: 0 };
    expect([outside(-25, window), outside(-10, window), outside(4, window)]).toEqual([-5, 0, 4]);
    const { low, high } = sound.use.massG;
    const weighing = weigh(sound);
    if (!weighing.ok) throw new Error("cannot be built");
    const figures = (massG: number, balanceMm: number) => ({ ...weighing.report, massG, balanceMm });
    expect(inWindows(sound, figures((low + high) / 2, -10))).toBe(true);
    expect(inWindows(sound, figures((low + high) / 2, 10))).toBe(false);
    expect(inWindows(sound, figures(high + 1, -10))).toBe(false);
  });
});

describe("places for lightening holes", () => {
  it("leave rim and webs, behind the front fifth, until there is no room left", () => {
    const least = { rimMm: 3, fromMm: 25 };
    const place = openSpot(sound, 8, least);
    expect(place).not.toBeNull();
    expect(place!.xMm).toBeLessThanOrEqual(-25);
    expect(openSpot(sound, 8, { rimMm: 30, fromMm: 25 })).toBeNull();
    const holes = leversOf(sound).find((l) => l.id === "holes")!;
    expect(holes.apply(sound, 50), "fifty holes find no room").toBeNull();
    const effect = leverEffects(sound).find((e) => e.id === "holes")!;
    // A hole of 8 mm through 4 mm of steel near 7.85 g/cm³.
    expect(-effect.massG / (Math.PI * 16 * 4 * 0.00785)).toBeCloseTo(1, 2);
  });
});
