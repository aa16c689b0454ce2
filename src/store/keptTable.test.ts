import "fake-indexeddb/auto";
import { liveQuery } from "dexie";
import { beforeEach, describe, expect, it, vi } from "vitest";
import { newDesign } from "@/core/knife/design/create";
import type { TableSpec } from "./tables/spec";

/** A table of the tests' own: what a feature that keeps something more has to write, and all of it. */
const SPOONS: TableSpec = {
  name: "spoons",
  since: 7,
  indexes: "id, knifeId, updatedAt",
  called: { one: "spoon", many: "spoons" },
  keyOf: (row) => (typeof row.id === "string" ? row.id : null),
  readable: (row) => typeof row.wood === "string",
  nameOf: (row) => String(row.wood),
  picturesOf: (row) => (typeof row.picture === "string" ? [row.picture] : []),
  ownedBy: {
    field: "knifeId",
    copy: (row, knifeId) => ({ ...row, id: `${row.id} too`, knifeId, revision: 1 }),
  },
};
vi.mock("./tables/list", async (original) => {
  const list = await original<typeof import("./tables/list")>();
  const TABLES = [...list.TABLES, SPOONS];
  const specOf = (name: string) => TABLES.find((t) => t.name === name);
  return {
    ...list,
    TABLES,
    specOf,
    ownedTables: () => TABLES.filter((t) => t.ownedBy),
    picturesOf: (spec: TableSpec, row: Readonly<Record<string, unknown>>) =>
      spec === SPOONS ? (SPOONS.picturesOf?.(row) ?? []) : list.picturesOf(spec, row),
  };
});

const { bringIn } = await import("./bringIn");
const { binItems, putBack } = await import("./bin");
const { backupFile, fatesIn, rowsIn, takeIn } = await import("./backup.fixtures");
const { backupAge, noteBackup, REMIND_AFTER_MS } = await import("./backup/age");
const { waitingRows } = await import("./backup/source");
const { onChange } = await import("./changes");
const { db, tableNamed } = await import("./db");
const { keptTable } = await import("./keptTable");
const { addKnife, duplicateKnife, removeKnife, restoreKnife } = await import("./knives");
const { pictureOf } = await import("./pictureOf");
const { ready, storage, writeWaiting } = await import("./storage");
const { backupContentWords } = await import("@/words/backup");

interface Spoon {
  readonly id: string;
  readonly knifeId: string;
  readonly wood: string;
  readonly lengthMm?: number;
  readonly picture?: string;
  readonly revision?: number;
}
const spoons = keptTable<Spoon>(SPOONS);
const rows = () => tableNamed<Spoon>("spoons").toArray();
const alder = (knifeId = "k"): Spoon => ({ id: "s", knifeId, wood: "alder", lengthMm: 170 });

beforeEach(async () => {
  await ready();
  for (const table of db.tables) await table.clear();
});

/** The browser's database takes nothing until it is told to. */
function refuse() {
  vi.spyOn(console, "error").mockImplementation(() => undefined);
  const spy = vi
    .spyOn(db, "transaction")
    .mockImplementation((() => Promise.reject(new DOMException("full", "QuotaExceededError"))) as never);
  return () => {
    spy.mockRestore();
    vi.restoreAllMocks();
  };
}

