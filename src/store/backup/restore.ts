import type { Table } from "dexie";
import { nanoid } from "nanoid";
import { own } from "@/core/base/own";
import { sameData } from "@/core/base/sameData";
import type { BackupFailure } from "@/core/exchange/files/backup/format";
import { BackupRefused } from "@/core/exchange/files/backup/format";
import { readBackup } from "@/core/exchange/files/backup/read";
import { db, primaryKeyOf, tableNamed } from "../db";
import { pictureIdOf, pictureOf } from "../pictureOf";
import type { PictureRecord, RowFate, StagedRow } from "../rows";
import { picturesOf, specOf } from "../tables/list";
import { content, type Row, revisionOf, type TableSpec } from "../tables/spec";
import type { TellStep } from "./save";
import { backedUpTables } from "./source";

/** What restoring a backup would do. Nothing is changed by asking. */
export interface RestorePlan {
  /** The rows wait under this name. */
  readonly run: string;
  readonly made: string;
  readonly tables: readonly TablePlan[];
  readonly pictures: number;
}

export interface TablePlan {
  readonly name: string;
  readonly fates: Readonly<Record<RowFate, number>>;
  /** What has a name, for the preview: the first of each table. */
  readonly named: readonly { readonly name: string; readonly fate: RowFate; readonly newer: boolean }[];
}

export type Checked = ({ readonly ok: true } & { readonly plan: RestorePlan }) | BackupFailure;

/** Names of one table in the preview at most. */
const MOST_NAMED = 500;
/** Rows that are laid by, or compared, at a time. */
const BATCH = 50;
/** What was laid by for a restore, or to undo one, rests so long, ms. */
const REST_MS = 24 * 3600 * 1000;

/** Reads a backup, checks every row and picture of it, and lays the rows by. Nothing that is kept is changed. */
export async function checkBackup(file: Blob, tell: TellStep = () => undefined): Promise<Checked> {
  await dropOldRuns();
  const run = `${Date.now()} ${nanoid(8)}`;
  const tables = new Map(backedUpTables().map((spec) => [spec.name, new TableCheck(spec, run)]));
  const fromRows: string[] = [];
  const inFile = new Set<string>();
  const onRack = new Set(await db.knives.toCollection().primaryKeys());
  const wanted = new Map<string, { check: TableCheck; row: Row }[]>();
  let n = 0;
  try {
    const reading = await readBackup(file, {
      row: async (name, row) => {
        const check = tables.get(name);
        // A table of a newer Euaxis is none of ours.
        if (!check) return;
        const pictures: PictureRecord[] = [];
        const { upgrade } = check.spec;
        const upgraded = upgrade
          ? upgrade(row, (bytes, type) => {
              const picture = pictureOf(bytes, type);
              pictures.push(picture);
              return picture.id;
            })
          : row;
        if (pictures.length > 0) {
          // A picture that nothing refers to is collected again.
          await db.pictures.bulkPut(pictures);
          fromRows.push(...pictures.map((p) => p.id));
        }
        for (const id of picturesOf(check.spec, upgraded)) {
          const users = wanted.get(id) ?? [];
          users.push({ check, row: upgraded });
          wanted.set(id, users);
        }
        await check.take(upgraded, n++, onRack);
      },
      picture: async (picture, data) => {
        const bytes = new Uint8Array(await data.arrayBuffer());
        if (pictureIdOf(bytes) !== picture.id)
          throw new BackupRefused({ ok: false, code: "damaged", file: picture.id });
        inFile.add(picture.id);
      },
      tell: (done) => tell({ doing: "reading", done }),
    });
    if (!reading.ok) {
      await dropRun(run);
      return reading;
    }
    for (const check of tables.values()) await check.flush();
    // A row whose picture is nowhere cannot be shown.
    const here = new Set([...inFile, ...fromRows]);
    for (const [id, users] of wanted)
      if (!here.has(id) && !(await db.pictures.where("id").equals(id).count()))
        for (const { check, row } of users) await check.spoil(row);
    const plans = [...tables.values()].map((check) => check.plan());
    return {
      ok: true,
      plan: { run, made: reading.made, tables: plans, pictures: inFile.size + fromRows.length },
    };
  } catch (error) {
    await dropRun(run).catch(() => undefined);
    if (error instanceof BackupRefused) return error.failure;
    throw error;
  }
}

