import { checkBackup, restoreBackup } from "./backup/restore";
import { saveBackup } from "./backup/save";
import { waitingRows } from "./backup/source";
import { isInMemory } from "./factory";
import { DEMO_ID, endSuspension, openBrowserAgain, openMemoryAgain, suspend, writeWaiting } from "./storage";
import type { Row } from "./tables/spec";

/**
 * Tries to keep everything again: writes what waits; in memory it goes back to the browser's database and takes along,
 * as a backup would, what that has not yet. Answers whether it went well; where it did not, all is in memory as it was.
 */
export async function leaveMemory(): Promise<boolean> {
  if (!isInMemory()) return writeWaiting();
  await suspend();
  const saved = await Promise.all([
    saveBackup(waitingRows()),
    saveBackup(waitingRows(), undefined, { leave: isUntouchedDemo }),
  ]).catch((error: unknown) => {
    endSuspension("memory");
    throw error;
  });
  const [whole, own] = saved.map((s) => s.file);
  const well = await takeAlong(own).catch((error: unknown) => {
    console.error("what is in memory could not be taken along", error);
    return false;
  });
  if (!well) {
    await openMemoryAgain();
    await takeIn(whole, "replace");
  }
  endSuspension(well ? "open" : "memory");
  return well && writeWaiting();
}

async function takeAlong(own: Blob): Promise<boolean> {
  if (!(await openBrowserAgain())) return false;
  await takeIn(own, "only-new");
  return true;
}

async function takeIn(file: Blob, manner: "only-new" | "replace"): Promise<void> {
  const checked = await checkBackup(file);
  if (!checked.ok) throw new Error(`what is in memory cannot be read: ${checked.code}`);
  await restoreBackup(checked.plan.run, file, manner);
}

/** Whether a row is a demo knife that nobody touched: the browser's database has those already. */
function isUntouchedDemo(table: string, { id, revision }: Row): boolean {
  return table === "knives" && String(id).startsWith(DEMO_ID) && !(Number(revision) > 1);
}
