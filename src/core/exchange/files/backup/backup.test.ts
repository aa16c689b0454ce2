import { describe, expect, it } from "vitest";
import { type BackupReceiver, pictureFile } from "./format";
import { readBackup } from "./read";
import { RowSplitter } from "./splitRows";
import { type BackupSource, writeBackup } from "./write";

type Row = Readonly<Record<string, unknown>>;
const jpeg = (i: number, bytes: number) => new Uint8Array(bytes).map((_, k) => (k * 31 + i * 7) & 255);

/** A source of rows and pictures that are made when they are asked for. */
function source(rows: number, pictures: number, bytes: number): BackupSource {
  const entries = Array.from({ length: pictures }, (_, i) => ({ id: `p${i}`, type: "image/jpeg", bytes }));
  return {
    made: "2026-11-29T12:00:00.000Z",
    tables: [
      {
        name: "knives",
        rows: async function* () {
          for (let i = 0; i < rows; i++)
            yield { id: `k${i}`, note: 'a "quoted" }]{ \\ note', at: { deep: [[i]] } };
        },
      },
      { name: "settings", rows: async function* () {} },
    ],
    pictures: entries,
    picture: async (id) => new Blob([jpeg(Number(id.slice(1)), bytes)], { type: "image/jpeg" }),
  };
}

async function written(from: BackupSource): Promise<Blob> {
  const parts: Blob[] = [];
  await writeBackup(from, (piece) => {
    parts.push(new Blob([new Uint8Array(piece)]));
  });
  return new Blob(parts);
}

async function readAll(file: Blob) {
  const rows: [string, Row][] = [];
  const pictures = new Map<string, Uint8Array>();
  const receiver: BackupReceiver = {
    row: (table, row) => {
      rows.push([table, row]);
    },
    picture: async ({ id }, data) => {
      pictures.set(id, new Uint8Array(await data.arrayBuffer()));
    },
  };
  return { reading: await readBackup(file, receiver), rows, pictures };
}

describe("a backup as a ZIP", () => {
  it("comes back as it went out: rows, pictures byte for byte", async () => {
    const { reading, rows, pictures } = await readAll(await written(source(250, 3, 1000)));
    expect(reading).toEqual({
      ok: true,
      version: 2,
      made: "2026-11-29T12:00:00.000Z",
      rows: 250,
      pictures: 3,
    });
    expect(rows[7]).toEqual(["knives", { id: "k7", note: 'a "quoted" }]{ \\ note', at: { deep: [[7]] } }]);
    expect(pictures.get("p2")).toEqual(jpeg(2, 1000));
  });

  it("of nothing comes back as nothing", async () => {
    const { reading, rows } = await readAll(await written(source(0, 0, 0)));
    expect(reading).toMatchObject({ ok: true, rows: 0, pictures: 0 });
    expect(rows).toEqual([]);
  });

  it("is refused where a part of it is not what was written, wherever that is", async () => {
    const file = new Uint8Array(await (await written(source(40, 2, 5000))).arrayBuffer());
    let refused = 0;
    for (let at = 0; at < file.length; at += 97) {
      const bent = file.slice();
      bent[at] ^= 0x55;
      const { reading, rows, pictures } = await readAll(new Blob([bent]));
      if (!reading.ok) refused++;
      // What is read all the same is whole: a date in the directory, say, was changed.
      else {
        expect(rows, `byte ${at}`).toHaveLength(40);
        expect(pictures.get("p1"), `byte ${at}`).toEqual(jpeg(1, 5000));
      }
    }
    expect(refused).toBeGreaterThan(file.length / 97 / 2);
    for (const length of [0, 3, 30, file.length / 2, file.length - 1]) {
      const { reading } = await readAll(new Blob([file.slice(0, length)]));
      expect(reading.ok, `${length} bytes`).toBe(false);
    }
  });

  it("that names a picture that is not in it is refused with the file's name", async () => {
    const from = source(1, 1, 10);
    const { BlobReader, ZipWriter, BlobWriter, TextReader } = await import("@zip.js/zip.js");
    const zip = new ZipWriter(new BlobWriter());
    const text = JSON.stringify({
      format: "euaxis-backup",
      version: 2,
      made: from.made,
      holds: {},
      pictures: from.pictures,
    });
    await zip.add("backup.json", new TextReader(text));
    await zip.add("other.jpg", new BlobReader(await from.picture("p0")));
    const { reading } = await readAll(await zip.close());
    expect(reading).toEqual({ ok: false, code: "damaged", file: pictureFile(from.pictures[0]) });
  });
});

describe("the rows of a backup's JSON", () => {
  /** The rows that come of a text handed over in pieces of so many letters. */
  async function split(text: string, size: number) {
    const rows: [string, Row][] = [];
    const splitter = new RowSplitter((list, row) => {
      rows.push([list, row]);
    });
    for (let at = 0; at < text.length; at += size) await splitter.push(text.slice(at, at + size));
    return { rows, rest: splitter.end() };
  }
  const text = JSON.stringify(
    {
      format: "euaxis-backup",
      holds: { knives: [{ id: "a]}", n: [{ x: {} }] }, { id: 'b"\\' }], empty: [], bin: [{ id: "c" }] },
      pictures: [{ id: "p" }],
    },
    null,
    1,
  );

  it("are the same however the text is cut up", async () => {
    const whole = await split(text, text.length);
    expect(whole.rows).toEqual([
      ["knives", { id: "a]}", n: [{ x: {} }] }],
      ["knives", { id: 'b"\\' }],
      ["bin", { id: "c" }],
      ["pictures", { id: "p" }],
    ]);
    expect(whole.rest).toEqual({
      format: "euaxis-backup",
      holds: { knives: [0, 0], empty: [], bin: [0] },
      pictures: [0],
    });
    for (let size = 1; size < 40; size++) expect(await split(text, size)).toEqual(whole);
  });

  it.each([
    ["nested past all measure", `{"holds":{"knives":[${'{"a":'.repeat(500)}`],
    ["brackets that close what is not open", "]]]]"],
    ["a key twice in a row", '{"holds":{"knives":[{"id":1,"id":2}]}}'],
    ["a key twice round the rows", '{"holds":{},"holds":{}}'],
    ["lists without end", `{"holds":{${'"a":[],'.repeat(200)}"b":[]}}`],
    ["a row that is no JSON", '{"holds":{"knives":[{id:1}]}}'],
  ])("are refused: %s", async (_, bad) => {
    await expect(split(bad, 1000)).rejects.toThrow();
  });
});
