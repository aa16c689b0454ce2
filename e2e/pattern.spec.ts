import AxeBuilder from "@axe-core/playwright";
import { expect, type Page, test } from "@playwright/test";
import { AS_DRAWN, pieceLayer, piecesNamed } from "../src/core/cutting/pieceLayers";
import type { Design } from "../src/core/design/schema";
import { writeDxf } from "../src/core/files/dxf/write";
import { DEMO_KNIVES } from "../src/core/files/knife/demo.fixtures";
import { keptKnife, openKnife, weightOf } from "./bench";

const knife = (file: string): Design => DEMO_KNIVES.find(([name]) => name === file)![1];
const drawingOf = (file: string, part: string) =>
  Buffer.from(writeDxf({ layers: piecesNamed(knife(file), part).map((p) => pieceLayer(p, AS_DRAWN)) }));

const choose = (page: Page, name: string, buffer: Buffer) =>
  page.getByTestId("pattern-file").setInputFiles({ name, mimeType: "application/octet-stream", buffer });

test("a new knife is begun from a drawing: a blank becomes blade, tang and pins, and weighs", async ({
  page,
}) => {
  await page.goto("/new");
  await page.getByRole("button", { name: "Begin it from a pattern" }).click();
  await expect(page.getByText("Drop a DXF or SVG drawing here")).toBeVisible();
  await choose(page, "blank.dxf", drawingOf("orchard-parer.json", "blank"));
  const found = page.getByRole("group", { name: "Outlines found" });
  await expect(found.getByRole("button", { name: /^Outline, / })).toHaveCount(1);
  await expect(page.getByText(/Largest deviation 0\.0\d\d mm\. It would weigh/)).toBeVisible();
  const said = await page.getByText(/It would weigh [\d.]+ g/).textContent();
  await page.getByRole("button", { name: "Use it" }).click();
  await expect(page.getByRole("tab", { name: "Blade" })).toBeVisible();
  const weighs = await weightOf(page);
  expect(said).toContain(`${weighs.toFixed(1)} g`);
  const { design } = (await keptKnife(page)) as unknown as { design: Design };
  const parer = knife("orchard-parer.json");
  expect(design.blade.lengthMm).toBeCloseTo(parer.blade.lengthMm, 2);
  expect(design.fasteners.length).toBe(3);
  // Undo takes all of it back at once.
  await page.keyboard.press("Control+z");
  await expect
    .poll(async () => ((await keptKnife(page)) as unknown as { design: Design }).design.blade.outline)
    .toBeNull();
});

test("unit, outline, role, datum and holes are chosen by keyboard; the guard's outline goes on the guard", async ({
  page,
}) => {
  await openKnife(page, "Gorse guard knife");
  const before = await weightOf(page);
  await page.getByRole("button", { name: "Bring in a pattern" }).click();
  await choose(page, "all.dxf", drawingOf("gorse-guard-knife.json", "all"));
  const found = page.getByRole("group", { name: "Outlines found" });
  await expect(found.getByRole("button")).toHaveCount(5);
  const unit = page.getByLabel("Drawn in");
  await unit.selectOption("m");
  await expect(page.getByRole("main").getByRole("alert")).toContainText("Choose another unit");
  await expect(found).toHaveCount(0);
  await unit.selectOption("told");
  await found.getByRole("button", { name: /guard/ }).first().focus();
  await page.keyboard.press("Enter");
  await page.getByLabel("The picked outline is").selectOption("guard");
  await expect(page.getByText(/Largest deviation/)).toBeVisible();
  await page.getByRole("button", { name: "Use it" }).focus();
  await page.keyboard.press("Enter");
  await expect(page.getByRole("tab", { name: "Blade" })).toBeVisible();
  // It is its own guard: the weight stays within a few hundredths.
  await expect.poll(async () => Math.abs((await weightOf(page)) - before)).toBeLessThan(0.15);

  await page.getByRole("button", { name: "Bring in a pattern" }).click();
  await choose(page, "scale.dxf", drawingOf("gorse-guard-knife.json", "scale-right"));
  await page.getByLabel("The picked outline is").selectOption("handle");
  await expect(page.getByText(/It would weigh/)).toBeVisible();
  const datum = page.getByRole("textbox", { name: "Datum, to the right" });
  await datum.fill("-300");
  await datum.press("Enter");
  await page.getByLabel("The picked outline is").selectOption("blank");
  await page.getByRole("textbox", { name: "Datum, to the right" }).fill("-300");
  await page.keyboard.press("Enter");
  await expect(page.getByRole("main").getByRole("alert")).toContainText(
    "The datum has to lie in the outline",
  );
  await expect(page.getByRole("button", { name: "Use it" })).toHaveCount(0);
});

test("what is no drawing is said, and changes nothing", async ({ page }) => {
  await openKnife(page, "Heath field knife");
  const before = await weightOf(page);
  await page.getByRole("button", { name: "Bring in a pattern" }).click();
  const alert = page.getByRole("main").getByRole("alert");
  await choose(page, "pattern.txt", Buffer.from("blank"));
  await expect(alert).toContainText("is not a DXF or SVG drawing");
  await choose(page, "pattern.dxf", Buffer.from("blank"));
  await expect(alert).toContainText("This is not a DXF drawing, or it is damaged");
  await choose(
    page,
    "pattern.svg",
    Buffer.from('<svg xmlns="http://www.w3.org/2000/svg"><text>blank</text></svg>'),
  );
  await expect(alert).toContainText("There are no lines in this drawing (passed over: 1 × text)");
  await choose(page, "huge.dxf", Buffer.alloc(17_000_000, " "));
  await expect(alert).toContainText("drawings up to 16 MB are taken");
  const open =
    '<svg xmlns="http://www.w3.org/2000/svg" width="200mm" height="40mm" viewBox="0 0 200 40"><path d="M0 0H180V20H0V3"/><script>document.title = "run"</script></svg>';
  await choose(page, "open.svg", Buffer.from(open));
  await expect(page.getByText("Open line, its ends 3.00 mm apart")).toBeVisible();
  await expect(page.getByText("passed over: 1 × script")).toBeVisible();
  await expect(page).not.toHaveTitle("run");
  expect((await new AxeBuilder({ page }).withTags(["wcag2a", "wcag2aa"]).analyze()).violations).toEqual([]);
  await page.getByRole("button", { name: "Back to the bench" }).click();
  expect(await weightOf(page)).toBe(before);
});
