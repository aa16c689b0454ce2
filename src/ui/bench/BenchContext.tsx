"use client";
import { createContext, type ReactNode, useContext, useEffect, useMemo } from "react";
import { useStore } from "zustand";
import { useShallow } from "zustand/react/shallow";
import type { ProductDesign } from "@/core/design/product";
import type { Design } from "@/core/design/schema";
import type { Autosave } from "@/store/autosave";
import { watchWorkshops, workshops } from "@/store/followed";
import type { Session } from "@/store/session";
import { KnownMaterials } from "../materials";
import type { ProductViews } from "../products/product";
import { useAfterPaint } from "../useAfterPaint";
import { type Bench, type BenchState, createBench } from "./benchState";

const Context = createContext<Bench<ProductDesign> | null>(null);

/**
 * What is on the bench, to change it or to listen to it: always the same object, so that it draws nothing again. What is
 * shown of one product alone knows it as a design of that product.
 */
export function useBenchOf<D extends ProductDesign>(): Bench<D> {
  const bench = useContext(Context);
  if (!bench) throw new Error("useBench outside a BenchProvider");
  return bench as unknown as Bench<D>;
}

const ViewsContext = createContext<ProductViews | null>(null);

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
export const useWeighed = () => useStore(useBenchOf<ProductDesign>().state, (s) => s.weighed);

/** Puts one design on the bench, within reach of all that is shown of it. */
export function BenchProvider({
  knifeId,
  session,
  autosave,
  views,
  children,
}: {
  knifeId: string;
  session: Session;
  autosave: Autosave;
  views: ProductViews;
  children: ReactNode;
}) {
  const bench = useMemo(
    () => createBench(knifeId, session, autosave, views.steps[0].id),
    [knifeId, session, autosave, views],
  );
  useEffect(() => bench.begin(), [bench]);
  // What another page or tab changes of the workshop, this knife follows.
  useEffect(() => {
    watchWorkshops();
    return workshops.subscribe(() => session.followOn());
  }, [session]);
  return (
    <Context.Provider value={bench}>
      <ViewsContext.Provider value={views}>
        <Carried>{children}</Carried>
      </ViewsContext.Provider>
    </Context.Provider>
  );
}

/** Own materials that the knife carries are known to all that is shown of it. */
function Carried({ children }: { children: ReactNode }) {
  return <KnownMaterials carried={useProduct((d) => d.materials)}>{children}</KnownMaterials>;
}
