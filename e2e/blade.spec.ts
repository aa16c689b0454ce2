import { expect, test } from "@playwright/test";
import { weigh } from "../src/core/figures/weigh/weigh";
import type { Design } from "../src/core/knife/design/schema";
import { keptKnife, openKnife, step, typeLength, weightOf } from "./bench";

/** The knife as it is kept, and that the readout is its weight by the core. */
async function weighedDesign(page: Parameters<typeof keptKnife>[0]): Promise<Design> {
  let design: Design | null = null;
  await expect
    .poll(async () => {
      design = (await keptKnife(page)).design as Design;
      const weighing = weigh(design);
      return weighing.ok ? Math.abs(weighing.report.massG - (await weightOf(page))) : 1e9;
    })
    .toBeLessThan(0.06);
  return design as unknown as Design;
}

test("a style turns into points, which are dragged, nudged, typed, added and removed; undo is the way back", async ({
  page,
}) => {
  await openKnife(page, "Heath field knife");
  const before = await weightOf(page);
  await page.getByRole("button", { name: "Draw it by points" }).click();
  await expect(page.getByText("Greatest height")).toBeVisible();
  expect(Math.abs((await weightOf(page)) - before)).toBeLessThan(0.3);
  const count = async () => ((await keptKnife(page)).design as Design).blade.outline?.edge.length ?? 0;
  await expect.poll(count).toBeGreaterThan(3);
  const points = await count();

  // By keys: a point of the belly down by ten steps makes the blade heavier.
  const belly = page.locator("[data-point^='blade-edge-']").nth(3);
  await belly.focus();
  for (let i = 0; i < 10; i++) await page.keyboard.press("ArrowDown");
  await expect.poll(() => weightOf(page)).toBeGreaterThan(before + 0.5);
  const nudged = await weighedDesign(page);
  expect(nudged.blade.heelHeightMm).toBeGreaterThan(29);

  // Typed: Enter opens its numbers.
  await page.keyboard.press("Enter");
  const editor = page.getByRole("dialog", { name: /^Edge, point/ });
  await expect(editor).toBeVisible();
  await editor.getByRole("textbox").nth(1).fill("-15");
  await page.keyboard.press("Enter");
  await page.keyboard.press("Escape");
  await page.getByRole("button", { name: "Point on the edge" }).click();
  await expect.poll(count).toBe(points + 1);
  await page.getByText("Corner", { exact: true }).last().click();
  await expect
    .poll(
      async () =>
        ((await keptKnife(page)).design as Design).blade.outline?.edge.filter((p) => p.corner).length,
    )
    .toBeGreaterThan(1);
  await page.getByRole("button", { name: "Remove the point" }).click();
  await expect.poll(count).toBe(points);

  // Dragged with the mouse: the tip up.
  const tip = page.locator("[data-point=tip]");
  const box = await tip.boundingBox();
  if (!box) throw new Error("no tip");
  await page.mouse.move(box.x + box.width / 2, box.y + box.height / 2);
  await page.mouse.down();
  await page.mouse.move(box.x + box.width / 2, box.y + box.height / 2 - 30, { steps: 6 });
  await page.mouse.up();
  await expect
    .poll(async () => ((await keptKnife(page)).design as Design).blade.outline?.tipYMm)
    .toBeGreaterThan(1);
  await weighedDesign(page);

  const undo = page.getByRole("button", { name: /^Undo: / });
  for (let i = 0; i < 40 && (await undo.count()) > 0; i++) await undo.first().click();
  await expect.poll(async () => ((await keptKnife(page)).design as Design).blade.outline).toBeNull();
  await expect.poll(() => weightOf(page)).toBeCloseTo(before, 1);
});

