import { readFile } from "node:fs/promises";
import { expect, test } from "@playwright/test";
import { readFixed } from "../src/core/exchange/files/knife/readFixed";
import { reviewDesign } from "../src/core/figures/review/reviewDesign";
import { weigh } from "../src/core/figures/weigh/weigh";
import type { Design } from "../src/core/knife/design/schema";
import { DEMOS, keptKnife, openKnife, step, weightOf, written } from "./bench";

test("the first visit shows at least five demo knives, each with its weight and balance", async ({
  page,
}) => {
  const elsewhere: string[] = [];
  page.on("request", (r) => {
    if (new URL(r.url()).hostname !== "localhost" && !r.url().startsWith("blob:")) elsewhere.push(r.url());
  });
  await page.goto("/");
  const rows = page.getByTestId("rack-row");
  await expect(rows).toHaveCount(DEMOS);
  await expect(page.getByTestId("rack-mass")).toHaveCount(DEMOS);
  for (const row of await rows.all()) {
    await expect(row.getByTestId("rack-mass")).toHaveText(/^\d+\.\d g$/);
    await expect(row).toContainText(/balances \d+\.\d mm (ahead of|behind) the front/);
    await expect(row.getByTestId("balance-mark")).toBeVisible();
  }
  expect(elsewhere, "no network at run time").toEqual([]);
});

test("no name moves away from under the pointer while figures come in, on the first visit or the next", async ({
  page,
}) => {
  // Where every name stands, noted whenever that is another place than in the frame before.
  await page.addInitScript(() => {
    const places: string[] = [];
    Object.assign(window, { places });
    const look = () => {
      const now = [...document.querySelectorAll("a.row-link")]
        .map((a) => `${a.textContent} ${Math.round(a.getBoundingClientRect().top)}`)
        .join("\n");
      // A name that is not there yet moves nothing: each is compared by itself.
      if (now && now !== places[places.length - 1]) places.push(now);
      requestAnimationFrame(look);
    };
    look();
  });
  for (const visit of ["first", "next"]) {
    await page.goto("/");
    await expect(page.getByTestId("rack-mass")).toHaveCount(DEMOS);
    const seen = await page.evaluate(() => (window as unknown as { places: string[] }).places);
    const at = new Map<string, Set<string>>();
    for (const one of seen.flatMap((s) => s.split("\n"))) {
      const name = one.slice(0, one.lastIndexOf(" "));
      at.set(name, (at.get(name) ?? new Set()).add(one.slice(name.length + 1)));
    }
    expect(at.size).toBe(DEMOS);
    expect([...at].filter(([, tops]) => tops.size > 1).map(([name, tops]) => [visit, name, ...tops])).toEqual(
      [],
    );
  }
});

test("new, rename, duplicate, delete and undo", async ({ page }) => {
  await page.goto("/");
  await expect(page.getByTestId("rack-row")).toHaveCount(DEMOS);
  await page.getByRole("button", { name: "New knife" }).click();
  await page.getByRole("button", { name: "Begin this knife" }).click();
  await expect(page.getByTestId("weight")).toHaveText(/\d/);
  await page.getByRole("link", { name: "Rack" }).click();
  await expect(page.getByRole("link", { name: "Field knife", exact: true })).toBeVisible();

  await page.getByRole("button", { name: "Rename Field knife", exact: true }).click();
  await page.getByRole("textbox", { name: "Name of the knife" }).fill("Bracken skinner");
  await page.keyboard.press("Enter");
  await expect(page.getByRole("link", { name: "Bracken skinner" })).toBeVisible();

  await page.getByRole("button", { name: "Duplicate Bracken skinner", exact: true }).click();
  await expect(page.getByRole("link", { name: "Bracken skinner 2" })).toBeVisible();

  await page.getByRole("button", { name: "Delete Bracken skinner 2", exact: true }).click();
  await expect(page.getByRole("link", { name: "Bracken skinner 2" })).toHaveCount(0);
  await page.getByRole("button", { name: "Put it back" }).click();
  await expect(page.getByRole("link", { name: "Bracken skinner 2" })).toBeVisible();
  await page.reload();
  await expect(page.getByTestId("rack-row")).toHaveCount(DEMOS + 2);
});

test("an exported knife comes back the same, and weighs what the core says", async ({ page }) => {
  await page.goto("/");
  const downloading = page.waitForEvent("download");
  await page.getByRole("button", { name: "Export Rook hunter" }).click();
  const download = await downloading;
  expect(download.suggestedFilename()).toBe("rook-hunter.euaxis.json");
  const bytes = await readFile(await download.path());
  const reading = readFixed(bytes);
  if (!reading.ok) throw new Error(reading.code);
  const weighing = weigh(reading.design);
  if (!weighing.ok) throw new Error("not weighed");

  await page
    .getByTestId("import-file")
    .setInputFiles({ name: "back.json", mimeType: "application/json", buffer: bytes });
  await page.getByRole("link", { name: "Rook hunter 2" }).click();
  await expect(page.getByTestId("weight")).toHaveText(/\d/);
  expect(await weightOf(page)).toBeCloseTo(weighing.report.massG, 1);
});

