import { execFileSync } from "node:child_process";
import Module, { type ManifoldToplevel } from "manifold-3d";
import { beforeAll, describe, expect, it } from "vitest";
import { blockHoleRegions, roomRegion } from "../assembly/barTang";
import { beginning } from "../assembly/building";
import { withTang } from "../design/constructions";
import { CONSTRUCTIONS } from "../design/constructions.fixtures";
import { newDesign, planFrom } from "../design/create";
import { newFastener } from "../design/fasteners";
import { guardOfForm } from "../design/guards";
import type { Design } from "../design/schema";
import { manifoldOf } from "../solids/kernel";
import { meshRegion } from "../solids/meshRegion";
import { THREADS } from "../units/threads";
import { weigh } from "../weigh/weigh";
import { DRILLS, drillsIn, ownedDrills } from "./drillSets";
import { gluePlan, settingRate } from "./glue";
import { chainPlan, guardSlot, millPlan, pieceSlots } from "./guardSlot";
import { bevelLeft, girths, wantedGrip } from "./hand";
import { moistureContent, movement } from "./movement";
import { nearestDrill, pickDrill } from "./pickDrill";
import { jigPitches, pinLayout, taperShim } from "./pinLayout";
import { engagementOf, screwSizes, tapDrillMm } from "./screws";
import { bodyOf, seats } from "./seats";
import { fitSheet } from "./sheet";
import { alignedToMiddle, evenlySpread, mirrored } from "./spread";
import { cutList, rodList } from "./stockList";
import { bendingMPa, stepFactor, tangStress } from "./strength";
import { tangWalls, thinnerTang, thinnest, thinnestScale } from "./walls";

const sound = newDesign("Sedge");
const hidden = withTang(sound, "hidden");
const inch = drillsIn(["fraction", "number", "letter"]);

/** A handle without rounding or taper: 100 × 24 × 20 mm. */
function plain(of: Design): Design {
  const corner = (id: string, xMm: number, yMm: number) => ({
    id,
    role: "free" as const,
    xMm,
    yMm,
    corner: true,
  });
  const outline = [corner("a", 0, 12), corner("b", -100, 12), corner("c", -100, -12), corner("d", 0, -12)];
  const shape = { outline, plan: planFrom(100, [10, 10, 10, 10], 0) };
  const handle =
    of.handle.kind === "scales" ? { ...of.handle, ...shape, frontBevel: null } : { ...of.handle, ...shape };
  return { ...of, handle, fasteners: [] };
}

describe("drills", () => {
  it("a 1/4 in pin slides in F, and is pressed or snug in 1/4 in: common practice", () => {
    expect(pickDrill(6.35, "slide", inch)?.drill).toMatchObject({ name: "F", inch: 0.257 });
    expect(pickDrill(6.35, "slide", inch)?.drill.mm).toBeCloseTo(6.53, 2);
    for (const fit of ["press", "snug"] as const)
      expect(pickDrill(6.35, fit, inch)?.drill.name).toBe("1/4 in");
  });

  it("a common sleeve bolt's barrel takes a No. 13, 0.185 in: common practice", () => {
    expect(pickDrill(4.7, "snug", inch)?.drill).toMatchObject({ name: "#13", inch: 0.185 });
  });

  it("clearances have their signs: never tight to slide, never loose to press", () => {
    for (let d = 1; d <= 10; d += 0.137) {
      const slide = pickDrill(d, "slide", DRILLS);
      const press = pickDrill(d, "press", DRILLS);
      expect(slide!.clearanceMm).toBeGreaterThan(0.0299);
      expect(slide!.clearanceMm).toBeLessThan(0.2);
      expect(press!.clearanceMm).toBeLessThanOrEqual(0.012);
    }
    expect(pickDrill(Number.NaN, "slide", DRILLS)).toBeNull();
    expect(pickDrill(40, "slide", DRILLS)).toBeNull();
  });

  it("are those that are there, or all of the sets", () => {
    expect(ownedDrills({ sets: ["letter"], own: [] })).toHaveLength(26);
    const own = ownedDrills({ sets: ["letter"], own: ["F", "1/4 in"] });
    expect(own.map((d) => d.name)).toEqual(["1/4 in", "F"]);
    expect(nearestDrill(6.4, own)?.name).toBe("1/4 in");
    expect(nearestDrill(6.4, [])).toBeNull();
  });

  /** Source: Debian's units, `drillgauge(n)` and `drillA`. */
  it("have the sizes that units gives them", () => {
    for (const name of ["#1", "#13", "#40", "#60"]) {
      const told = execFileSync("units", ["-t", `drillgauge(${name.slice(1)})`, "mm"], { encoding: "utf8" });
      expect(DRILLS.find((d) => d.name === name)!.mm).toBeCloseTo(Number(told), 3);
    }
    const told = execFileSync("units", ["-t", "drillF", "mm"], { encoding: "utf8" });
    expect(DRILLS.find((d) => d.name === "F")!.mm).toBeCloseTo(Number(told), 3);
  });
});

