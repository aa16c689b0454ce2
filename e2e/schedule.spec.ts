import { readFile } from "node:fs/promises";
import { expect, type Page, test } from "@playwright/test";
import ICAL from "ical.js";
import { openKnife } from "./bench";

const summary = (page: Page) => page.getByTestId("schedule-summary");

/** The page with these knives in it, and no others. */
async function scheduled(page: Page, names: readonly string[]): Promise<void> {
  await page.goto("/schedule");
  const column = page.getByRole("complementary", { name: "What is scheduled" });
  await expect(column.getByRole("checkbox").nth(5)).toBeAttached();
  for (const tick of await column.getByRole("checkbox").all()) {
    const label = (await tick.evaluate((e) => e.closest("label")?.textContent)) ?? "";
    if (label.startsWith("What is not")) continue;
    if ((await tick.isChecked()) !== names.includes(label)) await tick.press("Space");
  }
  await expect(summary(page)).toContainText(/\d+ tasks by one pair of hands/);
  // What was in it at first is out of it.
  await expect(page.getByRole("button", { name: /^Set a day: .*, Fen rigging knife$/ })).toHaveCount(0);
}

const block = (page: Page, task: string) => page.locator(`[data-testid=block][data-task="${task}"]`).first();
const dayOf = (page: Page, task: string) => page.locator("[data-day]", { has: block(page, task) }).first();

test("knives in days: like tasks together, a calendar that opens elsewhere", async ({ page }) => {
  await scheduled(page, ["Gorse guard knife", "Heath field knife", "Reed take-down hunter"]);
  await page
    .getByLabel("Like tasks of several knives together")
    .selectOption({ label: "Wherever it can be" });
  await expect(summary(page)).toContainText(/Done together: .*2 in 1 go/);
  await expect(summary(page)).toContainText(/No order of work finishes before|It cannot be earlier/);
  const saving = page.waitForEvent("download");
  await page.getByRole("button", { name: "Calendar file" }).click();
  const download = await saving;
  expect(download.suggestedFilename()).toBe("workshop.ics");
  const text = await readFile(await download.path(), "utf8");
  const events = new ICAL.Component(ICAL.parse(text))
    .getAllSubcomponents("vevent")
    .map((v) => new ICAL.Event(v));
  expect(events.length).toBeGreaterThan(40);
  expect(events.some((e) => e.summary.startsWith("Heath field knife: "))).toBe(true);
  await page.getByRole("button", { name: "Week after" }).click();
  await expect(page.getByTestId("block").first()).toBeVisible();
});

test("a task is taken to another day by hand, or by its field, and let go again", async ({ page }) => {
  await scheduled(page, ["Heath field knife"]);
  const task = "profile";
  await expect(block(page, task)).toBeVisible();
  const before = await dayOf(page, task).getAttribute("data-day");
  // The next day of this week, or of the one after, whatever day it is today.
  const days = page.locator("[data-day]");
  const index = await days.evaluateAll(
    (all, day) => all.findIndex((d) => d.getAttribute("data-day") === day),
    before,
  );
  if (index < 6) {
    const from = await block(page, task).boundingBox();
    const to = await days.nth(index + 1).boundingBox();
    if (!from || !to) throw new Error("nothing to drag");
    await page.mouse.move(from.x + 20, from.y + 8);
    await page.mouse.down();
    await page.mouse.move(from.x + 40, from.y + 20, { steps: 4 });
    await page.mouse.move(to.x + 40, to.y + 60, { steps: 8 });
    await page.mouse.up();
    const held = page.getByRole("group", { name: "Tasks with a day of their own" });
    await expect(held).toContainText("Grind the outline of blade and tang, Heath field knife");
    await held.getByRole("button", { name: /^Any day: Grind the outline/ }).click();
    await expect(held).toHaveCount(0);
  }
  // By keyboard: the field of the list. A task that is long before it can be says what it waits for.
  const far = new Date(Date.now() + 40 * 86_400_000).toISOString().slice(0, 10);
  await page.getByRole("button", { name: "Set a day: Harden, Heath field knife" }).press("Enter");
  await page.getByLabel("Not before: Harden, Heath field knife").fill(far);
  await expect(page.getByRole("group", { name: "Tasks with a day of their own" })).toContainText("Harden");
  await page.reload();
  await scheduled(page, ["Heath field knife"]);
  await expect(page.getByLabel("Not before: Harden, Heath field knife")).toHaveValue(far);
  const soon = new Date(Date.now() + 86_400_000).toISOString().slice(0, 10);
  await page.getByRole("button", { name: "Set a day: Sharpen, Heath field knife" }).click();
  await page.getByLabel("Not before: Sharpen, Heath field knife").fill(soon);
  await expect(page.getByRole("status").filter({ hasText: "cannot be on" })).toContainText(/it stands on/);
});

test("hours with a break, days off, and a beginning that is over", async ({ page }) => {
  await page.goto("/workshop");
  for (const day of ["Monday", "Tuesday", "Wednesday", "Thursday", "Friday"])
    await page.getByRole("button", { name: `A break: ${day}` }).click();
  await expect(page.getByText("35 h a week at the bench.")).toBeVisible();
  await page.getByLabel("Monday, part 2, from").fill("11:00");
  await expect(page.getByText("It runs into another part of the day.")).toBeVisible();
  const off = new Date(Date.now() + 86_400_000);
  const two = (n: number) => String(n).padStart(2, "0");
  const day = `${off.getFullYear()}-${two(off.getMonth() + 1)}-${two(off.getDate())}`;
  await page.getByLabel("A day off").fill(day);
  await page.getByRole("button", { name: "Add", exact: true }).click();
  await expect(
    page.getByRole("group", { name: "Days off" }).getByRole("button", { name: /^Work on/ }),
  ).toBeVisible();
  await scheduled(page, ["Heath field knife"]);
  // Waits run on over breaks and days off; work does not.
  const blocks = page.locator("[data-testid=block][data-hands=true]");
  await expect(blocks).not.toHaveCount(0);
  await expect(page.locator(`[data-day="${day}"] [data-hands=true]`)).toHaveCount(0);
  const work = await blocks.allInnerTexts();
  for (const text of work) {
    const [, from, to] = /^(\d\d:\d\d)–(\d\d:\d\d)/.exec(text) ?? [];
    if (from && to) expect(from >= "13:00" || to <= "12:00", text).toBe(true);
  }
  await page.getByLabel("Begin on").last().fill("2020-01-06");
  await expect(page.getByText("That day is over: begin today or later.")).toBeVisible();
  await expect(summary(page)).toHaveCount(0);
});

