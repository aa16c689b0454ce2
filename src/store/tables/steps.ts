import { isRecord } from "@/core/base/isRecord";
import { keyText, type TableSpec } from "./spec";

/** Steps of undo of a knife, written together with it. */
export const STEPS: TableSpec = {
  name: "steps",
  since: 3,
  indexes: "[knifeId+at], knifeId",
  called: { one: "step of undo", many: "steps of undo" },
  keyOf: (row) => (keyText(row.knifeId) && Number.isInteger(row.at) ? `${row.knifeId} ${row.at}` : null),
  readable: (row) => isRecord(row.before) && isRecord(row.after),
  nameOf: () => null,
  // Steps of two histories would lead to states that never were. A copy begins its own history.
  ownedBy: { field: "knifeId", copy: () => null, together: true },
};
