import { nanoid } from "nanoid";
import type { Design } from "@/core/design/schema";
import { db, type KnifeRecord, type Reference, type StoredKnife } from "./db";
import { NO_STEPS, type StepChanges } from "./history";
import { learnMaterials } from "./ownMaterials";
import { type Damaged, type Reading, readKnifeRecord, readReference, sealed } from "./reading";
import { giveUpWaiting, ready, watched } from "./storage";

export type WriteResult =
  | { readonly ok: true; readonly record: KnifeRecord }
  | { readonly ok: false; readonly code: "changed-elsewhere"; readonly theirs: KnifeRecord }
  | { readonly ok: false; readonly code: "deleted" }
  /** What another tab wrote there cannot be read by this one: it is of a newer Euaxis, or damaged. */
  | { readonly ok: false; readonly code: "unreadable"; readonly damaged: Damaged };

/**
 * Knives whose last state could not be written, as they are: what is asked for is taken from here first, so that work
 * goes on with them while the database fails.
 */
const unwritten = new Map<string, KnifeRecord>();
/** Those of them that never were in the database: that they are not there does not mean that another tab deleted them. */
const neverWritten = new Set<string>();

function stored({ design, reference, ...rest }: KnifeRecord): StoredKnife {
  return { ...rest, ...sealed(design), saved: reference && { ...reference, ...sealed(reference.design) } };
}

/** A change on the rack gives way to other tabs so often. */
const MOST_TRIES = 20;

/** A knife, or why it cannot be read; undefined where there is none. */
export async function getKnife(id: string): Promise<Reading<KnifeRecord> | undefined> {
  const mine = unwritten.get(id);
  if (mine) return { ok: true, record: mine };
  const found = await db.knives.get(id);
  return found && readKnifeRecord(found);
}

/** The same with what lies in the database, for whoever goes on from there; nothing lies there of one that waits in memory. */
export async function openKnife(
  id: string,
): Promise<{ readonly reading: Reading<KnifeRecord>; readonly stored: StoredKnife | null } | undefined> {
  const mine = unwritten.get(id);
  if (mine) return { reading: { ok: true, record: mine }, stored: null };
  const found = await db.knives.get(id);
  return found && { reading: await readKnifeRecord(found), stored: found };
}

/** Knives whose last state waits in memory, as they would be written. */
export function unwrittenKnives(): readonly StoredKnife[] {
  return [...unwritten.values()].map(stored);
}

/** Every knife that can be read, the oldest first. */
export async function readableKnives(): Promise<KnifeRecord[]> {
  const readings = await Promise.all((await db.knives.toArray()).map(readKnifeRecord));
  const records = readings.flatMap((r) => (r.ok && !unwritten.has(r.record.id) ? [r.record] : []));
  return [...records, ...unwritten.values()].sort((a, b) => a.createdAt - b.createdAt);
}

/** Ids of all knives, the oldest first; those that do not say when they were made come last, and none is left out. */
export async function knifeIds(): Promise<string[]> {
  const [all, dated] = await Promise.all([
    db.knives.toCollection().primaryKeys(),
    db.knives.orderBy("createdAt").primaryKeys(),
  ]);
  const inOrder = new Set(dated);
  const rest = all.filter((id) => !inOrder.has(id));
  return [...dated, ...rest, ...[...unwritten.keys()].filter((id) => !inOrder.has(id) && !rest.includes(id))];
}

/** Names of all knives. Read off an index: no design is fetched for it. */
export async function takenNames(): Promise<string[]> {
  const names = (await db.knives.orderBy("design.name").keys()).map(String);
  return [...names, ...[...unwritten.values()].map((k) => k.design.name)];
}

/** Puts a record as it is; where the database fails it is kept in memory, and tried again. */
export async function putRecord(record: KnifeRecord): Promise<void> {
  unwritten.set(record.id, record);
  await watched(`knife ${record.id}`, record.design.name, async () => {
    const latest = unwritten.get(record.id);
    if (latest) await db.knives.put(stored(latest));
    neverWritten.delete(record.id);
    if (unwritten.get(record.id) === latest) unwritten.delete(record.id);
  });
}

/** Whether a knife's last state waits in memory. */
export function isUnwritten(id: string): boolean {
  return unwritten.has(id);
}

/** Keeps a knife in memory whose last state could not be written, for when it is opened again in this tab. */
export function holdUnwritten(record: KnifeRecord): void {
  unwritten.set(record.id, record);
}

/** Lets go of what waits in memory of a knife: something else stands now. */
export function letGo(id: string): void {
  unwritten.delete(id);
  neverWritten.delete(id);
  giveUpWaiting(`knife ${id}`);
}

/** Adds a knife and gives its record back; what it is made of that the list of own materials lacks comes into it. It is there to work with, whether or not it could be written at once. */
export async function addKnife(design: Design, createdAt = Date.now()): Promise<KnifeRecord> {
  const record: KnifeRecord = {
    id: nanoid(12),
    design,
    revision: 1,
    createdAt,
    updatedAt: createdAt,
    reference: null,
  };
  neverWritten.add(record.id);
  await putRecord(record);
  await learnMaterials(design.materials);
  return record;
}