describe("threads", () => {
  /** ISO 2306 gives these tapping drills, mm; from memory. */
  it.each([
    ["M3", 2.5],
    ["M4", 3.3],
    ["M5", 4.2],
    ["M6", 5],
    ["M8", 6.8],
  ])("%s is tapped in a hole of %s mm", (name, mm) => {
    expect(tapDrillMm(THREADS.find((t) => t.name === name)!)).toBeCloseTo(mm, 1);
  });

  /** Tap charts for 75 % of the thread: 8-32 #29 (0.136), 10-32 #21 (0.159), 1/4-20 #7 (0.201); from memory. */
  it.each([
    ["No. 8-32", "#29"],
    ["No. 10-32", "#21"],
    ["No. 10-24", "#25"],
    ["1/4-20", "#7"],
  ])("%s is tapped in a %s hole", (name, drill) => {
    const thread = THREADS.find((t) => t.name === name)!;
    const charted = DRILLS.find((d) => d.name === drill)!;
    expect(Math.abs(tapDrillMm(thread) - charted.mm)).toBeLessThan(0.08);
  });

  it("have head, key and nut, the head wider than the thread and the key smaller", () => {
    for (const t of THREADS) {
      const sizes = screwSizes(t)!;
      expect(sizes.headMm).toBeGreaterThan(t.diameterMm * 1.3);
      expect(sizes.keyMm).toBeLessThan(t.diameterMm);
      expect(sizes.nutAcrossMm).toBeGreaterThan(t.diameterMm);
    }
    expect(["steel-1084", "brass-360", "aluminium-6061"].map(engagementOf)).toEqual([1, 1.5, 2]);
  });
});

describe("the guard's slot", () => {
  it("6.8 × 23.8 mm by a 6 mm mill: 0.4 mm to each side, 17.8 mm of travel: common practice", () => {
    const plan = millPlan(23.8, 6.8, [3, 4, 5, 6, 8])!;
    expect(plan.cutterMm).toBe(6);
    expect(plan.offsetMm).toBeCloseTo(0.4, 9);
    expect(plan.travelMm).toBeCloseTo(17.8, 9);
    expect(millPlan(10, 1, [2, 3])).toBeNull();
  });

  it("by a chain of holes: inside the slot, apart, and together as long as it is", () => {
    const plan = chainPlan(24, 5, 0.2, inch)!;
    expect(plan.drill.mm).toBeLessThanOrEqual(4.8);
    expect(plan.pitchMm).toBeGreaterThan(plan.drill.mm);
    expect((plan.holes - 1) * plan.pitchMm + plan.drill.mm).toBeCloseTo(24 - 0.2, 9);
    expect(chainPlan(24, 0.3, 0.2, inch)).toBeNull();
  });

  it("is the tang at the seat with room, covered by the shoulders where there are any", () => {
    const guard = { ...guardOfForm("oval", hidden), slot: { clearanceMm: 0.1, fill: null } };
    const { tang } = hidden;
    if (tang.kind !== "hidden") throw new Error("no hidden tang");
    const slot = guardSlot({ ...hidden, guard }, inch)!;
    expect(slot.heightMm).toBeCloseTo(tang.frontHeightMm + 0.2, 9);
    expect(slot.thicknessMm).toBeCloseTo(tang.frontThicknessMm + 0.2, 9);
    expect(slot.behind.heightMm).toBeLessThanOrEqual(tang.frontHeightMm);
    // The blade is 26 mm high at the shoulder, the tang half of the handle's 26 mm front.
    expect(slot.coverAboveMm! + slot.coverBelowMm!).toBeCloseTo(26 - tang.frontHeightMm - 0.2, 6);
    expect(guardSlot(hidden, inch)).toBeNull();
  });
});

