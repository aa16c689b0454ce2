import { expect, test } from "@playwright/test";
import { weigh } from "../src/core/figures/weigh/weigh";
import type { Design } from "../src/core/knife/design/schema";
import { balanceOf, keptKnife, openKnife, step, typeLength, weightOf } from "./bench";

test("a full tang becomes a hidden one and back; undo brings all of it back", async ({ page }) => {
  await openKnife(page, "Heath field knife");
  const before = await weightOf(page);
  await step(page, "Tang");
  await page.getByLabel("Kind of tang", { exact: true }).selectOption("hidden");
  await expect(page.getByTestId("findings")).not.toContainText("Cannot be built");
  await expect.poll(() => weightOf(page)).toBeLessThan(before);
  const design = (await keptKnife(page)).design as Design;
  if (design.handle.kind !== "stack") throw new Error("still scales");
  expect(design.handle.pieces[0].material, "the handle's material is kept").toBe("walnut-black");
  const weighing = weigh(design);
  if (!weighing.ok) throw new Error("not weighed");
  expect(await weightOf(page)).toBeCloseTo(weighing.report.massG, 1);
  await page.getByLabel("Kind of tang", { exact: true }).selectOption("full");
  await expect(page.getByTestId("findings")).not.toContainText("Cannot be built");
  await page.keyboard.press("Control+z");
  await page.keyboard.press("Control+z");
  await expect.poll(() => weightOf(page)).toBe(before);
});

test("a guard is added, sized and taken off; it moves the balance toward itself", async ({ page }) => {
  await openKnife(page, "Rook hunter");
  const [weight, balance] = [await weightOf(page), await balanceOf(page)];
  await step(page, "Guard");
  await page.getByText("Plate guard", { exact: true }).click();
  await expect.poll(() => weightOf(page)).toBeGreaterThan(weight + 5);
  expect(await balanceOf(page)).toBeGreaterThan(balance);
  const brass = await weightOf(page);
  await page.getByLabel("Material", { exact: true }).selectOption("aluminium-6061");
  await expect.poll(() => weightOf(page)).toBeLessThan(brass - 5);
  await typeLength(page, "Thickness", "1/4");
  await expect
    .poll(async () => ((await keptKnife(page)).design as Design).guard?.plates[0].thicknessMm)
    .toBeCloseTo(6.35, 9);
  await typeLength(page, "Above the axis", "2");
  await expect(page.getByTestId("findings")).toContainText("out of the guard");
  await page.keyboard.press("Control+z");
  await page.getByText("Plate guard", { exact: true }).click();
  await expect.poll(() => weightOf(page)).toBe(weight);
});

test("pieces are added, ordered, sized and taken out", async ({ page }) => {
  await openKnife(page, "Marsh stick-tang");
  await step(page, "Handle");
  const pieces = async () => {
    const { handle } = (await keptKnife(page)).design as Design;
    if (handle.kind !== "stack") throw new Error("no pieces");
    return handle.pieces;
  };
  expect(await pieces()).toHaveLength(4);
  await page.getByRole("button", { name: "Add piece" }).click();
  await expect.poll(async () => (await pieces()).length).toBe(5);
  await expect(page.locator("[data-item=piece-5]")).toBeVisible();
  await page.getByRole("button", { name: "Move piece 4 toward the front" }).click();
  await expect.poll(async () => (await pieces())[2].id).toBe("piece-5");
  const piece = page.locator("[data-item=piece-5]");
  await piece.getByLabel("Length", { exact: true }).fill("300");
  await page.keyboard.press("Enter");
  await expect(page.getByTestId("findings")).toContainText("nothing is left for the one that takes the rest");
  await piece.getByLabel("Length", { exact: true }).fill("4");
  await page.keyboard.press("Enter");
  await expect(page.getByTestId("findings")).not.toContainText("Cannot be built");
  await page.getByRole("button", { name: "Remove Spacer 3" }).click();
  await expect.poll(async () => (await pieces()).length).toBe(4);
  await page.keyboard.press("Control+z");
  await expect.poll(async () => (await pieces()).length).toBe(5);
});

