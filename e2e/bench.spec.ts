import { expect, test } from "@playwright/test";
import { weigh } from "../src/core/figures/weigh/weigh";
import type { Design } from "../src/core/knife/design/schema";
import { handleLength } from "../src/core/knife/layout/handleLengths";
import { balanceOf, keptKnife, openKnife, step, typeLength, weightOf, written } from "./bench";

test("lengths are typed as makers write them, and the readout is the core's own figure", async ({ page }) => {
  await openKnife(page, "Heath field knife");
  const before = await weightOf(page);
  await typeLength(page, "Spine", "3/16");
  await expect.poll(() => weightOf(page)).toBeGreaterThan(before + 5);
  await expect
    .poll(async () => ((await keptKnife(page)).design as Design).blade.spineMm)
    .toBeCloseTo(4.7625, 9);
  const weighing = weigh((await keptKnife(page)).design as Design);
  if (!weighing.ok) throw new Error("not weighed");
  expect(await weightOf(page)).toBeCloseTo(weighing.report.massG, 1);
  expect(await balanceOf(page)).toBeCloseTo(weighing.report.balanceMm, 1);
});

test("wrong input is answered and changes nothing", async ({ page }) => {
  await openKnife(page, "Heath field knife");
  const before = await weightOf(page);
  await typeLength(page, "Heel height", "soon");
  await expect(page.getByText("That is not a length.")).toBeVisible();
  await typeLength(page, "Heel height", "900");
  await expect(page.getByText("Must be from 3 mm to 200 mm.")).toBeVisible();
  await page.keyboard.press("Escape");
  await expect(page.getByRole("textbox", { name: "Heel height" })).toHaveValue("29");
  expect(await weightOf(page)).toBe(before);
});

test("a design that cannot be built says what and where, and comes back when fixed", async ({ page }) => {
  await openKnife(page, "Heath field knife");
  const before = await weightOf(page);
  await typeLength(page, "Ricasso length", "150");
  await expect(page.getByTestId("findings")).toContainText("must be shorter than the blade");
  await expect(page.getByTestId("finding-place").first()).toBeVisible();
  // The last good figures stay, faded and said to be old, with the way back beside them.
  const readout = page.getByRole("region", { name: "Readout" });
  await expect(readout).toHaveAttribute("data-old", "unbuilt");
  expect(await weightOf(page)).toBeCloseTo(before, 9);
  await expect(page.getByTestId("unbuilt")).toContainText("Old figures");
  await page.getByTestId("unbuilt").getByRole("button", { name: "Undo: Change ricasso length" }).click();
  await expect(page.getByTestId("findings")).not.toContainText("Cannot be built");
  await expect(readout).not.toHaveAttribute("data-old", /./);
});

test("a pin is dragged, nudged by keys and typed on the drawing; undo takes each step back", async ({
  page,
}) => {
  await openKnife(page, "Orchard parer");
  await step(page, "Pins");
  const pin = page.locator("[data-point=pin-2]");
  const xOf = async () =>
    ((await keptKnife(page)).design as Design).fasteners.find((f) => f.id === "pin-2")?.xMm;
  expect(await xOf()).toBe(-50);

  const box = await pin.boundingBox();
  if (!box) throw new Error("no pin on the drawing");
  const [cx, cy] = [box.x + box.width / 2, box.y + box.height / 2];
  await page.mouse.move(cx, cy);
  await page.mouse.down();
  await page.mouse.move(cx + 10, cy, { steps: 4 });
  await page.mouse.move(cx + 30, cy, { steps: 6 });
  await page.mouse.up();
  await expect.poll(xOf).toBeGreaterThan(-47);
  await written(page);
  const dragged = (await xOf()) ?? 0;
  expect(dragged * 2, "snapped to half millimetres").toBe(Math.round(dragged * 2));

  await pin.focus();
  await page.keyboard.press("ArrowLeft");
  await page.keyboard.press("ArrowLeft");
  await expect.poll(xOf).toBeCloseTo(dragged - 1, 6);

  await page.keyboard.press("Enter");
  const editor = page.getByRole("dialog", { name: "Pin 2" });
  await editor.getByLabel("Pin 2: Behind the front", { exact: true }).fill("2 1/8");
  await page.keyboard.press("Enter");
  await editor.getByLabel("Pin 2: Diameter", { exact: true }).fill("#13");
  await page.keyboard.press("Enter");
  await expect.poll(xOf).toBeCloseTo(-53.975, 6);
  await page.keyboard.press("Escape");
  await expect(editor).toHaveCount(0);

  await page.getByRole("button", { name: /^Undo: Resize pin/ }).click();
  await page.getByRole("button", { name: /^Undo: Move pin/ }).click();
  await expect.poll(xOf).toBeCloseTo(dragged - 1, 6);
  await page.keyboard.press("Control+z");
  await expect.poll(xOf).toBeCloseTo(dragged, 6);
  await page.keyboard.press("Control+z");
  await expect.poll(xOf).toBe(-50);
  await page.keyboard.press("Control+y");
  await expect.poll(xOf).toBeCloseTo(dragged, 6);
});

