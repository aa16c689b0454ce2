import { type Remote, releaseProxy, wrap } from "comlink";

/** What every question to a worker comes back with; never a rejected promise. */
export type Answer<T> =
  | { readonly ok: true; readonly value: T }
  /** Superseded: a later question took its place before the worker was free. Disposed: nobody waits for it any more. */
  | { readonly ok: false; readonly code: "superseded" | "disposed" | "failed"; readonly message: string };

export interface ClientOptions {
  /** A worker that is silent for longer than this is taken for dead, ms. */
  readonly withinMs: number;
  /**
   * What becomes of questions while another is being answered: "all" are sent on, and the worker answers in turn; of
   * those that wait only the "latest" is asked, the others come back superseded.
   */
  readonly waiting: "all" | "latest";
}

interface Waiting {
  readonly send: () => void;
  readonly drop: (answer: Answer<never>) => void;
}

/**
 * A worker that is started by the first question, and anew by the next one after it could not be started, died, or took
 * longer than it was given. Every question is answered, whatever becomes of the worker. S is the service that the worker
 * exposes.
 */
export function createClient<S>(startWorker: () => Worker, { withinMs, waiting }: ClientOptions) {
  let worker: Worker | null = null;
  let service: Remote<S> | null = null;
  let disposed = false;
  /** Questions that are with the worker: each is answered when the worker ends. */
  const sent = new Set<(answer: Answer<never>) => void>();
  let next: Waiting | null = null;

  function stop(answer: Answer<never>): void {
    service?.[releaseProxy]();
    worker?.terminate();
    service = null;
    worker = null;
    for (const end of [...sent]) end(answer);
  }

  function running(): Remote<S> {
    if (service) return service;
    const mine = startWorker();
    mine.onerror = (event) => {
      // What a worker says after another took its place is of no concern.
      if (worker === mine) stop(failed(event.message || "the worker stopped"));
    };
    mine.onmessageerror = () => {
      if (worker === mine) stop(failed("an answer could not be read"));
    };
    worker = mine;
    service = wrap<S>(mine);
    return service;
  }

  function send<T>(
    question: (service: S) => T,
    limitMs: number,
    answer: (answer: Answer<Awaited<T>>) => void,
  ): void {
    const end = (result: Answer<Awaited<T>>) => {
      // An answer that comes after the worker was given up is of no concern.
      if (!sent.delete(end)) return;
      clearTimeout(timer);
      answer(result);
      if (sent.size > 0) return;
      const following = next;
      next = null;
      following?.send();
    };
    sent.add(end);
    const timer = setTimeout(() => stop(failed(`no answer within ${Math.round(limitMs / 1000)} s`)), limitMs);
    try {
      // The remote's methods promise what the service's answer; the wrapper's type parts unions of answers.
      Promise.resolve(question(running() as unknown as S)).then(
        (value) => end({ ok: true, value }),
        (error: unknown) => end(failed(messageOf(error))),
      );
    } catch (error) {
      stop(failed(messageOf(error)));
    }
  }

  return {
    /** Asks a question; `limitMs` is for those that the maker can call off, and that may take their time. */
    ask: <T>(question: (service: S) => T, limitMs = withinMs): Promise<Answer<Awaited<T>>> =>
      new Promise((answer) => {
        if (disposed) return answer(DISPOSED);
        if (waiting === "all" || sent.size === 0) return send(question, limitMs, answer);
        next?.drop(SUPERSEDED);
        next = {
          send: () => send(question, limitMs, answer),
          drop: answer,
        };
      }),
    /** Ends the worker, and all that it was asked. */
    dispose: () => {
      disposed = true;
      next?.drop(DISPOSED);
      next = null;
      stop(DISPOSED);
    },
  };
}

export interface Client<S> {
  ask<T>(question: (service: S) => T, limitMs?: number): Promise<Answer<Awaited<T>>>;
  dispose(): void;
}

const SUPERSEDED: Answer<never> = { ok: false, code: "superseded", message: "a later question was asked" };
const DISPOSED: Answer<never> = { ok: false, code: "disposed", message: "it is not waited for" };

function failed(message: string): Answer<never> {
  return { ok: false, code: "failed", message };
}

function messageOf(error: unknown): string {
  return error instanceof Error ? error.message : String(error);
}
