import { produce } from "immer";
import { temporal } from "zundo";
import { createStore } from "zustand/vanilla";
import { withoutStaleMarks } from "@/core/design/marks";
import { withOwnMaterials } from "@/core/design/materials";
import type { FieldProblem } from "@/core/design/problem";
import { refusalOf } from "@/core/design/refusal";
import type { Design } from "@/core/design/schema";
import type { State, Timeline } from "./history";
import { ownMaterials } from "./ownMaterials";

/** What an edit's recipe changes: the same shape, free to be written to. */
export type Draft<T> = { -readonly [K in keyof T]: T[K] extends object ? Draft<T[K]> : T[K] };

export interface EditOptions {
  /** Edits of one gesture (a drag, a run of arrow keys) become one step of undo. */
  readonly gesture?: string;
}

export interface SessionState {
  readonly design: Design;
  /** What the last edit did, in words: shown beside undo. */
  readonly label: string;
  /** Changes the design, unless the result is one that no file could hold: then nothing changes, and why is said. */
  edit(label: string, recipe: (draft: Draft<Design>) => void, options?: EditOptions): FieldProblem | null;
  /** Takes a whole design as one step of undo: a restored or foreign state. */
  adopt(label: string, design: Design): void;
}

/** One knife being edited: an immutable design with undo and redo, from the start where its history was kept. */
export function createSession(initial: Design, kept?: Timeline) {
  let lastGesture: string | null = null;
  const store = createStore<SessionState>()(
    temporal(
      (set) => {
        const put = (label: string, design: Design, gesture: string | null) => {
          const goesOn = gesture !== null && gesture === lastGesture;
          const history = store.temporal.getState();
          // The first edit of a gesture records where it began; the rest replace each other.
          if (goesOn) history.pause();
          set({ design, label });
          if (goesOn) history.resume();
          lastGesture = gesture;
        };
        return {
          design: initial,
          label: kept?.now.label ?? "",
          edit: (label, recipe, options) => {
            const now = store.getState().design;
            const next = withOwnMaterials(
              withoutStaleMarks(produce(now, recipe as (draft: unknown) => void)),
              ownMaterials(),
            );
            if (next === now) return null;
            const refused = refusalOf(next);
            if (!refused) put(label, next, options?.gesture ?? null);
            return refused;
          },
          adopt: (label, design) => put(label, design, null),
        };
      },
      {
        limit: 300,
        partialize: ({ design, label }) => ({ design, label }),
        equality: (a, b) => a.design === b.design,
      },
    ),
  );
  if (kept) store.temporal.setState({ pastStates: [...kept.past], futureStates: [...kept.future].reverse() });
  return Object.assign(store, {
    /** All states as they stand. */
    timeline: (): Timeline => {
      const { pastStates, futureStates } = store.temporal.getState();
      const { design, label } = store.getState();
      return {
        past: pastStates as State[],
        now: { design, label },
        future: [...futureStates].reverse() as State[],
      };
    },
    undo: () => {
      lastGesture = null;
      store.temporal.getState().undo();
    },
    redo: () => {
      lastGesture = null;
      store.temporal.getState().redo();
    },
  });
}

export type Session = ReturnType<typeof createSession>;
