import { describe, expect, it } from "vitest";
import { GUARD_EDITS } from "../../edit/fixed/guardEdits";
import { cutParts } from "../../exchange/cutting/cutParts";
import { DEMO_KNIVES } from "../../exchange/files/knife/demo.fixtures";
import { spreadOf } from "../../figures/tune/spread";
import { materialMoments } from "../../figures/weigh/materialMoments";
import { momentsOf } from "../../figures/weigh/momentsOf";
import { weigh } from "../../figures/weigh/weigh";
import { signedArea } from "../../geometry/contours/loop";
import { newFastener } from "../../kinds/fasteners/registry";
import { shippedMaterial } from "../../materials/materials";
import { newGuard } from "../design/guards";
import { boxesMesh } from "../design/limits.fixtures";
import { newBolster } from "../design/newParts";
import type { Design, ScalesHandle, StackHandle, Texture, Wrap } from "../design/schema";
import { encodeMesh } from "../design/storedMesh";
import { assemble } from "./assemble";
import { bar, full, hidden, near } from "./closedForms.fixtures";
import { volumes } from "./volumes.fixtures";

const scales = full.handle as ScalesHandle;
const scaled = (change: Partial<ScalesHandle>): Design => ({ ...full, handle: { ...scales, ...change } });
const rearEnd = (change: Partial<NonNullable<ScalesHandle["rearEnd"]>>): ScalesHandle["rearEnd"] => ({
  bareMm: 20,
  tiltDeg: 0,
  wheelRadiusMm: null,
  ...change,
});

describe("scales that end ahead of the butt", () => {
  it("are as much shorter, whatever their edge leans by, and the tang stays whole", () => {
    for (const tiltDeg of [0, 15, -40]) {
      const v = volumes(scaled({ rearEnd: rearEnd({ tiltDeg }) }));
      near(v.get("scale:right"), 80 * 24 * 8, 1e-6);
      near(v.get("scale:left"), 80 * 24 * 8, 1e-6);
      near(v.get("tang"), 100 * 24 * 4, 1e-6);
    }
  });

  it("hollowed by a wheel lose its segment as well, square to the lean", () => {
    const [r, half] = [30, 12];
    // What lies behind the wheel's rim within the handle's height, less the 20 mm that are bare where it is deepest.
    const horns = 2 * (r * half - (r * r * Math.asin(half / r) + half * Math.sqrt(r * r - half * half)) / 2);
    const v = volumes(scaled({ rearEnd: rearEnd({ wheelRadiusMm: r }) }));
    near(v.get("scale:right"), (80 * 24 + horns) * 8, 1e-6);
    // A wheel smaller than the handle is high: a half circle, and straight beyond it.
    const small = volumes(scaled({ rearEnd: rearEnd({ wheelRadiusMm: 8 }) }));
    near(small.get("scale:left"), (88 * 24 - (Math.PI / 2) * 64) * 8, 1e-6);
  });

  it("carry liners and bolsters with them; what is drilled through the bare tang ends at its faces", () => {
    const v = volumes({
      ...scaled({
        rearEnd: rearEnd({}),
        liners: [{ material: "g10", thicknessMm: 1 }],
        bolsters: { front: null, rear: { ...newBolster("brass-260"), lengthMm: 15 } },
      }),
      fasteners: [
        newFastener("lanyard-tube", "t", { xMm: -90, yMm: 0 }, 4),
        newFastener("pin", "p", { xMm: -40, yMm: 0 }, 4),
      ].map((f) => ({ ...f, diameterMm: 6 })) as Design["fasteners"],
    });
    near(v.get("bolster:rear:right"), 15 * 24 * 8, 1e-6);
    near(v.get("liner:left"), (65 * 24 - 9 * Math.PI) * 1, 1e-6);
    near(v.get("fastener:p"), 9 * Math.PI * 20, 1e-6);
    near(v.get("tang"), 100 * 24 * 4 - 2 * 9 * Math.PI * 4, 1e-6);
    const tube = (v.get("fastener:t") ?? 0) + (v.get("fastener:t:bore") ?? 0);
    expect(tube).toBeLessThanOrEqual(9 * Math.PI * 4 + 1e-6);
    expect(v.get("fastener:t")).toBeGreaterThan(10);
  });

  it("have at their rear the bevel that they may have at the front", () => {
    const bevel = { lengthMm: 12, angleDeg: 30 };
    const front = volumes(scaled({ frontBevel: bevel })).get("scale:right")!;
    near(volumes(scaled({ rearBevel: bevel })).get("scale:right"), front, 1e-6);
    const both = volumes(scaled({ frontBevel: bevel, rearBevel: bevel, rearEnd: rearEnd({}) }));
    near(both.get("scale:left"), 2 * front - 120 * 24 * 8, 1e-6);
  });
});

