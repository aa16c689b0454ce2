import Dexie, { type EntityTable, type Table } from "dexie";
import type { Design } from "@/core/design/schema";
import { switchableFactory, switchableKeyRange } from "./factory";

/** A state that the maker chose to keep, to measure later changes against. */
export interface Reference {
  readonly design: Design;
  readonly massG: number | null;
  readonly balanceMm: number | null;
  readonly at: number;
}

/**
 * A design as it lies in the database: of the version that wrote it, with a checksum of what that writer had checked.
 * Records that older builds wrote name neither. It is read through `reading.ts` only.
 */
export interface StoredDesign {
  readonly design: unknown;
  readonly version?: number;
  readonly checksum?: string;
}

interface KnifeFields {
  readonly id: string;
  /** Goes up by one at every write: a writer must name the revision that it began from. */
  readonly revision: number;
  readonly createdAt: number;
  readonly updatedAt: number;
}

export interface StoredKnife extends KnifeFields, StoredDesign {
  /** Its reference, as it lies there: what the field is called is older than that word. */
  readonly saved: unknown;
}

/** A knife as it is worked with: its design of the present version, checked. */
export interface KnifeRecord extends KnifeFields {
  /** The working state, written at every edit. */
  readonly design: Design;
  readonly reference: Reference | null;
}

interface VariantFields {
  readonly id: string;
  readonly knifeId: string;
  readonly name: string;
  readonly createdAt: number;
}

export interface StoredVariant extends VariantFields, StoredDesign {}

/** Another making of a knife, kept beside it. */
export interface VariantRecord extends VariantFields {
  readonly design: Design;
}

export interface SettingRecord {
  readonly key: string;
  readonly value: unknown;
}

/** One step of a knife's history: what it changed, as it was before and after. */
export interface StepRecord {
  readonly knifeId: string;
  /** Steps of a knife in order. */
  readonly at: number;
  readonly label: string;
  /** Whether it is undone: it can be redone then. */
  readonly undone: boolean;
  readonly version: number;
  /** Those fields of the design that the step changed. */
  readonly before: Readonly<Record<string, unknown>>;
  readonly after: Readonly<Record<string, unknown>>;
}

/** What a knife weighed when it was last weighed, so that the Rack shows it at once. */
export interface FiguresRecord {
  readonly id: string;
  /** The knife's state and the engine's version that they are of. */
  readonly revision: number;
  readonly updatedAt: number;
  readonly engine: number;
  /** Null where the knife could not be built. */
  readonly massG: number | null;
  readonly balanceMm: number | null;
  /** The box round the knife from the side, mm. */
  readonly extent: {
    readonly xLow: number;
    readonly xHigh: number;
    readonly yLow: number;
    readonly yHigh: number;
  };
}

/** A knife that was taken off the rack, with everything that belongs to it. */
export interface BinRecord {
  readonly id: string;
  readonly deletedAt: number;
  readonly knife: StoredKnife;
  readonly variants: readonly StoredVariant[];
  readonly steps: readonly StepRecord[];
}

/** A material of the maker's own as it lies in the database: it is checked by whoever reads it. */
export interface StoredMaterial {
  readonly id: string;
  readonly material: unknown;
  /** Of the design record that carries such a material, and the checksum of what its writer had checked. */
  readonly version: number;
  readonly checksum?: string;
  readonly createdAt: number;
  readonly updatedAt: number;
}

/** The photo under a knife as it lies in the database, by the knife's id: it is checked by whoever reads it. */
export interface StoredUnderlay {
  readonly id: string;
  readonly underlay: unknown;
  readonly updatedAt: number;
}

class EuaxisDatabase extends Dexie {
  knives!: EntityTable<StoredKnife, "id">;
  settings!: EntityTable<SettingRecord, "key">;
  variants!: EntityTable<StoredVariant, "id">;
  steps!: Table<StepRecord, [string, number]>;
  figures!: EntityTable<FiguresRecord, "id">;
  bin!: EntityTable<BinRecord, "id">;
  materials!: EntityTable<StoredMaterial, "id">;
  underlays!: EntityTable<StoredUnderlay, "id">;

  constructor() {
    super("euaxis", { indexedDB: switchableFactory, IDBKeyRange: switchableKeyRange });
    this.version(1).stores({ knives: "id, createdAt", settings: "key" });
    this.version(2).stores({ variants: "id, knifeId" });
    this.version(3).stores({
      knives: "id, createdAt, updatedAt, design.name, [id+revision+updatedAt]",
      steps: "[knifeId+at], knifeId",
      figures: "id",
      bin: "id, deletedAt",
    });
    this.version(4).stores({ materials: "id" });
    this.version(5).stores({ underlays: "id" });
  }
}

/** Settings of this device alone, such as the folder it backs up to: they stay out of backups. */
export const OF_THIS_DEVICE = "device ";
/** The setting that holds the folder. */
export const BACKUP_FOLDER = `${OF_THIS_DEVICE}backup folder`;

/** The browser's database; or one in memory, where the browser's cannot be opened. */
export const db = new EuaxisDatabase();
