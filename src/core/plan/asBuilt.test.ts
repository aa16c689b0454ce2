import { describe, expect, it } from "vitest";
import { DEMO_KNIVES } from "../exchange/files/knife/demo.fixtures";
import { cutList } from "../figures/fit/stockList";
import { weigh } from "../figures/weigh/weigh";
import { CONSTRUCTIONS } from "../knife/design/constructions.fixtures";
import { materialsIn } from "../knife/design/materials";
import type { Design } from "../knife/design/schema";
import { drawnSizes, predictedAt } from "./asBuilt";
import { newPlan } from "./newPlan";
import { planOf } from "./planOf";
import { withDone, withTaken } from "./progress";
import { planState } from "./state";
import { SIZE_PLACES, STAGES } from "./types";
import { usualMinutes } from "./usualMinutes";

const all: (readonly [string, Design])[] = [...DEMO_KNIVES, ...Object.entries(CONSTRUCTIONS)].filter(
  ([, d]) => weigh(d).ok,
);
const heath = DEMO_KNIVES.find(([n]) => n.includes("heath"))![1];
const withAllowance = (d: Design, allowanceMm: number): Design => ({
  ...d,
  workshop: { ...d.workshop, saw: { ...d.workshop.saw, allowanceMm } },
});

describe("what a knife should weigh at its stages", () => {
  it.each(all)("of %s is finite, inside its interval, and shaped as it is drawn", (_, design) => {
    const weighed = weigh(design);
    if (!weighed.ok) throw new Error("not built");
    for (const stage of STAGES) {
      const p = predictedAt(design, weighed.report, stage);
      // What has no handle is not fitted dry, nor shaped.
      expect(p === null, stage).toBe(design.handle.kind === "bare" && stage !== "finished");
      if (!p) continue;
      for (const n of [p.massG, p.balanceMm, ...p.massIntervalG, ...p.balanceIntervalMm])
        expect(Number.isFinite(n), stage).toBe(true);
      expect(p.massIntervalG[0]).toBeLessThanOrEqual(p.massG);
      expect(p.massIntervalG[1]).toBeGreaterThanOrEqual(p.massG);
      expect(p.balanceIntervalMm[0]).toBeLessThanOrEqual(p.balanceMm + 1e-9);
      expect(p.balanceIntervalMm[1]).toBeGreaterThanOrEqual(p.balanceMm - 1e-9);
    }
    expect(predictedAt(design, weighed.report, "finished")?.massG).toBe(weighed.report.massG);
  });

  it("at the dry fit it weighs more by the blocks round its scales, by hand", () => {
    const weighed = weigh(heath);
    if (!weighed.ok) throw new Error("not built");
    const { report } = weighed;
    const dry = predictedAt(heath, report, "dry-fit")!;
    expect(dry.massG).toBeGreaterThan(weighed.report.massG);
    // A millimetre more of room on each side is so much more wood, by the boxes alone.
    const more = predictedAt(withAllowance(heath, heath.workshop.saw.allowanceMm + 1), report, "dry-fit")!;
    const [a, b] = [heath, withAllowance(heath, heath.workshop.saw.allowanceMm + 1)].map((d) =>
      cutList(d)
        .filter((c) => c.made === "sawn" && c.key.kind !== "blade" && c.key.kind !== "guard")
        .reduce((sum, c) => {
          const kerf = d.workshop.saw.kerfMm;
          const sides = [
            [c.sawnMm.lengthMm, c.finishedMm.lengthMm],
            [c.sawnMm.heightMm, c.finishedMm.heightMm],
            [c.sawnMm.thicknessMm, c.finishedMm.thicknessMm],
          ].map(([s, f]) => (s > f ? s - kerf : f));
          const density = materialsIn(d)(c.material)?.densityGcc.typical ?? 0;
          return sum + (c.count * sides[0] * sides[1] * sides[2] * density) / 1000;
        }, 0),
    );
    expect(more.massG - dry.massG).toBeCloseTo(b - a, 1);
  });
});

describe("sizes as they are drawn", () => {
  it.each(all)("of %s are positive, and there are those of every knife", (_, design) => {
    const sizes = drawnSizes(design);
    for (const [place, mm] of sizes) expect(mm, place).toBeGreaterThan(0);
    expect(sizes.get("blade-length")).toBe(design.blade.lengthMm);
    expect([...sizes.keys()].every((k) => SIZE_PLACES.includes(k))).toBe(true);
  });
});

describe("minutes as they really were", () => {
  it("are where the next plan begins, by the middle of them; the maker's own go before", () => {
    const took = [50, 200, 70].map((min) =>
      withTaken(withDone(newPlan(), "contour", { at: 1, cut: [] }), "contour", min),
    );
    const usual = usualMinutes([...took, newPlan()]);
    expect([...usual]).toEqual([["contour", { activeMin: 70, times: 3 }]]);
    const tasks = planOf(heath, newPlan().schools);
    const of = (record = newPlan()) =>
      planState(tasks, record, usual).tasks.find((t) => t.kind === "contour");
    expect(of()?.activeMin).toBe(70);
    const own = { ...newPlan(), minutes: { contour: { activeMin: 33, waitMin: 0 } } };
    expect(of(own)?.activeMin).toBe(33);
  });
});
