import { readFile } from "node:fs/promises";
import { expect, type Page, test } from "@playwright/test";
import { backupRows, DEMOS, openKnife, typeLength, written } from "./bench";

async function saveBackup(page: Page): Promise<Buffer> {
  await page.goto("/settings");
  const [download] = await Promise.all([
    page.waitForEvent("download"),
    page.getByRole("button", { name: "Save a backup" }).click(),
  ]);
  expect(download.suggestedFilename()).toMatch(/^euaxis-backup-\d{4}-\d\d-\d\d\.zip$/);
  return readFile(await download.path());
}

const give = (page: Page, buffer: Buffer, name = "backup.zip") =>
  page.getByTestId("backup-file").setInputFiles({ name, mimeType: "application/zip", buffer });

test("a backup is saved, previewed, merged and replaced, and each is undone by one click", async ({
  page,
}) => {
  await openKnife(page, "Rook hunter");
  await typeLength(page, "Spine", "5");
  await written(page);
  const bytes = await saveBackup(page);
  await expect(page.getByText(/^Read back and counted/)).toContainText(`${DEMOS} knives`);
  const rows = await backupRows(bytes);
  expect(rows.knives).toHaveLength(DEMOS);
  expect(rows.steps.length).toBeGreaterThan(0);

  await openKnife(page, "Rook hunter");
  await typeLength(page, "Spine", "7");
  await written(page);
  await page.getByRole("link", { name: "Rack" }).click();
  await page.getByRole("button", { name: "Delete Orchard parer" }).click();
  await expect(page.getByTestId("rack-row")).toHaveCount(DEMOS - 1);

  await page.goto("/settings");
  await give(page, bytes);
  const preview = page.getByTestId("restore-preview");
  await expect(preview).toContainText("New: 1 knife");
  await expect(preview).toContainText("Orchard parer");
  await expect(preview).toContainText("Different: 1 knife");
  await expect(preview).toContainText("the one here is newer");
  await expect(preview).toContainText(`The same: ${DEMOS - 2} knives`);
  await preview.getByLabel("How to restore", { exact: true }).selectOption("merge-backup");
  await preview.getByRole("button", { name: "Restore" }).click();
  await expect(page.getByText("The backup is restored").first()).toBeVisible();
  await page.getByRole("button", { name: "Undo" }).click();
  await expect(page.getByText("Everything is as it was before").first()).toBeVisible();
  await page.getByRole("link", { name: "Rack" }).click();
  await expect(page.getByTestId("rack-row")).toHaveCount(DEMOS - 1);
  await openKnife(page, "Rook hunter");
  await expect(page.getByRole("textbox", { name: "Spine", exact: true })).toHaveValue("7");

  await page.goto("/settings");
  await give(page, bytes);
  await preview.getByLabel("How to restore", { exact: true }).selectOption("replace");
  await preview.getByRole("button", { name: "Restore" }).click();
  await expect(page.getByText("The backup is restored").first()).toBeVisible();
  await openKnife(page, "Rook hunter");
  await expect(page.getByRole("textbox", { name: "Spine", exact: true })).toHaveValue("5");
  await page.keyboard.press("Control+z");
  await expect(page.getByRole("textbox", { name: "Spine", exact: true }), "with its history").not.toHaveValue(
    "5",
  );
});

test("a file that is no backup is refused with a reason, and changes nothing", async ({ page }) => {
  await page.goto("/settings");
  const cases: [string, RegExp][] = [
    ["{", /damaged/],
    [await readFile("demo/rook-hunter.json", "utf8"), /not a backup/],
    ['{"format":"euaxis-backup","version":9}', /version 9/],
    ['{"format":"euaxis-backup","version":1}', /incomplete/],
  ];
  for (const [text, why] of cases) {
    await give(page, Buffer.from(text), "other.json");
    await expect(page.getByRole("alert").filter({ hasText: "other.json" })).toContainText(why);
  }
  await page.getByRole("link", { name: "Rack" }).click();
  await expect(page.getByTestId("rack-row")).toHaveCount(DEMOS);
});