test("sections: two edges, sides that differ, false edge, fullers, notch, ramp, bolster and sharpening each weigh", async ({
  page,
}) => {
  await openKnife(page, "Heath field knife");
  const heavier = async (than: number) => expect.poll(() => weightOf(page)).toBeGreaterThan(than + 0.02);
  const lighter = async (than: number) => expect.poll(() => weightOf(page)).toBeLessThan(than - 0.005);
  let now = await weightOf(page);
  const next = async (check: (than: number) => Promise<void>) => {
    await check(now);
    await weighedDesign(page);
    now = await weightOf(page);
  };

  await typeLength(page, "Plunge radius", "8");
  await next(heavier);
  await typeLength(page, "Edge, before sharpening", "1");
  await next(heavier);
  await page.getByText("Sharpened", { exact: true }).click();
  await next(lighter);
  await page.getByRole("button", { name: "Add fuller" }).click();
  await next(lighter);
  await expect(page.locator("path[data-line^='fuller']").first()).toBeVisible();
  await page.getByText("False edge along the spine", { exact: true }).click();
  await next(lighter);
  await expect(page.locator("path[data-line=swedge]").first()).toBeVisible();
  await page.getByRole("button", { name: "Sharpening notch" }).click();
  await next(lighter);
  await page.getByText("Thumb ramp", { exact: true }).click();
  await next(heavier);
  await page.getByText("Integral bolster", { exact: true }).click();
  await next(heavier);
  await page.getByText("Left side ground differently", { exact: true }).click();
  await page.getByLabel("Left side", { exact: true }).selectOption({ label: "Not ground" });
  await next(async () => {
    await expect.poll(() => weightOf(page)).not.toBe(now);
  });
  await page.getByLabel("Right side", { exact: true }).selectOption({ label: "Double edge, flat (diamond)" });
  await expect(page.locator("[data-point=ridge]")).toBeVisible();
  const design = await weighedDesign(page);
  expect(design.blade).toMatchObject({ sharpenedDeg: 20, leftGrind: { kind: "none" } });

  // What cannot be cut says so at its place, and nothing is lost.
  await typeLength(page, "Depth", "3");
  await expect(page.getByTestId("findings")).toContainText("The fuller cuts through the blade");
  await expect(page.getByTestId("finding-place").first()).toBeVisible();
  await page.getByRole("button", { name: "Undo: Change depth" }).first().click();
  await expect(page.getByTestId("findings")).not.toContainText("Cannot be built");
});

test("a bare tang in cord: weight and the length to buy; grooves and a mirrored outline", async ({
  page,
}) => {
  await openKnife(page, "Rook hunter");
  await step(page, "Handle");
  const before = await weightOf(page);
  await page.getByLabel("It carries", { exact: true }).selectOption({ label: "Nothing: a bare tang" });
  await expect.poll(() => weightOf(page)).toBeLessThan(before - 10);
  const bare = await weightOf(page);
  await page.getByRole("button", { name: "Add wrap" }).click();
  await expect.poll(() => weightOf(page)).toBeGreaterThan(bare + 2);
  await expect(page.getByTestId("wrap-plan")).toContainText(/turns.*buy/);
  // A strip under it is wound first, and the cord goes round both.
  const cord = await weightOf(page);
  await page.getByRole("button", { name: "Add one under it" }).click();
  await expect.poll(() => weightOf(page)).toBeGreaterThan(cord + 1);
  await expect(page.getByTestId("wrap-plan")).toHaveCount(2);
  const wound = await weighedDesign(page);
  expect(wound.handle.wraps.map((w) => w.kind)).toEqual(["strip", "cord"]);
  await page.getByLabel("It carries", { exact: true }).selectOption({ label: "Scales" });
  await page.getByRole("button", { name: "Remove Wrap 2" }).click();
  await page.getByRole("button", { name: "Remove Wrap", exact: true }).click();
  await page.getByRole("button", { name: "Add groove" }).click();
  const grooved = await weighedDesign(page);
  expect(grooved.handle.grooves).toHaveLength(1);
  await page.getByText("Alike over and under the axis", { exact: true }).click();
  const even = await weighedDesign(page);
  const ys = even.handle.outline.map((n) => n.yMm);
  expect(ys.reduce((sum, y) => sum + y, 0)).toBeCloseTo(0, 9);
  // A point that is moved takes its twin along.
  await page.locator("[data-point=front-top]").focus();
  await page.keyboard.press("Shift+ArrowUp");
  const moved = await weighedDesign(page);
  const [top, bottom] = [moved.handle.outline[0], moved.handle.outline[moved.handle.outline.length - 1]];
  expect(top.yMm).toBeGreaterThan(ys[0] + 1);
  expect(bottom.yMm).toBe(-top.yMm);
  await page.getByRole("button", { name: "Follow the spine at the joint" }).click();
  await expect
    .poll(async () => ((await keptKnife(page)).design as Design).handle.outline[0].yMm)
    .toBe(even.blade.spineOverAxisMm);
});

