import { readFile } from "node:fs/promises";
import { expect, type Page, test } from "@playwright/test";
import { seeded } from "../faults/random";
import { typeLength, written } from "./bench";
import { KILLS, KillableBrowser, note } from "./faults";

const BASE = `http://localhost:${process.env.E2E_PORT ?? 4317}`;
const spineField = (page: Page) => page.getByRole("textbox", { name: "Spine", exact: true });

/** A row of the browser's database, as it lies there. */
function rowOf(page: Page, table: string, key: string): Promise<Record<string, unknown> | undefined> {
  return page.evaluate(
    ([name, id]) =>
      new Promise<Record<string, unknown> | undefined>((answer) => {
        const opening = indexedDB.open("euaxis");
        opening.onsuccess = () => {
          const asked = opening.result.transaction(name).objectStore(name).get(id);
          asked.onsuccess = () => {
            opening.result.close();
            answer(asked.result);
          };
        };
      }),
    [table, key] as const,
  );
}

/** Puts a photo under a knife, as it lies in the database. */
async function putPhoto(page: Page, knifeId: string): Promise<void> {
  await page.evaluate(
    (id) =>
      new Promise<void>((done) => {
        const opening = indexedDB.open("euaxis");
        opening.onsuccess = () => {
          const tx = opening.result.transaction(["pictures", "underlays"], "readwrite");
          // The checksum of no bytes is as good as another here.
          const picture = "811c9dc5cbf29ce4-0";
          tx.objectStore("pictures").put({
            id: picture,
            type: "image/png",
            data: new Blob([]),
            createdAt: 1,
          });
          const place = { widthMm: 200, heightMm: 100, datumX: 1, datumY: 1, tipDeg: 0, mirrored: false };
          tx.objectStore("underlays").put({
            id,
            underlay: { picture, ...place, opacity: 0.4, shown: true },
            updatedAt: 1,
            revision: 1,
          });
          tx.oncomplete = () => {
            opening.result.close();
            done();
          };
        };
      }),
    knifeId,
  );
}

const MATERIAL = "Walnut, dried indoors";

test("edits that were said to be kept survive the browser being killed at any moment: of knives, photos and materials", async () => {
  test.setTimeout(120_000 + KILLS * 30_000);
  const r = seeded(20261127);
  const browser = new KillableBrowser();
  let lost = 0;
  let hung = 0;
  const heard: string[] = [];
  try {
    let page = await browser.start();
    await page.goto(`${BASE}/`);
    await page.getByRole("link", { name: "Rook hunter", exact: true }).click();
    const address = /\/knife\/[\w-]+/;
    await page.waitForURL(address);
    const url = page.url();
    const knifeId = url.split("/").pop() ?? "";
    await putPhoto(page, knifeId);
    const materials = JSON.parse(await readFile("demo/hern-long-blade.json", "utf8")).knife.materials;
    const materialId: string = materials.find((m: { name: string }) => m.name === MATERIAL).id;
    const kept = {
      spine: async () => Number(await spineField(page).inputValue()),
      photo: async () =>
        ((await rowOf(page, "underlays", knifeId))?.underlay as { opacity: number } | undefined)?.opacity ??
        null,
      material: async () =>
        ((await rowOf(page, "materials", materialId))?.material as { note: string } | undefined)?.note ??
        null,
    };
    for (let i = 0; i < KILLS; i++) {
      await page.goto(url);
      await expect(spineField(page)).toBeVisible();
      // The last value that was said to be kept, and those typed since: any of them may be there when the lights go on.
      const kind = (["spine", "photo", "spine", "material"] as const)[i % 4];
      let may: unknown[] = [await kept[kind]()];
      if (kind === "photo") await page.getByRole("button", { name: "Bring in a pattern" }).click();
      if (kind === "material") await page.goto(`${BASE}/stock`);
      const until = Date.now() + 300 + r.below(1500);
      do {
        if (kind === "spine") {
          const typed = Math.round((2 + r.next() * 8) * 100) / 100;
          may.push(typed);
          await typeLength(page, "Spine", String(typed));
          if (r.next() < 0.7) {
            // What stands on the page a frame later is of this edit, not of the one before.
            await page.evaluate(
              () => new Promise((next) => requestAnimationFrame(() => setTimeout(next, 0))),
            );
            await written(page);
            may = [typed];
          }
        } else if (kind === "photo") {
          const percent = 5 + r.below(95);
          may.push(percent / 100);
          await typeLength(page, "How strong", String(percent));
          if (r.next() < 0.7) {
            await expect.poll(kept.photo).toBe(percent / 100);
            may = [percent / 100];
          }
        } else {
          const note = `Note ${r.below(1e6)}`;
          may.push(note);
          await page.getByRole("button", { name: `Change ${MATERIAL}` }).click();
          await page.getByTestId("own-material").getByRole("textbox", { name: "Note" }).fill(note);
          await page.getByTestId("own-material").getByRole("button", { name: "Save" }).click();
          if (r.next() < 0.7) {
            await expect(page.getByTestId("own-material")).toHaveCount(0);
            may = [note];
          }
        }
      } while (Date.now() < until);
      await browser.kill();
      page = await browser.start();
      page.on("pageerror", (error) => heard.push(error.message));
      await page.goto(url);
      const begun = Date.now();
      await expect(spineField(page)).toBeVisible();
      if (Date.now() - begun > 2000) hung++;
      if (!may.includes(await kept[kind]())) lost++;
    }
  } finally {
    await browser.dispose();
  }
  note({ what: "kills of the browser", tried: KILLS, lost, crashed: heard.length, hung });
  expect(lost).toBe(0);
  expect(heard).toEqual([]);
});