describe("slots behind the guard", () => {
  it("are as large as the tang where it comes in, or round for its rod; a block has its own hole", () => {
    const dagger = CONSTRUCTIONS["pieces with leaning joints"];
    const { tang } = dagger;
    if (tang.kind !== "hidden" || tang.hole.kind !== "broached") throw new Error("no broached hole");
    const [ferrule, spacer] = pieceSlots(dagger);
    expect(ferrule).toMatchObject({ piece: "1. Ferrule", roundMm: null });
    expect(ferrule.heightMm).toBeCloseTo(tang.frontHeightMm + 2 * tang.hole.clearanceMm, 9);
    expect(spacer.heightMm).toBeLessThan(ferrule.heightMm);
    expect(pieceSlots(sound)).toEqual([]);
  });
});

describe("pins", () => {
  it("stand where the table says, with what is left round them", () => {
    const f = (id: string, xMm: number, yMm: number) => ({
      ...newFastener("pin", id, { xMm, yMm }, 4),
      diameterMm: 5,
    });
    const design = { ...plain(sound), fasteners: [f("b", -70, 2), f("a", -20, 0)] } as Design;
    const [a, b] = pinLayout(design);
    expect([a.id, a.behindMm, a.toEdgeMm, a.rimMm]).toEqual([
      "a",
      20,
      expect.closeTo(12, 6),
      expect.closeTo(9.5, 6),
    ]);
    expect(b.fromLowerEdgeMm).toBeCloseTo(14, 6);
    expect(b.fromUpperEdgeMm).toBeCloseTo(10, 6);
    expect(a.webMm).toBeCloseTo(Math.hypot(50, 2) - 5, 9);
    expect(a.throughMm).toBeCloseTo(20, 6);
    expect(a.blankMm).toBeCloseTo(20 + 2 * 0.75 * 5, 6);
    expect(jigPitches([a, b])).toEqual([50]);
  });

  it("are spread, mirrored and aligned", () => {
    const f = (id: string, xMm: number, yMm: number) => newFastener("pin", id, { xMm, yMm }, 4);
    const design = { ...plain(sound), fasteners: [f("a", -10, 1), f("b", -20, 1), f("c", -90, 1)] };
    expect(evenlySpread(design)).toEqual([{ id: "b", xMm: -50, yMm: 1 }]);
    expect(mirrored(design)).toEqual([{ id: "c", xMm: -90, yMm: 1 }]);
    expect(alignedToMiddle(design).map((m) => m.yMm)).toEqual([0, 0, 0]);
    expect(evenlySpread({ ...design, fasteners: [] })).toEqual([]);
  });

  it("of a tapered tang are drilled square on a shim", () => {
    const tang = { ...sound.tang, taper: { frontMm: 4, buttMm: 2 } } as Design["tang"];
    const shim = taperShim({ ...plain(sound), tang })!;
    expect(shim.shimMm).toBeCloseTo(1, 9);
    expect(Math.tan((shim.angleDeg * Math.PI) / 180)).toBeCloseTo(1 / 100, 6);
    expect(taperShim(sound)).toBeNull();
  });
});

