import { isRecord } from "@/core/isRecord";
import { checksumOf } from "./checksum";
import { db, OF_THIS_DEVICE } from "./db";
import { isReadableMaterial } from "./ownMaterials";
import { nameIn, readKnifeRecord, readVariantRecord } from "./reading";
import { underlayIn } from "./underlays";

type Row = Readonly<Record<string, unknown>>;

/** One kind of thing that the database holds, as backups know it. */
export interface Holding {
  /** Its table, and its name in a backup. */
  readonly name: "knives" | "variants" | "steps" | "bin" | "materials" | "underlays" | "settings";
  /** Tells rows apart; null of a row that has no sound key. */
  keyOf(row: Row): string | null;
  /** Whether two rows of one key say the same. */
  same(a: Row, b: Row): boolean;
  /** Whether this Euaxis can read the row. */
  readable(row: Row): boolean | Promise<boolean>;
  /** What it is called in a preview; null of what is not listed by name. */
  nameOf(row: Row): string | null;
  /** The knife that a row is part of: it comes in with it, in place of what the knife had, or not at all. */
  partOf?(row: Row): unknown;
  /** Asks for little that changes whenever a row does; all rows are asked for where there is no such. */
  latest?(): Promise<unknown>;
  /** Whether a row belongs into a backup. */
  kept?(row: Row): boolean;
}

const text = (value: unknown) =>
  typeof value === "string" && value !== "" && value.length < 200 ? value : null;
const equal = (a: unknown, b: unknown) => JSON.stringify(a) === JSON.stringify(b);

/** Everything that is backed up: a feature that keeps something more joins by one entry. */
export const HOLDINGS: readonly Holding[] = [
  {
    name: "knives",
    keyOf: (row) => text(row.id),
    same: (a, b) => checksumOf(a.design) === checksumOf(b.design) && equal(a.saved, b.saved),
    readable: async (row) => (await readKnifeRecord(row as never)).ok,
    nameOf: nameIn,
    latest: () => db.knives.orderBy("updatedAt").last(),
  },
  {
    name: "variants",
    keyOf: (row) => text(row.id),
    same: (a, b) => a.name === b.name && checksumOf(a.design) === checksumOf(b.design),
    readable: async (row) => text(row.knifeId) !== null && (await readVariantRecord(row as never)).ok,
    nameOf: () => null,
  },
  {
    name: "steps",
    keyOf: (row) => (text(row.knifeId) && Number.isInteger(row.at) ? `${row.knifeId} ${row.at}` : null),
    same: equal,
    readable: (row) => isRecord(row.before) && isRecord(row.after),
    // Steps of two histories would lead to states that never were.
    partOf: (row) => row.knifeId,
    // They change with their knife.
    latest: () => db.steps.limit(1).primaryKeys(),
    nameOf: () => null,
  },
  {
    name: "bin",
    keyOf: (row) => text(row.id),
    same: (a, b) => a.deletedAt === b.deletedAt,
    readable: (row) =>
      Number.isFinite(row.deletedAt) &&
      isRecord(row.knife) &&
      row.knife.id === row.id &&
      Array.isArray(row.variants) &&
      Array.isArray(row.steps),
    nameOf: () => null,
  },
  {
    name: "materials",
    keyOf: (row) => text(row.id),
    same: (a, b) => equal(a.material, b.material),
    readable: (row) => isReadableMaterial(row),
    nameOf: (row) => (isRecord(row.material) ? text(row.material.name) : null),
  },
  {
    name: "underlays",
    keyOf: (row) => text(row.id),
    same: (a, b) => equal(a.underlay, b.underlay),
    readable: (row) => underlayIn(row) !== null,
    // Pictures are large: whether one changed is told by when.
    latest: () => db.underlays.toCollection().primaryKeys(),
    nameOf: () => null,
  },
  {
    name: "settings",
    keyOf: (row) => text(row.key),
    same: (a, b) => equal(a.value, b.value),
    // Whoever reads a setting checks it, and falls back where it makes no sense.
    readable: () => true,
    nameOf: () => null,
    kept: (row) => !String(row.key).startsWith(OF_THIS_DEVICE),
    latest: () =>
      Promise.all([
        db.settings.where("key").below(OF_THIS_DEVICE).toArray(),
        db.settings.where("key").above(`${OF_THIS_DEVICE}\uffff`).toArray(),
      ]),
  },
];

/** The table of a holding. */
export const tableOf = (holding: Holding) => db.table<Row>(holding.name);
