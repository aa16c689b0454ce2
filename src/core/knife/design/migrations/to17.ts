import { isRecord } from "../../../base/isRecord";
import type { Loose } from "./loose";
import type { Migrations } from "./steps";
import { WORKSHOP_MIGRATIONS as TO_14 } from "./to14";

/** Until version 17 nothing was said of what steel is heated in. */
const withSources = (facts: unknown): unknown => (isRecord(facts) ? { ...facts, heatSources: [] } : facts);

export const toVersion17 = (record: Loose): Loose =>
  "workshop" in record ? { ...record, workshop: withSources(record.workshop) } : record;

/** A maker's workshops, which are kept by themselves, too: from the version that their rows name. */
export const WORKSHOP_MIGRATIONS: Migrations = {
  ...TO_14,
  16: (workshop) => (isRecord(workshop) ? { ...workshop, facts: withSources(workshop.facts) } : workshop),
};
