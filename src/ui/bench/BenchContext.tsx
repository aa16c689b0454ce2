"use client";
import { createContext, type ReactNode, useContext, useEffect, useMemo } from "react";
import { useStore } from "zustand";
import { useShallow } from "zustand/react/shallow";
import type { Design } from "@/core/design/schema";
import type { Autosave } from "@/store/autosave";
import type { Session } from "@/store/session";
import { KnownMaterials } from "../materials";
import { useAfterPaint } from "../useAfterPaint";
import { type Bench, type BenchState, createBench } from "./benchState";

const Context = createContext<Bench | null>(null);

/** The knife on the bench, to change it or to listen to it: always the same object, so that it draws nothing again. */
export function useBench(): Bench {
  const bench = useContext(Context);
  if (!bench) throw new Error("useBench outside a BenchProvider");
  return bench;
}

/**
 * The design, or what is selected of it: drawn again only when that changes. A selector answers a value of the design, or
 * a list or record of such values.
 */
export function useDesign(): Design;
export function useDesign<T>(select: (design: Design) => T): T;
export function useDesign<T>(select?: (design: Design) => T): T | Design {
  return useStore(
    useBench().session,
    useShallow((s) => (select ? select(s.design) : s.design)),
  );
}

/** What is selected of the bench's own state: the step at hand, what is picked out, the last weighing, the review. */
export function useBenchState<T>(select: (state: BenchState) => T): T {
  return useStore(useBench().state, select);
}

export const useStep = () => useBenchState((s) => s.step);
export const useSelected = () => useBenchState((s) => s.selected);
export const useDragging = () => useBenchState((s) => s.dragging);
export const useReview = () => useBenchState((s) => s.review);
/** The last weighing that arrived; null before the first. */
export const useWeighing = () => useBenchState((s) => s.weighed.weighing);
/** Its report, while the knife can be built. */
export const useReport = () =>
  useBenchState((s) => (s.weighed.weighing?.ok ? s.weighed.weighing.report : null));

/**
 * The design for what may be drawn a moment later than what is edited; while a point is being dragged, not before the
 * weighing, whose figures come first.
 */
export function useLaterDesign(): Design {
  const design = useDesign();
  const weighed = useBenchState((s) => (s.dragging ? s.weighed.of : null));
  return useAfterPaint(weighed ?? design);
}

/** The design for what need not follow a drag: while a point is dragged, as it was when that began. */
export const useSettledDesign = () => useBenchState((s) => s.settled);

/** Puts one knife on the bench, within reach of all that is shown of it. */
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
  const bench = useMemo(() => createBench(knifeId, session, autosave), [knifeId, session, autosave]);
  useEffect(() => bench.begin(), [bench]);
  return (
    <Context.Provider value={bench}>
      <Carried>{children}</Carried>
    </Context.Provider>
  );
}

/** Own materials that the knife carries are known to all that is shown of it. */
function Carried({ children }: { children: ReactNode }) {
  return <KnownMaterials carried={useDesign((d) => d.materials)}>{children}</KnownMaterials>;
}