/** Checks the rows of one table as they come, and lays them by in batches. */
class TableCheck {
  private readonly fates: Record<RowFate, number> = { new: 0, changed: 0, same: 0, unreadable: 0 };
  private readonly named: TablePlan["named"][number][] = [];
  private readonly seen = new Set<string>();
  private batch: { row: Row; n: number; back: boolean }[] = [];

  constructor(
    readonly spec: TableSpec,
    private readonly run: string,
  ) {}

  async take(row: Row, n: number, onRack: ReadonlySet<string>): Promise<void> {
    // What is on the rack is not thrown into the bin by a backup of when it lay there.
    const back = this.spec.name === "bin" && row.from === "knives" && onRack.has(String(row.id));
    this.batch.push({ row, n, back });
    if (this.batch.length >= BATCH) await this.flush();
  }

  async flush(): Promise<void> {
    const { spec } = this;
    const batch = this.batch;
    this.batch = [];
    if (batch.length === 0) return;
    const keyed = batch.map((b) => ({ ...b, key: spec.keyOf(b.row) }));
    const table = tableNamed<Row>(spec.name);
    const there = await table.bulkGet(
      keyed.map(({ row, key }) => (key === null ? "" : primaryKeyOf(spec.name, row))),
    );
    const staged: StagedRow[] = [];
    for (const [i, { row, n, key, back }] of keyed.entries()) {
      const here = key === null ? undefined : there[i];
      const sound = key !== null && !this.seen.has(key);
      if (key !== null) this.seen.add(key);
      const readable = sound && (await spec.readable(row));
      const same = spec.same ?? ((a, b) => sameData(content(a), content(b)));
      const fate: RowFate = !readable
        ? "unreadable"
        : back
          ? "same"
          : !here
            ? "new"
            : same(row, here)
              ? "same"
              : "changed";
      const newer = when(row) > when(here);
      this.fates[fate]++;
      const name = spec.nameOf(row);
      if (name !== null && this.named.length < MOST_NAMED) this.named.push({ name, fate, newer });
      if (fate !== "unreadable")
        staged.push({
          run: this.run,
          n,
          table: spec.name,
          row,
          key: primaryKeyOf(spec.name, row),
          fate,
          newer,
        });
    }
    await db.staging.bulkPut(staged);
  }

  /** A row that came turns out not to be readable. */
  async spoil(row: Row): Promise<void> {
    const found = await db.staging
      .where("run")
      .equals(this.run)
      .filter((s) => s.table === this.spec.name && this.spec.keyOf(s.row ?? {}) === this.spec.keyOf(row))
      .first();
    if (!found) return;
    this.fates[found.fate]--;
    this.fates.unreadable++;
    await db.staging.delete([found.run, found.n]);
  }

  plan(): TablePlan {
    return { name: this.spec.name, fates: { ...this.fates }, named: this.named };
  }
}

const when = (row: Row | undefined) => Number(row?.updatedAt ?? row?.createdAt ?? 0) || 0;

export type RestoreManner =
  /** What is new comes in; nothing that is here is changed. */
  | "only-new"
  /** What is new comes in; of what differs the newer stays. */
  | "merge-newer"
  /** What is new comes in; what differs becomes as the backup has it. */
  | "merge-backup"
  /** Everything here goes, and the backup's content takes its place. */
  | "replace";

function takes({ fate, newer }: StagedRow, manner: RestoreManner): boolean {
  if (fate === "new") return true;
  if (fate === "changed")
    return manner === "replace" || manner === "merge-backup" || (manner === "merge-newer" && newer);
  return fate === "same" && manner === "replace";
}

/**
 * Takes in what was laid by, all or none: first the pictures, which change nothing by themselves, then every row in one
 * transaction. Answers the run that undoes it. Throws where the database does.
 */
