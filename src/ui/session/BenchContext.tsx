"use client";
import { createContext, useContext, useMemo } from "react";
import { useStore } from "zustand";
import { useShallow } from "zustand/react/shallow";
import type { KeptEdit } from "@/core/edit/kept";
import type { Finding } from "@/core/figures/review/types";
import type { ProductDesign } from "@/core/knife/design/product";
import type { Design } from "@/core/knife/design/schema";
import { useUnits } from "@/store/settings";
import { useAfterPaint } from "../kit/useAfterPaint";
import type { Bench, BenchState } from "./benchState";
import { withMends } from "./noticed";
import type { ProductViews } from "./product";

export const BenchContext = createContext<Bench<ProductDesign> | null>(null);

/**
 * What is on the bench, to change it or to listen to it: always the same object, so that it draws nothing again. What is
 * shown of one product alone knows it as a design of that product.
 */
export function useBenchOf<D extends ProductDesign>(): Bench<D> {
  const bench = useContext(BenchContext);
  if (!bench) throw new Error("useBench outside a BenchProvider");
  return bench as unknown as Bench<D>;
}

export const ViewsContext = createContext<ProductViews | null>(null);

/** What is shown of the product on the bench. */
export function useViews(): ProductViews {
  const views = useContext(ViewsContext);
  if (!views) throw new Error("useViews outside a BenchProvider");
  return views;
}

/** The same of a knife with a fixed blade. */
export const useBench = (): Bench => useBenchOf<Design>();

/** What is selected of whatever product is on the bench: drawn again only when that changes. */
export function useProduct<T>(select: (design: ProductDesign) => T): T {
  return useStore(
    useBenchOf<ProductDesign>().session,
    useShallow((s) => select(s.design)),
  );
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
/** What keeps the knife from being built or is not as it says, with what would mend it as soon as that is known. */
export function useFaults(): readonly Finding[] | null {
  const weighed = useBenchState((s) => s.weighed);
  const mends = useBenchState((s) => s.mends);
  return useMemo(() => {
    const found = weighed.weighing?.findings ?? null;
    return found && mends && mends.of === weighed.of ? withMends(found, mends.findings) : found;
  }, [weighed, mends]);
}
/** Of which state of the knife the fixes of its findings are: of its faults, or of what the trade's rules say. */
export const useFixesOf = (): ProductDesign | null =>
  useBenchState((s) => (s.weighed.weighing?.ok ? s.review?.of : s.mends?.of) ?? null);
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

/** The last weighing of whatever product is on the bench, and what it is of. */
/** What undo and redo call an edit of the design on the bench; nothing where there is none. */
export function useEditWords(): (edit: KeptEdit | null | undefined) => string {
  const { session } = useBenchOf<ProductDesign>();
  const { editWords } = useViews();
  const units = useUnits();
  return (edit) => (edit ? editWords(edit, session.getState().design, units) : "");
}

/** What undo would take back. */
export function useLastEdit(): string {
  const last = useStore(useBenchOf<ProductDesign>().session, (s) => s.last);
  return useEditWords()(last);
}

export const useWeighed = () => useStore(useBenchOf<ProductDesign>().state, (s) => s.weighed);
