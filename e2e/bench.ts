import { readdirSync } from "node:fs";
import { type BrowserContext, expect, type Page } from "@playwright/test";
import { readBackup } from "../src/core/exchange/files/backup/read";
import type { Design } from "../src/core/knife/design/schema";
import { seed } from "./seed";

/** Knives that the first visit lays out. */
export const DEMOS = readdirSync("demo").filter((f) => f.endsWith(".json")).length;

/** Every page of the application that needs no knife: a new one is looked at without being named here. */
export const PAGES = readdirSync("src/app", { recursive: true, encoding: "utf8" })
  .filter((file) => /(^|\/)page\.tsx$/.test(file) && !file.includes("["))
  .map((file) => `/${file.replace(/\/?page\.tsx$/, "")}`);

const begun = new WeakSet<BrowserContext>();

/**
 * Opens a demo knife and waits until it is weighed: in a browser that has seen nothing yet by its address, in what an
 * earlier visit left; else from the rack.
 */
export async function openKnife(page: Page, name: string): Promise<void> {
  const context = page.context();
  const fresh = !begun.has(context) && context.pages().length === 1 && page.url() === "about:blank";
  begun.add(context);
  if (fresh) {
    const { state, ids } = seed();
    await context.setStorageState(state);
    await page.goto(`/knife/${ids[name]}`);
  } else {
    await page.goto("/");
    await page.getByRole("link", { name, exact: true }).click();
  }
  await expect(page.getByTestId("weight")).toHaveText(/\d/);
}

/** The weight that the readout shows, in its unit. */
export async function weightOf(page: Page): Promise<number> {
  return Number.parseFloat((await page.getByTestId("weight").textContent()) ?? "");
}

/** The balance that the readout shows, in its unit. */
export async function balanceOf(page: Page): Promise<number> {
  return Number.parseFloat(((await page.getByTestId("balance").textContent()) ?? "").replace("−", "-"));
}

/** Types into a length field of the step panel and leaves it. */
export async function typeLength(page: Page, label: string, text: string): Promise<void> {
  const field = page.getByRole("textbox", { name: label, exact: true }).first();
  await field.fill(text);
  await field.press("Enter");
}

export async function step(page: Page, name: string): Promise<void> {
  await page.getByRole("tab", { name }).click();
}

/** The design of the knife as the browser keeps it. */
export const designOf = async (page: Page): Promise<Design> => (await keptKnife(page)).design as Design;

/** The knife as the browser keeps it. */
export async function keptKnife(page: Page): Promise<{ design: { name: string }; revision: number }> {
  const id = new URL(page.url()).pathname.split("/").pop() ?? "";
  return page.evaluate(
    (key) =>
      new Promise((answer, refuse) => {
        const opening = indexedDB.open("euaxis");
        opening.onerror = () => refuse(opening.error);
        opening.onsuccess = () => {
          const asked = opening.result.transaction("knives").objectStore("knives").get(key);
          asked.onsuccess = () => {
            opening.result.close();
            answer(asked.result);
          };
        };
      }),
    id,
  );
}

/** Waits until the last edit is written. */
export async function written(page: Page): Promise<void> {
  await expect(page.getByTestId("kept")).toHaveText("Saved");
}

type Rows = Record<string, Record<string, unknown>[]>;

/** What a backup file holds, by table. */
export async function backupRows(file: Buffer): Promise<Rows> {
  const rows: Rows = {};
  const reading = await readBackup(new Blob([new Uint8Array(file)]), {
    row: (table, row) => {
      rows[table] ??= [];
      rows[table].push(row);
    },
  });
  if (!reading.ok) throw new Error(reading.code);
  return rows;
}

/** A page that nothing has changed on for so long is done, ms. */
const STILL_MS = 400;

/** Waits until nothing more is being worked out for what is shown, and the page has come to rest. */
export async function settled(page: Page): Promise<void> {
  await page.evaluate(
    (stillMs) =>
      new Promise<void>((done) => {
        const rest = () => {
          watch.disconnect();
          done();
        };
        let timer = setTimeout(rest, stillMs);
        const watch = new MutationObserver(() => {
          clearTimeout(timer);
          timer = setTimeout(rest, stillMs);
        });
        watch.observe(document.body, { childList: true, subtree: true, attributes: true });
      }),
    STILL_MS,
  );
  await expect(page.getByTestId("under-way")).toHaveCount(0);
}
