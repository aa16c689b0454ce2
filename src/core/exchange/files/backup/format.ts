/** Marks a file as a backup of ours. @see docs/format.md */
export const BACKUP_FORMAT = "euaxis-backup";
/** Version 1 was one JSON file with the pictures in it; 2 is a ZIP of one JSON and the pictures as they are. */
export const BACKUP_VERSION = 2;
/** The file in the ZIP that holds the rows. */
export const ROWS_FILE = "backup.json";

export const BACKUP_LIMITS = {
  /** The file itself, bytes. */
  fileBytes: 16_000_000_000,
  /** Its JSON, unpacked, bytes. */
  jsonBytes: 2_000_000_000,
  /** One row's JSON, letters: a picture of version 1 stands in it. */
  rowLetters: 32_000_000,
  /** Objects and lists in one another. */
  depth: 64,
  rows: 2_000_000,
  pictures: 100_000,
  /** One picture, bytes. */
  pictureBytes: 64_000_000,
} as const;

type Row = Readonly<Record<string, unknown>>;

/** A picture as the backup's JSON lists it. */
export interface PictureEntry {
  readonly id: string;
  readonly type: string;
  readonly bytes: number;
}

/** Where a picture lies in the ZIP. */
export const pictureFile = ({ id, type }: Pick<PictureEntry, "id" | "type">): string =>
  `pictures/${id}.${type === "image/jpeg" ? "jpg" : type.slice("image/".length)}`;

export type BackupFailure =
  | { readonly ok: false; readonly code: "too-large" | "not-json" | "foreign" | "no-version" }
  | { readonly ok: false; readonly code: "incomplete" }
  | { readonly ok: false; readonly code: "newer"; readonly version: number }
  | { readonly ok: false; readonly code: "key-twice" | "foreign-key"; readonly key: string }
  | { readonly ok: false; readonly code: "damaged"; readonly file: string };

/** Stops the reading of a backup, from however deep; caught by the reader, and given back as a value. */
export class BackupRefused extends Error {
  constructor(readonly failure: BackupFailure) {
    super(failure.code);
  }
}

/** What is taken out of a backup while it is read, one after the other; whoever receives is waited for. */
export interface BackupReceiver {
  row(table: string, row: Row): Promise<void> | void;
  picture?(picture: PictureEntry, data: Blob): Promise<void> | void;
  /** How far the reading is, 0 to 1. */
  tell?(done: number): void;
}

export interface BackupHead {
  readonly version: number;
  /** When it was made, ISO 8601. */
  readonly made: string;
  readonly rows: number;
  readonly pictures: number;
}

export type BackupReading = ({ readonly ok: true } & BackupHead) | BackupFailure;
