import "fake-indexeddb/auto";
import { afterEach, beforeEach, describe, expect, it, vi } from "vitest";
import { newDesign } from "@/core/knife/design/create";
import { ownId, plainOwn } from "@/core/materials/own/make";
import { startOver } from "@/workers/port.fixtures";
import { backupService } from "./backup/backup.service";
import { rowsIn } from "./backup.fixtures";
import { BACKUP_FOLDER, db } from "./db";
import { allowFolder, backUpNow, chooseFolder, folder, leaveFolder, takeUpFolder } from "./folder";
import { addKnife, changeDesign, removeKnife } from "./knives";
import { keepMaterial } from "./ownMaterials";
import { photoOf } from "./photos.fixtures";
import { changeSettings } from "./settings";
import { changeShop } from "./shop";
import { ready } from "./storage";
import { putUnderlay } from "./underlays";
import { addVariants, renameVariant, variantsOf } from "./variants";

/** A folder as a browser gives access to one, its files in memory. The device that is stood in for. */
function deviceFolder(permission: PermissionState = "granted") {
  const files = new Map<string, Blob>();
  const device = {
    name: "Bench backups",
    permission,
    files,
    full: false,
    writes: 0,
    queryPermission: async () => device.permission,
    requestPermission: async () => {
      device.permission = "granted";
      return device.permission;
    },
    getFileHandle: async (name: string) => ({
      createWritable: async () => ({
        write: async (file: Blob) => {
          if (device.full) throw new DOMException("no room", "QuotaExceededError");
          files.set(name, file);
        },
        close: async () => {
          device.writes++;
        },
      }),
    }),
  };
  return device;
}

/** The setting that holds the folder: a browser keeps such an object, the database of these tests cannot. */
function keepsFolder(device: object | undefined) {
  const plain = db.device.get.bind(db.device);
  vi.spyOn(db.device, "get").mockImplementation(((key: string) =>
    key === BACKUP_FOLDER ? Promise.resolve(device && { key, value: device }) : plain(key)) as never);
  const put = db.device.put.bind(db.device);
  vi.spyOn(db.device, "put").mockImplementation(((row: { key: string }) =>
    row.key === BACKUP_FOLDER ? Promise.resolve(row.key) : put(row as never)) as never);
}

const namesIn = async (device: ReturnType<typeof deviceFolder>) => {
  const [file] = device.files.values();
  return (await rowsIn(file)).knives.map((k) => (k.design as { name: string }).name);
};

beforeEach(async () => {
  await ready();
  for (const table of db.tables) await table.clear();
  // A worker, its two ends over a real channel.
  vi.stubGlobal(
    "Worker",
    class {
      constructor() {
        // biome-ignore lint/correctness/noConstructorReturn: it stands in for the browser's own class
        return startOver(backupService).start();
      }
    },
  );
});
afterEach(async () => {
  vi.useRealTimers();
  await leaveFolder();
  vi.restoreAllMocks();
  vi.unstubAllGlobals();
});

