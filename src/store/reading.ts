import { isRecord } from "@/core/base/isRecord";
import type { Problem } from "@/core/exchange/files/knife/read";
import type { ProductDesign } from "@/core/knife/design/product";
import { RECORD_VERSION } from "@/core/knife/design/version";
import { checksumOf } from "./checksum";
import type { KnifeRecord, Reference, StoredDesign, StoredKnife, StoredVariant, VariantRecord } from "./rows";

/** Why a record of the database could not be read. */
export type DamageReason =
  | { readonly code: "newer"; readonly version: number; readonly known: number }
  | { readonly code: "other-product"; readonly kind: string }
  | { readonly code: "invalid"; readonly problems: readonly Problem[] };

/** A record that could not be read: its raw content is untouched. */
export interface Damaged {
  readonly id: string;
  /** What it is called, where that can be made out. */
  readonly name: string;
  readonly reason: DamageReason;
  readonly raw: unknown;
}

export type Reading<T> =
  | { readonly ok: true; readonly record: T }
  | { readonly ok: false; readonly damaged: Damaged };

type DesignReading =
  | { readonly ok: true; readonly design: ProductDesign }
  | { readonly ok: false; readonly reason: DamageReason };

/** A design with the marks of this writer: its version and the checksum of what was checked. */
export function sealed(design: ProductDesign): Required<StoredDesign> {
  return { design, version: RECORD_VERSION, checksum: checksumOf(design) };
}

const readBefore = new WeakMap<object, Promise<DesignReading>>();

/** Designs that are in use, by checksum. */
const inUse = new Map<string, WeakRef<ProductDesign>>();
const forgotten = new FinalizationRegistry<string>((checksum) => {
  if (!inUse.get(checksum)?.deref()) inUse.delete(checksum);
});

/**
 * The same object for the same design however often it is read, as long as anyone has it: what was worked out of it is
 * known by that, and is not worked out again because something else in the database has changed.
 */
function sameAsBefore(checksum: string, design: ProductDesign): ProductDesign {
  const before = inUse.get(checksum)?.deref();
  if (before) return before;
  inUse.set(checksum, new WeakRef(design));
  forgotten.register(design, checksum);
  return design;
}

/**
 * Reads a stored design: as it is where its checksum says that this version checked and wrote it, otherwise brought up
 * to date and checked as a file would be. The checker is fetched only then.
 */
export async function readStored(stored: StoredDesign): Promise<DesignReading> {
  if (stored.version === RECORD_VERSION && stored.checksum !== undefined)
    if (stored.checksum === checksumOf(stored.design))
      return { ok: true, design: sameAsBefore(stored.checksum, stored.design as ProductDesign) };
  let reading = readBefore.get(stored);
  if (!reading) {
    reading = check(stored);
    readBefore.set(stored, reading);
  }
  return reading;
}

async function check({ design, version }: StoredDesign): Promise<DesignReading> {
  const [{ readDesign }, { versionOfUnmarked }] = await Promise.all([
    import("@/core/exchange/files/knife/read"),
    import("@/core/knife/design/migrate"),
  ]);
  const from = version ?? versionOfUnmarked(design);
  if (!Number.isInteger(from) || from < 1) {
    const message = "its version makes no sense";
    return { ok: false, reason: { code: "invalid", problems: [{ path: "version", message }] } };
  }
  if (from > RECORD_VERSION)
    return { ok: false, reason: { code: "newer", version: from, known: RECORD_VERSION } };
  const reading = readDesign(design, from, "design");
  if (reading.ok) return { ok: true, design: reading.design };
  const isSpecific = reading.code === "invalid" || reading.code === "other-product";
  return { ok: false, reason: isSpecific ? reading : { code: "invalid", problems: [] } };
}

export async function readKnifeRecord(stored: StoredKnife): Promise<Reading<KnifeRecord>> {
  const reading = await readStored(stored);
  const { id, revision, createdAt, updatedAt } = stored;
  if (!reading.ok) return { ok: false, damaged: damagedOf(stored, reading.reason) };
  const record: KnifeRecord = {
    id,
    design: reading.design,
    // A record that lost these is still a whole knife.
    revision: Number.isInteger(revision) ? revision : 1,
    createdAt: Number.isFinite(createdAt) ? createdAt : 0,
    updatedAt: Number.isFinite(updatedAt) ? updatedAt : 0,
    reference: await readReference(stored.saved),
  };
  return { ok: true, record };
}

/** The state to measure changes from; none where it cannot be read. */
export async function readReference(saved: unknown): Promise<Reference | null> {
  if (!isRecord(saved)) return null;
  // It may be older than the knife: it names its own version, or is read as what it looks like.
  const version = typeof saved.version === "number" ? saved.version : undefined;
  const checksum = typeof saved.checksum === "string" ? saved.checksum : undefined;
  const reading = await readStored({ design: saved.design, version, checksum });
  if (!reading.ok) return null;
  const number = (value: unknown) => (typeof value === "number" && Number.isFinite(value) ? value : null);
  return {
    design: reading.design,
    massG: number(saved.massG),
    balanceMm: number(saved.balanceMm),
    at: number(saved.at) ?? 0,
  };
}

export async function readVariantRecord(stored: StoredVariant): Promise<Reading<VariantRecord>> {
  const reading = await readStored(stored);
  if (!reading.ok) return { ok: false, damaged: damagedOf(stored, reading.reason) };
  const { id, knifeId, name, createdAt } = stored;
  return { ok: true, record: { id, knifeId, name: String(name), createdAt, design: reading.design } };
}

/** What a record says of its name, damaged or not. */
export function nameIn(stored: { readonly design?: unknown; readonly name?: unknown }): string {
  const name = stored.name ?? (isRecord(stored.design) ? stored.design.name : undefined);
  return typeof name === "string" && name.trim() !== "" ? name.slice(0, 80) : "without a name";
}

function damagedOf(
  stored: { readonly id: string; readonly design?: unknown },
  reason: DamageReason,
): Damaged {
  return { id: stored.id, name: nameIn(stored), reason, raw: stored };
}
