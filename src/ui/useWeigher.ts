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
  /** Why the present design is not weighed, when the weighing itself failed: the figures are of an older one then. */
  readonly failure: string | null;
  /** Asks once more. */
  readonly again: () => void;
}

export const NOT_YET: Weighed = { weighing: null, of: null, failure: null, again: () => undefined };

/**
 * Weighs a session's design in a worker whenever it changes; shows the last answer meanwhile. It listens to the session
 * itself, so that the worker is at it before the drawing is even begun.
 */
export function useWeighing(session: Session): Weighed {
  const [weighed, setWeighed] = useState<Weighed>(NOT_YET);
  useEffect(() => {
    const weigher = createWeigher();
    let latest: Design | null = null;
    let failures = 0;
    const ask = (design: Design) => {
      latest = design;
      void weigher.weigh(design).then((answer) => {
        if (answer.ok) {
          failures = 0;
          setWeighed({ weighing: answer.weighing, of: design, failure: null, again });
        } else if (answer.code === "failed" && design === latest) {
          // A worker that died may have died of anything: it is asked once more, by a new one, before that is said.
          if (failures++ === 0) ask(design);
          else setWeighed((last) => ({ ...last, failure: answer.message, again }));
        }
      });
    };
    const again = () => ask(session.getState().design);
    const weigh = ({ design }: { design: Design }) => {
      if (design !== latest) ask(design);
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

/** Weighs many designs one after the other in one worker; figures appear as they come, and what fails is said. */
export function useWeighings(
  designs: readonly { readonly key: string; readonly design: Design }[],
): ReadonlyMap<Design, Weighing | "failed"> {
  const [done, setDone] = useState<ReadonlyMap<Design, Weighing | "failed">>(new Map());
  const known = useRef(done);
  known.current = done;
  useEffect(() => {
    const missing = designs.filter((d) => !known.current.has(d.design));
    if (missing.length === 0) return;
    const weigher = createWeigher();
    void (async () => {
      for (const { design } of missing) {
        const answer = await weigher.weigh(design);
        if (!answer.ok && answer.code !== "failed") return;
        const result = answer.ok ? answer.weighing : "failed";
        setDone((before) => new Map(before).set(design, result));
      }
    })();
    return () => weigher.dispose();
  }, [designs]);
  return done;
}
