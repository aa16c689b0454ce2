import { liveQuery } from "dexie";
import { createStore } from "zustand/vanilla";
import type { EditFor } from "@/core/edit/editFor";
import type { ProductDesign } from "@/core/knife/design/product";
import { db } from "./db";
import { createHistory, type KeptTimeline } from "./history";
import { waitingKey } from "./keptTable";
import {
  addKnife,
  freeName,
  holdUnwritten,
  isUnwritten,
  letGo,
  putRecord,
  readKnife,
  takenNames,
  writeDesign,
} from "./knives";
import type { Damaged, Reading } from "./reading";
import type { KnifeRecord, Reference } from "./rows";
import type { Session } from "./session";
import { storage, writeWithRetry } from "./storage";
import { KNIVES } from "./tables/knives";

export interface AutosaveState<D extends ProductDesign = ProductDesign> {
  readonly status: "kept" | "keeping" | "conflict" | "unreadable" | "deleted" | "failed";
  readonly reference: Reference<D> | null;
  /** What another tab wrote while this one had changes of its own. */
  readonly theirs: KnifeRecord<D> | null;
  /** What stands in the database now, where this tab cannot read it. */
  readonly damaged: Damaged | null;
  /** Counts states taken over from another tab, so that the screen can say so. */
  readonly adopted: number;
}

/** While a drag goes on, writes are at least this far apart. */
const WRITE_EVERY_MS = 150;

/**
 * Keeps a session in the database: writes each change as soon as the last write is done, takes over what other tabs
 * write while this one has nothing unwritten, and stops at a conflict until the maker has chosen.
 */
