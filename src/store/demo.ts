import { db } from "./db";
import { learnMaterials } from "./ownMaterials";
import { ready, writeWithRetry } from "./storage";
import { joinLoose } from "./workshops";

const SEEDED = "demo-knives-laid-out";

/**
 * Lays out the demo knives on the first visit only, so that deleting them lasts; they are fetched only then. Answers whether
 * it did.
 */
export async function layOutDemoKnivesOnce(): Promise<boolean> {
  await ready();
  if (await db.settings.get(SEEDED)) return false;
  const from = Date.now();
  const { demoMaterials, demoRecords } = await import("./demoRecords");
  await db.transaction("rw", db.knives, db.settings, async () => {
    if (await db.settings.get(SEEDED)) return;
    await db.settings.put({ key: SEEDED, value: true });
    await db.knives.bulkAdd(demoRecords(from));
  });
  await learnMaterials(demoMaterials());
  return true;
}

/** Adds every demo knife again. False where the database did not take them. */
export async function addDemoKnives(): Promise<boolean> {
  const { demoMaterials, demoRecords } = await import("./demoRecords");
  await learnMaterials(demoMaterials());
  const records = demoRecords(Date.now());
  const written = await writeWithRetry("demo knives", "the demo knives", async () => {
    await db.knives.bulkPut(records);
  });
  if (written) await joinLoose();
  return written;
}