/** What is missing of each part whose face is not smooth, mm³. */
function lost(design: Design): Map<string, number> {
  const assembly = assemble(design);
  const whole = momentsOf(assembly);
  const material = materialMoments(assembly, whole);
  const found = new Map<string, number>();
  assembly.parts.forEach(({ id, materials }, i) => {
    if (materials.length > 0) found.set(id, (found.get(id) ?? 0) + whole[i].v - material[i].v);
  });
  return found;
}

const natural: Texture = { kind: "natural", depthMm: 2, meanLossMm: 0.5 };
const prints: Texture = { kind: "hammered", depthMm: 0.4, share: 0.8 };

describe("faces that are not smooth", () => {
  it("lose their mean loss over all of the face: a flat scale, a bolster; nothing else does", () => {
    const off = lost(
      scaled({
        right: { ...scales.right, face: natural },
        bolsters: { front: { ...newBolster("copper"), lengthMm: 20, face: prints }, rear: null },
      }),
    );
    near(off.get("scale:right"), 80 * 24 * 0.5, 2e-3);
    near(off.get("bolster:front:left"), 20 * 24 * 0.16, 2e-3);
    for (const id of ["scale:left", "tang", "blade"]) expect(off.get(id)).toBe(0);
  });

  it("are not counted where a head or a pin lies in them", () => {
    const bolt = { ...newFastener("sleeve-bolt", "b", { xMm: -50, yMm: 0 }, 4), seatMm: 6 };
    const design = { ...scaled({ right: { ...scales.right, face: natural } }), fasteners: [bolt as never] };
    const head = "headMm" in bolt ? (bolt.headMm as number) : 0;
    near(lost(design).get("scale:right"), (100 * 24 - (Math.PI / 4) * head ** 2) * 0.5, 5e-3);
  });

  it("slope as they are: a round block loses over its whole girth", () => {
    const { pieces } = hidden.handle as StackHandle;
    const design: Design = {
      ...hidden,
      handle: {
        ...hidden.handle,
        plan: hidden.handle.plan.map((p) => ({ ...p, halfMm: 12, roundness: 1 })),
        pieces: [{ ...pieces[0], role: "block", shape: null, face: natural }],
      } as StackHandle,
    };
    const [[id, mm3]] = [...lost(design)].filter(([, v]) => v > 0);
    expect(id).toMatch(/^piece:/);
    near(mm3, 2 * Math.PI * 12 * 100 * 0.5, 5e-3);
  });

  it("of a guard are what is seen of it from the front, without its slot", () => {
    const guard = { ...newGuard(hidden), aboveMm: 15, belowMm: 15, widthMm: 24, roundness: 0 };
    const plain = bar({}, { ...hidden, guard: { ...guard, bossMm: 15, endShare: 1, face: prints } });
    near(lost(plain).get("guard"), (30 * 24 - 12 * 4) * 0.16, 5e-3);
  });

  it("of a blade are its flats, where it is not ground", () => {
    const blade = { ...full.blade, face: prints };
    const bare = lost({ ...full, blade: { ...blade, grind: { kind: "none" }, tipThicknessMm: 4 } }).get(
      "blade",
    )!;
    const side = volumes({ ...full, blade: { ...blade, grind: { kind: "none" }, tipThicknessMm: 4 } });
    near(bare, (2 * side.get("blade")! * 0.16) / 4, 5e-3);
    const ground = lost({ ...full, blade: { ...blade, grind: { kind: "full-flat" } } }).get("blade")!;
    // The ricasso alone, both sides of it, and a sliver along the spine.
    expect(ground / (2 * 10 * 26 * 0.16)).toBeGreaterThan(0.98);
    expect(ground / (2 * 10 * 26 * 0.16)).toBeLessThan(1.35);
  });

  it("weigh as much less, and are as high as they are drawn", () => {
    const design = scaled({ left: { ...scales.left, face: natural } });
    const [smooth, cut] = [full, design].map((d) => {
      const weighing = weigh(d);
      if (!weighing.ok) throw new Error("not weighed");
      return weighing.report;
    });
    const density = shippedMaterial("walnut-black")!.densityGcc.typical;
    near(smooth.massG - cut.massG, (100 * 24 * 0.5 * density) / 1000, 3e-3);
    const [before, after] = [smooth, cut].map((r) => r.parts.find((p) => p.id === "scale:left")!);
    expect(after.volumeMm3).toBeCloseTo(before.volumeMm3, 6);
    // It is missing outside: what is left lies nearer to the middle, −6 mm before.
    const [v, off] = [100 * 24 * 8, 100 * 24 * 0.5];
    expect(after.centreMm[2]).toBeCloseTo((-6 * v + 9.75 * off) / (v - off), 2);
  });
});

