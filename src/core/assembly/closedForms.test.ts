import { describe, expect, it } from "vitest";
import { newBlockHole, newPiece, newRecess, withEnd, withTang } from "../design/constructions";
import { newDesign } from "../design/create";
import { newGuard } from "../design/guards";
import { plainKnife } from "../design/plainKnife.fixtures";
import type { BlockHole, Design, Fastener, FullTang, HiddenTang, PieceShape } from "../design/schema";
import { newFastener } from "../fasteners/registry";
import { threadRadius } from "../fasteners/thread";
import { knuckleBow } from "../guardFittings/knuckleBow";
import { integrate } from "../weigh/integrate";
import { assemble } from "./assemble";
import { volumes } from "./volumes.fixtures";

const sound = newDesign("Sedge");
const full = plainKnife(sound);
const hidden = plainKnife(withTang(sound, "hidden"));

const slab = (change: Partial<FullTang>): Design => ({
  ...full,
  tang: { ...(full.tang as FullTang), ...change },
});
/** A straight bar of 60 × 12 × 4 mm in a tight hole, on the axis. */
const bar = (change: Partial<HiddenTang> = {}, of: Design = hidden): Design => ({
  ...of,
  tang: {
    ...(of.tang as HiddenTang),
    lengthMm: 60,
    yMm: 0,
    frontHeightMm: 12,
    endHeightMm: 12,
    frontThicknessMm: 4,
    endThicknessMm: 4,
    hole: { kind: "broached", clearanceMm: 0, deeperMm: 0, fill: null },
    ...change,
  },
});
const fastened = (f: Fastener): Design => ({ ...full, fasteners: [f] });
const at = { xMm: -50, yMm: 0 };
const near = (value: number | undefined, exact: number, within = 1e-5) =>
  expect(Math.abs((value ?? 0) / exact - 1)).toBeLessThan(within);

describe("full tangs", () => {
  it("a slot is a rectangle and two half circles", () => {
    const slot = { id: "s", ...at, lengthMm: 24, widthMm: 8, angleDeg: 20, fill: "epoxy" };
    near(volumes(slab({ slots: [slot] })).get("slot:s"), (16 * 8 + Math.PI * 16) * 4);
  });

  it("a flat recess is its outline by its depth, on both faces", () => {
    const recess = { ...newRecess(full), rimMm: 4, fromMm: 20, depthMm: 0.8, fill: "epoxy" };
    near(volumes(slab({ recess })).get("recess"), 2 * 0.8 * 76 * 16);
  });

  it("a hollow one takes two thirds of that", () => {
    const recess = {
      ...newRecess(full),
      rimMm: 4,
      fromMm: 20,
      depthMm: 0.8,
      floor: "hollow" as const,
      fill: "epoxy",
    };
    near(volumes(slab({ recess })).get("recess"), (2 / 3) * 2 * 0.8 * 76 * 16);
  });

  it("a short tang and what carries on behind it share the slab", () => {
    const v = volumes(slab({ short: { lengthMm: 40, behind: "weld", material: "mild-steel" } }));
    near(v.get("tang"), 40 * 24 * 4);
    near(v.get("tang-rest"), 60 * 24 * 4);
  });
});

describe("scales", () => {
  /** The plane of the bevel crosses the faces of both liners and of the tang within the handle. */
  it("a front bevel cuts liners and scales to trapezoids", () => {
    if (full.handle.kind !== "scales") throw new Error("no scales");
    const liners = [
      { material: "g10", thicknessMm: 1 },
      { material: "copper", thicknessMm: 1.5 },
    ];
    for (const angleDeg of [25, 40, 60]) {
      const frontBevel = { lengthMm: 20, angleDeg };
      const v = volumes({ ...full, handle: { ...full.handle, liners, frontBevel } });
      const fall = Math.tan((angleDeg * Math.PI) / 180);
      // Where the bevel stands z high, behind the front; it begins 10 mm high, and ends at the front or on the tang.
      const behind = (z: number) => Math.max(0, 20 - (10 - z) / fall);
      const layer = (from: number, to: number) => {
        const front = Math.max(0, 10 - 20 * fall);
        const whole = (100 - behind(to)) * (to - from);
        const [low, high] = [Math.max(from, front), to];
        const cut = front >= to ? 0 : ((high - low) * (behind(high) - behind(low))) / 2;
        const under = Math.max(0, low - from) * behind(to);
        return 24 * (whole + cut + under);
      };
      near(v.get("liner:1:right"), layer(2, 3), 1e-9);
      near(v.get("liner:2:left"), layer(3, 4.5), 1e-9);
      near(v.get("scale:left"), layer(4.5, 10), 1e-9);
    }
  });

  it("a divider is as thick as its sheet, however it leans", () => {
    if (full.handle.kind !== "scales") throw new Error("no scales");
    for (const tiltDeg of [0, 22, -50]) {
      const divider = { material: "brass-260", thicknessMm: 1 };
      const joint = { id: "j", xMm: -50, tiltDeg, divider, right: "g10", left: "g10" };
      const v = volumes({ ...full, handle: { ...full.handle, joints: [joint] } });
      // Its face is 8 mm by the handle's 24 mm of height, seen square to it.
      near(v.get("divider:j:right"), (8 * 24) / Math.cos((tiltDeg * Math.PI) / 180));
    }
  });
});

