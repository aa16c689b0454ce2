import { readFile } from "node:fs/promises";
import { expect, type Page, test } from "@playwright/test";
import type { Design } from "../src/core/knife/design/schema";
import { keptKnife, openKnife, step, weightOf, written } from "./bench";

const dialog = (page: Page) => page.getByTestId("own-material");

/** Types into a field of the dialog and leaves it. */
async function type(page: Page, label: string, text: string): Promise<void> {
  const field = dialog(page).getByRole("textbox", { name: label, exact: true });
  await field.fill(text);
  await field.press("Enter");
}

/** Makes a layered steel of two materials in the stock. */
async function makeLayered(page: Page): Promise<void> {
  await page.goto("/stock");
  await page.getByRole("button", { name: "New material" }).click();
  await type(page, "Name", "Field bar, forged");
  await dialog(page).getByRole("combobox", { name: "Class" }).selectOption("steel");
  await dialog(page).getByLabel("Density known from").selectOption("mix");
  await dialog(page).getByLabel("Part 1", { exact: true }).selectOption("steel-1084");
  await dialog(page).getByLabel("Part 2", { exact: true }).selectOption("nickel-200");
  await type(page, "Share of part 1", "12");
  await type(page, "Share of part 2", "1");
}

test("a material of one's own is made by keyboard, used, changed, kept from being deleted, and taken along in a file", async ({
  page,
}) => {
  await makeLayered(page);
  // 12 parts of 7.85 and one of 8.9 by volume.
  await expect(page.getByTestId("own-density")).toContainText("7.9");
  await dialog(page).getByRole("button", { name: "Save" }).press("Enter");
  await expect(dialog(page)).toHaveCount(0);
  await expect(page.getByRole("row").filter({ hasText: "Field bar, forged" })).toBeVisible();

  await openKnife(page, "Heath field knife");
  const before = await weightOf(page);
  await page.getByRole("button", { name: "Find: Blade and tang" }).click();
  await expect(page.getByRole("combobox", { name: "Find a material" })).toBeFocused();
  await page.keyboard.type("field bar");
  await expect(page.getByTestId("materials-found").getByRole("option").first()).toContainText("Field bar");
  await page.keyboard.press("Enter");
  await expect.poll(() => weightOf(page)).toBeGreaterThan(before);
  await written(page);
  const kept = (await keptKnife(page)).design as Design;
  expect(kept.materials.map((m) => m.name)).toEqual(["Field bar, forged"]);
  const layered = await weightOf(page);

  // Its file brings it along.
  const download = page.waitForEvent("download");
  await page.getByRole("button", { name: "Export file" }).click();
  const text = await readFile(await (await download).path(), "utf8");
  expect(JSON.parse(text).knife.materials).toHaveLength(1);

  // While a knife is made of it, it stays.
  await page.goto("/stock");
  await page.getByRole("button", { name: "Delete Field bar, forged" }).click();
  await expect(page.getByText("is still used")).toBeVisible();
  await expect(page.getByText("Heath field knife", { exact: false })).toBeVisible();

  // A change of it is a change of the knife.
  await page.getByRole("button", { name: "Change Field bar, forged" }).click();
  await expect(dialog(page)).toContainText("One knife or variant is made of it");
  await type(page, "Share of part 2", "24");
  await dialog(page).getByRole("button", { name: "Save" }).click();
  await expect(dialog(page)).toHaveCount(0);
  await openKnife(page, "Heath field knife");
  await expect.poll(() => weightOf(page)).toBeGreaterThan(layered + 2);

  // A browser that does not know it takes it in with the file, and asks nothing.
  await page.evaluate(
    () =>
      new Promise((done) => {
        const opening = indexedDB.open("euaxis");
        opening.onsuccess = () => {
          const all = opening.result.transaction(["materials", "knives"], "readwrite");
          all.objectStore("materials").clear();
          all.objectStore("knives").clear();
          all.oncomplete = () => {
            opening.result.close();
            done(null);
          };
        };
      }),
  );
  await page.goto("/");
  await page.getByTestId("import-file").setInputFiles({
    name: "heath.json",
    mimeType: "application/json",
    buffer: Buffer.from(text),
  });
  await page.getByRole("link", { name: "Heath field knife", exact: true }).click();
  await expect(page.getByTestId("weight")).toHaveText(/\d/);
  await expect.poll(() => weightOf(page)).toBe(layered);
  await page.goto("/stock");
  await expect(page.getByRole("row").filter({ hasText: "Field bar, forged" })).toBeVisible();
});

