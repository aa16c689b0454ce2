import { expect, test } from "@playwright/test";
import { DEMOS, openKnife, typeLength, weightOf } from "./bench";
import { noteOf, unheard } from "./faults";

test("a worker that cannot be started, or is silent, is said; its figures are marked old; it is started anew", async ({
  page,
}) => {
  const heard = unheard(page);
  await page.addInitScript(() => {
    const w = window as unknown as { worker?: "refused" | "silent" };
    const Plain = window.Worker;
    window.Worker = class extends Plain {
      constructor(url: string | URL, options?: WorkerOptions) {
        if (w.worker === "refused") throw new DOMException("refused by policy", "SecurityError");
        super(url, options);
        if (w.worker === "silent") this.postMessage = () => undefined;
      }
    };
  });
  const worker = (how: "refused" | "silent" | undefined) =>
    page.evaluate((value) => {
      (window as unknown as { worker?: string }).worker = value;
    }, how);

  // On the Rack: said, not "weighing…" for ever, and weighed once it can be.
  await page.addInitScript(() => {
    (window as unknown as { worker?: string }).worker ??= "refused";
  });
  await page.goto("/");
  await expect(page.getByText(/Not weighed: refused by policy/).first()).toBeVisible();
  await worker(undefined);
  // On a machine that is busy a worker may fail to start of itself: it is tried again then, too.
  const again = page.getByRole("button", { name: "Try again" }).first();
  await expect(async () => {
    if (await again.isVisible()) await again.click();
    await expect(page.getByTestId("rack-mass")).toHaveCount(DEMOS, { timeout: 15_000 });
  }).toPass();

  // On the Bench: the figures of before stand there as such.
  await page.getByRole("link", { name: "Rook hunter", exact: true }).click();
  await expect(page.getByTestId("weight")).toHaveText(/\d/);
  const before = await weightOf(page);
  const readout = page.getByRole("region", { name: "Readout" });
  await expect(readout).not.toHaveAttribute("data-old", /./);
  // The worker that runs is stopped in its tracks: it answers nothing any more.
  await page.evaluate(() => {
    Worker.prototype.postMessage = () => undefined;
  });
  await typeLength(page, "Spine", "8");
  await expect(readout).toHaveAttribute("data-old", "weighing");
  await expect(readout.getByText("the figures are of the state before")).toBeVisible();
  expect(await weightOf(page)).toBe(before);
  await expect(readout).toHaveAttribute("data-old", "failed", { timeout: 60_000 });
  await expect(readout.getByText(/The weighing failed: no answer within/)).toBeVisible();
  await page.evaluate(() => {
    // Deleting the page's own leaves the browser's.
    const frame = document.createElement("iframe");
    document.body.append(frame);
    const real = (frame.contentWindow as unknown as { Worker: typeof Worker }).Worker.prototype.postMessage;
    Worker.prototype.postMessage = real;
  });
  await readout.getByRole("button", { name: "Try again" }).click();
  await expect.poll(() => weightOf(page)).toBeGreaterThan(before + 20);
  await expect(readout).not.toHaveAttribute("data-old", /./);
  await noteOf(page, "dead workers", 2, heard);
  expect(heard).toEqual([]);
});

test("a mesh kernel that cannot be fetched is said, and fetched again by the next question", async ({
  page,
  context,
}) => {
  const heard = unheard(page);
  await context.route(/\.wasm$/, (route) => route.abort());
  await openKnife(page, "Rook hunter");
  await page.getByRole("tab", { name: "Parts" }).click();
  await page.getByRole("button", { name: "Compare both methods" }).click();
  await expect(page.getByText(/The second reading failed/)).toBeVisible();
  await context.unroute(/\.wasm$/);
  await page.getByRole("button", { name: "Compare both methods" }).click();
  await expect(page.getByTestId("second-reading")).toBeVisible({ timeout: 60_000 });
  await expect(page.getByText(/The second reading failed/)).toHaveCount(0);
  await noteOf(page, "a missing kernel", 1, heard);
  expect(heard).toEqual([]);
});
