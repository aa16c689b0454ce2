import "fake-indexeddb/auto";
import { beforeEach, describe, expect, it } from "vitest";
import { newDesign } from "@/core/design/create";
import { readBackup, writeBackup } from "@/core/files/backup/backup";
import { makeBackup, planRestore, restore } from "./backup";
import { deleteForGood, emptyOldBin } from "./bin";
import { db } from "./db";
import { addKnife, removeKnife, restoreKnife } from "./knives";
import {
  changeUnderlay,
  putUnderlay,
  removeUnderlay,
  type Underlay,
  underlayIn,
  underlayOf,
} from "./underlays";

const PHOTO: Underlay = {
  picture: "data:image/jpeg;base64,/9j/4AAQ",
  widthMm: 297,
  heightMm: 210,
  datumX: 150,
  datumY: 100,
  tipDeg: 2,
  mirrored: false,
  opacity: 0.4,
  shown: true,
};

beforeEach(async () => {
  for (const table of [db.knives, db.variants, db.bin, db.steps, db.underlays]) await table.clear();
});

describe("the photo under a knife", () => {
  it("is kept, changed and taken away", async () => {
    const { id } = await addKnife(newDesign("Sedge"));
    expect(await underlayOf(id)).toBeNull();
    expect(await changeUnderlay(id, { shown: false })).toBe(false);
    await putUnderlay(id, PHOTO);
    await changeUnderlay(id, { opacity: 0.7, shown: false });
    expect(await underlayOf(id)).toEqual({ ...PHOTO, opacity: 0.7, shown: false });
    await removeUnderlay(id);
    expect(await underlayOf(id)).toBeNull();
  });

  it("goes into the backup and comes back from it", async () => {
    const { id } = await addKnife(newDesign("Sedge"));
    await putUnderlay(id, PHOTO);
    const reading = readBackup(new TextEncoder().encode(writeBackup(await makeBackup())));
    if (!reading.ok) throw new Error(reading.code);
    await putUnderlay(id, { ...PHOTO, picture: "data:image/png;base64,AAAA" });
    await restore(await planRestore(reading.backup), "merge-backup");
    expect(await underlayOf(id)).toEqual(PHOTO);
    await db.underlays.clear();
    await restore(await planRestore(reading.backup), "merge-newer");
    expect(await underlayOf(id)).toEqual(PHOTO);
  });

  it("stays while its knife is in the bin, and goes with it for good", async () => {
    const { id } = await addKnife(newDesign("Sedge"));
    await putUnderlay(id, PHOTO);
    await removeKnife(id);
    await restoreKnife(id);
    expect(await underlayOf(id)).toEqual(PHOTO);
    await removeKnife(id);
    await emptyOldBin();
    expect(await underlayOf(id)).toEqual(PHOTO);
    await emptyOldBin(Date.now() + 40 * 24 * 3600 * 1000);
    expect(await db.bin.count()).toBe(0);
    expect(await db.underlays.count()).toBe(0);
    // Of what is on the rack nothing is taken.
    const other = await addKnife(newDesign("Fen"));
    await putUnderlay(other.id, PHOTO);
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
