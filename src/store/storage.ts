import { createStore } from "zustand/vanilla";
import { db } from "./db";
import { keepInBrowser, keepInMemory } from "./factory";

/** Why the browser does not keep what it is given. */
export type StorageTrouble =
  /** Private windows of some browsers, or one that forbids it. */
  | "unavailable"
  /** It neither opens nor says why. */
  | "silent"
  /** Another tab holds an older layout of the database open. */
  | "blocked"
  | "full"
  | "refused";

export interface StorageState {
  /** Before "open" nothing can be asked; in "memory" everything is gone with the tab. */
  readonly state: "opening" | "open" | "memory";
  readonly trouble: StorageTrouble | null;
  /** Things that could not be written and wait in memory, by key; what they are in words. */
  readonly waiting: ReadonlyMap<string, string>;
  /** Another tab runs a newer Euaxis on the same database. */
  readonly newerTab: boolean;
}

export const storage = createStore<StorageState>(() => ({
  state: "opening",
  trouble: null,
  waiting: new Map(),
  newerTab: false,
}));

/** A database that has not opened by then is done without, ms. */
const OPEN_WITHIN_MS = 3000;
/** Between two tries to write what waits, ms: soon at first, then ever less often. */
const RETRY_MS = [1000, 2000, 5000, 15_000, 30_000];

/** How ids of demo knives begin. */
export const DEMO_ID = "demo-";

let opening: Promise<void> | null = null;
let blocked = false;

db.on("blocked", () => {
  blocked = true;
});
// A newer Euaxis in another tab wants to change the layout: this tab lets go, and opens again in the new one.
db.on("versionchange", () => {
  storage.setState({ newerTab: true });
});

/** Opens the database once; answers when it can be asked. Falls back to memory, and says so, where it does not open. */
export function ready(): Promise<void> {
  opening ??= open();
  return opening;
}

async function open(): Promise<void> {
  const trouble = await tryToOpen();
  if (trouble === null) return storage.setState({ state: "open" });
  try {
    await openMemoryAgain();
  } catch (error) {
    // Not even that: every question fails, and whoever asks reports it; what is made is held as unwritten.
    console.error("there is no database in memory either", error);
  }
  storage.setState({ state: "memory", trouble });
}

async function tryToOpen(): Promise<StorageTrouble | null> {
  blocked = false;
  let timer: ReturnType<typeof setTimeout> | undefined;
  const late = new Promise<"late">((answer) => {
    timer = setTimeout(() => answer("late"), OPEN_WITHIN_MS);
  });
  try {
    const opened = await Promise.race([db.open().then(() => "open" as const), late]);
    if (opened === "open") return null;
    return blocked ? "blocked" : "silent";
  } catch (error) {
    return troubleOf(error);
  } finally {
    clearTimeout(timer);
  }
}

/** What an error of the database comes down to. */
export function troubleOf(error: unknown): StorageTrouble {
  const names: string[] = [];
  for (let e = error, depth = 0; e instanceof Error && depth < 4; depth++) {
    names.push(e.name, e.message);
    e = (e as { inner?: unknown }).inner;
  }
  const said = names.join(" ");
  if (/quota/i.test(said)) return "full";
  if (/MissingAPI|InvalidState|SecurityError|not available/i.test(said)) return "unavailable";
  return "refused";
}

type Write = () => Promise<void>;
const waiting = new Map<string, { readonly what: string; readonly write: Write }>();
let tries = 0;
let timer: ReturnType<typeof setTimeout> | null = null;

/**
 * Writes now. What fails is said, and tried again until it succeeds or something newer of the same key takes its
 * place; the caller holds what it wrote meanwhile. Answers whether it was written at once.
 */
export async function writeWithRetry(key: string, what: string, write: Write): Promise<boolean> {
  try {
    await ready();
    await whileUnderWay(write);
    waiting.delete(key);
    tell(null);
    return true;
  } catch (error) {
    console.error(`${what} could not be written`, error);
    waiting.set(key, { what, write });
    tell(troubleOf(error));
    tryLater();
    return false;
  }
}

function tell(trouble: StorageTrouble | null): void {
  const now = storage.getState();
  const standing = waiting.size > 0 || now.state === "memory" ? (trouble ?? now.trouble) : null;
  if (now.waiting.size === 0 && waiting.size === 0 && standing === now.trouble) return;
  storage.setState({ trouble: standing, waiting: new Map([...waiting].map(([k, w]) => [k, w.what])) });
}

function tryLater(): void {
  if (timer) return;
  timer = setTimeout(
    () => {
      timer = null;
      void writeWaiting();
    },
    RETRY_MS[Math.min(tries++, RETRY_MS.length - 1)],
  );
}

/** Tries to write all that waits. Answers whether nothing waits any more. */
export async function writeWaiting(): Promise<boolean> {
  for (const [key, { write }] of [...waiting]) {
    try {
      await whileUnderWay(write);
      // Something newer may have failed meanwhile, and waits now.
      if (waiting.get(key)?.write === write) waiting.delete(key);
      tell(null);
    } catch (error) {
      tell(troubleOf(error));
      tryLater();
      return false;
    }
  }
  tries = 0;
  return true;
}

/** Forgets a write that waits: what it was of is gone. */
export function giveUpWaiting(key: string): void {
  if (waiting.delete(key)) tell(null);
}

const underWay = new Set<Promise<void>>();

async function whileUnderWay(write: Write): Promise<void> {
  const writing = write();
  underWay.add(writing);
  await writing.finally(() => underWay.delete(writing));
}

let suspensionEnded: () => void = () => undefined;

/**
 * Has whoever would write or ask wait while the database is changed for another, until `endSuspension`; answers when the
 * writes under way have ended. What is missing meanwhile is not deleted.
 */
export async function suspend(): Promise<void> {
  opening = new Promise((done) => {
    suspensionEnded = done;
  });
  storage.setState({ state: "opening" });
  await Promise.allSettled(underWay);
}

/** Closes the database in memory and opens the browser's in its place. Answers whether it opened. */
export async function openBrowserAgain(): Promise<boolean> {
  db.close();
  keepInBrowser();
  const trouble = await tryToOpen();
  if (trouble !== null) storage.setState({ trouble });
  return trouble === null;
}

/** Closes the browser's database, or what there was of it, and opens an empty one in memory in its place. */
export async function openMemoryAgain(): Promise<void> {
  db.close();
  await keepInMemory();
  await db.open();
}

/** Says where things are kept from here on, and lets go on who waited. */
export function endSuspension(state: "open" | "memory"): void {
  storage.setState(state === "open" ? { state, trouble: null } : { state });
  suspensionEnded();
}

/** Asks the browser not to clear what is kept when it runs short of room. Null where it cannot be asked. */
export async function askToPersist(): Promise<boolean | null> {
  if (typeof navigator === "undefined" || !navigator.storage?.persist) return null;
  try {
    return (await navigator.storage.persisted()) || (await navigator.storage.persist());
  } catch {
    return null;
  }
}
