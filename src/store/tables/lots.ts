import { isRecord } from "@/core/base/isRecord";
import { LOT_VERSION, type Lot } from "@/core/shelf/version";
import { sealedRows } from "./sealedRows";
import { keyText, type TableSpec } from "./spec";

/** How rows of lots are read and written. */
export const lotRows = sealedRows<Lot>({
  field: "lot",
  version: LOT_VERSION,
  schema: async () => (await import("@/core/shelf/lot")).lotRecord as never,
});

/** Lots on the shelf. */
export const LOTS: TableSpec = {
  name: "lots",
  since: 8,
  indexes: "id, updatedAt",
  called: { one: "lot", many: "lots" },
  keyOf: (row) => keyText(row.id),
  readable: lotRows.readable,
  nameOf: ({ lot }) =>
    isRecord(lot) && typeof lot.name === "string" && lot.name !== "" ? lot.name.slice(0, 60) : null,
  picturesOf: ({ lot }) => (isRecord(lot) && typeof lot.picture === "string" ? [lot.picture] : []),
  atoms: ["lot.shape", "lot.weighed", "lot.batch"],
};
