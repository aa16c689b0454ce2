import { asFixed } from "@/core/knife/design/fixed.fixtures";
import "fake-indexeddb/auto";
import { afterEach, beforeEach, describe, expect, it, vi } from "vitest";
import { newDesign } from "@/core/knife/design/create";
import { createAutosave } from "./autosave";
import { saveBackup } from "./backup/save";
import { waitingRows } from "./backup/source";
import { backupFile, rowsIn } from "./backup.fixtures";
import { db } from "./db";
import { addDemoKnives } from "./demo";
import {
  addKnife,
  changeDesign,
  getKnife,
  isUnwritten,
  knifeIds,
  openKnife,
  readableKnives,
  removeKnife,
  restoreKnife,
  takenNames,
} from "./knives";
import { createSession } from "./session";
import { spine } from "./session.fixtures";
import { changeSettings } from "./settings";
import { changeShop } from "./shop";
import { ready, storage, troubleOf, writeWaiting, writeWithRetry } from "./storage";
import {
  addVariants,
  readableVariants,
  removeVariant,
  renameVariant,
  replaceVariant,
  variantsOf,
} from "./variants";

/** A browser's own errors, as its database gives them. */
const full = () => new DOMException("Encountered full disk while committing", "QuotaExceededError");

let broken: ReturnType<typeof vi.spyOn>[] = [];
/** From now on the database takes nothing. */
function refuse(error: () => Error = full): void {
  broken = [
    vi.spyOn(db.knives, "put").mockImplementation((() => Promise.reject(error())) as never),
    vi.spyOn(db, "transaction").mockImplementation((() => Promise.reject(error())) as never),
  ];
}
function takeAgain(): void {
  for (const spy of broken) spy.mockRestore();
  broken = [];
}

const rejections: unknown[] = [];
const hear = (reason: unknown) => rejections.push(reason);

beforeEach(async () => {
  vi.spyOn(console, "error").mockImplementation(() => undefined);
  process.on("unhandledRejection", hear);
  await ready();
  for (const table of [db.knives, db.variants, db.settings, db.steps, db.bin]) await table.clear();
});
afterEach(async () => {
  takeAgain();
  await writeWaiting();
  await new Promise((r) => setTimeout(r, 0));
  process.off("unhandledRejection", hear);
  vi.restoreAllMocks();
  expect(rejections.splice(0), "nothing is rejected without a hearer").toEqual([]);
});

