import { expect, test } from "@playwright/test";
import type { Design } from "../src/core/knife/design/schema";
import { DEMOS, keptKnife, openKnife, typeLength, weightOf, written } from "./bench";

test("an edit survives a reload and a crash of the page", async ({ page, context }) => {
  await openKnife(page, "Rook hunter");
  const url = page.url();
  await typeLength(page, "Spine", "5");
  await expect.poll(async () => ((await keptKnife(page)).design as Design).blade.spineMm).toBe(5);
  await page.reload();
  await expect(page.getByRole("textbox", { name: "Spine", exact: true })).toHaveValue("5");

  await typeLength(page, "Spine", "3");
  await written(page);
  const cdp = await context.newCDPSession(page);
  // The renderer dies: no unload handler runs.
  const crashed = page.waitForEvent("crash");
  void cdp.send("Page.crash").catch(() => undefined);
  await crashed;
  const again = await context.newPage();
  await again.goto(url);
  await expect(again.getByRole("textbox", { name: "Spine", exact: true })).toHaveValue("3");
});

test("an idle tab takes over what another tab changes, and can undo it", async ({ page, context }) => {
  await openKnife(page, "Rook hunter");
  const other = await context.newPage();
  await other.goto(page.url());
  await expect(other.getByTestId("weight")).toHaveText(/\d/);
  const before = await weightOf(other);
  await typeLength(page, "Spine", "6");
  await expect.poll(() => weightOf(other)).toBeGreaterThan(before + 10);
  await expect(other.getByText("Taken over from another tab").first()).toBeVisible();
  await other.keyboard.press("Control+z");
  await expect.poll(() => weightOf(other)).toBe(before);
  await expect.poll(() => weightOf(page)).toBe(before);
});

/** Changes the kept knife behind the page's back, as a tab would whose message has not arrived yet. */
async function changeElsewhere(page: Parameters<typeof keptKnife>[0], spineMm: number): Promise<void> {
  const id = page.url().split("/").pop() ?? "";
  await page.evaluate(
    ([key, spine]) =>
      new Promise<void>((done) => {
        const opening = indexedDB.open("euaxis");
        opening.onsuccess = () => {
          const knives = opening.result.transaction("knives", "readwrite").objectStore("knives");
          const asked = knives.get(key);
          asked.onsuccess = () => {
            const record = asked.result;
            record.design.blade.spineMm = spine;
            record.revision += 1;
            knives.put(record).onsuccess = () => {
              opening.result.close();
              done();
            };
          };
        };
      }),
    [id, spineMm] as const,
  );
}

test("two tabs that both changed a knife do not overwrite each other", async ({ page }) => {
  await openKnife(page, "Rook hunter");
  await changeElsewhere(page, 7);
  await typeLength(page, "Greatest height", "31");
  const bar = page.getByRole("alert").filter({ hasText: "changed in another tab too" });
  await expect(bar).toBeVisible();
  expect(((await keptKnife(page)).design as Design).blade.spineMm, "theirs still stands").toBe(7);
  await bar.getByRole("button", { name: /Keep mine/ }).click();
  await expect(bar).toHaveCount(0);
  await expect.poll(async () => ((await keptKnife(page)).design as Design).blade.heelHeightMm).toBe(31);
  await page.getByRole("link", { name: "Rack" }).click();
  await expect(page.getByRole("link", { name: "Rook hunter (other tab)" })).toBeVisible();
});

test("the other tab's state can be taken instead, and mine stays in undo", async ({ page }) => {
  await openKnife(page, "Rook hunter");
  await changeElsewhere(page, 7);
  await typeLength(page, "Greatest height", "31");
  await page.getByRole("button", { name: "Take the other tab's" }).click();
  await expect(page.getByRole("textbox", { name: "Spine", exact: true })).toHaveValue("7");
  await page.keyboard.press("Control+z");
  await expect(page.getByRole("textbox", { name: "Greatest height" })).toHaveValue("31");
  await expect.poll(async () => ((await keptKnife(page)).design as Design).blade.heelHeightMm).toBe(31);
});

test("a knife deleted in another tab can be put back", async ({ page, context }) => {
  await openKnife(page, "Fen rigging knife");
  const rack = await context.newPage();
  await rack.goto("/");
  await rack.getByRole("button", { name: "Delete Fen rigging knife" }).click();
  await expect(page.getByText("taken off the rack in another tab")).toBeVisible();
  await page.getByRole("button", { name: "Put it back" }).click();
  await expect(rack.getByRole("link", { name: "Fen rigging knife" })).toBeVisible();
});

test("an address without a knife says so", async ({ page }) => {
  await page.goto("/knife/nothing-here");
  await expect(page.getByText("This knife is not on the rack")).toBeVisible();
  await page.getByRole("link", { name: "Back to the rack" }).click();
  await expect(page.getByTestId("rack-row")).toHaveCount(DEMOS);
});