describe("hidden tangs", () => {
  it("rounded corners take (4 − π) r² off the section; half the thickness is a rod with flats", () => {
    for (const r of [0.5, 1.2, 2]) {
      const v = volumes(bar({ frontCornerMm: r, endCornerMm: r }));
      near(v.get("tang"), 60 * (12 * 4 - (4 - Math.PI) * r * r));
    }
  });

  it("the shoulder's fillets add (1 − π/4) r² above and below", () => {
    const r = 2;
    near(
      volumes(bar({ shoulderRadiusMm: r })).get("tang"),
      4 * (60 * 12 + 2 * (1 - Math.PI / 4) * r * r),
      2e-5,
    );
  });

  it("a drilled row is so many cylinders, a milled slot a rounded one", () => {
    const holes = (hole: BlockHole) => {
      const v = volumes(
        bar({ hole, lengthMm: 5, frontHeightMm: 2, endHeightMm: 2, frontThicknessMm: 1, endThicknessMm: 1 }),
      );
      return (v.get("tang-hole") ?? 0) + 5 * 2;
    };
    const drilled: BlockHole = {
      kind: "drilled",
      stages: [{ bitMm: 5, count: 3, pitchMm: 6, depthMm: 50 }],
      fill: "epoxy",
    };
    near(holes(drilled), 3 * Math.PI * 2.5 ** 2 * 50);
    const milled: BlockHole = {
      kind: "milled",
      heightMm: 14,
      widthMm: 5,
      cutterMm: 5,
      depthMm: 50,
      fill: "epoxy",
    };
    near(holes(milled), (9 * 5 + Math.PI * 2.5 ** 2) * 50);
  });

  it("burned in is broached by another name", () => {
    const kind = (k: "broached" | "burned") => {
      const hole = {
        ...newBlockHole(k, hidden.tang as HiddenTang),
        clearanceMm: 0.4,
        fill: "epoxy",
      } as BlockHole;
      return volumes(bar({ hole })).get("tang-hole");
    };
    expect(kind("burned")).toBe(kind("broached"));
  });

  it("a threaded end: the rod by its pitch diameter, a hex nut by its flats, a domed one with half a ball", () => {
    const nutted = (style: "hex" | "round" | "domed") => {
      const design = bar({}, withEnd(hidden, "threaded"));
      const end = { ...(design.tang as HiddenTang).end, rodMm: 60, seatMm: 0 } as Extract<
        HiddenTang["end"],
        { kind: "threaded" }
      >;
      return volumes(bar({ end: { ...end, nut: { ...end.nut, style, acrossMm: 10, lengthMm: 5 } } }, design));
    };
    const r = threadRadius({ diameterMm: 4, pitchMm: 0.7 });
    // The rod goes through nut and dome: what it fills is the tang's.
    near(nutted("round").get("tang-end:nut"), 5 * (Math.PI * 25 - Math.PI * r * r));
    near(nutted("hex").get("tang-end:nut"), 5 * ((Math.sqrt(3) / 2) * 100 - Math.PI * r * r));
    const inDome = (2 / 3) * Math.PI * (125 - (25 - r * r) ** 1.5);
    near(
      nutted("domed").get("tang-end:nut"),
      5 * (Math.PI * 25 - Math.PI * r * r) + (2 / 3) * Math.PI * 125 - inDome,
      // Rod and dome are two curved surfaces that meet: a few tenths of a cubic millimetre.
      1e-3,
    );
    near(nutted("round").get("tang"), 60 * 48 + 60 * Math.PI * r * r, 3e-5);
  });

  it("a take-down screw: head, socket and shank", () => {
    const design = bar({}, withEnd(hidden, "take-down"));
    const end = (design.tang as HiddenTang).end as Extract<HiddenTang["end"], { kind: "take-down" }>;
    const r = threadRadius(end);
    const shank = 100 - 60 - end.seatMm + end.engagedMm;
    const head =
      Math.PI * (end.headMm / 2) ** 2 * end.headLengthMm -
      (Math.sqrt(3) / 2) * end.socketMm ** 2 * (end.headLengthMm / 2);
    const v = volumes(design);
    near(v.get("tang-end:screw"), head + Math.PI * r * r * shank);
    near(v.get("tang"), 60 * 48 - Math.PI * r * r * end.engagedMm);
  });

  it("a peened head is half an ellipsoid", () => {
    const design = bar({ lengthMm: 100 }, withEnd(hidden, "peened"));
    const flat = volumes(bar({ lengthMm: 100 })).get("tang") ?? 0;
    // 8 mm high, half as thick, 1.5 mm proud: 2/3 π a b c.
    near((volumes(design).get("tang") ?? 0) - flat, (2 / 3) * Math.PI * 4 * 2 * 1.5, 1e-3);
  });

  it("a framed bar leaves its frame and the scales the rest", () => {
    const design = plainKnife(withTang(sound, "framed"));
    const tang = {
      ...design.tang,
      lengthMm: 60,
      yMm: 0,
      frontHeightMm: 12,
      endHeightMm: 12,
      frontThicknessMm: 3,
      endThicknessMm: 3,
      frame: { material: "nickel-silver", thicknessMm: 5 },
      hole: { clearanceMm: 0, deeperMm: 0, fill: null },
    } as Design["tang"];
    const v = volumes({ ...design, tang });
    near(v.get("tang"), 60 * 12 * 3);
    near(v.get("frame"), 100 * 24 * 5 - 60 * 12 * 3);
    near(v.get("scale:right"), 100 * 24 * 7.5);
  });
});