test("three pieces of one design: ticked each by itself, in days and on the shopping list", async ({
  page,
}) => {
  await openKnife(page, "Heath field knife");
  await page.getByRole("button", { name: "Build", exact: true }).click();
  const many = page.getByRole("textbox", { name: "How many are made" });
  await many.fill("3");
  await many.press("Enter");
  const profile = page.locator('[data-task="profile"]');
  await profile.getByRole("button", { name: "Grind the outline of blade and tang" }).click();
  const pieces = page.getByRole("group", { name: "Pieces: Grind the outline of blade and tang" });
  await pieces.getByRole("checkbox", { name: "2" }).press("Space");
  await expect(pieces).toContainText("Done of 1 of 3 pieces");
  await pieces.getByRole("button", { name: "All of them" }).click();
  await expect(pieces).toContainText("Done of 3 of 3 pieces");
  await expect(profile).toHaveAttribute("data-state", "done");
  // Hardened at once: with all that comes before, of each of them.
  const harden = page.locator('[data-task="harden"]');
  await harden.getByRole("button", { name: "Harden", exact: true }).click();
  await harden.getByRole("button", { name: /^Done, with the \d before it, of all 3$/ }).click();
  await expect(page.getByRole("group", { name: "Pieces: Harden" })).toContainText("Done of 3 of 3 pieces");
  await page.getByRole("link", { name: "In days" }).click();
  // One after the other they could not be tempered in time.
  await expect(summary(page)).toContainText(/Done together: .*Temper, two cycles: 3 in 1 go/);
  await expect(page.getByTestId("schedule")).not.toContainText("overdue");
  await expect(page.getByTestId("schedule")).toContainText("2 Heath field knife, 2 of 3");
  await page.goto("/shelf");
  await expect(page.getByRole("region", { name: "Shopping" })).toContainText("Heath field knife, 3 of 3");
});

test("as built: a dry-fit weight beside its prediction, sizes, notes; kept, and taken back", async ({
  page,
}) => {
  await openKnife(page, "Heath field knife");
  await page.getByRole("button", { name: "Build", exact: true }).click();
  const built = page.getByRole("region", { name: "As built" });
  await built.getByRole("button", { name: "Note a reading" }).click();
  const form = page.getByRole("group", { name: "A reading" });
  await form.getByRole("button", { name: "Keep it" }).click();
  await expect(form.getByRole("alert")).toHaveText("Type a weight, a balance, or both.");
  await form.getByLabel("Weight", { exact: true }).fill("16.2");
  await form.getByLabel("Weight", { exact: true }).press("Enter");
  await expect(form.getByRole("status")).toContainText("far from what was predicted");
  await form.getByLabel("Weight", { exact: true }).fill("205");
  await form.getByLabel("Weight", { exact: true }).press("Enter");
  await form.getByLabel(/^Balance from/).fill("-30");
  await form.getByLabel(/^Balance from/).press("Enter");
  await form.getByRole("button", { name: "Keep it" }).click();
  await expect(built.getByTestId("reading")).toContainText(/dry fit: 205\.0 g \([+−]?[\d.]+ g/);
  await built.getByLabel("Measured: Handle length").fill("111.5");
  await built.getByLabel("Measured: Handle length").press("Enter");
  await built.getByLabel("A note of today").fill("Left scale 0.2 mm proud.");
  await built.getByLabel("A note of today").blur();
  await expect(built.getByTestId("logged")).toContainText("Left scale 0.2 mm proud.");
  await built.getByTestId("log-photo").setInputFiles("docs/screenshots/rack.png");
  const photo = built.getByTestId("logged").filter({ has: page.getByRole("img") });
  await expect(photo.getByRole("img")).toHaveJSProperty("complete", true);
  await photo.getByRole("textbox").fill("Before the glue");
  await photo.getByRole("textbox").blur();
  await page.reload();
  await expect(built.getByRole("img", { name: "Before the glue" })).toBeVisible();
  await built.getByTestId("log-photo").setInputFiles("package.json");
  await expect(page.getByText("The photo was not taken in")).toBeVisible();
  await expect(built.getByTestId("reading")).toContainText("dry fit: 205.0 g");
  await expect(built.getByLabel("Measured: Handle length")).toHaveValue("111.5");
  await built.getByRole("button", { name: /^Delete the reading/ }).click();
  await expect(built.getByTestId("reading")).toHaveCount(0);
  await page.getByRole("button", { name: "Put it back" }).click();
  await expect(built.getByTestId("reading")).toContainText("205.0 g");
  // How far it has come is on the rack.
  const first = page.locator('[data-task="profile"]');
  await first.getByRole("checkbox").press("Space");
  await expect(first).toHaveAttribute("data-state", "done");
  await page.goto("/");
  await expect(page.getByTestId("rack-row").filter({ hasText: "Heath field knife" })).toContainText(
    /In work at task 2 of \d+/,
  );
});
