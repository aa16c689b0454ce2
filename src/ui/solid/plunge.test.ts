import Module from "manifold-3d";
import { expect, it } from "vitest";
import { radians } from "@/core/base/number";
import { DEMO_KNIVES } from "@/core/exchange/files/knife/demo.fixtures";
import { assemble } from "@/core/knife/assembly/assemble";
import { meshesOf, partSolids, SEEN_MM } from "@/core/knife/kernel/partMeshes";
import { shaded } from "./shading";

it.each(DEMO_KNIVES)(
  "%s: lines at the plunge run along its border, and none across it",
  async (_, design) => {
    const { ricassoMm } = design.blade;
    const assembly = assemble(design);
    const region = assembly.regions.find((r) => r.kind === "blade")!;
    const [before, after] = [-1, 1].map((s) => region.sliceAt(ricassoMm + s * 1e-5)!);
    const kernel = await Module();
    kernel.setup();
    const solids = partSolids(kernel, assembly);
    const { mesh } = meshesOf(solids, null, SEEN_MM).find(({ key }) => key.kind === "blade")!;
    for (const { solid } of solids) solid.delete();
    const { edges } = shaded(mesh, radians(35));
    let across = 0;
    for (let i = 0; i < edges.length; i += 6) {
      if ([edges[i], edges[i + 3]].some((x) => Math.abs(x - ricassoMm) > 0.01)) continue;
      const [y, z] = [1, 2].map((k) => (edges[i + k] + edges[i + 3 + k]) / 2);
      const off = [before, after].flatMap((s) => [
        Math.abs(z - s.high(y)),
        Math.abs(z - s.low(y)),
        ...s.ys!.map((end) => Math.abs(y - end)),
      ]);
      if (Math.min(...off) > 0.05)
        across += Math.hypot(edges[i + 4] - edges[i + 1], edges[i + 5] - edges[i + 2]);
    }
    expect(across).toBeLessThan(0.1);
  },
);
