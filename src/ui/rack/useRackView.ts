"use client";
import { useEffect, useMemo, useState } from "react";
import { createStore, useStore } from "zustand";
import { digests } from "@/store/digests";
import type { RackFigureStore } from "@/store/rackFigures";
import { useKept } from "@/store/useKept";
import { useLast } from "../kit/useLast";
import { needsDigests, type RackView, shownIds, WHOLE_RACK } from "./order";

/** As the maker left it, until the tab is closed. */
const left = createStore<RackView>(() => WHOLE_RACK);

/** Ends search and filters, so that what comes onto the rack is seen. */
export const showAll = (): void => left.setState(({ order }) => ({ ...WHOLE_RACK, order }));

interface ShownRack {
  readonly view: RackView;
  readonly setView: (view: RackView) => void;
  /** The knives that are shown; null while it is looked through for the first time. */
  readonly shown: readonly string[] | null;
}

/** Which knives of the rack are shown, in which order. */
export function useRackView(ids: readonly string[], figures: RackFigureStore): ShownRack {
  const view = useStore(left);
  const needed = needsDigests(view);
  const read = useKept(async () => (needed ? digests() : null), [needed]);
  const known = useLast(read);
  const weighed = useOrderedBy(figures, view.order === "weight" || view.order === "balance");
  const shown = useMemo(
    () => (needed && !known ? null : shownIds(ids, view, known, weighed)),
    [ids, view, known, weighed, needed],
  );
  return { view, setView: (next) => left.setState(next), shown };
}

/** How often rows may change their places while figures come in, ms. */
const SETTLE_MS = 1500;

/** The figures that knives are ordered by; while they come in, rows keep their places for a while. */
function useOrderedBy(figures: RackFigureStore, wanted: boolean) {
  const [known, setKnown] = useState(() => figures.getState().known);
  useEffect(() => {
    if (!wanted) return;
    setKnown(figures.getState().known);
    const timer = setInterval(() => setKnown(figures.getState().known), SETTLE_MS);
    return () => clearInterval(timer);
  }, [figures, wanted]);
  return known;
}
