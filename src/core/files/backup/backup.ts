/** Marks a file as a backup of ours. @see docs/format.md */
export const BACKUP_FORMAT = "euaxis-backup";
export const BACKUP_VERSION = 1;
/** Larger files are refused unread: a thousand knives take some 10 MB, and imported shapes up to 0.5 MB each. */
export const LARGEST_BACKUP_BYTES = 256_000_000;

type Row = Readonly<Record<string, unknown>>;

/** Everything that a browser keeps: rows by the name of what they are, as they lie in the database. */
export interface Backup {
  /** When it was made, ISO 8601. */
  readonly made: string;
  readonly holds: Readonly<Record<string, readonly Row[]>>;
}

export type BackupReading =
  | { readonly ok: true; readonly backup: Backup }
  | { readonly ok: false; readonly code: "too-large" | "not-json" | "foreign" | "no-version" | "not-whole" }
  | { readonly ok: false; readonly code: "newer"; readonly version: number };

/** A backup as the text of an open JSON file. */
export function writeBackup({ made, holds }: Backup): string {
  return `${JSON.stringify({ format: BACKUP_FORMAT, version: BACKUP_VERSION, made, holds })}\n`;
}

/**
 * Reads a backup: its frame and its lists of rows. What stands in a row is checked by whoever takes it in. Refuses,
 * changing nothing, what is not one.
 */
export function readBackup(bytes: Uint8Array): BackupReading {
  if (bytes.byteLength > LARGEST_BACKUP_BYTES) return { ok: false, code: "too-large" };
  let value: unknown;
  try {
    value = JSON.parse(new TextDecoder("utf-8", { fatal: true }).decode(bytes));
  } catch {
    return { ok: false, code: "not-json" };
  }
  if (!isRow(value) || value.format !== BACKUP_FORMAT) return { ok: false, code: "foreign" };
  const { version, made, holds } = value;
  if (typeof version !== "number" || !Number.isInteger(version) || version < 1)
    return { ok: false, code: "no-version" };
  if (version > BACKUP_VERSION) return { ok: false, code: "newer", version };
  if (typeof made !== "string" || !Number.isFinite(Date.parse(made)) || !isRow(holds))
    return { ok: false, code: "not-whole" };
  const lists: Record<string, readonly Row[]> = {};
  for (const [name, rows] of Object.entries(holds)) {
    if (!Array.isArray(rows) || !rows.every(isRow)) return { ok: false, code: "not-whole" };
    lists[name] = rows;
  }
  return { ok: true, backup: { made, holds: lists } };
}

function isRow(value: unknown): value is Row {
  return typeof value === "object" && value !== null && !Array.isArray(value);
}