describe("pieces with an outline of their own", () => {
  const ended = (shape: PieceShape, lengthMm: number) => {
    const pieces = [
      newPiece("b", "block", "g10", 50),
      { ...newPiece("p", "pommel", "brass-360", lengthMm), shape },
    ];
    const handle = { ...hidden.handle, pieces } as Design["handle"];
    return volumes(bar({ lengthMm: 20 }, { ...hidden, handle })).get("piece:p");
  };

  it("a whole ball, a disc, a hexagon, a plate", () => {
    near(ended({ kind: "ball", diameterMm: 26, yMm: 0 }, 26), (4 / 3) * Math.PI * 13 ** 3);
    near(ended({ kind: "disc", diameterMm: 30, widthMm: 12, yMm: 0 }, 30), Math.PI * 225 * 12);
    // A regular hexagon stretched to 24 by 24: points up and down, (3/4) of the box.
    near(
      ended({ kind: "faceted", aboveMm: 12, belowMm: 12, widthMm: 24, facets: 6 }, 20),
      0.75 * 24 * 24 * 20,
    );
    near(
      ended({ kind: "plate", aboveMm: 10, belowMm: 14, widthMm: 18, roundness: 0, domeMm: 0 }, 20),
      24 * 18 * 20,
    );
    near(
      ended({ kind: "plate", aboveMm: 12, belowMm: 12, widthMm: 20, roundness: 1, domeMm: 8 }, 20),
      Math.PI * 12 * 10 * (12 + (2 / 3) * 8),
      1e-4,
    );
  });

  it("washers pressed by a share are denser by as much, so the leather weighs what was stacked", () => {
    const pieces = [
      { ...newPiece("w", "washer", "leather-veg", 50), pressedShare: 0.12 },
      newPiece("b", "block", "g10", 50),
    ];
    const assembly = assemble({ ...hidden, handle: { ...hidden.handle, pieces } as Design["handle"] });
    const washer = assembly.parts.find((p) => p.id === "piece:w")!;
    expect(washer.materials[0].share).toBeCloseTo(1 / 0.88, 12);
  });
});

