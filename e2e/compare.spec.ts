import { readFile } from "node:fs/promises";
import { expect, type Page, test } from "@playwright/test";
import { readKnife } from "../src/core/exchange/files/knife/read";
import { readPrices } from "../src/core/exchange/files/prices/prices";
import { billOf } from "../src/core/figures/cost/bill";
import { weigh } from "../src/core/figures/weigh/weigh";
import type { Design } from "../src/core/knife/design/schema";
import { keptKnife, openKnife, weightOf } from "./bench";

async function openCompare(page: Page, name: string): Promise<void> {
  await openKnife(page, name);
  await page.getByRole("button", { name: "Compare", exact: true }).click();
  await expect(page.getByRole("heading", { name: "Side by side" })).toBeVisible({ timeout: 30_000 });
}

const rows = (page: Page) => page.getByTestId("beside-row");
const variants = (page: Page) => page.getByRole("table", { name: "Variants" }).locator("tbody tr");
const massOf = (design: Design) => {
  const weighing = weigh(design);
  if (!weighing.ok) throw new Error("not weighed");
  return weighing.report.massG;
};

test("a variant is kept, laid beside, renamed, taken, renewed, put on the rack, deleted and put back", async ({
  page,
}) => {
  await openCompare(page, "Heath field knife");
  await page.getByLabel("Name of the variant", { exact: true }).fill("First thought");
  await page.keyboard.press("Enter");
  await expect(rows(page)).toHaveCount(2);
  await expect(variants(page)).toContainText("nothing: they are alike");
  const before = await weightOf(page);

  await page.getByRole("button", { name: "Bench", exact: true }).click();
  await page.getByRole("tab", { name: "Blade" }).click();
  await page.getByRole("textbox", { name: "Spine", exact: true }).fill("6");
  await page.keyboard.press("Enter");
  await expect.poll(() => weightOf(page)).toBeGreaterThan(before + 10);
  await page.getByRole("button", { name: "Compare", exact: true }).click();
  await expect(variants(page)).toContainText("Spine: 4.0 mm");
  await expect(page.getByTestId("trait").filter({ hasText: "Spine" }).first()).toContainText("6.0 mm");

  await page.getByLabel("Rename First thought", { exact: true }).dblclick();
  await page.getByLabel("Name of First thought", { exact: true }).fill("Slim");
  await page.keyboard.press("Enter");
  await page.getByRole("button", { name: "Use Slim", exact: true }).click();
  await expect.poll(() => weightOf(page)).toBeCloseTo(before, 1);
  await page.keyboard.press("Control+z");
  await expect.poll(() => weightOf(page)).toBeGreaterThan(before + 10);
  await page.getByRole("button", { name: "Update Slim to the knife as it is now" }).click();
  await expect(variants(page)).toContainText("nothing: they are alike");
  await page.getByRole("button", { name: "Put Slim on the rack" }).click();
  await page.getByRole("button", { name: "Delete Slim" }).click();
  await expect(rows(page)).toHaveCount(1);
  await page.getByRole("button", { name: "Put it back" }).click();
  await expect(rows(page)).toHaveCount(2);
  await page.reload();
  await expect(rows(page), "the view and what lies beside outlast a reload").toHaveCount(2);
  await page.getByRole("link", { name: "Rack", exact: true }).click();
  await expect(page.getByRole("link", { name: "Heath field knife, Slim" })).toBeVisible();
});

test("same blade, six handles: six variants in one step, four side by side, each as the core weighs it", async ({
  page,
}) => {
  await openCompare(page, "Gorse guard knife");
  await page.getByRole("button", { name: "Same blade, six handles" }).click();
  await page.getByLabel("Handle 1", { exact: true }).selectOption("antler-deer");
  await page.getByLabel("Fittings 1", { exact: true }).selectOption("brass-360");
  await page.getByRole("button", { name: "Make 6 variants" }).click();
  await expect(variants(page)).toHaveCount(6);
  await expect(rows(page)).toHaveCount(4);
  await expect(page.getByText("Four lie side by side")).toBeVisible();
  await expect(page.getByLabel("Add another to compare", { exact: true })).toBeDisabled();
  const design = (await keptKnife(page)).design as Design;
  if (design.handle.kind !== "scales" || !design.guard) throw new Error("another knife");
  const antler = { ...design.handle.right, material: "antler-deer" };
  const dressed = {
    ...design,
    guard: { ...design.guard, plates: design.guard.plates.map((p) => ({ ...p, material: "brass-360" })) },
    handle: { ...design.handle, right: antler, left: antler },
  };
  await expect(variants(page).first()).toContainText(`${massOf(dressed).toFixed(1)} g`);
  await expect(page.getByTestId("mass-chart").locator("path.recharts-rectangle")).toHaveCount(16);
  await expect(page.getByTestId("balance-chart").locator(".recharts-scatter-symbol")).toHaveCount(4);

  const chopper = JSON.parse(await readFile("demo/sallow-camp-chopper.json", "utf8")).knife as Design;
  await page
    .getByRole("button", { name: /^No longer beside/ })
    .first()
    .click();
  await page
    .getByLabel("Add another to compare", { exact: true })
    .selectOption({ label: "Sallow camp chopper" });
  await expect(rows(page)).toHaveCount(4);
  await expect(page.getByTestId("beside-drawing")).toContainText(`${massOf(chopper).toFixed(1)} g`);
  const figures = page.getByRole("table", { name: "Figures side by side" });
  await expect(figures).toContainText(`+${(massOf(chopper) - massOf(design)).toFixed(1)} g`);
  await expect(figures).toContainText("416 stainless");
});