export function createAutosave<D extends ProductDesign>(
  session: Session<D>,
  record: KnifeRecord<D>,
  kept?: KeptTimeline,
  staleSteps: readonly number[] = [],
) {
  const store = createStore<AutosaveState<D>>(() => ({
    status: "kept",
    reference: record.reference,
    theirs: null,
    damaged: null,
    adopted: 0,
  }));
  const key = waitingKey(KNIVES, record.id);
  const history = createHistory(kept, staleSteps);
  let revision = record.revision;
  // What waits in memory was never written: it is at once.
  let written: D | null = isUnwritten(record.id) ? null : record.design;
  let queue: Promise<void> = Promise.resolve();
  let pending = 0;
  let timer: ReturnType<typeof setTimeout> | null = null;
  let lastWrite = 0;

  const unwritten = () => session.getState().design !== written;

  /** Writes the present state with the steps that led to it, where there is need to. Throws where the database does. */
  async function write(reference?: Reference<D> | null): Promise<void> {
    const { status } = store.getState();
    if (status === "conflict" || status === "deleted" || status === "unreadable") return;
    const timeline = session.timeline();
    const { design } = timeline.now;
    const steps = history.changes(timeline);
    // What was undone before it was written changes no design, but the steps that can be redone.
    if (reference === undefined && !unwritten() && steps.put.length + steps.drop.length === 0) {
      if (status !== "kept") store.setState({ status: "kept" });
      return;
    }
    const result = await writeDesign(record.id, design, revision, reference, steps);
    lastWrite = Date.now();
    if (result.ok) {
      steps.commit();
      revision = result.record.revision;
      written = design;
      const kept = reference === undefined ? store.getState().reference : reference;
      store.setState({ status: unwritten() ? "keeping" : "kept", reference: kept });
    } else if (result.code === "deleted") store.setState({ status: "deleted" });
    else if (result.code === "unreadable") store.setState({ status: "unreadable", damaged: result.damaged });
    else {
      const theirs = readHere(result.theirs);
      if (theirs.ok) store.setState({ status: "conflict", theirs: theirs.record });
      else store.setState({ status: "unreadable", damaged: theirs.damaged });
    }
  }

  /** What another tab wrote: a design of the same product stays one, or cannot be worked with here. */
  const readHere = (theirs: KnifeRecord): Reading<KnifeRecord<D>> => {
    const { kind } = theirs.design;
    if (kind === record.design.kind) return { ok: true, record: theirs as unknown as KnifeRecord<D> };
    const reason = { code: "other-product", kind } as const;
    return { ok: false, damaged: { id: theirs.id, name: theirs.design.name, reason, raw: theirs } };
  };

  /** One write at a time, also of those that are tried again: each must see the revision that the last one left. */
  function inTurn(work: () => Promise<void>): Promise<void> {
    const mine = queue.then(work);
    queue = mine.catch(() => undefined);
    return mine;
  }

  /**
   * Writes what is unwritten. What fails is held in memory, said, and tried again by itself. Answers whether the present
   * state is in the database.
   */
  async function flush(reference?: Reference<D> | null): Promise<boolean> {
    if (timer) clearTimeout(timer);
    timer = null;
    pending++;
    const done = await writeWithRetry(key, session.getState().design.name, () =>
      inTurn(() => write(reference)),
    );
    pending--;
    lastWrite = Date.now();
    if (!done) {
      const { design } = session.getState();
      const state = reference === undefined ? store.getState().reference : reference;
      holdUnwritten({ ...record, design, revision, updatedAt: Date.now(), reference: state });
      store.setState({ status: "failed", reference: state });
    }
    return done && store.getState().status !== "failed" && !unwritten();
  }

  const stopEdits = session.subscribe((state, before) => {
    // What is taken over from another tab is written already; its step goes along with the next edit.
    if (state.design === before.design || (!unwritten() && store.getState().status !== "keeping")) return;
    if (store.getState().status === "kept") store.setState({ status: "keeping" });
    if (timer) return;
    timer = setTimeout(() => void flush(), Math.max(0, lastWrite + WRITE_EVERY_MS - Date.now()));
  });

  const idle = () => pending === 0 && !unwritten() && store.getState().status !== "conflict";
  const others = liveQuery(() => db.knives.get(record.id)).subscribe({
    next: async (now) => {
      if (!idle()) return;
      if (!now) {
        // A knife whose first write failed is not there yet, nor is one that is just being taken along from memory.
        const isWritten = store.getState().status !== "failed" && storage.getState().state !== "opening";
        if (isWritten) store.setState({ status: "deleted" });
        return;
      }
      if (!(now.revision > revision)) return;
      const read = await readKnife(now);
      if (!idle() || !(now.revision > revision)) return;
      const reading = read.ok ? readHere(read.record) : read;
      if (reading.ok) take(reading.record);
      else store.setState({ status: "unreadable", damaged: reading.damaged });
    },
    error: (error: unknown) => console.error("changes from other tabs cannot be seen", error),
  });

  // The page may be gone the next moment: what is not written yet is written now.
  const leaving = () => void flush();
  const page = typeof document === "undefined" ? null : document;
  page?.addEventListener("visibilitychange", leaving);
  if (page) window.addEventListener("pagehide", leaving);

  function take(theirs: KnifeRecord<D>): void {
    letGo(record.id);
    revision = theirs.revision;
    written = theirs.design;
    session.getState().edit({ code: "take-other-tab", design: theirs.design } as EditFor<D>);
    store.setState((s) => ({
      status: "kept",
      reference: theirs.reference,
      theirs: null,
      adopted: s.adopted + 1,
    }));
  }

  if (written === null) void flush();

  return Object.assign(store, {
    flush,
    /** Makes the present state the one that changes are measured from. */
    setReference: (massG: number | null, balanceMm: number | null) =>
      flush({ design: session.getState().design, massG, balanceMm, at: Date.now() }),
    /** Ends a conflict with the other tab's state. */
    takeTheirs: () => {
      const { theirs } = store.getState();
      if (theirs) take(theirs);
    },
    /** Ends a conflict with this tab's state; the other's stays as a knife of its own. */
    keepMine: async () => {
      const { theirs } = store.getState();
      if (!theirs) return;
      await addKnife({
        ...theirs.design,
        name: freeName(`${theirs.design.name.slice(0, 66)} (other tab)`, await takenNames()),
      });
      revision = theirs.revision;
      store.setState({ status: "keeping", theirs: null });
      await flush();
    },
    /** Puts a knife that was deleted elsewhere back, with this tab's state. */
    putBack: async () => {
      revision += 1;
      written = session.getState().design;
      const { reference } = store.getState();
      await putRecord({ ...record, design: written, revision, updatedAt: Date.now(), reference });
      store.setState({ status: "kept" });
    },
    /** Leaves alone what cannot be read, and keeps this tab's state as a knife of its own. Answers its id. */
    keepApart: async (): Promise<string> => {
      const { design } = session.getState();
      const name = freeName(`${design.name.slice(0, 66)} (this tab)`, await takenNames());
      return (await addKnife({ ...design, name })).id;
    },
    dispose: () => {
      stopEdits();
      others.unsubscribe();
      page?.removeEventListener("visibilitychange", leaving);
      if (page) window.removeEventListener("pagehide", leaving);
      void flush();
    },
  });
}

export type Autosave<D extends ProductDesign = ProductDesign> = ReturnType<typeof createAutosave<D>>;
