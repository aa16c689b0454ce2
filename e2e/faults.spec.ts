import { readFile } from "node:fs/promises";
import { expect, type Page, test } from "@playwright/test";
import { readFixed } from "../src/core/exchange/files/knife/readFixed";
import { backupRows, DEMOS, keptKnife, openKnife, typeLength, written } from "./bench";
import { breakDatabase, type Fault, noteOf, setFaulty, unheard } from "./faults";

const spineField = (page: Page) => page.getByRole("textbox", { name: "Spine", exact: true });
const bar = (page: Page) => page.getByRole("alert").filter({ hasText: "in this tab only" });

async function downloaded(page: Page, press: () => Promise<void>): Promise<Buffer> {
  const [download] = await Promise.all([page.waitForEvent("download"), press()]);
  return readFile(await download.path());
}

test("a write that is refused is said at once, work goes on, and it is written when it can be", async ({
  page,
}) => {
  const heard = unheard(page);
  await breakDatabase(page, "full");
  await openKnife(page, "Rook hunter");
  await setFaulty(page, true);
  await typeLength(page, "Spine", "5");
  await expect(bar(page)).toContainText("Not written: Rook hunter");
  await expect(bar(page)).toContainText("full");
  await expect(page.getByTestId("kept")).toHaveText("Not saved");
  await page.keyboard.press("Control+s");
  await expect(page.getByText("The browser did not take it.").first()).toBeVisible();

  // What is in memory is what is exported, and what everything is exported with.
  const knife = readFixed(
    await downloaded(page, () => page.getByRole("button", { name: "Export file" }).click()),
  );
  expect(knife.ok && knife.design.blade.spineMm).toBe(5);
  const rows = await backupRows(
    await downloaded(page, () => page.getByRole("button", { name: "Export everything" }).click()),
  );
  const designs = rows.knives.map((k) => k.design as { name: string; blade: { spineMm: number } });
  expect(designs).toHaveLength(DEMOS);
  expect(designs.find((d) => d.name === "Rook hunter")?.blade.spineMm).toBe(5);

  // On the Rack a new knife can be begun, and worked on; leaving and coming back loses nothing.
  await page.getByRole("link", { name: "Rack" }).click();
  await page.getByRole("button", { name: "New knife" }).click();
  await page.getByRole("button", { name: "Begin this knife" }).click();
  await expect(page.getByTestId("weight")).toHaveText(/\d/);
  await typeLength(page, "Spine", "6");
  await page.getByRole("link", { name: "Rack" }).click();
  await page.getByRole("link", { name: "Field knife", exact: true }).click();
  await expect(spineField(page)).toHaveValue("6");
  await page.getByRole("link", { name: "Rack" }).click();
  await page.getByRole("button", { name: "Delete Orchard parer" }).click();
  await expect(page.getByText("Orchard parer is still on the rack").first()).toBeVisible();

  await setFaulty(page, false);
  // It may have been tried by itself a moment before.
  await page
    .getByRole("button", { name: "Try again" })
    .click({ timeout: 5000 })
    .catch(() => undefined);
  await expect(bar(page)).toHaveCount(0, { timeout: 40_000 });
  await page.reload();
  await page.getByRole("link", { name: "Field knife", exact: true }).click();
  await expect(spineField(page)).toHaveValue("6");
  await openKnife(page, "Rook hunter");
  await expect(spineField(page)).toHaveValue("5");
  await noteOf(page, "a full disk", 3, heard);
  expect(heard).toEqual([]);
});

test("what was refused is tried again by itself", async ({ page }) => {
  const heard = unheard(page);
  await breakDatabase(page, "refuses");
  await openKnife(page, "Rook hunter");
  await setFaulty(page, true);
  await typeLength(page, "Spine", "5");
  await expect(bar(page)).toContainText("refused to write");
  await setFaulty(page, false);
  await expect(bar(page)).toHaveCount(0, { timeout: 40_000 });
  await written(page);
  expect(((await keptKnife(page)).design as unknown as { blade: { spineMm: number } }).blade.spineMm).toBe(5);
  await noteOf(page, "a database that refuses writes", 1, heard);
  expect(heard).toEqual([]);
});

const closed: [Fault, RegExp][] = [
  ["is missing", /private|keep no data/],
  ["cannot be opened", /private|keep no data/],
  ["never answers", /does not answer/],
];
for (const [fault, why] of closed) {
  test(`a database that ${fault}: the rack stands, in memory, and says so`, async ({ page }) => {
    const heard = unheard(page);
    await breakDatabase(page, fault);
    const begun = Date.now();
    await page.goto("/");
    await expect(page.getByRole("heading", { name: "Rack" })).toBeVisible();
    await expect(bar(page)).toContainText(why);
    expect(Date.now() - begun).toBeLessThan(12_000);
    await expect(page.getByTestId("rack-mass").first()).toBeVisible();
    await page.getByRole("link", { name: "Rook hunter", exact: true }).click();
    await expect(page.getByTestId("weight")).toHaveText(/\d/);
    await typeLength(page, "Spine", "5");
    await page.getByRole("link", { name: "Rack" }).click();
    await page.getByRole("link", { name: "Rook hunter", exact: true }).click();
    await expect(spineField(page)).toHaveValue("5");
    const { knives } = await backupRows(
      await downloaded(page, () => page.getByRole("button", { name: "Export everything" }).click()),
    );
    expect(knives.length).toBe(DEMOS);
    if (fault === "never answers") {
      await setFaulty(page, false);
      await page.getByRole("button", { name: "Try again" }).click();
      await expect(bar(page)).toHaveCount(0);
      await typeLength(page, "Spine", "6");
      await written(page);
      const { design } = await keptKnife(page);
      expect((design as unknown as { blade: { spineMm: number } }).blade.spineMm).toBe(6);
    }
    await noteOf(page, `a database that ${fault}`, 1, heard);
    expect(heard).toEqual([]);
  });
}

