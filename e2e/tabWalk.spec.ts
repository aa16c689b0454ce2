import { expect, type Page, test } from "@playwright/test";
import { DEMOS, openKnife, PAGES, settled, weightOf } from "./bench";

/** Marks everything that Tab should come to, and answers how much that is. Of one group of radios Tab comes to one. */
const markStops = (page: Page) =>
  page.evaluate(() => {
    const groups = new Set<string>();
    let stops = 0;
    for (const e of document.querySelectorAll<HTMLElement>(
      "a[href], button, input, select, textarea, summary, [tabindex]",
    )) {
      e.removeAttribute("data-stop");
      const { width, height } = e.getBoundingClientRect();
      const style = getComputedStyle(e);
      const off = e.matches(":disabled, [inert], [inert] *") || e.tabIndex < 0;
      if (off || width === 0 || height === 0 || style.visibility === "hidden") continue;
      if (e instanceof HTMLInputElement && e.type === "radio") {
        if (groups.has(e.name)) continue;
        groups.add(e.name);
        e.dataset.stop = `radio ${e.name}`;
      } else e.dataset.stop = String(stops);
      stops++;
    }
    return stops;
  });

/** What has the focus: which stop it is, what it is called, whether it lies in the window and shows that it has it. */
const focused = (page: Page) =>
  page.evaluate(() => {
    const e = document.activeElement as HTMLElement | null;
    if (!e || e === document.body) return null;
    const box = e.getBoundingClientRect();
    const inside =
      box.bottom > 0 && box.right > 0 && box.top < window.innerHeight && box.left < window.innerWidth;
    const radio = e instanceof HTMLInputElement && e.type === "radio";
    // What is drawn round a control that hides its own box is drawn by what stands for it.
    const shown = [e, e.parentElement, e.nextElementSibling, e.parentElement?.nextElementSibling].some(
      (x) => {
        if (!x) return false;
        const { outlineStyle, outlineWidth, boxShadow } = getComputedStyle(x);
        return (outlineStyle !== "none" && outlineWidth !== "0px") || boxShadow !== "none";
      },
    );
    const svg = e.closest("svg") !== null;
    return {
      stop: radio ? `radio ${e.name}` : (e.dataset.stop ?? null),
      name: (e.getAttribute("aria-label") ?? e.textContent ?? e.tagName).slice(0, 50) || e.tagName,
      inside,
      shown: shown || svg,
    };
  });

/** Goes through all of it by Tab: everything is come to, in sight, and seen to have the focus. */
async function walk(page: Page, where: string): Promise<void> {
  // What is still being worked out would come between while one goes by.
  let stops = 0;
  await expect
    .poll(
      async () => {
        const now = await markStops(page);
        const same = now === stops && (await page.getByTestId("under-way").count()) === 0;
        stops = now;
        return same;
      },
      { message: where, intervals: [1500], timeout: 60_000 },
    )
    .toBe(true);
  expect(stops, where).toBeGreaterThan(3);
  await page.evaluate(() => {
    (document.activeElement as HTMLElement | null)?.blur();
    window.scrollTo(0, 0);
    getSelection()?.removeAllRanges();
  });
  const met = new Set<string>();
  const amiss: string[] = [];
  let outside = 0;
  // What comes into sight while one goes by is met as well: more than was marked.
  for (let i = 0; i < 2 * stops + 40 && met.size < stops && outside < 3; i++) {
    await page.keyboard.press("Tab");
    const at = await focused(page);
    if (!at) {
      outside++;
      continue;
    }
    if (at.stop !== null) met.add(at.stop);
    // What is scrolled to smoothly is there in a moment.
    if (!at.inside) {
      await page.waitForTimeout(300);
      const then = await focused(page);
      if (!then?.inside) amiss.push(`out of sight: ${at.name}`);
    }
    if (!at.shown) amiss.push(`not seen to have the focus: ${at.name}`);
  }
  const left = await page.evaluate(
    (known) =>
      [...document.querySelectorAll<HTMLElement>("[data-stop]")]
        .filter((e) => !known.includes(e.dataset.stop!))
        .map((e) => (e.getAttribute("aria-label") ?? e.textContent ?? e.tagName).slice(0, 50)),
    [...met],
  );
  expect({ amiss, left }, where).toEqual({ amiss: [], left: [] });
}

test("every page is gone through by Tab alone", async ({ page }) => {
  test.slow();
  for (const path of PAGES) {
    await page.goto(path);
    if (path === "/") await expect(page.getByTestId("rack-mass")).toHaveCount(DEMOS);
    await settled(page);
    await walk(page, path);
  }
});

test("every view and every step of a knife is gone through by Tab alone", async ({ page }) => {
  test.slow();
  await openKnife(page, "Sallow camp chopper");
  await weightOf(page);
  for (const tab of await page.getByRole("tab").all()) {
    await tab.click();
    await settled(page);
    await walk(page, (await tab.textContent()) ?? "");
  }
  const views = page.getByRole("group", { name: "Views of this knife" }).getByRole("button");
  for (let i = 1; i < (await views.count()); i++) {
    const name = (await views.nth(i).textContent()) ?? "";
    await views.nth(i).click();
    await settled(page);
    await walk(page, name);
  }
});
