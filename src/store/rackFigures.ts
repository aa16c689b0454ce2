import { createStore } from "zustand/vanilla";
import { ENGINE_VERSION } from "@/core/figures/weigh/version";
import type { Weighing } from "@/core/figures/weigh/weigh";
import type { ProductDesign } from "@/core/knife/design/product";
import type { Answer } from "@/workers/client";
import { db } from "./db";
import { getKnife } from "./knives";
import type { FiguresRecord, KnifeRecord, StoredKnife } from "./rows";
import { KNIVES } from "./tables/knives";
import { unwrittenRows } from "./unwritten";

/** Figures that are written together. */
const BATCH = 50;
/** Between two tellings of figures that nobody sees, ms. */
const TELL_EVERY_MS = 1000;
/** So many knives are measured before the rack is first shown. */
const FIRST = 24;

export interface RackFigures {
  /** What each knife weighed when it was last weighed, by id; of an older state until it is weighed anew. */
  readonly known: ReadonlyMap<string, FiguresRecord>;
  /** Why the last one could not be weighed, where the weighing itself failed. */
  readonly failure: string | null;
  /** The knives listed, once the figures that were kept of them have been read; null before. */
  readonly ids: readonly string[] | null;
}

/** What is known of a knife that was measured but not weighed. */
function sizeOnly(id: string, extent: Extent): FiguresRecord {
  return { id, revision: -1, updatedAt: -1, engine: 0, massG: null, balanceMm: null, extent };
}

/** Whether figures are of the very state of a knife, and of this engine. */
export function areOf(
  figures: FiguresRecord | undefined,
  knife: Pick<KnifeRecord, "revision" | "updatedAt">,
): boolean {
  return (
    figures?.revision === knife.revision &&
    figures.updatedAt === knife.updatedAt &&
    figures.engine === ENGINE_VERSION
  );
}

/** The state of every knife, read off an index: no design is fetched for it. */
async function statesOf(): Promise<Map<string, Pick<KnifeRecord, "revision" | "updatedAt">>> {
  const keys = await db.knives.orderBy("[id+revision+updatedAt]").keys();
  const states = (keys as unknown as [string, number, number][]).map(
    ([id, revision, updatedAt]) => [id, { revision, updatedAt }] as const,
  );
  return new Map([...states, ...unwrittenRows<StoredKnife>(KNIVES.name).map((k) => [k.id, k] as const)]);
}

type Weigh = (design: ProductDesign) => Promise<Answer<Weighing>>;
type Extent = FiguresRecord["extent"];

/**
 * Figures of the knives on the rack: those that were kept, at once; then the rest one by one, those asked for first.
 * What was worked out is kept for the next visit.
 */
