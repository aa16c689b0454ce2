"use client";
import { startTransition, useEffect, useMemo, useState } from "react";
import type { ProductDesign } from "@/core/knife/design/product";
import { emptyOldBin } from "@/store/bin";
import { firstVisit } from "@/store/firstVisit";
import { knifeIds } from "@/store/knives";
import { createRackFigures, type RackFigureStore } from "@/store/rackFigures";
import { useKept } from "@/store/useKept";
import { createWeigher } from "@/workers/services";
import { viewsOf } from "../products/viewsOf";

const extentOf = (design: ProductDesign) => viewsOf(design).extent(design);

/** The knives that are listed, with their sizes known. */
function useListed(figures: RackFigureStore | null): readonly string[] | undefined {
  const [ids, setIds] = useState<readonly string[] | null>(null);
  useEffect(() => {
    setIds(figures?.getState().ids ?? null);
    return figures?.subscribe((s) => startTransition(() => setIds(s.ids)));
  }, [figures]);
  return ids ?? undefined;
}

/** The knives of the rack by id, newest first, and their figures as they are known; null before the database has answered. */
export function useRack(): { ids: readonly string[] | undefined; figures: RackFigureStore | null } {
  const [seeded, setSeeded] = useState(false);
  const [figures, setFigures] = useState<RackFigureStore | null>(null);

  useEffect(() => {
    const weigher = createWeigher();
    const made = createRackFigures((design) => weigher.ask((s) => s.weigh(design)), extentOf);
    setFigures(made);
    void firstVisit()
      // A database that takes no demo knives shows what is there.
      .catch((e: unknown) => console.error("the demo knives could not be laid out", e))
      .then(() => setSeeded(true))
      .then(() => emptyOldBin())
      .catch((e: unknown) => console.error("the bin could not be emptied", e));
    return () => {
      made.stop();
      weigher.dispose();
    };
  }, []);

  const kept = useKept(knifeIds, [seeded]);
  // Newest first: what was just begun is at hand.
  const ids = useMemo(() => kept && [...kept].reverse(), [kept]);
  useEffect(() => {
    if (seeded && ids && figures) void figures.begin(ids);
  }, [seeded, ids, figures]);
  return { ids: useListed(figures), figures };
}
