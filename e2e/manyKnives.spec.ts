import { expect, type Page, test } from "@playwright/test";
import { DEMOS, openKnife, typeLength, written } from "./bench";
import { unheard } from "./faults";

const COUNT = 1000;

/** Puts copies of the demo knives beside them, as another tab's import would, until there are a thousand. */
async function fillRack(page: Page): Promise<void> {
  await page.evaluate(
    (count) =>
      new Promise<void>((done, refuse) => {
        const opening = indexedDB.open("euaxis");
        opening.onerror = () => refuse(opening.error);
        opening.onsuccess = () => {
          const writing = opening.result.transaction("knives", "readwrite");
          const knives = writing.objectStore("knives");
          const all = knives.getAll();
          all.onsuccess = () => {
            const demo = all.result;
            for (let i = demo.length; i < count; i++) {
              const k = demo[i % demo.length];
              knives.put({ ...k, id: `copy-${i}`, createdAt: k.createdAt + 1000 + i });
            }
          };
          writing.oncomplete = () => {
            opening.result.close();
            done();
          };
        };
      }),
    COUNT,
  );
}

const figuresKept = (page: Page) =>
  page.evaluate(
    () =>
      new Promise<number>((answer) => {
        const opening = indexedDB.open("euaxis");
        opening.onsuccess = () => {
          const asked = opening.result.transaction("figures").objectStore("figures").count();
          asked.onsuccess = () => {
            opening.result.close();
            answer(asked.result);
          };
        };
      }),
  );

test("a thousand knives: few are drawn at a time, all can be come to, and their figures are kept", async ({
  page,
}) => {
  const heard = unheard(page);
  await page.goto("/");
  await expect(page.getByTestId("rack-mass")).toHaveCount(DEMOS);
  await fillRack(page);
  await page.reload();
  const rows = page.getByTestId("rack-row");
  await expect(rows.first()).toBeVisible();
  await expect(page.getByTestId("rack-mass").first()).toHaveText(/^\d+\.\d g$/);
  expect(await rows.count(), "no more than are in sight, and some beyond").toBeLessThan(40);

  // To the very end: the last knives are there, drawn and weighed, and few beside them.
  await page.evaluate(() => window.scrollTo(0, document.body.scrollHeight));
  const last = page.locator("[data-index]").last();
  await expect(last).toHaveAttribute("data-index", String(COUNT - 1));
  await expect(last.getByTestId("rack-mass")).toHaveText(/^\d+\.\d g$/);
  expect(await rows.count()).toBeLessThan(40);

  // By the keyboard on from a row's link: the next one is there to be come to, and is scrolled to.
  await page.evaluate(() => window.scrollTo(0, 0));
  const name = page.locator("[data-index='0']").getByRole("link");
  await expect(name).toBeVisible();
  await name.focus();
  for (let i = 0; i < 5 * 30; i++) await page.keyboard.press("Tab");
  const reached = await page.evaluate(() =>
    Number(document.activeElement?.closest("[data-index]")?.getAttribute("data-index")),
  );
  expect(reached).toBe(30);
  expect(await page.evaluate(() => window.scrollY)).toBeGreaterThan(1000);

  // All are weighed meanwhile, and not again on the next visit: figures stand there without a worker.
  await expect.poll(() => figuresKept(page), { timeout: 100_000 }).toBe(COUNT);
  await page.addInitScript(() => {
    window.Worker = class extends EventTarget {
      constructor() {
        super();
        throw new Error("no worker is needed");
      }
    } as unknown as typeof Worker;
  });
  await page.reload();
  await expect(page.getByTestId("rack-mass").first()).toHaveText(/^\d+\.\d g$/);
  await page.evaluate(() => window.scrollTo(0, document.body.scrollHeight / 2));
  await expect(page.getByTestId("rack-mass").nth(5)).toHaveText(/^\d+\.\d g$/);
  await expect(page.getByText(/weighing…|Not weighed/)).toHaveCount(0);
  expect(heard).toEqual([]);
});

test("only what was changed is weighed anew, and its old figures do not stand as new ones", async ({
  page,
}) => {
  await openKnife(page, "Rook hunter");
  await page.goto("/");
  await expect(page.getByTestId("rack-mass")).toHaveCount(DEMOS);
  await expect.poll(() => figuresKept(page)).toBe(DEMOS);
  const massOf = async (name: string) =>
    (await page.getByTestId("rack-row").filter({ hasText: name }).getByTestId("rack-mass").textContent()) ??
    "";
  const before = await massOf("Rook hunter");
  await openKnife(page, "Rook hunter");
  await typeLength(page, "Spine", "8");
  await written(page);
  await page.getByRole("link", { name: "Rack" }).click();
  await expect.poll(() => massOf("Rook hunter")).not.toContain(before);
  await expect.poll(() => massOf("Rook hunter")).toMatch(/^\d+\.\d g$/);
  expect(Number.parseFloat(await massOf("Rook hunter"))).toBeGreaterThan(Number.parseFloat(before) + 30);
});
