"use client";
import { useEffect, useState } from "react";
import { useStore } from "zustand";
import { emptyOldBin } from "@/store/bin";
import { layOutDemoKnivesOnce } from "@/store/demo";
import { knifeIds } from "@/store/knives";
import { createRackFigures, type RackFigureStore } from "@/store/rackFigures";
import { storage } from "@/store/storage";
import { useKept } from "@/store/useKept";
import { createWeigher } from "@/workers/weigh.client";
import { knifeExtent } from "../drawing/extent";

/** Whether the kept figures have been read. */
function useBegun(figures: RackFigureStore | null): boolean {
  const [begun, setBegun] = useState(false);
  useEffect(() => {
    setBegun(figures?.getState().begun ?? false);
    return figures?.subscribe((s) => setBegun(s.begun));
  }, [figures]);
  return begun;
}

/** The knives of the rack by id, and their figures as they are known; null before the database has answered. */
export function useRack(): { ids: readonly string[] | undefined; figures: RackFigureStore | null } {
  const [seeded, setSeeded] = useState(false);
  const [figures, setFigures] = useState<RackFigureStore | null>(null);
  // What waits in memory is on the rack too.
  const waiting = useStore(storage, (s) => s.waiting);

  useEffect(() => {
    const weigher = createWeigher();
    const made = createRackFigures(weigher.weigh, knifeExtent);
    setFigures(made);
    void layOutDemoKnivesOnce()
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

  // Asked again when something waits, or is written at last.
  const ids = useKept(knifeIds, [seeded, waiting]);
  useEffect(() => {
    if (seeded && ids && figures) void figures.begin(ids);
  }, [seeded, ids, figures]);
  const begun = useBegun(figures);
  return { ids: seeded && begun ? ids : undefined, figures };
}
