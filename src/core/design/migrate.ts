import { isRecord } from "../isRecord";
import { plainFitUp } from "./fitUp";
import { plainUse } from "./uses";
import { DESIGN_VERSION } from "./version";
import { plainWork } from "./work";

/** Turns the record of one version into the next one's. Keyed by the version it starts from. */
export type Migrations = Readonly<Record<number, (record: unknown) => unknown>>;

/** One entry for every version before the present one; a test fails when any is missing. */
export const MIGRATIONS: Migrations = {
  // 2: guards, hidden tangs and handles of pieces. What version 1 knew stays as it was.
  1: (record) => (typeof record === "object" && record !== null ? { ...record, guard: null } : record),
  // 3: every construction. What version 2 knew is told in the new record's words.
  2: (record) => (isRecord(record) ? toVersion3(record) : record),
  // 4: how the knife is fitted up and what it is for, as it is before its maker says otherwise.
  3: (record) => (isRecord(record) ? { ...record, fitUp: plainFitUp(), use: plainUse() } : record),
  // 5: what making it takes.
  4: (record) => (isRecord(record) ? { ...record, work: plainWork() } : record),
};

type Loose = Record<string, unknown>;

/** Each of a list's records with more keys; what is not a list of records stays, and is refused by the schema. */
function each(list: unknown, more: (item: Loose) => Loose): unknown {
  return Array.isArray(list)
    ? list.map((item) => (isRecord(item) ? { ...item, ...more(item) } : item))
    : list;
}

function toVersion3(record: Loose): Loose {
  const { blade, tang, handle, guard } = record;
  return {
    ...record,
    blade: isRecord(blade) ? { ...blade, measured: null } : blade,
    tang: isRecord(tang) ? tangToVersion3(tang) : tang,
    handle: isRecord(handle) ? handleToVersion3(handle) : handle,
    guard: isRecord(guard) ? guardToVersion3(guard) : guard,
    meshes: [],
  };
}

function tangToVersion3(tang: Loose): Loose {
  if (tang.kind === "full") {
    const holes = each(tang.holes, () => ({ purpose: "lighten" }));
    return { ...tang, holes, slots: [], recess: null, short: null };
  }
  const hole = isRecord(tang.hole) ? { kind: "broached", ...tang.hole } : tang.hole;
  const plain = { frontCornerMm: 0, endCornerMm: 0, shoulderRadiusMm: 0, end: { kind: "plain" } };
  return { ...tang, ...plain, hole };
}

function handleToVersion3({ roundness, ...handle }: Loose): Loose {
  const shape = {
    ...handle,
    plan: each(handle.plan, () => ({ leftHalfMm: null, roundness })),
    facets: null,
    waist: null,
  };
  if (handle.kind === "scales") return { ...shape, bolsters: { front: null, rear: null }, joints: [] };
  const pieces = each(handle.pieces, () => ({ pressedShare: 0, tiltDeg: 0, shape: null, printed: null }));
  return { ...shape, pieces, rings: [] };
}

function guardToVersion3({ material, thicknessMm, ...guard }: Loose): Loose {
  return {
    ...guard,
    plates: [{ material, thicknessMm, printed: null }],
    bossMm: 8,
    armWidthMm: null,
    sweepAboveMm: 0,
    sweepBelowMm: 0,
    endShare: 1,
    domeMm: 0,
    notch: null,
    slot: { clearanceMm: 0, fill: null },
    collar: null,
    dowels: null,
    mesh: null,
  };
}

/** Brings a record from its version up to the present one. `from` must be from 1 to the present version. */
export function migrate(record: unknown, from: number, migrations: Migrations = MIGRATIONS): unknown {
  let current = record;
  for (let version = from; version < DESIGN_VERSION; version++) current = migrations[version](current);
  return current;
}

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
