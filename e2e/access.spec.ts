import AxeBuilder from "@axe-core/playwright";
import { expect, test } from "@playwright/test";
import { openKnife, step } from "./bench";

for (const scheme of ["light", "dark"] as const) {
  test(`no accessibility faults that axe finds, ${scheme}`, async ({ page }) => {
    await page.emulateMedia({ colorScheme: scheme, reducedMotion: "reduce" });
    const faults = async (where: string) => {
      const { violations } = await new AxeBuilder({ page })
        .withTags(["wcag2a", "wcag2aa", "wcag21aa"])
        .analyze();
      expect(
        violations.map((v) => `${where}: ${v.id} ${v.nodes.map((n) => n.target.join(" ")).slice(0, 3)}`),
      ).toEqual([]);
    };
    await page.goto("/");
    await expect(page.getByTestId("rack-mass")).toHaveCount(16);
    await faults("rack");
    await page.goto("/stock");
    await faults("stock");
    await page.goto("/settings");
    await faults("settings");
    await openKnife(page, "Long Meadow slicer");
    for (const name of ["Blade", "Tang", "Handle", "Guard", "Pins", "Parts"]) {
      await step(page, name);
      await faults(name);
    }
  });
}

test("the whole way by keyboard: rack, knife, step, point, field", async ({ page }) => {
  await page.goto("/");
  await expect(page.getByTestId("rack-mass")).toHaveCount(16);
  const tabTo = async (match: RegExp) => {
    for (let i = 0; i < 60; i++) {
      await page.keyboard.press("Tab");
      const name = await page.evaluate(() => {
        const e = document.activeElement;
        return e?.getAttribute("aria-label") ?? e?.textContent ?? "";
      });
      if (match.test(name)) return;
    }
    throw new Error(`no way by Tab to ${match}`);
  };
  await tabTo(/^Orchard parer$/);
  await page.keyboard.press("Enter");
  await expect(page.getByTestId("weight")).toHaveText(/\d/);
  await tabTo(/^Blade$/);
  for (const name of ["Tang", "Handle", "Guard", "Pins"]) {
    await page.keyboard.press("ArrowRight");
    await expect(page.getByRole("tab", { name })).toHaveAttribute("aria-selected", "true");
  }
  await page.locator("[data-point=pin-1]").focus();
  await page.keyboard.press("Delete");
  await expect(page.locator("[data-point=pin-1]")).toHaveCount(0);
  await page.keyboard.press("Control+z");
  await expect(page.locator("[data-point=pin-1]")).toHaveCount(1);
});

test("Stock finds materials by word and class", async ({ page }) => {
  await page.goto("/stock");
  await page.getByLabel("Find a material").fill("rose");
  await expect(page.getByText("2 of")).toBeVisible();
  await page.getByLabel("Class of material").selectOption("metal");
  await expect(page.getByText("No material is called that")).toBeVisible();
});
