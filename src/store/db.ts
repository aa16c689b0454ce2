import Dexie, { type EntityTable, type IndexableType, type Table, type Transaction } from "dexie";
import { switchableFactory, switchableKeyRange } from "./factory";
import { pictureOf } from "./pictureOf";
import type {
  BinRecord,
  FiguresRecord,
  PictureRecord,
  SettingRecord,
  StagedRow,
  StepRecord,
  StoredKnife,
  StoredMaterial,
  StoredUnderlay,
  StoredVariant,
  StoredWorkshop,
} from "./rows";
import { TABLES } from "./tables/list";
import type { Row } from "./tables/spec";

/** The layout of the database that has pictures apart, a bin for everything, and settings of this browser apart. */
const LAYOUT_OF_TABLES = 6;

class EuaxisDatabase extends Dexie {
  knives!: EntityTable<StoredKnife, "id">;
  settings!: EntityTable<SettingRecord, "key">;
  device!: EntityTable<SettingRecord, "key">;
  variants!: EntityTable<StoredVariant, "id">;
  steps!: Table<StepRecord, [string, number]>;
  figures!: EntityTable<FiguresRecord, "id">;
  bin!: EntityTable<BinRecord, "id">;
  materials!: EntityTable<StoredMaterial, "id">;
  underlays!: EntityTable<StoredUnderlay, "id">;
  workshops!: EntityTable<StoredWorkshop, "id">;
  pictures!: EntityTable<PictureRecord, "id">;
  staging!: Table<StagedRow, [string, number]>;

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
    // From here on a table joins by its entry in the list alone.
    const layouts = new Set(TABLES.map((t) => t.since).filter((since) => since > LAYOUT_OF_TABLES));
    for (const since of [LAYOUT_OF_TABLES, ...[...layouts].sort((a, b) => a - b)]) {
      const stores = Object.fromEntries(
        // The layout whose rows are upgraded has every table from the start: while it waits for another tab this database
        // may be opened elsewhere, and must not be left with a layout between two.
        TABLES.filter((t) => since === LAYOUT_OF_TABLES || t.since === since).map((t) => [t.name, t.indexes]),
      );
      const version = this.version(since);
      if (since === LAYOUT_OF_TABLES)
        version.stores({ ...stores, pictures: "id", staging: "[run+n], run" }).upgrade(toLayoutOfTables);
      else version.stores(stores);
    }
  }
}

/** Before layout 6 settings of this browser alone lay among the others, with keys that begin so. */
const OF_THIS_DEVICE = "device ";
/** The setting of this browser that holds the folder that it backs up to. */
export const BACKUP_FOLDER = "backup folder";

async function toLayoutOfTables(tx: Transaction): Promise<void> {
  const device = await tx.table<SettingRecord>("settings").where("key").startsWith(OF_THIS_DEVICE).toArray();
  await tx
    .table("device")
    .bulkPut(device.map(({ key, value }) => ({ key: key.slice(OF_THIS_DEVICE.length), value })));
  await tx.table("settings").bulkDelete(device.map((row) => row.key));
  // One after the other: pictures are large.
  for (const spec of TABLES) {
    if (!spec.upgrade) continue;
    const table = tx.table<Row, IndexableType>(spec.name);
    for (const key of await table.toCollection().primaryKeys()) {
      const row = (await table.get(key))!;
      const pictures: PictureRecord[] = [];
      const next = spec.upgrade(row, (bytes, type) => {
        const picture = pictureOf(bytes, type);
        pictures.push(picture);
        return picture.id;
      });
      if (next === row) continue;
      await tx.table("pictures").bulkPut(pictures);
      await table.put(next);
    }
  }
  // The photo of a knife in the bin lay beside it.
  const inBin = await tx.table<BinRecord>("bin").toArray();
  for (const item of inBin) {
    if (item.from !== "knives") continue;
    const photo = await tx.table<Row>("underlays").get(item.id);
    const onRack = await tx.table("knives").where("id").equals(item.id).count();
    if (!photo || onRack > 0) continue;
    await tx.table("bin").put({ ...item, rows: { ...item.rows, underlays: [photo] } });
    await tx.table("underlays").delete(item.id);
  }
}

/** The browser's database; or one in memory, where the browser's cannot be opened. */
export const db = new EuaxisDatabase();

/** A table by its name. */
export const tableNamed = <T = Row>(name: string): Table<T, IndexableType> =>
  (db as unknown as Record<string, Table<T, IndexableType>>)[name];

/** The primary key of a row of a table. */
export function primaryKeyOf(name: string, row: Row): IndexableType {
  const { keyPath } = tableNamed(name).schema.primKey;
  return (Array.isArray(keyPath) ? keyPath.map((k) => row[k]) : row[String(keyPath)]) as IndexableType;
}
