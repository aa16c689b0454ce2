import { RECORD_VERSION } from "../version";

/** Turns the record of one version into the next one's. Keyed by the version it starts from. */
export type Migrations = Readonly<Record<number, (record: unknown) => unknown>>;

/**
 * Brings a record from its version up to the present one. `from` must be from 1 to the present version. A version that did
 * not change such records has no entry.
 */
export function migrateBy(migrations: Migrations, record: unknown, from: number): unknown {
  let current = record;
  for (let version = from; version < RECORD_VERSION; version++)
    current = (migrations[version] ?? unchanged)(current);
  return current;
}

const unchanged = (record: unknown) => record;
