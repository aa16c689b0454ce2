import { createStore } from "zustand/vanilla";
import { clamp } from "@/core/base/number";
import { noteBackup } from "./backup/age";
import { createBackupJobs } from "./backup/client";
import { backedUpTables } from "./backup/source";
import { onChange } from "./changes";
import { BACKUP_FOLDER, db } from "./db";
import { ready } from "./storage";

/** Changes rest so long before they are backed up, ms; a row of them is backed up at least so often. */
const REST_MS = 20_000;
const AT_LEAST_MS = 5 * 60_000;

/** What this needs of a folder that the browser was given access to. */
interface Folder {
  readonly name: string;
  queryPermission?(options: { mode: "readwrite" }): Promise<PermissionState>;
  requestPermission?(options: { mode: "readwrite" }): Promise<PermissionState>;
  getFileHandle(
    name: string,
    options: { create: boolean },
  ): Promise<{ createWritable(): Promise<{ write(file: Blob): Promise<void>; close(): Promise<void> }> }>;
}

export interface FolderState {
  readonly state: "none" | "ask" | "on" | "failed";
  readonly name: string | null;
  /** When it was last written to, ms. */
  readonly wroteAt: number | null;
}

export const folder = createStore<FolderState>(() => ({ state: "none", name: null, wroteAt: null }));

let chosen: Folder | null = null;
let stopWatching: (() => void) | null = null;
let timer: ReturnType<typeof setTimeout> | null = null;
let since = 0;

/** Whether this browser can give access to a folder at all. */
export function canUseFolder(): boolean {
  return typeof window !== "undefined" && "showDirectoryPicker" in window;
}

/** Takes up the folder that was chosen on an earlier visit; asks nothing. */
export async function takeUpFolder(): Promise<void> {
  await ready();
  const kept = (await db.device.get(BACKUP_FOLDER))?.value as Folder | undefined;
  if (!kept || typeof kept.getFileHandle !== "function") return;
  const may = kept.queryPermission ? await kept.queryPermission({ mode: "readwrite" }) : "granted";
  begin(kept, may === "granted");
}

/** Lets the maker choose a folder, and backs up to it at once and from then on. False where they chose none. */
export async function chooseFolder(): Promise<boolean> {
  const picker = (window as unknown as { showDirectoryPicker(o: object): Promise<Folder> })
    .showDirectoryPicker;
  let picked: Folder;
  try {
    picked = await picker.call(window, { id: "euaxis-backup", mode: "readwrite" });
  } catch {
    return false;
  }
  await db.device.put({ key: BACKUP_FOLDER, value: picked });
  begin(picked, true);
  await backUpNow();
  return true;
}

/** Asks for access to the chosen folder again, as browsers want it on a new visit. */
export async function allowFolder(): Promise<void> {
  if (!chosen?.requestPermission) return;
  const may = await chosen.requestPermission({ mode: "readwrite" });
  begin(chosen, may === "granted");
  if (may === "granted") await backUpNow();
}

/** Backs up to no folder any more; what is there stays. */
export async function leaveFolder(): Promise<void> {
  stopWatching?.();
  stopWatching = null;
  chosen = null;
  await db.device.delete(BACKUP_FOLDER);
  folder.setState({ state: "none", name: null, wroteAt: null });
}

function begin(taken: Folder, granted: boolean): void {
  chosen = taken;
  folder.setState({ state: granted ? "on" : "ask", name: taken.name });
  stopWatching?.();
  stopWatching = granted ? onChange(backedUpTables(), later) : null;
}

function later(): void {
  const now = Date.now();
  if (!timer) since = now;
  else clearTimeout(timer);
  timer = setTimeout(() => void backUpNow(), clamp(since + AT_LEAST_MS - now, 0, REST_MS));
}

/** Writes today's backup into the folder, in place of an earlier one of today. */
export async function backUpNow(): Promise<boolean> {
  if (timer) clearTimeout(timer);
  timer = null;
  if (!chosen) return false;
  const jobs = createBackupJobs();
  try {
    const saved = await jobs.save();
    if (!saved.ok) throw new Error(saved.message);
    const file = await chosen.getFileHandle(`euaxis-backup-${saved.value.made.slice(0, 10)}.zip`, {
      create: true,
    });
    const out = await file.createWritable();
    await out.write(saved.value.file);
    await out.close();
    await noteBackup();
    folder.setState({ state: "on", wroteAt: Date.now() });
    return true;
  } catch (error) {
    console.error("the backup could not be written to its folder", error);
    folder.setState({ state: "failed" });
    return false;
  } finally {
    jobs.cancel();
  }
}