test("backups go to a folder by themselves, on this visit and on the next", async ({ page }) => {
  // The browser's dialog is the device here; the folder it gives is a real one, of the page's own file system.
  await page.addInitScript(() => {
    const w = window as unknown as { showDirectoryPicker: () => Promise<unknown> };
    w.showDirectoryPicker = async () =>
      (await navigator.storage.getDirectory()).getDirectoryHandle("Bench backups", { create: true });
  });
  const inFolder = () =>
    page.evaluate(async () => {
      const root = await navigator.storage.getDirectory();
      const dir = await root.getDirectoryHandle("Bench backups", { create: true });
      const texts: Record<string, number[]> = {};
      // While a backup takes its place, what is listed may be gone when it is asked for.
      for await (const [name, handle] of (
        dir as unknown as { entries(): AsyncIterable<[string, FileSystemFileHandle]> }
      ).entries())
        await handle.getFile().then(
          async (file) => {
            texts[name] = [...new Uint8Array(await file.arrayBuffer())];
          },
          (error: DOMException) => {
            if (error.name !== "NotFoundError") throw error;
          },
        );
      return texts;
    });
  await page.goto("/");
  await expect(page.getByTestId("rack-row")).toHaveCount(DEMOS);
  await page.goto("/settings");
  await page.getByRole("button", { name: "Back up to a folder by itself …" }).click();
  await expect(page.getByTestId("folder-state")).toContainText("Backed up to “Bench backups”");
  await expect.poll(async () => Object.values(await inFolder())[0]?.length ?? 0).toBeGreaterThan(1000);
  const [[name, bytes]] = Object.entries(await inFolder());
  expect(name).toMatch(/^euaxis-backup-\d{4}-\d\d-\d\d\.zip$/);
  expect((await backupRows(Buffer.from(bytes))).knives).toHaveLength(DEMOS);

  await openKnife(page, "Rook hunter");
  await typeLength(page, "Spine", "5.25");
  await written(page);
  await expect
    .poll(
      async () => {
        const [file] = Object.values(await inFolder());
        const rows = await backupRows(Buffer.from(file)).catch(() => null);
        return JSON.stringify(rows).includes('"spineMm":5.25');
      },
      { timeout: 60_000 },
    )
    .toBe(true);
  await page.goto("/settings");
  await page.getByRole("button", { name: "Stop" }).click();
  await expect(page.getByRole("button", { name: "Back up to a folder by itself …" })).toBeVisible();
});

test("undo is there tomorrow", async ({ page }) => {
  await openKnife(page, "Rook hunter");
  const spine = page.getByRole("textbox", { name: "Spine", exact: true });
  const first = await spine.inputValue();
  for (const mm of ["5", "6"]) await typeLength(page, "Spine", mm);
  await page.keyboard.press("Control+z");
  await written(page);
  await page.reload();
  await expect(spine).toHaveValue("5");
  await page.getByRole("button", { name: /^Redo/ }).click();
  await expect(spine).toHaveValue("6");
  for (let i = 0; i < 2; i++) await page.getByRole("button", { name: /^Undo/ }).click();
  await expect(spine).toHaveValue(first);
  await expect(page.getByRole("button", { name: "Nothing to undo" })).toBeDisabled();
});

test("the bin: a deleted knife comes back with all that is its own, or goes for good", async ({ page }) => {
  await openKnife(page, "Rook hunter");
  await typeLength(page, "Spine", "5");
  await written(page);
  await page.getByRole("link", { name: "Rack" }).click();
  for (const name of ["Rook hunter", "Orchard parer"])
    await page.getByRole("button", { name: `Delete ${name}` }).click();
  await expect(page.getByTestId("rack-row")).toHaveCount(DEMOS - 2);
  await page.reload();
  await page.getByRole("link", { name: "Bin (2)" }).click();
  await expect(page.getByTestId("bin-row")).toHaveCount(2);
  await expect(page.getByTestId("bin-row").first()).toContainText("30 days left");
  await page.getByRole("button", { name: "Put Rook hunter back" }).click();
  await page.getByRole("button", { name: "Delete Orchard parer for good" }).click();
  await page.getByRole("button", { name: "Really: delete Orchard parer for good" }).click();
  await expect(page.getByText("The bin is empty.")).toBeVisible();
  await openKnife(page, "Rook hunter");
  await expect(page.getByRole("textbox", { name: "Spine", exact: true })).toHaveValue("5");
  await page.keyboard.press("Control+z");
  await expect(page.getByRole("textbox", { name: "Spine", exact: true })).not.toHaveValue("5");
});