describe("a scale that was weighed by itself", () => {
  const weighed = (massG: number | null, joints: ScalesHandle["joints"] = []): Design =>
    scaled({ right: { ...scales.right, weighed: massG === null ? null : { massG, offG: 0.2 } }, joints });
  const reportOf = (design: Design) => {
    const weighing = weigh(design);
    if (!weighing.ok) throw new Error("not weighed");
    return weighing.report;
  };
  const scaleG = (design: Design) =>
    reportOf(design)
      .parts.filter((p) => p.id.startsWith("scale:") && p.id.endsWith(":right"))
      .reduce((sum, p) => sum + p.massG, 0);

  it("weighs what the scale said, in one piece or in segments, and keeps the name of its material", () => {
    const joint = { id: "j", xMm: -40, tiltDeg: 0, dividers: [], right: "brass-260", left: "g10" };
    near(scaleG(weighed(17.5)), 17.5, 1e-9);
    near(scaleG(weighed(60, [joint])), 60, 1e-9);
    const parts = reportOf(weighed(60, [joint])).parts.filter((p) => p.id.endsWith(":right"));
    expect(parts.map((p) => p.material)).toEqual(expect.arrayContaining(["walnut-black", "brass-260"]));
  });

  it("has the reading's interval in place of its wood's", () => {
    const [drawn, read] = [reportOf(weighed(null)), reportOf(weighed(13))];
    const width = (r: typeof drawn) => r.massIntervalG[1] - r.massIntervalG[0];
    expect(width(read)).toBeLessThan(width(drawn));
    expect(read.densityShares.find((s) => s.material === "weighed-scale-right")?.massG).toBeCloseTo(0.4, 6);
  });

  it("weighs what is drawn until it is read", () => {
    const open = scaled({ right: { ...scales.right, weighed: { massG: null, offG: 0.1 } } });
    expect(reportOf(open).massG).toBe(reportOf(full).massG);
  });
});

describe("wraps over each other", () => {
  const strip: Wrap = {
    on: "grip",
    kind: "strip",
    material: "leather-veg",
    widthMm: 10,
    thicknessMm: 1.2,
    pitchMm: 10,
    pattern: "single",
    fromMm: -10,
    toMm: -60,
  };
  const over: Wrap = { ...strip, thicknessMm: 2, fromMm: -30, toMm: -80 };
  /** A shell round a box of 24 × 20 mm, with a quarter of a round at each corner. */
  const shell = (length: number, from: number, to: number) =>
    length * (2 * (24 + 20) * (to - from) + Math.PI * (to * to - from * from));

  it("lie on what was wound before them, where that is, and on the handle elsewhere", () => {
    const v = volumes(scaled({ wraps: [strip, over] }));
    near(v.get("wrap:1"), shell(50, 0, 1.2), 1e-4);
    near(v.get("wrap:2"), shell(30, 1.2, 3.2) + shell(20, 0, 2), 1e-4);
    expect(volumes(scaled({ wraps: [strip] })).get("wrap")).toBeCloseTo(v.get("wrap:1")!, 4);
  });
});

