import { expose, transfer } from "comlink";
import Module, { type ManifoldToplevel } from "manifold-3d";
import { exportMesh } from "@/core/exchange/files/mesh/exportMesh";
import { importShape } from "@/core/exchange/files/mesh/importShape";
import { meshAgreement } from "@/core/figures/weigh/agreement";
import type { ProductDesign } from "@/core/knife/design/product";
import { meshesOf, type PartSolid, partSolids, SEEN_MM } from "@/core/knife/kernel/partMeshes";
import { modelOf } from "@/core/products/modelOf";
import type { SolidService } from "./solid.messages";

let loading: Promise<ManifoldToplevel> | null = null;

/** The kernel, fetched when it is first asked for; after it failed to load, or broke, anew. */
function kernel(): Promise<ManifoldToplevel> {
  loading ??= Module({
    locateFile: () => new URL("manifold-3d/manifold.wasm", import.meta.url).href,
  }).then(
    (made: ManifoldToplevel) => {
      made.setup();
      return made;
    },
    (error: unknown) => {
      loading = null;
      throw error;
    },
  );
  return loading;
}

/** Does something with the kernel. One that ran out of memory or into a fault of its own is let go of, with all in it. */
async function withKernel<T>(work: (kernel: ManifoldToplevel) => T | Promise<T>): Promise<T> {
  try {
    return await work(await kernel());
  } catch (error) {
    if (error instanceof WebAssembly.RuntimeError || error instanceof RangeError) {
      loading = null;
      shown = null;
    }
    throw error;
  }
}

let shown: { key: string; solids: PartSolid[] } | null = null;

function solidsOf(made: ManifoldToplevel, design: ProductDesign): PartSolid[] {
  const key = JSON.stringify(design);
  if (shown?.key === key) return shown.solids;
  for (const { solid } of shown?.solids ?? []) solid.delete();
  shown = null;
  shown = { key, solids: partSolids(made, modelOf(design).assemble(design)) };
  return shown.solids;
}

const service: SolidService = {
  parts: (design, cut) =>
    withKernel((made) => {
      const meshes = meshesOf(solidsOf(made, design), cut, SEEN_MM);
      return transfer(
        meshes,
        meshes.flatMap((p) => [p.mesh.vertices.buffer, p.mesh.triangles.buffer]),
      );
    }),
  agreement: (design) => withKernel((made) => meshAgreement(made, modelOf(design).assemble(design))),
  importShape: (bytes, unit) => withKernel((made) => importShape(made, bytes, unit)),
  exportFile: (design, partId, format, names) =>
    withKernel((made) =>
      exportMesh(
        made,
        { name: design.name, assembly: modelOf(design).assemble(design) },
        partId,
        format,
        names,
      ),
    ),
};

expose(service);
