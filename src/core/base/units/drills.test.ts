import { readFileSync } from "node:fs";
import { describe, expect, it } from "vitest";
import { drillNamed, LETTER_DRILLS, NUMBER_DRILLS } from "./drills";

/** Source: the data file of Debian's package `units` (drillgauge, drillA … drillZ). */
const UNITS_DATA = readFileSync("/usr/share/units/definitions.units", "utf8");

describe("drill sizes against Debian's units data", () => {
  it("agrees with the number drills it lists, and with those it leaves to straight interpolation", () => {
    const table = /drillgauge\[in\] \\\n((?:.*\\\n)*)/.exec(UNITS_DATA)?.[1] ?? "";
    const rows = [...table.matchAll(/^\s*(\d+)\s+(0?\.\d+)/gm)].map((m) => [Number(m[1]), Number(m[2])]);
    expect(rows.length).toBeGreaterThan(60);
    for (let gauge = 1; gauge <= 80; gauge++) {
      const after = rows.findIndex(([g]) => g >= gauge);
      const [g1, d1] = rows[after];
      const [g0, d0] = rows[Math.max(0, after - 1)];
      const theirs = g1 === g0 ? d1 : d0 + ((d1 - d0) * (gauge - g0)) / (g1 - g0);
      expect(NUMBER_DRILLS[gauge - 1].diameterIn, `#${gauge}`).toBeCloseTo(theirs, 6);
    }
  });

  it("agrees with every letter drill", () => {
    const rows = [...UNITS_DATA.matchAll(/^drill([A-Z])\s+(0\.\d+) in/gm)];
    expect(rows).toHaveLength(26);
    for (const [, letter, inches] of rows) {
      expect(drillNamed(letter)?.diameterIn, letter).toBeCloseTo(Number(inches), 6);
    }
    expect(LETTER_DRILLS).toHaveLength(26);
  });

  it("finds drills by name in either case, and nothing else", () => {
    expect(drillNamed("f")).toEqual(drillNamed("F"));
    expect(drillNamed("#81")).toBeUndefined();
    expect(drillNamed("#0")).toBeUndefined();
  });
});
