import { BACKUP_FOLDER, db } from "./db";
import { ready } from "./storage";

/** Takes up the folder that backups go to by themselves, where one was chosen: what writes to it is fetched only then. */
export async function takeUpKeptFolder(): Promise<void> {
  await ready();
  if (await db.device.get(BACKUP_FOLDER)) await import("./folder").then((m) => m.takeUpFolder());
}
