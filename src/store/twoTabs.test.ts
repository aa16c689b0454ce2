import "fake-indexeddb/auto";
import { beforeEach, describe, expect, it, vi } from "vitest";
import { newDesign } from "@/core/knife/design/create";
import { ownId, plainOwn } from "@/core/materials/own/make";
import type { OwnMaterial } from "@/core/materials/own/types";
import { photoOf } from "./photos.fixtures";

/** Everything of the store that a tab has, with a connection to the database and a memory of its own. */
async function openTab() {
  vi.resetModules();
  const [bin, conflicts, knives, materials, uses, photos, settings, shop, variants, storage] =
    await Promise.all([
      import("./bin"),
      import("./conflicts"),
      import("./knives"),
      import("./ownMaterials"),
      import("./materialUses"),
      import("./underlays"),
      import("./settings"),
      import("./shop"),
      import("./variants"),
      import("./storage"),
    ]);
  await storage.ready();
  return { bin, conflicts, knives, materials, uses, photos, settings, shop, variants };
}
type Tab = Awaited<ReturnType<typeof openTab>>;

const [here, there] = [await openTab(), await openTab()];
const { db } = await import("./db");

beforeEach(async () => {
  for (const table of db.tables) await table.clear();
  for (const tab of [here, there]) tab.conflicts.conflicts.setState({ found: [] });
});

const found = (tab: Tab) => tab.conflicts.conflicts.getState().found;
const binned = async () => (await here.bin.binItems()).map((i) => `${i.kind}, ${i.because}`);

const NORTH: OwnMaterial = { ...plainOwn(ownId("north")), name: "North lot", class: "wood" };
describe("one material in two tabs", () => {
  const begun = async () => {
    await here.materials.keepMaterial(NORTH);
    return (await here.materials.materialBase(NORTH.id))!;
  };
  const name = async () => ((await here.materials.materialBase(NORTH.id))?.material as OwnMaterial)?.name;

  it("changed in both: the later one is told, and nothing is changed before it has chosen", async () => {
    const base = await begun();
    expect(await there.uses.redefineMaterial({ ...NORTH, name: "Theirs" }, base)).toMatchObject({ ok: true });
    const mine = await here.uses.redefineMaterial({ ...NORTH, name: "Mine" }, base);
    expect(mine).toMatchObject({
      ok: false,
      code: "changed-elsewhere",
      theirs: { material: { name: "Theirs" } },
    });
    expect(await name()).toBe("Theirs");
    // Mine all the same: theirs can be had back.
    await here.uses.redefineMaterial({ ...NORTH, name: "Mine" }, base, "keep-both");
    expect(await name()).toBe("Mine");
    expect(found(here)).toMatchObject([{ table: "materials", what: "Theirs", inBin: "theirs" }]);
    await here.bin.putBack(found(here)[0].binId);
    expect(await name()).toBe("Theirs");
    expect(await binned()).toEqual(["material of your own, replaced"]);
  });

  it("deleted there, changed here: it does not come back by itself, and both can be had", async () => {
    const base = await begun();
    await there.uses.deleteMaterial(NORTH);
    expect(await here.uses.redefineMaterial({ ...NORTH, name: "Mine" }, base)).toEqual({
      ok: false,
      code: "deleted",
    });
    expect(await name()).toBeUndefined();
    expect(await binned()).toEqual(["material of your own, deleted"]);
    await here.uses.redefineMaterial({ ...NORTH, name: "Mine" }, null, "keep-both");
    expect(await name()).toBe("Mine");
  });

  it("changed there, deleted here: what there was lies in the bin as it last was", async () => {
    const base = await begun();
    await there.uses.redefineMaterial({ ...NORTH, name: "Theirs" }, base);
    const { removed } = await here.uses.deleteMaterial(NORTH);
    expect(await name()).toBeUndefined();
    expect(removed?.ok && (await here.bin.putBack(removed.binId ?? ""))).toMatchObject({ ok: true });
    expect(await name()).toBe("Theirs");
  });

  it("deleted in both is deleted once", async () => {
    await begun();
    await there.uses.deleteMaterial(NORTH);
    await here.uses.deleteMaterial(NORTH);
    expect(await binned()).toEqual(["material of your own, deleted"]);
  });
});

