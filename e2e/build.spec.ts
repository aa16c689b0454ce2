import { expect, type Page, test } from "@playwright/test";
import { openKnife, step, typeLength, weightOf } from "./bench";

const build = async (page: Page) => {
  await page.getByRole("button", { name: "Build", exact: true }).click();
  await expect(page.getByTestId("progress")).toHaveText(/of \d+ done/);
};
const task = (page: Page, id: string) => page.locator(`[data-task="${id}"]`);

test("the order of work of a take-down hunter: ticked, unfolded, kept, as its maker works", async ({
  page,
}) => {
  await openKnife(page, "Reed take-down hunter");
  await build(page);
  await expect(page.getByTestId("progress")).toHaveText(/^0 of \d+ done$/);
  const profile = task(page, "profile");
  await expect(profile).toHaveAttribute("data-state", "ready");
  await expect(task(page, "harden")).toHaveAttribute("data-state", "waiting");
  await profile.getByRole("button", { name: "Grind the outline of blade and tang" }).click();
  await expect(profile.getByTestId("task-detail")).toContainText("Length of the blade");
  await expect(profile.getByTestId("task-detail")).toContainText("Grinder: eyes");
  await profile.getByRole("textbox", { name: "Minutes of work" }).fill("55");
  await profile.getByRole("textbox", { name: "Minutes of work" }).press("Enter");
  await expect(profile).toContainText("55 min");
  await profile.getByRole("checkbox").press("Space");
  await expect(profile).toHaveAttribute("data-state", "done");
  await expect(page.getByTestId("progress")).toHaveText(/^1 of/);
  // Another way to work: bevels rough while the steel is soft.
  await expect(task(page, "grind-soft")).toHaveCount(0);
  await page.getByLabel("Bevels", { exact: true }).selectOption({ label: "Rough while soft, finish hard" });
  await expect(task(page, "grind-soft")).toHaveCount(1);
  // A task of the maker's own, where it is put.
  const own = page.getByRole("group", { name: "A task of your own" });
  await own.getByLabel("What").fill("Photograph the blank");
  await own.getByLabel("After", { exact: true }).selectOption("profile");
  await own.getByLabel("Before", { exact: true }).selectOption("harden");
  await own.getByRole("button", { name: "Add it" }).click();
  await expect(page.getByRole("button", { name: "Photograph the blank" })).toBeVisible();
  // All of it is there tomorrow, too.
  await page.reload();
  await expect(task(page, "profile")).toHaveAttribute("data-state", "done");
  await expect(task(page, "profile")).toContainText("55 min");
  await expect(page.getByRole("button", { name: "Photograph the blank" })).toBeVisible();
  await expect(task(page, "grind-soft")).toHaveCount(1);
});

test("a failed temper leads back, and can be taken back", async ({ page }) => {
  await openKnife(page, "Reed take-down hunter");
  await build(page);
  const check = task(page, "check-straight");
  await check.getByRole("button", { name: "Look whether it is straight" }).click();
  await check.getByRole("button", { name: /^Done, with the \d before it$/ }).click();
  await expect(check).toHaveAttribute("data-state", "done");
  await expect(task(page, "temper")).toHaveAttribute("data-state", "done");
  await check.getByRole("button", { name: "It failed …" }).click();
  await check.getByRole("button", { name: "Go back: Too hot: blue where it has to be hard" }).click();
  await expect(task(page, "temper")).not.toHaveAttribute("data-state", "done");
  await expect(task(page, "harden")).not.toHaveAttribute("data-state", "done");
  // What stays true stays done.
  await expect(task(page, "profile")).toHaveAttribute("data-state", "done");
  const wrong = page.getByRole("region", { name: "What went wrong" });
  await expect(wrong).toContainText("Too hot");
  await wrong.getByRole("button", { name: /^Take back/ }).click();
  await expect(task(page, "temper")).toHaveAttribute("data-state", "done");
  await expect(wrong).toHaveCount(0);
});