describe("backups to a folder by themselves", () => {
  it("begin at once with the folder that is chosen, one file a day", async () => {
    const device = deviceFolder();
    keepsFolder(undefined);
    vi.stubGlobal("window", { showDirectoryPicker: async () => device });
    await addKnife(newDesign("Sedge"));
    expect(await chooseFolder()).toBe(true);
    expect(folder.getState()).toMatchObject({ state: "on", name: "Bench backups" });
    expect([...device.files.keys()]).toEqual([`euaxis-backup-${new Date().toISOString().slice(0, 10)}.zip`]);
    expect(await namesIn(device)).toEqual(["Sedge"]);
    await addKnife(newDesign("Rush"));
    expect(await backUpNow()).toBe(true);
    expect(device.files.size, "the same day, the same file").toBe(1);
    expect((await namesIn(device)).sort()).toEqual(["Rush", "Sedge"]);
  });

  it("do not begin where no folder was chosen", async () => {
    keepsFolder(undefined);
    vi.stubGlobal("window", {
      showDirectoryPicker: () => Promise.reject(new DOMException("aborted", "AbortError")),
    });
    expect(await chooseFolder()).toBe(false);
    await takeUpFolder();
    expect(folder.getState().state).toBe("none");
    expect(await backUpNow()).toBe(false);
  });

  it("go on by themselves on the next visit, or once they are allowed again", async () => {
    keepsFolder(deviceFolder());
    await takeUpFolder();
    expect(folder.getState().state).toBe("on");
    await leaveFolder();
    vi.restoreAllMocks();

    const asking = deviceFolder("prompt");
    keepsFolder(asking);
    await takeUpFolder();
    expect(folder.getState()).toMatchObject({ state: "ask", name: "Bench backups" });
    expect(asking.writes, "nothing is asked of the maker by opening a page").toBe(0);
    await allowFolder();
    expect(folder.getState().state).toBe("on");
    expect(asking.writes).toBe(1);
  });

  it("say so where the folder cannot be written to, and go on when it can", async () => {
    vi.spyOn(console, "error").mockImplementation(() => undefined);
    const device = deviceFolder();
    keepsFolder(device);
    await takeUpFolder();
    device.full = true;
    expect(await backUpNow()).toBe(false);
    expect(folder.getState().state).toBe("failed");
    device.full = false;
    expect(await backUpNow()).toBe(true);
    expect(folder.getState().state).toBe("on");
  });

  it("take nothing for a folder that is none", async () => {
    keepsFolder({ name: "no folder" });
    await takeUpFolder();
    expect(folder.getState().state).toBe("none");
  });

  const sedge = () => addKnife(newDesign("Sedge"));
  it.each<[string, (id: string) => Promise<unknown>]>([
    ["a knife is begun", () => addKnife(newDesign("Rush"))],
    ["a knife is changed", (id) => changeDesign(id, (d) => ({ ...d, notes: "x" }))],
    ["a knife is deleted", (id) => removeKnife(id)],
    ["a variant is kept", (id) => addVariants(id, [{ name: "Slim", design: newDesign("Sedge") }])],
    ["a variant is renamed", async (id) => renameVariant((await variantsOf(id))[0].id, "Slimmer")],
    ["a price is changed", () => changeShop((s) => ({ ...s, ratePerHour: s.ratePerHour + 1 }))],
    ["a photo is put under a knife", (id) => putUnderlay(id, photoOf(1))],
    ["a photo is replaced", (id) => putUnderlay(id, photoOf(2))],
    ["a material is kept", () => keepMaterial(plainOwn(ownId("new")))],
    ["a setting is changed", () => changeSettings({ snapMm: 2 })],
  ])("follow when %s, after a rest", async (_, change) => {
    const { id } = await sedge();
    await addVariants(id, [{ name: "First", design: newDesign("Sedge") }]);
    if (_ === "a photo is replaced") await putUnderlay(id, photoOf(1));
    const device = deviceFolder();
    keepsFolder(device);
    await takeUpFolder();
    await new Promise((r) => setTimeout(r, 80));
    const later = vi.spyOn(globalThis, "setTimeout");
    await change(id);
    // The rest before a backup is the only wait of twenty seconds here.
    await vi.waitFor(() => expect(later.mock.calls.some(([, ms]) => ms === 20_000)).toBe(true));
    later.mockRestore();
  });

  it("do not follow themselves: noting a backup is no change", async () => {
    await sedge();
    const device = deviceFolder();
    keepsFolder(device);
    await takeUpFolder();
    await new Promise((r) => setTimeout(r, 80));
    const later = vi.spyOn(globalThis, "setTimeout");
    await backUpNow();
    await new Promise((r) => setTimeout(r, 80));
    expect(later.mock.calls.filter(([, ms]) => ms === 20_000)).toEqual([]);
    later.mockRestore();
  });
});
