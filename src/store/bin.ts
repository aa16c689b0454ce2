import { db } from "./db";
import { nameIn } from "./reading";
import { ready } from "./storage";

/** Deleted knives are kept so long, days. */
export const BIN_DAYS = 30;
const DAY_MS = 24 * 3600 * 1000;

export interface BinItem {
  readonly id: string;
  readonly name: string;
  readonly deletedAt: number;
  readonly daysLeft: number;
}

/** What lies in the bin, the last deleted first. */
export async function binItems(now = Date.now()): Promise<BinItem[]> {
  const items = await db.bin.orderBy("deletedAt").reverse().toArray();
  return items.map(({ id, knife, deletedAt }) => ({
    id,
    name: nameIn(knife),
    deletedAt,
    daysLeft: Math.max(0, Math.ceil((deletedAt + BIN_DAYS * DAY_MS - now) / DAY_MS)),
  }));
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

/** Takes items out of the bin for good, with the photos that lay under them. */
export async function deleteForGood(ids: readonly string[]): Promise<void> {
  await ready();
  await db.transaction("rw", [db.bin, db.knives, db.underlays], async () => {
    await db.bin.bulkDelete([...ids]);
    const onRack = new Set(await db.knives.toCollection().primaryKeys());
    await db.underlays.bulkDelete(ids.filter((id) => !onRack.has(id)));
  });
}