test("damaged, foreign, newer, oversized and impossible files are refused with a reason, and nothing is lost", async ({
  page,
}) => {
  await page.goto("/");
  await expect(page.getByTestId("rack-row")).toHaveCount(DEMOS);
  const good = await readFile("demo/rook-hunter.json", "utf8");
  const give = (name: string, text: string | Buffer) =>
    page.getByTestId("import-file").setInputFiles({
      name,
      mimeType: "application/json",
      buffer: Buffer.isBuffer(text) ? text : Buffer.from(text),
    });
  const cases: [string, string | Buffer, RegExp][] = [
    ["cut.json", good.slice(0, 300), /damaged.*line \d+, column \d+/],
    ["other.json", '{"hello": 1}', /not a Euaxis knife/],
    ["newer.json", good.replace(/"version": \d+/, '"version": 99'), /version 99.*knows versions up to \d/],
    ["bad.json", good.replace('"lengthMm": 98', '"lengthMm": "long"'), /Blade, length is no number/],
    ["picture.json", Buffer.from([0xff, 0xd8, 0xff, 0xe0]), /not text/],
    ["huge.json", Buffer.alloc(4_200_000, 32), /4,200 kB.*4,000 kB at most/],
  ];
  for (const [name, text, reason] of cases) {
    await give(name, text);
    await expect(page.locator("main [role=alert]")).toContainText(name);
    await expect(page.locator("main [role=alert]")).toContainText(reason);
  }
  await expect(page.getByTestId("rack-row")).toHaveCount(DEMOS);
  await page.getByRole("button", { name: "Close this message" }).click();
  await expect(page.locator("main [role=alert]")).toHaveCount(0);
});

test("a new knife has no finding, and a fastener that is added lands where the rules allow", async ({
  page,
}) => {
  await page.goto("/");
  await page.getByRole("button", { name: "New knife" }).first().click();
  await page.getByRole("button", { name: "Begin this knife" }).click();
  const findings = page.getByTestId("findings");
  // What the trade reminds of is no fault of the knife.
  await expect(findings).toHaveText(/^(No findings\.|\d+ notes?)/);
  await step(page, "Pins");
  for (const kind of ["Pin", "Sleeve bolt", "Nutted rod"]) {
    const before = await weightOf(page);
    await page.getByRole("button", { name: kind, exact: true }).click();
    await expect.poll(() => weightOf(page)).not.toBe(before);
    await written(page);
    const { design } = (await keptKnife(page)) as unknown as { design: Design };
    expect(design.fasteners).toHaveLength(3);
    expect(reviewDesign(design, true).findings.filter((f) => f.severity !== "note")).toEqual([]);
    await page.keyboard.press("Control+z");
    await expect.poll(() => weightOf(page)).toBe(before);
  }
});

test("an empty rack says what to do", async ({ page }) => {
  await page.goto("/");
  await expect(page.getByTestId("rack-row")).toHaveCount(DEMOS);
  for (let left = DEMOS - 1; left >= 0; left--) {
    await page
      .getByRole("button", { name: /^Delete / })
      .first()
      .click();
    await expect(page.getByTestId("rack-row")).toHaveCount(left);
  }
  await expect(page.getByText("The rack is empty")).toBeVisible();
  await page.reload();
  await expect(page.getByText("The rack is empty")).toBeVisible();
  await page.getByRole("button", { name: "Add the demo knives" }).click();
  await expect(page.getByTestId("rack-row")).toHaveCount(DEMOS);
});

