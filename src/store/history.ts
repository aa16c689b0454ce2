import { isRecord } from "@/core/base/isRecord";
import { type KeptEdit, noted, readKeptEdit, stepBetween } from "@/core/edit/kept";
import type { ProductDesign } from "@/core/knife/design/product";
import { RECORD_VERSION } from "@/core/knife/design/version";
import { db } from "./db";
import { followKept } from "./followed";
import { readStored } from "./reading";
import type { StepRecord, StoredDesign, StoredKnife } from "./rows";

/** A knife's history keeps so many steps with it. */
export const MOST_STEPS = 100;

/** A design and what was done to reach it. */
export interface State<D extends ProductDesign = ProductDesign> {
  readonly design: D;
  readonly last: KeptEdit | null;
}

export type Step = Omit<StepRecord, "knifeId">;

/** Steps to write, and the numbers of those to take away. */
export interface StepChanges {
  readonly put: readonly Step[];
  readonly drop: readonly number[];
}

export const NO_STEPS: StepChanges = { put: [], drop: [] };

/** A session's states as they stand: those that can be undone to, the present one, and those that can be redone. */
export interface Timeline<D extends ProductDesign = ProductDesign> {
  /** The oldest first. */
  readonly past: readonly State<D>[];
  readonly now: State<D>;
  /** The nearest first. */
  readonly future: readonly State<D>[];
}

const stepOf = (at: number, { design: to, last }: State, from: ProductDesign, undone: boolean): Step => ({
  at,
  undone,
  version: RECORD_VERSION,
  ...stepBetween(from, to, last ?? noted("")),
});

/** The edit of a step; one that was kept before edits were data says in English what it was. */
const editOf = ({ edit, label }: Partial<Pick<StepRecord, "edit" | "label">>): KeptEdit =>
  readKeptEdit(edit) ?? noted(typeof label === "string" ? label : "");

/**
 * Follows a session's timeline and tells which steps of it are to be written: most edits change one field of the
 * design and cost one small record.
 */
export function createHistory(kept?: KeptTimeline, stale: readonly number[] = []) {
  /** Every step as it is written, in order, with the two states it lies between; null of those to be taken away. */
  let known: { step: Pick<Step, "at" | "undone">; from: ProductDesign | null; to: ProductDesign | null }[] =
    [];
  if (kept && kept.steps.length > 0) {
    const states = [...kept.past, kept.now, ...kept.future];
    known = kept.steps.map((step, i) => ({ step, from: states[i].design, to: states[i + 1].design }));
  }
  const fresh = new Set(known.map((k) => k.step.at));
  known.push(
    ...stale
      .filter((at) => !fresh.has(at))
      .map((at) => ({ step: { at, undone: false }, from: null, to: null })),
  );
  let next = Math.max(0, ...known.map((k) => k.step.at + 1));

  return {
    /** What has to change in the database for the timeline to stand there. `commit` says that it does. */
    changes: ({ past, now, future }: Timeline): StepChanges & { commit: () => void } => {
      const states = [...past, now, ...future];
      const first = Math.max(0, Math.min(past.length - MOST_STEPS, states.length - 1 - MOST_STEPS));
      const pairs = states.slice(first, first + MOST_STEPS + 1);
      const put: Step[] = [];
      let counter = next;
      let search = 0;
      const kept: typeof known = [];
      for (let i = 0; i + 1 < pairs.length; i++) {
        const [from, to] = [pairs[i].design, pairs[i + 1].design];
        const undone = first + i >= past.length;
        const at = known.findIndex((k, j) => j >= search && k.from === from && k.to === to);
        if (at >= 0) {
          search = at + 1;
          const old = known[at];
          kept.push({ ...old, step: { at: old.step.at, undone } });
          if (old.step.undone !== undone) put.push(stepOf(old.step.at, pairs[i + 1], from, undone));
          continue;
        }
        const step = stepOf(counter++, pairs[i + 1], from, undone);
        put.push(step);
        kept.push({ step, from, to });
      }
      const still = new Set(kept.map((k) => k.step.at));
      const drop = known.flatMap((k) => (still.has(k.step.at) ? [] : [k.step.at]));
      return {
        put,
        drop,
        commit: () => {
          known = kept;
          next = counter;
        },
      };
    },
  };
}

export type History = ReturnType<typeof createHistory>;

/** A timeline as it was kept, and its steps where they can stand as they are; none where they are to be written anew. */
export type KeptTimeline = Timeline & { readonly steps: readonly Step[] };

/**
 * A knife's timeline as it was kept, round its present design, which was read from `stored`. It ends, on either side,
 * at the first state that cannot be read.
 */
export async function readTimeline(
  knifeId: string,
  now: ProductDesign,
  stored: StoredDesign,
): Promise<KeptTimeline> {
  const rows = await db.steps.where("knifeId").equals(knifeId).sortBy("at");
  // Steps are of their knife's version: a newer one writes them anew together with it.
  const version = stored.version ?? RECORD_VERSION;
  const fits = (r: StepRecord) => r.version === version && isRecord(r.before) && isRecord(r.after);
  const done = rows.filter((r) => !r.undone);
  const undone = rows.filter((r) => r.undone);
  const steps: Step[] = [];
  const past: ProductDesign[] = [];
  let raw = stored.design;
  for (const row of [...done].reverse()) {
    raw = isRecord(raw) && fits(row) ? { ...raw, ...row.before } : null;
    const design: ProductDesign | null = raw === null ? null : await readState(raw, version);
    if (!design) break;
    steps.unshift(row);
    past.unshift(design);
  }
  const taken = steps.length;
  const future: State[] = [];
  raw = stored.design;
  for (const row of undone) {
    raw = isRecord(raw) && fits(row) ? { ...raw, ...row.after } : null;
    const design: ProductDesign | null = raw === null ? null : await readState(raw, version);
    if (!design) break;
    steps.push(row);
    future.push({ design, last: editOf(row) });
  }
  // A state says what was done to reach it: that stands with the step before it.
  const lastOf = (i: number) => (i > 0 ? editOf(steps[i - 1]) : null);
  return {
    past: past.map((design, i) => ({ design, last: lastOf(i) })),
    now: { design: now, last: lastOf(taken) },
    future,
    steps: version === RECORD_VERSION && now === stored.design ? steps : [],
  };
}

/** A knife's history as it was kept, and the numbers of all its steps: those that do not fit are written anew. */
export async function historyOf(
  id: string,
  design: ProductDesign,
  stored: StoredKnife | null,
): Promise<{ timeline: KeptTimeline; stale: number[] } | undefined> {
  if (!stored) return undefined;
  const keys = await db.steps.where("knifeId").equals(id).primaryKeys();
  return { timeline: await readTimeline(id, design, stored), stale: keys.map(([, at]) => at) };
}

/** A state put together from stored fields; null where that is no design. */
async function readState(raw: unknown, version: number): Promise<ProductDesign | null> {
  if (version !== RECORD_VERSION) {
    const reading = await readStored({ design: raw, version });
    return reading.ok ? reading.design : null;
  }
  const { recordOfKind } = await import("@/core/products/recordOf");
  const product = isRecord(raw) ? recordOfKind(raw.kind) : undefined;
  // As it is, not as a copy: fields that a step left alone stay the very same.
  return product?.schema.safeParse(raw).success ? followKept(raw as unknown as ProductDesign) : null;
}
