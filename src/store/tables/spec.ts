/** A row as it lies in the database: nothing of it is trusted before it is read. */
export type Row = Readonly<Record<string, unknown>>;

/** Takes a picture out of a row of an older layout, and gives the id that the row refers to it by. */
export type AddPicture = (bytes: Uint8Array, type: string) => string;

/**
 * One table of what is kept. The database's layout, the buffer of what is not written, backup, folder copy, bin,
 * duplicates and the restore preview are all derived from the list of these (`tables/list.ts`).
 */
export interface TableSpec {
  /** Its name in the database and in backups. */
  readonly name: string;
  /** The layout of the database that has it first. */
  readonly since: number;
  /** Primary key and indexes, as the database library takes them. */
  readonly indexes: string;
  /** What one row, and several, are called in a notice. */
  readonly called: { readonly one: string; readonly many: string };
  /** Tells rows apart; null of a row that has no sound key. */
  keyOf(row: Row): string | null;
  /** Whether this Euaxis can read the row. */
  readable(row: Row): boolean | Promise<boolean>;
  /** What the row is called; null of what has no name of its own. */
  nameOf(row: Row): string | null;
  /** Whether two rows of one key say the same; by default all but their counters has to be equal. */
  same?(a: Row, b: Row): boolean;
  /** Whether a row belongs into a backup; every one does by default. */
  readonly backedUp?: false;
  /**
   * Fields whose value is one thing: it is never put together out of two states. Dotted paths, `*` for any field; what
   * follows from the first is its checksum and version.
   */
  readonly atoms?: readonly string[];
  /** The pictures that a row refers to, by id. */
  picturesOf?(row: Row): readonly string[];
  /** What belongs to a knife: it goes into the bin with it, comes back with it, and is copied with it. */
  readonly ownedBy?: {
    /** The field that names the knife: the primary key, or an index. */
    readonly field: string;
    /** The row for a copy of the knife; null where it is not copied. */
    copy(row: Row, knifeId: string): Row | null;
    /** Rows of one knife are one thing: a backup brings all of them, or none. */
    readonly together?: true;
  };
  /** Brings a row of an older layout, or an older backup, up to date. Harmless of one that is. */
  upgrade?(row: Row, addPicture: AddPicture): Row;
}

/** A text that can serve as a key; null otherwise. */
export const keyText = (value: unknown): string | null =>
  typeof value === "string" && value !== "" && value.length < 200 ? value : null;

/** How often a row was written; 1 of a row that does not say. */
export const revisionOf = (row: Row | undefined): number =>
  Number.isInteger(row?.revision) ? (row?.revision as number) : 1;

/** Fields that count and date writes, and follow from the others. */
const COUNTERS = ["revision", "updatedAt", "createdAt", "version", "checksum"];

/** A row without its counters, for comparing what two rows say. */
export function content(row: Row): Row {
  return Object.fromEntries(Object.entries(row).filter(([key]) => !COUNTERS.includes(key)));
}
