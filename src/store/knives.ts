import { nanoid } from "nanoid";
import type { Design } from "@/core/design/schema";
import { db, type KnifeRecord, type SavedState, type VariantRecord } from "./db";

export type WriteResult =
  | { readonly ok: true; readonly record: KnifeRecord }
  | { readonly ok: false; readonly code: "changed-elsewhere"; readonly theirs: KnifeRecord }
  | { readonly ok: false; readonly code: "deleted" };

/** Adds a knife and gives its record back. */
export async function addKnife(design: Design, createdAt = Date.now()): Promise<KnifeRecord> {
  const record: KnifeRecord = {
    id: nanoid(12),
    design,
    revision: 1,
    createdAt,
    updatedAt: createdAt,
    saved: null,
  };
  await db.knives.add(record);
  return record;
}

/**
 * Replaces a knife's design if nobody wrote since `baseRevision`; otherwise changes nothing and answers what is
 * there now. `saved`, when given, replaces the saved state too.
 */
export async function writeDesign(
  id: string,
  design: Design,
  baseRevision: number,
  saved?: SavedState | null,
): Promise<WriteResult> {
  return db.transaction("rw", db.knives, async () => {
    const now = await db.knives.get(id);
    if (!now) return { ok: false, code: "deleted" };
    if (now.revision !== baseRevision) return { ok: false, code: "changed-elsewhere", theirs: now };
    const record: KnifeRecord = {
      ...now,
      design,
      revision: now.revision + 1,
      updatedAt: Date.now(),
      saved: saved === undefined ? now.saved : saved,
    };
    await db.knives.put(record);
    return { ok: true, record };
  });
}

/** Changes one knife by a function of its design, whatever its revision: for the Rack, which holds no session. */
export async function changeDesign(id: string, change: (design: Design) => Design): Promise<void> {
  await db.transaction("rw", db.knives, async () => {
    const now = await db.knives.get(id);
    if (now) {
      const record = {
        ...now,
        design: change(now.design),
        revision: now.revision + 1,
        updatedAt: Date.now(),
      };
      await db.knives.put(record);
    }
  });
}

/** A knife that was taken off the rack, with its variants. */
export interface Removed {
  readonly knife: KnifeRecord;
  readonly variants: readonly VariantRecord[];
}

/** Removes a knife with its variants and gives back what was removed, so that it can be put back. */
export async function removeKnife(id: string): Promise<Removed | undefined> {
  return db.transaction("rw", db.knives, db.variants, async () => {
    const knife = await db.knives.get(id);
    const variants = await db.variants.where("knifeId").equals(id).toArray();
    await db.knives.delete(id);
    await db.variants.bulkDelete(variants.map((v) => v.id));
    return knife && { knife, variants };
  });
}

/** Puts a removed knife back as it was. */
export async function restoreKnife({ knife, variants }: Removed): Promise<void> {
  await db.transaction("rw", db.knives, db.variants, async () => {
    await db.knives.put(knife);
    await db.variants.bulkPut([...variants]);
  });
}

/** A name not yet taken: "Parer", "Parer 2", "Parer 3" … within 80 characters. */
export function freeName(wanted: string, taken: readonly string[]): string {
  if (!taken.includes(wanted)) return wanted;
  const stem = wanted.replace(/ \d+$/, "").slice(0, 74);
  let n = 2;
  while (taken.includes(`${stem} ${n}`)) n++;
  return `${stem} ${n}`;
}
