import { own } from "@/core/base/own";
import type { PictureEntry } from "@/core/exchange/files/backup/format";
import type { BackupSource } from "@/core/exchange/files/backup/write";
import { db, tableNamed } from "../db";
import type { PictureRecord } from "../rows";
import { picturesOf, TABLES } from "../tables/list";
import type { Row, TableSpec } from "../tables/spec";
import { heldPicture, unwrittenRows } from "../unwritten";

/** What waits in a page's memory, by table: a worker is given it. */
export interface WaitingRows {
  readonly rows: Readonly<Record<string, readonly Row[]>>;
  readonly pictures: readonly PictureRecord[];
}

export const backedUpTables = (): readonly TableSpec[] => TABLES.filter((spec) => spec.backedUp !== false);

/** Everything that waits to be written, of every table. */
export function waitingRows(): WaitingRows {
  const rows = Object.fromEntries(TABLES.map((spec) => [spec.name, unwrittenRows(spec.name)]));
  const ids = TABLES.flatMap((spec) => (own(rows, spec.name) ?? []).flatMap((row) => picturesOf(spec, row)));
  return { rows, pictures: [...new Set(ids)].flatMap((id) => heldPicture(id) ?? []) };
}

/** Rows of a table that are read at a time. */
const BATCH = 50;

/** Rows of a table in the order of their keys, with those that wait in their places; read some at a time. */
async function* rowsOf(spec: TableSpec, waiting: readonly Row[], stored: boolean): AsyncGenerator<Row> {
  const latest = new Set(waiting.map((row) => spec.keyOf(row)));
  if (stored) {
    const table = tableNamed<Row>(spec.name);
    const keys = await table.toCollection().primaryKeys();
    for (let i = 0; i < keys.length; i += BATCH)
      // One that was deleted meanwhile is none.
      for (const row of await table.bulkGet(keys.slice(i, i + BATCH)))
        if (row && !latest.has(spec.keyOf(row))) yield row;
  }
  yield* waiting;
}

/**
 * What a backup of everything is made of: the database, and what waits in its place. Only what waits where the database
 * cannot be read. `leave` names rows that stay out.
 */
export async function everything(
  waiting: WaitingRows,
  stored: boolean,
  leave: (table: string, row: Row) => boolean = () => false,
): Promise<BackupSource & { readonly count: number }> {
  const held = new Map(waiting.pictures.map((p) => [p.id, p]));
  const tables = backedUpTables();
  const used = new Set<string>();
  let count = 0;
  for (const spec of tables) {
    const mine = own(waiting.rows, spec.name) ?? [];
    count += mine.length + (stored ? await tableNamed(spec.name).count() : 0);
    if (spec.picturesOf || spec.name === "bin")
      for await (const row of rowsOf(spec, mine, stored))
        if (!leave(spec.name, row)) for (const id of picturesOf(spec, row)) used.add(id);
  }
  const pictures: PictureEntry[] = [];
  for (const id of used) {
    const picture = held.get(id) ?? (stored ? await db.pictures.get(id) : undefined);
    if (picture) pictures.push({ id, type: picture.type, bytes: picture.data.size });
  }
  return {
    made: new Date().toISOString(),
    count,
    tables: tables.map((spec) => ({
      name: spec.name,
      rows: async function* () {
        for await (const row of rowsOf(spec, own(waiting.rows, spec.name) ?? [], stored))
          if (!leave(spec.name, row)) yield row;
      },
    })),
    pictures,
    picture: async (id) => {
      const found = held.get(id) ?? (await db.pictures.get(id));
      if (!found) throw new Error("a photo was deleted while the backup was made: make it again");
      return found.data;
    },
  };
}
