"use client";
import { useEffect, useRef, useState } from "react";
import type { Design } from "@/core/knife/design/schema";
import type { BenchService } from "@/workers/bench.messages";
import type { Client } from "@/workers/client";
import { createBenchWorker } from "@/workers/services";

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
  const client = useRef<Client<BenchService> | null>(null);
  useEffect(() => () => client.current?.dispose(), []);

  const cancel = () => {
    const mine = client.current;
    client.current = null;
    mine?.dispose();
    setBusy(false);
  };
  const begin: Task<T>["begin"] = async (design, question) => {
    client.current?.dispose();
    const mine = createBenchWorker();
    client.current = mine;
    setBusy(true);
    setFailed(false);
    const asked = await mine.ask(question, AT_LONGEST_MS);
    if (client.current !== mine) return;
    cancel();
    if (asked.ok && asked.value !== null) setAnswer({ of: design, value: asked.value as T });
    else setFailed(true);
  };
  return { busy, failed, answer, begin, cancel };
}