test("a hole moved after it was drilled is caught, with what each way out costs", async ({ page }) => {
  await openKnife(page, "Gorse guard knife");
  await build(page);
  await expect(task(page, "drill-tang")).toHaveAttribute("data-state", "done");
  await expect(page.getByTestId("contradictions")).toHaveCount(0);
  const before = await weightOf(page);
  await page.getByRole("button", { name: "Bench", exact: true }).click();
  await step(page, "Pins");
  await typeLength(page, "Behind the front", "31");
  await build(page);
  const told = page.getByTestId("contradictions");
  await expect(told).toContainText(/is drilled, and the design has it .* from there now/);
  await expect(told).toContainText(/Weld or plug the hole, and drill again: \d/);
  await told.getByRole("button", { name: "Do this: Take the design back to what was cut" }).first().click();
  await expect(told).toHaveCount(0);
  await expect.poll(() => weightOf(page)).toBeCloseTo(before, 1);
});

test("an attempt at the heat is noted as it went, and a recipe of one's own goes before the usual one", async ({
  page,
}) => {
  await openKnife(page, "Reed take-down hunter");
  await build(page);
  const heat = page.getByRole("region", { name: "Heat treatment" });
  await expect(heat).toContainText(/790 to 830 °C \(1,526 °F\)/);
  await heat.getByRole("button", { name: "Note an attempt" }).click();
  const form = heat.getByRole("group", { name: "An attempt" });
  await form.getByLabel("Seconds in it").fill("6");
  await form.getByLabel("What went wrong").selectOption("warped");
  await form.getByRole("button", { name: "Keep it" }).click();
  await expect(heat.getByTestId("attempts")).toContainText("warped");
  await expect(heat.getByTestId("attempts")).toContainText("fast oil 6 s");
  await heat.getByRole("button", { name: "Use a recipe of my own" }).click();
  const recipe = heat.getByRole("group", { name: "A recipe of my own" });
  for (const take of await recipe.getByRole("button", { name: /^Take out temper/ }).all())
    await recipe
      .getByRole("button", { name: "Take out temper 1" })
      .click()
      .catch(() => take);
  await expect(recipe.getByRole("alert")).toContainText("is not tempered breaks");
  await expect(recipe.getByRole("button", { name: "Keep it" })).toBeDisabled();
  await recipe.getByRole("button", { name: "One temper more" }).click();
  await recipe.getByLabel("Harden from").fill("845");
  await recipe.getByLabel("Harden from").press("Enter");
  await expect(recipe.getByRole("alert")).toContainText("must not be above");
  await recipe.getByLabel("to", { exact: true }).fill("855");
  await recipe.getByLabel("to", { exact: true }).press("Enter");
  await recipe.getByRole("button", { name: "Keep it" }).click();
  await expect(heat).toContainText("Your recipe");
  await expect(heat).toContainText(/845 to 855 °C/);
});

test("a gap behind the guard is closed by a spacer: its weight is said before the click, and undo takes it back", async ({
  page,
}) => {
  await openKnife(page, "Gorse guard knife");
  const before = await weightOf(page);
  await build(page);
  const check = task(page, "check-guard");
  await check.getByRole("button", { name: "Look whether the guard sits square, the blade in line" }).click();
  await check.getByRole("button", { name: "It failed …" }).click();
  const ways = check.getByRole("group", { name: /^Ways back/ });
  await ways.getByRole("textbox", { name: "Gap" }).fill("1.2");
  await ways.getByRole("textbox", { name: "Gap" }).press("Enter");
  await expect(ways.getByTestId("way-becomes").first()).toContainText(/^\+\d/);
  await ways.getByRole("button", { name: "Go back: A gap behind the guard" }).click();
  await expect.poll(() => weightOf(page)).toBeGreaterThan(before);
  await expect(page.getByRole("button", { name: "Cut a spacer for the gap" })).toBeVisible();
  await page.getByRole("button", { name: /^Undo/ }).first().click();
  await expect.poll(() => weightOf(page)).toBeCloseTo(before, 1);
});

test("what is taken out of a plan is put back at one click; what was learned comes up at the next knife", async ({
  page,
}) => {
  await openKnife(page, "Gorse guard knife");
  await build(page);
  const fit = task(page, "fit-guard");
  await fit.getByRole("checkbox").press("Space");
  await expect(fit).not.toHaveAttribute("data-state", "done");
  await page.getByRole("button", { name: "Done after all" }).click();
  await expect(fit).toHaveAttribute("data-state", "done");
  await fit.getByRole("button", { name: "Fit the guard to the blade, a file-stroke tight" }).click();
  await expect(fit.getByLabel(/^Note/)).toHaveValue("Tight at the spine; soot twice.");
  const heat = page.getByRole("region", { name: "Heat treatment" });
  await heat.getByRole("button", { name: /^Take out the attempt/ }).click();
  await expect(heat.getByTestId("attempts")).toHaveText("");
  await page.getByRole("button", { name: "Put it back" }).click();
  await expect(heat.getByTestId("attempts")).toContainText("straw");
  await openKnife(page, "Reed take-down hunter");
  await build(page);
  await task(page, "fit-guard")
    .getByRole("button", { name: "Fit the guard to the blade, a file-stroke tight" })
    .click();
  await expect(task(page, "fit-guard")).toContainText("From another knife: Soot first: half the strokes.");
});

