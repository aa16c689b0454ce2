import { type Remote, releaseProxy, wrap } from "comlink";

export type HostAnswer<T> =
  | { readonly ok: true; readonly value: T }
  | { readonly ok: false; readonly message: string };

/**
 * A worker that is started by the first question, and anew by the next one after it could not be started, died, was
 * stopped, or took longer than it was given. Every question is answered, whatever becomes of the worker.
 */
export function hosted<S>(startWorker: () => Worker) {
  let worker: Worker | null = null;
  let service: Remote<S> | null = null;
  const open = new Set<(message: string) => void>();

  function stop(why: string): void {
    service?.[releaseProxy]();
    worker?.terminate();
    service = null;
    worker = null;
    for (const fail of [...open]) fail(why);
    open.clear();
  }

  function running(): Remote<S> {
    if (service) return service;
    const mine = startWorker();
    mine.onerror = (event) => {
      // What a worker says after another took its place is of no concern.
      if (worker === mine) stop(event.message || "the worker stopped");
    };
    mine.onmessageerror = () => {
      if (worker === mine) stop("an answer could not be read");
    };
    worker = mine;
    service = wrap<S>(mine);
    return service;
  }

  return {
    /** Asks a question that has so many ms to be answered. A worker that is past it is ended, and all it was asked. */
    ask: <T>(question: (service: S) => T, withinMs: number): Promise<HostAnswer<Awaited<T>>> =>
      new Promise((answer) => {
        let timer: ReturnType<typeof setTimeout> | null = null;
        const end = (result: HostAnswer<Awaited<T>>) => {
          if (timer) clearTimeout(timer);
          open.delete(fail);
          answer(result);
        };
        const fail = (message: string) => end({ ok: false, message });
        open.add(fail);
        timer = setTimeout(() => stop(`no answer within ${Math.round(withinMs / 1000)} s`), withinMs);
        try {
          // The remote's methods promise what the service's answer; the wrapper's type parts unions of answers.
          Promise.resolve(question(running() as unknown as S)).then(
            (value) => end({ ok: true, value }),
            (error: unknown) => fail(messageOf(error)),
          );
        } catch (error) {
          stop(messageOf(error));
          fail(messageOf(error));
        }
      }),
    stop,
  };
}

function messageOf(error: unknown): string {
  return error instanceof Error ? error.message : String(error);
}