export function createRackFigures(weigh: Weigh, extentOf: (design: ProductDesign) => Extent) {
  const store = createStore<RackFigures>(() => ({ known: new Map(), failure: null, ids: null }));
  const unkept = new Map<string, FiguresRecord>();
  const failed = new Set<string>();
  let first: readonly string[] = [];
  let all: readonly string[] = [];
  let running = false;
  let stopped = false;
  let resting = false;
  let kept: Promise<void> | null = null;

  async function keep(): Promise<void> {
    const rows = [...unkept.values()];
    unkept.clear();
    // That they could not be kept costs no more than weighing them again.
    await db.figures.bulkPut(rows).catch((e: unknown) => console.warn("figures are not kept", e));
  }

  /** The next knife to weigh, those in sight first. */
  async function next(): Promise<KnifeRecord | null> {
    for (const id of [...first, ...all]) {
      if (failed.has(id) || checked.has(id)) continue;
      if (resting) return null;
      const known = fresh.get(id) ?? store.getState().known.get(id);
      const state = states.get(id);
      if (state && areOf(known, state)) {
        checked.add(id);
        continue;
      }
      const reading = await getKnife(id).catch(() => undefined);
      checked.add(id);
      if (!reading?.ok) continue;
      if (areOf(known, reading.record)) continue;
      // Looked at, but not done with before it is weighed.
      checked.delete(id);
      return reading.record;
    }
    return null;
  }
  const checked = new Set<string>();
  const fresh = new Map<string, FiguresRecord>();
  let states = new Map<string, Pick<KnifeRecord, "revision" | "updatedAt">>();
  let toldAt = 0;

  function tell(): void {
    toldAt = Date.now();
    store.setState(({ known }) => ({ known: new Map([...known, ...fresh]), failure: null }));
    fresh.clear();
  }

  async function run(): Promise<void> {
    if (running || stopped || resting) return;
    running = true;
    for (let job = await next(); job && !stopped && !resting; job = await next()) {
      const { id, design, revision, updatedAt } = job;
      const answer = await weigh(design);
      if (answer.ok) {
        const refused = !answer.value.ok;
        // What it weighed when it last could be built stays, said as such.
        const last = fresh.get(id) ?? store.getState().known.get(id);
        const { massG, balanceMm } = answer.value.ok
          ? answer.value.report
          : { massG: last?.massG ?? null, balanceMm: last?.balanceMm ?? null };
        const record: FiguresRecord = {
          id,
          revision,
          updatedAt,
          engine: ENGINE_VERSION,
          massG,
          balanceMm,
          extent: extentOf(design),
          ...(refused ? { refused } : {}),
        };
        checked.add(id);
        unkept.set(id, record);
        fresh.set(id, record);
        // Figures out of sight are published together: the list is not drawn again for each.
        if (first.includes(id) || Date.now() - toldAt > TELL_EVERY_MS) tell();
        if (unkept.size >= BATCH) await keep();
      } else {
        failed.add(id);
        if (answer.code === "failed") store.setState({ failure: answer.message });
        if (answer.code === "disposed") break;
      }
    }
    running = false;
    if (fresh.size > 0) tell();
    if (unkept.size > 0) await keep();
  }

  async function readKept(): Promise<void> {
    const [rows, at] = await Promise.all([
      db.figures.toArray().catch(() => []),
      statesOf().catch(() => new Map<string, never>()),
    ]);
    states = at;
    store.setState({ known: new Map(rows.map((r) => [r.id, r] as const)) });
  }

  return Object.assign(store, {
    /**
     * Lists these knives, with the figures that were kept of them, and goes on with the rest. Of those that are seen for
     * the first time at least the sizes stand from the start: the scale they share does not change under the pointer.
     */
    begin: async (ids: readonly string[]) => {
      all = ids;
      kept ??= readKept();
      await kept;
      const sizes: FiguresRecord[] = [];
      for (const id of ids.slice(0, FIRST)) {
        const reading = store.getState().known.has(id)
          ? undefined
          : await getKnife(id).catch(() => undefined);
        if (reading?.ok) sizes.push(sizeOnly(id, extentOf(reading.record.design)));
      }
      // Another list came meanwhile.
      if (all !== ids) return;
      // What was weighed meanwhile says more than a size.
      store.setState(({ known }) => ({
        known: sizes.length > 0 ? new Map([...sizes.map((f) => [f.id, f] as const), ...known]) : known,
        ids,
      }));
      void run();
    },
    /** Says which knives are in sight, to be weighed before the others. */
    inSight: (ids: readonly string[]) => {
      first = ids;
    },
    /** Lets the page have the machine to itself, while it is scrolled; then goes on. */
    rest: (on: boolean) => {
      resting = on;
      if (!on && store.getState().ids) void run();
    },
    /** A knife was changed: it is looked at again. */
    changed: (id: string) => {
      states.delete(id);
      checked.delete(id);
      failed.delete(id);
      void run();
    },
    /** Tries those again that failed. */
    again: () => {
      failed.clear();
      store.setState({ failure: null });
      void run();
    },
    stop: () => {
      stopped = true;
      if (unkept.size > 0) void keep();
    },
  });
}

export type RackFigureStore = ReturnType<typeof createRackFigures>;
