"use client";
import { keptTable, type Removed, type Saved } from "./keptTable";
import { ready } from "./storage";
import type { SealedRow, sealedRows } from "./tables/sealedRows";
import type { Row, TableSpec } from "./tables/spec";
import { useKept } from "./useKept";

/** A table whose rows keep one record each: what a page reads and changes of it. */
export function sealedTable<T extends object>(spec: TableSpec, rows: ReturnType<typeof sealedRows<T>>) {
  const table = keptTable<SealedRow>(spec);
  const read = (row: SealedRow | undefined) => rows.read(row as unknown as Row | undefined);

  /** Every record that can be read, the oldest first, with its row's id. */
  async function all(): Promise<readonly { readonly id: string; readonly record: T }[]> {
    const found = [...(await table.rows())].sort((a, b) => a.createdAt - b.createdAt);
    const records = await Promise.all(found.map(read));
    return found.flatMap(({ id }, i) => {
      const record = records[i];
      return record ? [{ id, record }] : [];
    });
  }
  const one = async (id: string): Promise<T | null> => read(await table.row(id));

  const records = async (): Promise<readonly T[]> => (await all()).map((r) => r.record);
  return {
    all,
    one,
    records,
    /** Every record that can be read, kept up to date; null before the database has answered. */
    useRecords: () => useKept(records, []) ?? null,
    /** One record; undefined before the database has answered, null where there is none that can be read. */
    useOne: (id: string): T | null | undefined => useKept(() => one(id), [id]),
    /** Keeps a new record. */
    add: async (id: string, record: T): Promise<Saved<SealedRow>> => {
      await ready();
      return table.save(null, rows.rowOf(id, record, null));
    },
    /**
     * Changes a record by a function of what it is now, or of `none` where there is none yet: what another tab made of it
     * meanwhile is merged. A row that cannot be read is left as it is.
     */
    change: async (
      id: string,
      by: (now: T) => T | null,
      none: T | null = null,
    ): Promise<Saved<SealedRow>> => {
      await ready();
      const before = await table.row(id);
      const now = before ? await read(before) : none;
      if (!now) return { ok: false, code: "deleted" };
      return table.change(id, (latest) => {
        // What this program wrote needs no checking; else it is what was read a moment ago.
        const current = latest ? (rows.sealedIn(latest as unknown as Row) ?? now) : none;
        const next = current && by(current);
        return next && { base: latest ?? null, row: rows.rowOf(id, next, latest ?? null) };
      });
    },
    /** Takes a record away into the bin. */
    remove: async (id: string): Promise<Removed> => {
      await ready();
      return table.remove(id);
    },
  };
}
