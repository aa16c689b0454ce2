"use client";
import { useEffect, useRef, useState } from "react";
import type { Design } from "@/core/design/schema";
import { type Asker, createAsker } from "@/workers/bench.client";
import type { BenchService } from "@/workers/bench.messages";

/** A long question is given up after this, ms: its worker is dead. */
const AT_LONGEST_MS = 20 * 60_000;

export interface Task<T> {
  readonly busy: boolean;
  /** The last one came to nothing: its worker failed at it. */
  readonly failed: boolean;
  /** The last answer, and the design that it is of. */
  readonly answer: { readonly of: Design; readonly value: T } | null;
  readonly begin: (design: Design, question: (service: BenchService) => T | null) => Promise<void>;
  readonly cancel: () => void;
}

/** A long question, begun by the maker in a worker of its own, and called off by them or by leaving. */
export function useTask<T>(): Task<T> {
  const [busy, setBusy] = useState(false);
  const [failed, setFailed] = useState(false);
  const [answer, setAnswer] = useState<Task<T>["answer"]>(null);
  const asker = useRef<Asker | null>(null);
  useEffect(() => () => asker.current?.dispose(), []);

  const cancel = () => {
    const mine = asker.current;
    asker.current = null;
    mine?.dispose();
    setBusy(false);
  };
  const begin: Task<T>["begin"] = async (design, question) => {
    asker.current?.dispose();
    const mine = createAsker();
    asker.current = mine;
    setBusy(true);
    setFailed(false);
    const value = (await mine.ask(question, AT_LONGEST_MS)) as T | null;
    if (asker.current !== mine) return;
    cancel();
    if (value === null) setFailed(true);
    else setAnswer({ of: design, value });
  };
  return { busy, failed, answer, begin, cancel };
}