describe("while the database takes nothing", () => {
  it("a new knife is there to work with, said to be unwritten, and written when it can be", async () => {
    refuse();
    const { id } = await addKnife(newDesign("Sedge"));
    expect(storage.getState()).toMatchObject({ trouble: "full" });
    expect([...storage.getState().waiting.values()]).toEqual(["Sedge"]);
    expect(await knifeIds()).toEqual([id]);
    expect(await takenNames()).toEqual(["Sedge"]);
    expect((await readableKnives()).map((k) => k.design.name)).toEqual(["Sedge"]);
    expect((await openKnife(id))?.reading.ok).toBe(true);
    takeAgain();
    expect(await writeWaiting()).toBe(true);
    expect(storage.getState()).toMatchObject({ trouble: null });
    expect(storage.getState().waiting.size).toBe(0);
    expect(await db.knives.count()).toBe(1);
    expect(isUnwritten(id)).toBe(false);
  });

  it("edits go on, outlive the bench being left, and are written in the end", async () => {
    const record = await addKnife(newDesign("Sedge"));
    const first = createSession(record.design);
    const autosave = createAutosave(first, record);
    refuse();
    spine(first, 5);
    expect(await autosave.flush()).toBe(false);
    expect(autosave.getState().status).toBe("failed");
    expect(await autosave.setReference(160, -20), "a reference is not said to be one").toBe(false);
    autosave.dispose();

    const again = await openKnife(record.id);
    if (!again?.reading.ok) throw new Error("not read");
    expect(asFixed(again.reading.record.design).blade.spineMm).toBe(5);
    const session = createSession(again.reading.record.design);
    const next = createAutosave(session, again.reading.record);
    spine(session, 6);
    await next.flush();
    takeAgain();
    await vi.waitFor(async () => {
      await writeWaiting();
      const kept = await getKnife(record.id);
      expect(kept?.ok && asFixed(kept.record.design).blade.spineMm).toBe(6);
    });
    expect(next.getState().status).toBe("kept");
    expect(next.getState().adopted, "its own writes are no other tab's").toBe(0);
    next.dispose();
  });

  it("tries again by itself", async () => {
    refuse();
    const { id } = await addKnife(newDesign("Sedge"));
    takeAgain();
    await vi.waitFor(async () => expect(await db.knives.get(id)).toBeDefined());
    expect(storage.getState().trouble).toBeNull();
  });

  it("renames, settings and demo knives wait too; a deletion is not done later behind the maker's back", async () => {
    const { id } = await addKnife(newDesign("Sedge"));
    refuse();
    await changeDesign(id, (d) => ({ ...d, name: "Rush" }));
    await changeSettings({ units: "inch" });
    expect(await removeKnife(id)).toBe(false);
    const kept = await getKnife(id);
    expect(kept?.ok && kept.record.design.name).toBe("Rush");
    expect([...storage.getState().waiting.values()].sort()).toEqual(["Rush", "the settings"]);
    vi.spyOn(db.knives, "bulkPut").mockRejectedValueOnce(full());
    expect(await addDemoKnives()).toBe(false);
    takeAgain();
    expect(await writeWaiting()).toBe(true);
    expect((await readableKnives()).map((k) => k.design.name)).toContain("Rush");
    expect(await db.knives.count()).toBe(19);
    expect((await db.settings.get("preferences"))?.value).toMatchObject({ units: "inch" });
  });

  it("of several settings and prices that wait, none takes another's place", async () => {
    refuse();
    await changeSettings({ units: "inch" });
    await changeSettings({ snapMm: 1 });
    expect(await changeShop((s) => ({ ...s, ratePerHour: 40 }))).toBe(true);
    expect(await changeShop((s) => ({ ...s, currency: "cr" }))).toBe(true);
    expect(await changeShop((s) => ({ ...s, ratePerHour: -1 })), "what no file could hold").toBe(false);
    expect([...storage.getState().waiting.values()].sort()).toEqual(["the prices", "the settings"]);
    takeAgain();
    expect(await writeWaiting()).toBe(true);
    expect((await db.settings.get("preferences"))?.value).toMatchObject({ units: "inch", snapMm: 1 });
    expect((await db.settings.get("shop"))?.value).toMatchObject({ ratePerHour: 40, currency: "cr" });
  });

  it("a backup holds what is only in memory", async () => {
    const record = await addKnife(newDesign("Sedge"));
    vi.spyOn(db.knives, "put").mockImplementation((() => Promise.reject(full())) as never);
    const other = await addKnife(newDesign("Rush"));
    const holds = await rowsIn(await backupFile());
    expect(holds.knives.map((k) => k.id).sort()).toEqual([record.id, other.id].sort());
    vi.mocked(db.knives.put).mockRestore();
  });
});

describe("an error of the database", () => {
  const wrapped = Object.assign(new Error("AbortError"), { name: "AbortError", inner: full() });
  it.each([
    [full(), "full"],
    [wrapped, "full"],
    [new DOMException("no", "InvalidStateError"), "unavailable"],
    [Object.assign(new Error("IndexedDB API missing"), { name: "MissingAPIError" }), "unavailable"],
    [new DOMException("Internal error", "UnknownError"), "refused"],
    ["a text", "refused"],
  ])("%s: is %s", (error, trouble) => {
    expect(troubleOf(error)).toBe(trouble);
  });
});

