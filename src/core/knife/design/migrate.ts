import { isRecord } from "../../base/isRecord";
import { fitUpOfVersion4 } from "./migrations/loose";
import { type Migrations, migrateBy } from "./migrations/steps";
import { toVersion3, toVersion6, toVersion7, toVersion8 } from "./migrations/to8";
import { toVersion9, toVersion10, toVersion11, toVersion13 } from "./migrations/to13";
import { toVersion14 } from "./migrations/to14";
import { toVersion15 } from "./migrations/to15";
import { toVersion16 } from "./migrations/to16";
import { toVersion17 } from "./migrations/to17";
import { plainUse } from "./uses";
import { plainWork } from "./work";

/** One entry for every version before the present one; a test fails when any is missing. */
export const MIGRATIONS: Migrations = {
  // 2: guards, hidden tangs and handles of pieces. What version 1 knew stays as it was.
  1: (record) => (typeof record === "object" && record !== null ? { ...record, guard: null } : record),
  // 3: every construction. What version 2 knew is said in the new record's words.
  2: (record) => (isRecord(record) ? toVersion3(record) : record),
  // 4: how the knife is fitted up and what it is for, as it is before its maker says otherwise.
  3: (record) => (isRecord(record) ? { ...record, fitUp: fitUpOfVersion4(), use: plainUse() } : record),
  // 5: what making it takes.
  4: (record) => (isRecord(record) ? { ...record, work: plainWork() } : record),
  // 6: a knuckle bow on the guard; a maker's stock is matched to a piece by its key, no longer by its English name.
  5: (record) => (isRecord(record) ? toVersion6(record) : record),
  // 7: what is in the hand with its drawing as it was weighed; pitches of screws; windows from low to high; locks,
  // names of parts, and for whom a knife is made.
  6: (record) => (isRecord(record) ? toVersion7(record) : record),
  // 8: blades with an outline, sections and cuts of their own.
  7: (record) => (isRecord(record) ? toVersion8(record) : record),
  // 9: materials of the maker's own.
  8: (record) => (isRecord(record) ? toVersion9(record) : record),
  // 10: a bevel that keeps one angle; how the blade is ground, and with what; the day that it was weighed.
  9: (record) => (isRecord(record) ? toVersion10(record) : record),
  // 11: marks on the blade.
  10: (record) => (isRecord(record) ? toVersion11(record) : record),
  // 12: which product it is.
  11: (record) => (isRecord(record) ? { kind: "fixed", ...record } : record),
  // 13: what the shop has and how it works stands apart from how the knife is fitted up; a guard's fittings are a list.
  12: (record) => (isRecord(record) ? toVersion13(record) : record),
  // 14: how long a shop waits before grinding; what is in the hand and not weighed yet; other names of materials.
  13: (record) => (isRecord(record) ? toVersion14(record) : record),
  // 15: several grips, with windows of their own.
  14: (record) => (isRecord(record) ? toVersion15(record) : record),
  // 16: scales that end ahead of the butt, faces that are not smooth, several wraps, a station for an imported guard.
  15: (record) => (isRecord(record) ? toVersion16(record) : record),
  // 17: what the shop heats steel in.
  16: (record) => (isRecord(record) ? toVersion17(record) : record),
  // Workshops that are kept by themselves changed; knives did not.
  17: (record) => record,
};

/** Brings a design's record from its version up to the present one. `from` must be from 1 to the present version. */
export const migrate = (record: unknown, from: number, migrations: Migrations = MIGRATIONS): unknown =>
  migrateBy(migrations, record, from);

/**
 * The version of a record that does not name it, as browsers kept them up to version 5: each version brought a field of
 * its own. What has none of them is read as version 1, and refused by the schema where it is no design.
 */
export function versionOfUnmarked(record: unknown): number {
  if (!isRecord(record)) return 1;
  if ("work" in record) return 5;
  if ("use" in record || "fitUp" in record) return 4;
  if ("meshes" in record) return 3;
  if ("guard" in record) return 2;
  return 1;
}
