import { readFile } from "node:fs/promises";
import { expect, test } from "@playwright/test";
import { CHROMIUM } from "../scripts/lib/chromium.mjs";
import { openKnife, step, typeLength } from "./bench";

// Solids need WebGL, which headless Chromium draws in software when told to.
test.use({
  launchOptions: {
    executablePath: CHROMIUM,
    args: [
      "--no-sandbox",
      "--disable-background-networking",
      "--use-angle=swiftshader",
      "--enable-unsafe-swiftshader",
    ],
  },
});

test("the knife is seen as solids: turned by keys, drawn apart, cut open, parts hidden", async ({ page }) => {
  await openKnife(page, "Reed take-down hunter");
  expect(await page.locator("canvas").count(), "nothing is loaded before it is asked for").toBe(0);
  await page.getByRole("button", { name: "Solid view" }).click();
  const tools = page.getByTestId("solid-tools");
  await expect(tools.getByText("Guard", { exact: true })).toBeVisible({ timeout: 30_000 });
  const canvas = page.locator("canvas");
  await expect(canvas).toBeVisible();
  const seen = async () => (await canvas.screenshot()).toString("base64");
  await expect.poll(async () => new Set((await seen()).slice(-4000)).size).toBeGreaterThan(20);
  let last = await seen();
  const changes = async (what: string) => {
    await expect.poll(seen, { message: what, timeout: 20_000 }).not.toBe(last);
    last = await seen();
  };
  await page.getByRole("application").focus();
  await page.keyboard.press("ArrowLeft");
  await changes("turned");
  await page.keyboard.press("+");
  await changes("nearer");
  await page.keyboard.press("Home");
  await changes("as it was");
  await page.getByRole("slider", { name: "Exploded view" }).focus();
  await page.keyboard.press("End");
  await changes("drawn apart");
  await page.getByRole("combobox", { name: "Cut open" }).selectOption("z");
  await changes("cut lengthwise");
  await page.getByRole("combobox", { name: "Cut open" }).selectOption("x");
  await changes("cut across");
  await page.getByRole("slider", { name: /^At / }).focus();
  await page.keyboard.press("PageUp");
  await changes("cut elsewhere");
  await tools.getByText("Block 3", { exact: true }).click();
  await changes("without its block");
  await page.getByRole("button", { name: "Drawing", exact: true }).click();
  await expect(page.getByTestId("drawing")).toBeVisible();
});

test("a design that cannot be built says so in the solid view, and is shown when fixed", async ({ page }) => {
  await openKnife(page, "Orchard parer");
  await page.getByRole("button", { name: "Solid view" }).click();
  await typeLength(page, "Ricasso length", "300");
  await expect(page.getByText("nothing to show until the design can be built")).toBeVisible();
  await page.keyboard.press("Control+z");
  await expect(page.locator("canvas")).toBeVisible({ timeout: 30_000 });
});

test("both methods are compared, and mesh files of a part and of the whole are written", async ({ page }) => {
  await openKnife(page, "Orchard parer");
  await step(page, "Parts");
  await page.getByRole("button", { name: "Compare both methods" }).click();
  const reading = page.getByTestId("second-reading");
  await expect(reading).toContainText("agree within 0.0", { timeout: 60_000 });
  await page.getByLabel("What to write", { exact: true }).selectOption("blade");
  const saved = page.waitForEvent("download", { timeout: 60_000 });
  await page.getByRole("button", { name: "STL", exact: true }).click();
  const file = await saved;
  expect(file.suggestedFilename()).toBe("orchard-parer-blade.stl");
  const bytes = await readFile(await file.path());
  expect(bytes.byteLength).toBe(84 + 50 * bytes.readUInt32LE(80));
  await page.getByLabel("What to write", { exact: true }).selectOption("whole");
  const package_ = page.waitForEvent("download", { timeout: 60_000 });
  await page.getByRole("button", { name: "3MF", exact: true }).click();
  expect((await package_).suggestedFilename()).toBe("orchard-parer.3mf");
});
