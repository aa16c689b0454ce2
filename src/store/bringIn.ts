import type { Table } from "dexie";
import { db, primaryKeyOf, tableNamed } from "./db";
import { ready } from "./storage";
import { specOf } from "./tables/list";
import { type Row, revisionOf, type TableSpec } from "./tables/spec";

/** A row that comes in: what it becomes from what is there. */
export interface Incoming {
  readonly spec: TableSpec;
  readonly key: string;
  /** Null leaves alone what is there. */
  readonly row: (now: Row | undefined) => Row | null;
}

export interface BroughtIn {
  /** Rows that are new or changed. */
  readonly count: number;
  /** Takes all of it out again, but what was changed since: answers how much of that stayed. */
  readonly undo: () => Promise<{ readonly kept: number }>;
}

/** Rows after which progress is reported. */
const TELL_EVERY = 25;

/**
 * Takes in many rows of any tables in one transaction, all or none. Throws where the database does, and nothing is
 * changed then.
 */
export async function bringIn(
  incoming: readonly Incoming[],
  tell: (done: number) => void = () => undefined,
): Promise<BroughtIn> {
  await ready();
  const names = [...new Set(incoming.map((i) => i.spec.name))];
  let before: { readonly table: string; readonly row: Row | undefined; readonly written: Row }[] = [];
  await db.transaction("rw", tablesOf(names), async () => {
    before = [];
    for (const [i, { spec, key, row }] of incoming.entries()) {
      const table = tableNamed<Row>(spec.name);
      const now = await table.get(key);
      const next = row(now);
      if (next !== null) {
        const revision = now ? revisionOf(now) + 1 : 1;
        const written = { ...next, revision, updatedAt: Date.now() };
        await table.put(written);
        before.push({ table: spec.name, row: now, written });
      }
      if (i % TELL_EVERY === 0) tell(i / incoming.length);
    }
  });
  const changed = before;
  return {
    count: changed.length,
    undo: async () => {
      let kept = 0;
      await db.transaction("rw", [...tablesOf(names), db.figures, db.steps], async () => {
        kept = 0;
        for (const { table: name, row, written } of [...changed].reverse()) {
          const table = tableNamed<Row>(name);
          const key = primaryKeyOf(name, written);
          const now = await table.get(key);
          if (!now) continue;
          if (revisionOf(now) !== revisionOf(written)) kept++;
          else if (row) await table.put({ ...row, revision: revisionOf(now) + 1, updatedAt: Date.now() });
          else await table.delete(key);
        }
      });
      return { kept };
    },
  };
}

const tablesOf = (names: readonly string[]): Table[] =>
  names.flatMap((name) => (specOf(name) ? [tableNamed(name)] : []));
