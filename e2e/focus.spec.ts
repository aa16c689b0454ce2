import { expect, type Page, test } from "@playwright/test";
import { DEMOS, openKnife, step } from "./bench";

const focused = (page: Page) =>
  page.evaluate(() => {
    const e = document.activeElement;
    return e === document.body || !e
      ? "the page"
      : (e.getAttribute("aria-label") ?? e.textContent ?? e.tagName);
  });

/** The focus stands somewhere, and not on the page as a whole. */
const expectKept = (page: Page, after: string) =>
  expect.poll(() => focused(page), { message: after }).not.toBe("the page");

test("the focus goes on where work goes on: renamed, deleted, put back, on the rack", async ({ page }) => {
  await page.goto("/");
  await expect(page.getByTestId("rack-mass")).toHaveCount(DEMOS);
  await page.getByRole("button", { name: "Rename Orchard parer" }).focus();
  await page.keyboard.press("Enter");
  const name = page.getByLabel("Name of the knife");
  await expect(name).toBeFocused();
  await page.keyboard.type("Orchard parer 2");
  await page.keyboard.press("Enter");
  await expectKept(page, "renamed");
  await page.getByRole("button", { name: "Delete Orchard parer 2" }).focus();
  await page.keyboard.press("Enter");
  await expect(page.getByRole("button", { name: "Delete Orchard parer 2" })).toHaveCount(0);
  await expectKept(page, "deleted");
  // One key goes to what can be done about it.
  await page.keyboard.press("F8");
  await expect(page.getByRole("button", { name: "Put it back" })).toBeFocused();
  await page.keyboard.press("Enter");
  await expect(page.getByRole("button", { name: "Delete Orchard parer 2" })).toBeVisible();
  await expectKept(page, "put back");
});

test("and on the bench: removed, undone, solid view and back, variants made", async ({ page }) => {
  await openKnife(page, "Heath field knife");
  await step(page, "Pins");
  await page.getByRole("button", { name: "Remove Pin 1" }).focus();
  await page.keyboard.press("Enter");
  await expectKept(page, "removed");
  await expect.poll(() => focused(page)).toMatch(/pin|tube|add/i);
  await page.keyboard.press("Control+z");
  await expectKept(page, "undone");
  const solid = page.getByRole("button", { name: "Solid view", exact: true });
  await solid.focus();
  await page.keyboard.press("Enter");
  await expect(page.getByRole("button", { name: "Drawing", exact: true })).toBeFocused();
  await page.keyboard.press("Enter");
  await expect(solid).toBeFocused();
  await page.getByRole("button", { name: "Compare", exact: true }).click();
  await page.getByRole("button", { name: "Same blade, six handles" }).click();
  await page.getByRole("button", { name: "Make 6 variants" }).focus();
  await page.keyboard.press("Enter");
  await expect(page.getByRole("table", { name: "Variants" })).toBeVisible();
  await expectKept(page, "variants made");
});

test("names of controls say whose they are", async ({ page }) => {
  await openKnife(page, "Heath field knife");
  for (const name of ["Blade", "Tang", "Handle", "Pins"]) {
    await step(page, name);
    const names = await page
      .getByRole("tabpanel", { name })
      .getByRole("button")
      .evaluateAll((all) => all.map((b) => b.getAttribute("aria-label") ?? b.textContent ?? ""));
    const twice = names.filter((n, i) => names.indexOf(n) !== i);
    expect(twice, name).toEqual([]);
  }
});

test("what is chosen is seen where colours are the system's own", async ({ page }) => {
  await page.emulateMedia({ forcedColors: "active" });
  await openKnife(page, "Heath field knife");
  const outline = (name: string, role: "tab" | "button") =>
    page.getByRole(role, { name, exact: true }).evaluate((e) => getComputedStyle(e).outlineStyle);
  expect(await outline("Blade", "tab")).toBe("solid");
  expect(await outline("Tang", "tab")).toBe("none");
  expect(await outline("Bench", "button")).toBe("solid");
  expect(await outline("Balance", "button")).toBe("none");
});