test("what gives no sound density is said at once, and nothing is kept or lost", async ({ page }) => {
  await page.goto("/stock");
  await page.getByRole("button", { name: "New material" }).click();
  await dialog(page).getByRole("button", { name: "Save" }).click();
  await expect(dialog(page)).toContainText("Give it a name");
  await type(page, "Name", "Odd piece");
  // A density of 0 or 30 is not taken by the field.
  for (const wrong of ["0", "30"]) {
    await type(page, "Density", wrong);
    await expect(dialog(page)).toContainText("Must be a number from 0.03 to 23");
  }
  await dialog(page).getByRole("textbox", { name: "Density", exact: true }).press("Escape");
  await type(page, "Lightest piece", "0.9");
  await expect(page.getByTestId("own-density")).toContainText("within its range");
  await expect(dialog(page).getByRole("button", { name: "Save" })).toBeDisabled();
  // A weight that is ten times too much.
  await dialog(page).getByLabel("Density known from").selectOption("piece");
  await type(page, "Weight", "4120");
  await expect(page.getByTestId("own-density")).toContainText("nothing solid is outside");
  await type(page, "Weight", "41.2");
  await expect(page.getByTestId("own-density")).toContainText("0.858 g/cm³");
  // A mould full of pieces.
  await dialog(page).getByLabel("Density known from").selectOption("cast");
  await dialog(page).getByRole("button", { name: "Add pieces" }).click();
  await type(page, "Weight of pieces 1", "200");
  await expect(page.getByTestId("own-density")).toContainText("no room for resin");
  await type(page, "Weight of pieces 1", "20");
  await expect(page.getByTestId("cast-plan")).toContainText("Mix part A");
  // A wood that is as dense as at 12 % when it has 12 %; what it took up, and a piece in water.
  await dialog(page).getByLabel("Density known from").selectOption("moisture");
  await dialog(page).getByLabel("Like", { exact: true }).selectOption("walnut-black");
  const moisture = dialog(page).getByRole("textbox", { name: "Moisture, of the dry weight", exact: true });
  await expect(moisture).toHaveValue("8");
  await type(page, "Moisture, of the dry weight", "12");
  await type(page, "Give or take", "0");
  await expect(page.getByTestId("own-density")).toContainText("0.609 g/cm³");
  await dialog(page).getByLabel("Density known from").selectOption("taken-up");
  await type(page, "Resin taken up, of the dry weight", "900");
  await expect(page.getByTestId("own-density")).toContainText("no room for so much resin");
  await dialog(page).getByLabel("Density known from").selectOption("immersion");
  await type(page, "Weight in air", "27");
  await type(page, "More on the scale, in water", "10");
  await expect(page.getByTestId("own-density")).toContainText("2.695 g/cm³");
  // Looking at another kind lost nothing.
  await dialog(page).getByLabel("Density known from").selectOption("piece");
  await expect(page.getByTestId("own-density")).toContainText("0.858 g/cm³");
  // What was typed is not thrown away by one key.
  await page.keyboard.press("Escape");
  await expect(page.getByRole("alertdialog")).toContainText("Throw away what you typed?");
  await page.keyboard.press("Enter");
  await expect(page.getByRole("alertdialog")).toHaveCount(0);
  await expect(dialog(page)).toHaveCount(1);
  await page.keyboard.press("Escape");
  await page.getByRole("button", { name: "Throw it away" }).click();
  await expect(dialog(page)).toHaveCount(0);
  await expect(page.getByText("Odd piece")).toHaveCount(0);
});

