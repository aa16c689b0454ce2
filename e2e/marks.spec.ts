import { expect, type Page, test } from "@playwright/test";
import type { BladeMark, Design } from "../src/core/knife/design/schema";
import { keptKnife, openKnife, typeLength, weightOf } from "./bench";

const marksOf = async (page: Page): Promise<readonly BladeMark[]> =>
  ((await keptKnife(page)).design as Design).blade.marks;
const show = (page: Page, name: string) => page.getByRole("button", { name, exact: true }).click();
const SVG = `<svg xmlns="http://www.w3.org/2000/svg" width="8mm" height="4mm" viewBox="0 0 8 4">
  <rect width="8" height="4"/><circle cx="2" cy="2" r="1"/><path d="M0 0L1 1"/></svg>`;

test("a mark is typed, changed, moved by keys, put right by a fix, and printed", async ({ page }) => {
  await openKnife(page, "Rook hunter");
  const before = await weightOf(page);
  const typed = page.getByRole("textbox", { name: "Text of a new mark" });
  await typed.fill("ŁÓDŹ 24");
  await page.keyboard.press("Enter");
  await expect.poll(async () => (await marksOf(page)).length).toBe(1);
  const [mark] = await marksOf(page);
  expect(mark).toMatchObject({ says: "ŁÓDŹ 24", side: "right", madeFrom: "text" });
  await expect(page.locator(`[data-mark=${mark.id}]`)).toBeVisible();
  // Where it is put there is room for it, and nothing is taken off the knife's weight.
  await expect(page.locator("[data-finding=mark-clear]")).toHaveCount(0);
  expect(Math.abs((await weightOf(page)) - before)).toBeLessThan(0.001);

  // Another text is drawn anew; one that no font has is refused, and what was there stays.
  const says = page.getByRole("textbox", { name: "Text of mark 1" });
  await says.fill("刀");
  await page.keyboard.press("Enter");
  await expect(page.getByText("The fonts have no 刀")).toBeVisible();
  expect((await marksOf(page))[0].art).toBe(mark.art);
  await says.fill("TARN");
  await page.keyboard.press("Enter");
  await expect.poll(async () => (await marksOf(page))[0].says).toBe("TARN");
  expect((await marksOf(page))[0].art).not.toBe(mark.art);

  // By keys on the drawing, down until it lies across the grind line.
  const point = page.locator(`[data-point=${mark.id}]`);
  await point.focus();
  const x = (await marksOf(page))[0].xMm;
  await page.keyboard.press("ArrowRight");
  await expect.poll(async () => (await marksOf(page))[0].xMm).toBeGreaterThan(x);
  await typeLength(page, "Middle, below the spine", "11");
  await show(page, "Fit-up");
  const finding = page.locator("[data-finding=mark-clear]");
  await expect(finding).toContainText("lies across the grind line");
  await finding.getByRole("button", { name: /^Fix/ }).first().click();
  await expect(finding).toHaveCount(0);
  const { downMm } = (await marksOf(page))[0];
  expect(downMm).not.toBe(11);

  await show(page, "Sheets");
  await show(page, "Stencils");
  const preview = page.getByTestId("sheet-preview");
  await expect(preview.getByText("Stencil, right side", { exact: true })).toBeVisible();
  await expect(preview.getByText("Mask, left side", { exact: true })).toBeVisible();
  await show(page, "Cutter's files");
  const saved = page.waitForEvent("download");
  await page.getByRole("button", { name: "Save stencil-right as DXF" }).click();
  expect((await saved).suggestedFilename()).toBe("rook-hunter-stencil-right.dxf");
});

test("a mark comes in from a drawing, and what is none is told", async ({ page }) => {
  await openKnife(page, "Rook hunter");
  const file = page.getByTestId("mark-file");
  const put = (name: string, text: string) =>
    file.setInputFiles({ name, mimeType: "image/svg+xml", buffer: Buffer.from(text) });
  await put("notes.txt", "hello");
  await expect(page.getByText("notes.txt: it is no DXF or SVG drawing.")).toBeVisible();
  await put("broken.svg", "<svg");
  await expect(page.getByText(/^broken\.svg: This is no SVG drawing/)).toBeVisible();
  await put("line.svg", '<svg xmlns="http://www.w3.org/2000/svg"><path d="M0 0L5 5"/></svg>');
  await expect(page.getByText(/^line\.svg: There is nothing in it that is filled/)).toBeVisible();
  expect(await marksOf(page)).toEqual([]);

  await put("badge.svg", SVG);
  await expect.poll(async () => (await marksOf(page)).length).toBe(1);
  const [mark] = await marksOf(page);
  expect(mark).toMatchObject({ says: "badge", madeFrom: "drawing", heightMm: 4 });
  await expect(page.getByText("One line does not close, and is left out")).toBeVisible();
  await expect(page.getByText("8 mm long, 4 mm high")).toBeVisible();
  for (let i = 2; i <= 4; i++) {
    await put(`badge-${i}.svg`, SVG);
    await expect.poll(async () => (await marksOf(page)).length).toBe(i);
  }
  await expect(page.getByRole("button", { name: "Add text" })).toBeDisabled();
  await page.getByRole("button", { name: "Remove Mark 4" }).click();
  await expect.poll(async () => (await marksOf(page)).length).toBe(3);
  await page.getByRole("combobox", { name: "On" }).last().selectOption("left");
  await expect.poll(async () => (await marksOf(page))[2].side).toBe("left");
  await page.reload();
  await expect(page.getByText("Mark 3", { exact: true })).toBeVisible();
});
