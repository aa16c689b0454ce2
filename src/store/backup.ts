import type { Backup } from "@/core/files/backup/backup";
import { db, OF_THIS_DEVICE, type StoredKnife, type StoredVariant } from "./db";
import { HOLDINGS, type Holding, tableOf } from "./holdings";
import { unwrittenKnives } from "./knives";
import { unwrittenVariants } from "./variants";

type Row = Readonly<Record<string, unknown>>;

/** When this browser's content last went into a backup, ms. */
const LAST_BACKUP = `${OF_THIS_DEVICE}last backup`;
/** Without a backup for so long, with changes since, the maker is reminded. */
export const REMIND_AFTER_MS = 14 * 24 * 3600 * 1000;

/** Everything the database holds, which has to be open, and what waits in memory to be written. */
export async function makeBackup(): Promise<Backup> {
  const holds: Record<string, readonly Row[]> = {};
  await db.transaction("r", HOLDINGS.map(tableOf), async () => {
    for (const h of HOLDINGS) {
      const rows = await tableOf(h).toArray();
      holds[h.name] = h.kept ? rows.filter(h.kept) : rows;
    }
  });
  holds.knives = withLatest(holds.knives, unwrittenKnives());
  holds.variants = withLatest(holds.variants, unwrittenVariants());
  return { made: new Date().toISOString(), holds };
}

/** What waits in memory by itself: all there is where the database cannot be read. */
export function onlyWaiting(): Backup {
  const holds = { knives: withLatest([], unwrittenKnives()), variants: withLatest([], unwrittenVariants()) };
  return { made: new Date().toISOString(), holds };
}

/** Rows of the database, with those that wait in memory in their places. */
function withLatest(rows: readonly Row[], waiting: readonly (StoredKnife | StoredVariant)[]): readonly Row[] {
  const latest = new Set<unknown>(waiting.map((w) => w.id));
  return [...rows.filter((row) => !latest.has(row.id)), ...waiting.map((w): Row => ({ ...w }))];
}

/** What one row of a backup would be to the database. */
export type RowFate = "new" | "changed" | "same" | "unreadable";

export interface PlannedRow {
  readonly holding: Holding;
  readonly row: Row;
  readonly fate: RowFate;
  readonly name: string | null;
  /** Of a changed knife: whether the backup's was written later than what is here. */
  readonly newer: boolean;
}

/** What restoring a backup would do, row by row. Nothing is changed by asking. */
export async function planRestore(backup: Backup): Promise<readonly PlannedRow[]> {
  const planned: PlannedRow[] = [];
  // What is on the rack is not thrown into the bin by a backup of when it lay there.
  const onRack = new Set(await db.knives.toCollection().primaryKeys());
  for (const holding of HOLDINGS) {
    const here = new Map((await tableOf(holding).toArray()).map((row) => [holding.keyOf(row), row]));
    const seen = new Set<string>();
    for (const row of backup.holds[holding.name] ?? []) {
      const key = holding.keyOf(row);
      const sound = key !== null && !seen.has(key) && (!holding.kept || holding.kept(row));
      if (key !== null) seen.add(key);
      const there = key === null ? undefined : here.get(key);
      const readable = sound && (await holding.readable(row));
      const back = holding.name === "bin" && onRack.has(String(key));
      const fate = !readable
        ? "unreadable"
        : back
          ? "same"
          : !there
            ? "new"
            : holding.same(row, there)
              ? "same"
              : "changed";
      const newer =
        Number(row.updatedAt ?? row.createdAt ?? 0) > Number(there?.updatedAt ?? there?.createdAt ?? 0);
      planned.push({ holding, row, fate, name: holding.nameOf(row), newer });
    }
  }
  return planned;
}

export type RestoreManner =
  /** What is new comes in; of what differs the newer stays. */
  | "merge-newer"
  /** What is new comes in; what differs becomes as the backup has it. */
  | "merge-backup"
  /** Everything here goes, and the backup's content takes its place. */
  | "replace";

/** Takes a backup's rows in, all or none. Throws where the database does. */
export async function restore(planned: readonly PlannedRow[], manner: RestoreManner): Promise<void> {
  const takes = ({ fate, newer }: PlannedRow) =>
    fate === "new" ||
    (fate === "changed" && (manner !== "merge-newer" || newer)) ||
    (fate === "same" && manner === "replace");
  const knives = new Set(planned.filter((p) => p.holding.name === "knives" && takes(p)).map((p) => p.row.id));
  await db.transaction("rw", [...HOLDINGS.map(tableOf), db.figures], async () => {
    const revisions = new Map((await db.knives.toArray()).map((k) => [k.id, k.revision]));
    for (const holding of HOLDINGS) {
      const { partOf, kept } = holding;
      const table = tableOf(holding);
      const goes = (row: Row) =>
        manner === "replace" ? !kept || kept(row) : partOf !== undefined && knives.has(partOf(row));
      const here = manner === "replace" || partOf ? await table.toArray() : [];
      await table.bulkDelete(here.filter(goes).map((row) => primaryKeyOf(holding, row)));
      const comes = (p: PlannedRow) =>
        p.holding === holding && (partOf ? p.fate !== "unreadable" && knives.has(partOf(p.row)) : takes(p));
      const rows = planned.filter(comes).map((p) => p.row);
      await table.bulkPut(holding.name === "knives" ? rows.map((row) => goingOn(row, revisions)) : rows);
    }
    await db.figures.clear();
  });
}

/** A knife that takes another's place goes on counting from it, so that other tabs see the change. */
function goingOn(row: Row, revisions: ReadonlyMap<string, number>): Row {
  const here = revisions.get(String(row.id)) ?? 0;
  return { ...row, revision: Math.max(Number(row.revision) || 1, here + 1) };
}

function primaryKeyOf(holding: Holding, row: Row): string | [string, number] {
  if (holding.name === "steps") return [String(row.knifeId), Number(row.at)];
  return String(holding.name === "settings" ? row.key : row.id);
}

/** A backup as a plan that puts everything back as it was then. */
export function planOf(backup: Backup): readonly PlannedRow[] {
  return HOLDINGS.flatMap((holding) =>
    (backup.holds[holding.name] ?? []).map(
      (row): PlannedRow => ({ holding, row, fate: "new", name: holding.nameOf(row), newer: true }),
    ),
  );
}

/** Takes down that everything here is in a backup now. */
export async function noteBackup(at = Date.now()): Promise<void> {
  await db.settings.put({ key: LAST_BACKUP, value: at });
}

export interface BackupAge {
  /** When the last backup was made, ms; null where none was. */
  readonly last: number | null;
  /** Whether something was changed since, and long ago enough to say so. */
  readonly due: boolean;
}

/** How old the last backup is, and whether it is time for another. */
export async function backupAge(now = Date.now()): Promise<BackupAge> {
  const value = (await db.settings.get(LAST_BACKUP))?.value;
  const last = typeof value === "number" && Number.isFinite(value) ? value : null;
  const since = last ?? 0;
  let oldest = Number.POSITIVE_INFINITY;
  await db.knives
    .where("updatedAt")
    .above(since)
    .each((k) => {
      // Demo knives that nobody touched are no work of the maker's.
      if (k.revision > 1 || last !== null) oldest = Math.min(oldest, k.updatedAt);
    });
  return { last, due: Number.isFinite(oldest) && now - (last ?? oldest) > REMIND_AFTER_MS };
}
