import { isRecord } from "../../isRecord";
import { type Frame, type FrameFailure, readFrame } from "../frame";

/** Larger files are refused unread: a thousand knives take some 10 MB, and imported shapes up to 0.5 MB each. */
export const LARGEST_BACKUP_BYTES = 256_000_000;
/** Marks a file as a backup of ours. @see docs/format.md */
const FRAME: Frame = {
  format: "euaxis-backup",
  version: 1,
  keys: ["made", "holds"],
  mostBytes: LARGEST_BACKUP_BYTES,
};

type Row = Readonly<Record<string, unknown>>;

/** Everything that a browser keeps: rows by the name of what they are, as they lie in the database. */
export interface Backup {
  /** When it was made, ISO 8601. */
  readonly made: string;
  readonly holds: Readonly<Record<string, readonly Row[]>>;
}

export type BackupReading =
  | { readonly ok: true; readonly backup: Backup }
  | FrameFailure
  | { readonly ok: false; readonly code: "not-whole" };

/** A backup as the text of an open JSON file. */
export function writeBackup({ made, holds }: Backup): string {
  return `${JSON.stringify({ format: FRAME.format, version: FRAME.version, made, holds })}\n`;
}

/**
 * Reads a backup: its frame and its lists of rows. What stands in a row is checked by whoever takes it in. Refuses,
 * changing nothing, what is not one.
 */
export function readBackup(bytes: Uint8Array): BackupReading {
  const reading = readFrame(bytes, FRAME);
  if (!reading.ok) return reading;
  const { made, holds } = reading.content;
  const dated = typeof made === "string" && Number.isFinite(Date.parse(made));
  if (!dated || !isRecord(holds) || !Object.values(holds).every(isList))
    return { ok: false, code: "not-whole" };
  return { ok: true, backup: { made, holds: holds as Backup["holds"] } };
}

function isList(rows: unknown): boolean {
  return Array.isArray(rows) && rows.every(isRecord);
}
