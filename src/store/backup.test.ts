import { RECORD_VERSION } from "@/core/knife/design/version";
import "fake-indexeddb/auto";
import { beforeEach, describe, expect, it, vi } from "vitest";
import { readBackup } from "@/core/exchange/files/backup/read";
import { newDesign } from "@/core/knife/design/create";
import { backupAge, noteBackup, REMIND_AFTER_MS } from "./backup/age";
import { undoRestore } from "./backup/restore";
import { backupFile, fatesIn, oldBackup, rowsIn, takeIn } from "./backup.fixtures";
import { BIN_DAYS, binItems, deleteForGood, emptyOldBin } from "./bin";
import { db } from "./db";
import { layOutDemoKnivesOnce } from "./demo";
import { addKnife, changeDesign, getKnife, readableKnives, removeKnife } from "./knives";
import { changeSettings } from "./settings";
import { changeShop } from "./shop";
import { ready } from "./storage";
import { TABLES } from "./tables/list";
import { addVariants } from "./variants";

const all = db.tables;
beforeEach(async () => {
  await ready();
  for (const table of all) await table.clear();
});

/** A rack with something of everything. */
async function filled() {
  const sedge = await addKnife(newDesign("Sedge"));
  const rush = await addKnife(newDesign("Rush"));
  await addVariants(sedge.id, [{ name: "Slim", design: newDesign("Sedge") }]);
  const gone = await addKnife(newDesign("Reed"));
  await removeKnife(gone.id);
  await db.steps.put({
    knifeId: sedge.id,
    at: 0,
    label: "x",
    undone: false,
    version: RECORD_VERSION,
    before: {},
    after: {},
  });
  await changeSettings({ units: "inch" });
  await changeShop((s) => ({ ...s, ratePerHour: 40 }));
  await db.device.put({ key: "thing", value: 1 });
  return { sedge, rush };
}
const backedUp = TABLES.filter((t) => t.backedUp !== false);
const content = async () =>
  Object.fromEntries(
    await Promise.all(backedUp.map(async (t) => [t.name, await db.table(t.name).toArray()] as const)),
  );

