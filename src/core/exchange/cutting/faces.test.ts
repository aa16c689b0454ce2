import { describe, expect, it } from "vitest";
import type { Hole } from "../../figures/fit/holes";
import { signedArea } from "../../geometry/contours/loop";
import type { Point } from "../../geometry/curve/bezier";
import { CONSTRUCTIONS } from "../../knife/design/constructions.fixtures";
import { DEMO_KNIVES } from "../files/knife/demo.fixtures";
import { cutFace } from "./cutParts";
import { endFaces } from "./endFaces";

const rect = (w: number, h: number): Point[] => [
  { x: 0, y: 0 },
  { x: w, y: 0 },
  { x: w, y: h },
  { x: 0, y: h },
];
const hole = (
  xMm: number,
  yMm: number,
  drilledMm: number,
  takes: readonly [number, number] = [0, 10],
): Hole => ({
  piece: "p",
  side: null,
  owner: { kind: "hole" },
  use: "pin",
  axis: "across",
  xMm,
  yMm,
  nominalMm: drilledMm,
  drilledMm,
  drill: null,
  thread: null,
  from: null,
  depthMm: null,
  takes,
  within: [0, 10],
});
const area = (loops: Parameters<typeof signedArea>[0][]) => loops.reduce((sum, l) => sum + signedArea(l), 0);

describe("a face with its holes", () => {
  it("has a hole in it as a circle, and one over its edge as an arc out of its outline", () => {
    const inside = cutFace([rect(40, 20)], [], [hole(20, 10, 6)]);
    expect(inside.holes).toEqual([{ xMm: 20, yMm: 10, diameterMm: 6 }]);
    expect(area([...inside.outlines])).toBeCloseTo(800, 2);

    const over = cutFace([rect(40, 20)], [], [hole(20, 20, 6)]);
    expect(over.holes).toEqual([]);
    expect(over.outlines.length).toBe(1);
    // Half a circle of 6 mm is gone, in one round piece.
    expect(area([...over.outlines])).toBeCloseTo(800 - (Math.PI * 9) / 2, 1);
    expect(over.outlines[0].filter((b) => Math.abs(b.bulge) > 0.5).length).toBeLessThanOrEqual(2);
    expect(over.outlines[0].some((b) => Math.abs(b.bulge) > 0.3)).toBe(true);
  });

  it("beside it has none, and a strip that a hole would part stays whole", () => {
    expect(area([...cutFace([rect(40, 20)], [], [hole(20, 40, 6)]).outlines])).toBeCloseTo(800, 2);
    const strip = cutFace([rect(40, 2)], [], [hole(20, 1, 6)]);
    expect([strip.outlines.length, strip.holes.length]).toEqual([1, 0]);
    expect(area([...strip.outlines])).toBeCloseTo(80, 2);
  });

  it("is open as wide as its holes are at their narrowest, and not where they stop", () => {
    const stepped = cutFace([rect(40, 20)], [], [hole(20, 10, 8, [5, 10]), hole(20, 10, 4, [0, 5])]);
    expect(stepped.holes).toEqual([{ xMm: 20, yMm: 10, diameterMm: 4 }]);
    expect(cutFace([rect(40, 20)], [], [hole(20, 10, 8, [5, 10])]).holes).toEqual([]);
  });
});

describe("faces that are marked out on pieces", () => {
  it("are those that something goes into, each with one outline round all that is open in it", () => {
    for (const [name, design] of [...DEMO_KNIVES, ...Object.entries(CONSTRUCTIONS)])
      for (const f of endFaces(design)) {
        const outer = f.outlines.filter((l) => signedArea(l) > 0);
        expect(outer.length, `${name} ${f.id} ${f.face}`).toBe(1);
        const open = f.outlines.filter((l) => signedArea(l) < 0);
        expect(open.length + f.drilled.length, `${name} ${f.id}`).toBeGreaterThan(0);
        expect(-area(open), `${name} ${f.id}`).toBeLessThan(signedArea(outer[0]));
        for (const h of f.drilled) expect([null, f.face]).toContain(h.from);
      }
  });

  it("the rear of a block that is rounded off is drawn where the block is widest", () => {
    const reed = DEMO_KNIVES.find(([n]) => n === "reed-take-down-hunter.json")![1];
    const rear = endFaces(reed).find(
      (f) => f.face === "rear" && f.key.kind === "piece" && f.key.sort === "block",
    )!;
    expect(rear.isWidest).toBe(true);
    expect(rear.drilled.map((h) => h.use).sort()).toEqual(["clearance", "counterbore"]);
    expect(endFaces(reed).some((f) => f.face === "front" && f.isWidest)).toBe(false);
  });

  it("a full tang has none, and a cap that is the nut has its thread in its front", () => {
    expect(endFaces(CONSTRUCTIONS["fastener: pin"])).toEqual([]);
    const cap = endFaces(CONSTRUCTIONS["butt cap as the nut"]).find((f) => f.key.kind === "tang-end")!;
    expect(cap.face).toBe("front");
    expect(cap.drilled.map((h) => h.use)).toContain("tap");
  });
});
