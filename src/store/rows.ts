import type { EditStep, KeptEdit } from "@/core/edit/kept";
import type { ProductDesign } from "@/core/knife/design/product";
import type { Row } from "./tables/spec";

/** A state that the maker chose to keep, to measure later changes against. */
export interface Reference<D extends ProductDesign = ProductDesign> {
  readonly design: D;
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
export interface KnifeRecord<D extends ProductDesign = ProductDesign> extends KnifeFields {
  /** The working state, written at every edit. */
  readonly design: D;
  readonly reference: Reference<D> | null;
}

interface VariantFields {
  readonly id: string;
  readonly knifeId: string;
  readonly name: string;
  readonly createdAt: number;
  readonly revision?: number;
}

export interface StoredVariant extends VariantFields, StoredDesign {}

/** Another making of a knife, kept beside it. */
export interface VariantRecord<D extends ProductDesign = ProductDesign> extends VariantFields {
  readonly design: D;
}

export interface SettingRecord {
  readonly key: string;
  readonly value: unknown;
  readonly revision?: number;
}

/** One step of a knife's history: what it changed, as it was before and after. */
export interface StepRecord extends Pick<EditStep, "before" | "after"> {
  readonly knifeId: string;
  /** Steps of a knife in order. */
  readonly at: number;
  /** What was done. */
  readonly edit?: KeptEdit;
  /** The same in English, of a step that was kept before edits were data. */
  readonly label?: string;
  /** Whether it is undone: it can be redone then. */
  readonly undone: boolean;
  readonly version: number;
}

/** What a knife weighed when it was last weighed, so that the Rack shows it at once. */
export interface FiguresRecord {
  readonly id: string;
  /** The knife's state and the engine's version that they are of. */
  readonly revision: number;
  readonly updatedAt: number;
  readonly engine: number;
  /** Of a knife that cannot be built what it weighed when it last could; null where that is not known. */
  readonly massG: number | null;
  readonly balanceMm: number | null;
  /** Whether it cannot be built as it is. */
  readonly refused?: boolean;
  /** The box round the knife from the side, mm. */
  readonly extent: {
    readonly xLow: number;
    readonly xHigh: number;
    readonly yLow: number;
    readonly yHigh: number;
  };
}

/** Why something lies in the bin: it was deleted, or another state took its place. */
export type BinReason = "deleted" | "replaced" | "other-tab";

/** What was deleted, or gave way to another state, with everything that belonged to it. */
export interface BinRecord {
  readonly id: string;
  readonly deletedAt: number;
  /** The table that the thing itself is of: it has one row there. */
  readonly from: string;
  readonly because: BinReason;
  /** Rows by their table. */
  readonly rows: Readonly<Record<string, readonly Row[]>>;
}

/** A picture, by a checksum of its bytes: it never changes, and several rows may refer to one. */
export interface PictureRecord {
  readonly id: string;
  readonly type: string;
  readonly data: Blob;
  readonly createdAt: number;
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
  readonly revision?: number;
}

/** A workshop as it lies in the database: it is checked by whoever reads it. */
export interface StoredWorkshop {
  readonly id: string;
  readonly workshop: unknown;
  readonly version: number;
  readonly checksum?: string;
  readonly createdAt: number;
  readonly updatedAt: number;
  readonly revision?: number;
}

/** The photo under a knife as it lies in the database, by the knife's id: it is checked by whoever reads it. */
export interface StoredUnderlay {
  readonly id: string;
  readonly underlay: unknown;
  readonly updatedAt: number;
  readonly revision?: number;
}

/** A row of a backup that waits to be taken in, or of what a restore replaced, until it is undone. */
export interface StagedRow {
  /** The restore that it belongs to: when it began, ms, and a random rest. */
  readonly run: string;
  readonly n: number;
  readonly table: string;
  /** Null where nothing was: undoing deletes what is at the key then. */
  readonly row: Row | null;
  readonly key: unknown;
  /** What taking it in would do. */
  readonly fate: RowFate;
  /** Of a row that differs: whether it was written later than what is here. */
  readonly newer: boolean;
}

/** What one row of a backup would be to the database. */
export type RowFate = "new" | "changed" | "same" | "unreadable";
