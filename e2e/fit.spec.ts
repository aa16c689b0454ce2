import { expect, type Page, test } from "@playwright/test";
import { fitFigures } from "../src/core/figures/fit/fitFigures";
import { reviewDesign } from "../src/core/figures/review/reviewDesign";
import { designOf, openKnife, step, typeLength } from "./bench";

async function openFit(page: Page, name: string): Promise<void> {
  await openKnife(page, name);
  await page.getByRole("button", { name: "Fit-up" }).click();
  await expect(page.getByRole("heading", { name: "Glue" })).toBeVisible({ timeout: 30_000 });
}

/** Unfolds the settings of a section. */
async function unfold(page: Page, section: string): Promise<void> {
  const settings = page.getByRole("button", { name: `Settings: ${section}` });
  await settings.click();
  await expect(settings).toHaveAttribute("aria-expanded", "true");
}

test("a finding is fixed by one click, and undo takes it back", async ({ page }) => {
  await openFit(page, "Marsh stick-tang");
  const sharp = page.locator("[data-finding=shoulder-sharp]");
  await expect(sharp).toContainText("radius of 0.0 mm");
  // It says what it sets, from what to what, and what that does, before it is pressed.
  const fix = sharp.getByRole("button", { name: "Fix: Tang's shoulder radius from 0 to 1 mm" });
  await expect(sharp).toContainText(/g, balance|weight and balance stay/);
  await fix.click();
  await expect(sharp).toHaveCount(0);
  await expect
    .poll(async () => reviewDesign(await designOf(page)).findings.map((f) => f.rule))
    .not.toContain("shoulder-sharp");
  await page.keyboard.press("Control+z");
  await expect(sharp).toHaveCount(1);
});

test("a finding is accepted with a reason that is kept, and taken back; a limit is changed", async ({
  page,
}) => {
  await openFit(page, "Marsh stick-tang");
  const sharp = page.locator("[data-finding=shoulder-sharp]");
  await sharp.getByRole("button", { name: "Accept …" }).click();
  await page.getByRole("textbox", { name: "Why it is accepted" }).fill("the tang is drawn back soft");
  await page.keyboard.press("Enter");
  await expect(sharp).toHaveCount(0);
  await expect(page.getByText("“the tang is drawn back soft”")).toBeVisible();
  await expect.poll(async () => (await designOf(page)).fitUp.accepted).toHaveLength(1);
  await page.getByRole("button", { name: "Take back" }).click();
  await expect(sharp).toHaveCount(1);
  await page.getByRole("button", { name: "Limits of the rules" }).click();
  const limit = page.getByRole("textbox", { name: "Radius at the shoulder" });
  await limit.fill("0");
  await limit.press("Enter");
  await expect(sharp).toHaveCount(0);
  await limit.fill("tall");
  await limit.press("Enter");
  await expect(page.getByText(/Must be a number from 0/)).toBeVisible();
});

test("drills follow the fit, the sets and the drills in the shop", async ({ page }) => {
  await openFit(page, "Gorse guard knife");
  const row = page
    .getByRole("table", { name: "Drills and holes", exact: true })
    .getByRole("row", { name: /Pin 1, Pin 2/ });
  await expect(row).toContainText("F");
  const pieces = page.getByRole("table", { name: "Holes, piece by piece" });
  await expect(pieces.getByRole("row", { name: /Scale, pair/ })).toContainText(
    "6.53 mm, drill F, right through",
  );
  await expect(row).toContainText("6.53 mm");
  await unfold(page, "Drills and holes");
  await page.getByLabel("Pins go in", { exact: true }).selectOption("press");
  await expect(row).toContainText("1/4 in");
  await page.getByLabel("Pins go in", { exact: true }).selectOption("slide");
  await page.getByText("Millimetres, by tenths", { exact: true }).click();
  for (const set of ["Inch fractions", "Numbers, #1 to #80", "Letters, A to Z"])
    await page.getByText(set, { exact: true }).click();
  await expect(row).toContainText("6.4 mm");
  await page.getByRole("button", { name: /^Drills in the shop/ }).click();
  await page.getByText("6.4 mm · 6.40 mm", { exact: true }).click();
  await expect(row).toContainText("6.5 mm (+0.150 mm)");
  await page.getByRole("button", { name: /^Table of threads/ }).click();
  await expect(page.getByRole("row", { name: /^M5 / })).toContainText("4 mm");
});

test("one angle for a bevel, the edge before hardening and the shop's wheels change what is ground", async ({
  page,
}) => {
  await openKnife(page, "Heath field knife");
  const weight = page.getByTestId("weight");
  const before = await weight.textContent();
  await page.getByText("One angle for the whole bevel", { exact: true }).click();
  await expect(weight).not.toHaveText(before ?? "");
  const angle = page.getByRole("textbox", { name: "Angle to the middle plane" });
  await angle.fill("80");
  await angle.press("Enter");
  await expect(page.getByText(/Must be a number from 0.5/)).toBeVisible();
  await angle.fill("4");
  await angle.press("Enter");
  await page.getByRole("button", { name: "Fit-up", exact: true }).click();
  const section = page.locator("#grinding");
  await expect(section).toContainText("4.00°");
  await unfold(page, "Grinding");
  await typeLength(page, "Edge left before hardening", "0.4");
  await expect(section).toContainText("25.7 mm over the edge before hardening, 25.7 mm finished");
  const wheels = page.getByRole("textbox", { name: "Wheels and drums, diameters" });
  await wheels.fill("1; 50");
  await wheels.press("Enter");
  await expect(section.getByText(/^Must be (a length )?(from|between) 2/)).toBeVisible();
  await wheels.fill("");
  await wheels.press("Enter");
  const files = page.getByRole("textbox", { name: "Round files, diameters" });
  await files.fill("");
  await files.press("Enter");
  await expect(section.getByText("none that is there fits").first()).toBeVisible();
});

