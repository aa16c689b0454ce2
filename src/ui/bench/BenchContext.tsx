"use client";
import { createContext, type ReactNode, useContext, useEffect, useMemo, useRef, useState } from "react";
import { useStore } from "zustand";
import type { Design } from "@/core/design/schema";
import type { Review } from "@/core/review/reviewDesign";
import type { UnitSystem } from "@/core/units/print";
import type { Autosave } from "@/store/autosave";
import type { Session, SessionState } from "@/store/session";
import { useSettings } from "@/store/settings";
import { notices } from "../shell/notice";
import { useAfterPaint } from "../useAfterPaint";
import { useAsked } from "../useAsked";
import { NOT_YET, useWeighing, type Weighed } from "../useWeigher";

export const STEPS = ["blade", "tang", "handle", "guard", "pins", "parts"] as const;
export type Step = (typeof STEPS)[number];

export interface BenchState {
  readonly knifeId: string;
  readonly design: Design;
  readonly session: Session;
  readonly autosave: Autosave;
  readonly units: UnitSystem;
  readonly snapMm: number;
  readonly step: Step;
  readonly setStep: (step: Step) => void;
  /** Id of the node, pin or hole that is picked out on the drawing and in the panel. */
  readonly selected: string | null;
  readonly setSelected: (id: string | null) => void;
  readonly edit: SessionState["edit"];
  /** Told when a point begins and ends being dragged. */
  readonly setDragging: (on: boolean) => void;
}

/** Where the cross-section is taken, mm from the datum. */
interface StationState {
  readonly stationMm: number;
  readonly setStationMm: (mm: number) => void;
}

// What changes at its own pace has a context of its own, so that hovering does not redraw the panel, nor a weighing
// the fields.
const Context = createContext<BenchState | null>(null);
const WeighedContext = createContext<Weighed>(NOT_YET);
const ReviewContext = createContext<Review | null>(null);
const DraggingContext = createContext(false);
const StationContext = createContext<StationState>({ stationMm: 0, setStationMm: () => undefined });

/** The last weighing of the knife on the bench. */
export function useWeighed(): Weighed {
  return useContext(WeighedContext);
}

/** What the trade's rules say of the knife on the bench; null until they were asked, or while it cannot be built. */
export function useReview(): Review | null {
  return useContext(ReviewContext);
}

/** Whether a point is being dragged. */
export function useDragging(): boolean {
  return useContext(DraggingContext);
}

/**
 * The design for what may be drawn a moment later than what is edited; while a point is being dragged, not before the
 * weighing, whose figures come first.
 */
export function useLaterDesign(): Design {
  const { design } = useBench();
  const { of } = useWeighed();
  return useAfterPaint((useDragging() && of) || design);
}

export function useStation(): StationState {
  return useContext(StationContext);
}

export function useBench(): BenchState {
  const state = useContext(Context);
  if (!state) throw new Error("useBench outside a Bench");
  return state;
}

/** While a point is dragged, what is around the drawing follows this much later, ms. */
const FOLLOW_MS = 250;

/**
 * The bench for what stands around the drawing: it sees design and weighing as they are, but while a point is being
 * dragged only a few times a second, so that fields and buttons do not cost the drag its frames.
 */
export function Unhurried({ children }: { children: ReactNode }) {
  const now = { bench: useBench(), weighed: useWeighed() };
  const dragging = useDragging();
  const latest = useRef(now);
  latest.current = now;
  const before = useRef(now);
  if (!dragging) before.current = now;
  const [followed, setFollowed] = useState<typeof now | null>(null);
  useEffect(() => {
    if (!dragging) return;
    const timer = setInterval(() => setFollowed(latest.current), FOLLOW_MS);
    return () => {
      clearInterval(timer);
      setFollowed(null);
    };
  }, [dragging]);
  const shown = dragging ? (followed ?? before.current) : now;
  return (
    <Context.Provider value={shown.bench}>
      <WeighedContext.Provider value={shown.weighed}>{children}</WeighedContext.Provider>
    </Context.Provider>
  );
}

/** Puts one knife's session, its weighing and what is picked out within reach of the whole Bench. */
export function BenchProvider({
  knifeId,
  session,
  autosave,
  children,
}: {
  knifeId: string;
  session: Session;
  autosave: Autosave;
  children: ReactNode;
}) {
  const design = useStore(session, (s) => s.design);
  const weighed = useWeighing(session);
  const { units, snapMm } = useSettings();
  const [step, setStep] = useState<Step>("blade");
  const [selected, setSelected] = useState<string | null>(null);
  const [stationMm, setStationMm] = useState(-30);
  const [dragging, setDragging] = useState(false);
  const { answer: review } = useAsked(
    weighed.weighing?.ok ? design : null,
    (s, d) => s.review(d, true),
    // A drag's weighing is not made to share the machine with a review of every place it comes through.
    dragging ? 2 * FOLLOW_MS : undefined,
  );
  const lastWarning = useRef(0);

  const value = useMemo<BenchState>(() => {
    const edit: SessionState["edit"] = (label, recipe, options) => {
      const refused = session.getState().edit(label, recipe, options);
      // Drags repeat: say it once a second at most.
      if (!refused || Date.now() - lastWarning.current < 1000) return refused;
      lastWarning.current = Date.now();
      notices.error({ title: "That cannot be", description: `${refused.path}: ${refused.message}` });
      return refused;
    };
    return {
      knifeId,
      design,
      session,
      autosave,
      units,
      snapMm,
      step,
      setStep: (next) => {
        setStep(next);
        setSelected(null);
      },
      selected,
      setSelected,
      edit,
      setDragging,
    };
  }, [knifeId, design, session, autosave, units, snapMm, step, selected]);
  const station = useMemo(() => ({ stationMm, setStationMm }), [stationMm]);
  return (
    <Context.Provider value={value}>
      <WeighedContext.Provider value={weighed}>
        <ReviewContext.Provider value={review}>
          <DraggingContext.Provider value={dragging}>
            <StationContext.Provider value={station}>{children}</StationContext.Provider>
          </DraggingContext.Provider>
        </ReviewContext.Provider>
      </WeighedContext.Provider>
    </Context.Provider>
  );
}