test("at the bench: the task at hand is large, goes on by pedal and button, keeps note and wait through a reload", async ({
  page,
}) => {
  await page.setViewportSize({ width: 768, height: 1024 });
  await openKnife(page, "Reed take-down hunter");
  await build(page);
  await page.getByRole("button", { name: "At the bench" }).click();
  const bench = page.getByTestId("at-the-bench");
  await expect(bench.getByRole("heading", { name: "Grind the outline of blade and tang" })).toBeVisible();
  // Space, and what pedals type, go on and back.
  await page.keyboard.press("Space");
  await expect(page.getByTestId("bench-place")).toHaveText(/^2 of/);
  await expect(bench).toContainText("First: Grind the outline of blade and tang");
  await page.keyboard.press("PageUp");
  await expect(page.getByTestId("bench-place")).toHaveText(/^1 of/);
  await bench.getByLabel(/^Note/).fill("Square the rest.");
  await bench.getByRole("button", { name: "Done, and on" }).click();
  await expect(page.getByTestId("bench-place")).toHaveText(/^2 of/);
  await page.keyboard.press("PageDown");
  await expect(bench.getByRole("heading", { name: "Normalise, two or three times" })).toBeVisible();
  await bench.getByRole("button", { name: "Start the wait: 45 min" }).click();
  await expect(bench.getByRole("timer")).toHaveText(/^4[45]:\d\d$/);
  await page.reload();
  await page.getByRole("button", { name: "At the bench" }).click();
  await expect(bench.getByRole("heading", { name: "Bring the tang to its sizes" })).toBeVisible();
  await page.keyboard.press("ArrowRight");
  await expect(bench.getByRole("timer")).toHaveText(/^4[45]:\d\d$/);
  await page.keyboard.press("ArrowLeft");
  await page.keyboard.press("ArrowLeft");
  await expect(bench.getByLabel(/^Note/)).toHaveValue("Square the rest.");
  await page.keyboard.press("Escape");
  await expect(bench).toHaveCount(0);
  await expect(task(page, "profile")).toHaveAttribute("data-state", "done");
});

test("at the bench a clock counts the task at hand: paused, reloaded, from zero; ticked, it is its minutes", async ({
  page,
}) => {
  await page.clock.install();
  await openKnife(page, "Heath field knife");
  await page.getByRole("button", { name: "Build", exact: true }).click();
  const bench = page.getByRole("button", { name: "At the bench" });
  await bench.click();
  const clock = page.getByRole("timer", { name: "Worked so far" });
  await expect(clock).toHaveText(/^0:0\d$/);
  await page.clock.fastForward("12:00");
  await expect(clock).toHaveText(/^12:\d\d$/);
  await page.getByRole("button", { name: "Pause" }).click();
  await page.clock.fastForward("30:00");
  await expect(clock).toHaveText(/^12:\d\d$/);
  await page.getByRole("button", { name: "Go on counting" }).click();
  // A reload in the middle loses nothing.
  await page.reload();
  await bench.click();
  await page.clock.fastForward("11:00");
  await expect(clock).toHaveText(/^23:\d\d$/);
  await page.getByRole("button", { name: "Done, and on" }).click();
  // The next one begins by itself, and one that was left running says so.
  await expect(clock).toHaveText(/^0:\d\d$/);
  await page.clock.fastForward("20:00:00");
  await expect(page.getByText(/^That is much more than/)).toBeVisible();
  await page.getByRole("button", { name: "From zero" }).click();
  await expect(clock).toHaveText(/^0:\d\d$/);
  await page.getByRole("button", { name: "Close" }).click();
  const first = page.locator('[data-task="profile"]');
  await first.getByRole("button", { name: "Grind the outline of blade and tang" }).click();
  await expect(first.getByLabel("It really took")).toHaveValue("23");
});
