import { nanoid } from "nanoid";
import type { Design } from "@/core/design/schema";
import { MOST_VARIANTS, type Variant } from "@/core/design/variant";
import { db, type StoredVariant, type VariantRecord } from "./db";
import { freeName } from "./knives";
import { readVariantRecord, sealed } from "./reading";
import { ready } from "./storage";

const storedVariantsOf = (knifeId: string): Promise<StoredVariant[]> =>
  db.variants.where("knifeId").equals(knifeId).sortBy("createdAt");

/** Those of stored variants that can be read; the others stay as they are, and are said on the Rack. */
async function readable(stored: readonly StoredVariant[]): Promise<VariantRecord[]> {
  const readings = await Promise.all(stored.map(readVariantRecord));
  return readings.flatMap((r) => (r.ok ? [r.record] : []));
}

/** The variants of a knife, the oldest first. */
export async function variantsOf(knifeId: string): Promise<VariantRecord[]> {
  return readable(await storedVariantsOf(knifeId));
}

/** Every variant that can be read. */
export async function readableVariants(): Promise<VariantRecord[]> {
  return readable(await db.variants.toArray());
}

/**
 * Keeps variants beside a knife, each under a name that is free there. Keeps none of them, and says how many may be
 * kept, where there would be too many.
 */
export async function addVariants(
  knifeId: string,
  variants: readonly Variant[],
): Promise<
  | { readonly ok: true; readonly added: readonly VariantRecord[] }
  | { readonly ok: false; readonly room: number }
> {
  await ready();
  return db.transaction("rw", db.variants, async () => {
    const there = await storedVariantsOf(knifeId);
    const room = MOST_VARIANTS - there.length;
    if (variants.length > room) return { ok: false, room };
    const taken = there.map((v) => v.name);
    const from = Math.max(Date.now(), ...there.map((v) => v.createdAt + 1));
    const added = variants.map(({ name, design }, i): VariantRecord => {
      const free = freeName(name.slice(0, 80), taken);
      taken.push(free);
      return { id: nanoid(12), knifeId, name: free, design, createdAt: from + i };
    });
    await db.variants.bulkAdd(added.map((v) => ({ ...v, ...sealed(v.design) })));
    return { ok: true, added };
  });
}

export async function renameVariant(id: string, name: string): Promise<void> {
  await db.variants.update(id, { name });
}

/** Puts another making in the place of one that was kept. */
export async function replaceVariant(id: string, design: Design): Promise<void> {
  await db.variants.update(id, sealed(design));
}

/** Takes a variant away and gives it back, so that it can be put back. */
export async function removeVariant(id: string): Promise<StoredVariant | undefined> {
  return db.transaction("rw", db.variants, async () => {
    const gone = await db.variants.get(id);
    await db.variants.delete(id);
    return gone;
  });
}

/** Puts variants back as they were. */
export async function restoreVariants(records: readonly StoredVariant[]): Promise<void> {
  await db.variants.bulkPut([...records]);
}
