import { type ChildProcess, spawn } from "node:child_process";
import { appendFileSync, existsSync, mkdtempSync, readFileSync, rmSync } from "node:fs";
import { tmpdir } from "node:os";
import { join } from "node:path";
import { type Browser, chromium, expect, type Page } from "@playwright/test";

/** How often what is killed is killed: a few times in a test, a hundred times in a run of faults. */
export const KILLS = Number(process.env.EUAXIS_KILLS ?? 4);

/** Notes a line of the table that `npm run faults` prints. */
export function note(row: {
  what: string;
  tried: number;
  lost: number;
  crashed: number;
  hung: number;
}): void {
  const file = process.env.EUAXIS_FAULT_ROWS;
  if (file) appendFileSync(file, `${JSON.stringify(row)}\n`);
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

const CHROMIUM = "/usr/bin/chromium";
const PLAIN = [
  "--headless",
  "--no-sandbox",
  "--disable-gpu",
  "--disable-quic",
  "--no-first-run",
  "--disable-background-networking",
  "--disable-component-update",
  "--disable-sync",
];

/** A browser of our own with its data in a folder: it can be killed whole, and started again on what it left. */
export class KillableBrowser {
  private readonly folder = mkdtempSync(join(tmpdir(), "euaxis-kills-"));
  private running: ChildProcess | null = null;
  private browser: Browser | null = null;

  async start(): Promise<Page> {
    const portFile = join(this.folder, "DevToolsActivePort");
    rmSync(portFile, { force: true });
    this.running = spawn(
      CHROMIUM,
      [...PLAIN, "--remote-debugging-port=0", `--user-data-dir=${this.folder}`],
      {
        stdio: "ignore",
      },
    );
    await expect.poll(() => existsSync(portFile) && readFileSync(portFile, "utf8").includes("\n")).toBe(true);
    const [port] = readFileSync(portFile, "utf8").split("\n");
    this.browser = await chromium.connectOverCDP(`http://127.0.0.1:${port}`);
    const [context] = this.browser.contexts();
    return context.pages()[0] ?? (await context.newPage());
  }

  /** Ends the browser as a power cut would, and waits until it is gone. */
  async kill(): Promise<void> {
    const { running } = this;
    if (!running) return;
    const gone = new Promise((done) => running.once("exit", done));
    running.kill("SIGKILL");
    await gone;
    await this.browser?.close().catch(() => undefined);
    this.running = null;
  }

  async dispose(): Promise<void> {
    await this.kill();
    rmSync(this.folder, { recursive: true, force: true, maxRetries: 5, retryDelay: 200 });
  }
}
