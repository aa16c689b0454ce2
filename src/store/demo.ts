import { db, tableNamed } from "./db";
import { learnMaterials } from "./ownMaterials";
import { ready, writeWithRetry } from "./storage";
import type { SealedRow } from "./tables/sealedRows";
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
  const { demoBeside, demoMaterials, demoRecords } = await import("./demoRecords");
  const records = demoRecords(from);
  const beside = demoBeside(records);
  const tables = [...beside.keys()].map((name) => tableNamed(name));
  await db.transaction("rw", [db.knives, db.settings, ...tables], async () => {
    if (await db.settings.get(SEEDED)) return;
    await db.settings.put({ key: SEEDED, value: true });
    await db.knives.bulkAdd(records);
    await layBeside(beside);
  });
  await learnMaterials(demoMaterials());
  return true;
}

/** Lays what stands beside the demo knives where nothing of its id is: what its maker changed stays. */
async function layBeside(beside: ReadonlyMap<string, readonly SealedRow[]>): Promise<void> {
  for (const [name, rows] of beside) {
    const table = tableNamed<SealedRow>(name);
    const there = await table.bulkGet(rows.map((r) => r.id));
    await table.bulkAdd(rows.filter((_, i) => !there[i]));
  }
}

/** Adds every demo knife again. False where the database did not take them. */
export async function addDemoKnives(): Promise<boolean> {
  const { demoBeside, demoMaterials, demoRecords } = await import("./demoRecords");
  await learnMaterials(demoMaterials());
  const records = demoRecords(Date.now());
  const written = await writeWithRetry("demo knives", "the demo knives", async () => {
    await db.knives.bulkPut(records);
    await layBeside(demoBeside(records));
  });
  if (written) await joinLoose();
  return written;
}