test("the handle's outline and thickness follow their points, at once and by length", async ({ page }) => {
  await openKnife(page, "Heath field knife");
  await step(page, "Handle");
  const before = await weightOf(page);
  const swell = page.locator("[data-point=swell]");
  await swell.focus();
  for (let i = 0; i < 6; i++) await page.keyboard.press("ArrowDown");
  await expect.poll(() => weightOf(page)).toBeGreaterThan(before + 1);
  const fuller = await weightOf(page);

  await page.locator("[data-point=plan-3]").focus();
  for (let i = 0; i < 4; i++) await page.keyboard.press("ArrowDown");
  await expect.poll(() => weightOf(page)).toBeLessThan(fuller);

  await typeLength(page, "Length", "5");
  await expect(page.getByText("Must be from 20 mm to 600 mm.")).toBeVisible();
  await typeLength(page, "Length", "120");
  const xs = async () => ((await keptKnife(page)).design as Design).handle.outline.map((n) => n.xMm);
  await expect.poll(async () => Math.min(...(await xs()))).toBeLessThan(-119);
});

test("a dragged point stays under the pointer; at its end all that is shown is of where it was let go", async ({
  page,
}) => {
  await openKnife(page, "Heath field knife");
  await step(page, "Handle");
  const swell = page.locator("[data-point=swell]");
  const middle = async () => {
    const box = await swell.boundingBox();
    if (!box) throw new Error("no swell on the drawing");
    return { x: box.x + box.width / 2, y: box.y + box.height / 2 };
  };
  const tick = page.getByTestId("drawing").getByText("100", { exact: true });
  const at = await tick.boundingBox();
  const from = await middle();
  const field = page.getByRole("textbox", { name: "Height at the swell", exact: true });
  const before = await field.inputValue();
  await page.mouse.move(from.x, from.y);
  await page.mouse.down();
  for (const by of [8, 16, 24, 32, 40, 34, 28]) {
    await page.mouse.move(from.x + by / 2, from.y + by);
    // Half a step of the snapping, 0.5 mm, at some 3 px each.
    await expect
      .poll(async () => {
        const now = await middle();
        return Math.max(Math.abs(now.x - from.x - by / 2), Math.abs(now.y - from.y - by));
      })
      .toBeLessThan(1.5);
  }
  expect(await tick.boundingBox(), "the ruler stands still").toEqual(at);
  await expect.poll(() => field.inputValue(), "fields follow meanwhile").not.toBe(before);
  await page.mouse.up();

  await written(page);
  const knife = (await keptKnife(page)).design as Design;
  const weighing = weigh(knife);
  if (!weighing.ok) throw new Error("not weighed");
  expect(await weightOf(page)).toBeCloseTo(weighing.report.massG, 1);
  expect(Number(await page.getByTestId("balance").getAttribute("value"))).toBeCloseTo(
    weighing.report.balanceMm,
    9,
  );
  expect(Number(await field.inputValue())).toBeCloseTo(handleLength(knife.handle, "swell") ?? 0, 1);
  await page.getByRole("button", { name: /^Undo: Move/ }).click();
  await expect.poll(() => field.inputValue(), "a drag is one step of undo").toBe(before);
});

