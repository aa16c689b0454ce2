import type { Table } from "dexie";
import { nanoid } from "nanoid";
import { own } from "@/core/base/own";
import { db, primaryKeyOf, tableNamed } from "./db";
import { letGoOf } from "./keptTable";
import { collectPictures } from "./pictures";
import { nameIn } from "./reading";
import type { BinReason, BinRecord } from "./rows";
import { giveUpWaiting, ready, writeWithRetry } from "./storage";
import { rowsInBin } from "./tables/bin";
import { ownedTables, specOf, TABLES } from "./tables/list";
import { type Row, revisionOf } from "./tables/spec";

/** What was deleted is kept so long, days. */
export const BIN_DAYS = 30;
const DAY_MS = 24 * 3600 * 1000;

export interface BinItem {
  readonly id: string;
  readonly name: string;
  /** The table that it is of, and what one such thing is called. */
  readonly from: string;
  readonly kind: string;
  readonly because: BinReason;
  readonly deletedAt: number;
  readonly daysLeft: number;
}

/** How many things lie in the bin. */
export const binCount = (): Promise<number> => db.bin.count();

/** What lies in the bin, the last deleted first. */
export async function binItems(now = Date.now()): Promise<BinItem[]> {
  const items = await db.bin.orderBy("deletedAt").reverse().toArray();
  const seen = items.map((item) => {
    const spec = specOf(String(item.from));
    const [row] = rowsInBin(item as unknown as Row).get(String(item.from)) ?? [];
    return { item, spec, row, owner: spec?.ownedBy && row ? String(own(row, spec.ownedBy.field)) : null };
  });
  const owners = await db.knives.bulkGet([...new Set(seen.flatMap((s) => s.owner ?? []))]);
  const names = new Map(owners.flatMap((k) => (k ? [[k.id, nameIn(k)] as const] : [])));
  return seen.map(({ item, spec, row, owner: ownerId }) => {
    const owner = names.get(ownerId ?? "");
    const own = spec && row ? (spec.nameOf(row) ?? owner ?? spec.called.one) : "without a name";
    return {
      id: item.id,
      name: own,
      from: String(item.from),
      kind: spec?.called.one ?? "of a newer Euaxis",
      because: item.because ?? "deleted",
      deletedAt: item.deletedAt,
      daysLeft: Math.max(0, Math.ceil((item.deletedAt + BIN_DAYS * DAY_MS - now) / DAY_MS)),
    };
  });
}

export type PutBack =
  | { readonly ok: true /** What stood in its place lies in the bin now. */; readonly swapped: boolean }
  | { readonly ok: false; readonly code: "gone" | "owner-gone" | "unknown" | "not-written" };

/** Puts something back from the bin as it was; what stands in its place by now takes its place in the bin. */
export async function putBack(binId: string): Promise<PutBack> {
  let answer: PutBack = { ok: false, code: "gone" };
  const job = `restoring ${binId}`;
  const tables: Table[] = [...TABLES.map((s) => tableNamed(s.name)), db.figures];
  const taken: { table: string; key: string }[] = [];
  const written = await writeWithRetry(job, "something from the bin", async () => {
    await db.transaction("rw", tables, async () => {
      answer = { ok: false, code: "gone" };
      const item = await db.bin.get(binId);
      if (!item) return;
      const spec = specOf(item.from);
      const rows = rowsInBin(item as unknown as Row);
      const [main] = rows.get(item.from) ?? [];
      if (!spec || !main) {
        answer = { ok: false, code: "unknown" };
        return;
      }
      const owner = spec.ownedBy && String(own(main, spec.ownedBy.field));
      if (owner !== undefined && (await db.knives.where("id").equals(owner).count()) === 0) {
        answer = { ok: false, code: "owner-gone" };
        return;
      }
      let swapped: BinRecord | null = null;
      for (const [name, list] of rows) {
        const part = specOf(name);
        if (!part) continue;
        for (const row of list) {
          const table = tableNamed<Row>(name);
          const now = await table.get(primaryKeyOf(name, row));
          if (now && part === spec)
            swapped = {
              id: nanoid(12),
              deletedAt: Date.now(),
              from: name,
              because: "replaced",
              rows: { [name]: [now] },
            };
          // What belongs to it and is there by now is left as it is; the thing itself goes on counting.
          else if (now) continue;
          const next = now ? { ...row, revision: revisionOf(now) + 1, updatedAt: Date.now() } : row;
          await table.put(next);
          taken.push({ table: name, key: String(part.keyOf(row)) });
        }
      }
      if (swapped) await db.bin.put(swapped);
      await db.bin.delete(binId);
      answer = { ok: true, swapped: swapped !== null };
    });
  });
  if (!written) {
    giveUpWaiting(job);
    return { ok: false, code: "not-written" };
  }
  for (const { table, key } of taken) letGoOf(specOf(table)!, key);
  return answer;
}

/** Takes out for good what has lain in the bin for its time. */
export async function emptyOldBin(now = Date.now()): Promise<void> {
  await ready();
  const old = await db.bin
    .where("deletedAt")
    .below(now - BIN_DAYS * DAY_MS)
    .primaryKeys();
  if (old.length > 0) await deleteForGood(old);
}

/** Takes items out of the bin for good, with the pictures that nothing else refers to. */
export async function deleteForGood(ids: readonly string[]): Promise<void> {
  await ready();
  const parts = ownedTables();
  await db.transaction(
    "rw",
    [db.bin, db.knives, ...parts.map((p): Table => tableNamed(p.name))],
    async () => {
      await db.bin.bulkDelete([...ids]);
      const onRack = new Set(await db.knives.toCollection().primaryKeys());
      // A backup of an older layout may have brought what belongs to a knife of the bin by itself.
      const gone = ids.filter((id) => !onRack.has(id));
      for (const part of parts) await tableNamed(part.name).where(part.ownedBy!.field).anyOf(gone).delete();
    },
  );
  await collectPictures();
}