/**
 * Replaces a knife's design if nobody wrote since `baseRevision`; otherwise changes nothing and answers what is
 * there now. `reference`, when given, replaces the reference too; `steps` are those of its history that changed. Throws
 * where the database does.
 */
export async function writeDesign(
  id: string,
  design: Design,
  baseRevision: number,
  reference?: Reference | null,
  steps: StepChanges = NO_STEPS,
): Promise<WriteResult> {
  await ready();
  const mine = unwritten.get(id);
  const sealedDesign = sealed(design);
  const written = await db.transaction("rw", db.knives, db.steps, async () => {
    const now = await db.knives.get(id);
    if (!now && !neverWritten.has(id)) return { code: "deleted" } as const;
    if (now && now.revision !== baseRevision) return { code: "changed-elsewhere", theirs: now } as const;
    const record: StoredKnife = {
      id,
      createdAt: now?.createdAt ?? mine?.createdAt ?? Date.now(),
      ...sealedDesign,
      revision: baseRevision + 1,
      updatedAt: Date.now(),
      saved:
        reference === undefined
          ? (now?.saved ?? null)
          : reference && { ...reference, ...sealed(reference.design) },
    };
    await db.knives.put(record);
    await db.steps.bulkDelete(steps.drop.map((at): [string, number] => [id, at]));
    await db.steps.bulkPut(steps.put.map((s) => ({ ...s, knifeId: id })));
    return { code: "written", record } as const;
  });
  if (written.code === "deleted") return { ok: false, code: "deleted" };
  if (written.code === "written") {
    unwritten.delete(id);
    neverWritten.delete(id);
    return {
      ok: true,
      record: { ...written.record, design, reference: await readReference(written.record.saved) },
    };
  }
  const reading = await readKnifeRecord(written.theirs);
  if (!reading.ok) return { ok: false, code: "unreadable", damaged: reading.damaged };
  return { ok: false, code: "changed-elsewhere", theirs: reading.record };
}

/** Changes one knife by a function of its design, whatever its revision: for the Rack, which holds no session. */
export async function changeDesign(id: string, change: (design: Design) => Design): Promise<void> {
  const reading = await getKnife(id);
  if (!reading?.ok) return;
  const { record } = reading;
  const next: KnifeRecord = { ...record, design: change(record.design), updatedAt: Date.now() };
  unwritten.set(id, next);
  await watched(`knife ${id}`, next.design.name, async () => {
    let { design, revision } = unwritten.get(id) ?? next;
    for (let tries = 0; tries < MOST_TRIES; tries++) {
      const result = await writeDesign(id, design, revision);
      if (result.ok) return;
      if (result.code !== "changed-elsewhere") break;
      // Another tab was quicker: the change is made to what it wrote.
      design = change(result.theirs.design);
      revision = result.theirs.revision;
    }
    unwritten.delete(id);
  });
}

/** Removes a knife from the rack into the bin, with all that belongs to it. False where it could not be written. */
export async function removeKnife(id: string): Promise<boolean> {
  const mine = unwritten.get(id);
  const removed = await watched(`removal ${id}`, "the removal of a knife", async () => {
    await db.transaction("rw", [db.knives, db.variants, db.steps, db.figures, db.bin], async () => {
      // The last state goes into the bin, be it written or not.
      const knife = mine ? stored(mine) : await db.knives.get(id);
      if (!knife) return;
      const variants = await db.variants.where("knifeId").equals(id).toArray();
      const steps = await db.steps.where("knifeId").equals(id).toArray();
      await db.bin.put({ id, deletedAt: Date.now(), knife, variants, steps });
      await db.knives.delete(id);
      await db.variants.bulkDelete(variants.map((v) => v.id));
      await db.steps.where("knifeId").equals(id).delete();
      await db.figures.delete(id);
    });
  });
  // A removal is not done behind the maker's back, minutes later.
  if (!removed) giveUpWaiting(`removal ${id}`);
  else letGo(id);
  return removed;
}

/** Puts a knife back from the bin as it was. False where it is not there, or could not be written. */
export async function restoreKnife(id: string): Promise<boolean> {
  let found = false;
  const written = await watched(`restoring ${id}`, "a knife from the bin", async () => {
    await db.transaction("rw", [db.knives, db.variants, db.steps, db.bin], async () => {
      const kept = await db.bin.get(id);
      found = kept !== undefined;
      if (!kept) return;
      await db.knives.put(kept.knife);
      await db.variants.bulkPut([...kept.variants]);
      await db.steps.bulkPut([...kept.steps]);
      await db.bin.delete(id);
    });
  });
  if (!written) giveUpWaiting(`restoring ${id}`);
  return written && found;
}

/** A name not yet taken: "Parer", "Parer 2", "Parer 3" … within 80 characters. */
export function freeName(wanted: string, taken: readonly string[]): string {
  if (!taken.includes(wanted)) return wanted;
  const stem = wanted.replace(/ \d+$/, "").slice(0, 74);
  let n = 2;
  while (taken.includes(`${stem} ${n}`)) n++;
  return `${stem} ${n}`;
}
