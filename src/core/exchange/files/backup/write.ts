import { BACKUP_FORMAT, BACKUP_VERSION, type PictureEntry, pictureFile, ROWS_FILE } from "./format";
import { zipLibrary } from "./zip";

type Row = Readonly<Record<string, unknown>>;

/** What a backup is made of: everything is asked for when it is its turn. */
export interface BackupSource {
  /** When it is made, ISO 8601. */
  readonly made: string;
  /** Tables in order, with their rows. */
  readonly tables: readonly { readonly name: string; rows(): AsyncIterable<Row> }[];
  readonly pictures: readonly PictureEntry[];
  picture(id: string): Promise<Blob>;
}

export interface WrittenBackup {
  /** Rows by table, as they were written. */
  readonly rows: ReadonlyMap<string, number>;
  readonly pictures: number;
}

/** Rows are handed to the packer when so many letters have come together. */
const PIECE_LETTERS = 64_000;

/**
 * Writes a backup piece by piece into a sink: a ZIP of one JSON, a row to a line, and the pictures as they are. Answers
 * what was written.
 */
export async function writeBackup(
  source: BackupSource,
  sink: (piece: Uint8Array) => Promise<void> | void,
  tell: (step: { readonly rows: number; readonly pictures: number }) => void = () => undefined,
): Promise<WrittenBackup> {
  const { BlobReader, ZipWriter } = await zipLibrary();
  const zip = new ZipWriter(new WritableStream<Uint8Array>({ write: (piece) => sink(piece) }), {
    keepOrder: true,
    extendedTimestamp: false,
  });
  const rows = new Map<string, number>();
  let written = 0;
  const json = textOf(source, (name) => {
    rows.set(name, (rows.get(name) ?? 0) + 1);
    written++;
    tell({ rows: written, pictures: 0 });
  });
  await zip.add(ROWS_FILE, { readable: streamOf(json) } as never, { level: 6 });
  let pictures = 0;
  for (const picture of source.pictures) {
    // Pictures are packed already.
    await zip.add(pictureFile(picture), new BlobReader(await source.picture(picture.id)), { level: 0 });
    tell({ rows: written, pictures: ++pictures });
  }
  await zip.close();
  return { rows, pictures };
}

/** The JSON in pieces. */
async function* textOf(
  { made, tables, pictures }: BackupSource,
  count: (table: string) => void,
): AsyncGenerator<Uint8Array> {
  const encoder = new TextEncoder();
  let text = `${JSON.stringify({ format: BACKUP_FORMAT, version: BACKUP_VERSION, made }).slice(0, -1)},"holds":{`;
  let firstTable = true;
  for (const { name, rows } of tables) {
    text += `${firstTable ? "" : ","}\n${JSON.stringify(name)}:[`;
    firstTable = false;
    let first = true;
    for await (const row of rows()) {
      text += `${first ? "" : ","}\n${JSON.stringify(row)}`;
      first = false;
      count(name);
      if (text.length < PIECE_LETTERS) continue;
      yield encoder.encode(text);
      text = "";
    }
    text += "]";
  }
  text += `},\n"pictures":[${pictures.map((p) => `\n${JSON.stringify(p)}`).join(",")}]}\n`;
  yield encoder.encode(text);
}

function streamOf(pieces: AsyncGenerator<Uint8Array>): ReadableStream<Uint8Array> {
  return new ReadableStream({
    pull: async (controller) => {
      const { done, value } = await pieces.next();
      if (done) controller.close();
      else controller.enqueue(value);
    },
    cancel: async () => {
      await pieces.return(undefined);
    },
  });
}
