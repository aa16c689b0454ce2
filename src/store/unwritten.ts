import type { PictureRecord } from "./rows";
import { TABLES } from "./tables/list";
import type { Row, TableSpec } from "./tables/spec";

/** A row that is not in the database as it should be. */
export interface Unwritten {
  readonly row: Row;
  /** The row as this tab had it from the database before it changed it; null where it never was there. */
  readonly base: Row | null;
}

/**
 * The one buffer of what is not written yet, by table and key: what is asked for is taken from here first, so that work
 * goes on while the database fails.
 */
const unwritten = new Map<string, Map<string, Unwritten>>();
/** Pictures of rows that are not written yet, by id. */
const pictures = new Map<string, PictureRecord>();

const NONE: ReadonlyMap<string, Unwritten> = new Map();

/** What is not written of a table, by key. */
export const unwrittenIn = (table: string): ReadonlyMap<string, Unwritten> => unwritten.get(table) ?? NONE;

/** The rows of a table that are not written, as they would be. */
export const unwrittenRows = <T = Row>(table: string): readonly T[] =>
  [...unwrittenIn(table).values()].map(({ row }) => row as T);

/** Holds a row in memory. Of one that is held already, what it began from stays. */
export function hold(table: string, key: string, row: Row, base: Row | null): Unwritten {
  const rows = unwritten.get(table) ?? new Map<string, Unwritten>();
  unwritten.set(table, rows);
  const earlier = rows.get(key);
  const held = { row, base: earlier ? earlier.base : base };
  rows.set(key, held);
  return held;
}

/** What was held is written: it is released, or what was changed further since goes on from what was written. */
export function written(table: string, key: string, held: Unwritten, row: Row): void {
  const now = unwritten.get(table)?.get(key);
  if (now === held) release(table, key);
  else if (now) unwritten.get(table)?.set(key, { row: now.row, base: row });
}

/** Holds a picture until the row that refers to it is written. */
export function holdPicture(picture: PictureRecord): void {
  pictures.set(picture.id, picture);
}

export const heldPicture = (id: string): PictureRecord | undefined => pictures.get(id);

/** Releases a row: it is written, or something else stands now. */
export function release(table: string, key: string): void {
  unwritten.get(table)?.delete(key);
  const used = new Set(
    TABLES.flatMap((spec) => unwrittenRows(spec.name).flatMap((row) => spec.picturesOf?.(row) ?? [])),
  );
  for (const id of pictures.keys()) if (!used.has(id)) pictures.delete(id);
}

/** Rows of the database, with those that are not written in their places. */
export function withUnwritten(spec: TableSpec, rows: readonly Row[]): readonly Row[] {
  const held = unwrittenIn(spec.name);
  if (held.size === 0) return rows;
  return [...rows.filter((row) => !held.has(String(spec.keyOf(row)))), ...unwrittenRows(spec.name)];
}
