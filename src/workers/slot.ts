import { type Remote, releaseProxy, wrap } from "comlink";
import type { Answer } from "./client";
import type { PoolService } from "./pool.messages";

/** What nobody waits for any more may run so long before its worker is ended, ms: starting another takes about as long. */
const GRACE_MS = 1000;

/** The place of one worker, which answers one question at a time: started by the first, and anew after it died. */
export interface Slot {
  readonly free: () => boolean;
  readonly running: () => boolean;
  /** Ends what runs though nobody waits for it; whether the place is free now. */
  readonly clear: () => boolean;
  readonly ask: (
    question: (remote: Remote<PoolService>) => unknown,
    limitMs: number,
    isWanted: () => boolean,
  ) => Promise<Answer<unknown>>;
  readonly stop: () => void;
}

export function createSlot(start: () => Worker): Slot {
  let worker: Worker | null = null;
  let remote: Remote<PoolService> | null = null;
  let asked: { readonly end: (answer: Answer<unknown>) => void; readonly isWanted: () => boolean } | null =
    null;

  function stop(message: string): void {
    remote?.[releaseProxy]();
    worker?.terminate();
    remote = null;
    worker = null;
    asked?.end(failed(message));
  }

  function running(): Remote<PoolService> {
    if (remote) return remote;
    const mine = start();
    mine.onerror = (event) => {
      // What a worker says after another took its place is of no concern.
      if (worker === mine) stop(event.message || "the worker stopped");
    };
    mine.onmessageerror = () => {
      if (worker === mine) stop("an answer could not be read");
    };
    worker = mine;
    remote = wrap<PoolService>(mine);
    return remote;
  }

  return {
    free: () => asked === null,
    running: () => worker !== null,
    clear: () => {
      if (asked && !asked.isWanted()) stop("it is not waited for");
      return asked === null;
    },
    ask: (question, limitMs, isWanted) =>
      new Promise((answer) => {
        const begunAt = Date.now();
        const end = (result: Answer<unknown>) => {
          if (asked?.end !== end) return;
          clearTimeout(timer);
          clearInterval(watch);
          asked = null;
          answer(result);
        };
        asked = { end, isWanted };
        const timer = setTimeout(() => stop(`no answer within ${Math.round(limitMs / 1000)} s`), limitMs);
        const watch = setInterval(() => {
          if (asked?.end === end && !isWanted() && Date.now() - begunAt > GRACE_MS)
            stop("it is not waited for");
        }, GRACE_MS);
        try {
          Promise.resolve(question(running())).then(
            (value) => end({ ok: true, value }),
            (error: unknown) => end(failed(messageOf(error))),
          );
        } catch (error) {
          stop(messageOf(error));
        }
      }),
    stop: () => stop("the worker was ended"),
  };
}

const failed = (message: string): Answer<never> => ({ ok: false, code: "failed", message });
const messageOf = (error: unknown): string => (error instanceof Error ? error.message : String(error));
