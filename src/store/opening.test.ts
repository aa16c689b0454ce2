import { asFixed } from "@/core/knife/design/fixed.fixtures";
import "fake-indexeddb/auto";
import Dexie from "dexie";
import { afterEach, beforeEach, describe, expect, it, vi } from "vitest";
import { newDesign } from "@/core/knife/design/create";

/** A page of its own: its modules, and the browser's database as it is made to behave. */
async function page(make: (real: IDBFactory) => Partial<IDBFactory> | undefined) {
  vi.resetModules();
  const plain = make(real);
  vi.stubGlobal("indexedDB", plain && new Proxy(plain, { get: (t, k) => Reflect.get(t, k) ?? undefined }));
  const [{ db }, { ready, storage }, { leaveMemory }, { addKnife, readableKnives }] = await Promise.all([
    import("./db"),
    import("./storage"),
    import("./leaveMemory"),
    import("./knives"),
  ]);
  return { db, ready, storage, leaveMemory, addKnife, readableKnives };
}
const real = indexedDB;
const silent = () => new EventTarget() as IDBOpenDBRequest;
const bound = (factory: IDBFactory) =>
  ({
    open: factory.open.bind(factory),
    cmp: factory.cmp.bind(factory),
    databases: factory.databases?.bind(factory),
  }) as never;

beforeEach(() => {
  vi.spyOn(console, "error").mockImplementation(() => undefined);
});
afterEach(async () => {
  vi.unstubAllGlobals();
  vi.restoreAllMocks();
  await Dexie.delete("euaxis");
});

describe("a browser that", () => {
  it.each<[string, (real: IDBFactory) => Partial<IDBFactory> | undefined, string]>([
    ["has no database", () => undefined, "unavailable"],
    [
      "forbids it",
      () => ({
        open: () => {
          throw new DOMException("forbidden", "SecurityError");
        },
      }),
      "unavailable",
    ],
    ["never answers", () => ({ open: silent }), "silent"],
  ])("%s: work goes on in memory, and it is said", async (_, make, trouble) => {
    const { ready, storage, addKnife, readableKnives, db } = await page(make);
    const begun = Date.now();
    await ready();
    expect(Date.now() - begun).toBeLessThan(4500);
    expect(storage.getState()).toMatchObject({ state: "memory", trouble });
    await addKnife(newDesign("Sedge"));
    expect((await readableKnives()).map((k) => k.design.name)).toEqual(["Sedge"]);
    const { liveQuery } = await import("dexie");
    const counted = await new Promise((answer) => liveQuery(() => db.knives.count()).subscribe(answer));
    expect(counted, "and what is shown is followed").toBe(1);
  });

  it("answers again takes what was made meanwhile, and keeps what it had", async () => {
    const first = await page(bound);
    await first.ready();
    await first.addKnife(newDesign("Old"));
    first.db.close();

    let answers = false;
    const { ready, storage, leaveMemory, addKnife, db } = await page((f) => ({
      ...(bound(f) as object),
      open: (...args: [string, number?]) => (answers ? f.open(...args) : silent()),
    }));
    await ready();
    const record = await addKnife(newDesign("New"));
    const [{ createAutosave }, { createSession }] = await Promise.all([
      import("./autosave"),
      import("./session"),
    ]);
    const autosave = createAutosave(createSession(record.design), record);
    expect(await leaveMemory(), "not yet").toBe(false);
    expect(await db.knives.count(), "and nothing is lost by trying").toBe(1);
    answers = true;
    expect(await leaveMemory()).toBe(true);
    expect(storage.getState()).toMatchObject({ state: "open", trouble: null });
    const names = (await db.knives.toArray()).map((k) => (k.design as { name: string }).name);
    expect(names.sort()).toEqual(["New", "Old"]);
    await new Promise((r) => setTimeout(r, 100));
    expect(autosave.getState().status, "the knife on the bench goes along").toBe("kept");
    autosave.dispose();
    db.close();
  });

  it("answers again has edits wait that are made while it is changed over, and loses none", async () => {
    let answers = false;
    const { ready, leaveMemory, addKnife, readableKnives, db } = await page((f) => ({
      ...(bound(f) as object),
      open: (...args: [string, number?]) => (answers ? f.open(...args) : silent()),
    }));
    await ready();
    const record = await addKnife(newDesign("New"));
    const [{ createAutosave }, { createSession }, { spine }] = await Promise.all([
      import("./autosave"),
      import("./session"),
      import("./session.fixtures"),
    ]);
    const session = createSession(record.design);
    const autosave = createAutosave(session, record);
    answers = true;
    const leaving = leaveMemory();
    const edits = [5, 6, 7].map((mm) => {
      spine(session, mm);
      return autosave.flush();
    });
    expect(await leaving).toBe(true);
    await Promise.all(edits);
    expect(autosave.getState().status).toBe("kept");
    expect((await readableKnives()).map((k) => asFixed(k.design).blade.spineMm)).toEqual([7]);
    autosave.dispose();
    db.close();
  });

  it("opens again but takes nothing leaves all in memory as it was", async () => {
    let answers = false;
    const { ready, storage, leaveMemory, addKnife, readableKnives, db } = await page((f) => ({
      ...(bound(f) as object),
      open: (...args: [string, number?]) => (answers ? f.open(...args) : silent()),
    }));
    await ready();
    await addKnife(newDesign("New"));
    answers = true;
    const full = vi.spyOn(IDBObjectStore.prototype, "put").mockImplementationOnce(() => {
      throw new DOMException("full", "QuotaExceededError");
    });
    expect(await leaveMemory()).toBe(false);
    full.mockRestore();
    expect(storage.getState().state).toBe("memory");
    expect((await readableKnives()).map((k) => k.design.name)).toEqual(["New"]);
    expect(await leaveMemory()).toBe(true);
    expect((await readableKnives()).map((k) => k.design.name)).toEqual(["New"]);
    db.close();
  });

  it("is held by a tab of an older layout says so; when that tab lets go, it opens", async () => {
    const old = real.open("euaxis", 20);
    await new Promise((done) => {
      old.onupgradeneeded = () => {
        old.result.createObjectStore("knives", { keyPath: "id" }).createIndex("createdAt", "createdAt");
        old.result.createObjectStore("settings", { keyPath: "key" });
      };
      old.onsuccess = done;
    });
    const { ready, storage, leaveMemory, db } = await page(bound);
    await ready();
    expect(storage.getState()).toMatchObject({ state: "memory", trouble: "blocked" });
    old.result.close();
    expect(await leaveMemory()).toBe(true);
    expect(storage.getState().state).toBe("open");
    db.close();
  });
});
