import type { Table } from "dexie";
import { nanoid } from "nanoid";
import { own } from "@/core/base/own";
import { noteConflict } from "./conflicts";
import { db, primaryKeyOf, tableNamed } from "./db";
import type { BinReason, BinRecord, PictureRecord } from "./rows";
import { giveUpWaiting, ready, writeWithRetry } from "./storage";
import { ownedTables } from "./tables/list";
import { type Row, revisionOf, type TableSpec } from "./tables/spec";
import { threeWay } from "./threeWay";
import { inTurn } from "./turns";
import {
  heldPicture,
  hold,
  holdPicture,
  release,
  type Unwritten,
  unwrittenIn,
  withUnwritten,
  written,
} from "./unwritten";

/** What became of a row that was saved. */
export type Saved<S = Row> =
  /** `waits`: the database did not take it; it is held in memory and tried again. */
  | { readonly ok: true; readonly row: S; readonly waits: boolean }
  /** Another tab changed the same; only where that was to be asked. Nothing is changed. */
  | { readonly ok: false; readonly code: "changed-elsewhere"; readonly theirs: S }
  | { readonly ok: false; readonly code: "deleted" };

export interface SaveOptions {
  /**
   * Where another tab changed the same field: "ask" changes nothing and answers with the other's state; "keep-both" writes
   * this one, puts the other's into the bin, and tells of it.
   */
  readonly onClash?: "ask" | "keep-both";
  /** Pictures that the row refers to. */
  readonly pictures?: readonly PictureRecord[];
}

/** The key under which a row's failed write waits. */
export const waitingKey = (spec: TableSpec, key: string) => `${spec.name} ${key}`;

/** What a row is called in a notice. */
export const calledIn = (spec: TableSpec, row: Row): string => spec.nameOf(row) ?? `the ${spec.called.one}`;

/** Everything that is kept of one kind: rows in, rows out, none of it checked. `S` is the row as it lies in the database. */
export function keptTable<S extends object>(spec: TableSpec) {
  const table = () => tableNamed<Row>(spec.name);
  return {
    spec,
    /**
     * A row by its primary key, the unwritten one first. The database is asked all the same: a live query that did not
     * ask it would not be followed any more.
     */
    row: async (key: string): Promise<S | undefined> => {
      const held = () => unwrittenIn(spec.name).get(key)?.row;
      const asked = table().get(key);
      const stored = await asked.catch((error: unknown) => {
        if (!held()) throw error;
        return undefined;
      });
      return (held() ?? stored) as S | undefined;
    },
    /** Every row, with those that are not written in their places. */
    rows: async (): Promise<readonly S[]> =>
      withUnwritten(spec, await table().toArray()) as unknown as readonly S[],
    /** The rows whose index has a value. */
    rowsWhere: async (index: string, value: string): Promise<readonly S[]> => {
      const rows = await table().where(index).equals(value).toArray();
      return withUnwritten(spec, rows).filter((row) => own(row, index) === value) as unknown as readonly S[];
    },
    /** Saves a row that was made from `base`, null of a new one: what another tab changed meanwhile is merged with it. */
    save: (base: S | null, mine: S, options: SaveOptions = {}) =>
      save(spec, base as Row | null, mine as Row, options) as Promise<Saved<S>>,
    /** Changes a row by a function of what is there: what it becomes, and from which state. Null changes nothing. */
    change: async (
      key: string,
      by: (now: S | undefined) => { readonly base: S | null; readonly row: S } | null,
    ): Promise<Saved<S>> => {
      await ready();
      // Two changes at once: the second begins from what the first is about to write.
      const saving = await inTurn(`change ${waitingKey(spec, key)}`, async () => {
        const now =
          unwrittenIn(spec.name).get(key)?.row ??
          (await table()
            .get(key)
            .catch(() => undefined));
        const next = by(now as S | undefined);
        return { saved: next && save(spec, next.base as Row | null, next.row as Row, {}) };
      });
      return ((await saving.saved) ?? { ok: false, code: "deleted" }) as Saved<S>;
    },
    /** Takes a row away into the bin, with all that belongs to it. */
    remove: (key: string) => removeToBin(spec, key),
  };
}

export type KeptTable<S extends object> = ReturnType<typeof keptTable<S>>;

async function save(
  spec: TableSpec,
  base: Row | null,
  mine: Row,
  { onClash = "keep-both", pictures = [] }: SaveOptions,
): Promise<Saved> {
  const key = spec.keyOf(mine);
  if (key === null) throw new Error(`a row of ${spec.name} without a key`);
  for (const picture of pictures) holdPicture(picture);
  // What waits already is changed further, not replaced.
  const waits = unwrittenIn(spec.name).get(key);
  hold(spec.name, key, waits ? threeWay(base ?? {}, mine, waits.row, spec.atoms).row : mine, base);
  let saved: Saved = { ok: true, row: mine, waits: true };
  let first = true;
  // One write at a time: each goes on from what the last one left.
  const write = () =>
    inTurn(waitingKey(spec, key), async () => {
      // What came later has been held in its place and is written by whoever was first, or something else stands by now.
      const held = unwrittenIn(spec.name).get(key);
      if (!held) {
        saved = { ok: true, row: mine, waits: false };
        return;
      }
      const policy = first ? onClash : "keep-both";
      first = false;
      saved = await writeOnto(spec, held, policy);
      if (saved.ok) written(spec.name, key, held, saved.row);
      else if (unwrittenIn(spec.name).get(key) === held) release(spec.name, key);
    });
  await writeWithRetry(waitingKey(spec, key), calledIn(spec, mine), write);
  return saved;
}

