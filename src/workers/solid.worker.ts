import { expose, transfer } from "comlink";
import Module, { type ManifoldToplevel } from "manifold-3d";
import { assemble } from "@/core/assembly/assemble";
import type { Design } from "@/core/design/schema";
import { exportMesh } from "@/core/files/mesh/exportMesh";
import { importShape } from "@/core/files/mesh/importShape";
import { meshesOf, type PartSolid, partSolids } from "@/core/solids/partMeshes";
import { meshAgreement } from "@/core/weigh/agreement";
import type { SolidService } from "./solid.messages";

let loading: Promise<ManifoldToplevel> | null = null;

/** The kernel, fetched when it is first asked for. */
function kernel(): Promise<ManifoldToplevel> {
  loading ??= Module({
    locateFile: () => new URL("manifold-3d/manifold.wasm", import.meta.url).href,
  }).then((made: ManifoldToplevel) => {
    made.setup();
    return made;
  });
  return loading;
}

let shown: { key: string; solids: PartSolid[] } | null = null;

async function solidsOf(design: Design): Promise<PartSolid[]> {
  const made = await kernel();
  const key = JSON.stringify(design);
  if (shown?.key === key) return shown.solids;
  for (const { solid } of shown?.solids ?? []) solid.delete();
  shown = null;
  shown = { key, solids: partSolids(made, assemble(design)) };
  return shown.solids;
}

const service: SolidService = {
  parts: async (design, cut) => {
    const meshes = meshesOf(await solidsOf(design), cut);
    return transfer(
      meshes,
      meshes.flatMap((p) => [p.mesh.vertices.buffer, p.mesh.triangles.buffer]),
    );
  },
  agreement: async (design) => meshAgreement(await kernel(), assemble(design)),
  importShape: async (bytes, unit) => importShape(await kernel(), bytes, unit),
  exportFile: async (design, partId, format) => exportMesh(await kernel(), design, partId, format),
};

expose(service);