describe("a guard of sheets beside each other", () => {
  const guard = { ...newGuard(full), aboveMm: 14, belowMm: 14, widthMm: 26, roundness: 0, bossMm: 14 };
  const cheeks = {
    kind: "cheeks",
    lengthMm: 16,
    aboveMm: 6,
    belowMm: 10,
    thicknessMm: 3,
    middleMm: 6,
    material: "mild-steel",
  } as const;
  const plates = [{ material: "mild-steel", thicknessMm: 8, printed: null }];

  it("is a sheet and its cheek on each side, and what lies between them, less the tang", () => {
    const v = volumes({ ...full, guard: { ...guard, plates, fittings: [cheeks] } });
    // From the datum 8 mm straight and half an ellipse: as deep as half its height.
    const cheek = 16 * 8 + (Math.PI / 2) * 8 * 8;
    for (const side of ["right", "left"])
      near(v.get(`fitting:cheeks:${side}`), 10 * 28 * 8 + cheek * 3, 1e-5);
    near(v.get("guard"), 6 * 28 * 8 - 4 * 24 * 8, 1e-5);
    expect(v.get("blade")).toBeCloseTo(volumes(full).get("blade")!, 4);
  });

  it("comes as three sheets that are marked out on their sides, the middle one cut out for the tang", () => {
    const tight = { ...cheeks, middleMm: 4 };
    const parts = cutParts({ ...full, guard: { ...guard, plates, fittings: [tight] } });
    const of = (id: string) => parts.find((p) => p.id === id)!;
    const [middle, beside] = [of("guard"), of("fitting:cheeks:pair")];
    expect([middle.face, beside.face, beside.count]).toEqual(["side", "side", 2]);
    expect([middle.thicknessMm, beside.thicknessMm]).toEqual([4, 11]);
    // Over and under the tang, 24 mm high.
    expect(middle.outlines).toHaveLength(2);
    near(
      middle.outlines.reduce((sum, o) => sum + signedArea(o), 0),
      8 * 4,
      1e-3,
    );
    near(signedArea(beside.outlines[0]), 8 * 28 + 16 * 8 + (Math.PI / 2) * 64, 1e-3);
  });
});

describe("what is fitted to a guard", () => {
  it("begins as cheeks that can be built, whatever guard and blade they are for", () => {
    const guarded = DEMO_KNIVES.filter(([, d]) => d.guard && !d.guard.mesh);
    expect(guarded.length).toBeGreaterThan(3);
    for (const [name, knife] of guarded) {
      const next = GUARD_EDITS["guard-fitting"](knife, { kind: "cheeks", fitted: true });
      const weighing = weigh(next);
      expect(weighing.ok, `${name} ${JSON.stringify(weighing.findings)}`).toBe(true);
    }
  });

  it("an imported guard stands with its foremost point at its station: it moves by as much, and weighs the same", () => {
    const mesh = { meshId: "m", forward: "x", rollDeg: 0, yMm: 0, xMm: 0 } as const;
    const box = boxesMesh([
      [0, -18, -9],
      [8, 18, 9],
    ]);
    const at = (xMm: number): Design => ({
      ...full,
      guard: { ...newGuard(full), mesh: { ...mesh, xMm } },
      meshes: [{ id: "m", name: "box", ...encodeMesh(box) }],
    });
    const found = [-8, 0, 5].map((xMm) => {
      const weighing = weigh(at(xMm));
      if (!weighing.ok) throw new Error(JSON.stringify(weighing.findings));
      return weighing.report.parts.find((p) => p.id === "guard")!;
    });
    // Behind the datum the tang is in it, ahead of it the blade's front: eight millimetres of either.
    expect(found[1].centreMm[0]).toBeCloseTo(-4, 3);
    expect(found[0].centreMm[0]).toBeCloseTo(-12, 3);
    expect(found[2].centreMm[0]).toBeGreaterThan(0.5);
    expect(found[0].massG).toBeCloseTo(found[1].massG, 6);
  });
});

describe("the spread of builds", () => {
  it("takes a reading for what it is: a scale that was weighed exactly adds nothing", () => {
    const weighedBoth = (offG: number) => {
      const scale = { ...scales.right, weighed: { massG: 12, offG } };
      return spreadOf(scaled({ right: scale, left: scale }))!;
    };
    const [sure, unsure, drawn] = [weighedBoth(0.001), weighedBoth(2), spreadOf(full)!];
    expect(sure.firstOrder.massG).toBeLessThan(drawn.firstOrder.massG);
    expect(unsure.firstOrder.massG).toBeGreaterThan(sure.firstOrder.massG);
    const weighing = weigh(scaled({ right: { ...scales.right, weighed: { massG: 12, offG: 1 } } }));
    const alone = spreadOf(scaled({ right: { ...scales.right, weighed: { massG: 12, offG: 1 } } }))!;
    expect(weighing.ok && weighing.report.massG).toBeCloseTo(alone.drawn.massG, 6);
  });
});
