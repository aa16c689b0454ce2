import { isRecord } from "@/core/base/isRecord";
import { migrateBy } from "@/core/knife/design/migrations/steps";
import { MATERIAL_MIGRATIONS } from "@/core/knife/design/migrations/to14";
import { RECORD_VERSION } from "@/core/knife/design/version";
import { checksumOf } from "../checksum";
import type { StoredMaterial } from "../rows";
import { keyText, type Row, type TableSpec } from "./spec";

/** Own materials are kept by themselves since this version; rows of some builds did not name theirs. */
const FIRST_VERSION = 9;

/** What a row holds as a material of the present version, unchecked; the same where it is of it already. */
export const ownMaterialIn = ({ material, version }: Partial<StoredMaterial>): unknown =>
  migrateBy(MATERIAL_MIGRATIONS, material, version ?? FIRST_VERSION);

/**
 * Whether a row holds a material that a knife could carry: as it is where its checksum says that this version checked and
 * wrote it. The checker is fetched only for others.
 */
export async function isReadableMaterial(row: Partial<StoredMaterial>): Promise<boolean> {
  const { id, version, checksum } = row;
  const material = ownMaterialIn(row);
  if (version === RECORD_VERSION && checksum !== undefined && checksum === checksumOf(material))
    return isRecord(material) && material.id === id;
  const { ownMaterial } = await import("@/core/knife/design/record/material");
  const parsed = ownMaterial.safeParse(material);
  return parsed.success && parsed.data.id === id;
}

/** What a row's material is called; null where that cannot be made out. */
export const materialNameIn = ({ material }: Row): string | null =>
  isRecord(material) && typeof material.name === "string" && material.name !== ""
    ? material.name.slice(0, 60)
    : null;

/** Materials of the maker's own. */
export const MATERIALS_TABLE: TableSpec = {
  name: "materials",
  since: 4,
  indexes: "id, updatedAt",
  called: { one: "material of your own", many: "materials of your own" },
  keyOf: (row) => keyText(row.id),
  readable: (row) => isReadableMaterial(row as Partial<StoredMaterial>),
  nameOf: materialNameIn,
  atoms: ["material"],
};
