import { expect, type Page, test } from "@playwright/test";
import { dynamics } from "../src/core/figures/weigh/dynamics";
import { groupPulls, partPulls } from "../src/core/figures/weigh/pulls";
import { weigh } from "../src/core/figures/weigh/weigh";
import { outside } from "../src/core/knife/design/uses";
import { partName } from "../src/words/parts";
import { balanceOf, designOf, openKnife, typeLength, weightOf } from "./bench";

const reportOf = async (page: Page) => {
  const weighing = weigh(await designOf(page));
  if (!weighing.ok) throw new Error("not weighed");
  return weighing.report;
};

async function openBalance(page: Page, name: string): Promise<void> {
  await openKnife(page, name);
  await page.getByRole("button", { name: "Balance", exact: true }).click();
  await expect(page.getByRole("heading", { name: /^Use and balance/ })).toBeVisible({ timeout: 30_000 });
  await expect(page.getByRole("button", { name: "Balance", exact: true })).toHaveAttribute(
    "aria-pressed",
    "true",
  );
}

test("a use proposes windows, which can be changed; the knife is told how far it is from them", async ({
  page,
}) => {
  await openBalance(page, "Heath field knife");
  await expect(page.getByTestId("target-said")).toContainText("too far back");
  await page.getByLabel("Use", { exact: true }).selectOption("fillet");
  await expect(page.getByTestId("target-said")).toContainText("inside its window");
  await expect.poll(async () => (await designOf(page)).use.balanceMm).toEqual({ low: -50, high: -5 });
  await typeLength(page, "Balance to", "-40");
  await expect(page.getByTestId("target-said")).toContainText("too far forward");
  // A window cannot end before it begins.
  await typeLength(page, "Balance from", "-10");
  await expect(page.getByRole("region", { name: /^Use and balance/ })).toContainText("−600");
  expect((await designOf(page)).use.balanceMm).toEqual({ low: -50, high: -40 });
});

test("the grip point is moved by keys and typed; what the wrist holds follows", async ({ page }) => {
  await openBalance(page, "Sallow camp chopper");
  const motion = page.getByRole("region", { name: "Handling" });
  const moment = async () =>
    Number.parseFloat((await motion.textContent())?.match(/([−\d]+) N·mm/)?.[1] ?? "");
  const before = await moment();
  const first = dynamics(await reportOf(page), -25);
  expect(before).toBeCloseTo(first.momentNmm, 0);
  for (const [name, gmm2] of [
    ["about the grip", first.inertiaGripGmm2],
    ["about the balance point", first.inertiaBalanceGmm2],
  ] as const)
    await expect(motion).toContainText(`Inertia ${name}: ${Math.round(gmm2 / 1000)} kg·mm²`);
  await page.locator("[data-point=grip-1]").focus();
  await page.keyboard.press("Shift+ArrowRight");
  await expect.poll(async () => (await designOf(page)).use.grips[0].xMm).toBe(-20);
  await expect.poll(moment).toBeLessThan(before);
  await typeLength(page, "Grip point behind the front", "1 in");
  await expect.poll(async () => (await designOf(page)).use.grips[0].xMm).toBeCloseTo(-25.4, 6);
  await expect(page.getByTestId("effective-mass").locator("path.recharts-line-curve")).toBeVisible();
});

test("a lever is tried as a ghost, left, tried again and kept; undo takes it back", async ({ page }) => {
  await openBalance(page, "Heath field knife");
  const before = await weightOf(page);
  const row = page.getByRole("button", { name: "Try Tang at the butt −0.5 mm" });
  await row.click();
  const bar = page.getByTestId("ghost-bar");
  await expect(bar).toContainText("Trying Tang at the butt −0.5 mm");
  await expect(page.getByTestId("ghost")).toBeVisible();
  expect(await weightOf(page), "nothing is changed by trying").toBe(before);
  await page.getByRole("button", { name: "Leave it" }).click();
  await expect(bar).toHaveCount(0);
  await row.click();
  await page.getByRole("button", { name: "Keep it" }).click();
  await expect.poll(() => weightOf(page)).toBeLessThan(before - 3);
  await page.keyboard.press("Control+z");
  await expect.poll(() => weightOf(page)).toBe(before);
});

