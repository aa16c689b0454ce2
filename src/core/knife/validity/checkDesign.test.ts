import { describe, expect, it } from "vitest";
import { faultsOf } from "../../figures/weigh/faults";
import { weigh } from "../../figures/weigh/weigh";
import { FAULT_RULES } from "../parts/faults";
import { guard, hidden, sound, TRIPS } from "./faultTrips.fixtures";

describe("what a design cannot be", () => {
  it("has a design that trips every rule there is", () => {
    expect(FAULT_RULES.filter((rule) => !TRIPS.some(([r]) => r === rule))).toEqual([]);
  });

  it("finds nothing amiss in a sound one", () => {
    for (const design of [sound, hidden, { ...sound, guard }, { ...hidden, guard }])
      expect(faultsOf(design)).toEqual([]);
  });

  it.each(TRIPS)("%s", (rule, design) => {
    const found = faultsOf(design).find((f) => f.rule === rule);
    expect(found, JSON.stringify(faultsOf(design))).toBeDefined();
    const weighing = weigh(design);
    expect(weighing.ok).toBe(found?.severity === "warning");
    if (weighing.ok) expect(Number.isFinite(weighing.report.massG)).toBe(true);
  });
});