test("a tab that holds an older state of the database blocks nothing for long", async ({ page, context }) => {
  const heard = unheard(page);
  const other = await context.newPage();
  await other.goto("/icon.svg");
  await other.evaluate(
    () =>
      new Promise<void>((done) => {
        const opening = indexedDB.open("euaxis", 20);
        opening.onupgradeneeded = () => {
          opening.result.createObjectStore("knives", { keyPath: "id" }).createIndex("createdAt", "createdAt");
          opening.result.createObjectStore("settings", { keyPath: "key" });
        };
        opening.onsuccess = () => done();
      }),
  );
  await page.goto("/");
  await expect(bar(page)).toContainText("Close the other tabs");
  await expect(page.getByTestId("rack-row").first()).toBeVisible();
  await other.close();
  await page.getByRole("button", { name: "Try again" }).click();
  await expect(bar(page)).toHaveCount(0);
  await noteOf(page, "a database that another tab blocks", 1, heard);
  expect(heard).toEqual([]);
});

test("records that cannot be read are listed, can be had as they lie there, and take nothing down", async ({
  page,
}) => {
  const heard = unheard(page);
  await page.goto("/");
  await expect(page.getByTestId("rack-mass")).toHaveCount(DEMOS);
  const records = [
    { id: "no-design", design: {}, revision: 1, createdAt: 1, updatedAt: 1, saved: null },
    { id: "nothing" },
    { id: "to-come", design: { name: "Sedge" }, version: 99, createdAt: 2 },
    {
      id: "wild",
      design: { name: "Rush", blade: { lengthMm: "long" }, work: 1 },
      createdAt: 3,
      revision: "x",
    },
  ];
  await page.evaluate(
    (list) =>
      new Promise<void>((done) => {
        const opening = indexedDB.open("euaxis");
        opening.onsuccess = () => {
          const writing = opening.result.transaction("knives", "readwrite");
          for (const record of list) writing.objectStore("knives").put(record);
          writing.oncomplete = () => {
            opening.result.close();
            done();
          };
        };
      }),
    records,
  );
  await page.reload();
  const damaged = page.getByTestId("damaged-row");
  await expect(page.getByText("Damaged: Sedge")).toBeVisible();
  await expect(page.getByText("Damaged: Rush")).toBeVisible();
  await expect(damaged.filter({ hasText: "newer Euaxis (version 99" })).toHaveCount(1);
  await expect(page.getByTestId("rack-row").first()).toBeVisible();
  const raw = await downloaded(page, () =>
    damaged.filter({ hasText: "Rush" }).getByRole("button", { name: "Export the raw record" }).click(),
  );
  expect(JSON.parse(raw.toString())).toEqual(records[3]);

  await page.goto("/knife/no-design");
  await expect(page.getByText("cannot be read")).toBeVisible();
  await page.getByRole("link", { name: "Back to the rack" }).click();
  await damaged.filter({ hasText: "Rush" }).getByRole("button", { name: "To the bin" }).click();
  await expect(page.getByText("Damaged: Rush")).toHaveCount(0);
  await page.getByRole("link", { name: /^Bin/ }).click();
  await expect(page.getByTestId("bin-row")).toContainText("Rush");
  await noteOf(page, "damaged records", records.length, heard);
  expect(heard).toEqual([]);
});

test("a variant that cannot be read is listed beside the sound ones, and said when its knife is exported", async ({
  page,
}) => {
  const heard = unheard(page);
  await openKnife(page, "Rook hunter");
  await page.getByRole("button", { name: "Compare", exact: true }).click();
  await page.getByRole("textbox", { name: "Name of the variant" }).fill("Slim");
  await page.keyboard.press("Enter");
  await expect(page.getByRole("table", { name: "Variants" })).toContainText("Slim");
  const knifeId = new URL(page.url()).pathname.split("/").pop();
  await page.evaluate(
    (id) =>
      new Promise<void>((done) => {
        const opening = indexedDB.open("euaxis");
        opening.onsuccess = () => {
          const writing = opening.result.transaction("variants", "readwrite");
          writing
            .objectStore("variants")
            .put({ id: "bad", knifeId: id, name: "Stout", design: {}, createdAt: 1 });
          writing.oncomplete = () => {
            opening.result.close();
            done();
          };
        };
      }),
    knifeId,
  );
  await page.reload();
  await page.getByRole("button", { name: "Compare", exact: true }).click();
  await expect(page.getByTestId("damaged-row")).toContainText("Damaged: Stout");
  await expect(page.getByRole("table", { name: "Variants" })).toContainText("Slim");
  const raw = await downloaded(page, () =>
    page.getByRole("button", { name: "Export the raw record" }).click(),
  );
  expect(JSON.parse(raw.toString())).toMatchObject({ name: "Stout", design: {} });
  const file = await downloaded(page, () => page.getByRole("button", { name: "Export file" }).click());
  const reading = readFixed(file);
  expect(reading.ok && reading.variants.map((v) => v.name)).toEqual(["Slim"]);
  await expect(page.getByText("Damaged variants are not in the file").first()).toBeVisible();
  expect(heard).toEqual([]);
});