describe("bolts", () => {
  it("seat to seat = tang + liners + 2 × (scale − counterbore): common practice", () => {
    // Scales of 3/8 in, heads 3/16 in deep, on a 4 mm tang with 0.8 mm liners.
    const [scale, deep, liner] = [9.525, 4.7625, 0.8];
    const base = plain(sound);
    if (base.handle.kind !== "scales") throw new Error("no scales");
    const side = { material: "walnut-black", thicknessMm: scale };
    const seatMm = 2 + liner + scale - deep;
    const bolt = {
      ...newFastener("sleeve-bolt", "b", { xMm: -50, yMm: 0 }, 4),
      seatMm,
    } as Design["fasteners"][number];
    const handle = {
      ...base.handle,
      right: side,
      left: side,
      liners: [{ material: "g10", thicknessMm: liner }],
    };
    const [seat] = seats({ ...base, handle, fasteners: [bolt] });
    expect(seat.seatToSeatMm).toBeCloseTo(4 + 2 * liner + 2 * (scale - deep), 9);
    expect(seat.depthFromStockMm[0]).toBeCloseTo(deep, 9);
    expect(seat.underHeadMm).toBeCloseTo(scale - deep, 9);
    // The handle is 20 mm thick there once it is contoured.
    expect(seat.overSeatMm[0]).toBeCloseTo(10 - seatMm, 6);
  });
});

describe("walls", () => {
  let kernel: ManifoldToplevel;
  beforeAll(async () => {
    kernel = await Module();
    kernel.setup();
  });

  it("in a block are what is left beside a slot of the same shape", () => {
    const base = plain(hidden);
    const tang = {
      ...base.tang,
      lengthMm: 60,
      yMm: 1,
      frontHeightMm: 12,
      endHeightMm: 12,
      frontThicknessMm: 4,
      endThicknessMm: 4,
      hole: { kind: "broached", clearanceMm: 0.5, deeperMm: 3, fill: null },
    } as Design["tang"];
    const wall = thinnest(tangWalls({ ...base, tang }))!;
    // Up: 12 − (1 + 6 + 0.5); across: 10 − 2.5.
    expect(wall.wallMm).toBeCloseTo(4.5, 2);
    expect(tangWalls(sound)).toEqual([]);
    expect(thinnerTang({ ...base, tang }, 4)).toBe(1);
    const share = thinnerTang({ ...base, tang }, 5.5)!;
    expect(share).toBeCloseTo(10 / 12, 1);
    expect(thinnerTang({ ...base, tang }, 30)).toBeNull();
  });

  /** Source: npm's manifold-3d, nearest distance between the hole and all that lies outside the handle. */
  it.each(["hidden tang, rounded section", "hidden tang, milled hole", "framed tang", "domed guard"])(
    "%s: the thinnest agrees with the nearest distance between solids",
    (name) => {
      const design = CONSTRUCTIONS[name];
      const { tang } = design;
      if (tang.kind === "full") throw new Error("no hole");
      const ours = thinnest(tangWalls(design))!;
      const b = beginning(design);
      const { body } = bodyOf(design);
      const fine = { stations: 6, rows: 24 };
      const union = (regions: Parameters<typeof meshRegion>[0][]) =>
        kernel.Manifold.union(regions.flatMap((r) => meshRegion(r, fine).map((m) => manifoldOf(kernel, m))));
      const holes =
        tang.kind === "hidden"
          ? blockHoleRegions(tang, tang.hole, b.behind[1])
          : [roomRegion(tang, tang.hole.clearanceMm, tang.hole.deeperMm, b.behind[1])];
      const [butt, front] = b.behind;
      // The hole is open at the front: both are looked at behind it only.
      const behind = (m: ReturnType<typeof union>) => m.trimByPlane([-1, 0, 0], -(front - 0.5));
      const solid = union([body]);
      const world = kernel.Manifold.cube([300, 90, 60], true).translate([butt + 100, 0, 0]);
      const outside = behind(world.subtract(solid));
      const gap = outside.minGap(behind(union(holes)), 20);
      const room = tang.kind === "framed" ? tang.hole.clearanceMm : 0;
      expect(Math.abs(ours.wallMm + room - gap), `${ours.wallMm} ${gap}`).toBeLessThan(0.05 + 0.02 * gap);
    },
  );
});

