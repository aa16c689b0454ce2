import "fake-indexeddb/auto";
import { beforeEach, describe, expect, it } from "vitest";
import { newDesign } from "@/core/knife/design/create";
import { backupFile, oldBackup, takeIn } from "./backup.fixtures";
import { deleteForGood, emptyOldBin } from "./bin";
import { db } from "./db";
import { addKnife, removeKnife, restoreKnife } from "./knives";
import { photoOf } from "./photos.fixtures";
import { pictureIdOf } from "./pictureOf";
import { pictureData } from "./pictures";
import { type Underlay, underlayIn } from "./tables/photos";
import { changeUnderlay, putUnderlay, removeUnderlay, underlayOf } from "./underlays";

const BYTES = Uint8Array.from([0xff, 0xd8, 0xff, 0xe0, 0, 0x10]);
const NEW = photoOf(...BYTES);
const PHOTO: Underlay = { ...NEW, picture: pictureIdOf(BYTES) };
const OTHER = photoOf(1, 2, 3);

beforeEach(async () => {
  for (const table of db.tables) await table.clear();
});

describe("the photo under a knife", () => {
  it("is kept, changed and taken away", async () => {
    const { id } = await addKnife(newDesign("Sedge"));
    expect(await underlayOf(id)).toBeNull();
    expect(await changeUnderlay(id, { shown: false })).toBe(false);
    await putUnderlay(id, NEW);
    await changeUnderlay(id, { opacity: 0.7, shown: false });
    expect(await underlayOf(id)).toEqual({ ...PHOTO, opacity: 0.7, shown: false });
    await removeUnderlay(id);
    expect(await underlayOf(id)).toBeNull();
  });

  it("goes into the backup and comes back from it", async () => {
    const { id } = await addKnife(newDesign("Sedge"));
    await putUnderlay(id, NEW);
    const file = await backupFile();
    await putUnderlay(id, OTHER, PHOTO);
    await takeIn(file, "merge-backup");
    expect(await underlayOf(id)).toEqual(PHOTO);
    await db.underlays.clear();
    await db.pictures.clear();
    await takeIn(file, "merge-newer");
    expect(await underlayOf(id)).toEqual(PHOTO);
    const data = await pictureData(PHOTO.picture);
    expect(new Uint8Array((await data?.arrayBuffer()) ?? new ArrayBuffer(0))).toEqual(BYTES);
    expect(data?.type).toBe("image/jpeg");
  });

  it("comes out of a backup of the older kind, in which it was letters", async () => {
    const { id } = await addKnife(newDesign("Sedge"));
    const picture = `data:image/jpeg;base64,${Buffer.from(BYTES).toString("base64")}`;
    await takeIn(
      oldBackup({ underlays: [{ id, underlay: { ...PHOTO, picture }, updatedAt: 1 }] }),
      "merge-newer",
    );
    expect(await underlayOf(id)).toEqual(PHOTO);
    expect((await pictureData(PHOTO.picture))?.size).toBe(BYTES.length);
  });

  it("stays while its knife is in the bin, and goes with it for good", async () => {
    const { id } = await addKnife(newDesign("Sedge"));
    await putUnderlay(id, NEW);
    await removeKnife(id);
    await restoreKnife(id);
    expect(await underlayOf(id)).toEqual(PHOTO);
    await removeKnife(id);
    await emptyOldBin();
    expect(await db.bin.count()).toBe(1);
    await emptyOldBin(Date.now() + 40 * 24 * 3600 * 1000);
    expect(await db.bin.count()).toBe(0);
    expect(await db.underlays.count()).toBe(0);
    // Of what is on the rack nothing is taken.
    const other = await addKnife(newDesign("Fen"));
    await putUnderlay(other.id, NEW);
    await deleteForGood([other.id]);
    expect(await underlayOf(other.id)).toEqual(PHOTO);
  });

  it("is none where its row makes no sense: no address of a page or a script, no size out of reach", () => {
    const row = (change: object) => ({ id: "k", updatedAt: 1, underlay: { ...PHOTO, ...change } });
    expect(underlayIn(row({}))).toEqual(PHOTO);
    for (const change of [
      { picture: "https://example.invalid/a.jpg" },
      { picture: "data:image/svg+xml;base64,AAAA" },
      { picture: "data:image/png;base64,AA AA<script>" },
      { picture: 7 },
      { widthMm: 0 },
      { heightMm: Number.NaN },
      { datumX: 1e9 },
      { opacity: 2 },
      { shown: "yes" },
      { tipDeg: null },
    ])
      expect(underlayIn(row(change)), JSON.stringify(change)).toBeNull();
    expect(underlayIn(undefined)).toBeNull();
    expect(underlayIn({ id: "k", updatedAt: 1, underlay: null })).toBeNull();
  });
});