describe("a table that is added to the list", () => {
  it("is in the database, the backup, its words and its preview, and comes back out of it", async () => {
    await spoons.save(null, alder());
    expect(backupContentWords()).toContain("spoons");
    const file = await backupFile();
    expect((await rowsIn(file)).spoons).toMatchObject([{ id: "s", wood: "alder" }]);
    expect(await fatesIn(file)).toMatchObject({ "spoons same": 1 });
    await tableNamed("spoons").clear();
    expect(await fatesIn(file)).toMatchObject({ "spoons new": 1 });
    await takeIn(file, "merge-newer");
    expect(await rows()).toMatchObject([{ id: "s", wood: "alder" }]);
  });

  it("goes into the bin with its knife and by itself, comes back, and is copied with its knife", async () => {
    const knife = await addKnife(newDesign("Sedge"));
    await spoons.save(null, alder(knife.id));
    const copy = await duplicateKnife(knife);
    expect((await rows()).map((s) => [s.id, s.knifeId])).toEqual([
      ["s", knife.id],
      ["s too", copy.id],
    ]);
    await removeKnife(knife.id);
    expect((await rows()).map((s) => s.id)).toEqual(["s too"]);
    await restoreKnife(knife.id);
    expect((await rows()).map((s) => s.id)).toEqual(["s", "s too"]);
    const removed = await spoons.remove("s");
    expect((await binItems()).map((i) => [i.name, i.kind, i.because])).toEqual([
      ["alder", "spoon", "deleted"],
    ]);
    expect(removed.ok && (await putBack(removed.binId ?? ""))).toEqual({ ok: true, swapped: false });
    expect((await rows()).map((s) => s.id)).toEqual(["s", "s too"]);
  });

  it("is held, shown, told and exported while the database takes nothing, and written in the end", async () => {
    const takeAgain = refuse();
    const picture = pictureOf(Uint8Array.from([1, 2, 3]), "image/png");
    const saved = await spoons.save(null, { ...alder(), picture: picture.id }, { pictures: [picture] });
    expect(saved).toMatchObject({ ok: true, waits: true });
    expect([...storage.getState().waiting.values()]).toEqual(["alder"]);
    expect((await spoons.rows()).map((s) => s.wood)).toEqual(["alder"]);
    expect(waitingRows()).toMatchObject({
      rows: { spoons: [{ wood: "alder" }] },
      pictures: [{ id: picture.id }],
    });
    takeAgain();
    const pictures: string[] = [];
    const { readBackup } = await import("@/core/exchange/files/backup/read");
    await readBackup(await backupFile(), {
      row: () => undefined,
      picture: ({ id }) => {
        pictures.push(id);
      },
    });
    expect(pictures).toEqual([picture.id]);
    expect(await writeWaiting()).toBe(true);
    expect(await rows()).toMatchObject([{ id: "s", revision: 1 }]);
    expect(await db.pictures.count()).toBe(1);
    expect(storage.getState().waiting.size).toBe(0);
  });

  it("is heard of by the folder copy, and counts for the reminder", async () => {
    const heard = vi.fn();
    const stop = onChange([SPOONS], heard);
    await noteBackup(Date.now() - 1);
    expect(heard).not.toHaveBeenCalled();
    await spoons.save(null, alder());
    await vi.waitFor(() => expect(heard).toHaveBeenCalled());
    stop();
    expect((await backupAge(Date.now() + REMIND_AFTER_MS + 1000)).due).toBe(true);
  });

  it("is followed by a live query, also where that asks while a row is just being written", async () => {
    const woods: string[] = [];
    const following = liveQuery(() => spoons.row("s")).subscribe((row) => woods.push(row?.wood ?? "none"));
    await vi.waitFor(() => expect(woods).toEqual(["none"]));
    for (const wood of ["alder", "lime", "birch"]) {
      await spoons.change("s", (now) => ({ base: now ?? null, row: { ...(now ?? alder()), wood } }));
      await vi.waitFor(() => expect(woods.at(-1)).toBe(wood));
    }
    following.unsubscribe();
  });

  it("comes in by the hundred in one transaction, all or none, and goes out again but for what was changed since", async () => {
    const incoming = Array.from({ length: 300 }, (_, i) => ({
      spec: SPOONS,
      key: `s${i}`,
      row: () => ({ id: `s${i}`, knifeId: "k", wood: "alder" }),
    }));
    const told: number[] = [];
    const transactions = vi.spyOn(db, "transaction");
    const brought = await bringIn(incoming, (done) => told.push(done));
    expect(transactions).toHaveBeenCalledTimes(1);
    transactions.mockRestore();
    expect(brought.count).toBe(300);
    expect(told.length).toBeGreaterThan(5);
    await spoons.change("s7", (now) => (now ? { base: now, row: { ...now, wood: "lime" } } : null));
    expect(await brought.undo()).toEqual({ kept: 1 });
    expect(await rows()).toMatchObject([{ id: "s7", wood: "lime" }]);

    const fails = {
      spec: SPOONS,
      key: "x",
      row: () => {
        throw new Error("no");
      },
    };
    await expect(bringIn([...incoming, fails])).rejects.toThrow("no");
    expect(await rows()).toHaveLength(1);
  });
});
