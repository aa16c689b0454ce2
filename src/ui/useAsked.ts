"use client";
import { useEffect, useRef, useState } from "react";
import type { Design } from "@/core/design/schema";
import { type Asker, createAsker } from "@/workers/bench.client";
import type { BenchService } from "@/workers/bench.messages";

/** What is asked rests this long after an edit, ms: not every key is answered. */
const REST_MS = 60;

export interface Asked<T> {
  /** The last answer; null before the first, and where nothing is asked. */
  readonly answer: T | null;
  /** The question about the present design found no answer: the worker failed at it. */
  readonly failed: boolean;
}

const NOTHING = { answer: null, failed: false };

/**
 * Asks one question of a worker when the design has rested since it changed; shows the last answer meanwhile. Null asks
 * nothing.
 */
export function useAsked<T>(
  design: Design | null,
  question: (service: BenchService, design: Design) => T,
  restMs = REST_MS,
): Asked<Awaited<T>> {
  const asker = useRef<Asker | null>(null);
  const [asked, setAsked] = useState<Asked<Awaited<T>>>(NOTHING);
  const ask = useRef(question);
  ask.current = question;
  const rest = useRef(restMs);
  rest.current = restMs;
  useEffect(() => {
    const mine = createAsker();
    asker.current = mine;
    return () => {
      asker.current = null;
      mine.dispose();
    };
  }, []);
  useEffect(() => {
    if (!design) return setAsked(NOTHING);
    let wanted = true;
    const timer = setTimeout(() => {
      void asker.current
        ?.ask((s) => ask.current(s, design))
        .then((value) => {
          if (!wanted) return;
          // Nothing comes back of what was overtaken, too; but then it is no longer wanted.
          if (value === null) setAsked((before) => ({ ...before, failed: true }));
          else setAsked({ answer: value, failed: false });
        });
    }, rest.current);
    return () => {
      wanted = false;
      clearTimeout(timer);
    };
  }, [design]);
  return asked;
}
