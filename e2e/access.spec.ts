import AxeBuilder from "@axe-core/playwright";
import { expect, type Page, test } from "@playwright/test";
import { DEMOS, openKnife, PAGES, settled, step } from "./bench";

type Scheme = "light" | "dark";

/** What a scheme can break by itself: all else is the same page, looked at whole in the light. */
const OF_COLOURS = ["color-contrast", "link-in-text-block"];

async function faultsOn(page: Page, where: string, scheme: Scheme): Promise<void> {
  // What is still fading in has not its colours yet.
  await page.evaluate(() =>
    Promise.all(
      document
        .getAnimations()
        .filter((a) => a.effect?.getComputedTiming().iterations !== Number.POSITIVE_INFINITY)
        .map((a) => a.finished.catch(() => undefined)),
    ),
  );
  const axe = new AxeBuilder({ page });
  if (scheme === "dark") axe.withRules(OF_COLOURS);
  else axe.withTags(["wcag2a", "wcag2aa", "wcag21aa", "wcag22aa", "best-practice"]);
  const { violations } = await axe.analyze();
  expect(
    violations.map((v) => `${where}: ${v.id} ${v.nodes.map((n) => n.target.join(" ")).slice(0, 3)}`),
  ).toEqual([]);
}

for (const scheme of ["light", "dark"] as const) {
  test(`no accessibility faults that axe finds, ${scheme}`, async ({ page }) => {
    // Every page and every step is looked at whole.
    test.slow();
    await page.emulateMedia({ colorScheme: scheme, reducedMotion: "reduce" });
    const faults = (where: string) => faultsOn(page, where, scheme);
    await page.goto("/");
    await expect(page.getByTestId("rack-mass")).toHaveCount(DEMOS);
    await faults("rack");
    for (const path of PAGES) {
      await page.goto(path);
      await expect(page.getByRole("heading", { level: 1 })).toBeVisible();
      // What is read from the database stands: buttons that wait for it are there to be pressed.
      await settled(page);
      await faults(path);
    }
    await openKnife(page, "Long Meadow slicer");
    for (const name of ["Blade", "Tang", "Handle", "Guard", "Pins", "Parts", "Notes"]) {
      await step(page, name);
      await faults(name);
    }
  });
}

for (const scheme of ["light", "dark"] as const) {
  test(`none in the views of a knife, ${scheme}`, async ({ page }) => {
    test.slow();
    await page.emulateMedia({ colorScheme: scheme, reducedMotion: "reduce" });
    await openKnife(page, "Sallow camp chopper");
    await page.getByRole("button", { name: "Balance", exact: true }).click();
    await expect(page.getByTestId("owes-chart")).toBeVisible({ timeout: 30_000 });
    await expect(page.getByRole("table", { name: "Changes" })).toBeVisible();
    await faultsOn(page, "balance", scheme);
    await page.getByRole("button", { name: "Fit-up", exact: true }).click();
    await expect(page.getByRole("heading", { name: "Stock to cut" })).toBeVisible({ timeout: 30_000 });
    await faultsOn(page, "fit-up", scheme);
    await page.getByRole("button", { name: "Compare", exact: true }).click();
    await page.getByRole("button", { name: "Same blade, six handles" }).click();
    await faultsOn(page, "sets of materials", scheme);
    await page.getByRole("button", { name: "Make 6 variants" }).click();
    await page.getByRole("button", { name: "Use made-up prices" }).click();
    await expect(page.getByTestId("bill-total")).toContainText("cr in all");
    await page.getByRole("button", { name: "Set the price of Epoxy, slow cure" }).click();
    await page.getByRole("button", { name: "Other work" }).click();
    await faultsOn(page, "compare", scheme);
    await page.getByRole("button", { name: "Sheets", exact: true }).click();
    for (const sheet of ["Templates", "Certificate", "Cutter's files", "Tables and everything"]) {
      await page.getByRole("button", { name: sheet, exact: true }).click();
      await settled(page);
      await faultsOn(page, sheet, scheme);
    }
    await page.getByRole("button", { name: "Bring in a pattern" }).click();
    await faultsOn(page, "pattern", scheme);
  });
}

test("the whole way by keyboard: rack, knife, step, point, field", async ({ page }) => {
  await page.goto("/");
  await expect(page.getByTestId("rack-mass")).toHaveCount(DEMOS);
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
  await page.getByLabel("Find a material", { exact: true }).fill("rose");
  await expect(page.getByText(/^3 of \d+ materials$/)).toBeVisible();
  await expect(page.getByRole("row").nth(1)).toContainText("rosewood");
  await page.getByLabel("Class of material", { exact: true }).selectOption("metal");
  await expect(page.getByText("No material is called that")).toBeVisible();
});
