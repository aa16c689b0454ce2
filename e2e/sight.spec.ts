import { expect, test } from "@playwright/test";
import { openKnife, step, typeLength } from "./bench";

const marked = "[data-testid=highlighted]";

test("Fit-up keeps the knife in sight: rows and findings mark what they speak of, what is picked brings up its row", async ({
  page,
}) => {
  await openKnife(page, "Heath field knife");
  await page.getByRole("button", { name: "Fit-up", exact: true }).click();
  const sight = page.getByTestId("in-sight");
  await expect(page.getByRole("heading", { name: "Stock to cut" })).toBeVisible({ timeout: 30_000 });
  await expect(page.getByTestId("item-numbers")).toContainText("3");

  // By pointer: a row marks its pins, a finding its pin, and nothing stays marked.
  const row = page.getByRole("table", { name: "Pin layout" }).getByRole("row", { name: /^Pin 2/ });
  await row.hover();
  await expect(sight.locator(marked)).toHaveAttribute("data-marked", "fastener:pin-2");
  await page.mouse.move(5, 400);
  await expect(sight.locator(marked)).toHaveCount(0);
  await page.locator("[data-finding=edge-in-wood]").first().hover();
  await expect(sight.locator(marked)).toHaveAttribute("data-marked", /fastener:/);

  // By keyboard: from row to row with the arrow keys.
  await page.getByRole("table", { name: "Pin layout" }).getByRole("row").nth(1).focus();
  await page.keyboard.press("ArrowDown");
  await expect(sight.locator(marked)).toHaveAttribute("data-marked", "fastener:pin-2");
  await page.keyboard.press("End");
  await expect(sight.locator(marked)).toHaveAttribute("data-marked", /fastener:(?!pin-2)/);

  // A part that is picked brings up what is said of it, each time the next; the drawing stays where it is.
  const top = (await sight.boundingBox())?.y;
  const pin = sight.getByRole("button", { name: "Pin 2", exact: true });
  await pin.focus();
  await expect(row).toHaveAttribute("data-lit", "true");
  const seen = new Set<string>();
  for (let i = 0; i < 4; i++) {
    await pin.focus();
    await page.keyboard.press("Enter");
    const focused = page.locator("[data-part-refs]:focus");
    await expect(focused).toBeInViewport();
    seen.add((await focused.textContent()) ?? "");
  }
  expect(seen.size).toBeGreaterThan(2);
  expect([...seen].every((text) => /pin|brass/i.test(text))).toBe(true);
  expect((await sight.boundingBox())?.y).toBe(top);
  await sight.getByRole("button", { name: "Pin 1", exact: true }).click();
  await expect(page.locator("[data-part-refs]:focus")).toContainText("Pin 1");
});

test("Balance keeps the knife in sight: a change marks the parts that it changes, and a part brings up its changes", async ({
  page,
}) => {
  await openKnife(page, "Gorse guard knife");
  await page.getByRole("button", { name: "Balance", exact: true }).click();
  const changes = page.getByRole("table", { name: "Changes" });
  await expect(changes).toBeVisible({ timeout: 30_000 });
  const sight = page.getByTestId("in-sight");
  await changes.getByRole("row", { name: /^Guard of Aluminium/ }).hover();
  await expect(sight.locator(marked)).toHaveAttribute("data-marked", /(^| )guard( |$)/);
  await changes
    .getByRole("button", { name: /^Try Blade's thickness/ })
    .first()
    .focus();
  await expect(sight.locator(marked)).toHaveAttribute("data-marked", /(^| )blade( |$)/);
  await sight.getByRole("button", { name: "Guard", exact: true }).focus();
  await page.keyboard.press("Enter");
  await expect(page.locator("[data-part-refs]:focus")).toContainText("Guard");
  await expect(page.locator("[data-part-refs]:focus")).toBeInViewport();
});

test("the readout says every finding, the newest first; folded it says how many, and Fit-up does not repeat them", async ({
  page,
}) => {
  await openKnife(page, "Fen rigging knife");
  await step(page, "Pins");
  const findings = page.getByTestId("findings");
  const lines = findings.locator("[data-finding-line]");
  await expect(findings).toContainText(/\d (warning|note)/);
  // What a change brings stands first, and whole.
  await typeLength(page, "Above the axis", "6");
  await expect(lines.first()).toContainText("Warning: ");
  await expect(lines.first()).toContainText(/stands \d\.\d\d diameters from the edge/);
  expect(await lines.count()).toBe(1);
  await findings.getByRole("button", { name: /^Show all \d+/ }).focus();
  await page.keyboard.press("Enter");
  const counted = async () =>
    [...((await findings.textContent()) ?? "").split("Show")[0].matchAll(/\d+/g)].reduce(
      (sum, [n]) => sum + Number(n),
      0,
    );
  await expect.poll(async () => (await lines.count()) - (await counted())).toBe(0);
  expect(await lines.count()).toBeGreaterThan(2);
  await expect(lines.first()).toContainText(/diameters from the edge/);
  for (const line of await lines.all()) {
    const cut = await line.evaluate((e) => e.scrollWidth > e.clientWidth + 1);
    expect(cut, "no line is cut off").toBe(false);
  }
  await page.getByRole("button", { name: "Fit-up", exact: true }).click();
  await expect(page.locator("#findings [data-finding]").first()).toContainText(/diameters from the edge/);
  await expect(lines).toHaveCount(0);
  await findings.getByRole("link", { name: "Findings" }).click();
  await expect(page.locator("#findings")).toBeInViewport();
});

test("nothing covers the drawing: the way to the solid view stands beside it, at both sizes", async ({
  page,
}) => {
  for (const [width, height] of [
    [1280, 800],
    [1024, 768],
  ]) {
    await page.setViewportSize({ width, height });
    await openKnife(page, "Long Meadow slicer");
    const button = (await page.getByRole("button", { name: "Solid view" }).boundingBox())!;
    const drawing = (await page.getByTestId("drawing").boundingBox())!;
    expect(button.x).toBeGreaterThanOrEqual(drawing.x + drawing.width - 1);
    const readout = (await page.getByRole("region", { name: "Readout" }).boundingBox())!;
    expect(readout.height, "figures and the first finding need no more").toBeLessThan(190);
    expect(await page.evaluate(() => document.documentElement.scrollWidth)).toBeLessThanOrEqual(width);
  }
});

test("light and dark follow the device until the maker chooses", async ({ page }) => {
  const ground = () => page.evaluate(() => getComputedStyle(document.body).backgroundColor);
  await page.emulateMedia({ colorScheme: "light" });
  await page.goto("/");
  const light = await ground();
  await page.emulateMedia({ colorScheme: "dark" });
  await expect.poll(ground).not.toBe(light);
  await page.getByRole("button", { name: "Light colours" }).click();
  await expect.poll(ground).toBe(light);
  await page.reload();
  await expect.poll(ground).toBe(light);
});