export async function restoreBackup(
  run: string,
  file: Blob,
  manner: RestoreManner,
  tell: TellStep = () => undefined,
): Promise<string> {
  const reading = await readBackup(file, {
    row: () => undefined,
    picture: async ({ id, type }, data) => {
      if ((await db.pictures.where("id").equals(id).count()) > 0) return;
      await db.pictures.put({ id, type, data, createdAt: Date.now() });
    },
    tell: (done) => tell({ doing: "photos", done }),
  });
  if (!reading.ok) throw new Error("the file changed while it was read");
  const undo = `${Date.now()} ${nanoid(8)}`;
  tell({ doing: "restoring", done: 0 });
  await db.transaction("rw", [...restored(), db.figures, db.staging], async () => {
    const change = changing(undo);
    const staged = () => db.staging.where("run").equals(run);
    const total = Math.max(1, await staged().count());
    const keys = await staged().primaryKeys();
    // What belongs together to a knife that comes in comes with it, in place of what was there.
    const owners = new Set<string>();
    for (let i = 0; i < keys.length; i += BATCH)
      for (const s of await db.staging.bulkGet(keys.slice(i, i + BATCH)))
        if (s?.table === "knives" && takes(s, manner)) owners.add(String(s.key));
    for (const spec of backedUpTables()) {
      const table = tableNamed<Row>(spec.name);
      const { ownedBy } = spec;
      if (manner === "replace")
        for (const key of await table.toCollection().primaryKeys()) await change(spec, key, null);
      else if (ownedBy?.together)
        for (const owner of owners)
          for (const key of await table.where(ownedBy.field).equals(owner).primaryKeys())
            await change(spec, key, null);
    }
    for (let i = 0; i < keys.length; i += BATCH) {
      for (const s of await db.staging.bulkGet(keys.slice(i, i + BATCH))) {
        const spec = s && specOf(s.table);
        if (!s?.row || !spec) continue;
        const comes = spec.ownedBy?.together
          ? owners.has(String(own(s.row, spec.ownedBy.field)))
          : takes(s, manner);
        if (comes) await change(spec, s.key, s.row);
      }
      tell({ doing: "restoring", done: Math.min(1, i / total) });
    }
    await db.figures.clear();
    await staged().delete();
  });
  return undo;
}

/** Puts everything back as it was before a restore. Throws where the database does, and changes nothing then. */
export async function undoRestore(undo: string): Promise<void> {
  await db.transaction("rw", [...restored(), db.figures, db.staging], async () => {
    const keys = await db.staging.where("run").equals(undo).primaryKeys();
    if (keys.length === 0) throw new Error("what stood here before is not at hand any more");
    for (const key of keys.reverse()) {
      const s = await db.staging.get(key);
      const spec = s && specOf(s.table);
      if (!s || !spec) continue;
      const table = tableNamed<Row>(s.table);
      const now = await table.get(s.key as never);
      if (s.row === null) await table.delete(s.key as never);
      else await table.put(goingOn(s.row, now));
    }
    await db.staging.where("run").equals(undo).delete();
    await db.figures.clear();
  });
}

const restored = (): Table[] => backedUpTables().map((spec) => tableNamed(spec.name));

/** Within a transaction: writes or deletes rows, and lays by what stood there, once for each. */
function changing(undo: string) {
  let n = 0;
  const before = new Map<string, Row | undefined>();
  return async (spec: TableSpec, key: unknown, row: Row | null): Promise<void> => {
    const table = tableNamed<Row>(spec.name);
    const name = `${spec.name} ${JSON.stringify(key)}`;
    const now = await table.get(key as never);
    if (!before.has(name)) {
      before.set(name, now && ({ revision: now.revision } as Row));
      const staged = {
        run: undo,
        n: n++,
        table: spec.name,
        row: now ?? null,
        key,
        fate: "same",
        newer: false,
      } as const;
      await db.staging.put(staged);
    }
    if (row === null) await table.delete(key as never);
    else await table.put(goingOn(row, now ?? before.get(name)));
  };
}

/** A row that takes another's place goes on counting from it, so that other tabs see the change. */
function goingOn(row: Row, now: Row | undefined): Row {
  // Steps of undo are not counted.
  if (row.revision === undefined && now?.revision === undefined) return row;
  const least = now === undefined ? 1 : revisionOf(now) + 1;
  return { ...row, revision: Math.max(revisionOf(row), least) };
}

/** Forgets what was laid by for a restore that is not done. */
export async function dropRun(run: string): Promise<void> {
  await db.staging.where("run").equals(run).delete();
}

async function dropOldRuns(now = Date.now()): Promise<void> {
  const runs = (await db.staging.orderBy("run").uniqueKeys()).map(String);
  for (const run of runs) if (!(Number(run.split(" ")[0]) > now - REST_MS)) await dropRun(run);
}
