import { describe, expect, it } from "vitest";
import { newFastener } from "../../kinds/fasteners/registry";
import { CONSTRUCTIONS } from "../../knife/design/constructions.fixtures";
import { newDesign } from "../../knife/design/create";
import { newGuard } from "../../knife/design/guards";
import { newBolster, newPiece } from "../../knife/design/newParts";
import { plainKnife as plain } from "../../knife/design/plainKnife.fixtures";
import type { Design } from "../../knife/design/schema";
import { withEnd, withTang } from "../../knife/starts/constructions";
import { newMeasured } from "../../knife/starts/starts";
import { weigh } from "../weigh/weigh";
import { gluePlan, settingRate } from "./glue";
import { rodList } from "./rodList";
import { cutList } from "./stockList";

const sound = newDesign("Sedge");
const hidden = withTang(sound, "hidden");

describe("glue", () => {
  it("is what holes and lines hold, with waste, by ratio, by volume and by weight", () => {
    const base = plain(hidden);
    const glue = {
      ...base.workshop.glue,
      ratio: 2,
      densityA: 1.2,
      densityB: 1,
      wasteShare: 0.25,
      lineMm: 0.1,
    };
    const design = { ...base, workshop: { ...base.workshop, glue } };
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

  it("counts every joint: plates of a guard, segments, bolsters, each spacer at its own place", () => {
    const line = 0.1;
    const joint = (design: Design, of: string) =>
      (gluePlan(
        { ...design, workshop: { ...design.workshop, glue: { ...design.workshop.glue, lineMm: line } } },
        new Map(),
      ).joints.find((j) => j.joint === of)?.volumeMm3 ?? 0) / line;
    const box = plain(hidden);
    if (box.handle.kind !== "stack" || box.tang.kind !== "hidden") throw new Error("no pieces");
    const bar = { frontHeightMm: 12, endHeightMm: 12, frontThicknessMm: 4, endThicknessMm: 4, lengthMm: 60 };
    const pieces = [
      newPiece("a", "ferrule", "brass-260", 10),
      newPiece("b", "spacer", "g10", 2),
      newPiece("c", "block", "walnut-black", 60),
      newPiece("d", "butt-plate", "brass-260", 6),
    ];
    const stacked: Design = { ...box, tang: { ...box.tang, ...bar }, handle: { ...box.handle, pieces } };
    // 24 × 20 mm less the tang's 12 × 4 at two joints, whole behind the tang's end at the third.
    expect(joint(stacked, "pieces")).toBeCloseTo(2 * (480 - 48) + 480, 3);
    const plates = [3, 1, 3].map((thicknessMm) => ({ material: "brass-260", thicknessMm, printed: null }));
    const guard = { ...newGuard(stacked), plates, aboveMm: 15, belowMm: 15, widthMm: 18, roundness: 0 };
    expect(joint({ ...stacked, guard }, "plates")).toBeCloseTo(2 * (540 - 48) + 480 - 48, 2);
    const scales = plain(sound);
    if (scales.handle.kind !== "scales") throw new Error("no scales");
    const front = { ...newBolster("brass-260"), lengthMm: 20, tiltDeg: 0, dovetailDeg: 0 };
    const liners = [{ material: "g10", thicknessMm: 1 }];
    const divider = { material: "g10", thicknessMm: 1 };
    const joints = [{ id: "j", xMm: -60, tiltDeg: 0, dividers: [divider], right: "g10", left: "g10" }];
    const many: Design = {
      ...scales,
      handle: { ...scales.handle, liners, joints, bolsters: { front, rear: null } },
    };
    // The bolsters on the tang, the scales on liners on the tang, both sides.
    expect(joint(many, "faces")).toBeCloseTo(2 * (20 * 24 + 2 * 80 * 24), 1);
    // Behind the bolsters one face, round the divider two, each 24 × 7 mm on both sides.
    expect(joint(many, "segments")).toBeCloseTo(3 * 2 * 24 * 7, 1);
    // Two scales in two segments, liners, dividers and bolsters, on both sides.
    expect(gluePlan(many, new Map()).parts).toBe(2 * (1 + 1 + 1 + 1 + 1));
    expect(gluePlan({ ...stacked, guard }, new Map()).parts).toBe(3 + 4);
  });

  it("is none of what screws hold together, unless its maker wants it", () => {
    const bolt = newFastener("sleeve-bolt", "b", { xMm: -50, yMm: 0 }, 4);
    const screwed = { ...plain(sound), fasteners: [bolt] };
    const faces = (design: Design) => gluePlan(design, new Map()).joints.map((j) => j.joint);
    expect(faces(screwed)).toEqual([]);
    expect(faces({ ...screwed, fitUp: { ...screwed.fitUp, screwedToo: true } })).toEqual(["faces"]);
    const pin = newFastener("pin", "p", { xMm: -20, yMm: 0 }, 4);
    expect(faces({ ...screwed, fasteners: [bolt, pin] })).toContain("faces");
  });

  it("a tang that is screwed from the butt is left without fill and cross pins, and glued again as it was", () => {
    const pinned: Design = {
      ...hidden,
      fasteners: [
        newFastener("pin", "p", { xMm: -40, yMm: hidden.tang.kind === "hidden" ? hidden.tang.yMm : 0 }, 4),
      ],
    };
    const apart = withEnd(pinned, "take-down");
    expect(apart.tang).toMatchObject({ hole: { fill: null } });
    expect(apart.fasteners).toEqual([]);
    expect(gluePlan(apart, new Map()).netMm3).toBe(0);
    expect(withEnd(apart, "plain").tang).toMatchObject({ hole: { fill: "epoxy" } });
  });

  it("sets half as fast for each 10 °C colder, and waits a day at least: common practice", () => {
    expect(settingRate(12, 22)).toBeCloseTo(0.5, 9);
    const cold = {
      ...sound,
      workshop: { ...sound.workshop, shopC: 12, glue: { ...sound.workshop.glue, cureH: 1 } },
    };
    const plan = gluePlan(cold, new Map());
    expect(plan.potLifeMin).toBeCloseTo(120, 9);
    expect(plan.cureH).toBe(24);
    expect(plan.curesIndoors).toBe(false);
    // How long a shop waits at least is its maker's choice: half a day, or three.
    for (const leastCureH of [12, 72]) {
      const glue = { ...cold.workshop.glue, leastCureH };
      const own = { ...cold, workshop: { ...cold.workshop, glue } };
      expect(gluePlan(own, new Map()).cureH).toBe(leastCureH);
    }
    const colder = { ...cold, workshop: { ...cold.workshop, shopC: 4 } };
    expect(gluePlan(colder, new Map())).toMatchObject({ cureH: 24, curesIndoors: true });
  });
});

describe("stock", () => {
  it("is the finished box with shaping room on every side and a kerf", () => {
    const [blade, pair] = cutList(plain(sound));
    // Blade and tang in one bar: 105 ahead and 100 behind, from the tip's edge to the tang's spine, as thick as stock.
    expect(blade).toMatchObject({ id: "blade", material: "steel-1084", grain: null, made: "sawn" });
    expect(blade.sawnMm.lengthMm).toBeCloseTo(205 + 3 + 1.5, 1);
    expect(blade.sawnMm.thicknessMm).toBe(4);
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
    const [, pair] = cutList({ ...base, fitUp: { ...base.fitUp, stock: { ...base.fitUp.stock, have } } });
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
    // 40 mm of leather before it is pressed, from 9 oz sheet of 3.6 mm: eleven discs are too few.
    expect(washers.discs).toEqual({ count: 12, thicknessMm: 3.6 });
    // Discs of a thickness of their own are as many as fill the length before it is pressed.
    const { handle } = CONSTRUCTIONS["washers pressed together"];
    if (handle.kind !== "stack") throw new Error("no pieces");
    const of = handle.pieces.map((p) => (p.role === "washer" ? { ...p, discMm: 2.5 } : p));
    const thin = cutList({ ...CONSTRUCTIONS["washers pressed together"], handle: { ...handle, pieces: of } });
    expect(thin.find((p) => p.discs)?.discs).toEqual({ count: 16, thicknessMm: 2.5 });
    expect(washers.count).toBe(12);
    expect(rodList(sound)).toEqual([
      { kind: "rod", material: "brass-360", diameterMm: 4.7625, count: 2, lengthMm: expect.any(Number) },
    ]);
  });

  it("has grain where there is grain, patterned rod, and no saw for what is printed or built up", () => {
    const by = (name: string) => cutList(CONSTRUCTIONS[name]);
    expect(by("printed guard").find((p) => p.id === "guard")).toMatchObject({ made: "printed", grain: null });
    const grip = by("metal grip with finger rings").find((p) => p.key.kind === "piece");
    expect(grip).toMatchObject({ made: "built-up", grain: null });
    expect(grip?.sawnMm).toEqual(grip?.finishedMm);
    const walnut = by("full tang with slots").find((p) => p.id === "scale:pair");
    expect(walnut?.grain).toBe("lengthwise");
    const patterned = CONSTRUCTIONS["fastener: patterned-pin"];
    expect(rodList(patterned).map((r) => [r.kind, r.count])).toEqual([["patterned-rod", 1]]);
    // A blade in the hand is bought: nothing of it is sawn.
    const held = { ...sound, blade: { ...sound.blade, measured: newMeasured(120, 14) } };
    expect(cutList(held).map((p) => p.id)).toEqual(["scale:pair"]);
  });
});