describe("one photo in two tabs", () => {
  const begun = async () => {
    const { id } = await here.knives.addKnife(newDesign("Sedge"));
    await here.photos.putUnderlay(id, photoOf(1));
    return { id, seen: (await here.photos.underlayOf(id))! };
  };

  it("replaced in both: mine stands, theirs lies in the bin, and it is told", async () => {
    const { id, seen } = await begun();
    await there.photos.putUnderlay(id, photoOf(2), seen);
    await here.photos.putUnderlay(id, photoOf(3), seen);
    expect((await here.photos.underlayOf(id))?.picture).toMatch(/-1$/);
    expect(found(here)).toMatchObject([{ table: "underlays", inBin: "theirs" }]);
    const mine = (await here.photos.underlayOf(id))?.picture;
    await here.bin.putBack(found(here)[0].binId);
    expect((await here.photos.underlayOf(id))?.picture).not.toBe(mine);
  });

  it("moved there, faded here: told as well, for a picture and its place are one thing", async () => {
    const { id, seen } = await begun();
    await there.photos.changeUnderlay(id, { datumX: 10 }, seen);
    await here.photos.changeUnderlay(id, { opacity: 0.9 }, seen);
    expect(await here.photos.underlayOf(id)).toMatchObject({ datumX: 150, opacity: 0.9 });
    expect(found(here)).toHaveLength(1);
    await here.bin.putBack(found(here)[0].binId);
    expect(await here.photos.underlayOf(id)).toMatchObject({ datumX: 10, opacity: 0.4 });
  });

  it("taken away there, changed here: it stays away", async () => {
    const { id, seen } = await begun();
    await there.photos.removeUnderlay(id);
    expect(await here.photos.changeUnderlay(id, { opacity: 0.9 }, seen)).toBe(false);
    expect(await here.photos.underlayOf(id)).toBeNull();
    expect(await binned()).toEqual(["photo under a knife, deleted"]);
  });
});

describe("prices and settings in two tabs", () => {
  const price = (perKg: number) => ({ by: "weight", perKg }) as const;
  const set = (tab: Tab, key: string, perKg: number, seen: Parameters<Tab["shop"]["changeShop"]>[1]) =>
    tab.shop.changeShop((s) => ({ ...s, prices: { ...s.prices, [key]: price(perKg) } }), seen);

  it("of two things both are kept", async () => {
    const seen = await here.shop.keptShop();
    await set(there, "teak", 5, seen);
    await set(here, "g10", 7, seen);
    expect((await here.shop.keptShop()).prices).toEqual({ teak: price(5), g10: price(7) });
    expect(found(here)).toEqual([]);
  });

  it("of one thing: mine stands, theirs lies in the bin, and it is told", async () => {
    await set(here, "teak", 3, undefined);
    const seen = await here.shop.keptShop();
    await set(there, "teak", 5, seen);
    await set(here, "teak", 7, seen);
    expect((await here.shop.keptShop()).prices.teak).toEqual(price(7));
    expect(found(here)).toMatchObject([{ table: "settings", what: "the prices", inBin: "theirs" }]);
    await here.bin.putBack(found(here)[0].binId);
    expect((await here.shop.keptShop()).prices.teak).toEqual(price(5));
  });

  it("settings are changed one by one, on what is there", async () => {
    await there.settings.changeSettings({ units: "inch" });
    await here.settings.changeSettings({ snapMm: 1 });
    expect((await db.settings.get("preferences"))?.value).toMatchObject({ units: "inch", snapMm: 1 });
  });
});

describe("one variant in two tabs", () => {
  const begun = async () => {
    const { id } = await here.knives.addKnife(newDesign("Sedge"));
    await here.variants.addVariants(id, [{ name: "Slim", design: newDesign("Sedge") }]);
    const [seen] = await here.variants.variantsOf(id);
    return { id, seen };
  };
  const now = async (id: string) => (await here.variants.variantsOf(id))[0];

  it("renamed there, replaced here: both are kept", async () => {
    const { id, seen } = await begun();
    await there.variants.renameVariant(seen.id, "Slimmer", seen);
    await here.variants.replaceVariant(seen.id, { ...seen.design, notes: "mine" }, seen);
    expect(await now(id)).toMatchObject({ name: "Slimmer", design: { notes: "mine" } });
    expect(found(here)).toEqual([]);
  });

  it.each([
    [
      "renamed",
      (tab: Tab, seen: never, text: string) =>
        tab.variants.renameVariant((seen as { id: string }).id, text, seen),
    ],
    [
      "replaced",
      (tab: Tab, seen: never, text: string) =>
        tab.variants.replaceVariant(
          (seen as { id: string }).id,
          { ...newDesign("Sedge"), notes: text },
          seen,
        ),
    ],
  ] as const)("%s in both: told, and both can be had", async (_, change) => {
    const { id, seen } = await begun();
    await change(there, seen as never, "theirs");
    const theirs = await now(id);
    await change(here, seen as never, "mine");
    expect(JSON.stringify(await now(id))).toContain("mine");
    expect(found(here)).toMatchObject([{ table: "variants", inBin: "theirs" }]);
    await here.bin.putBack(found(here)[0].binId);
    expect(await now(id)).toMatchObject({ name: theirs.name, design: theirs.design });
  });

  it("deleted there, renamed here: it stays deleted, and can be had back", async () => {
    const { id, seen } = await begun();
    await there.variants.removeVariant(seen.id);
    await here.variants.renameVariant(seen.id, "Mine", seen);
    expect(await here.variants.variantsOf(id)).toEqual([]);
    expect(await binned()).toEqual(["variant, deleted"]);
  });
});