test("one's own is made where it is wanted: from a copy in the stock, and from a field on the bench", async ({
  page,
}) => {
  await page.goto("/stock");
  await page.getByRole("textbox", { name: "Find a material" }).fill("cocobolo");
  await page.getByRole("button", { name: "Make one like Cocobolo" }).click();
  await expect(dialog(page).getByRole("textbox", { name: "Name", exact: true })).toHaveValue(
    "Cocobolo, mine",
  );
  await expect(dialog(page).getByRole("combobox", { name: "Works like" })).toHaveValue("cocobolo");
  await dialog(page).getByRole("button", { name: "Save" }).click();
  await expect(page.getByRole("row").filter({ hasText: "Cocobolo, mine" })).toBeVisible();

  await openKnife(page, "Heath field knife");
  await step(page, "Handle");
  const card = page.locator("[data-item=scale-right]");
  await card.getByRole("button", { name: "Find: Material" }).click();
  await page.getByRole("button", { name: "None of these: make one of your own" }).click();
  await type(page, "Name", "Bog oak of the lower field");
  await type(page, "Density", "0.95");
  await type(page, "Lightest piece", "0.9");
  await type(page, "Heaviest piece", "1");
  await dialog(page).getByRole("button", { name: "Save" }).click();
  await expect(card.getByRole("combobox", { name: "Material", exact: true })).toContainText(
    "Bog oak of the lower field",
  );
  await expect
    .poll(async () => ((await keptKnife(page)).design as Design).materials.map((m) => m.name))
    .toEqual(["Bog oak of the lower field"]);
  await page.getByRole("button", { name: "Undo" }).click();
  await expect.poll(async () => ((await keptKnife(page)).design as Design).materials).toEqual([]);
});

test("materials and prices come in as a CSV table: told before they are taken, row by row", async ({
  page,
}) => {
  await page.goto("/stock");
  const give = (name: string, text: string) =>
    page.getByTestId("stock-table").setInputFiles({ name, mimeType: "text/csv", buffer: Buffer.from(text) });
  await give("wrong.csv", "a,b\n1,2\n");
  await expect(page.getByRole("main").getByRole("alert")).toContainText(
    "The first line has to name the columns",
  );
  await give(
    "stock.csv",
    "Name,Class,Density,Price per kg\nFell beech,Wood,0.71,\nG-10 glass epoxy,,,40\nNothing,wood,heavy,\n",
  );
  const preview = page.getByRole("group", { name: "Table of stock" });
  await expect(preview).toContainText("1 new material, 1 price");
  await expect(preview).toContainText("Line 4: “heavy” is no number for density");
  await preview.getByRole("button", { name: "Import" }).click();
  await expect(preview).toHaveCount(0);
  await page.getByRole("textbox", { name: "Find a material" }).fill("Fell beech");
  await expect(page.getByRole("row", { name: /Fell beech.*0\.71/ })).toBeVisible();
  await page.reload();
  await page.getByRole("textbox", { name: "Find a material" }).fill("G-10");
  await expect(page.getByRole("row", { name: /G-10/ }).first()).toContainText("40");
});

