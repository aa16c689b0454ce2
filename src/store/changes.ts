import Dexie, { type ObservabilitySet } from "dexie";
import { db } from "./db";
import type { TableSpec } from "./tables/spec";

/**
 * Calls back whenever rows of these tables were written or deleted, in this tab, a worker or another tab. Gives back how
 * to stop.
 */
export function onChange(tables: readonly TableSpec[], call: () => void): () => void {
  const heard = (parts: ObservabilitySet) => {
    const changed = Object.keys(parts).some((part) => tables.some((t) => isOf(part, t.name)));
    if (changed) call();
  };
  Dexie.on.storagemutated.subscribe(heard);
  return () => Dexie.on.storagemutated.unsubscribe(heard);
}

/** A part is named "idb://DATABASE/TABLE/INDEX", or ends ":dels". */
const isOf = (part: string, table: string) =>
  part === `idb://${db.name}/${table}` || part.startsWith(`idb://${db.name}/${table}/`);
