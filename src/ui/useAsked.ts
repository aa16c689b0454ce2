"use client";
import { useEffect, useRef, useState } from "react";
import type { Design } from "@/core/design/schema";
import { type Asker, createAsker } from "@/workers/bench.client";
import type { BenchService } from "@/workers/bench.messages";

/** What is asked rests this long after an edit, ms: a drag is not reviewed at every step. */
const REST_MS = 60;

/** Asks one question of a worker whenever the design changes; shows the last answer meanwhile. Null asks nothing. */
export function useAsked<T>(
  design: Design | null,
  question: (service: BenchService, design: Design) => T,
): Awaited<T> | null {
  const asker = useRef<Asker | null>(null);
  const [answer, setAnswer] = useState<Awaited<T> | null>(null);
  const ask = useRef(question);
  ask.current = question;
  useEffect(() => {
    const mine = createAsker();
    asker.current = mine;
    return () => {
      asker.current = null;
      mine.dispose();
    };
  }, []);
  useEffect(() => {
    if (!design) return setAnswer(null);
    let wanted = true;
    const timer = setTimeout(() => {
      void asker.current
        ?.ask((s) => ask.current(s, design))
        .then((value) => {
          if (wanted && value !== null) setAnswer(() => value);
        });
    }, REST_MS);
    return () => {
      wanted = false;
      clearTimeout(timer);
    };
  }, [design]);
  return answer;
}
