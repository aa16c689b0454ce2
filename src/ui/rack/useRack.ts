"use client";
import { useEffect, useState } from "react";
import { emptyOldBin } from "@/store/bin";
import { layOutDemoKnivesOnce } from "@/store/demo";
import { knifeIds } from "@/store/knives";
import { createRackFigures, type RackFigureStore } from "@/store/rackFigures";
import { useKept } from "@/store/useKept";
import { createWeigher } from "@/workers/services";
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

  useEffect(() => {
    const weigher = createWeigher();
    const made = createRackFigures((design) => weigher.ask((s) => s.weigh(design)), knifeExtent);
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

  const ids = useKept(knifeIds, [seeded]);
  useEffect(() => {
    if (seeded && ids && figures) void figures.begin(ids);
  }, [seeded, ids, figures]);
  const begun = useBegun(figures);
  return { ids: seeded && begun ? ids : undefined, figures };
}
