import { mkdirSync, readFileSync, writeFileSync } from "node:fs";
import { dirname, join } from "node:path";
import { type BrowserContext, chromium, type FullConfig } from "@playwright/test";

const FILE = join("test-results", "seed.json");

interface Seed {
  /** What a browser holds that has seen the rack once: the demo knives. */
  readonly state: Exclude<Parameters<BrowserContext["setStorageState"]>[0], string>;
  /** Ids of the demo knives by their names. */
  readonly ids: Readonly<Record<string, string>>;
}

/** Visits the rack once for all tests that begin with a demo knife: each would lay them all out and weigh them. */
export default async function makeSeed(config: FullConfig): Promise<void> {
  const { use } = config.projects[0];
  const browser = await chromium.launch(use.launchOptions);
  const context = await browser.newContext({ viewport: use.viewport });
  const page = await context.newPage();
  await page.goto(`${use.baseURL}/`);
  const links = page.locator("a.row-link");
  await links.first().waitFor();
  const knives = await page.evaluate(
    () =>
      new Promise<[string, string][]>((done, fail) => {
        const opening = indexedDB.open("euaxis");
        opening.onerror = () => fail(opening.error);
        opening.onsuccess = () => {
          const all = opening.result.transaction("knives").objectStore("knives").getAll();
          all.onerror = () => fail(all.error);
          all.onsuccess = () => {
            opening.result.close();
            done(all.result.map((k: { id: string; design: { name: string } }) => [k.design.name, k.id]));
          };
        };
      }),
  );
  const state = await context.storageState({ indexedDB: true });
  await browser.close();
  mkdirSync(dirname(FILE), { recursive: true });
  writeFileSync(FILE, JSON.stringify({ state, ids: Object.fromEntries(knives) } satisfies Seed));
}

let read: Seed | null = null;

export function seed(): Seed {
  read ??= JSON.parse(readFileSync(FILE, "utf8")) as Seed;
  return read;
}
