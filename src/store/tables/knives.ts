import { checksumOf } from "../checksum";
import { nameIn, readKnifeRecord } from "../reading";
import { keyText, type TableSpec } from "./spec";

const equal = (a: unknown, b: unknown) => JSON.stringify(a) === JSON.stringify(b);

/** Knives on the rack. */
export const KNIVES: TableSpec = {
  name: "knives",
  since: 1,
  indexes: "id, createdAt, updatedAt, design.name, [id+revision+updatedAt]",
  called: { one: "knife", many: "knives" },
  keyOf: (row) => keyText(row.id),
  readable: async (row) => (await readKnifeRecord(row as never)).ok,
  nameOf: nameIn,
  same: (a, b) => checksumOf(a.design) === checksumOf(b.design) && equal(a.saved, b.saved),
  atoms: ["design", "saved"],
};
