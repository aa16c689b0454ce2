import { describe, expect, it } from "vitest";
import { withTang } from "../design/constructions";
import { CONSTRUCTIONS } from "../design/constructions.fixtures";
import { newDesign } from "../design/create";
import { plainKnife as plain } from "../design/plainKnife.fixtures";
import { weigh } from "../weigh/weigh";
import { gluePlan, settingRate } from "./glue";
import { cutList, rodList } from "./stockList";

const sound = newDesign("Sedge");
const hidden = withTang(sound, "hidden");

describe("glue", () => {
  it("is what holes and lines hold, with waste, by ratio, by volume and by weight", () => {
    const base = plain(hidden);
    const glue = { ...base.fitUp.glue, ratio: 2, densityA: 1.2, densityB: 1, wasteShare: 0.25, lineMm: 0.1 };
    const design = { ...base, fitUp: { ...base.fitUp, glue } };
    const weighing = weigh(design);
    if (!weighing.ok) throw new Error("not weighed");
    const hole = weighing.report.parts.find((p) => p.id === "tang-hole")!;
    const plan = gluePlan(design, new Map());
    expect(plan.joints).toEqual([{ joint: "holes", volumeMm3: expect.closeTo(hole.volumeMm3, 3) }]);
    expect(plan.mixMm3).toBeCloseTo(1.25 * hole.volumeMm3, 3);
    expect(plan.partA.ml).toBeCloseTo(2 * plan.partB.ml, 9);
    expect(plan.partA.g).toBeCloseTo(plan.partA.ml * 1.2, 9);
    // Two faces of 100 × 24 mm on each side of the tang.
    const scales = gluePlan(plain(sound), new Map());
    expect(scales.joints.find((j) => j.joint === "faces")?.volumeMm3).toBeCloseTo(2 * 2400 * 0.1, 0);
  });

  it("sets half as fast for each 10 °C colder, and waits a day at least: common practice", () => {
    expect(settingRate(12, 22)).toBeCloseTo(0.5, 9);
    const cold = { ...sound, fitUp: { ...sound.fitUp, glue: { ...sound.fitUp.glue, shopC: 12, cureH: 1 } } };
    const plan = gluePlan(cold, new Map());
    expect(plan.potLifeMin).toBeCloseTo(120, 9);
    expect(plan.cureH).toBe(24);
  });
});

describe("stock", () => {
  it("is the finished box with shaping room on every side and a kerf", () => {
    const [pair] = cutList(plain(sound));
    expect(pair.finishedMm).toMatchObject({
      lengthMm: expect.closeTo(100, 6),
      heightMm: expect.closeTo(24, 6),
    });
    expect(pair.sawnMm.lengthMm).toBeCloseTo(100 + 3 + 1.5, 6);
    expect(pair).toMatchObject({
      id: "scale:pair",
      count: 2,
      pair: true,
      grain: "lengthwise",
      shortMm: null,
    });
  });

  it("that is too small says by how much", () => {
    const have = [{ piece: "scale:pair", lengthMm: 90, heightMm: 40, thicknessMm: 9.5 }];
    const base = plain(sound);
    const [pair] = cutList({ ...base, fitUp: { ...base.fitUp, stock: { ...base.fitUp.stock, have } } });
    expect(pair.shortMm).toEqual({ lengthMm: expect.closeTo(14.5, 6), heightMm: 0, thicknessMm: 0 });
  });

  it("is listed for every construction, each piece with its finite box, pressed ones over length", () => {
    for (const [name, design] of Object.entries(CONSTRUCTIONS)) {
      const list = cutList(design);
      expect(list.length, name).toBeGreaterThan(0);
      for (const p of list)
        expect(
          Object.values(p.sawnMm).every((mm) => Number.isFinite(mm) && mm > 0),
          `${name} ${p.id}`,
        ).toBe(true);
      expect(new Set(list.map((p) => p.id)).size, name).toBe(list.length);
    }
    const pieces = (name: string) => cutList(CONSTRUCTIONS[name]).map((p) => p.id);
    expect(pieces("short tang, welded on")).toContain("tang-rest");
    expect(pieces("short tang with a filler")).toContain("tang-rest");
    const washers = cutList(CONSTRUCTIONS["washers pressed together"]).find(
      ({ key }) => key.kind === "piece" && key.sort === "washer",
    )!;
    expect(washers.finishedMm.lengthMm).toBeCloseTo(40, 6);
    expect(rodList(sound)).toEqual([
      { material: "brass-360", diameterMm: 6.35, count: 2, lengthMm: expect.any(Number) },
    ]);
  });
});