describe("variants, while the database takes nothing", () => {
  it("are kept, renamed and replaced in memory, shown, backed up, and written in the end", async () => {
    const { id } = await addKnife(newDesign("Sedge"));
    await addVariants(id, [{ name: "Slim", design: newDesign("Sedge") }]);
    const put = vi.spyOn(db.variants, "put").mockImplementation((() => Promise.reject(full())) as never);
    expect(await addVariants(id, [{ name: "Stout", design: newDesign("Sedge") }])).toMatchObject({
      ok: true,
    });
    const [slim, stout] = await variantsOf(id);
    expect([slim.name, stout.name]).toEqual(["Slim", "Stout"]);
    await renameVariant(slim.id, "Slimmer");
    await replaceVariant(slim.id, { ...slim.design, notes: "replaced" });
    await renameVariant("no such", "Nobody");
    expect((await readableVariants()).map((v) => `${v.name} ${v.design.notes}`)).toEqual([
      "Slimmer replaced",
      "Stout ",
    ]);
    expect((await rowsIn(await backupFile())).variants.map((v) => v.name).sort()).toEqual([
      "Slimmer",
      "Stout",
    ]);
    const only = await saveBackup(waitingRows(), undefined, { stored: false });
    expect((await rowsIn(only.file)).variants.map((v) => v.name).sort()).toEqual(["Slimmer", "Stout"]);
    expect(await db.variants.count()).toBe(1);
    put.mockRestore();
    expect(await writeWaiting()).toBe(true);
    expect((await db.variants.toArray()).map((v) => v.name).sort()).toEqual(["Slimmer", "Stout"]);
    expect(storage.getState().waiting.size).toBe(0);
  });

  it("are not taken away behind the maker's back", async () => {
    const { id } = await addKnife(newDesign("Sedge"));
    await addVariants(id, [{ name: "Slim", design: newDesign("Sedge") }]);
    const [slim] = await variantsOf(id);
    refuse();
    expect(await removeVariant(slim.id)).toEqual({ ok: false });
    takeAgain();
    expect((await variantsOf(id)).map((v) => v.name)).toEqual(["Slim"]);
  });
});

describe("a knife that waits in memory", () => {
  it("goes into the bin as it last was when it is deleted, whether or not it was ever written", async () => {
    const old = await addKnife(newDesign("Sedge"));
    const put = vi.spyOn(db.knives, "put").mockImplementation((() => Promise.reject(full())) as never);
    const made = await addKnife(newDesign("Rush"));
    await changeDesign(old.id, (d) => ({ ...d, notes: "latest" }));
    expect(isUnwritten(old.id) && isUnwritten(made.id)).toBe(true);
    for (const { id } of [old, made]) expect(await removeKnife(id)).toBe(true);
    put.mockRestore();
    expect(await knifeIds()).toEqual([]);
    expect(storage.getState().waiting.size).toBe(0);
    for (const { id } of [old, made]) expect(await restoreKnife(id)).toBe(true);
    const names = (await readableKnives()).map((k) => `${k.design.name} ${k.design.notes}`);
    expect(names.sort()).toEqual(["Rush ", "Sedge latest"]);
  });

  it("and was deleted in another tab is said to be, and does not come back by itself", async () => {
    const record = await addKnife(newDesign("Sedge"));
    const session = createSession(record.design);
    const autosave = createAutosave(session, record);
    refuse();
    spine(session, 5);
    await autosave.flush();
    takeAgain();
    await db.knives.delete(record.id);
    await writeWaiting();
    expect(autosave.getState().status).toBe("deleted");
    expect(await db.knives.count()).toBe(0);
    autosave.dispose();
  });

  it("gives way to the other tab's state where the maker takes that", async () => {
    const record = await addKnife(newDesign("Sedge"));
    const session = createSession(record.design);
    const autosave = createAutosave(session, record);
    refuse();
    spine(session, 5);
    await autosave.flush();
    takeAgain();
    await db.knives.update(record.id, { revision: 9, design: { ...record.design, notes: "theirs" } });
    await writeWaiting();
    expect(autosave.getState().status).toBe("conflict");
    autosave.takeTheirs();
    expect(isUnwritten(record.id)).toBe(false);
    const kept = await getKnife(record.id);
    expect(kept?.ok && kept.record.design.notes).toBe("theirs");
    autosave.dispose();
  });

  it("is written by what failed last, not by a retry that was under way before", async () => {
    let release: () => void = () => undefined;
    const slow = new Promise<void>((r) => {
      release = r;
    });
    let fail = true;
    const wrote: string[] = [];
    const first = async () => {
      if (fail) throw full();
      await slow;
      wrote.push("first");
    };
    await writeWithRetry("thing", "a thing", first);
    fail = false;
    const retry = writeWaiting();
    let failNew = true;
    await writeWithRetry("thing", "a thing", async () => {
      if (failNew) throw full();
      wrote.push("second");
    });
    release();
    await retry;
    expect(storage.getState().waiting.has("thing"), "the newer still waits").toBe(true);
    failNew = false;
    await writeWaiting();
    expect(wrote).toEqual(["first", "second"]);
  });
});
