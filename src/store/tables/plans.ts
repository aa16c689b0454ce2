import { isRecord } from "@/core/base/isRecord";
import { newPlan } from "@/core/plan/newPlan";
import { PLAN_VERSION, type PlanRecord } from "@/core/plan/version";
import { sealedRows } from "./sealedRows";
import { keyText, type TableSpec } from "./spec";

/** How rows of plans are read and written. */
export const planRows = sealedRows<PlanRecord>({
  field: "plan",
  version: PLAN_VERSION,
  schema: async () => (await import("@/core/plan/record")).planRecord as never,
});

/** What a copy of a knife has of its plan: how its maker works, and nothing of what was done or measured. */
const COPIED: readonly string[] = [
  "schools",
  "own",
  "minutes",
  "sequence",
  "otherwise",
] satisfies (keyof PlanRecord)[];

/** How far each knife has come, by the knife's id. */
export const PLANS: TableSpec = {
  name: "plans",
  since: 8,
  indexes: "id, updatedAt",
  called: { one: "plan of a knife", many: "plans" },
  keyOf: (row) => keyText(row.id),
  readable: planRows.readable,
  nameOf: () => null,
  // Two tabs may each have done a task: they go together. Lists are one thing each.
  atoms: ["plan.done.*", "plan.minutes.*", "plan.schools.*", "plan.timers.*", "plan.clocks.*"],
  picturesOf: ({ plan }) => {
    if (!isRecord(plan)) return [];
    const noted = Array.isArray(plan.log) ? plan.log.map((l) => (isRecord(l) ? l.picture : null)) : [];
    const all = [...(isRecord(plan.photos) ? Object.values(plan.photos) : []), ...noted];
    return all.filter((id): id is string => typeof id === "string");
  },
  ownedBy: {
    field: "id",
    // A copy is a knife that nobody has begun: how its maker works stays.
    copy: (row, knifeId) =>
      isRecord(row.plan)
        ? {
            ...row,
            id: knifeId,
            revision: 1,
            checksum: undefined,
            plan: {
              ...newPlan(),
              ...Object.fromEntries(Object.entries(row.plan).filter(([field]) => COPIED.includes(field))),
            },
          }
        : null,
  },
};