test("slot, stock, glue, hand and loads: what is typed changes what is worked out", async ({ page }) => {
  await openFit(page, "Gorse guard knife");
  const section = (name: string) => page.getByRole("region", { name, exact: true });
  // A slot of 4.10 mm with 0.20 mm left for the file on each side is milled 3.70 mm wide.
  await expect(section("Guard slot")).toContainText("3.00 mm cutter");
  await unfold(page, "Guard slot");
  const mills = page.getByRole("textbox", { name: "End mills in the shop" });
  await mills.fill("1/8; 2 mm");
  await mills.press("Enter");
  await expect(section("Guard slot")).toContainText("3.18 mm cutter");
  await mills.fill("soon");
  await mills.press("Enter");
  await expect(page.getByText("That is not a length.")).toBeVisible();

  await page.getByRole("button", { name: "State the stock for Scale, pair" }).click();
  await expect(section("Stock to cut")).toContainText("big enough");
  const stock = page.locator("[data-item=stock-0]");
  await stock.getByRole("textbox", { name: "Length" }).fill("90");
  await page.keyboard.press("Enter");
  await expect(section("Stock to cut")).toContainText("too small");
  await expect(page.locator("[data-finding=stock-too-small]")).toHaveCount(1);

  await expect(section("Glue")).toContainText("Part A");
  await unfold(page, "Hand and section");
  await typeLength(page, "Breadth of the hand", "120");
  await expect(page.locator("[data-finding=handle-short-for-hand]")).toHaveCount(1);
  await unfold(page, "Strength and movement");
  const load = page.getByRole("textbox", { name: "Load from the side" });
  await load.fill("5000");
  await load.press("Enter");
  await expect(page.locator("[data-finding=tang-stress]")).toHaveCount(1);
  await expect.poll(async () => fitFigures(await designOf(page)).stress.ratio).toBeGreaterThan(1);
});

test("pins are spread, mirrored and aligned from the sheet, and what is left round them shows while they are moved", async ({
  page,
}) => {
  await openFit(page, "Orchard parer");
  await page.getByRole("button", { name: "Align to the middle line" }).click();
  await expect.poll(async () => (await designOf(page)).fasteners.map((f) => f.yMm)).not.toEqual([0, 0, 0]);
  await page.getByRole("button", { name: "Spread evenly" }).click();
  await expect
    .poll(async () => {
      const xs = (await designOf(page)).fasteners.map((f) => f.xMm).sort((a, b) => b - a);
      return Math.abs(xs[0] - xs[1] - (xs[1] - xs[2]));
    })
    .toBeLessThan(0.2);
  await page.getByRole("button", { name: "Bench", exact: true }).click();
  await step(page, "Pins");
  await page.locator("[data-point=pin-1]").focus();
  const room = page.getByTestId("pin-room");
  await expect(room).toContainText("mm");
  const before = await room.textContent();
  await page.keyboard.press("Shift+ArrowDown");
  await expect(room).not.toHaveText(before ?? "");
});

test("a knife that cannot be built says so on the sheet and comes back", async ({ page }) => {
  await openKnife(page, "Marsh stick-tang");
  await step(page, "Tang");
  await typeLength(page, "Thickness at the front", "25");
  await page.getByRole("button", { name: "Fit-up" }).click();
  await expect(page.getByTestId("fit-sheet")).toContainText("nothing to fit until the design can be built");
  await expect(page.getByRole("heading", { name: "Cautions" })).toBeVisible();
  await page.keyboard.press("Control+z");
  await expect(page.getByRole("heading", { name: "Walls" })).toBeVisible();
});

test("a sheet that cannot be worked out says so, and is worked out when it is opened again", async ({
  page,
}) => {
  await page.addInitScript(() => {
    const Plain = window.Worker;
    const all: Worker[] = [];
    Object.assign(window, { allWorkers: all });
    window.Worker = class extends Plain {
      constructor(url: string | URL, options?: WorkerOptions) {
        super(url, options);
        all.push(this);
      }
    };
  });
  await openKnife(page, "Rook hunter");
  await expect(page.getByTestId("findings")).toContainText(/warning|note/);
  // The workers die, and their program does not arrive again: what happens where a browser is short of memory.
  await page.route(/worker/, (route) => route.abort());
  await page.evaluate(() => {
    for (const worker of (window as unknown as { allWorkers: Worker[] }).allWorkers)
      worker.dispatchEvent(new ErrorEvent("error", { message: "out of memory" }));
  });
  await page.getByRole("button", { name: "Fit-up", exact: true }).click();
  await expect(page.getByTestId("fit-sheet").getByRole("alert")).toContainText("could not be worked out");
  await page.unroute(/worker/);
  await page.getByRole("button", { name: "Bench", exact: true }).click();
  await page.getByRole("button", { name: "Fit-up", exact: true }).click();
  await expect(page.getByRole("heading", { name: "Drills and holes" })).toBeVisible({ timeout: 30_000 });
  await expect(page.getByTestId("fit-sheet").getByRole("alert")).toHaveCount(0);
});