test("a new knife: a form, four lengths, its own name, and one like another on the rack", async ({
  page,
}) => {
  await page.goto("/");
  await page.getByRole("button", { name: "New knife" }).click();
  await expect(page.getByTestId("start-figures")).toContainText("g");
  // By keyboard: the arrows go from form to form.
  await page.getByRole("radio", { name: "Field knife" }).focus();
  await page.keyboard.press("ArrowDown");
  await expect(page.getByRole("radio", { name: "Hunter" })).toBeChecked();
  await page.getByRole("radio", { name: "Dagger" }).check({ force: true });
  await expect(page.getByTestId("start-figures")).toContainText("g");
  const figures = (await page.getByTestId("start-figures").textContent()) ?? "";
  await typeLength(page, "Blade's length", "200");
  await expect(page.getByTestId("start-figures")).not.toHaveText(figures);
  await typeLength(page, "Handle's length", "20");
  await expect(page.getByText("Must be from 40 mm to 500 mm.")).toBeVisible();
  await page.keyboard.press("Escape");
  await page.getByLabel("Name", { exact: true }).fill("Teal dagger");
  await page.getByRole("button", { name: "Begin this knife" }).click();
  await expect(page.getByTestId("weight")).toContainText(/\d/);
  const dagger = await weighedDesign(page);
  expect(dagger).toMatchObject({ name: "Teal dagger", blade: { lengthMm: 200, grind: { kind: "diamond" } } });

  await page.goto("/new");
  await page.getByLabel("Like one on the rack").selectOption({ label: "Teal dagger" });
  await expect(page.getByTestId("start-figures")).toContainText("g");
  await page.getByRole("button", { name: "Begin this knife" }).click();
  await expect(page.getByTestId("weight")).toContainText(/\d/);
  const like = await weighedDesign(page);
  expect(like.name).toBe("Teal dagger 2");
  expect(like.blade).toEqual(dagger.blade);
});

test("a length is filled with discs by their count, and a pommel is added as one", async ({ page }) => {
  await openKnife(page, "Marsh stick-tang");
  await step(page, "Handle");
  const pieces = async () => {
    const { handle } = (await keptKnife(page)).design as Design;
    return handle.kind === "stack" ? handle.pieces : [];
  };
  const before = (await pieces()).length;
  await page.getByRole("button", { name: "Discs", exact: true }).click();
  await expect.poll(async () => (await pieces()).length).toBe(before + 1);
  await page.getByRole("textbox", { name: "Discs", exact: true }).fill("5");
  await page.keyboard.press("Enter");
  await expect
    .poll(async () => (await pieces()).find((p) => p.discMm !== null)?.lengthMm)
    .toBeCloseTo(5 * 3.6, 6);
  await weighedDesign(page);
  const light = await weightOf(page);
  await page.getByRole("button", { name: "Pommel", exact: true }).click();
  await expect.poll(() => weightOf(page)).toBeGreaterThan(light + 10);
  const design = await weighedDesign(page);
  if (design.handle.kind !== "stack") throw new Error("no pieces");
  expect(design.handle.pieces[design.handle.pieces.length - 1]).toMatchObject({ role: "pommel" });
  await expect(page.getByRole("button", { name: "Pommel", exact: true })).toBeDisabled();
});
