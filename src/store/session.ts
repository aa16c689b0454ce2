import { produce } from "immer";
import { temporal } from "zundo";
import { createStore } from "zustand/vanilla";
import { withOwnMaterials } from "@/core/design/materials";
import type { FieldProblem } from "@/core/design/problem";
import type { ProductDesign } from "@/core/design/product";
import { recordRefusal } from "@/core/design/refusal";
import { withOwnParts } from "@/core/design/workshop";
import { recordOf } from "@/core/products/recordOf";
import { follow } from "./followed";
import type { State, Timeline } from "./history";
import { ownMaterials } from "./ownMaterials";

/** What an edit's recipe changes: the same shape, free to be written to. */
export type Draft<T> = { -readonly [K in keyof T]: T[K] extends object ? Draft<T[K]> : T[K] };

export interface EditOptions {
  /** Edits of one gesture (a drag, a run of arrow keys) become one step of undo. */
  readonly gesture?: string;
}

export interface SessionState<D extends ProductDesign = ProductDesign> {
  readonly design: D;
  /** What the last edit did, in words: shown beside undo. */
  readonly label: string;
  /** Changes the design, unless the result is one that no file could hold: then nothing changes, and why is said. */
  edit(label: string, recipe: (draft: Draft<D>) => void, options?: EditOptions): FieldProblem | null;
  /** Takes a whole design as one step of undo: a restored or foreign state. */
  adopt(label: string, design: D): void;
}

/** One design being edited: immutable, with undo and redo, from the start where its history was kept. */
export function createSession<D extends ProductDesign>(initial: D, kept?: Timeline<D>) {
  const record = recordOf(initial);
  let lastGesture: string | null = null;
  const store = createStore<SessionState<D>>()(
    temporal(
      (set) => {
        const put = (label: string, design: D, gesture: string | null) => {
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
            const changed = produce(now, recipe as (draft: unknown) => void);
            const next = withOwnParts(now, withOwnMaterials(record.tidied(changed) as D, ownMaterials()));
            if (next === now) return null;
            const refused = recordRefusal(record.schema, next);
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
  /** Goes on with the design as the workshop that it follows is now: no step of its own, and none that undo takes back. */
  const followOn = () => {
    const { design } = store.getState();
    const next = follow(design);
    if (next === design) return;
    const history = store.temporal.getState();
    history.pause();
    store.setState({ design: next });
    history.resume();
  };
  return Object.assign(store, {
    followOn,
    /** All states as they stand. */
    timeline: (): Timeline<D> => {
      const { pastStates, futureStates } = store.temporal.getState();
      const { design, label } = store.getState();
      return {
        past: pastStates as State<D>[],
        now: { design, label },
        future: [...futureStates].reverse() as State<D>[],
      };
    },
    undo: () => {
      lastGesture = null;
      store.temporal.getState().undo();
      followOn();
    },
    redo: () => {
      lastGesture = null;
      store.temporal.getState().redo();
      followOn();
    },
  });
}

export type Session<D extends ProductDesign = ProductDesign> = ReturnType<typeof createSession<D>>;
