import { appendFileSync, mkdtempSync, readdirSync, readFileSync, rmSync } from "node:fs";
import { tmpdir } from "node:os";
import { join } from "node:path";
import { type BrowserContext, chromium, expect, type Page } from "@playwright/test";
import config from "../playwright.config";

/** How often what is killed is killed: a few times in a test, a hundred times in a run of faults. */
export const KILLS = Number(process.env.EUAXIS_KILLS ?? 4);

/** One line of the table that `npm run faults` prints. */
interface Row {
  readonly what: string;
  readonly tried: number;
  readonly lost: number;
  /** Faults that nobody heard. */
  readonly crashed: number;
  readonly hung: number;
}

export function note(row: Row): void {
  const file = process.env.EUAXIS_FAULT_ROWS;
  if (file) appendFileSync(file, `${JSON.stringify(row)}\n`);
}

/** Notes what a page came through: what it threw, and whether it answers. That nothing is lost was looked at before. */
export async function noteOf(
  page: Page,
  what: string,
  tried: number,
  heard: readonly string[],
): Promise<void> {
  const begun = Date.now();
  await page.evaluate(() => document.title);
  note({ what, tried, lost: 0, crashed: heard.length, hung: Date.now() - begun > 2000 ? 1 : 0 });
}

/** Everything that a page throws, or promises and breaks, without anybody hearing it. */
export function unheard(page: Page): string[] {
  const heard: string[] = [];
  page.on("pageerror", (error) => heard.push(error.message));
  return heard;
}

/** What a page may be made to do to its database before the application begins. */
export type Fault = "refuses" | "full" | "never answers" | "is missing" | "cannot be opened";

/**
 * Puts a fault into the browser's database, from the start or once `window.faulty` is set. The application is as it is.
 */
export async function breakDatabase(page: Page, fault: Fault): Promise<void> {
  await page.addInitScript((kind) => {
    const w = window as unknown as { faulty?: boolean };
    if (kind === "is missing") Object.defineProperty(window, "indexedDB", { value: undefined });
    else if (kind === "cannot be opened")
      IDBFactory.prototype.open = () => {
        throw new DOMException("The user denied permission to access the database.", "SecurityError");
      };
    else if (kind === "never answers") {
      const plain = IDBFactory.prototype.open;
      IDBFactory.prototype.open = function (...args) {
        return w.faulty === false ? plain.apply(this, args) : (new EventTarget() as IDBOpenDBRequest);
      };
    } else
      for (const method of ["put", "add"] as const) {
        const plain = IDBObjectStore.prototype[method];
        IDBObjectStore.prototype[method] = function (...args: [unknown, IDBValidKey?]) {
          if (w.faulty)
            throw kind === "full"
              ? new DOMException("Encountered full disk while opening backing store", "QuotaExceededError")
              : new DOMException("Internal error", "UnknownError");
          return plain.apply(this, args);
        };
      }
  }, fault);
}

export const setFaulty = (page: Page, on: boolean) =>
  page.evaluate((value) => {
    (window as unknown as { faulty: boolean }).faulty = value;
  }, on);

/** A browser of our own with its data in a folder: it can be killed whole, and started again on what it left. */
export class KillableBrowser {
  private readonly folder = mkdtempSync(join(tmpdir(), "euaxis-kills-"));
  private context: BrowserContext | null = null;

  /** Starts the browser, and gives its page. */
  async start(): Promise<Page> {
    const { launchOptions, viewport } = config.use ?? {};
    this.context = await chromium.launchPersistentContext(this.folder, { ...launchOptions, viewport });
    return this.context.pages()[0] ?? (await this.context.newPage());
  }

  /** Ends every process of the browser at once, as a power cut would, and waits until they are gone. */
  async kill(): Promise<void> {
    const gone = new Promise((done) => this.context?.once("close", done));
    const ids = this.processes();
    for (const id of ids) {
      try {
        process.kill(id, "SIGKILL");
      } catch {
        // It ended with another.
      }
    }
    if (this.context) await gone;
    this.context = null;
    await expect.poll(() => ids.filter(isRunning)).toEqual([]);
  }

  /** The processes that work on our folder, and those that they started: none but what was started here. */
  private processes(): number[] {
    const running = readdirSync("/proc")
      .filter((entry) => /^\d+$/.test(entry))
      .map(Number);
    const ours = new Set(
      running.filter((id) => toldOf(id, "cmdline").includes(`--user-data-dir=${this.folder}`)),
    );
    // Not all that a browser starts is told the folder.
    for (let before = 0; before < ours.size; ) {
      before = ours.size;
      for (const id of running) if (ours.has(parentOf(id))) ours.add(id);
    }
    return [...ours];
  }

  async dispose(): Promise<void> {
    await this.kill();
    rmSync(this.folder, { recursive: true, force: true, maxRetries: 5, retryDelay: 200 });
  }
}

/** What the system tells of a process; nothing of one that ended. */
function toldOf(id: number, what: "cmdline" | "stat"): string {
  try {
    return readFileSync(`/proc/${id}/${what}`, "utf8");
  } catch {
    return "";
  }
}

/** State and parent stand behind a process's name, which may hold anything. */
function stateOf(id: number): readonly string[] {
  const stat = toldOf(id, "stat");
  return stat.slice(stat.lastIndexOf(")") + 2).split(" ");
}

const parentOf = (id: number) => Number(stateOf(id)[1] ?? 0);
/** A process that ended stands in the list until its parent has looked. */
const isRunning = (id: number) => !["", "Z", "X"].includes(stateOf(id)[0]);
