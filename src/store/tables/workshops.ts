import { isRecord } from "@/core/base/isRecord";
import { migrateBy } from "@/core/knife/design/migrations/steps";
import { WORKSHOP_MIGRATIONS } from "@/core/knife/design/migrations/to18";
import { RECORD_VERSION } from "@/core/knife/design/version";
import { MOST_LETTERS } from "@/core/knife/design/workshopParts";
import { checksumOf } from "../checksum";
import type { StoredWorkshop } from "../rows";
import { keyText, type Row, type TableSpec } from "./spec";

/** What a row holds as a workshop of the present version, unchecked; the same where it is of it already. */
export const workshopOf = ({ workshop, version }: Partial<StoredWorkshop>): unknown =>
  migrateBy(WORKSHOP_MIGRATIONS, workshop, version ?? RECORD_VERSION);

/**
 * Whether a row holds a workshop: as it is where its checksum says that this version checked and wrote it. The checker is
 * fetched only for others.
 */
export async function isReadableWorkshop(row: Partial<StoredWorkshop>): Promise<boolean> {
  const { id, version, checksum } = row;
  const workshop = workshopOf(row);
  if (!isRecord(workshop) || workshop.id !== id) return false;
  if (version === RECORD_VERSION && checksum !== undefined && checksum === checksumOf(workshop)) return true;
  const { workshopRecord } = await import("@/core/knife/design/record/workshop");
  return workshopRecord.safeParse(workshop).success;
}

const nameOf = ({ workshop }: Row): string | null =>
  isRecord(workshop) && typeof workshop.name === "string" && workshop.name !== ""
    ? workshop.name.slice(0, MOST_LETTERS)
    : null;

/** The maker's workshops. */
export const WORKSHOPS: TableSpec = {
  name: "workshops",
  since: 7,
  indexes: "id, createdAt",
  called: { one: "workshop", many: "workshops" },
  keyOf: (row) => keyText(row.id),
  readable: (row) => isReadableWorkshop(row as Partial<StoredWorkshop>),
  nameOf,
  // Drills of one tab and glue of another go together; each of them is one thing.
  atoms: ["workshop.facts.*", "workshop.hours", "workshop.daysOff", "workshop.printer"],
};
