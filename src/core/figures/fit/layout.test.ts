import { describe, expect, it } from "vitest";
import { newFastener } from "../../kinds/fasteners/registry";
import { CONSTRUCTIONS } from "../../knife/design/constructions.fixtures";
import { newDesign } from "../../knife/design/create";
import { guardOfForm } from "../../knife/design/guards";
import { newScale } from "../../knife/design/newScale";
import { plainKnife as plain } from "../../knife/design/plainKnife.fixtures";
import type { Design } from "../../knife/design/schema";
import { layoutOf } from "../../knife/layout/layout";
import { withTang } from "../../knife/starts/constructions";
import { drillsIn } from "./drillSets";
import { chainPlan, guardSlot, millPlan } from "./guardSlot";
import { holesOf } from "./holes";
import { pieceOpenings } from "./openings";
import { jigPitches, pinLayout, taperShim } from "./pinLayout";
import { seats } from "./seats";
import { alignedToMiddle, evenlySpread, mirrored } from "./spread";

const sound = newDesign("Sedge");
const hidden = withTang(sound, "hidden");
const inch = drillsIn(["fraction", "number", "letter"]);

describe("the guard's slot", () => {
  it("6.8 × 23.8 mm by a 6 mm mill: 0.4 mm to each side, 17.8 mm of travel: common practice", () => {
    const plan = millPlan(23.8, 6.8, [3, 4, 5, 6, 8])!;
    expect(plan.cutterMm).toBe(6);
    expect(plan.offsetMm).toBeCloseTo(0.4, 9);
    expect(plan.travelMm).toBeCloseTo(17.8, 9);
    expect(millPlan(10, 1, [2, 3])).toBeNull();
  });

  it("leaves what is for the file in offset and in travel, and takes a narrower cutter where it must", () => {
    const plan = millPlan(23.8, 6.8, [3, 4, 5, 6, 8], 0.2)!;
    expect([plan.cutterMm, plan.offsetMm, plan.travelMm]).toEqual([
      6,
      expect.closeTo(0.3, 9),
      expect.closeTo(17.6, 9),
    ]);
    expect(millPlan(23.8, 6.1, [5, 6], 0.2)?.cutterMm).toBe(5);
  });

  it("that is too small for a chain gets one hole: never two that would run into each other", () => {
    expect(chainPlan(5, 5, 0.2, inch)).toMatchObject({ holes: 1, pitchMm: 0 });
    for (let height = 4; height < 30; height += 0.13) {
      const plan = chainPlan(height, 5, 0.2, inch);
      if (plan && plan.holes > 1) expect(plan.pitchMm - plan.drill.mm, String(height)).toBeGreaterThan(0.299);
    }
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

describe("openings behind the guard", () => {
  it("are as large as the tang where it comes in and goes out, with the hole's room all round", () => {
    const dagger = CONSTRUCTIONS["pieces with leaning joints"];
    const { tang } = dagger;
    if (tang.kind !== "hidden" || tang.hole.kind !== "broached") throw new Error("no broached hole");
    const [ferrule, spacer] = pieceOpenings(dagger);
    expect(ferrule).toMatchObject({ key: { kind: "piece", sort: "ferrule" }, number: 1 });
    expect(ferrule.front.roundMm).toBeNull();
    const at = (x: number) => layoutOf(dagger).tangAt(x);
    const rear = at(layoutOf(dagger).pieces[0][0]);
    const room = 2 * tang.hole.clearanceMm;
    // The rear face leans: its opening is read along it.
    expect(Math.abs(ferrule.rear!.heightMm - (rear.highY - rear.lowY + room))).toBeLessThan(0.5);
    // At the shoulder, the fillets go in too.
    expect(ferrule.front.heightMm).toBeGreaterThan(tang.frontHeightMm + room - 0.01);
    expect(spacer.front.heightMm).toBeCloseTo(ferrule.rear!.heightMm, 1);
    expect(pieceOpenings(sound)).toEqual([]);
  });

  it("of a block with a drilled hole are its bores, as many as are drilled and as wide", () => {
    const knife = CONSTRUCTIONS["hidden tang, drilled hole"];
    const { tang } = knife;
    if (tang.kind !== "hidden" || tang.hole.kind !== "drilled") throw new Error("no drilled hole");
    const [{ bitMm, count, pitchMm, depthMm }] = tang.hole.stages;
    const [block] = pieceOpenings(knife);
    expect(block.front.heightMm).toBeGreaterThanOrEqual((count - 1) * pitchMm + bitMm - 0.01);
    const drilled = holesOf(knife).filter((h) => h.use === "tang" && h.piece === block.id);
    expect(drilled.length).toBe(count);
    for (const h of drilled) expect(h).toMatchObject({ axis: "along", from: "front" });
    expect(drilled[0].depthMm).toBeCloseTo(depthMm, 2);
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
    expect(jigPitches([a, b])).toEqual([
      { alongMm: 50, apartMm: expect.closeTo(Math.hypot(50, b.aboveAxisMm - a.aboveAxisMm), 9) },
    ]);
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
    const side = newScale("walnut-black", scale);
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