describe("a backup", () => {
  it("has a place for every table but those that can be worked out anew, or are of this browser", () => {
    const kept = db.tables
      .map((t) => t.name)
      .filter((n) => !["figures", "device", "staging", "pictures"].includes(n));
    expect(backedUp.map((t) => t.name).sort()).toEqual(kept.sort());
  });

  it("holds everything, but what is of this browser alone, and comes back whole onto an empty rack", async () => {
    await filled();
    const file = await backupFile();
    expect(Object.keys(await rowsIn(file)).sort()).toEqual([
      "bin",
      "knives",
      "settings",
      "steps",
      "variants",
    ]);
    const before = await content();
    for (const table of all) await table.clear();
    await takeIn(file, "replace");
    // Each knife's revision goes up by none: there was nothing in its place.
    expect(await content()).toEqual(before);
  });

  it("is told from what is here: new, changed, the same", async () => {
    const { sedge, rush } = await filled();
    const backup = await backupFile();
    expect(await fatesIn(backup)).toEqual({
      "knives same": 2,
      "variants same": 1,
      "steps same": 1,
      "bin same": 1,
      "settings same": 2,
    });
    await changeDesign(sedge.id, (d) => ({ ...d, notes: "later" }));
    await db.knives.delete(rush.id);
    await changeSettings({ snapMm: 1 });
    expect(await fatesIn(backup)).toMatchObject({
      "knives changed": 1,
      "knives new": 1,
      "settings changed": 1,
    });
  });

  it("merges: the newer stays, or the backup's comes in; and one click undoes either", async () => {
    const { sedge, rush } = await filled();
    const backup = await backupFile();
    await new Promise((r) => setTimeout(r, 5));
    await changeDesign(sedge.id, (d) => ({ ...d, notes: "later" }));
    await db.knives.delete(rush.id);
    const own = await addKnife(newDesign("Mine"));
    const stood = await content();

    const first = await takeIn(backup, "merge-newer");
    const notes = async () => {
      const reading = await getKnife(sedge.id);
      return reading?.ok ? reading.record.design.notes : null;
    };
    expect(await notes()).toBe("later");
    expect((await readableKnives()).map((k) => k.id).sort()).toEqual([sedge.id, rush.id, own.id].sort());

    const second = await takeIn(backup, "merge-backup");
    expect(await notes()).toBe("");
    const reading = await getKnife(sedge.id);
    expect(reading?.ok && reading.record.revision, "other tabs see that it changed").toBeGreaterThan(2);

    await undoRestore(second);
    expect(await notes()).toBe("later");
    await undoRestore(first);
    await expect(undoRestore(first), "once").rejects.toThrow();
    const back = await content();
    const plain = (c: typeof back) => ({
      ...c,
      knives: c.knives.map((k: object) => ({ ...k, revision: 0 })),
      settings: c.settings.map((k: object) => ({ ...k, revision: 0 })),
    });
    expect(plain(back)).toEqual(plain(stood));
  });

  it("replaces: what is here goes, but for what is of this device", async () => {
    await filled();
    const backup = await backupFile();
    const own = await addKnife(newDesign("Mine"));
    await takeIn(backup, "replace");
    expect(await db.knives.get(own.id)).toBeUndefined();
    expect(await db.knives.count()).toBe(2);
    expect(await db.device.get("thing")).toBeDefined();
  });

  it("brings a knife's history in with it, in place of the one here, or not at all", async () => {
    const { id } = await addKnife(newDesign("Sedge"));
    const step = (at: number, label: string) =>
      db.steps.put({ knifeId: id, at, label, undone: false, version: RECORD_VERSION, before: {}, after: {} });
    for (const at of [0, 1]) await step(at, "then");
    const backup = await backupFile();
    await new Promise((r) => setTimeout(r, 5));
    await changeDesign(id, (d) => ({ ...d, notes: "later" }));
    await db.steps.clear();
    for (const at of [1, 2, 3]) await step(at, "since");
    const labels = async () => (await db.steps.toArray()).map((s) => `${s.at} ${s.label}`);

    await takeIn(backup, "merge-newer");
    expect(await labels()).toEqual(["1 since", "2 since", "3 since"]);
    await takeIn(backup, "merge-backup");
    expect(await labels()).toEqual(["0 then", "1 then"]);
  });

  it("that takes a knife's place is another revision, also where everything is replaced", async () => {
    const { id } = await addKnife(newDesign("Sedge"));
    const backup = await backupFile();
    await changeDesign(id, (d) => ({ ...d, notes: "later" }));
    await takeIn(backup, "replace");
    expect((await db.knives.get(id))?.revision, "a tab that has revision 2 open sees it").toBe(3);
  });

  it("leaves out what cannot be read, and changes nothing where the database fails", async () => {
    await filled();
    const backup = await backupFile();
    const rows = await rowsIn(backup);
    const knives = [...rows.knives, { id: "bad", design: {} }, { design: {} }, { ...rows.knives[0] }];
    const bent = oldBackup({ ...rows, knives, spoons: [{ id: "x" }] });
    expect(await fatesIn(bent)).toMatchObject({ "knives same": 2, "knives unreadable": 3 });
    await takeIn(bent, "merge-backup");
    expect(await db.knives.count()).toBe(2);
    const before = await content();
    const put = vi
      .spyOn(db.settings, "put")
      .mockRejectedValue(new DOMException("full", "QuotaExceededError"));
    await expect(takeIn(bent, "replace")).rejects.toThrow("full");
    put.mockRestore();
    expect(await content()).toEqual(before);
  });

  it.each([
    ["", "not-json"],
    ["[]", "foreign"],
    ['{"format":"euaxis-knife"}', "foreign"],
    ['{"format":"euaxis-backup","version":0.5}', "no-version"],
    ['{"format":"euaxis-backup","version":3}', "newer"],
    ['{"format":"euaxis-backup","version":1}', "incomplete"],
    ['{"format":"euaxis-backup","version":1,"made":"2026-11-27","holds":{"knives":[1]}}', "incomplete"],
    [`${"[".repeat(100_000)}`, "not-json"],
  ])("that is none is refused: %j", async (text, code) => {
    expect(await readBackup(new Blob([text]), { row: () => undefined })).toMatchObject({ ok: false, code });
  });
});

describe("the reminder", () => {
  it("comes with work that is two weeks old and in no backup, not for demo knives", async () => {
    await layOutDemoKnivesOnce();
    const later = Date.now() + REMIND_AFTER_MS + 1000;
    expect(await backupAge(later)).toEqual({ last: null, due: false });
    const { id } = await addKnife(newDesign("Mine"));
    await changeDesign(id, (d) => ({ ...d, notes: "work" }));
    expect((await backupAge()).due).toBe(false);
    expect((await backupAge(later)).due).toBe(true);
    await noteBackup(later);
    expect(await backupAge(later + 2 * REMIND_AFTER_MS)).toEqual({ last: later, due: false });
  });
});

describe("the bin", () => {
  it("keeps deleted knives for thirty days, the last first, and lets them go then or when it is told to", async () => {
    const [a, b] = [await addKnife(newDesign("Sedge")), await addKnife(newDesign("Rush"))];
    await removeKnife(a.id);
    await db.bin.update(a.id, { deletedAt: Date.now() - 10 * 24 * 3600 * 1000 });
    await removeKnife(b.id);
    expect((await binItems()).map((i) => [i.name, i.daysLeft])).toEqual([
      ["Rush", BIN_DAYS],
      ["Sedge", BIN_DAYS - 10],
    ]);
    await emptyOldBin();
    expect(await db.bin.count()).toBe(2);
    await emptyOldBin(Date.now() + 21 * 24 * 3600 * 1000);
    expect((await binItems()).map((i) => i.name)).toEqual(["Rush"]);
    await deleteForGood([b.id]);
    expect(await db.bin.count()).toBe(0);
  });
});
