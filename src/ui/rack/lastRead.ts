import type { Reading } from "@/store/reading";
import type { KnifeRecord } from "@/store/rows";

/** What was last read of each knife, so that a row that is scrolled back to stands there at once. */
const lastRead = new Map<string, Reading<KnifeRecord>>();
const MOST_REMEMBERED = 120;

export function rememberRead(id: string, reading: Reading<KnifeRecord>): void {
  lastRead.delete(id);
  lastRead.set(id, reading);
  if (lastRead.size > MOST_REMEMBERED) lastRead.delete(lastRead.keys().next().value as string);
}

export const readLast = (id: string): Reading<KnifeRecord> | undefined => lastRead.get(id);
