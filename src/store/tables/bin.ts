import { isRecord } from "@/core/base/isRecord";
import { keyText, type Row, type TableSpec } from "./spec";

const isRows = (value: unknown): value is readonly Row[] => Array.isArray(value) && value.every(isRecord);

/** Rows of an item of the bin by their table; none of one that makes no sense. */
export function rowsInBin(row: Row): ReadonlyMap<string, readonly Row[]> {
  if (!isRecord(row.rows)) return new Map();
  return new Map(
    Object.entries(row.rows).filter((entry): entry is [string, readonly Row[]] => isRows(entry[1])),
  );
}

/** What was deleted, or gave way to another state, with all that belonged to it. */
export const BIN: TableSpec = {
  name: "bin",
  since: 3,
  indexes: "id, deletedAt",
  called: { one: "item in the bin", many: "items in the bin" },
  keyOf: (row) => keyText(row.id),
  readable: (row) =>
    Number.isFinite(row.deletedAt) &&
    typeof row.from === "string" &&
    isRecord(row.rows) &&
    Object.values(row.rows).every(isRows) &&
    (rowsInBin(row).get(row.from) ?? []).length === 1,
  nameOf: () => null,
  same: (a, b) => a.deletedAt === b.deletedAt,
  // Before layout 6 only knives lay there.
  upgrade: (row) => {
    const { knife, variants, steps, ...rest } = row;
    if (!isRecord(knife)) return row;
    const rows = { knives: [knife], variants: variants ?? [], steps: steps ?? [] };
    return { ...rest, from: "knives", because: "deleted", rows };
  },
};