describe("fasteners", () => {
  it("a sleeve bolt: barrel, heads, screw, and the bore that is left empty", () => {
    const f = { ...newFastener("sleeve-bolt", "f", at, 4), seatMm: 6, screwLengthMm: 8 } as Extract<
      Fastener,
      { kind: "sleeve-bolt" }
    >;
    const v = volumes(fastened(f));
    const circle = (d: number) => (Math.PI / 4) * d * d;
    const barrel = 12 * circle(f.diameterMm) - 4 * circle(f.screwMm);
    near(v.get("fastener:f"), barrel + 2 * f.headThicknessMm * circle(f.headMm));
    near(v.get("fastener:f:bore"), 4 * circle(f.screwMm));
    near(v.get("fastener:f:plug"), 2 * (10 - 6 - f.headThicknessMm) * circle(f.headMm));
  });

  it("a binding screw: its post and two heads, the screw in the tapped bore, and what the bore leaves empty", () => {
    const f = newFastener("binding-screw", "f", at, 4) as Extract<Fastener, { kind: "binding-screw" }>;
    const circle = (d: number) => (Math.PI * d * d) / 4;
    const v = volumes(fastened(f));
    const empty = (f.boreDepthMm - f.screwLengthMm) * circle(f.screwMm);
    const heads = 2 * f.headThicknessMm * circle(f.headMm);
    near(v.get("fastener:f"), 2 * f.seatMm * circle(f.diameterMm) - empty + heads);
    near(v.get("fastener:f:bore"), empty);
    // The handle is 10 mm thick on each side here: over the heads it is open.
    expect(v.get("fastener:f:plug")).toBeUndefined();
    near(v.get("fastener:f:counterbore"), 2 * (10 - f.seatMm - f.headThicknessMm) * circle(f.headMm));
  });

  it("a domed rivet: a shaft and two half ellipsoids", () => {
    const f = newFastener("rivet", "f", at, 4) as Extract<Fastener, { kind: "rivet" }>;
    const shaft = Math.PI * (f.diameterMm / 2) ** 2 * (20 - 2 * f.letInMm);
    const domes = 2 * (2 / 3) * Math.PI * (f.headMm / 2) ** 2 * f.headHeightMm;
    near(volumes(fastened(f)).get("fastener:f"), shaft + domes, 1e-4);
  });

  it("a blind pin, a nutted rod, cap screws", () => {
    const blind = newFastener("blind-pin", "f", at, 4) as Extract<Fastener, { kind: "blind-pin" }>;
    near(volumes(fastened(blind)).get("fastener:f"), Math.PI * 4 * blind.lengthMm);
    const rod = newFastener("nutted-rod", "f", at, 4) as Extract<Fastener, { kind: "nutted-rod" }>;
    // Threads weigh as rods of their pitch diameter: ISO 68-1.
    const thread = (Math.PI / 4) * (4 - 0.6495 * 0.7) ** 2;
    const nut = ((Math.sqrt(3) / 2) * rod.nutAcrossMm ** 2 - thread) * rod.nutLengthMm;
    near(volumes(fastened(rod)).get("fastener:f"), thread * 2 * (rod.seatMm + rod.nutLengthMm) + 2 * nut);
    const cap = newFastener("cap-screw", "f", at, 4) as Extract<Fastener, { kind: "cap-screw" }>;
    const capThread = (Math.PI / 4) * (cap.diameterMm - 0.6495 * cap.pitchMm) ** 2;
    const head =
      Math.PI * (cap.headMm / 2) ** 2 * cap.headLengthMm -
      (Math.sqrt(3) / 2) * cap.socketMm ** 2 * (cap.headLengthMm / 2);
    near(
      volumes(fastened(cap)).get("fastener:f"),
      2 * (head + capThread * Math.min(cap.screwLengthMm, cap.seatMm)),
    );
  });
});