test("changes are found that land the knife in its window; kept, it is there", async ({ page }) => {
  await openBalance(page, "Heath field knife");
  await page.getByText("Blade's thickness", { exact: true }).click();
  await typeLength(page, "Tang at the butt: down to", "-0.5");
  await page.getByRole("button", { name: "Find changes" }).click();
  const answers = page.getByTestId("answers");
  await expect(answers).toBeVisible({ timeout: 90_000 });
  await expect(answers).not.toContainText("Blade's thickness");
  const text = (await answers.textContent()) ?? "";
  for (const [, mm] of text.matchAll(/Tang at the butt −([\d.]+) mm/g))
    expect(Number(mm)).toBeLessThanOrEqual(0.5);
  await answers.getByRole("button", { name: "Try it" }).first().click();
  await page.getByRole("button", { name: "Keep it" }).click();
  await expect(page.getByTestId("target-said")).toContainText("balances inside its window");
  await expect
    .poll(async () => outside((await reportOf(page)).balanceMm, (await designOf(page)).use.balanceMm))
    .toBe(0);
});

test("the spread between builds stands at once; builds are simulated, called off, and simulated again", async ({
  page,
}) => {
  await openBalance(page, "Orchard parer");
  const section = page.getByRole("region", { name: "Spread between builds" });
  await expect(page.getByTestId("first-order")).toContainText("9 of 10 builds balance between");
  await expect(page.getByTestId("owes-chart").locator("path.recharts-rectangle").first()).toBeVisible();
  await page.getByLabel("How many builds", { exact: true }).selectOption("100000");
  await page.getByRole("button", { name: "Simulate builds at random" }).click();
  await expect(page.getByTestId("draw-progress")).toBeVisible();
  await section.getByRole("button", { name: "Cancel" }).click();
  await expect(page.getByTestId("draw-progress")).toHaveCount(0);
  await expect(page.getByTestId("spread-chart")).toHaveCount(0);
  await page.getByLabel("How many builds", { exact: true }).selectOption("4000");
  await page.getByRole("button", { name: "Simulate builds at random" }).click();
  await expect(page.getByTestId("spread-chart")).toBeVisible({ timeout: 60_000 });
  await expect(section).toContainText("Of 4,000 simulated, 9 of 10 balance between");
  const before = await page.getByTestId("first-order").textContent();
  await page.getByRole("button", { name: "Settings: Spread between builds" }).click();
  await typeLength(page, "Tolerance of hand shaping", "2");
  await expect(section).toContainText("The design has changed since");
  await expect(page.getByTestId("first-order")).not.toHaveText(before ?? "");
});

test("the strip tells what each part does, by pointer and by keys, and why the chopper is handle-heavy", async ({
  page,
}) => {
  await openBalance(page, "Sallow camp chopper");
  await expect(page.getByTestId("why")).toContainText("hardest out of the window: tang");
  const report = await reportOf(page);
  const pulls = partPulls(report);
  const readout = page.getByTestId("strip-readout");
  await expect(readout).toHaveText("What pulls where");
  await page.getByTestId("strip").locator("[data-part=blade]").hover();
  const blade = pulls.find((p) => p.part.id === "blade");
  await expect(readout).toContainText(`brings the balance ${blade?.addsMm?.toFixed(1)} mm forward`);
  await expect(page.getByTestId("lever-arm")).toBeVisible();

  await page.mouse.move(5, 5);
  await page.getByTestId("strip").locator("[tabindex='0']").focus();
  await page.keyboard.press("End");
  await expect(readout).toContainText("Blade");
  await page.keyboard.press("Home");
  const first = pulls[0];
  await expect(readout).toContainText(partName(first.part.key));
  await page.keyboard.press("Escape");
  await expect(readout).toHaveText("What pulls where");

  const group = page.getByTestId("strip-groups").getByRole("button", { name: /^Handle/ });
  await group.focus();
  await expect(readout).toContainText("together");
  const handle = groupPulls(report).find((g) => g.group === "handle");
  await expect(readout).toContainText(`${Math.abs(handle?.addsMm ?? 0).toFixed(1)} mm back`);
});

test("a handle-heavy chopper: why in one glance, three cures tried, more found, one kept", async ({
  page,
}) => {
  await openBalance(page, "Sallow camp chopper");
  await expect(page.getByTestId("target-said")).toContainText("too far back");
  await expect(page.getByTestId("why")).toContainText("hardest out of the window: tang");
  const before = await reportOf(page);
  // Those that help are marked; the first three of them are tried one after the other.
  const helpful = page.getByRole("row").filter({ hasText: "toward the window" });
  await expect(helpful.first()).toBeVisible({ timeout: 30_000 });
  const bar = page.getByTestId("ghost-bar");
  for (let i = 0; i < 3; i++) {
    const row = helpful.nth(i);
    const change = await row.getByRole("cell").first().textContent();
    await row.getByRole("button", { name: /^Try/ }).click();
    await expect(bar).toContainText(`Trying ${change}`);
    await expect(bar).toContainText(/balance [−\d.]+ mm/);
    const [, tried] = (await bar.textContent())?.match(/balance ([−\d.]+) mm/) ?? [];
    expect(Number(tried?.replace("−", "-")), `${change}`).toBeGreaterThan(before.balanceMm);
    await page.getByRole("button", { name: "Leave it" }).click();
  }
  await page.getByRole("button", { name: "Find changes" }).click();
  const answers = page.getByTestId("answers");
  await expect(answers).toBeVisible({ timeout: 90_000 });
  expect(await answers.getByRole("button", { name: "Try it" }).count()).toBeGreaterThan(1);
  await answers.getByRole("button", { name: "Try it" }).first().click();
  await expect(page.getByTestId("ghost")).toBeVisible();
  await page.getByRole("button", { name: "Keep it" }).click();
  await expect(page.getByTestId("target-said")).toContainText("It balances inside its window");
  const { use } = await designOf(page);
  await expect.poll(async () => outside((await reportOf(page)).balanceMm, use.balanceMm)).toBe(0);
});

