import { isRecord } from "@/core/base/isRecord";
import { LINE_VERSION, type Line } from "@/core/line/version";
import { sealedRows } from "./sealedRows";
import { keyText, type TableSpec } from "./spec";

/** How rows of lines are read and written. */
export const lineRows = sealedRows<Line>({
  field: "line",
  version: LINE_VERSION,
  schema: async () => (await import("@/core/line/line")).lineRecord as never,
});

/** Lines: one blank in several grades. */
export const LINES: TableSpec = {
  name: "lines",
  since: 9,
  indexes: "id, updatedAt",
  called: { one: "line", many: "lines" },
  keyOf: (row) => keyText(row.id),
  readable: lineRows.readable,
  nameOf: ({ line }) =>
    isRecord(line) && typeof line.name === "string" && line.name !== "" ? line.name.slice(0, 60) : null,
  atoms: ["line.grades"],
};
