import { statSync } from "node:fs";
import { type CDPSession, expect, type Page, test } from "@playwright/test";
import { note } from "./faults";

/** A short form in a test; a thousand knives with three hundred photos of 2 MB in a run of faults. */
const KNIVES = Number(process.env.EUAXIS_LARGE_KNIVES ?? 60);
const PHOTOS = Number(process.env.EUAXIS_LARGE_PHOTOS ?? 24);
const PHOTO_BYTES = 2_000_000;
const MOST_HEAP_BYTES = 300_000_000;

/** Puts copies of a demo knife on the rack, with photos of noise under some of them, as they lie in the database. */
function fill(page: Page): Promise<void> {
  return page.evaluate(
    async ([knives, photos, bytes]) => {
      const db = await new Promise<IDBDatabase>((done, fail) => {
        const opening = indexedDB.open("euaxis");
        opening.onsuccess = () => done(opening.result);
        opening.onerror = () => fail(opening.error);
      });
      const ended = (tx: IDBTransaction) =>
        new Promise<void>((done, fail) => {
          tx.oncomplete = () => done();
          tx.onerror = () => fail(tx.error);
        });
      const reading = db.transaction("knives").objectStore("knives").getAll();
      const [knife] = await new Promise<Record<string, unknown>[]>((done) => {
        reading.onsuccess = () => done(reading.result);
      });
      const writing = db.transaction("knives", "readwrite");
      for (let i = 0; i < knives; i++)
        writing.objectStore("knives").put({ ...knife, id: `large-${i}`, createdAt: i + 1, revision: 2 });
      await ended(writing);
      const idOf = (data: Uint8Array) => {
        let low = 0x811c9dc5;
        let high = 0xcbf29ce4;
        for (let i = 0; i < data.length; i++) {
          low = Math.imul(low ^ data[i], 0x01000193);
          high = Math.imul(high ^ (data[i] + i), 0x01000193);
        }
        return `${[low, high].map((n) => (n >>> 0).toString(16).padStart(8, "0")).join("")}-${data.length}`;
      };
      for (let i = 0; i < photos; i++) {
        const data = new Uint8Array(bytes);
        for (let at = 0; at < bytes; at += 65_536) crypto.getRandomValues(data.subarray(at, at + 65_536));
        const id = idOf(data);
        const tx = db.transaction(["pictures", "underlays"], "readwrite");
        const blob = new Blob([data], { type: "image/jpeg" });
        tx.objectStore("pictures").put({ id, type: "image/jpeg", data: blob, createdAt: Date.now() });
        const place = { widthMm: 297, heightMm: 210, datumX: 1, datumY: 1, tipDeg: 0, mirrored: false };
        const underlay = { picture: id, ...place, opacity: 0.4, shown: true };
        tx.objectStore("underlays").put({ id: `large-${i}`, underlay, updatedAt: Date.now(), revision: 1 });
        await ended(tx);
      }
      db.close();
    },
    [KNIVES, PHOTOS, PHOTO_BYTES] as const,
  );
}

/** The heaps of the page's workers, as they are asked for: bytes by worker. */
async function workerHeaps(cdp: CDPSession) {
  const used = new Map<string, number>();
  const attached = new Set<string>();
  const ask = () =>
    Promise.all(
      [...attached].map((sessionId) =>
        cdp
          .send("Target.sendMessageToTarget", {
            sessionId,
            message: JSON.stringify({ id: 1, method: "Runtime.getHeapUsage" }),
          })
          // It ended.
          .catch(() => attached.delete(sessionId)),
      ),
    );
  cdp.on("Target.attachedToTarget", ({ sessionId, targetInfo }) => {
    if (targetInfo.type === "worker") attached.add(sessionId);
  });
  cdp.on("Target.receivedMessageFromTarget", ({ sessionId, message }) => {
    const size = JSON.parse(message).result?.usedSize;
    if (typeof size === "number") used.set(sessionId, Math.max(used.get(sessionId) ?? 0, size));
  });
  await cdp.send("Target.setAutoAttach", { autoAttach: true, waitForDebuggerOnStart: false, flatten: false });
  return {
    ask,
    most: () => Math.max(0, ...used.values()),
    count: () => used.size,
    forget: () => used.clear(),
  };
}

