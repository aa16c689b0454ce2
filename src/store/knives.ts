import { nanoid } from "nanoid";
import type { ProductDesign } from "@/core/knife/design/product";
import { putBack } from "./bin";
import { db } from "./db";
import { followedReading } from "./followed";
import { NO_STEPS, type StepChanges } from "./history";
import { keptTable, letGoOf, waitingKey } from "./keptTable";
import { learnMaterials } from "./ownMaterials";
import { type Damaged, nameIn, type Reading, readKnifeRecord, readReference, sealed } from "./reading";
import type { KnifeRecord, Reference, StoredKnife } from "./rows";
import { ready, writeWithRetry } from "./storage";
import { KNIVES } from "./tables/knives";
import { ownedTables } from "./tables/list";
import type { Row } from "./tables/spec";
import { hold, release, unwrittenIn, unwrittenRows } from "./unwritten";

export type WriteResult =
  | { readonly ok: true; readonly record: KnifeRecord }
  | { readonly ok: false; readonly code: "changed-elsewhere"; readonly theirs: KnifeRecord }
  | { readonly ok: false; readonly code: "deleted" }
  /** What another tab wrote there cannot be read by this one: it is of a newer Euaxis, or damaged. */
  | { readonly ok: false; readonly code: "unreadable"; readonly damaged: Damaged };

const table = keptTable<StoredKnife>(KNIVES);

/** A knife as it lies there, as the workshop that it follows is now. */
export const readKnife = async (row: StoredKnife): Promise<Reading<KnifeRecord>> =>
  followedReading(await readKnifeRecord(row));

/** What is not written of knives, by id. */
const unwritten = () => unwrittenIn(KNIVES.name);

function stored({ design, reference, ...rest }: KnifeRecord): StoredKnife {
  return { ...rest, ...sealed(design), saved: reference && { ...reference, ...sealed(reference.design) } };
}

/** Whether a knife never was in the database: that it is not there does not mean that another tab deleted it. */
const isNew = (id: string) => unwritten().get(id)?.base === null;

/** A change on the rack gives way to other tabs so often. */
const MOST_TRIES = 20;

/** A knife, or why it cannot be read; undefined where there is none. */
export async function getKnife(id: string): Promise<Reading<KnifeRecord> | undefined> {
  const found = await table.row(id);
  return found && readKnife(found);
}

/** The same with what lies in the database, for whoever goes on from there; nothing lies there of one that waits in memory. */
export async function openKnife(
  id: string,
): Promise<{ readonly reading: Reading<KnifeRecord>; readonly stored: StoredKnife | null } | undefined> {
  const found = await table.row(id);
  return found && { reading: await readKnife(found), stored: isUnwritten(id) ? null : found };
}

/** Every knife that can be read, the oldest first. */
export async function readableKnives(): Promise<KnifeRecord[]> {
  const readings = await Promise.all((await table.rows()).map(readKnife));
  return readings.flatMap((r) => (r.ok ? [r.record] : [])).sort((a, b) => a.createdAt - b.createdAt);
}

/** Ids of all knives, the oldest first; those that do not say when they were made come last, and none is left out. */
export async function knifeIds(): Promise<string[]> {
  const [all, dated] = await Promise.all([
    db.knives.toCollection().primaryKeys(),
    db.knives.orderBy("createdAt").primaryKeys(),
  ]);
  const inOrder = new Set(dated);
  const rest = all.filter((id) => !inOrder.has(id));
  return [
    ...dated,
    ...rest,
    ...[...unwritten().keys()].filter((id) => !inOrder.has(id) && !rest.includes(id)),
  ];
}

/** Names of all knives. Read off an index: no design is fetched for it. */
export async function takenNames(): Promise<string[]> {
  const names = (await db.knives.orderBy("design.name").keys()).map(String);
  return [...names, ...unwrittenRows<StoredKnife>(KNIVES.name).map(nameIn)];
}

/** Puts a record as it is, whatever lies there; where the database fails it is kept in memory, and tried again. */
export async function putRecord(record: KnifeRecord): Promise<void> {
  const { id } = record;
  hold(KNIVES.name, id, stored(record) as unknown as Row, null);
  await writeWithRetry(waitingKey(KNIVES, id), record.design.name, async () => {
    const latest = unwritten().get(id);
    if (!latest) return;
    await db.knives.put(latest.row as unknown as StoredKnife);
    if (unwritten().get(id) === latest) release(KNIVES.name, id);
  });
}

