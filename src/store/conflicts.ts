import { createStore } from "zustand/vanilla";

/** Something that another tab had changed as well: what stands, and where the other state is. */
export interface Conflict {
  /** Table of the row, and what the row is called in a notice. */
  readonly table: string;
  readonly what: string;
  /** Whose state lies in the bin: the other tab's, or this tab's where the other had deleted the thing. */
  readonly inBin: "theirs" | "mine";
  /** The item of the bin that holds it. */
  readonly binId: string;
}

/** Conflicts in the order in which they were found, to be reported. */
export const conflicts = createStore<{ readonly found: readonly Conflict[] }>(() => ({ found: [] }));

/** Takes down a conflict: whoever shows notices tells of it. */
export function noteConflict(conflict: Conflict): void {
  conflicts.setState(({ found }) => ({ found: [...found, conflict] }));
}