describe("scales after contouring", () => {
  it("are thinnest in the hollow: R − √(R² − c²/4) less than beside it, common practice", () => {
    const base = plain(sound);
    const waist = { xMm: -50, chordMm: 40, wheelRadiusMm: 101.6 };
    const left = thinnestScale({ ...base, handle: { ...base.handle, waist } })!;
    expect(left.xMm).toBeCloseTo(-50, 6);
    expect(left.leftMm).toBeCloseTo(10 - 2 - (101.6 - Math.sqrt(101.6 ** 2 - 20 ** 2)), 3);
    expect(thinnestScale(hidden)).toBeNull();
  });
});

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
      piece: "Scale, pair",
      count: 2,
      pair: true,
      grain: "lengthwise",
      shortMm: null,
    });
  });

  it("that is too small says by how much", () => {
    const have = [{ piece: "Scale, pair", lengthMm: 90, heightMm: 40, thicknessMm: 9.5 }];
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
          `${name} ${p.piece}`,
        ).toBe(true);
      expect(new Set(list.map((p) => p.piece)).size, name).toBe(list.length);
    }
    const washers = cutList(CONSTRUCTIONS["washers pressed together"]).find((p) =>
      p.piece.includes("Washer"),
    )!;
    expect(washers.finishedMm.lengthMm).toBeCloseTo(40, 6);
    expect(rodList(sound)).toEqual([
      { material: "brass-360", diameterMm: 6.35, count: 2, lengthMm: expect.any(Number) },
    ]);
  });
});

describe("hand and section", () => {
  it("girth of a box and of an ellipse", () => {
    const [box] = girths(plain(sound));
    expect(box.girthMm).toBeCloseTo(2 * (24 + 20), 0);
    expect(box.ratio).toBeCloseTo(1.2, 3);
    const base = plain(hidden);
    const round = { ...base, handle: { ...base.handle, plan: planFrom(100, [10, 10, 10, 10], 1) } } as Design;
    // Ramanujan's second approximation of an ellipse's perimeter, good to 1e-8 here.
    const [a, b] = [12, 10];
    const h = ((a - b) / (a + b)) ** 2;
    const perimeter = Math.PI * (a + b) * (1 + (3 * h) / (10 + Math.sqrt(4 - 3 * h)));
    expect(girths(round)[0].girthMm / perimeter).toBeCloseTo(1, 3);
    expect(wantedGrip(85)).toBe(95);
  });

  it("a 45° bevel loses as much length as the face loses thickness: common practice", () => {
    const base = plain(sound);
    if (base.handle.kind !== "scales") throw new Error("no scales");
    const handle = { ...base.handle, frontBevel: { lengthMm: 3, angleDeg: 45 } };
    // 2 mm of tang half and 9.5 mm of scale, taken down to 10 mm.
    expect(bevelLeft({ ...base, handle })).toEqual({
      cutMm: expect.closeTo(4.5, 9),
      lostMm: expect.closeTo(1.5, 9),
      leftMm: 3,
    });
    expect(bevelLeft(base)).toBeNull();
  });
});