const levels = (page: Page) =>
  page
    .getByTestId("beam")
    .evaluate((beam) => /^rotate\((-?[\d.e-]+)/.exec(beam.getAttribute("transform") ?? "")?.[1]);

/** Watches the beam frame by frame while something is done, and gives back how far it tipped, degrees. */
async function tipped(page: Page, act: () => Promise<void>): Promise<number> {
  await page.evaluate(() => {
    const seen: { most: number; on: boolean } = { most: 0, on: true };
    (window as unknown as { seen: typeof seen }).seen = seen;
    const look = () => {
      const now = document.querySelector("[data-testid=beam]")?.getAttribute("transform") ?? "";
      seen.most = Math.max(seen.most, Math.abs(Number(/^rotate\((-?[\d.e-]+)/.exec(now)?.[1] ?? 0)));
      if (seen.on) requestAnimationFrame(look);
    };
    look();
  });
  await act();
  await expect.poll(() => levels(page)).toBe("0");
  return page.evaluate(() => (window as unknown as { seen: { most: number } }).seen.most);
}

test("the beam tips and settles level when the balance moves", async ({ page }) => {
  await openKnife(page, "Bracken dagger");
  const most = await tipped(page, async () => {
    await typeLength(page, "Length", "200");
    await expect.poll(async () => (await designOf(page)).blade.lengthMm).toBe(200);
  });
  expect(most).toBeGreaterThan(0.5);
});

test.describe("for those who asked for reduced motion", () => {
  test.use({ contextOptions: { reducedMotion: "reduce" } });
  test("the beam stands level at once", async ({ page }) => {
    await openKnife(page, "Bracken dagger");
    const before = await balanceOf(page);
    const most = await tipped(page, async () => {
      await typeLength(page, "Length", "200");
      await expect.poll(() => balanceOf(page)).toBeGreaterThan(before + 2);
    });
    expect(most).toBe(0);
  });
});

test("grips are named, given windows, and reached; one of them stays", async ({ page }) => {
  await openBalance(page, "Heath field knife");
  const grips = page.getByRole("region", { name: "Grips" });
  await expect(grips.getByRole("button", { name: /^Remove/ })).toHaveCount(0);
  await grips.getByRole("button", { name: "Add a grip" }).click();
  const second = grips.getByRole("group", { name: "Grip: Choked" });
  await second.getByLabel("Name of grip 2").fill("  ");
  await second.getByLabel("Name of grip 2").press("Enter");
  await expect(second.getByText("It needs a name.")).toBeVisible();
  await second.getByLabel("Name of grip 2").fill("Rear end");
  await second.getByLabel("Name of grip 2").press("Enter");
  const rear = grips.getByRole("group", { name: "Grip: Rear end" });
  // A window is set round what the knife has now, and moved off it.
  await rear.getByText("Moment in a window").click();
  const [low, high] = ["Moment from", "Moment to"].map((name) => rear.getByRole("textbox", { name }));
  await high.fill("5000");
  await high.press("Enter");
  await low.fill("400");
  await low.press("Enter");
  await expect(grips.getByText(/^In the grip “Rear end” it is .* too handle-heavy\.$/)).toBeVisible();
  await expect(page.getByTestId("findings")).toContainText("notes");
  const figures = grips.getByRole("table", { name: "What the hand feels in each grip" });
  await expect(figures.getByRole("row")).toHaveCount(3);
  // How it handles is said of the grip that is asked for.
  await page.getByLabel("In the grip").selectOption({ label: "Rear end" });
  await expect
    .poll(async () => (await designOf(page)).use.grips[1].momentNmm)
    .toEqual({ low: 400, high: 5000 });
  await rear.getByRole("button", { name: "Remove Grip: Rear end" }).click();
  await expect(figures.getByRole("row")).toHaveCount(2);
  await page.getByRole("button", { name: /^Undo/ }).click();
  await expect(figures.getByRole("row")).toHaveCount(3);
});
