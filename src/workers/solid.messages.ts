import type { ShapeReading } from "@/core/exchange/files/mesh/importShape";
import type { MeshUnit } from "@/core/exchange/files/mesh/soup";
import type { PartAgreement } from "@/core/figures/weigh/agreement";
import type { ProductDesign } from "@/core/knife/design/product";
import type { CutOpen, PartMesh } from "@/core/knife/kernel/partMeshes";

export type MeshFormat = "stl" | "3mf";

/** What the solid worker does: everything that needs the mesh kernel. */
export interface SolidService {
  /** Every part as a mesh, cut open by a plane where one is given. The last knife's solids are kept for the next cut. */
  parts(design: ProductDesign, cut: CutOpen | null): Promise<PartMesh[]>;
  agreement(design: ProductDesign): Promise<PartAgreement[]>;
  importShape(bytes: Uint8Array, unit: MeshUnit | null): Promise<ShapeReading>;
  /** The whole knife, or one part by its id, as a file that calls its parts as `names` does. Null where there is no such part. */
  exportFile(
    design: ProductDesign,
    partId: string | null,
    format: MeshFormat,
    names: Readonly<Record<string, string>>,
  ): Promise<Uint8Array | null>;
}
