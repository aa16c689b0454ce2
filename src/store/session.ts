import { temporal } from "zundo";
import { createStore } from "zustand/vanilla";
import { applyEdit } from "@/core/edit/applyEdit";
import type { EditFor } from "@/core/edit/editFor";
import { type KeptEdit, keptEdit } from "@/core/edit/kept";
import { withOwnMaterials } from "@/core/knife/design/materials";
import type { FieldProblem } from "@/core/knife/design/problem";
import type { ProductDesign } from "@/core/knife/design/product";
import { recordRefusal } from "@/core/knife/design/refusal";
import { withOwnParts } from "@/core/knife/design/workshop";
import { recordOf } from "@/core/products/recordOf";
import { follow } from "./followed";
import type { State, Timeline } from "./history";
import { ownMaterials } from "./ownMaterials";

export interface EditOptions {
  /** Edits of one gesture (a drag, a run of arrow keys) become one step of undo. */
  readonly gesture?: string;
}

export interface SessionState<D extends ProductDesign = ProductDesign> {
  readonly design: D;
  /** The last edit: what undo would take back; null before there is any. */
  readonly last: KeptEdit | null;
  /** Changes the design, unless the result is one that no file could hold: then nothing changes, and why is said. */
  edit(edit: EditFor<D>, options?: EditOptions): FieldProblem | null;
}

/** One design being edited: immutable, with undo and redo, from the start where its history was kept. */
export function createSession<D extends ProductDesign>(initial: D, kept?: Timeline<D>) {
  const record = recordOf(initial);
  let lastGesture: string | null = null;
  const store = createStore<SessionState<D>>()(
    temporal(
      (set) => {
        const put = (last: KeptEdit, design: D, gesture: string | null) => {
          const goesOn = gesture !== null && gesture === lastGesture;
          const history = store.temporal.getState();
          // The first edit of a gesture records where it began; the rest replace each other.
          if (goesOn) history.pause();
          set({ design, last });
          if (goesOn) history.resume();
          lastGesture = gesture;
        };
        return {
          design: initial,
          last: kept?.now.last ?? null,
          edit: (edit, options) => {
            const now = store.getState().design;
            const made = record.tidied(applyEdit(record.edits, now, edit), now) as D;
            // A whole design carries what is its own; what an edit changes becomes the design's own.
            const next = "design" in edit ? made : withOwnParts(now, withOwnMaterials(made, ownMaterials()));
            if (next === now) return null;
            const refused = recordRefusal(record.schema, next);
            if (!refused) put(keptEdit(edit), next, options?.gesture ?? null);
            return refused;
          },
        };
      },
      {
        limit: 300,
        partialize: ({ design, last }) => ({ design, last }),
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
      const { design, last } = store.getState();
      return {
        past: pastStates as State<D>[],
        now: { design, last },
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
