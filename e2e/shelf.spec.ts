import { readFileSync } from "node:fs";
import { expect, test } from "@playwright/test";
import { openKnife, weightOf } from "./bench";

test("from a take-down hunter to a shopping list, and a block of the shelf narrows its interval and is reserved", async ({
  page,
}) => {
  await openKnife(page, "Reed take-down hunter");
  const before = await weightOf(page);
  const interval = async () => {
    const text =
      (await page
        .getByText(/^\d[\d.]* to \d[\d.]* g$/)
        .first()
        .textContent()) ?? "";
    const [low, high] = text.match(/[\d.]+/g)!.map(Number);
    return high - low;
  };
  const wide = await interval();
  await page.getByRole("button", { name: "Build", exact: true }).click();
  const shelf = page.getByRole("region", { name: "From the shelf" });
  await shelf.getByRole("button", { name: "Make Block 3 of Cocobolo block, second drawer" }).click();
  await expect(shelf).toContainText("made of it");
  await expect.poll(() => weightOf(page)).not.toBeCloseTo(before, 1);
  await expect.poll(interval).toBeLessThan(wide);
  await shelf.getByRole("link", { name: "Shelf" }).first().click();
  await page.getByText("Reed take-down hunter", { exact: true }).click();
  const lot = page.getByRole("group", { name: "Cocobolo block, second drawer" });
  await expect(lot).toContainText("reserved: Reed take-down hunter");
  const list = page.getByRole("table", { name: "Shopping list" });
  await expect(list).toContainText("52100 bearing steel");
  await expect(list).not.toContainText("Cocobolo");
  const [download] = await Promise.all([
    page.waitForEvent("download"),
    page.getByRole("button", { name: "Save as CSV" }).click(),
  ]);
  const csv = readFileSync(await download.path(), "utf8");
  expect(csv).toContain("What,Material,Size,Count,For,Spare");
  expect(csv).toContain("52100 bearing steel");
});

test("a lot is noted, weighed, cut, deleted and put back; out of date and wrong weights are told", async ({
  page,
}) => {
  await page.goto("/shelf");
  await expect(page.getByRole("group", { name: "Ferric chloride" })).toContainText("out of date");
  await page.getByRole("button", { name: "New lot" }).click();
  const form = page.getByRole("group", { name: "New lot" });
  await form.getByLabel("Name").fill("Odd walnut block");
  await form.getByRole("button", { name: "Put it on the shelf" }).click();
  const lot = page.getByRole("group", { name: "Odd walnut block", exact: true });
  await lot.getByLabel("One of them weighs").fill("32");
  await lot.getByLabel("One of them weighs").press("Enter");
  await expect(lot).toContainText(/0\.6\d ± 0\.0\d g\/cm³/);
  await lot.getByLabel("One of them weighs").fill("90000");
  await lot.getByLabel("One of them weighs").press("Enter");
  await expect(lot).toContainText("cannot both be true");
  await lot.getByLabel("One of them weighs").fill("32");
  await lot.getByLabel("One of them weighs").press("Enter");
  await lot.getByLabel("Use off one of them").fill("60");
  await lot.getByLabel("Use off one of them").press("Enter");
  await lot.getByRole("button", { name: /^Cut it off/ }).click();
  await expect(page.getByRole("group", { name: "Odd walnut block, offcut" })).toContainText(
    "70.0 × 40.0 × 10.0 mm",
  );
  await lot.getByRole("button", { name: "It is no box: type its outline" }).click();
  await lot.getByLabel("Points, x and y in mm, one a line").fill("0 0\n100");
  await expect(lot).toContainText("Line 2 is no point");
  await lot.getByLabel("Points, x and y in mm, one a line").fill("0 0\n100 0\n100 30\n0 38");
  // The same from a drawing: a rectangle with a hole.
  const svg = `<svg xmlns="http://www.w3.org/2000/svg" width="120mm" height="40mm" viewBox="0 0 120 40"><rect x="5" y="5" width="110" height="30" fill="none" stroke="black"/><circle cx="20" cy="20" r="2.5" fill="none" stroke="black"/></svg>`;
  await page
    .getByTestId("lot-drawing")
    .setInputFiles({ name: "blank.svg", mimeType: "image/svg+xml", buffer: Buffer.from(svg) });
  await expect(lot.getByLabel("Holes: x, y and diameter")).toHaveValue("15, 15, 5");
  await lot.getByRole("button", { name: "Take it" }).click();
  await expect(lot).toContainText("110.0 × 30.0 mm");
  await expect(lot.getByRole("img", { name: "Outline of the lot" })).toBeVisible();
  await lot.getByRole("button", { name: "Delete Odd walnut block", exact: true }).click();
  await expect(lot).toHaveCount(0);
  await page.getByRole("button", { name: "Put it back" }).click();
  await expect(lot).toHaveCount(1);
  await page.reload();
  await expect(page.getByRole("group", { name: "Odd walnut block", exact: true })).toHaveCount(1);
});

test("lots go out as a file and come in again; what is no such file is refused in words", async ({
  page,
}) => {
  await page.goto("/shelf");
  const [download] = await Promise.all([
    page.waitForEvent("download"),
    page.getByRole("button", { name: "Export", exact: true }).click(),
  ]);
  const text = readFileSync(await download.path(), "utf8");
  expect(JSON.parse(text)).toMatchObject({ format: "euaxis-shelf", version: 1 });
  const input = page.getByTestId("shelf-file");
  await input.setInputFiles({ name: "lots.json", mimeType: "application/json", buffer: Buffer.from(text) });
  await expect(page.getByText("All of these lots are on the shelf already")).toBeVisible();
  const renamed = text.replaceAll('"demo-walnut-1"', '"another-1"');
  await input.setInputFiles({
    name: "more.json",
    mimeType: "application/json",
    buffer: Buffer.from(renamed),
  });
  await expect(page.getByText("1 lot taken in")).toBeVisible();
  await expect(page.getByRole("group", { name: "Walnut scales, dark pair" })).toHaveCount(2);
  await page.getByRole("button", { name: "Undo" }).click();
  await expect(page.getByRole("group", { name: "Walnut scales, dark pair" })).toHaveCount(1);
  const broken = text.replace('"count": 2', '"count": -2');
  await input.setInputFiles({
    name: "broken.json",
    mimeType: "application/json",
    buffer: Buffer.from(broken),
  });
  await expect(page.getByText("broken.json was not taken in")).toBeVisible();
});
