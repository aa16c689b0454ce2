import { type CDPSession, expect, type Page, test } from "@playwright/test";
import { designOf, openKnife, PAGES, settled, weightOf } from "./bench";

/** From a telephone to a wide screen; 640 × 400 is what 1280 × 800 shows at twice its size. */
const SIZES = [
  [390, 844],
  [640, 400],
  [768, 1024],
  [1024, 768],
  [1100, 800],
  [1280, 800],
  [1920, 1080],
] as const;

/** What lies outside the window and cannot be scrolled to by itself, and whether the page scrolls sideways. */
const outside = (page: Page) =>
  page.evaluate(() => {
    const scrolled = (e: Element): boolean => {
      for (let p = e.parentElement; p && p !== document.body; p = p.parentElement)
        if (["auto", "scroll"].includes(getComputedStyle(p).overflowX)) return true;
      return false;
    };
    const controls = document.querySelectorAll<HTMLElement>(
      "button, a[href], input, select, textarea, [role=tab], [role=button], h1, h2, th, td, p, label",
    );
    const out = [...controls]
      .filter((e) => {
        const { left, right, width, height } = e.getBoundingClientRect();
        const seen = width > 2 && height > 2 && getComputedStyle(e).visibility !== "hidden";
        return seen && (right > window.innerWidth + 1 || left < -1) && !scrolled(e);
      })
      .map((e) => `${e.tagName} ${e.getAttribute("aria-label") ?? e.textContent}`.slice(0, 60));
    const wide = document.documentElement.scrollWidth - window.innerWidth;
    return wide > 0 ? [`the page is ${wide} px wider than the window`, ...out] : out;
  });

/** Controls that a finger does not meet: smaller than 24 px either way. Drawings have lists beside them that say the same. */
const small = (page: Page) =>
  page.evaluate(() =>
    [...document.querySelectorAll<HTMLElement>("button, [role=tab], select, summary")]
      .filter((e) => {
        const { width, height } = e.getBoundingClientRect();
        return width > 2 && height > 2 && (width < 23.5 || height < 23.5) && !e.closest("svg, p");
      })
      .map((e) => `${e.getAttribute("aria-label") ?? e.textContent}`.slice(0, 40)),
  );

async function expectFits(page: Page, where: string) {
  for (const [width, height] of SIZES) {
    await page.setViewportSize({ width, height });
    await expect.poll(() => outside(page), { message: `${where}, ${width} × ${height}` }).toEqual([]);
    expect(await small(page), `${where}, ${width} × ${height}`).toEqual([]);
  }
  await page.setViewportSize({ width: 1280, height: 800 });
}

test("every page fits every width: nothing outside, nothing too small for a finger", async ({ page }) => {
  test.slow();
  expect(PAGES.length).toBeGreaterThan(4);
  for (const path of PAGES) {
    await page.goto(path);
    await expect(page.getByRole("heading", { level: 1 })).toHaveCount(1);
    await expectFits(page, path);
  }
});

test("every view of a knife fits every width, and has a heading", async ({ page }) => {
  test.slow();
  await openKnife(page, "Sallow camp chopper");
  await weightOf(page);
  const views = page.getByRole("group", { name: "Views of this knife" }).getByRole("button");
  for (let i = 0; i < (await views.count()); i++) {
    const name = (await views.nth(i).textContent()) ?? "";
    await views.nth(i).click();
    await expect(page.getByRole("heading", { level: 1, name: new RegExp(`: ${name}$`) })).toHaveCount(1);
    // Its sections are there before it is measured.
    await settled(page);
    await expectFits(page, name);
  }
  await page.getByRole("button", { name: "Bring in a pattern" }).click();
  await expectFits(page, "Pattern");
});

test("every step of the bench fits a tablet held upright, and its weight stays in sight", async ({
  page,
}) => {
  await openKnife(page, "Gorse guard knife");
  await weightOf(page);
  for (const [width, height] of [
    [768, 1024],
    [640, 400],
  ]) {
    await page.setViewportSize({ width, height });
    for (const tab of await page.getByRole("tab").all()) {
      await tab.click();
      expect(await outside(page), (await tab.textContent()) ?? "").toEqual([]);
      await page.mouse.wheel(0, 4000);
      await expect(page.getByTestId("weight")).toBeInViewport();
      await page.mouse.wheel(0, -8000);
    }
  }
});

/** One finger put down, moved and lifted. */
async function drag(touch: CDPSession, from: { x: number; y: number }, by: { x: number; y: number }) {
  await touch.send("Input.dispatchTouchEvent", { type: "touchStart", touchPoints: [from] });
  for (let k = 1; k <= 6; k++) {
    const at = { x: from.x + (by.x * k) / 6, y: from.y + (by.y * k) / 6 };
    await touch.send("Input.dispatchTouchEvent", { type: "touchMove", touchPoints: [at] });
  }
  await touch.send("Input.dispatchTouchEvent", { type: "touchEnd", touchPoints: [] });
}

test.describe("by touch, 768 px wide", () => {
  test.use({ viewport: { width: 768, height: 1024 }, hasTouch: true, isMobile: true });

  test("a point is dragged, a field is set, a step is chosen, undone, and the grip is moved", async ({
    page,
  }) => {
    const touch = await page.context().newCDPSession(page);
    await openKnife(page, "Heath field knife");
    const before = await weightOf(page);
    const pin = page.locator("[data-point=tip]").first();
    const tip = (await pin.boundingBox())!;
    expect(tip.width).toBeGreaterThanOrEqual(24);
    expect(tip.height).toBeGreaterThanOrEqual(24);
    await drag(touch, { x: tip.x + tip.width / 2, y: tip.y + tip.height / 2 }, { x: -60, y: 0 });
    await expect.poll(() => weightOf(page)).toBeLessThan(before - 1);
    await page.getByRole("button", { name: /^Undo/ }).tap();
    await expect.poll(() => weightOf(page)).toBeCloseTo(before, 1);
    await page.getByRole("tab", { name: "Pins" }).tap();
    await expect(page.getByRole("tab", { name: "Pins" })).toHaveAttribute("aria-selected", "true");
    await page.getByRole("button", { name: "Balance", exact: true }).tap();
    const grip = page.locator("[data-point=grip-1]");
    const at = (await grip.boundingBox())!;
    const was = (await designOf(page)).use.grips[0].xMm;
    await drag(touch, { x: at.x + at.width / 2, y: at.y + at.height / 2 }, { x: -50, y: 0 });
    await expect.poll(async () => (await designOf(page)).use.grips[0].xMm).toBeLessThan(was - 8);
  });
});

test("a wide window has its parts scroll, and not the page", async ({ page }) => {
  await openKnife(page, "Sallow camp chopper");
  for (const view of ["Balance", "Fit-up", "Compare", "Sheets"]) {
    await page.getByRole("button", { name: view, exact: true }).click();
    await settled(page);
    await page.evaluate(() => {
      [...document.querySelectorAll("main *")].at(-1)?.scrollIntoView();
      window.scrollTo(0, 5000);
    });
    expect(await page.evaluate(() => window.scrollY), view).toBe(0);
    await expect(page.getByTestId("weight")).toBeInViewport();
  }
});
