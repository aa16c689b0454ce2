import { expect, type Page, test } from "@playwright/test";
import type { Design } from "../src/core/knife/design/schema";
import { keptKnife, openKnife } from "./bench";

const shopOf = async (page: Page) => ((await keptKnife(page)).design as Design).workshop;

async function openGlue(page: Page, name: string): Promise<void> {
  await openKnife(page, name);
  await page.getByRole("button", { name: "Fit-up" }).click();
  await expect(page.getByRole("heading", { name: "Glue" })).toBeVisible({ timeout: 30_000 });
  const settings = page.getByRole("button", { name: "Settings: Glue" });
  await settings.click();
  await expect(settings).toHaveAttribute("aria-expanded", "true");
}
const glue = (page: Page) => page.getByRole("region", { name: "Glue" });
const potLife = (page: Page) => glue(page).getByRole("textbox", { name: "Pot life, min" });

test("what is changed at a knife is its own, is made the workshop's, and every knife follows it", async ({
  page,
}) => {
  await openGlue(page, "Marsh stick-tang");
  await expect(glue(page)).toContainText("As in My workshop");
  await potLife(page).fill("25");
  await page.keyboard.press("Enter");
  await expect(glue(page)).toContainText("This knife's own glue.");
  await expect.poll(() => shopOf(page)).toMatchObject({ own: ["glue"], glue: { potLifeMin: 25 } });

  // Back to the workshop's, by keyboard; undo brings the knife's own again.
  await glue(page).getByRole("button", { name: "Use the workshop's" }).press("Enter");
  await expect(potLife(page)).toHaveValue("60");
  await page.keyboard.press("Control+z");
  await expect(potLife(page)).toHaveValue("25");
  await glue(page).getByRole("button", { name: "Make it the workshop's" }).press("Enter");
  await expect(glue(page)).toContainText("As in My workshop");
  await expect.poll(() => shopOf(page)).toMatchObject({ own: [], glue: { potLifeMin: 25 } });

  await page.getByRole("link", { name: "Rack", exact: true }).click();
  await page.getByRole("link", { name: "Workshop", exact: true }).click();
  await expect(page.getByRole("textbox", { name: "Pot life, min" })).toHaveValue("25");
  const temperature = page.getByRole("textbox", { name: "Temperature of the shop, °C" });
  await temperature.fill("hot");
  await temperature.press("Enter");
  await expect(page.getByText(/Must be a number from −10 to 50/)).toBeVisible();
  await temperature.fill("12");
  await temperature.press("Enter");
  await page.getByRole("checkbox", { name: "Saturday" }).press("Space");
  await expect(page.getByText("48 h a week at the bench.")).toBeVisible();
  await page.getByLabel("Saturday, to").fill("08:00");
  await expect(page.getByText("The end must come after the beginning.")).toBeVisible();
  await page.getByLabel("Saturday, to").fill("13:00");
  await expect(page.getByText("44 h a week at the bench.")).toBeVisible();
  // Digit by digit, as a person types it: what is no day on the way is left alone.
  await page.getByLabel("Saturday, to").click({ position: { x: 12, y: 14 } });
  await page.keyboard.type("0130PM");
  await page.keyboard.press("Tab");
  await expect(page.getByLabel("Saturday, to")).toHaveValue("13:30");
  await expect(page.getByText("44 h 30 min a week at the bench.")).toBeVisible();
  await page.reload();
  await expect(temperature).toHaveValue("12");

  await page.getByRole("link", { name: "Rack", exact: true }).click();
  await page.getByRole("link", { name: "Orchard parer" }).click();
  await page.getByRole("button", { name: "Fit-up" }).click();
  await page.getByRole("button", { name: "Settings: Glue" }).click();
  await expect(potLife(page)).toHaveValue("25");
  await expect(glue(page).getByRole("textbox", { name: "Temperature of the shop, °C" })).toHaveValue("12");
});

test("there may be several workshops: the chosen one holds, and comes back from the bin", async ({
  page,
}) => {
  await page.goto("/workshop");
  const name = page.getByRole("textbox", { name: "Name of the workshop" });
  await expect(name).toHaveValue("My workshop");
  await page.getByRole("button", { name: "Copy" }).click();
  await expect(name).toHaveValue("My workshop 2");
  await name.fill("Barn");
  await name.press("Enter");
  const rate = page.getByRole("textbox", { name: "An hour of work" });
  await rate.fill("40");
  await rate.press("Enter");
  const which = page.getByRole("combobox", { name: "Workshop that new knives begin in" });
  await expect(which).toContainText("Barn");
  await which.selectOption({ label: "My workshop" });
  await expect(rate).toHaveValue("0");
  await which.selectOption({ label: "Barn" });
  await expect(rate).toHaveValue("40");
  await page.getByRole("button", { name: "Delete" }).click();
  await expect(name).toHaveValue("My workshop");
  await page.getByRole("button", { name: "Put it back" }).click();
  await expect(which).toContainText("Barn");
});

test("what no workshop can have is said beside its field, and changes nothing", async ({ page }) => {
  await page.goto("/workshop");
  const name = page.getByRole("textbox", { name: "Name of the workshop" });
  await expect(name).toHaveValue("My workshop");
  const wrong: readonly (readonly [string, string, RegExp])[] = [
    ["Breadth of the hand", "0", /from 40 mm to 140 mm/],
    ["An hour of work", "-1", /from 0 to 1000000/],
    ["Across", "250", /from 90 mm to 110 mm/],
    ["End mills", "", /from 0.3 mm to 30 mm/],
    ["Pot life, min", "1e999", /from 1 to 1000/],
  ];
  for (const [label, value, says] of wrong) {
    const field = page.getByRole("textbox", { name: label, exact: true });
    const before = await field.inputValue();
    await field.fill(value);
    await field.press("Enter");
    await expect(page.getByText(says)).toBeVisible();
    await page.reload();
    await expect(field).toHaveValue(before);
  }
  await name.fill("  ");
  await name.press("Enter");
  await expect(name).toHaveValue("My workshop");
});
