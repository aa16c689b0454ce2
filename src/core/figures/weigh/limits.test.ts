import { describe, expect, it } from "vitest";
import { crossesItself, meshFault, openEdges, volumeOf } from "../../geometry/solids/meshFaults";
import { meshLayers } from "../../geometry/solids/meshLayers";
import { assemble } from "../../knife/assembly/assemble";
import { CONSTRUCTIONS } from "../../knife/design/constructions.fixtures";
import {
  boxesMesh,
  endingIn,
  manyOpenings,
  rodMesh,
  slowestShapes,
} from "../../knife/design/limits.fixtures";
import { designSchema } from "../../knife/design/schema";
import { MOST_PLACED_TRIANGLES } from "../../knife/validity/checkDesign";
import { assembleDrawn, coarsened } from "../views/drawn";
import { MOST_EFFORT, weighingEffort } from "./effort";
import { integrate } from "./integrate";
import { weigh } from "./weigh";

describe("designs at the limits of a record", () => {
  it("count as much as they take: a knife a hundredth, forty bolts and eighty openings nearly all", () => {
    const most = Math.max(...Object.values(CONSTRUCTIONS).map((d) => weighingEffort(assemble(d))));
    expect(most).toBeLessThan(MOST_EFFORT / 30);
    const many = manyOpenings();
    expect(designSchema.safeParse(many).error?.issues ?? []).toEqual([]);
    expect(weigh(many).ok).toBe(true);
    expect(weighingEffort(assemble(many))).toBeGreaterThan(MOST_EFFORT / 2);
  });

  it("weigh with as many triangles as may be placed, and are refused with more: by how many", () => {
    expect(weigh(slowestShapes()).ok).toBe(true);
    const more = weigh(slowestShapes(3));
    expect(more.ok).toBe(false);
    expect(more.findings.find((f) => f.rule === "shapes-too-fine")).toMatchObject({
      measured: 24_000,
      limit: MOST_PLACED_TRIANGLES,
    });
  });

  it("are refused before they are begun with, where they would take far longer", () => {
    const weighing = weigh(manyOpenings(0.3));
    expect(weighing.ok).toBe(false);
    expect(weighing.findings.find((f) => f.rule === "design-too-detailed")?.limit).toBe(MOST_EFFORT);
  });
});

describe("a mesh as fine as is kept", () => {
  /** A prism over a regular polygon of n sides: n/2·r²·sin(2π/n)·length, its middle half way along. */
  const exact = (sides: number) => (sides / 2) * 12 ** 2 * Math.sin((2 * Math.PI) / sides) * 30;

  it.each([12, 100, 600, 3000])("weighs true: a rod of %d sides", (sides) => {
    const regions = meshLayers(rodMesh(sides));
    const parts = regions.map((_, i) => ({
      id: "rod",
      key: { kind: "slot" as const, id: "rod" },
      group: "handle" as const,
      materials: [],
      regions: [i],
    }));
    const [m] = integrate({ regions, parts });
    expect(Math.abs(m.v / exact(sides) - 1)).toBeLessThan(1e-5);
    expect(m.originX + m.x / m.v).toBeCloseTo(15, 6);
    // Of a cut of few corners every one is a break: exact but for rounding in 32-bit corners.
    if (sides <= 100) expect(Math.abs(m.v / volumeOf(rodMesh(sides)) - 1)).toBeLessThan(1e-9);
  });

  it("has no fault, and faults are found by name", () => {
    expect(meshFault(rodMesh(3000))).toBeNull();
    expect(meshFault(rodMesh(3001))).toMatchObject({ code: "too-fine", triangles: 12_004 });
    const box = boxesMesh([
      [0, 0, 0],
      [10, 20, 30],
    ] as const);
    expect(meshFault(box)).toBeNull();
    expect(volumeOf(box)).toBeCloseTo(6000, 9);
    expect(openEdges({ ...box, triangles: box.triangles.slice(6) })).toBe(4);
  });

  it("that crosses itself is told from one that only has several bodies, or a hole", () => {
    const apart = boxesMesh(
      [
        [0, 0, 0],
        [10, 10, 10],
      ],
      [
        [0, 20, 0],
        [10, 30, 10],
      ],
    );
    const across = boxesMesh(
      [
        [0, 0, 0],
        [10, 10, 10],
      ],
      [
        [5, 5, 5],
        [15, 15, 15],
      ],
    );
    expect([apart, across, rodMesh(600)].map(crossesItself)).toEqual([false, true, false]);
    // A box inside a box, turned inside out, is a hollow.
    const hollow = boxesMesh(
      [
        [0, 0, 0],
        [10, 10, 10],
      ],
      [
        [2, 2, 2],
        [8, 8, 8],
      ],
    );
    const inner = hollow.triangles.slice(36).reverse();
    const triangles = Uint32Array.from([...hollow.triangles.slice(0, 36), ...inner]);
    expect(crossesItself({ ...hollow, triangles })).toBe(false);
  });

  it("is drawn with few triangles, still closed, and weighed with all of them", () => {
    const mesh = rodMesh(3000);
    const light = coarsened(mesh);
    expect(light.triangles.length / 3).toBeLessThanOrEqual(2000);
    expect(openEdges(light)).toBe(0);
    expect(Math.abs(volumeOf(light) / volumeOf(mesh) - 1)).toBeLessThan(0.03);
    const design = endingIn(mesh);
    const layerOf = (a: ReturnType<typeof assemble>) =>
      a.regions.flatMap((r) => (r.kind === "mesh-layer" ? [r.mesh] : []))[0];
    expect(layerOf(assembleDrawn(design))?.triangles.length).toBeLessThanOrEqual(6000);
    expect(layerOf(assemble(design))?.triangles.length).toBe(36_000);
  });
});
