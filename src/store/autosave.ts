import { liveQuery } from "dexie";
import { createStore } from "zustand/vanilla";
import { db, type KnifeRecord, type SavedState } from "./db";
import { addKnife, freeName, writeDesign } from "./knives";
import type { Session } from "./session";

export interface AutosaveState {
  readonly status: "kept" | "keeping" | "conflict" | "deleted" | "failed";
  readonly saved: SavedState | null;
  /** What another tab wrote while this one had changes of its own. */
  readonly theirs: KnifeRecord | null;
  /** Counts states taken over from another tab, so that the screen can say so. */
  readonly adopted: number;
}

/** While a drag goes on, writes are at least this far apart. */
const WRITE_EVERY_MS = 150;

/**
 * Keeps a session in the database: writes each change as soon as the last write is done, takes over what other tabs
 * write while this one has nothing unwritten, and stops at a conflict until the maker has chosen.
 */
export function createAutosave(session: Session, record: KnifeRecord) {
  const store = createStore<AutosaveState>(() => ({
    status: "kept",
    saved: record.saved,
    theirs: null,
    adopted: 0,
  }));
  let revision = record.revision;
  let written = record.design;
  let writing: Promise<void> | null = null;
  let timer: ReturnType<typeof setTimeout> | null = null;
  let lastWrite = 0;

  const unwritten = () => session.getState().design !== written;

  async function write(saved?: SavedState | null): Promise<void> {
    const design = session.getState().design;
    try {
      const result = await writeDesign(record.id, design, revision, saved);
      if (result.ok) {
        revision = result.record.revision;
        written = design;
        store.setState({ status: unwritten() ? "keeping" : "kept", saved: result.record.saved });
      } else if (result.code === "deleted") store.setState({ status: "deleted" });
      else store.setState({ status: "conflict", theirs: result.theirs });
    } catch (error) {
      console.error("the knife could not be written", error);
      store.setState({ status: "failed" });
    }
  }

  /** Writes what is unwritten, one write at a time. */
  function flush(saved?: SavedState | null): Promise<void> {
    if (timer) clearTimeout(timer);
    timer = null;
    const before = writing ?? Promise.resolve();
    const mine: Promise<void> = before.then(async () => {
      const { status } = store.getState();
      if (status === "conflict" || status === "deleted") return;
      if (saved !== undefined || unwritten()) await write(saved);
      lastWrite = Date.now();
      if (writing === mine) writing = null;
    });
    writing = mine;
    return mine;
  }

  const stopEdits = session.subscribe((state, before) => {
    if (state.design === before.design || !unwritten()) return;
    if (store.getState().status === "kept") store.setState({ status: "keeping" });
    if (timer) return;
    timer = setTimeout(() => void flush(), Math.max(0, lastWrite + WRITE_EVERY_MS - Date.now()));
  });

  const others = liveQuery(() => db.knives.get(record.id)).subscribe((now) => {
    if (writing || unwritten() || store.getState().status === "conflict") return;
    if (!now) store.setState({ status: "deleted" });
    else if (now.revision > revision) take(now);
  });

  function take(theirs: KnifeRecord): void {
    revision = theirs.revision;
    written = theirs.design;
    session.getState().adopt("Change from another tab", theirs.design);
    store.setState((s) => ({ status: "kept", saved: theirs.saved, theirs: null, adopted: s.adopted + 1 }));
  }

  return Object.assign(store, {
    flush,
    /** Makes the present state the one that changes are measured from. */
    save: (massG: number | null, balanceMm: number | null) =>
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
      const names = (await db.knives.toArray()).map((k) => k.design.name);
      await addKnife({
        ...theirs.design,
        name: freeName(`${theirs.design.name.slice(0, 66)} (other tab)`, names),
      });
      revision = theirs.revision;
      store.setState({ status: "keeping", theirs: null });
      await flush();
    },
    /** Puts a knife that was deleted elsewhere back, with this tab's state. */
    putBack: async () => {
      const now = Date.now();
      revision += 1;
      written = session.getState().design;
      await db.knives.put({
        ...record,
        design: written,
        revision,
        updatedAt: now,
        saved: store.getState().saved,
      });
      store.setState({ status: "kept" });
    },
    dispose: () => {
      stopEdits();
      others.unsubscribe();
      void flush();
    },
  });
}

export type Autosave = ReturnType<typeof createAutosave>;
