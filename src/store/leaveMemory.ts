import type { Backup } from "@/core/files/backup/backup";
import { makeBackup, planOf, planRestore, restore } from "./backup";
import { isInMemory } from "./factory";
import { DEMO_ID, openBrowserAgain, openMemoryAgain, settle, suspend, writeWaiting } from "./storage";

type Row = Readonly<Record<string, unknown>>;

/**
 * Tries to keep everything again: writes what waits; in memory it goes back to the browser's database and takes along,
 * as a backup would, what that has not yet. Answers whether it went well; where it did not, all is in memory as it was.
 */
export async function leaveMemory(): Promise<boolean> {
  if (!isInMemory()) return writeWaiting();
  await suspend();
  const made = await makeBackup().catch((error: unknown) => {
    settle("memory");
    throw error;
  });
  const well = await takeAlong(made).catch((error: unknown) => {
    console.error("what is in memory could not be taken along", error);
    return false;
  });
  if (!well) {
    await openMemoryAgain();
    await restore(planOf(made), "replace");
  }
  settle(well ? "open" : "memory");
  return well && writeWaiting();
}

async function takeAlong(made: Backup): Promise<boolean> {
  if (!(await openBrowserAgain())) return false;
  const own = { ...made, holds: { ...made.holds, knives: made.holds.knives.filter(isOwn) } };
  const missing = (await planRestore(own)).filter((p) => p.fate === "new");
  await restore(missing, "merge-newer");
  return true;
}

/** Whether a knife is more than a demo knife that nobody touched: the browser's database has those already. */
function isOwn({ id, revision }: Row): boolean {
  return !String(id).startsWith(DEMO_ID) || Number(revision) > 1;
}
