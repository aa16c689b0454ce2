import { describe, expect, it } from "vitest";
import { parseLength } from "@/core/base/units/length";
import { printLength, printMass, type UnitSystem } from "@/core/base/units/print";
import { DEMO_KNIVES } from "@/core/exchange/files/knife/demo.fixtures";
import { reviewDesign } from "@/core/figures/review/reviewDesign";
import { type Finding, TRADE_RULES } from "@/core/figures/review/types";
import { newDesign } from "@/core/knife/design/create";
import { newGuard } from "@/core/knife/design/guards";
import { FAULT_RULES } from "@/core/knife/parts/faults";
import { shippedMaterial } from "@/core/materials/materials";
import { HAZARDS, MATERIAL_CLASSES } from "@/core/materials/types";
import { balanceShort, balanceWords } from "./balance";
import { fileFailureWords } from "./fileFailures";
import { findingWords, isTradeRule } from "./findings";
import { outsideWords } from "./goals";
import { boundsWords, lengthFailureWords } from "./lengthFailures";
import { HAZARD_WORDS, MATERIAL_CLASS_WORDS } from "./materials";
import { pricesFailureWords } from "./pricesFailures";
import { RULE_WORDS } from "./rules";
import { repairWords } from "./shapes";

describe("words", () => {
  it("say where a knife balances, from what stands at the datum", () => {
    const bare = newDesign("Sedge");
    expect(balanceWords(-23.04, bare, "metric")).toBe("23.0 mm behind the front of the handle");
    expect(balanceWords(6.8, { ...bare, guard: newGuard(bare) }, "metric")).toBe(
      "6.8 mm ahead of the front of the guard",
    );
    expect(balanceWords(-25.4, bare, "inch-fraction")).toBe("1 in behind the front of the handle");
    expect(balanceWords(0.01, bare, "metric")).toBe("at the front of the handle");
    expect(balanceShort(-23.04, "metric")).toBe("23.0 mm behind the front");
    expect(balanceShort(0.01, "inch")).toBe("at the front");
  });

  it("never speak of NaN or null in a finding, whatever was measured", () => {
    for (const rule of [...FAULT_RULES, ...TRADE_RULES]) {
      for (const measured of [null, -1.2, 0.4]) {
        const finding: Finding = {
          rule,
          severity: "error",
          at: null,
          subject: "pin-1",
          measured,
          limit: measured,
        };
        const words = findingWords(finding, "inch", shippedMaterial);
        expect(words, rule).toMatch(/^[A-Zp\d−–].*\.$/);
        expect(words).not.toMatch(/NaN|null|undefined/);
      }
    }
  });

  it("say of each rule of the trade what it is called, why it is kept, and what fixes it", () => {
    const names = new Set<string>();
    for (const rule of TRADE_RULES) {
      const { name, why, fix } = RULE_WORDS[rule];
      expect(why, rule).toMatch(/^[A-Z].*\.$/);
      expect(fix, rule).toMatch(/^[A-Z].*\.$/);
      names.add(name);
    }
    expect(names.size, "no two are called the same").toBe(TRADE_RULES.length);
    expect(isTradeRule("slot-gap")).toBe(true);
    expect(isTradeRule("pin-off-handle")).toBe(false);
  });

  it("name what was measured and its limit in the maker's own units, for all that the demo knives are found with", () => {
    const inMm: Finding["rule"][] = ["web-between-holes", "far-from-front", "far-from-butt", "hole-rim"];
    let seen = 0;
    for (const [file, design] of DEMO_KNIVES) {
      for (const finding of reviewDesign(design).findings) {
        const said = (["metric", "inch", "inch-fraction"] as UnitSystem[]).map((u) => [
          u,
          findingWords(finding, u, shippedMaterial),
        ]) as [UnitSystem, string][];
        for (const [units, words] of said) {
          expect(words, `${file} ${finding.rule}`).not.toMatch(/NaN|null|undefined|– /);
          if (units !== "metric") expect(words, `${file} ${finding.rule}`).not.toMatch(/\d mm|\d g\b/);
          if (!inMm.includes(finding.rule) || finding.measured === null || finding.limit === null) continue;
          seen++;
          expect(words).toContain(printLength(finding.measured, units, 1));
          expect(words).toContain(printLength(finding.limit, units, 1));
        }
      }
    }
    expect(seen).toBeGreaterThan(5);
  });

  it("tell which way weight and balance are off, and by how much", () => {
    const off = (of: "balance" | "weight", measured: number, limit: number, units: UnitSystem) => {
      const goal = { figure: of === "balance" ? "balanceMm" : "massG", grip: null } as const;
      return findingWords(
        { rule: "outside-target", severity: "note", at: null, subject: of, goal, measured, limit },
        units,
        shippedMaterial,
      );
    };
    expect(off("balance", -40, -15, "metric")).toBe("For its use it balances 25.0 mm too far back.");
    expect(off("balance", 12.7, 0, "inch")).toContain(`${printLength(12.7, "inch")} too far forward`);
    expect(off("weight", 320, 250, "metric")).toBe("For its use it is 70.0 g too heavy.");
    expect(off("weight", 200, 250, "inch")).toContain(`${printMass(50, "inch")} too light`);
    expect(off("weight", 200, 250, "inch")).toMatch(/oz/);
    expect(outsideWords({ figure: "percussionMm", grip: "Rear" }, -12, "metric")).toBe(
      "In the grip “Rear” its centre of percussion lies 12.0 mm too far back.",
    );
    expect(outsideWords({ figure: "momentNmm", grip: "Rear" }, 30, "metric")).toContain("too nose-heavy");
    expect(outsideWords({ figure: "effectiveMassG", grip: "Rear" }, 30, "metric")).toContain(
      "30.0 g too large",
    );
  });

  it("name the place of what is wrong in a file, and how much more there is", () => {
    const problems = Array.from({ length: 6 }, (_, i) => ({
      path: `knife.blade.a${i}`,
      message: "too small",
    }));
    const words = fileFailureWords({ ok: false, code: "invalid", problems });
    expect(words).toContain("knife.blade.a0: too small");
    expect(words).toContain("and 2 more");
    expect(fileFailureWords({ ok: false, code: "not-json", line: 3, column: 7 })).toContain(
      "line 3, column 7",
    );
    expect(fileFailureWords({ ok: false, code: "newer", version: 9, known: 2 })).toContain("version 9");
    expect(fileFailureWords({ ok: false, code: "too-large", bytes: 9_400_001, limit: 8_000_000 })).toBe(
      "The file is 9,401 kB; a knife file may be 8,000 kB at most.",
    );
    for (const code of ["not-utf8", "foreign", "no-version"] as const)
      expect(fileFailureWords({ ok: false, code })).toMatch(/\.$/);
  });

  it("say why prices or a shape were refused, and what was done to a shape on its way in", () => {
    const prices = [
      { code: "too-large" },
      { code: "not-json" },
      { code: "foreign" },
      { code: "newer", version: 7 },
      { code: "invalid", path: "shop.ratePerHour", message: "too small" },
    ] as const;
    const why = prices.map((p) => pricesFailureWords({ ok: false, ...p }));
    expect(new Set(why).size).toBe(prices.length);
    expect(why[3]).toContain("version 7");
    expect(why[4]).toBe("shop.ratePerHour: too small");
    expect(repairWords({ code: "scaled", unit: "inch", stated: true })).toContain("inches");
    expect(repairWords({ code: "scaled", unit: "inch", stated: false })).toContain("Choose the unit");
    expect(repairWords({ code: "slivers-dropped", count: 3 })).toContain("3 triangles");
    expect(
      repairWords({ code: "simplified", from: 40_000, to: 12_000, volumeShare: 0.0012 }),
      "how much it changed is told",
    ).toContain("from 40000 to 12000 triangles: its volume changed by 0.12 %");
    for (const code of ["joined", "turned-inside-out"] as const) expect(repairWords({ code })).toMatch(/\.$/);
  });

  it("answer every way that a length can be wrong", () => {
    for (const text of ["", "soon", "3/0", "#200", "99999999"]) {
      const reading = parseLength(text, "mm");
      if (reading.ok) throw new Error(text);
      expect(lengthFailureWords(reading)).toMatch(/\.$/);
    }
    expect(boundsWords(0.3, 25, "metric")).toBe("Must be from 0.3 mm to 25 mm.");
    expect(boundsWords(254, 508, "inch-fraction")).toBe("Must be from 10 in to 20 in.");
  });

  it("have a caution for each hazard and a name for each class", () => {
    for (const h of HAZARDS) expect(HAZARD_WORDS[h].length).toBeGreaterThan(5);
    for (const c of MATERIAL_CLASSES) expect(MATERIAL_CLASS_WORDS[c].length).toBeGreaterThan(3);
  });
});
