import { expect, type Page, test } from "@playwright/test";
import { openKnife, step } from "./bench";

const line = (page: Page) => page.getByTestId("line");

test("one blank in two grades: made together, a shared hole that is moved names the others, and is given to them", async ({
  page,
}) => {
  await page.goto("/lines");
  await expect(page.getByText("There is no line yet.")).toBeVisible();
  await page.getByRole("button", { name: "New line" }).click();
  const name = page.getByLabel("Name of the line");
  await name.fill("Heath");
  await name.press("Enter");
  const add = page.getByLabel("A grade for Heath");
  await add.selectOption({ label: "Heath field knife" });
  await page.getByRole("button", { name: "Add", exact: true }).click();
  await expect(line(page).getByRole("link", { name: "Heath field knife" })).toBeVisible();
  await add.selectOption({ label: "like Heath field knife" });
  await page.getByRole("button", { name: "Add", exact: true }).click();
  await expect(line(page).getByRole("link", { name: "Heath field knife 2" })).toBeVisible();
  await expect(page.getByTestId("shared-blank")).toContainText("All of them share the blank");
  const made = page.getByLabel("How many are made: Heath field knife 2");
  await made.fill("3");
  await made.press("Enter");
  const together = page.getByTestId("line-together");
  await expect(together).toContainText("4 pieces together");
  await expect(together).toContainText(/Done together: .*Harden: 4 in 1 go/);
  await expect(together).toContainText(/Glue: .* g mixed in \d cups?/);
  const price = page.getByLabel("Price: Heath field knife", { exact: true });
  await price.fill("much");
  await price.press("Enter");
  await expect(price).toHaveAttribute("aria-invalid", "true");
  await price.fill("240");
  await price.press("Enter");
  await expect(together).toContainText("without 3 pieces that have no price yet");

  // A piece is drilled; then a shared hole is moved in the other grade.
  await openKnife(page, "Heath field knife");
  await page.getByRole("button", { name: "Build", exact: true }).click();
  const drill = page.locator('[data-task="drill-tang"]');
  await drill.getByRole("button", { name: /^Drill/ }).click();
  await drill.getByRole("button", { name: /^Done, with the \d+ before it/ }).click();
  await openKnife(page, "Heath field knife 2");
  await expect(page.getByTestId("line-notice")).toHaveCount(0);
  await step(page, "Pins");
  const place = page.getByRole("textbox", { name: "Behind the front", exact: true }).first();
  const before = await place.inputValue();
  await place.fill(String(Number.parseFloat(before.replace("−", "-")) - 2));
  await place.press("Enter");
  const notice = page.getByTestId("line-notice");
  await expect(notice).toContainText("Another blank than Heath field knife, of the line Heath");
  await expect(notice).toContainText(/hole at .* stands 2\.00 mm away from there/);
  await expect(notice).toContainText("Cut already, and no longer right: the piece of Heath field knife.");
  await page.goto("/lines");
  await expect(page.getByTestId("shared-blank")).toContainText(/Not on it:\s*Heath field knife 2/);
  await page.getByRole("link", { name: "Heath field knife 2" }).click();
  await page
    .getByTestId("line-notice")
    .getByRole("button", { name: "Give this one to Heath field knife" })
    .click();
  await expect(page.getByText("1 knife has the blank of Heath field knife 2 now")).toBeVisible();
  await expect(page.getByTestId("line-notice")).toHaveCount(0);
  await page.goto("/lines");
  await expect(page.getByTestId("shared-blank")).toContainText("All of them share the blank");
  // What was drilled before is named.
  await expect(page.getByTestId("shared-blank")).toContainText(/Heath field knife, the piece: cut otherwise/);
});

test("a knife that cannot be built on the blank stays as it is, and is named; a grade that is gone is told", async ({
  page,
}) => {
  await page.goto("/lines");
  await page.getByRole("button", { name: "New line" }).click();
  const add = page.getByLabel("A grade for Line 1");
  await add.selectOption({ label: "Wren neck knife" });
  await page.getByRole("button", { name: "Add", exact: true }).click();
  await expect(line(page).getByRole("link", { name: "Wren neck knife" })).toBeVisible();
  await add.selectOption({ label: "Hern long blade" });
  await page.getByRole("button", { name: "Add", exact: true }).click();
  await page.getByRole("button", { name: "Put it on the blank of Wren neck knife" }).click();
  await expect(page.getByText("Hern long blade: not changed")).toBeVisible();
  await expect(page.getByTestId("shared-blank")).toContainText(/Not on it:\s*Hern long blade/);
  await page.goto("/");
  await page.getByRole("button", { name: "Delete Hern long blade", exact: true }).click();
  await expect(page.getByRole("link", { name: "Hern long blade", exact: true })).toHaveCount(0);
  await page.goto("/lines");
  await expect(line(page)).toContainText(
    "A knife that is gone: put it back from the bin, or take it out here.",
  );
  await page.getByRole("button", { name: "Take out of the line: A knife that is gone" }).click();
  await expect(line(page)).not.toContainText("A knife that is gone:");
  await page.getByRole("button", { name: "Delete the line Line 1" }).click();
  await expect(line(page)).toHaveCount(0);
  await page
    .locator("[data-scope=toast][data-part=root]")
    .filter({ hasText: "The line Line 1 is in the bin" })
    .getByRole("button", { name: "Put it back" })
    .click();
  await expect(line(page)).toContainText("Wren neck knife");
});
