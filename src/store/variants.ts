import { nanoid } from "nanoid";
import type { Design } from "@/core/design/schema";
import { MOST_VARIANTS, type Variant } from "@/core/design/variant";
import { db, type StoredVariant, type VariantRecord } from "./db";
import { freeName } from "./knives";
import { type Damaged, readVariantRecord, sealed } from "./reading";
import { ready, watched } from "./storage";

/** Variants whose last state could not be written: what is asked for is taken from here first. */
const unwritten = new Map<string, VariantRecord>();

export function unwrittenVariants(): readonly StoredVariant[] {
  return [...unwritten.values()].map(stored);
}

function stored(variant: VariantRecord): StoredVariant {
  return { ...variant, ...sealed(variant.design) };
}

const byAge = (a: VariantRecord, b: VariantRecord) => a.createdAt - b.createdAt;

/** Some variants as they are read, with those that wait in memory in their places, the oldest first. */
async function readAll(rows: readonly StoredVariant[], mine: readonly VariantRecord[]) {
  const readings = await Promise.all(rows.filter((r) => !unwritten.has(r.id)).map(readVariantRecord));
  const records = readings.flatMap((r) => (r.ok ? [r.record] : []));
  const damaged = readings.flatMap((r): Damaged[] => (r.ok ? [] : [r.damaged]));
  return { records: [...records, ...mine].sort(byAge), damaged };
}

/** The variants of a knife: those that can be read, the oldest first, and those that cannot. */
export async function allVariantsOf(
  knifeId: string,
): Promise<{ readonly records: readonly VariantRecord[]; readonly damaged: readonly Damaged[] }> {
  const rows = await db.variants.where("knifeId").equals(knifeId).toArray();
  return readAll(
    rows,
    [...unwritten.values()].filter((v) => v.knifeId === knifeId),
  );
}

/** The variants of a knife that can be read, the oldest first. */
export async function variantsOf(knifeId: string): Promise<readonly VariantRecord[]> {
  return (await allVariantsOf(knifeId)).records;
}

/** Every variant that can be read, the oldest first. */
export async function readableVariants(): Promise<readonly VariantRecord[]> {
  return (await readAll(await db.variants.toArray(), [...unwritten.values()])).records;
}

/** Puts variants as they are; where the database fails they are kept in memory, and tried again. */
async function putAll(records: readonly VariantRecord[]): Promise<void> {
  for (const record of records) unwritten.set(record.id, record);
  await Promise.all(
    records.map(({ id, name }) =>
      watched(`variant ${id}`, name, async () => {
        const latest = unwritten.get(id);
        if (latest) await db.variants.put(stored(latest));
        if (unwritten.get(id) === latest) unwritten.delete(id);
      }),
    ),
  );
}

/** Changes a variant that can be read; one that is gone stays gone. */
async function change(id: string, by: Partial<VariantRecord>): Promise<void> {
  await ready();
  const row = await db.variants.get(id);
  const reading = row && (await readVariantRecord(row));
  const record = unwritten.get(id) ?? (reading?.ok ? reading.record : undefined);
  if (record) await putAll([{ ...record, ...by }]);
}

/** Changes a variant by a function of its design. */
export async function changeVariantDesign(id: string, by: (design: Design) => Design): Promise<void> {
  await ready();
  const row = await db.variants.get(id);
  const reading = row && (await readVariantRecord(row));
  const now = unwritten.get(id)?.design ?? (reading?.ok ? reading.record.design : undefined);
  if (now) await change(id, { design: by(now) });
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
  const { records: there, damaged } = await allVariantsOf(knifeId);
  const room = MOST_VARIANTS - there.length - damaged.length;
  if (variants.length > room) return { ok: false, room };
  const taken = there.map((v) => v.name);
  const from = Math.max(Date.now(), ...there.map((v) => v.createdAt + 1));
  const added = variants.map(({ name, design }, i): VariantRecord => {
    const free = freeName(name.slice(0, 80), taken);
    taken.push(free);
    return { id: nanoid(12), knifeId, name: free, design, createdAt: from + i };
  });
  await putAll(added);
  return { ok: true, added };
}

export const renameVariant = (id: string, name: string): Promise<void> => change(id, { name });

/** Puts another making in the place of one that was kept. */
export const replaceVariant = (id: string, design: Design): Promise<void> => change(id, { design });

/** Takes a variant away and gives it back, so that it can be put back. Throws, and takes nothing, where the database does. */
export async function removeVariant(id: string): Promise<StoredVariant | undefined> {
  const mine = unwritten.get(id);
  const gone = await db.transaction("rw", db.variants, async () => {
    const row = await db.variants.get(id);
    await db.variants.delete(id);
    return mine ? stored(mine) : row;
  });
  unwritten.delete(id);
  return gone;
}

/** Puts variants back as they were. */
export async function restoreVariants(records: readonly StoredVariant[]): Promise<void> {
  await db.variants.bulkPut([...records]);
}
