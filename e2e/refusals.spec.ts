import { expect, test } from "@playwright/test";
import { openKnife, step, typeLength, weightOf } from "./bench";

/** Thicker than the spine, no blade can be built. */
const EDGE = "Edge, before sharpening";

test("what cannot be built keeps its last figures and has a fix, which the keyboard reaches", async ({
  page,
}) => {
  await openKnife(page, "Fen rigging knife");
  const before = await weightOf(page);
  await typeLength(page, EDGE, "4");
  const findings = page.getByTestId("findings");
  await expect(findings).toContainText("The edge (4.0 mm) must be thinner than the spine (3.0 mm).");
  await expect(page.getByTestId("unbuilt")).toContainText("the last that could be built");
  expect(await weightOf(page)).toBe(before);
  const fix = findings.getByRole("button", { name: /^Fix: Edge, before sharpening from 4 mm to 2\.9 mm$/ });
  await fix.focus();
  await page.keyboard.press("Enter");
  await expect(page.getByRole("textbox", { name: EDGE, exact: true })).toHaveValue("2.9");
  await expect(findings).not.toContainText("Cannot be built");
  await expect(page.getByTestId("weight")).not.toHaveText(`${before.toFixed(1)} g`);
  await page.getByRole("button", { name: /^Undo/ }).first().click();
  await expect(findings).toContainText("Cannot be built");
});

test("a knife that is opened when it cannot be built shows what it last weighed, on the bench and on the rack", async ({
  page,
}) => {
  await openKnife(page, "Fen rigging knife");
  const before = await weightOf(page);
  await typeLength(page, EDGE, "4");
  await expect(page.getByTestId("findings")).toContainText("Cannot be built");
  await expect(page.getByText("Saved", { exact: true })).toBeVisible();
  await page.reload();
  await expect(page.getByTestId("unbuilt")).toContainText("the last that could be built");
  await expect(page.getByTestId("weight")).toHaveText(`${before.toFixed(1)} g`);
  await page.goto("/");
  const row = page.getByTestId("rack-row").filter({ hasText: "Fen rigging knife" });
  await expect(row).toContainText("cannot be built as drawn now");
  await expect(row.getByTestId("rack-mass")).toContainText(`${before.toFixed(1)} g`);
});

test("a blade in the hand begins without a figure, and asks to be weighed", async ({ page }) => {
  await openKnife(page, "Fen rigging knife");
  const before = await weightOf(page);
  await page.getByLabel("The knife is").selectOption({ label: "Blade in the hand" });
  const note = page.getByTestId("not-weighed");
  await expect(note).toContainText(
    "Weigh it. The blade is not weighed yet: until then its drawing says what it weighs",
  );
  const mass = page.getByRole("textbox", { name: "Weight of the blade" });
  await expect(mass).toHaveValue("");
  await expect(page.getByRole("textbox", { name: "Balances ahead of the front" })).toHaveValue("");
  expect(await weightOf(page)).toBe(before);
  await mass.fill("91.4");
  await mass.press("Enter");
  await expect(note).toHaveCount(0);
  // Drawn, blade and tang weigh 86.8 g.
  await expect.poll(() => weightOf(page)).toBeCloseTo(before + 91.4 - 86.8, 0);
  // Read in ounces: the drawing and the reading cannot both be true.
  await mass.fill("3.2");
  await mass.press("Enter");
  await expect(page.getByTestId("findings")).toContainText("Both cannot be true");
  await mass.fill("");
  await mass.press("Enter");
  await expect(note).toBeVisible();
  await expect.poll(() => weightOf(page)).toBe(before);
});

test("a material that nobody knows is made of what was looked for, and found by its other name", async ({
  page,
}) => {
  await page.goto("/stock");
  const find = page.getByLabel("Find a material");
  await find.fill("northern plum");
  await page.getByRole("button", { name: "Make “northern plum” of your own" }).click();
  const dialog = page.getByTestId("own-material");
  await expect(dialog.getByLabel("Name", { exact: true })).toHaveValue("northern plum");
  await dialog.getByLabel("Also called").fill("lot 12, the brown one");
  const care = dialog.getByRole("group", { name: "Take care" });
  await expect(care.getByRole("checkbox", { checked: true })).toHaveCount(1);
  await dialog.getByLabel("Class").selectOption({ label: "Horn, bone, antler" });
  await expect(care.getByRole("checkbox", { name: /bone dust/ })).toBeChecked();
  await expect(care.getByRole("checkbox", { checked: true })).toHaveCount(1);
  await dialog.getByRole("button", { name: "Save" }).click();
  await expect(dialog).toHaveCount(0);
  await find.fill("brown one");
  await expect(page.getByRole("row", { name: /northern plum/ })).toBeVisible();
});

test("the finder of materials gives the focus back: by Escape, by a choice, and when one is made", async ({
  page,
}) => {
  await openKnife(page, "Fen rigging knife");
  await step(page, "Handle");
  const opener = page.getByRole("button", { name: "Find: Material" }).first();
  const finder = page.getByRole("combobox", { name: "Find a material" });
  await opener.focus();
  await page.keyboard.press("Enter");
  await expect(finder).toBeFocused();
  await page.keyboard.press("Escape");
  await expect(finder).toHaveCount(0);
  await expect(opener).toBeFocused();
  await page.keyboard.press("Enter");
  await expect(finder).toBeFocused();
  await page.keyboard.type("ebony");
  await expect(page.getByTestId("materials-found")).toContainText("ebony");
  await page.keyboard.press("Enter");
  await expect(finder).toHaveCount(0);
  await expect(opener).toBeFocused();
});
