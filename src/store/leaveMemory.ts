import { makeBackup, planOf, planRestore, restore } from "./backup";
import { isInMemory } from "./factory";
import { DEMO_ID, openBrowserAgain, settle, writeWaiting } from "./storage";

type Row = Readonly<Record<string, unknown>>;

/**
 * Tries to keep everything again: writes what waits; in memory it goes back to the browser's database and takes along,
 * as a backup would, what that has not yet. Answers whether it went well; nothing is lost where it did not.
 */
export async function leaveMemory(): Promise<boolean> {
  if (!isInMemory()) return writeWaiting();
  const made = await makeBackup();
  if (!(await openBrowserAgain())) {
    await restore(planOf(made), "replace");
    settle("memory");
    return false;
  }
  const own = { ...made, holds: { ...made.holds, knives: made.holds.knives.filter(isOwn) } };
  await restore(
    (await planRestore(own)).filter((p) => p.fate === "new"),
    "merge-newer",
  );
  settle("open");
  return writeWaiting();
}

/** Whether a knife is more than a demo knife that nobody touched: the browser's database has those already. */
function isOwn({ id, revision }: Row): boolean {
  return !String(id).startsWith(DEMO_ID) || Number(revision) > 1;
}
