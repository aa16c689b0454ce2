import { readBackup } from "@/core/exchange/files/backup/read";
import { writeBackup } from "@/core/exchange/files/backup/write";
import { pictureIdOf } from "../pictureOf";
import type { Row } from "../tables/spec";
import { everything, type WaitingRows } from "./source";

/** How far a backup is: what is done, and the share of it. */
export interface BackupStep {
  readonly doing: "writing" | "checking" | "reading" | "photos" | "restoring";
  readonly done: number;
}
export type TellStep = (step: BackupStep) => void;

export interface SavedBackup {
  readonly file: Blob;
  readonly made: string;
  /** Rows by table, as they were read back from the file. */
  readonly rows: Readonly<Record<string, number>>;
  readonly pictures: number;
}

/** Pieces are put together to so many bytes before the browser is given them: it may lay them on its disk then. */
const PART_BYTES = 8_000_000;
/** What a row counts for beside a picture while progress is reported, bytes. */
const ROW_BYTES = 2_000;

/**
 * Writes everything into a file, reads it back and counts it. Throws where what is read is not what was written: a backup
 * that was said to be made can be taken in.
 */
export async function saveBackup(
  waiting: WaitingRows,
  tell: TellStep = () => undefined,
  options: { readonly stored?: boolean; readonly leave?: (table: string, row: Row) => boolean } = {},
): Promise<SavedBackup> {
  const source = await everything(waiting, options.stored ?? true, options.leave);
  const parts: Blob[] = [];
  let pieces: Uint8Array<ArrayBuffer>[] = [];
  let size = 0;
  const close = () => {
    parts.push(new Blob(pieces));
    pieces = [];
    size = 0;
  };
  const average = source.pictures.reduce((sum, p) => sum + p.bytes, 0) / Math.max(1, source.pictures.length);
  const whole = Math.max(1, source.count * ROW_BYTES + source.pictures.length * average);
  const written = await writeBackup(
    source,
    (piece) => {
      pieces.push(new Uint8Array(piece));
      size += piece.length;
      if (size > PART_BYTES) close();
    },
    (step) =>
      tell({
        doing: "writing",
        done: Math.min(1, (step.rows * ROW_BYTES + step.pictures * average) / whole),
      }),
  );
  close();
  const file = new Blob(parts, { type: "application/zip" });
  const rows = new Map<string, number>();
  let pictures = 0;
  const reading = await readBackup(file, {
    row: (table) => {
      rows.set(table, (rows.get(table) ?? 0) + 1);
    },
    picture: async (picture, data) => {
      if (pictureIdOf(new Uint8Array(await data.arrayBuffer())) === picture.id) pictures++;
    },
    tell: (done) => tell({ doing: "checking", done }),
  });
  const same =
    reading.ok &&
    pictures === written.pictures &&
    rows.size === written.rows.size &&
    [...written.rows].every(([table, count]) => rows.get(table) === count);
  if (!same)
    throw new Error("the file was read back, and is not what was written: it was not saved. Try again.");
  return { file, made: source.made, rows: Object.fromEntries(rows), pictures };
}