test("variants go into the knife's file and come back with it", async ({ page }) => {
  await openCompare(page, "Orchard parer");
  await page.getByRole("button", { name: "Same blade, six handles" }).click();
  await page.getByRole("button", { name: "Make 6 variants" }).click();
  await expect(variants(page)).toHaveCount(6);
  const downloading = page.waitForEvent("download");
  await page.getByRole("button", { name: "Export file" }).click();
  const bytes = await readFile(await (await downloading).path());
  const reading = readKnife(bytes);
  if (!reading.ok) throw new Error(reading.code);
  expect(reading.variants).toHaveLength(6);
  await page.goto("/");
  await page
    .getByTestId("import-file")
    .setInputFiles({ name: "back.json", mimeType: "application/json", buffer: bytes });
  await page.getByRole("link", { name: "Orchard parer 2" }).click();
  await page.getByRole("button", { name: "Compare", exact: true }).click();
  await expect(variants(page)).toHaveCount(6);
});

test("what it costs: prices of the maker's own, minutes, something else, another's bill, files in and out", async ({
  page,
}) => {
  await openCompare(page, "Rook hunter");
  const total = page.getByTestId("bill-total");
  await expect(total).toContainText("0.00 in all");
  await expect(page.getByTestId("unpriced")).toContainText("Epoxy");
  await page.getByRole("button", { name: "Use made-up prices" }).click();
  await expect(page.getByTestId("unpriced")).toHaveCount(0);
  const workshop = await readFile("demo/prices/workshop.json");
  const prices = readPrices(workshop);
  if (!prices.ok) throw new Error(prices.code);
  const expected = billOf((await keptKnife(page)).design as Design, prices.shop);
  await expect(total).toContainText(`${expected?.total.toFixed(2)} cr in all`);

  const glue = page.getByRole("button", { name: "Set the price of Epoxy, slow cure" });
  await glue.click();
  const editor = page.getByTestId("price-editor");
  await editor.getByLabel("Epoxy, slow cure is priced by", { exact: true }).selectOption("piece");
  await editor.getByLabel("One costs", { exact: true }).fill("a lot");
  await page.keyboard.press("Enter");
  await expect(editor).toContainText("Must be a number");
  await editor.getByRole("button", { name: "Save the price" }).click();
  await expect(editor, "what cannot be read is not thrown away").toContainText("Must be a number");
  await editor.getByLabel("One costs", { exact: true }).fill("12");
  await editor.getByLabel("One makes", { exact: true }).fill("4");
  await editor.getByRole("button", { name: "Save the price" }).click();
  const line = page.getByRole("table", { name: "Materials and hardware" }).getByRole("row", { name: /Glue/ });
  await expect(line).toContainText("3.00 cr");

  await page.getByLabel("Minutes: Sand and finish", { exact: true }).fill("135");
  await page.keyboard.press("Enter");
  await expect(total).toContainText(
    `${Math.floor(((expected?.minutes ?? 0) + 60) / 60)} h ${((expected?.minutes ?? 0) % 60) + 0} min of work`,
  );
  await page.getByRole("button", { name: "Back to 75 min: Sand and finish" }).click();
  await page.getByRole("button", { name: "Other work" }).click();
  await page.getByLabel("Money: Other work", { exact: true }).fill("15");
  await page.keyboard.press("Enter");
  await expect(total).toContainText("besides 15.00 cr");
  await page.getByRole("button", { name: "Leave out Other work" }).click();
  await expect(total).not.toContainText("besides");

  await page
    .getByLabel("Add another to compare", { exact: true })
    .selectOption({ label: "Tarn ready-made blade" });
  await page.getByLabel("Whose bill", { exact: true }).selectOption({ label: "Tarn ready-made blade" });
  await expect(page.getByRole("table", { name: "Materials and hardware" })).toContainText("Ready-made blade");
  await expect(
    page.getByLabel("Minutes: Sand and finish", { exact: true }),
    "another's minutes can only be read",
  ).toHaveCount(0);

  await page.getByLabel("Currency", { exact: true }).click();
  await page.keyboard.type("EUR");
  await page.keyboard.press("Enter");
  await expect(total).toContainText("EUR in all");

  await page.getByTestId("import-prices").setInputFiles({
    name: "knife.json",
    mimeType: "application/json",
    buffer: await readFile("demo/rook-hunter.json"),
  });
  await expect(page.getByRole("region", { name: "Cost", exact: true }).getByRole("alert")).toContainText(
    "knife.json: It is not a file of prices",
  );
  const downloading = page.waitForEvent("download");
  await page.getByRole("button", { name: "Export prices" }).click();
  const written = readPrices(await readFile(await (await downloading).path()));
  if (!written.ok) throw new Error(written.code);
  expect(written.shop.prices.epoxy).toEqual({ by: "piece", perPiece: 12, makes: 4 });
  await page.goto("/stock");
  await page.getByLabel("Find a material", { exact: true }).fill("epoxy, slow");
  await expect(page.getByRole("row", { name: /Epoxy, slow cure/ })).toContainText("12.00 EUR for 4");
});