test("the rack is searched, filtered and ordered, by keyboard too; it stays so until it is left", async ({
  page,
}) => {
  await page.goto("/");
  await expect(page.getByTestId("rack-mass")).toHaveCount(DEMOS);
  const names = async () => page.locator("a.row-link").allTextContents();
  const tools = page.getByRole("search");
  // Newest first, as they came in.
  expect(await names()).toHaveLength(DEMOS);

  // All words of a search must fit: name, notes, customer or materials, whatever the case.
  const search = page.getByRole("searchbox", { name: "Search the rack" });
  await search.fill("HORN");
  await expect.poll(async () => (await names()).length).toBeLessThan(DEMOS);
  await expect(tools).toContainText(new RegExp(`\\d+ of ${DEMOS}`));
  await search.fill("no such knife");
  await expect(page.getByText("No knife matches")).toBeVisible();
  await page.getByRole("button", { name: `Show all ${DEMOS}` }).click();
  await expect(search).toHaveValue("");
  await expect.poll(async () => (await names()).length).toBe(DEMOS);

  await page.getByLabel("Order", { exact: true }).selectOption("name");
  await expect.poll(names).toEqual([...(await names())].sort((a, b) => a.localeCompare(b, "en")));
  await page.getByLabel("Order", { exact: true }).selectOption("weight");
  const grams = async () =>
    (await page.getByTestId("rack-mass").allTextContents()).map((t) => Number.parseFloat(t));
  await expect.poll(async () => (await grams()).every((g, i, all) => i === 0 || g >= all[i - 1])).toBe(true);

  await page.getByLabel("State", { exact: true }).selectOption("in-work");
  await expect.poll(async () => (await names()).length).toBeLessThan(DEMOS);
  for (const row of await page.getByTestId("rack-row").all()) await expect(row).toContainText("In work");
  const few = await names();

  // By keyboard: a search that is left empty again by Escape.
  await search.focus();
  await page.keyboard.type("zzz");
  await expect(page.getByText("No knife matches")).toBeVisible();
  await page.keyboard.press("Escape");
  await expect.poll(names).toEqual(few);

  // What is imported is seen, whatever was searched for.
  await search.fill("zzz");
  await page.getByTestId("import-file").setInputFiles("demo/rook-hunter.json");
  await expect(page.getByRole("link", { name: "Rook hunter 2", exact: true })).toBeVisible();
  await expect(search).toHaveValue("");
  await page.getByLabel("State", { exact: true }).selectOption("in-work");
  await expect.poll(async () => (await names()).length).toBeLessThan(DEMOS + 1);
  few.splice(0, few.length, ...(await names()));

  // It is as it was left on the way back from a knife.
  await page.getByRole("link", { name: few[0], exact: true }).click();
  await expect(page.getByTestId("weight")).toHaveText(/\d/);
  await page.getByRole("link", { name: "Rack", exact: true }).click();
  await expect.poll(names).toEqual(few);
});

test("notes, customer and days are written on the bench, found on the rack, and go with the file", async ({
  page,
}) => {
  await openKnife(page, "Rook hunter");
  await step(page, "Notes");
  await page.getByRole("textbox", { name: "Notes" }).fill("Handle a hair fuller than drawn.\nOiled twice.");
  await page.getByRole("textbox", { name: "Customer" }).fill("Ash End stables");
  await page.getByLabel("State", { exact: true }).selectOption("in-work");
  await expect(page.getByLabel("Begun on", { exact: true })).not.toHaveValue("");
  await page.getByLabel("Due on", { exact: true }).fill("2001-01-31");
  await expect(page.getByText("It is due before it was begun.")).toBeVisible();
  // One stay in a text is one step of undo.
  await page.getByRole("tab", { name: "Blade" }).focus();
  await page.keyboard.press("Control+z");
  await expect(page.getByText("It is due before it was begun.")).toHaveCount(0);
  await written(page);

  await page.reload();
  await step(page, "Notes");
  await expect(page.getByRole("textbox", { name: "Notes" })).toHaveValue(/Oiled twice/);
  const download = page.waitForEvent("download");
  await page.getByRole("button", { name: "Export file" }).click();
  const read = readFixed(await readFile(await (await download).path()));
  if (!read.ok) throw new Error("not read");
  expect(read.design.job).toMatchObject({ customer: "Ash End stables", state: "in-work" });
  expect(read.design.notes).toContain("Oiled twice.");

  await page.getByRole("link", { name: "Rack", exact: true }).click();
  await page.getByRole("searchbox", { name: "Search the rack" }).fill("stables oiled");
  await expect(page.locator("a.row-link")).toHaveText(["Rook hunter"]);
  await expect(page.getByTestId("rack-row")).toContainText("In work · Ash End stables");
});

test("in a narrow window every knife's name, weight and what can be done with it are in reach", async ({
  page,
}) => {
  await page.setViewportSize({ width: 768, height: 1024 });
  await page.goto("/");
  const row = page.getByTestId("rack-row").filter({ hasText: "Heath field knife" });
  await expect(row.getByTestId("rack-mass")).toHaveText(/\d g/);
  const box = await row.boundingBox();
  expect(box?.height).toBeLessThan(200);
  for (const name of ["Rename Heath field knife", "Delete Heath field knife"]) {
    const button = await row.getByRole("button", { name }).boundingBox();
    expect((button?.x ?? 768) + (button?.width ?? 0)).toBeLessThanOrEqual(768);
  }
  await row.getByRole("link", { name: "Heath field knife" }).click();
  await expect(page.getByRole("textbox", { name: "Name of the knife" })).toHaveValue("Heath field knife");
});
