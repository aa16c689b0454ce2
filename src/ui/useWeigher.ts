"use client";
import { useEffect, useRef, useState } from "react";
import type { Design } from "@/core/design/schema";
import type { Weighing } from "@/core/weigh/weigh";
import type { Session } from "@/store/session";
import { createWeigher } from "@/workers/weigh.client";

export interface Weighed {
  /** The last weighing that arrived; null before the first. */
  readonly weighing: Weighing | null;
  /** What it is of; the knife may have changed since. */
  readonly of: Design | null;
  /** Why there is none, when the weighing itself failed. */
  readonly failure: string | null;
}

export const NOT_YET: Weighed = { weighing: null, of: null, failure: null };

/**
 * Weighs a session's design in a worker whenever it changes; shows the last answer meanwhile. It listens to the session
 * itself, so that the worker is at it before the drawing is even begun.
 */
export function useWeighing(session: Session): Weighed {
  const [weighed, setWeighed] = useState<Weighed>(NOT_YET);
  useEffect(() => {
    const weigher = createWeigher();
    let latest: Design | null = null;
    const weigh = ({ design }: { design: Design }) => {
      if (design === latest) return;
      latest = design;
      void weigher.weigh(design).then((answer) => {
        if (answer.ok) setWeighed({ weighing: answer.weighing, of: design, failure: null });
        else if (answer.code === "failed" && design === latest)
          setWeighed({ weighing: null, of: null, failure: answer.message });
      });
    };
    weigh(session.getState());
    const leave = session.subscribe(weigh);
    return () => {
      leave();
      weigher.dispose();
    };
  }, [session]);
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
