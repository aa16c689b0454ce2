import { describe, expect, it } from "vitest";
import { radians } from "../../base/number";
import { bar, measured, outlineOf } from "./barBlade.fixtures";
import { bladeRegion } from "./bladeRegion";
import { faceLines } from "./faceLines";
import { fullerAt, type GroundBlade, runOutMm } from "./groundBlade";

const volume = (blade: GroundBlade) => measured(blade).mm3;

/** Within a share of the exact value. */
function expectShare(value: number, exact: number, share = 1e-5) {
  expect(Math.abs(value / exact - 1), `${value} against ${exact}`).toBeLessThan(share);
}

/** Area between a chord and its circle: r²/2·(θ − sin θ), by the angle at the middle. */
const segment = (r: number, half: number) => {
  const angle = 2 * Math.asin(half / r);
  return (r * r * (angle - Math.sin(angle))) / 2;
};

describe("sections of a double-edged blade", () => {
  it("diamond: half of the box round it, wherever the ridge stands", () => {
    for (const ridgeShare of [0.5, 0.3, 0.8])
      expectShare(volume(bar({ grind: { kind: "diamond", ridgeShare } })), (100 * 30 * 4) / 2);
    // A diamond is two triangles: its centroid lies a third of the way from the ridge to the mean of its corners.
    expect(measured(bar({ grind: { kind: "diamond", ridgeShare: 0.3 } })).y).toBeCloseTo((0 + 30 + 9) / 3, 6);
  });

  it("diamond with an unsharpened edge: a rectangle more", () => {
    expectShare(
      volume(bar({ grind: { kind: "diamond", ridgeShare: 0.5 }, edgeMm: 0.5 })),
      100 * 30 * ((4 + 0.5) / 2),
    );
  });

  it("pyramid: a diamond that tapers in height and thickness to nothing holds a third of its box's half", () => {
    const outline = outlineOf([0, 15], [120, 0], [0, -15]);
    const blade = bar({ outline, lengthMm: 120, grind: { kind: "diamond", ridgeShare: 0.5 }, tipMm: 0 });
    const { mm3, x, y } = measured(blade);
    expectShare(mm3, (1 / 3) * ((30 * 4) / 2) * 120);
    expect(x).toBeCloseTo(30, 2);
    expect(Math.abs(y)).toBeLessThan(1e-9);
  });

  it("lens: two circular segments", () => {
    // Each face leaves the ridge level: one arc from edge to edge, 30 mm of chord and 2 mm of rise.
    const radius = (15 * 15 + 2 * 2) / (2 * 2);
    expectShare(volume(bar({ grind: { kind: "lens", ridgeShare: 0.5 } })), 100 * 2 * segment(radius, 15));
  });

  it("hollow: a diamond less four segments of the wheel", () => {
    const [radius, chord] = [60, Math.hypot(15, 2 - 0.25)];
    const grind = { kind: "double-hollow", ridgeShare: 0.5, wheelRadiusMm: radius } as const;
    const area = 30 * ((4 + 0.5) / 2) - 4 * segment(radius, chord / 2);
    expectShare(volume(bar({ grind, edgeMm: 0.5 })), 100 * area);
  });
});

