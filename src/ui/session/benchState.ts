import { createStore, type StoreApi } from "zustand/vanilla";
import type { PartRef } from "@/core/figures/review/partRefs";
import type { Review } from "@/core/figures/review/reviewDesign";
import type { Finding } from "@/core/figures/review/types";
import type { MassReport } from "@/core/figures/weigh/report";
import type { Weighing } from "@/core/figures/weigh/weigh";
import { weighAlike } from "@/core/figures/weigh/weighAlike";
import type { Point } from "@/core/geometry/curve/bezier";
import type { ProductDesign } from "@/core/knife/design/product";
import type { Design } from "@/core/knife/design/schema";
import { recordOf } from "@/core/products/recordOf";
import type { Autosave } from "@/store/autosave";
import type { Session, SessionState } from "@/store/session";
import { currentUnits } from "@/store/settings";
import { problemWords } from "@/words/problems";
import { createBenchWorker, createPractice, createWeigher } from "@/workers/services";
import { notices } from "../kit/notice";
import { NOTHING_NOTICED, type Noticed, notice } from "./noticed";

export interface Weighed<D extends ProductDesign = Design> {
  /** The last weighing that arrived; null before the first. */
  readonly weighing: Weighing | null;
  /** What it is of; the knife may have changed since. */
  readonly of: D | null;
  /** Why the present design is not weighed, when the weighing itself failed: the figures are of an older one then. */
  readonly failure: string | null;
  /** The last state that could be built, and what it weighed; null before the first. */
  readonly lastGood: { readonly of: D; readonly report: MassReport } | null;
}

/** What the trade's rules say, and of which state of the knife; it may have changed since. */
export interface Reviewed<D extends ProductDesign = Design> extends Review {
  readonly of: D;
  /** Whether its fixes are still being tried. */
  readonly trying: boolean;
}

/** What a row, a finding or a change that is pointed at refers to: parts of the knife, or a place on it. */
export interface Highlighted {
  readonly partRefs: readonly PartRef[];
  readonly at: Point | null;
  /** Whether it is pointed at on the drawing itself: what refers to it is marked then. */
  readonly onDrawing: boolean;
}

/** What stands beside the design while a knife is on the bench. Nothing of it is kept. */
export interface BenchState<D extends ProductDesign = Design> {
  /** Which of its product's steps. */
  readonly step: string;
  /** Id of the node, pin or hole that is picked out on the drawing and in the panel. */
  readonly selected: string | null;
  /** Whether a point is being dragged. */
  readonly dragging: boolean;
  /** Where the cross-section is taken, mm from the datum. */
  readonly stationMm: number;
  readonly weighed: Weighed<D>;
  /** The design; while a point is dragged, as it was when that began: what the drawing is scaled to. */
  readonly settled: D;
  /** What the trade's rules say; null until they were asked, or while the knife cannot be built. */
  readonly review: Reviewed<D> | null;
  /** What would mend a state that cannot be built; null of one that can, and until that is known. */
  readonly mends: { readonly of: D; readonly findings: readonly Finding[] } | null;
  /** Since when each finding has been there. */
  readonly noticed: Noticed;
  /** What is referred to, marked on the drawing that is in sight. */
  readonly highlighted: Highlighted | null;
  /** The same by what is pointed at, and by what has the focus: what was come to last is marked. */
  readonly highlightedBy: Readonly<Record<HighlightedBy, Highlighted | null>>;
}

/** How something was come to: by the pointer, or by the keyboard. */
export type HighlightedBy = "pointer" | "focus";

/** One design on the bench: always the same object while it is there; who shows something of it selects that. */
export interface Bench<D extends ProductDesign = Design> {
  readonly knifeId: string;
  readonly session: Session<D>;
  readonly autosave: Autosave<D>;
  readonly state: StoreApi<BenchState<D>>;
  /** As the session's; a refusal is said, too. */
  readonly edit: SessionState<D>["edit"];
  readonly setStep: (step: string) => void;
  readonly setSelected: (id: string | null) => void;
  readonly setDragging: (on: boolean) => void;
  readonly setStationMm: (mm: number) => void;
  readonly setHighlight: (by: HighlightedBy, highlighted: Highlighted | null) => void;
  readonly weighAgain: () => void;
  /** Weighs the knife and asks the trade's rules whenever it changes, until the answer is called. */
  readonly begin: () => () => void;
}

/** The rules are asked when the knife has rested so long since a change, ms. */
const REST_MS = 60;
/** While a point is dragged they wait longer: a drag's weighing is not made to share the machine with them. */
const DRAG_REST_MS = 500;
/** A refused drag repeats: it is said once in so long, ms. */
const SAY_EVERY_MS = 1000;

/**
 * The first weighings of a worker take several times as long as later ones, until its code is compiled. It practises for
 * so long when a knife is laid on the bench, so that the first point dragged does not pay for it, ms.
 */
const PRACTICE_MS = 600;
/** A knife of which one weighing takes longer is not weighed for practice: an edit would have to wait for it, ms. */
const HEAVY_MS = 150;

export interface BenchWorkers {
  readonly weigher: typeof createWeigher;
  readonly asker: typeof createBenchWorker;
  readonly practice: typeof createPractice;
}

