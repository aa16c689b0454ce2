import { readBackup } from "@/core/exchange/files/backup/read";
import { checkBackup, type RestoreManner, type RestorePlan, restoreBackup } from "./backup/restore";
import { saveBackup } from "./backup/save";
import { waitingRows } from "./backup/source";
import type { Row } from "./tables/spec";

/** Everything as a backup file. */
export const backupFile = async (): Promise<Blob> => (await saveBackup(waitingRows())).file;

/** What a backup file holds, by table. */
export async function rowsIn(file: Blob): Promise<Record<string, Row[]>> {
  const rows: Record<string, Row[]> = {};
  const reading = await readBackup(file, {
    row: (table, row) => {
      rows[table] ??= [];
      rows[table].push(row);
    },
  });
  if (!reading.ok) throw new Error(reading.code);
  return rows;
}

export async function planOf(file: Blob): Promise<RestorePlan> {
  const checked = await checkBackup(file);
  if (!checked.ok) throw new Error(checked.code);
  return checked.plan;
}

/** Takes a backup in, and answers what undoes it. */
export const takeIn = async (file: Blob, manner: RestoreManner): Promise<string> =>
  restoreBackup((await planOf(file)).run, file, manner);

/** How many rows of a backup are new, changed, the same, by table: "knives new". */
export async function fatesIn(file: Blob): Promise<Record<string, number>> {
  const { tables } = await planOf(file);
  return Object.fromEntries(
    tables.flatMap((t) =>
      Object.entries(t.fates).flatMap(([fate, n]) => (n > 0 ? [[`${t.name} ${fate}`, n] as const] : [])),
    ),
  );
}

/** A backup as one JSON file, as it was written before there was a ZIP. */
export const oldBackup = (holds: Readonly<Record<string, readonly unknown[]>>): Blob =>
  new Blob([
    JSON.stringify({ format: "euaxis-backup", version: 1, made: "2026-11-27T10:00:00.000Z", holds }),
  ]);