describe("what is ground into a blade", () => {
  it("false edge: a wedge off each side, and a pyramid where it grows", () => {
    const swedge = { lengthMm: 60, runOutMm: 0, heightMm: 8, leavesMm: 1, sides: "both" } as const;
    // Two triangles, 8 mm high and (4 − 1)/2 deep.
    const wedge = 2 * ((8 * 1.5) / 2);
    expectShare(volume(bar({ swedge })), 100 * 30 * 4 - 60 * wedge);
    expectShare(volume(bar({ swedge: { ...swedge, sides: "left" } })), 100 * 30 * 4 - (60 * wedge) / 2);
    // Over its run-out the height grows in proportion, its depth stays: half as much.
    expectShare(volume(bar({ swedge: { ...swedge, runOutMm: 20 } })), 100 * 30 * 4 - (40 + 20 / 2) * wedge);
  });

  it("fuller by a ball: a cylinder's segment and two halves of a ball's cap", () => {
    const [radiusMm, depthMm] = [5, 1.2];
    const fuller = {
      id: "f",
      sides: "right",
      fromMm: 20,
      toMm: 80,
      from: "middle",
      downMm: 0,
      radiusMm,
      depthMm,
      tool: { kind: "ball" },
    } as const;
    const half = Math.sqrt(2 * radiusMm * depthMm - depthMm * depthMm);
    expect(runOutMm(fuller)).toBeCloseTo(half, 12);
    // The handbook's area of the groove: R²·acos(1 − d/R) − (R − d)·√(2Rd − d²).
    const area = radiusMm ** 2 * Math.acos(1 - depthMm / radiusMm) - (radiusMm - depthMm) * half;
    const cap = (Math.PI * depthMm ** 2 * (3 * radiusMm - depthMm)) / 3;
    const taken = (60 - 2 * half) * area + cap;
    expectShare(100 * 30 * 4 - volume(bar({ fullers: [fuller] })), taken, 2e-4);
    expectShare(100 * 30 * 4 - volume(bar({ fullers: [{ ...fuller, sides: "both" }] })), 2 * taken, 2e-4);
  });

  it("fuller by a wheel: its depth falls on the wheel's own arc in the run-outs", () => {
    const fuller = {
      id: "f",
      sides: "right",
      fromMm: 20,
      toMm: 80,
      from: "spine",
      downMm: 9,
      radiusMm: 4,
      depthMm: 1,
      tool: { kind: "wheel", runOutRadiusMm: 60 },
    } as const;
    const out = Math.sqrt(2 * 60 - 1);
    expect(fullerAt(fuller, 20 + out)?.depthMm).toBeCloseTo(1, 9);
    expect(fullerAt(fuller, 20 + out / 2)?.depthMm).toBeCloseTo(Math.sqrt(3600 - out ** 2 / 4) - 59, 9);
    expect(fullerAt(fuller, 19.9)).toBeNull();
    // Simpson's rule over the run-out, whose area is the segment's at each depth.
    const area = (d: number) => 16 * Math.acos(1 - d / 4) - (4 - d) * Math.sqrt(8 * d - d * d);
    const n = 2000;
    let sum = 0;
    for (let i = 0; i <= n; i++) {
      const depth = fullerAt(fuller, 20 + (out * i) / n)?.depthMm ?? 0;
      sum += (i === 0 || i === n ? 1 : i % 2 === 0 ? 2 : 4) * area(depth);
    }
    const taken = (60 - 2 * out) * area(1) + 2 * ((sum * out) / n / 3);
    expectShare(100 * 30 * 4 - volume(bar({ fullers: [fuller] })), taken, 2e-4);
  });

  it("sharpening takes e²/(4·tan α) of section, twice that of a blade ground on one side", () => {
    const flat = { kind: "full-flat" } as const;
    const [edgeMm, angle] = [0.6, 20];
    const tan = Math.tan(radians(angle));
    // On parallel faces exactly; faces that open toward the spine move the foot of the bevel up a little.
    const thin = { stockMm: edgeMm, tipMm: edgeMm, edgeMm };
    const taken = edgeMm ** 2 / (4 * tan);
    expectShare(
      volume(bar({ ...thin, grind: flat, sharpenedDeg: angle })),
      100 * (30 * edgeMm - taken),
      1e-6,
    );
    const one = bar({ ...thin, grind: flat, leftGrind: { kind: "none" }, sharpenedDeg: angle });
    expectShare(volume(one), 100 * (30 * edgeMm - 2 * taken), 1e-6);
    const both = bar({ ...thin, grind: { kind: "diamond", ridgeShare: 0.5 }, sharpenedDeg: angle });
    expectShare(volume(both), 100 * (30 * edgeMm - 2 * taken), 1e-6);
    const opened = bar({ grind: flat, edgeMm, sharpenedDeg: angle });
    const lost = volume(bar({ grind: flat, edgeMm })) - volume(opened);
    expectShare(lost / 100, edgeMm ** 2 / (4 * (tan - (4 - edgeMm) / 60)), 1e-3);
  });

  it("left and right ground differently: half of each, and off the centre plane", () => {
    const low = { kind: "partial-flat", heightMm: 10, along: [], angleDeg: null } as const;
    const high = { kind: "partial-flat", heightMm: 24, along: [], angleDeg: null } as const;
    const { mm3, z } = measured(bar({ grind: low, leftGrind: high }));
    expectShare(mm3, (volume(bar({ grind: low })) + volume(bar({ grind: high }))) / 2);
    expect(z).toBeGreaterThan(0.05);
  });

  it("ground on one side only: the other stays flat, and the edge lies in it", () => {
    const one = bar({ grind: { kind: "full-flat" }, leftGrind: { kind: "none" } });
    expectShare(volume(one), (100 * 30 * 4) / 2);
    const cut = bladeRegion(one).sliceAt(50)!;
    expect([cut.low(0), cut.high(0), cut.high(30)]).toEqual([
      -2,
      expect.closeTo(-2, 9),
      expect.closeTo(2, 9),
    ]);
  });

  it("a face whose height changes along the blade", () => {
    const along = [
      { xMm: 0, heightMm: 10 },
      { xMm: 100, heightMm: 20 },
    ];
    const blade = bar({ grind: { kind: "partial-flat", heightMm: 99, along, angleDeg: null } });
    // A triangle of half the face's height off a slab, its mean height 15.
    expectShare(volume(blade), 100 * 4 * (30 - 15 / 2));
  });

  it("a face that keeps one angle: its height is the fall by the angle's tangent", () => {
    // Slab of 4 mm, edge 0.4, 4°: (4 − 0.4)/(2·tan 4°) = 25.74 mm high; a triangle of the fall by that height is gone.
    const angleDeg = 4;
    const kept = (edgeMm: number) =>
      volume(bar({ edgeMm, grind: { kind: "partial-flat", heightMm: 99, along: [], angleDeg } }));
    const high = (edgeMm: number) => (4 - edgeMm) / 2 / Math.tan((angleDeg * Math.PI) / 180);
    expect(high(0.4)).toBeCloseTo(25.74, 2);
    for (const edgeMm of [0.4, 1.2]) {
      const gone = ((4 - edgeMm) * high(edgeMm)) / 2;
      expectShare(kept(edgeMm), 100 * (4 * 30 - gone));
    }
  });

  it("distal taper by points: straight from point to point where they lie on lines", () => {
    const taper = [{ xMm: 50, thicknessMm: 3 }];
    expectShare(volume(bar({ taper, tipMm: 2 })), 100 * 30 * 3);
    const level = bar({ taper: [{ xMm: 50, thicknessMm: 4 }], tipMm: 2 });
    // Level to the point, then a monotone cubic that leaves it level; Hermite's: half the fall, and its end slope's share.
    expect(volume(level)).toBeGreaterThan(50 * 30 * 4 + 50 * 30 * 3);
    expect(volume(level)).toBeLessThan(50 * 30 * 4 + 50 * 30 * 4);
  });
});

