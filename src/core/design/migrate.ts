import { DESIGN_VERSION } from "./schema";

/** Turns the record of one version into the next one's. Keyed by the version it starts from. */
export type Migrations = Readonly<Record<number, (record: unknown) => unknown>>;

/** One entry for every version before the present one; a test fails when any is missing. */
export const MIGRATIONS: Migrations = {
  // 2: guards, hidden tangs and handles of pieces. What version 1 knew stays as it was.
  1: (record) => (typeof record === "object" && record !== null ? { ...record, guard: null } : record),
};

/** Brings a record from its version up to the present one. `from` must be from 1 to the present version. */
export function migrate(record: unknown, from: number, migrations: Migrations = MIGRATIONS): unknown {
  let current = record;
  for (let version = from; version < DESIGN_VERSION; version++) current = migrations[version](current);
  return current;
}
