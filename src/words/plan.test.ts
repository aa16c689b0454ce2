import { describe, expect, it } from "vitest";
import { CAUTIONS } from "@/core/plan/cautions";
import { TASKS } from "@/core/plan/taskKinds";
import { TOOLS } from "@/core/plan/tools";
import { REASONS } from "@/core/plan/types";
import { WAYS_BACK } from "@/core/plan/waysBack";
import { cautionWords } from "./cautions";
import { heatWords } from "./heatWords";
import { kindWords, reasonWords } from "./plan";
import { TOOL_WORDS } from "./taskFigures";
import { becomesWords, reworkWords, WAY_BACK_EDITS, wayWords } from "./waysBack";

describe("the order of work in words", () => {
  it("has a name for every task, reason, tool, caution and way back, no two tasks alike", () => {
    const kinds = (Object.keys(TASKS) as (keyof typeof TASKS)[]).map(kindWords);
    expect(new Set(kinds).size).toBe(kinds.length);
    for (const reason of REASONS) expect(reasonWords(reason), reason).toMatch(/\w/);
    for (const tool of TOOLS) expect(TOOL_WORDS[tool], tool).toMatch(/\w/);
    for (const caution of CAUTIONS) expect(cautionWords(caution), caution).toMatch(/\.$/);
    for (const { code, change } of WAYS_BACK) {
      expect(wayWords(code).says, code).toMatch(/\.$/);
      if (change) expect(WAY_BACK_EDITS, code).toHaveProperty(code);
    }
  });

  it("uses every tool and every caution that it knows", () => {
    const specs = Object.values(TASKS);
    const tools = new Set<string>(specs.flatMap((s) => [...s.tools]));
    const cautions = new Set<string>(specs.flatMap((s) => ("cautions" in s ? [...s.cautions] : [])));
    expect(TOOLS.filter((t) => !tools.has(t))).toEqual([]);
    expect(CAUTIONS.filter((c) => !cautions.has(c))).toEqual([]);
  });

  it("gives heat both ways, by the definition of the Fahrenheit scale", () => {
    expect([heatWords(0), heatWords(100), heatWords(815), heatWords(-40)]).toEqual([
      "0 °C (32 °F)",
      "100 °C (212 °F)",
      "815 °C (1,499 °F)",
      "−40 °C (−40 °F)",
    ]);
  });

  it("says what a change does to weight and balance, and what it calls a way that another version kept", () => {
    expect(becomesWords({ massG: -1.24, balanceMm: 0.36 }, "metric")).toBe("−1.2 g, balance +0.4 mm");
    expect(becomesWords({ massG: 0.01, balanceMm: 0 }, "metric")).toBe("weight and balance stay");
    expect(becomesWords(null, "metric")).toBe("the knife could not be built so");
    expect(reworkWords("cut-on")).toBe("Cut on, to what the design says now");
    expect(reworkWords("of-another-version")).toBe("of-another-version");
  });
});