test("hundreds of materials come in at once, keep the buttons in sight, and go out again at one click", async ({
  page,
}) => {
  await page.goto("/stock");
  const rows = Array.from({ length: 300 }, (_, i) => `Lot ${i} of the lower field;wood;0,${600 + i};${i},50`);
  const text = `Name;Class;Density;Price per kg\n${rows.join("\n")}\n`;
  await page
    .getByTestId("stock-table")
    .setInputFiles({ name: "lots.csv", mimeType: "text/csv", buffer: Buffer.from(text) });
  const preview = page.getByRole("group", { name: "Table of stock" });
  await expect(preview).toContainText("300 new materials, 300 prices");
  await expect(preview.getByRole("button", { name: "Import" })).toBeInViewport();
  await preview.getByRole("button", { name: "Import" }).click();
  await expect(page.getByText("300 materials and 300 prices imported").first()).toBeVisible();
  await page.getByRole("textbox", { name: "Find a material" }).fill("Lot 299 of");
  await expect(
    page.getByRole("row", { name: /Lot 299 of the lower field.*0\.90.*299\.50 a kg/ }),
  ).toBeVisible();
  await page.getByRole("button", { name: "Undo" }).click();
  await expect(page.getByText("It is taken out again").first()).toBeVisible();
  await expect(page.getByText("No material is called that")).toBeVisible();
});

test("a column of prices that can be read in two ways is asked about", async ({ page }) => {
  await page.goto("/stock");
  const text = 'Name,Class,Density,Price per kg\nFell beech,wood,0.71,"1,250"\n';
  await page
    .getByTestId("stock-table")
    .setInputFiles({ name: "prices.csv", mimeType: "text/csv", buffer: Buffer.from(text) });
  const asked = page.getByRole("group", { name: "Decimal mark" });
  await expect(asked).toContainText("“Price per kg”");
  await asked.getByLabel("How are they meant?").selectOption("comma");
  await page.getByRole("group", { name: "Table of stock" }).getByRole("button", { name: "Import" }).click();
  await page.getByRole("textbox", { name: "Find a material" }).fill("Fell beech");
  await expect(page.getByRole("row", { name: /Fell beech.*1\.25 a kg/ })).toBeVisible();
});

test("a material that two tabs change is told of, and both states can be had", async ({ page, context }) => {
  const own = "Walnut, dried indoors";
  await page.goto("/");
  await expect(page.getByTestId("rack-mass").first()).toBeVisible();
  await page.goto("/stock");
  const other = await context.newPage();
  await other.goto("/stock");
  for (const tab of [page, other]) await tab.getByRole("button", { name: `Change ${own}` }).click();
  const rename = async (tab: Page, name: string) => {
    await tab.getByTestId("own-material").getByRole("textbox", { name: "Name", exact: true }).fill(name);
    await tab.getByTestId("own-material").getByRole("button", { name: "Save" }).click();
  };
  await rename(other, "Walnut of the other tab");
  await expect(other.getByTestId("own-material")).toHaveCount(0);
  await rename(page, "Walnut of mine");
  const conflict = page.getByTestId("own-material").getByRole("alert");
  await expect(conflict).toContainText("changed in another tab too");
  await conflict.getByRole("button", { name: "Keep mine, and theirs as another" }).click();
  await expect(page.getByTestId("own-material")).toHaveCount(0);
  for (const tab of [page, other])
    for (const name of ["Walnut of mine", "Walnut of the other tab (other tab)"])
      await expect(tab.getByRole("button", { name: `Change ${name}` })).toBeVisible();

  // Deleted there while it is changed here: it does not come back by itself.
  await page.getByRole("button", { name: "Change Walnut of the other tab (other tab)" }).click();
  await other.getByRole("button", { name: "Delete Walnut of the other tab (other tab)" }).click();
  await rename(page, "Third walnut");
  await expect(conflict).toContainText("deleted in another tab");
  await conflict.getByRole("button", { name: "Leave it deleted" }).click();
  await expect(page.getByRole("button", { name: "Change Third walnut" })).toHaveCount(0);
  await page.goto("/bin");
  await expect(page.getByTestId("bin-row")).toContainText("material of your own");
  await page.getByRole("button", { name: "Put Walnut of the other tab (other tab) back" }).click();
  await page.goto("/stock");
  await expect(
    page.getByRole("button", { name: "Change Walnut of the other tab (other tab)" }),
  ).toBeVisible();
});
