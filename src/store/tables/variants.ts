import { nanoid } from "nanoid";
import { checksumOf } from "../checksum";
import { nameIn, readVariantRecord } from "../reading";
import { keyText, type TableSpec } from "./spec";

/** Other makings of a knife, kept beside it. */
export const VARIANTS: TableSpec = {
  name: "variants",
  since: 2,
  indexes: "id, knifeId, updatedAt",
  called: { one: "variant", many: "variants" },
  keyOf: (row) => keyText(row.id),
  readable: async (row) => keyText(row.knifeId) !== null && (await readVariantRecord(row as never)).ok,
  nameOf: nameIn,
  same: (a, b) => a.name === b.name && checksumOf(a.design) === checksumOf(b.design),
  atoms: ["design"],
  ownedBy: { field: "knifeId", copy: (row, knifeId) => ({ ...row, id: nanoid(12), knifeId, revision: 1 }) },
};
