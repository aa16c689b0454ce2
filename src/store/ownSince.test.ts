import "fake-indexeddb/auto";
import { beforeEach, describe, expect, it } from "vitest";
import { newDesign } from "@/core/knife/design/create";
import { db } from "./db";
import { addKnife } from "./knives";
import { photoOf } from "./photos.fixtures";
import { changeShop, keptShop } from "./shop";
import { changeUnderlay, putUnderlay, underlayOf } from "./underlays";
import { addVariants, renameVariant, variantsOf } from "./variants";

beforeEach(async () => {
  for (const table of db.tables) await table.clear();
});

describe("changes that follow each other before the page shows what they did", () => {
  it("of a photo: each begins from the one before, and back to what was seen is a change too", async () => {
    const { id } = await addKnife(newDesign("Sedge"));
    await putUnderlay(id, photoOf(1));
    const seen = (await underlayOf(id))!;
    await changeUnderlay(id, { opacity: 0.7 }, seen);
    await changeUnderlay(id, { datumX: 12 }, seen);
    expect(await underlayOf(id)).toEqual({ ...seen, opacity: 0.7, datumX: 12 });
    await changeUnderlay(id, { opacity: seen.opacity }, seen);
    expect(await underlayOf(id)).toEqual({ ...seen, datumX: 12 });
    // Nothing of one's own is taken for another tab's.
    expect(await db.bin.count()).toBe(0);
  });

  it("of prices", async () => {
    await changeShop((s) => ({ ...s, ratePerHour: 30 }));
    const seen = await keptShop();
    await changeShop((s) => ({ ...s, ratePerHour: 45 }), seen);
    await changeShop((s) => ({ ...s, currency: "kr" }), seen);
    expect(await keptShop()).toMatchObject({ ratePerHour: 45, currency: "kr" });
    await changeShop((s) => ({ ...s, ratePerHour: 30 }), seen);
    expect(await keptShop()).toMatchObject({ ratePerHour: 30, currency: "kr" });
    expect(await db.bin.count()).toBe(0);
  });

  it("of a variant's name", async () => {
    const { id } = await addKnife(newDesign("Sedge"));
    await addVariants(id, [{ name: "In brass", design: newDesign("Sedge") }]);
    const [seen] = await variantsOf(id);
    await renameVariant(seen.id, "In steel", seen);
    await renameVariant(seen.id, "In brass", seen);
    expect((await variantsOf(id)).map((v) => v.name)).toEqual(["In brass"]);
    expect(await db.bin.count()).toBe(0);
  });
});
