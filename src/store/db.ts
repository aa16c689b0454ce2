import Dexie, { type EntityTable } from "dexie";
import type { Design } from "@/core/design/schema";

/** A state that the maker chose to keep, to measure later changes against. */
export interface SavedState {
  readonly design: Design;
  readonly massG: number | null;
  readonly balanceMm: number | null;
  readonly at: number;
}

export interface KnifeRecord {
  readonly id: string;
  /** The working state, written at every edit. */
  readonly design: Design;
  /** Goes up by one at every write: a writer must name the revision that it began from. */
  readonly revision: number;
  readonly createdAt: number;
  readonly updatedAt: number;
  readonly saved: SavedState | null;
}

/** Another making of a knife, kept beside it. */
export interface VariantRecord {
  readonly id: string;
  readonly knifeId: string;
  readonly name: string;
  readonly design: Design;
  readonly createdAt: number;
}

export interface SettingRecord {
  readonly key: string;
  readonly value: unknown;
}

class EuaxisDatabase extends Dexie {
  knives!: EntityTable<KnifeRecord, "id">;
  settings!: EntityTable<SettingRecord, "key">;
  variants!: EntityTable<VariantRecord, "id">;

  constructor() {
    super("euaxis");
    this.version(1).stores({ knives: "id, createdAt", settings: "key" });
    this.version(2).stores({ variants: "id, knifeId" });
  }
}

/** The browser's database. */
export const db = new EuaxisDatabase();