test("scales, liners, bevel, tang taper, holes and every pin kind change the weight", async ({ page }) => {
  await openKnife(page, "Heath field knife");
  let last = await weightOf(page);
  const changed = async (what: string) => {
    await expect.poll(() => weightOf(page), what).not.toBe(last);
    last = await weightOf(page);
  };
  await step(page, "Handle");
  await page.getByLabel("Material", { exact: true }).first().selectOption("lignum-vitae");
  await changed("right scale");
  await page.getByRole("button", { name: "Make the left like the right" }).click();
  await changed("left scale");
  await page.getByRole("button", { name: "Add liner" }).click();
  await changed("liner");
  await page.getByText("Front bevel", { exact: true }).click();
  await changed("bevel");
  await page.getByRole("textbox", { name: "Roundness" }).fill("0");
  await page.keyboard.press("Enter");
  await changed("roundness");
  await step(page, "Tang");
  await page.getByText("Tapered", { exact: true }).click();
  await changed("taper");
  await page.getByRole("button", { name: "Add hole" }).click();
  await changed("hole");
  await step(page, "Pins");
  for (const kind of ["Pin", "Patterned pin", "Lanyard tube"]) {
    await page.getByRole("button", { name: kind, exact: true }).click();
    await changed(kind);
  }
  await expect(page.getByTestId("findings")).not.toContainText("Cannot be built");
});

test("every tip and every grind draws and weighs", async ({ page }) => {
  await openKnife(page, "Heath field knife");
  const weights = new Set<number>();
  const weighed = async () => {
    await written(page);
    const weighing = weigh((await keptKnife(page)).design as Design);
    if (!weighing.ok) throw new Error("not weighed");
    await expect.poll(() => weightOf(page)).toBeCloseTo(weighing.report.massG, 1);
    weights.add(await weightOf(page));
  };
  for (const tip of ["drop-point", "clip-point", "spear", "sheepsfoot", "straight-back", "trailing-point"]) {
    await page.getByLabel("Style", { exact: true }).selectOption(tip);
    await expect(page.getByTestId("findings")).not.toContainText("Cannot be built");
    await weighed();
  }
  for (const grind of ["full-flat", "partial-flat", "hollow", "convex", "single-bevel"]) {
    await page.getByLabel("Kind", { exact: true }).selectOption(grind);
    await expect(page.getByTestId("findings")).not.toContainText("Cannot be built");
    await weighed();
  }
  expect(weights.size).toBeGreaterThanOrEqual(9);
});

test("a reference is what changes are measured from; every change is saved without it", async ({ page }) => {
  await openKnife(page, "Fen rigging knife");
  await page.keyboard.press("Control+s");
  await expect(page.getByText("Every change is saved by itself.").first()).toBeVisible();
  await expect(page.getByTestId("change")).toHaveText("–");
  await page.getByRole("button", { name: "Set reference" }).click();
  await expect(page.getByTestId("change")).toHaveText("0.0 g");
  await typeLength(page, "Spine", "4");
  await expect(page.getByTestId("change")).toHaveText(/^\+\d/);
  await written(page);
  await page.reload();
  await expect(page.getByTestId("change")).toHaveText(/^\+\d/);
  await page.getByRole("button", { name: "Back to the reference" }).click();
  await expect(page.getByTestId("change")).toHaveText("0.0 g");
});

test("units switch everything, drawing and fields alike", async ({ page }) => {
  await openKnife(page, "Fen rigging knife");
  const grams = await weightOf(page);
  await page.getByLabel("Units", { exact: true }).selectOption("inch");
  await expect(page.getByTestId("weight")).toHaveText(/oz$/);
  expect(await weightOf(page)).toBeCloseTo(grams / 28.349523125, 1);
  await page.getByLabel("Units", { exact: true }).selectOption("inch-fraction");
  await expect(page.getByTestId("weight")).toHaveText(/^5 [135]\/[48] oz$/);
  await expect(page.getByRole("textbox", { name: "Length", exact: true })).toHaveValue("3 5/8");
  await expect(page.getByTestId("balance")).toHaveText(/^−1 \d+\/\d+ in$/);
  await typeLength(page, "Length", "4");
  await expect
    .poll(async () => ((await keptKnife(page)).design as Design).blade.lengthMm)
    .toBeCloseTo(101.6, 9);
  await page.reload();
  await expect(page.getByLabel("Units", { exact: true })).toHaveValue("inch-fraction");
});
