import { nanoid } from "nanoid";
import type { ProductDesign } from "@/core/knife/design/product";
import { MOST_VARIANTS, type Variant } from "@/core/knife/design/variant";
import { putBack } from "./bin";
import { followedReading } from "./followed";
import { keptTable, type Removed } from "./keptTable";
import { freeName } from "./knives";
import { ownSince } from "./ownSince";
import { type Damaged, readVariantRecord, sealed } from "./reading";
import type { StoredVariant, VariantRecord } from "./rows";
import { ready } from "./storage";
import { VARIANTS } from "./tables/variants";

const table = keptTable<StoredVariant>(VARIANTS);

const byAge = (a: VariantRecord, b: VariantRecord) => a.createdAt - b.createdAt;

const readVariant = async (row: StoredVariant) => followedReading(await readVariantRecord(row));

/** Some variants as they are read, the oldest first. */
async function readAll(rows: readonly StoredVariant[]) {
  const readings = await Promise.all(rows.map(readVariant));
  const records = readings.flatMap((r) => (r.ok ? [r.record] : []));
  const damaged = readings.flatMap((r): Damaged[] => (r.ok ? [] : [r.damaged]));
  return { records: records.sort(byAge), damaged };
}

/** The variants of a knife: those that can be read, the oldest first, and those that cannot. */
export async function allVariantsOf(
  knifeId: string,
): Promise<{ readonly records: readonly VariantRecord[]; readonly damaged: readonly Damaged[] }> {
  return readAll(await table.rowsWhere("knifeId", knifeId));
}

/** The variants of a knife that can be read, the oldest first. */
export async function variantsOf(knifeId: string): Promise<readonly VariantRecord[]> {
  return (await allVariantsOf(knifeId)).records;
}

/** Every variant that can be read, the oldest first. */
export async function readableVariants(): Promise<readonly VariantRecord[]> {
  return (await readAll(await table.rows())).records;
}

const since = ownSince(
  ({ name, design }: VariantRecord): Partial<StoredVariant> => ({ name, ...sealed(design) }),
);

/**
 * Changes a variant that can be read; one that is gone stays gone. `seen` is the state that the change was made from: what
 * another tab wrote since is not lost.
 */
async function change(id: string, by: Partial<StoredVariant>, seen?: VariantRecord): Promise<void> {
  await ready();
  const there = await table.row(id);
  if (!there || !(await readVariant(there)).ok) return;
  const from = seen && since.from(seen);
  if (seen && from) since.note(seen, { ...from, ...by });
  const saved = await table.change(id, (now) => {
    const base = now && (from ? { ...now, ...from } : now);
    return base ? { base, row: { ...base, ...by } } : null;
  });
  if (seen && !saved.ok) since.forget(seen);
}

/** Changes a variant by a function of its design. */
export async function changeVariantDesign(
  id: string,
  by: (design: ProductDesign) => ProductDesign,
): Promise<void> {
  const now = await table.row(id);
  const reading = now && (await readVariant(now));
  if (reading?.ok) await change(id, sealed(by(reading.record.design)));
}

/**
 * Keeps variants beside a knife, each under a name that is free there. Keeps none of them, and says how many may be
 * kept, where there would be too many.
 */
export async function addVariants<D extends ProductDesign>(
  knifeId: string,
  variants: readonly Variant<D>[],
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
  await Promise.all(added.map((v) => table.save(null, { ...v, ...sealed(v.design), revision: 1 })));
  return { ok: true, added };
}

export const renameVariant = (id: string, name: string, seen?: VariantRecord): Promise<void> =>
  change(id, { name }, seen);

/** Puts another making in the place of one that was kept. */
export const replaceVariant = (id: string, design: ProductDesign, seen?: VariantRecord): Promise<void> =>
  change(id, sealed(design), seen);

/** Takes a variant away into the bin. */
export const removeVariant = (id: string): Promise<Removed> => table.remove(id);

/** Puts variants back from the bin by the ids of their items. False where one was not. */
export async function restoreVariants(binIds: readonly string[]): Promise<boolean> {
  const answers = [];
  for (const id of binIds) answers.push(await putBack(id));
  return answers.every((a) => a.ok);
}
