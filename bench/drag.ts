import { type ChildProcess, spawn } from "node:child_process";
import { createServer } from "node:net";
import { chromium, type Page } from "@playwright/test";
import { CHROMIUM } from "../scripts/lib/chromium.mjs";

const KNIFE = "Heath field knife";
const GUARDED = "Gorse guard knife";
// Whole rounds: each drag ends where it began.
const MOVES = 96;
const STEP_PX = 5;
const LOOK_FIRST_MS = 1500;

/** What one way of dragging costs: ms between frames while it goes on, and from a move to its repainted readout. */
export interface DragTimes {
  readonly what: string;
  readonly frames: readonly number[];
  readonly readouts: readonly number[];
}

/** At a share q of the values, the nearest one. */
export function quantile(values: readonly number[], q: number): number {
  const sorted = [...values].sort((a, b) => a - b);
  return sorted[Math.min(sorted.length - 1, Math.floor(q * sorted.length))] ?? Number.NaN;
}

async function freePort(): Promise<number> {
  return new Promise((answer) => {
    const probe = createServer();
    probe.listen(0, () => {
      const address = probe.address();
      probe.close(() => answer(typeof address === "object" && address ? address.port : 0));
    });
  });
}

async function served(port: number): Promise<ChildProcess> {
  const server = spawn(process.execPath, ["node_modules/next/dist/bin/next", "start", "-p", String(port)], {
    stdio: "ignore",
  });
  for (let i = 0; i < 120; i++) {
    const up = await fetch(`http://localhost:${port}/settings`).then(
      (r) => r.ok,
      () => false,
    );
    if (up) return server;
    await new Promise((r) => setTimeout(r, 250));
  }
  server.kill();
  throw new Error("the application did not start");
}

/** Where figures are read while dragging: the part of the page, and what in it holds figures. */
interface Readout {
  readonly within: string;
  readonly figures: string;
}

// The whole readout bar, its figures not rounded: moving a pin changes the balance, and hardly as it is printed.
const BAR: Readout = { within: "[aria-label=Readout]", figures: ".figure" };
// The grip point moves nothing that is weighed: what it says is how the knife moves.
const MOTION: Readout = { within: "#motion", figures: "#motion" };

/** Runs in the page: notes every frame, and how long after a move the readout has been painted anew. */
function watch({ within, figures }: Readout): void {
  const seen = { frames: [] as number[], readouts: [] as number[], on: true, last: 0, moved: 0 };
  Object.assign(window, { seen });
  const frame = (now: number) => {
    if (seen.last) seen.frames.push(now - seen.last);
    seen.last = now;
    if (seen.on) requestAnimationFrame(frame);
  };
  requestAnimationFrame(frame);
  window.addEventListener(
    "pointermove",
    () => {
      seen.moved ||= performance.now();
    },
    true,
  );
  const readout = document.querySelector(within);
  if (!readout) throw new Error("no readout");
  new MutationObserver((changes) => {
    // A figure that reads otherwise; that figures are marked as old is no answer yet.
    const isFigure = (node: Node) =>
      (node instanceof Element ? node : node.parentElement)?.closest(figures) !== null;
    if (!changes.some((c) => isFigure(c.target))) return;
    const from = seen.moved;
    seen.moved = 0;
    if (from) requestAnimationFrame(() => seen.readouts.push(performance.now() - from));
  }).observe(readout, {
    attributes: true,
    characterData: true,
    childList: true,
    subtree: true,
  });
}

/** 0 … n … 0 … -n … 0, and so on. */
function thereAndBack(i: number, n: number): number {
  const at = i % (4 * n);
  return at <= n ? at : at <= 3 * n ? 2 * n - at : at - 4 * n;
}

async function dragged(
  page: Page,
  what: string,
  from: { x: number; y: number },
  readout = BAR,
): Promise<DragTimes> {
  await page.mouse.move(from.x, from.y);
  // Nobody drags in the very moment that a view opens.
  await page.waitForTimeout(LOOK_FIRST_MS);
  await page.evaluate(watch, readout);
  await page.mouse.down();
  // Each move farther than a step of the snapping, or it would change nothing.
  for (let i = 1; i <= MOVES; i++)
    await page.mouse.move(from.x + STEP_PX * thereAndBack(i, 6), from.y + STEP_PX * thereAndBack(i, 3));
  await page.mouse.up();
  await page.waitForTimeout(600);
  const seen = await page.evaluate(() => {
    const { seen: s } = window as unknown as { seen: { frames: number[]; readouts: number[]; on: boolean } };
    s.on = false;
    return s;
  });
  return { what, frames: seen.frames, readouts: seen.readouts };
}

/**
 * Drags on the bench in headless Chromium with software drawing: nothing, a pin, a point of the outline, a point of a
 * guard, and the grip point on the Balance view.
 */
export async function dragTimes(): Promise<DragTimes[]> {
  const port = await freePort();
  const server = await served(port);
  const browser = await chromium.launch({
    executablePath: CHROMIUM,
    args: ["--no-sandbox", "--disable-gpu", "--disable-background-networking"],
  });
  try {
    const page = await browser.newPage({ viewport: { width: 1280, height: 800 } });
    const open = async (knife: string) => {
      await page.goto(`http://localhost:${port}/`);
      await page.getByRole("link", { name: knife, exact: true }).click();
      await page.waitForFunction(() =>
        /\d/.test(document.querySelector("[data-testid=weight]")?.textContent ?? ""),
      );
    };
    await open(KNIFE);
    const middle = async (selector: string) => {
      const box = await page.locator(selector).boundingBox();
      if (!box) throw new Error(`no ${selector} on the drawing`);
      return { x: box.x + box.width / 2, y: box.y + box.height / 2 };
    };
    const drawing = await page.getByTestId("drawing").boundingBox();
    if (!drawing) throw new Error("no drawing");
    const nothing = await dragged(page, "nothing, on the empty sheet", {
      x: drawing.x + drawing.width - 60,
      y: drawing.y + drawing.height - 150,
    });
    await page.getByRole("tab", { name: "Pins" }).click();
    const pin = await dragged(page, "a pin", await middle("[data-point=pin-1]"));
    await page.getByRole("tab", { name: "Handle" }).click();
    const outline = await dragged(page, "a point of the outline", await middle("[data-point=swell]"));
    await page.getByRole("button", { name: "Balance", exact: true }).click();
    await page.locator("#motion").waitFor();
    const grip = await dragged(page, "the grip point", await middle("[data-point=grip-1]"), MOTION);
    await open(GUARDED);
    await page.getByRole("tab", { name: "Guard" }).click();
    const guard = await dragged(page, "a point of a guard", await middle("[data-point=guard-bottom]"));
    return [nothing, pin, outline, guard, grip];
  } finally {
    await browser.close();
    server.kill();
  }
}
