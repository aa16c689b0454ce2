import type { ManifoldToplevel } from "manifold-3d";
import { beforeAll, describe, expect, it } from "vitest";
import { exportMesh } from "../../exchange/files/mesh/exportMesh";
import { importShape } from "../../exchange/files/mesh/importShape";
import { writeStl } from "../../exchange/files/mesh/writeStl";
import { meshAgreement } from "../../figures/weigh/agreement";
import { assemble } from "../assembly/assemble";
import { CONSTRUCTIONS } from "../design/constructions.fixtures";
import { boxesMesh, endingIn, rodMesh } from "../design/limits.fixtures";
import { inKernelScope } from "./kernelScope";
import { meshesOf, partSolids } from "./partMeshes";
import { type WatchedKernel, watchedKernel } from "./watchedKernel.fixtures";

let kernel: ManifoldToplevel;
let made: WatchedKernel["made"];
let leftOver: WatchedKernel["leftOver"];
beforeAll(async () => {
  ({ kernel, made, leftOver } = await watchedKernel());
});

describe("every solid of the kernel has an owner that deletes it", () => {
  it("and the watch sees one that has none, however it was made", () => {
    const cube = kernel.Manifold.cube([1, 1, 1], true);
    const [moved, cut] = [cube.translate([1, 0, 0]), cube.trimByPlane([1, 0, 0], 0)];
    expect([...made]).toEqual([cube, moved, cut]);
    cube.delete();
    expect(leftOver()).toBe(2);
    moved.delete();
    cut.delete();
  });

  // Those of all constructions and demo knives are held with their boxes, in fit/stock.kernel.test.ts.
  it("an imported shape", () => {
    for (const { solid } of partSolids(kernel, assemble(endingIn(rodMesh(40))))) solid.delete();
    expect(made.size, "the watch sees what is made").toBeGreaterThan(5);
    expect(leftOver()).toBe(0);
  });

  it("while they are cut open, exported and measured", () => {
    const design = CONSTRUCTIONS["full tang with slots"];
    const solids = partSolids(kernel, assemble(design));
    made.clear();
    expect(meshesOf(solids, { axis: "x", atMm: -40 }).length).toBeGreaterThan(2);
    expect(leftOver()).toBe(0);
    for (const { solid } of solids) solid.delete();
    expect(
      exportMesh(kernel, { name: "Sedge", assembly: assemble(design) }, null, "stl")?.byteLength,
    ).toBeGreaterThan(1000);
    expect(leftOver()).toBe(0);
    meshAgreement(kernel, assemble(design), { stations: 4, rows: 8 });
    expect(leftOver()).toBe(0);
  });

  it("whatever becomes of a shape that comes in", () => {
    const box = boxesMesh([
      [0, 0, 0],
      [20, 20, 20],
    ]);
    const open = { ...box, triangles: box.triangles.slice(3) };
    const turned = { ...box, triangles: box.triangles.slice().reverse() };
    const fine = { ...kernel.Manifold.sphere(15, 256).getMesh() };
    const ball = {
      vertices: Float32Array.from(fine.vertProperties),
      triangles: Uint32Array.from(fine.triVerts),
    };
    for (const m of made) m.delete();
    made.clear();
    for (const mesh of [box, open, turned, ball]) importShape(kernel, writeStl(mesh, "shape"));
    expect(made.size).toBeGreaterThanOrEqual(4);
    expect(leftOver()).toBe(0);
  });

  it("and when the work throws", () => {
    expect(() =>
      inKernelScope((scope) => {
        scope.hold(kernel.Manifold.cube([1, 1, 1], true));
        throw new Error("no more");
      }),
    ).toThrow("no more");
    expect(leftOver()).toBe(0);
  });
});