/** Writes a row onto what is there now. Throws where the database does. */
async function writeOnto(
  spec: TableSpec,
  { row: mine, base }: Unwritten,
  onClash: "ask" | "keep-both",
): Promise<Saved> {
  const table = tableNamed<Row>(spec.name);
  let conflict: Parameters<typeof noteConflict>[0] | null = null;
  const saved = await db.transaction(
    "rw",
    [table as Table, db.bin, db.pictures],
    async (): Promise<Saved> => {
      conflict = null;
      const theirs = await table.get(primaryKeyOf(spec.name, mine));
      const noted = async (row: Row, inBin: "theirs" | "mine") => {
        const binId = await putIntoBin(spec, row, "other-tab");
        conflict = { table: spec.name, what: calledIn(spec, row), inBin, binId };
      };
      if (!theirs && base !== null) {
        if (onClash === "keep-both") await noted(mine, "mine");
        return { ok: false, code: "deleted" };
      }
      const merged = theirs ? threeWay(base ?? {}, mine, theirs, spec.atoms) : { row: mine, clash: false };
      if (theirs && merged.clash) {
        if (onClash === "ask") return { ok: false, code: "changed-elsewhere", theirs };
        await noted(theirs, "theirs");
      }
      const revision = theirs ? revisionOf(theirs) + 1 : Math.max(1, revisionOf(mine));
      const row = { ...merged.row, revision, updatedAt: Date.now() };
      await putPictures(spec, row);
      await table.put(row);
      return { ok: true, row, waits: false };
    },
  );
  if (conflict) noteConflict(conflict);
  return saved;
}

/** Within a transaction: puts the pictures that a row refers to and that wait with it. */
export async function putPictures(spec: TableSpec, row: Row): Promise<void> {
  const waiting = (spec.picturesOf?.(row) ?? []).flatMap((id) => heldPicture(id) ?? []);
  if (waiting.length > 0) await db.pictures.bulkPut(waiting);
}

/** Within a transaction: puts a row by itself into the bin, and answers the item's id. */
export async function putIntoBin(spec: TableSpec, row: Row, because: BinReason): Promise<string> {
  const id = nanoid(12);
  await putPictures(spec, row);
  await db.bin.put({ id, deletedAt: Date.now(), from: spec.name, because, rows: { [spec.name]: [row] } });
  return id;
}

/** Whether a row was taken away; the item of the bin that holds it, null of one that was not there. */
export type Removed = { readonly ok: true; readonly binId: string | null } | { readonly ok: false };

/** Takes a row into the bin with all that belongs to it, whether or not it was written. */
async function removeToBin(spec: TableSpec, key: string): Promise<Removed> {
  const owned = spec.name === "knives" ? ownedTables() : [];
  const tables: Table[] = [spec, ...owned].map((s) => tableNamed(s.name));
  // A knife has one place in the bin: it is found there by its own id.
  const binId = spec.name === "knives" ? key : nanoid(12);
  let gone = false;
  const job = `removal ${waitingKey(spec, key)}`;
  const written = await writeWithRetry(job, `the removal of a ${spec.called.one}`, async () => {
    await db.transaction("rw", [...tables, db.figures, db.bin, db.pictures], async () => {
      gone = false;
      const row = unwrittenIn(spec.name).get(key)?.row ?? (await tables[0].get(key));
      if (!row) return;
      const rows: Record<string, readonly Row[]> = { [spec.name]: [row] };
      await putPictures(spec, row);
      for (const part of owned) {
        const table = tableNamed<Row>(part.name);
        const there = await table.where(part.ownedBy!.field).equals(key).toArray();
        const latest = withUnwritten(part, there).filter((r) => own(r, part.ownedBy!.field) === key);
        for (const r of latest) await putPictures(part, r);
        rows[part.name] = latest;
        await table.bulkDelete(there.map((r) => primaryKeyOf(part.name, r)));
      }
      const item: BinRecord = { id: binId, deletedAt: Date.now(), from: spec.name, because: "deleted", rows };
      await db.bin.put(item);
      await tables[0].delete(key);
      if (spec.name === "knives") await db.figures.delete(key);
      gone = true;
    });
  });
  // A removal is not done behind the maker's back, minutes later.
  if (!written) {
    giveUpWaiting(job);
    return { ok: false };
  }
  letGoOf(spec, key);
  for (const part of owned)
    for (const [k, { row }] of unwrittenIn(part.name))
      if (own(row, part.ownedBy!.field) === key) letGoOf(part, k);
  return { ok: true, binId: gone ? binId : null };
}

/** Forgets what waits of a row: something else stands now. */
export function letGoOf(spec: TableSpec, key: string): void {
  release(spec.name, key);
  giveUpWaiting(waitingKey(spec, key));
}