test("a tang too big for its handle is named at its place", async ({ page }) => {
  await openKnife(page, "Marsh stick-tang");
  await step(page, "Tang");
  await typeLength(page, "Thickness at the front", "25");
  await expect(page.getByTestId("findings")).toContainText("breaks through the handle");
  await expect(page.getByTestId("finding-place").first()).toBeVisible();
  // The last figures that could be built stay, marked as old.
  await expect(page.getByTestId("weight")).toContainText("g");
  await expect(page.getByRole("region", { name: "Readout" })).toHaveAttribute("data-old", "unbuilt");
});

test("scales end ahead of the butt, hollowed by a wheel; a tube in the bare tang ends at its faces", async ({
  page,
}) => {
  await openKnife(page, "Rook hunter");
  await step(page, "Handle");
  const whole = await weightOf(page);
  await page.getByText("Scales end ahead of the butt", { exact: true }).click();
  await expect.poll(() => weightOf(page)).toBeLessThan(whole - 2);
  const straight = await weightOf(page);
  await page.getByText("Hollowed by a wheel", { exact: true }).click();
  await expect.poll(() => weightOf(page)).toBeGreaterThan(straight);
  // It is dragged by its point, and taken away by undo.
  await page.locator("[data-point=scale-end]").focus();
  await page.keyboard.press("Shift+ArrowRight");
  await expect
    .poll(async () => {
      const { handle } = (await keptKnife(page)).design as Design;
      return handle.kind === "scales" ? handle.rearEnd?.bareMm : null;
    })
    .toBeGreaterThan(18);
  await typeLength(page, "Bare tang behind them", "250");
  await expect(page.getByTestId("findings")).toContainText("nothing is left for the scales");
  await page.keyboard.press("Control+z");
  await expect(page.getByTestId("findings")).not.toContainText("nothing is left for the scales");
});

test("faces as they grew or hammered weigh less; a scale that was weighed counts as it was read", async ({
  page,
}) => {
  await openKnife(page, "Rook hunter");
  await step(page, "Handle");
  const smooth = await weightOf(page);
  await page.getByLabel("Face of the right scale", { exact: true }).selectOption("natural");
  await expect.poll(() => weightOf(page)).toBeLessThan(smooth - 0.5);
  await expect(page.getByTestId("face-weight-off")).toContainText(/Takes \d.* g off/);
  await typeLength(page, "Missing on average, under the high ones", "3");
  await expect(page.getByTestId("findings")).toContainText("more than its deepest places");
  await page.keyboard.press("Control+z");
  // Nothing is weighed before it is read.
  const rough = await weightOf(page);
  await page.getByText("The left scale is weighed by itself", { exact: true }).click();
  await expect(page.getByText("Not read yet", { exact: false })).toBeVisible();
  expect(await weightOf(page)).toBe(rough);
  const read = page.getByRole("textbox", { name: "Weighs, profiled and drilled" });
  await read.fill("60");
  await read.press("Enter");
  await expect.poll(() => weightOf(page)).toBeGreaterThan(rough + 20);
  await step(page, "Blade");
  await page.getByLabel("Flats of the blade", { exact: true }).selectOption("hammered");
  const weighing = weigh((await keptKnife(page)).design as Design);
  if (!weighing.ok) throw new Error("not weighed");
  await expect.poll(() => weightOf(page)).toBeCloseTo(weighing.report.massG, 1);
});

test("a guard of sheets beside each other has its cheeks, drawn, dragged and in the list of pieces", async ({
  page,
}) => {
  await openKnife(page, "Gorse guard knife");
  await step(page, "Guard");
  const before = await weightOf(page);
  await page.getByText("Cheeks forward along the flats", { exact: false }).click();
  await expect.poll(() => weightOf(page)).toBeGreaterThan(before + 1);
  await expect(page.getByTestId("findings")).not.toContainText("Cannot be built");
  await typeLength(page, "Sheet in the middle, cut out for the blade", "1");
  await expect(page.getByTestId("findings")).toContainText("Take a thicker one");
  await page.keyboard.press("Control+z");
  await page.getByRole("button", { name: "Fit-up", exact: true }).click();
  await expect(page.getByText("Cheek, pair")).toBeVisible();
});