export function createBench<D extends ProductDesign>(
  knifeId: string,
  session: Session<D>,
  autosave: Autosave<D>,
  firstStep: string,
  workers: BenchWorkers = {
    weigher: createWeigher,
    asker: createBenchWorker,
    practice: createPractice,
  },
): Bench<D> {
  const { notWeighed } = recordOf(session.getState().design);
  const state = createStore<BenchState<D>>(() => ({
    step: firstStep,
    selected: null,
    dragging: false,
    stationMm: -30,
    weighed: { weighing: null, of: null, failure: null, lastGood: null },
    settled: session.getState().design,
    review: null,
    mends: null,
    noticed: NOTHING_NOTICED,
    highlighted: null,
    highlightedBy: { pointer: null, focus: null },
  }));
  const design = () => session.getState().design;
  session.subscribe((now) => {
    const { dragging, settled } = state.getState();
    if (!dragging && now.design !== settled) state.setState({ settled: now.design });
  });
  let weighNow: (() => void) | null = null;
  let reviewLater: (() => void) | null = null;
  let saidAt = 0;

  return {
    knifeId,
    session,
    autosave,
    state,
    edit: (edit, options) => {
      const refused = session.getState().edit(edit, options);
      if (!refused || Date.now() - saidAt < SAY_EVERY_MS) return refused;
      saidAt = Date.now();
      notices.error({ title: "Not possible", description: `${problemWords(refused, currentUnits())}.` });
      return refused;
    },
    setStep: (step) => state.setState({ step, selected: null }),
    setSelected: (selected) => state.setState({ selected }),
    setDragging: (dragging) => {
      state.setState(dragging ? { dragging } : { dragging, settled: design() });
      if (!dragging) reviewLater?.();
    },
    setStationMm: (stationMm) => state.setState({ stationMm }),
    setHighlight: (by, to) =>
      state.setState((s) => {
        const highlightedBy = { ...s.highlightedBy, [by]: to };
        return { highlightedBy, highlighted: to ?? highlightedBy.pointer ?? highlightedBy.focus };
      }),
    weighAgain: () => weighNow?.(),
    begin: () => {
      const weigher = workers.weigher();
      const asker = workers.asker();
      let latest: D | null = null;
      // Weighings in the order that they were wanted, and the last whose figures are shown.
      let wanted = 0;
      let shown = 0;
      let failures = 0;
      let timer: ReturnType<typeof setTimeout> | undefined;

      const review = async () => {
        const asked = design();
        // At once what stands against it; then, a moment later, what would fix it: each fix is tried first.
        for (const quick of [true, false]) {
          const answer = await asker.ask((s) => s.review(asked, quick));
          if (!answer.ok || asked !== design() || state.getState().dragging) return;
          const { findings } = answer.value;
          state.setState(({ noticed }) => ({
            review: { ...answer.value, of: asked, trying: quick },
            noticed: notice(noticed, asked, "trade", findings),
          }));
        }
      };
      // It may take seconds: it is given up as soon as the knife is another, and keeps nothing waiting.
      let mender: ReturnType<typeof workers.asker> | null = null;
      const mend = async () => {
        const asked = design();
        mender = workers.asker();
        const answer = await mender.ask((s) => s.mend(asked));
        if (answer.ok && asked === design()) state.setState({ mends: { of: asked, findings: answer.value } });
      };
      reviewLater = () => {
        clearTimeout(timer);
        mender?.dispose();
        mender = null;
        const { weighed, dragging, mends } = state.getState();
        const ask = weighed.weighing?.ok ? review : mend;
        if (!weighed.weighing?.ok) state.setState({ review: null });
        if (mends) state.setState({ mends: null });
        // Nothing is mended while it is still being dragged about.
        if (weighed.weighing && !(dragging && ask === mend))
          timer = setTimeout(() => void ask(), dragging ? DRAG_REST_MS : REST_MS);
      };
      const practise = async () => {
        const practice = workers.practice();
        const until = Date.now() + PRACTICE_MS;
        const asked = design();
        let begun = Date.now();
        while (begun < until && asked === design()) {
          const answer = await practice.ask((s) => s.weigh(asked));
          if (!answer.ok || Date.now() - begun > HEAVY_MS) break;
          begun = Date.now();
        }
        practice.dispose();
      };
      const weigh = async (asked: D) => {
        latest = asked;
        const turn = ++wanted;
        const { weighed } = state.getState();
        if (weighed.of && !weighed.failure && weighAlike(weighed.of, asked, notWeighed)) {
          shown = turn;
          state.setState({ weighed: { ...weighed, of: asked } });
          return;
        }
        const first = weighed.of === null;
        const answer = await weigher.ask((s) => s.weigh(asked));
        if (answer.ok) {
          failures = 0;
          if (turn < shown) return;
          shown = turn;
          const was = state.getState().weighed.weighing?.ok;
          const weighing = answer.value;
          state.setState(({ weighed, noticed }) => ({
            noticed: notice(noticed, asked, "faults", weighing.findings),
            weighed: {
              weighing,
              of: asked,
              failure: null,
              lastGood: weighing.ok ? { of: asked, report: weighing.report } : weighed.lastGood,
            },
          }));
          if (weighing.ok !== was) reviewLater?.();
          if (first) void practise();
        } else if (answer.code === "failed" && asked === latest) {
          // A worker that died may have died of anything: it is asked once more, by a new one, before that is said.
          if (failures++ === 0) void weigh(asked);
          else state.setState(({ weighed }) => ({ weighed: { ...weighed, failure: answer.message } }));
        }
      };
      weighNow = () => void weigh(design());
      // The session is listened to itself, so that the worker is at it before the drawing is even begun.
      const leave = session.subscribe((now) => {
        if (now.design === latest) return;
        void weigh(now.design);
        reviewLater?.();
      });
      weighNow();
      return () => {
        leave();
        clearTimeout(timer);
        weighNow = null;
        reviewLater = null;
        weigher.dispose();
        mender?.dispose();
        asker.dispose();
      };
    },
  };
}
