import { expose, transfer } from "comlink";
import Module, { type ManifoldToplevel } from "manifold-3d";
import { assemble } from "@/core/assembly/assemble";
import { exportMesh } from "@/core/files/mesh/exportMesh";
import { importShape } from "@/core/files/mesh/importShape";
import { partMeshes } from "@/core/solids/partMeshes";
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

const service: SolidService = {
  parts: async (design) => {
    const meshes = partMeshes(await kernel(), assemble(design));
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
