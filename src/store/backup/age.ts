import { db, tableNamed } from "../db";
import type { Row } from "../tables/spec";
import { backedUpTables } from "./source";

/** When this browser's content last went into a backup, ms. */
const LAST_BACKUP = "last backup";
/** Without a backup for so long, with changes since, the maker is reminded. */
export const REMIND_AFTER_MS = 14 * 24 * 3600 * 1000;

/** Takes down that everything here is in a backup now. */
export async function noteBackup(at = Date.now()): Promise<void> {
  await db.device.put({ key: LAST_BACKUP, value: at });
}

export interface BackupAge {
  /** When the last backup was made, ms; null where none was. */
  readonly last: number | null;
  /** Whether something was changed since, and long ago enough to say so. */
  readonly due: boolean;
}

/** How old the last backup is, and whether it is time for another. */
export async function backupAge(now = Date.now()): Promise<BackupAge> {
  const value = (await db.device.get(LAST_BACKUP))?.value;
  const last = typeof value === "number" && Number.isFinite(value) ? value : null;
  const since = last ?? 0;
  let oldest = Number.POSITIVE_INFINITY;
  const note = (row: Row) => {
    const at = Number(row.updatedAt);
    // Demo knives, and what came with them, that nobody touched are no work of the maker's.
    if (at > since && (Number(row.revision) > 1 || last !== null)) oldest = Math.min(oldest, at);
  };
  for (const spec of backedUpTables()) {
    const table = tableNamed<Row>(spec.name);
    // What is no work by itself, such as a setting or a step of undo, has no index by time.
    if (table.schema.idxByName.updatedAt) await table.where("updatedAt").above(since).each(note);
  }
  return { last, due: Number.isFinite(oldest) && now - (last ?? oldest) > REMIND_AFTER_MS };
}