/** The largest heap of the page, or of a worker of it, while something is done, bytes. */
async function mostHeap(
  page: Page,
  cdp: CDPSession,
  workers: Awaited<ReturnType<typeof workerHeaps>>,
  work: () => Promise<unknown>,
): Promise<number> {
  let most = 0;
  let going = true;
  workers.forget();
  const watch = (async () => {
    while (going) {
      const { usedSize } = (await cdp.send("Runtime.getHeapUsage")) as { usedSize: number };
      await workers.ask();
      most = Math.max(most, usedSize);
      await page.waitForTimeout(150);
    }
  })();
  await work();
  going = false;
  await watch;
  expect(workers.count(), "the worker's own heap was measured").toBeGreaterThan(0);
  return Math.max(most, workers.most());
}

test("a backup with many photos goes out and comes in again, in memory that does not grow with it", async ({
  page,
}, info) => {
  test.setTimeout(120_000 + (KNIVES + 20 * PHOTOS) * 200);
  await page.goto("/");
  await expect(page.getByTestId("rack-mass").first()).toBeVisible();
  await fill(page);
  await page.goto("/settings");
  const cdp = await page.context().newCDPSession(page);
  const workers = await workerHeaps(cdp);
  const path = info.outputPath("backup.zip");
  const out = await mostHeap(page, cdp, workers, async () => {
    const [download] = await Promise.all([
      page.waitForEvent("download", { timeout: 600_000 }),
      page.getByRole("button", { name: "Save a backup" }).click(),
    ]);
    await expect(page.getByText(/^Read back and counted/)).toContainText(`${PHOTOS} photos`);
    await download.saveAs(path);
  });
  expect(statSync(path).size).toBeGreaterThan(PHOTOS * PHOTO_BYTES);

  // Onto an empty database, and every photo is there.
  await page.evaluate(async () => {
    const tables = ["knives", "underlays", "pictures"];
    const db = await new Promise<IDBDatabase>((done) => {
      const opening = indexedDB.open("euaxis");
      opening.onsuccess = () => done(opening.result);
    });
    await new Promise<void>((done) => {
      const tx = db.transaction(tables, "readwrite");
      for (const name of tables) tx.objectStore(name).clear();
      tx.oncomplete = () => done();
    });
    db.close();
  });
  await page.reload();
  const into = await mostHeap(page, cdp, workers, async () => {
    await page.getByTestId("backup-file").setInputFiles(path);
    const preview = page.getByTestId("restore-preview");
    await expect(preview).toBeVisible({ timeout: 600_000 });
    await expect(preview).toContainText(`New: ${PHOTOS} photos`);
    await preview.getByRole("button", { name: "Restore" }).click();
    await expect(page.getByText("The backup is restored").first()).toBeVisible({ timeout: 600_000 });
  });
  const kept = await page.evaluate(
    () =>
      new Promise<{ knives: number; photos: number; bytes: number }>((done) => {
        const opening = indexedDB.open("euaxis");
        opening.onsuccess = () => {
          const tx = opening.result.transaction(["knives", "pictures"]);
          const knives = tx.objectStore("knives").count();
          const pictures = tx.objectStore("pictures").getAll();
          tx.oncomplete = () => {
            opening.result.close();
            const bytes = pictures.result.reduce((sum: number, p: { data: Blob }) => sum + p.data.size, 0);
            done({ knives: knives.result, photos: pictures.result.length, bytes });
          };
        };
      }),
  );
  expect(kept.photos).toBe(PHOTOS);
  expect(kept.bytes).toBe(PHOTOS * PHOTO_BYTES);
  expect(kept.knives).toBeGreaterThanOrEqual(KNIVES);
  const heap = `${Math.round(out / 1e6)} MB of heap out, ${Math.round(into / 1e6)} in`;
  note({ what: `${KNIVES} knives, ${PHOTOS} photos: ${heap}`, tried: 1, lost: 0, crashed: 0, hung: 0 });
  expect(Math.max(out, into)).toBeLessThan(MOST_HEAP_BYTES);
});
