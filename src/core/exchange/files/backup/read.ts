import { isRecord } from "../../../base/isRecord";
import {
  BACKUP_FORMAT,
  BACKUP_LIMITS,
  BACKUP_VERSION,
  type BackupReading,
  type BackupReceiver,
  BackupRefused,
  type PictureEntry,
  pictureFile,
  ROWS_FILE,
} from "./format";
import { PICTURE_LIST, RowSplitter } from "./splitRows";
import { openZip } from "./zip";

const PICTURE_TYPES = ["image/jpeg", "image/png", "image/webp"];

/**
 * Reads a backup part by part, in memory that does not grow with it: a ZIP of version 2, or the single JSON file of version
 * 1. What stands in a row is checked by whoever receives it. Never throws what the file is to blame for; what `receive`
 * throws goes through.
 */
export async function readBackup(file: Blob, receive: BackupReceiver): Promise<BackupReading> {
  if (file.size > BACKUP_LIMITS.fileBytes) return { ok: false, code: "too-large" };
  try {
    const start = new Uint8Array(await file.slice(0, 4).arrayBuffer());
    const isZip = start[0] === 0x50 && start[1] === 0x4b;
    return isZip ? await readZip(file, receive) : await readJson(file, receive);
  } catch (error) {
    if (error instanceof BackupRefused) return error.failure;
    throw error;
  }
}

async function readZip(file: Blob, receive: BackupReceiver): Promise<BackupReading> {
  const zip = await openZip(file, BACKUP_LIMITS.pictures + 1);
  try {
    const rows = zip.entries.get(ROWS_FILE);
    if (!rows) throw new BackupRefused({ ok: false, code: "foreign" });
    // The rows are a small part of the work where there are pictures.
    const whole = Math.max(1, file.size);
    const listed = new Map<string, PictureEntry>();
    const json = await splitJson(
      (take) => zip.stream(rows, BACKUP_LIMITS.jsonBytes, take),
      receive,
      (packed) => receive.tell?.(Math.min(1, packed / whole)),
      rows.packedBytes,
      listed,
    );
    if (json.version < BACKUP_VERSION) throw new BackupRefused({ ok: false, code: "incomplete" });
    let done = rows.packedBytes;
    for (const picture of listed.values()) {
      const name = pictureFile(picture);
      const entry = zip.entries.get(name);
      if (!entry || entry.bytes !== picture.bytes)
        throw new BackupRefused({ ok: false, code: "damaged", file: name });
      const parts: Uint8Array<ArrayBuffer>[] = [];
      await zip.stream(entry, picture.bytes, (piece) => {
        parts.push(new Uint8Array(piece));
      });
      await receive.picture?.(picture, new Blob(parts, { type: picture.type }));
      done += entry.packedBytes;
      receive.tell?.(Math.min(1, done / whole));
    }
    return { ok: true, ...json, pictures: listed.size };
  } finally {
    await zip.close();
  }
}

async function readJson(file: Blob, receive: BackupReceiver): Promise<BackupReading> {
  const read = async (take: (piece: Uint8Array) => Promise<void> | void) => {
    if (file.size > BACKUP_LIMITS.jsonBytes) throw new BackupRefused({ ok: false, code: "too-large" });
    const reader = file.stream().getReader();
    for (let next = await reader.read(); !next.done; next = await reader.read()) await take(next.value);
  };
  const json = await splitJson(
    read,
    receive,
    (n) => receive.tell?.(n / Math.max(1, file.size)),
    file.size,
    new Map(),
  );
  if (json.version > 1) throw new BackupRefused({ ok: false, code: "incomplete" });
  return { ok: true, ...json, pictures: 0 };
}

type Pieces = (take: (piece: Uint8Array) => Promise<void> | void) => Promise<void>;

/** Takes the JSON apart, and checks its frame. */
async function splitJson(
  pieces: Pieces,
  receive: BackupReceiver,
  tell: (read: number) => void,
  sourceBytes: number,
  listed: Map<string, PictureEntry>,
) {
  let rows = 0;
  const splitter = new RowSplitter(async (list, row) => {
    if (list !== PICTURE_LIST) {
      rows++;
      await receive.row(list, row);
      return;
    }
    const picture = pictureEntry(row);
    if (!picture || listed.has(picture.id) || listed.size >= BACKUP_LIMITS.pictures)
      throw new BackupRefused({ ok: false, code: "incomplete" });
    listed.set(picture.id, picture);
  });
  const decoder = new TextDecoder("utf-8", { fatal: true });
  let bytes = 0;
  const decode = (piece?: Uint8Array) => {
    try {
      return decoder.decode(piece, { stream: piece !== undefined });
    } catch {
      throw new BackupRefused({ ok: false, code: "not-json" });
    }
  };
  await pieces(async (piece) => {
    bytes += piece.length;
    await splitter.push(decode(piece));
    tell(Math.min(bytes, sourceBytes));
  });
  await splitter.push(decode());
  const { version, made } = headOf(splitter.end(), rows, listed.size);
  return { version, made, rows };
}

function pictureEntry({ id, type, bytes }: Readonly<Record<string, unknown>>): PictureEntry | null {
  const sound =
    typeof id === "string" &&
    id.length < 60 &&
    typeof type === "string" &&
    PICTURE_TYPES.includes(type) &&
    Number.isInteger(bytes) &&
    (bytes as number) >= 0 &&
    (bytes as number) <= BACKUP_LIMITS.pictureBytes;
  return sound ? { id, type, bytes: bytes as number } : null;
}

/** The frame of the document: each row stands in it as a 0. */
function headOf(content: Readonly<Record<string, unknown>>, rows: number, pictures: number) {
  const { format, version, made, holds } = content;
  const refuse = (code: "foreign" | "no-version" | "incomplete") => new BackupRefused({ ok: false, code });
  if (format !== BACKUP_FORMAT) throw refuse("foreign");
  if (typeof version !== "number" || !Number.isInteger(version) || version < 1) throw refuse("no-version");
  if (version > BACKUP_VERSION) throw new BackupRefused({ ok: false, code: "newer", version });
  const keys = ["format", "version", "made", "holds", ...(version > 1 ? [PICTURE_LIST] : [])];
  const foreign = Object.keys(content).find((key) => !keys.includes(key));
  if (foreign !== undefined) throw new BackupRefused({ ok: false, code: "foreign-key", key: foreign });
  if (typeof made !== "string" || !Number.isFinite(Date.parse(made)) || !isRecord(holds))
    throw refuse("incomplete");
  const lists = Object.values(holds);
  const onlyRows = (list: unknown): list is 0[] => Array.isArray(list) && list.every((item) => item === 0);
  if (!lists.every(onlyRows)) throw refuse("incomplete");
  if (lists.reduce((sum, list) => sum + list.length, 0) !== rows) throw refuse("incomplete");
  const named = version > 1 ? content[PICTURE_LIST] : [];
  if (!onlyRows(named) || named.length !== pictures) throw refuse("incomplete");
  return { version, made };
}
