import { compared } from "@/core/base/compared";
import { isRecord } from "@/core/base/isRecord";
import type { KnifeState, UseKind } from "@/core/knife/design/schema";
import { shippedMaterial } from "@/core/materials/materials";
import { db } from "./db";
import type { StoredKnife } from "./rows";
import { KNIVES } from "./tables/knives";
import { unwrittenRows } from "./unwritten";

/** What a knife is searched, filtered and ordered by on the rack; of one that cannot be read, what can be made out. */
export interface Digest {
  readonly name: string;
  readonly use: UseKind | null;
  readonly state: KnifeState | null;
  readonly updatedAt: number;
  /** All that is searched, in small letters: name, notes, customer, names of materials. */
  readonly text: string;
}

/** Names of every material that a design's record refers to. */
function materialNames(value: unknown, into: Set<string>): void {
  if (typeof value === "string") {
    const name = value.length <= 60 ? shippedMaterial(value)?.name : undefined;
    if (name) into.add(name);
  } else if (Array.isArray(value)) for (const item of value) materialNames(item, into);
  else if (isRecord(value))
    for (const [key, inner] of Object.entries(value)) if (key !== "meshes") materialNames(inner, into);
}

/** Names of the own materials that a record carries. */
function ownNames(record: Readonly<Record<string, unknown>>): string[] {
  const own = Array.isArray(record.materials) ? record.materials : [];
  return own.map((m) => textOf(isRecord(m) ? m.name : null));
}

const textOf = (value: unknown) => (typeof value === "string" ? value : "");

/** The digest of a record as it lies in the database: it is not checked, and nothing of it is trusted. */
export function digestOf({ design, updatedAt }: Pick<StoredKnife, "design" | "updatedAt">): Digest {
  const record = isRecord(design) ? design : {};
  const job = isRecord(record.job) ? record.job : {};
  const use = isRecord(record.use) ? record.use : {};
  const materials = new Set<string>();
  materialNames(record, materials);
  const said = [record.name, record.notes, job.customer].map(textOf);
  return {
    name: textOf(record.name),
    use: (textOf(use.kind) as UseKind) || null,
    state: (textOf(job.state) as KnifeState) || null,
    updatedAt: Number(updatedAt) || 0,
    text: compared([...said, ...materials, ...ownNames(record)].join("\n")),
  };
}

/** Records that are read at a time: the page is not held up by a long rack. */
const BATCH = 50;

/** What was read of each state of a knife. */
const known = new Map<string, { readonly mark: string; readonly digest: Digest }>();

/** The digest of every knife by its id; only what has changed since is read again. */
export async function digests(): Promise<ReadonlyMap<string, Digest>> {
  const keys = (await db.knives.orderBy("[id+revision+updatedAt]").keys()) as unknown as [
    string,
    number,
    number,
  ][];
  const marks = new Map(keys.map(([id, revision, at]) => [id, `${revision} ${at}`] as const));
  const stale = [...marks].filter(([id, mark]) => known.get(id)?.mark !== mark).map(([id]) => id);
  for (let i = 0; i < stale.length; i += BATCH) {
    const rows = await db.knives.bulkGet(stale.slice(i, i + BATCH));
    for (const row of rows)
      if (row) known.set(row.id, { mark: marks.get(row.id) ?? "", digest: digestOf(row) });
  }
  for (const id of known.keys()) if (!marks.has(id)) known.delete(id);
  const all = [...known].map(([id, { digest }]) => [id, digest] as const);
  return new Map([
    ...all,
    ...unwrittenRows<StoredKnife>(KNIVES.name).map((k) => [k.id, digestOf(k)] as const),
  ]);
}
