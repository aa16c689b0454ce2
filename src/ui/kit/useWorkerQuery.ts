"use client";
import { startTransition, useEffect, useRef, useState } from "react";
import type { ProductDesign } from "@/core/knife/design/product";
import type { BenchService } from "@/workers/bench.messages";
import type { Client } from "@/workers/client";
import { createBenchWorker } from "@/workers/services";
import { useLatest } from "./useLatest";

/** A query rests this long after an edit, ms: not every key is answered. */
const REST_MS = 60;

/** A client of one's own, from the first time that this is drawn to the last. */
function useClient<S>(create: () => Client<S>): { readonly current: Client<S> | null } {
  const client = useRef<Client<S> | null>(null);
  useEffect(() => {
    const mine = create();
    client.current = mine;
    return () => {
      client.current = null;
      mine.dispose();
    };
  }, [create]);
  return client;
}

export interface WorkerQuery<About, T> {
  /** The last answer; null before the first, and where nothing is queried. */
  readonly answer: T | null;
  /** What the answer is of: not the present question while that is loading. */
  readonly of: About | null;
  /** The question as it is now found no answer: the worker failed at it. */
  readonly failed: boolean;
  /** Why it failed, as its error says; null where it did not. */
  readonly reason: string | null;
  /** The question as it is now is not answered yet. */
  readonly isLoading: boolean;
}

const NOTHING = { answer: null, of: null, failed: false, reason: null, isLoading: false };

/**
 * Asks one question of a worker when what it is about, a design mostly, has rested since it changed; shows the last answer
 * meanwhile. Null asks nothing.
 */
export function useServiceQuery<S, About, T>(
  create: () => Client<S>,
  about: About | null,
  question: (service: S, about: About) => T,
): WorkerQuery<About, Awaited<T>> {
  const client = useClient(create);
  const ask = useLatest(question);
  const [query, setQuery] = useState<WorkerQuery<About, Awaited<T>>>(NOTHING);
  useEffect(() => {
    if (about === null) return setQuery(NOTHING);
    let wanted = true;
    setQuery((before) => ({ ...before, isLoading: true }));
    const timer = setTimeout(async () => {
      const answer = await client.current?.ask((s) => ask.current(s, about));
      if (!wanted || !answer) return;
      // What an answer brings may be much to draw: the page goes on answering meanwhile.
      if (answer.ok) startTransition(() => setQuery({ ...NOTHING, answer: answer.value, of: about }));
      else if (answer.code === "failed")
        setQuery((before) => ({ ...before, failed: true, reason: answer.message, isLoading: false }));
    }, REST_MS);
    return () => {
      wanted = false;
      clearTimeout(timer);
    };
  }, [about, client, ask]);
  return query;
}

/** The same of the bench's own service. */
export const useWorkerQuery = <About, T>(
  about: About | null,
  question: (service: BenchService, about: About) => T,
): WorkerQuery<About, Awaited<T>> => useServiceQuery(createBenchWorker, about, question);

interface Answers<D, T> {
  readonly given: unknown;
  readonly of: ReadonlyMap<D, T | "failed">;
}

/**
 * Asks the same question of several designs, one after the other in one worker; answers appear as they come. What is
 * answered is not asked again while its design stays among them, unless what the question was `given` changes; answers of
 * designs that are there no more are forgotten.
 */
export function useWorkerQueries<S, D extends ProductDesign, T>(
  create: () => Client<S>,
  designs: readonly D[],
  question: (service: S, design: D) => T,
  given: unknown = null,
): ReadonlyMap<D, Awaited<T> | "failed"> {
  const client = useClient(create);
  const ask = useLatest(question);
  const [answers, setAnswers] = useState<Answers<D, Awaited<T>>>({ given, of: new Map() });
  const known = useLatest(answers);
  useEffect(() => {
    const stale = known.current.given !== given;
    const missing = designs.filter((d) => stale || !known.current.of.has(d));
    if (missing.length === 0) return;
    let wanted = true;
    const timer = setTimeout(async () => {
      for (const design of missing) {
        const answer = await client.current?.ask((s) => ask.current(s, design));
        if (!wanted || !answer || (!answer.ok && answer.code !== "failed")) return;
        const value = answer.ok ? answer.value : ("failed" as const);
        startTransition(() =>
          setAnswers((before) => {
            const kept = before.given === given ? [...before.of].filter(([d]) => designs.includes(d)) : [];
            return { given, of: new Map(kept).set(design, value) };
          }),
        );
      }
    }, REST_MS);
    return () => {
      wanted = false;
      clearTimeout(timer);
    };
  }, [designs, given, client, ask, known]);
  return answers.of;
}
