import { describe, expect, it } from "vitest";
import { newDesign } from "@/core/design/create";
import { newGuard } from "@/core/design/guards";
import { FINDING_RULES, type Finding } from "@/core/review/types";
import { HAZARDS, MATERIAL_CLASSES } from "@/core/stock/types";
import { parseLength } from "@/core/units/length";
import { balanceWords } from "./balance";
import { fileFailureWords } from "./fileFailures";
import { findingWords } from "./findings";
import { boundsWords, lengthFailureWords } from "./lengthFailures";
import { HAZARD_WORDS, MATERIAL_CLASS_WORDS } from "./materials";

describe("words", () => {
  it("say where a knife balances, from what stands at the datum", () => {
    const bare = newDesign("Sedge");
    expect(balanceWords(-23.04, bare, "metric")).toBe("23.0 mm behind the handle's front");
    expect(balanceWords(6.8, { ...bare, guard: newGuard(bare) }, "metric")).toBe(
      "6.8 mm ahead of the guard's front",
    );
    expect(balanceWords(-25.4, bare, "inch-fraction")).toBe("1 in behind the handle's front");
    expect(balanceWords(0.01, bare, "metric")).toBe("at the handle's front");
  });

  it("never speak of NaN or null in a finding, whatever was measured", () => {
    for (const rule of FINDING_RULES) {
      for (const measured of [null, -1.2, 0.4]) {
        const finding: Finding = {
          rule,
          severity: "error",
          at: null,
          subject: "pin-1",
          measured,
          limit: measured,
        };
        const words = findingWords(finding, "inch");
        expect(words).toMatch(/^[A-Z].*\.$/);
        expect(words).not.toMatch(/NaN|null|undefined/);
      }
    }
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