describe("the plunge", () => {
  const ground = bar({ ricassoMm: 20, grind: { kind: "full-flat" } });

  it("square: stock behind it, ground ahead of it", () => {
    expectShare(volume(ground), 20 * 30 * 4 + 80 * 30 * 2);
  });

  it("swept: its line leans to the tip, and the stock stays behind it", () => {
    const swept = { ...ground, plunge: { sweepDeg: 30, radiusMm: 0 } };
    // The stock that stays ahead of the foot: ∫ y·tan 30°·(what the grind takes there, 4·(1 − y/30)) dy.
    const stays = Math.tan(radians(30)) * 4 * (30 * 30) * (1 / 2 - 1 / 3);
    expectShare(volume(swept), 20 * 30 * 4 + 80 * 30 * 2 + stays, 1e-4);
  });

  it("radiused: what is left lies between the square one and one that begins the radius later", () => {
    const round = volume({ ...ground, plunge: { sweepDeg: 0, radiusMm: 6 } });
    // At each height, D deep: the corner of a wheel of radius r, s₀·D less the segment's part, by Simpson's rule.
    const left = (depth: number) => {
      const reach = Math.sqrt(2 * 6 * depth - depth * depth);
      const angle = Math.acos(1 - depth / 6);
      // Between the ground face and the arc: reach·r less a sector and a triangle.
      return reach * 6 - (36 * angle) / 2 - (reach * (6 - depth)) / 2;
    };
    const n = 4000;
    let sum = 0;
    for (let i = 0; i <= n; i++)
      sum += (i === 0 || i === n ? 1 : i % 2 === 0 ? 2 : 4) * left(2 * (1 - i / n));
    const more = 2 * ((sum * 30) / n / 3);
    expectShare(round, 20 * 30 * 4 + 80 * 30 * 2 + more, 1e-5);
  });
});

describe("lines on the face", () => {
  it("shows ridge, false edge and fuller where they are", () => {
    const fuller = {
      id: "f",
      sides: "both",
      fromMm: 10,
      toMm: 70,
      from: "middle",
      downMm: 0,
      radiusMm: 5,
      depthMm: 1,
      tool: { kind: "ball" },
    } as const;
    const swedge = { lengthMm: 25, runOutMm: 5, heightMm: 4, leavesMm: 1, sides: "both" } as const;
    const ridges = faceLines(bar({ grind: { kind: "diamond", ridgeShare: 0.4 } }), "right");
    for (const p of ridges.find((l) => l.of === "ridge")!.points) expect(p.y).toBeCloseTo(12, 6);
    const lines = faceLines(bar({ fullers: [fuller], swedge }), "left");
    const of = (name: string) => lines.find((l) => l.of === name)!.points;
    expect(of("swedge")[of("swedge").length - 1].y).toBeCloseTo(26, 6);
    const border = of("fuller:f");
    expect(Math.min(...border.map((p) => p.x))).toBeCloseTo(10, 1);
    expect(Math.max(...border.map((p) => p.x))).toBeCloseTo(70, 1);
    expect(border[0]).toEqual(border[border.length - 1]);
  });
});
