import { expect, test } from "@playwright/test";
import type { Design } from "../src/core/knife/design/schema";
import { keptKnife, openKnife, step, weightOf, written } from "./bench";

test("a material is found by its everyday name in any field, by keyboard; favourites stand first", async ({
  page,
}) => {
  await openKnife(page, "Heath field knife");
  await step(page, "Handle");
  const before = await weightOf(page);
  const card = page.locator("[data-item=scale-right]");
  await card.getByRole("button", { name: "Find: Material" }).focus();
  await page.keyboard.press("Enter");
  const finder = page.getByRole("combobox", { name: "Find a material" });
  await expect(finder).toBeFocused();
  // In the other spelling, and with a typo.
  await page.keyboard.type("stabilized mapple");
  const found = page.getByTestId("materials-found");
  await expect(found.getByRole("option").first()).toContainText("Stabilised maple burl");
  await page.keyboard.press("Enter");
  await expect
    .poll(async () => ((await keptKnife(page)).design as Design).handle)
    .toMatchObject({
      right: { material: "maple-burl-stabilised" },
    });
  await expect.poll(() => weightOf(page)).not.toBe(before);

  // What is nowhere is said, and Escape leaves things as they are.
  await card.getByRole("button", { name: "Find: Material" }).click();
  await page.keyboard.type("unobtainium");
  await expect(found).toContainText("No material is called that");
  await page.keyboard.press("Escape");
  await expect(finder).toHaveCount(0);

  // A favourite stands first in lists, here and on the next visit.
  await card.getByRole("button", { name: "Favourite: Stabilised maple burl" }).click();
  await written(page);
  await page.reload();
  await step(page, "Handle");
  const list = card.getByRole("combobox", { name: "Material", exact: true });
  await expect(list.locator("optgroup").first()).toHaveAttribute("label", "Favourites and recent");
  await expect(list.locator("optgroup").first().locator("option").first()).toHaveText(
    /^Stabilised maple burl/,
  );
  await page.getByRole("link", { name: "Rack", exact: true }).click();
  await page.getByRole("link", { name: "Materials", exact: true }).click();
  await expect(page.getByRole("row").nth(1)).toContainText("Stabilised maple burl");
});
