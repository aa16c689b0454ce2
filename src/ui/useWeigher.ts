"use client";
import { useEffect, useRef, useState } from "react";
import type { Design } from "@/core/design/schema";
import type { Weighing } from "@/core/weigh/weigh";
import { createWeigher, type Weigher } from "@/workers/weigh.client";

export interface Weighed {
  /** The last weighing that arrived; null before the first. */
  readonly weighing: Weighing | null;
  /** Why there is none, when the weighing itself failed. */
  readonly failure: string | null;
}

/** Weighs a design in a worker whenever it changes; shows the last answer meanwhile. */
export function useWeighing(design: Design): Weighed {
  const weigher = useRef<Weigher | null>(null);
  const [weighed, setWeighed] = useState<Weighed>({ weighing: null, failure: null });
  useEffect(() => {
    const mine = createWeigher();
    weigher.current = mine;
    return () => {
      weigher.current = null;
      mine.dispose();
    };
  }, []);
  useEffect(() => {
    let wanted = true;
    void weigher.current?.weigh(design).then((answer) => {
      if (answer.ok) setWeighed({ weighing: answer.weighing, failure: null });
      else if (answer.code === "failed" && wanted) setWeighed({ weighing: null, failure: answer.message });
    });
    return () => {
      wanted = false;
    };
  }, [design]);
  return weighed;
}

/** Weighs many designs one after the other in one worker, by key; figures appear as they come. */
export function useWeighings(
  designs: readonly { readonly key: string; readonly design: Design }[],
): ReadonlyMap<Design, Weighing> {
  const [done, setDone] = useState<ReadonlyMap<Design, Weighing>>(new Map());
  const known = useRef(done);
  known.current = done;
  useEffect(() => {
    const missing = designs.filter((d) => !known.current.has(d.design));
    if (missing.length === 0) return;
    const weigher = createWeigher();
    void (async () => {
      for (const { design } of missing) {
        const answer = await weigher.weigh(design);
        if (answer.ok) setDone((before) => new Map(before).set(design, answer.weighing));
      }
    })();
    return () => weigher.dispose();
  }, [designs]);
  return done;
}