describe("strength", () => {
  it("of a plain bar is beam theory's 6 M / (b h²)", () => {
    expect(bendingMPa(9000, 4, 20)).toBeCloseTo((6 * 9000) / (4 * 400), 12);
    expect(bendingMPa(9000, 0, 20)).toBe(0);
    const { loads } = sound.fitUp;
    const stress = tangStress(plain(sound));
    expect(stress.edgeMPa).toBeCloseTo((6 * loads.edgeN * loads.atMm) / (4 * 24 * 24), 6);
    expect(stress.ratio).toBeCloseTo(Math.max(stress.edgeMPa, stress.sideMPa) / loads.yieldMPa, 12);
  });

  /** Norton, Machine Design, appendix: K = A (r/d)^b for a stepped flat bar in bending; from memory. */
  it.each([
    [3, 0.9072, -0.33333],
    [2, 0.93232, -0.30304],
    [1.3, 0.9588, -0.27269],
    [1.2, 0.9959, -0.23829],
    [1.1, 1.0165, -0.21548],
  ])("the corner's factor at D/d = %s agrees with another published fit", (ratio, A, b) => {
    for (const rd of [0.05, 0.1, 0.15, 0.2, 0.25])
      expect(Math.abs(stepFactor(10 * ratio, 10, 10 * rd) / (A * rd ** b) - 1), `r/d ${rd}`).toBeLessThan(
        0.09,
      );
  });

  /**
   * Source: CalculiX 2.20 (Debian's calculix-ccx), plane stress, quadratic elements, 7,469 nodes; refined from 1,653 it
   * moved by under 1 %. fixtures/stepped-tang.inp is the coarser deck of 26 to 13 mm with a fillet of 2 mm.
   */
  it.each([
    [26, 13, 1, 2.149],
    [26, 13, 2, 1.71],
    [26, 13, 3, 1.524],
    [20, 16, 1.5, 1.856],
    [30, 12, 1.5, 1.831],
  ])("a tang stepped from %s to %s mm with a fillet of %s mm: finite elements give %s", (D, d, r, K) => {
    expect(Math.abs(stepFactor(D, d, r) / K - 1)).toBeLessThan(0.07);
  });

  it("a factor is 1 without a step, and never less", () => {
    expect(stepFactor(10, 10, 1)).toBe(1);
    expect(stepFactor(10, 12, 1)).toBe(1);
    for (const r of [0, 0.01, 0.5, 3, 50]) expect(stepFactor(26, 13, r)).toBeGreaterThanOrEqual(1);
  });
});

describe("moisture", () => {
  /** USDA Wood Handbook, table 4-2, about 21 °C; from memory. */
  it.each([
    [0.3, 6.2],
    [0.5, 9.2],
    [0.65, 12.0],
    [0.8, 16.0],
  ])("at %s relative humidity wood holds %s %%", (h, percent) => {
    expect(Math.abs(moistureContent(h) - percent)).toBeLessThan(0.25);
  });

  /** Worked as the handbook's chapter 13 does: ΔD = D · C · (M₁ − M₀). */
  it("moves wood by its coefficient; stabilised a third of that; what is no wood not at all", () => {
    const base = plain(sound);
    const [walnut] = movement(base);
    const change = moistureContent(0.7) - moistureContent(0.3);
    expect(walnut.mostMm).toBeCloseTo(24 * 0.00274 * change, 9);
    expect(walnut.leastMm).toBeLessThan(walnut.mostMm);
    const of = (material: string): Design => ({
      ...base,
      handle: {
        ...base.handle,
        right: { material, thicknessMm: 9 },
        left: { material, thicknessMm: 9 },
      } as Design["handle"],
    });
    expect(movement(of("maple-burl-stabilised"))[0].mostMm).toBeCloseTo((24 * 0.00353 * change) / 3, 9);
    expect(movement(of("g10"))).toEqual([]);
  });
});

describe("the whole sheet", () => {
  it.each(Object.keys(CONSTRUCTIONS))("%s: every figure is finite", (name) => {
    const finite = (value: unknown, path: string): void => {
      if (typeof value === "number") expect(Number.isFinite(value), path).toBe(true);
      else if (Array.isArray(value)) for (const [i, v] of value.entries()) finite(v, `${path}.${i}`);
      else if (value && typeof value === "object")
        for (const [k, v] of Object.entries(value)) finite(v, `${path}.${k}`);
    };
    finite(fitSheet(CONSTRUCTIONS[name]), name);
  });
});
