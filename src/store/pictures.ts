import { db, tableNamed } from "./db";
import { picturesOf, TABLES } from "./tables/list";
import type { Row } from "./tables/spec";
import { heldPicture } from "./unwritten";

/** A picture that nothing refers to is kept so long all the same: an undone restore may want it again, ms. */
const REST_MS = 24 * 3600 * 1000;

/** A picture's bytes, be it written or not; undefined where there is none. */
export async function pictureData(id: string): Promise<Blob | undefined> {
  return heldPicture(id)?.data ?? (await db.pictures.get(id))?.data;
}

/** Deletes pictures that nothing refers to any more, in any table or the bin, once they have rested. */
export async function collectPictures(now = Date.now()): Promise<void> {
  const holding = TABLES.filter((spec) => spec.picturesOf || spec.name === "bin");
  await db.transaction("rw", [...holding.map((s) => tableNamed(s.name)), db.pictures], async () => {
    const used = new Set<string>();
    for (const spec of holding)
      await tableNamed<Row>(spec.name).each((row) => {
        for (const id of picturesOf(spec, row)) used.add(id);
      });
    const gone: string[] = [];
    for (const id of await db.pictures.toCollection().primaryKeys()) {
      if (used.has(id)) continue;
      const picture = await db.pictures.get(id);
      if (picture && picture.createdAt < now - REST_MS) gone.push(id);
    }
    await db.pictures.bulkDelete(gone);
  });
}