/** Whether a knife's last state waits in memory. */
export function isUnwritten(id: string): boolean {
  return unwritten().has(id);
}

/** Keeps a knife in memory whose last state could not be written, for when it is opened again in this tab. */
export function holdUnwritten(record: KnifeRecord): void {
  const row = stored(record) as unknown as Row;
  hold(KNIVES.name, record.id, row, row);
}

/** Forgets what waits in memory of a knife: something else stands now. */
export function letGo(id: string): void {
  letGoOf(KNIVES, id);
}

/** Adds a knife and gives its record back; what it is made of that the list of own materials lacks comes into it. It is there to work with, whether or not it could be written at once. */
export async function addKnife<D extends ProductDesign>(
  design: D,
  createdAt = Date.now(),
): Promise<KnifeRecord<D>> {
  const record: KnifeRecord<D> = {
    id: nanoid(12),
    design,
    revision: 1,
    createdAt,
    updatedAt: createdAt,
    reference: null,
  };
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
  design: ProductDesign,
  baseRevision: number,
  reference?: Reference | null,
  steps: StepChanges = NO_STEPS,
): Promise<WriteResult> {
  await ready();
  const mine = unwritten().get(id)?.row;
  const sealedDesign = sealed(design);
  const written = await db.transaction("rw", db.knives, db.steps, async () => {
    const now = await db.knives.get(id);
    if (!now && !isNew(id)) return { code: "deleted" } as const;
    if (now && now.revision !== baseRevision) return { code: "changed-elsewhere", theirs: now } as const;
    const record: StoredKnife = {
      id,
      createdAt: now?.createdAt ?? (Number(mine?.createdAt) || Date.now()),
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
    release(KNIVES.name, id);
    return {
      ok: true,
      record: { ...written.record, design, reference: await readReference(written.record.saved) },
    };
  }
  const reading = await readKnife(written.theirs);
  if (!reading.ok) return { ok: false, code: "unreadable", damaged: reading.damaged };
  return { ok: false, code: "changed-elsewhere", theirs: reading.record };
}

/** Changes one knife by a function of its design, whatever its revision: for the Rack, which holds no session. */
export async function changeDesign(
  id: string,
  change: (design: ProductDesign) => ProductDesign,
): Promise<void> {
  const reading = await getKnife(id);
  if (!reading?.ok) return;
  const { record } = reading;
  const next: KnifeRecord = { ...record, design: change(record.design), updatedAt: Date.now() };
  holdUnwritten(next);
  await writeWithRetry(waitingKey(KNIVES, id), next.design.name, async () => {
    const held = await getKnife(id);
    let { design, revision } = held?.ok ? held.record : next;
    for (let tries = 0; tries < MOST_TRIES; tries++) {
      const result = await writeDesign(id, design, revision);
      if (result.ok) return;
      if (result.code !== "changed-elsewhere") break;
      // Another tab was quicker: the change is made to what it wrote.
      design = change(result.theirs.design);
      revision = result.theirs.revision;
    }
    release(KNIVES.name, id);
  });
}

/** Removes a knife from the rack into the bin, with all that belongs to it. False where it could not be written. */
export async function removeKnife(id: string): Promise<boolean> {
  return (await table.remove(id)).ok;
}

/** Puts a knife back from the bin as it was. False where it is not there, or could not be written. */
export async function restoreKnife(id: string): Promise<boolean> {
  return (await putBack(id)).ok;
}

/** A copy of a knife under a free name, with copies of all that belongs to it. It is there to work with, whether or not it could be written at once. */
export async function duplicateKnife({ id, design }: KnifeRecord): Promise<KnifeRecord> {
  const copy = await addKnife({ ...design, name: freeName(design.name, await takenNames()) });
  for (const spec of ownedTables()) {
    const part = keptTable<Row>(spec);
    for (const row of await part.rowsWhere(spec.ownedBy!.field, id)) {
      const mine = spec.ownedBy!.copy(row, copy.id);
      if (mine) await part.save(null, mine);
    }
  }
  return copy;
}

/** A name not yet taken: "Parer", "Parer 2", "Parer 3" … within so many characters. */
export function freeName(wanted: string, taken: readonly string[], most = 80): string {
  if (!taken.includes(wanted)) return wanted;
  const stem = wanted.replace(/ \d+$/, "").slice(0, most - 6);
  let n = 2;
  while (taken.includes(`${stem} ${n}`)) n++;
  return `${stem} ${n}`;
}