describe("guards", () => {
  it("layers are each their thickness of the same face; a dowel is half in the guard", () => {
    const plates = [2, 1, 3].map((thicknessMm) => ({ material: "brass-360", thicknessMm, printed: null }));
    const dowels = { diameterMm: 1.6, lengthMm: 6, spreadMm: 18, material: "stainless-304" };
    const guard = {
      ...newGuard(hidden),
      plates,
      aboveMm: 15,
      belowMm: 15,
      widthMm: 18,
      roundness: 0,
      dowels,
    };
    const v = volumes(bar({}, { ...hidden, guard }));
    const [a, b, c] = [1, 2, 3].map((i) => v.get(`guard:${i}`) ?? 0);
    const face = 30 * 18 - 48;
    near(a, 2 * face);
    near(b, face);
    // Two dowels of 0.8 mm radius reach 3 mm into the plates from behind.
    near(c, 3 * face - 2 * Math.PI * 0.64 * 3);
    // Small round rods are read to a few thousandths of a cubic millimetre.
    near(v.get("fitting:dowels"), 2 * Math.PI * 0.64 * 6, 1e-3);
  });

  it("a knuckle bow clear of guard and handle is its outline's area times its width", () => {
    const bow = { ...knuckleBow.start("brass-360"), reachMm: 60, widthMm: 7 };
    const design = { ...hidden, guard: { ...newGuard(hidden), knuckleBow: bow } };
    const assembly = assemble(design);
    const part = assembly.parts.findIndex((p) => p.id === "fitting:knuckleBow");
    const { regions } = assembly.parts[part];
    const alone = integrate({ ...assembly, parts: [assembly.parts[part]] })[0];
    // Area between its edges by the trapezoid rule, far finer than the integrator's panels.
    const region = assembly.regions[regions[0]];
    const [x0, x1] = region.xRange;
    let area = 0;
    const n = 40_000;
    for (let i = 0; i < n; i++) {
      const ys = region.sliceAt(x0 + ((x1 - x0) * (i + 0.5)) / n)?.ys ?? [];
      for (let k = 0; k + 1 < ys.length; k += 2) area += ((ys[k + 1] - ys[k]) * (x1 - x0)) / n;
    }
    near(alone.v, area * 7, 2e-5);
    // Its ends lie within guard and handle, which take their own space from it.
    const left = volumes(design).get("fitting:knuckleBow") ?? 0;
    expect(left).toBeLessThan(alone.v);
    expect(left).toBeGreaterThan(0.9 * alone.v);
  });

  /** The parallel curve of a convex one of perimeter P encloses P·w + πw² more. @see J. Steiner, 1840 */
  it("a collar's wall is as thick all round: P·w + πw² to the mm", () => {
    const collar = { lengthMm: 8, wallMm: 1.6, material: "brass-260" };
    const ring = (design: Design) =>
      volumes({ ...design, guard: { ...newGuard(design), collar } }).get("fitting:collar");
    const by = (perimeter: number) => 8 * (perimeter * 1.6 + Math.PI * 1.6 ** 2);
    near(ring(full), by(2 * (24 + 20)));
    const round = (roundness: number, facets: Design["handle"]["facets"] = null): Design => ({
      ...hidden,
      handle: { ...hidden.handle, facets, plan: hidden.handle.plan.map((p) => ({ ...p, roundness })) },
    });
    /** Perimeter of 24 by 20 mm by chords, by the angle of its parameter. */
    const perimeter = (at: (t: number) => readonly [number, number], n = 200_000) => {
      let sum = 0;
      for (let i = 0; i < n; i++) {
        const [a, b] = [at((i / n) * (Math.PI / 2)), at(((i + 1) / n) * (Math.PI / 2))];
        sum += 4 * Math.hypot(b[0] - a[0], b[1] - a[1]);
      }
      return sum;
    };
    for (const roundness of [1, 0.7, 0.35]) {
      const at = (t: number) => [12 * Math.sin(t) ** roundness, 10 * Math.cos(t) ** roundness] as const;
      near(ring(round(roundness)), by(perimeter(at)), 3e-5);
    }
    const eight = Array.from({ length: 8 }, (_, k) => {
      const a = Math.PI / 8 + (k * Math.PI) / 4;
      const most = Math.cos(Math.PI / 8);
      return [(12 * Math.sin(a)) / most, (10 * Math.cos(a)) / most];
    });
    const flats = eight.reduce((sum, [y, z], k) => {
      const [y2, z2] = eight[(k + 1) % 8];
      return sum + Math.hypot(y2 - y, z2 - z);
    }, 0);
    near(ring(round(1, 8)), by(flats));
  });
});
