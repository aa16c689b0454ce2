import { type Remote, releaseProxy, wrap } from "comlink";
import type { SolidService } from "./solid.messages";

type Failure = { readonly ok: false; readonly code: "failed"; readonly message: string };
export type SolidAnswer<T> = { readonly ok: true; readonly value: T } | Failure;

/**
 * Asks the solid worker, which is started by the first question. A worker that fails or dies answers "failed" and is
 * started anew by the next question; `dispose` ends it, and with it what is under way.
 */
export function createSolids(
  startWorker: () => Worker = () =>
    new Worker(new URL("./solid.worker.ts", import.meta.url), { type: "module" }),
) {
  let worker: Worker | null = null;
  let service: Remote<SolidService> | null = null;
  const dying = new Set<(why: string) => void>();

  function ready(): Remote<SolidService> {
    if (service) return service;
    worker = startWorker();
    worker.onerror = (event) => stop(event.message || "the solid worker stopped");
    service = wrap<SolidService>(worker);
    return service;
  }

  function stop(why: string): void {
    service?.[releaseProxy]();
    worker?.terminate();
    service = null;
    worker = null;
    for (const end of dying) end(why);
    dying.clear();
  }

  return {
    ask: <T>(question: (service: SolidService) => Promise<T>): Promise<SolidAnswer<T>> =>
      new Promise((answer) => {
        const fail = (message: string) => answer({ ok: false, code: "failed", message });
        dying.add(fail);
        // Its methods promise already what the remote ones do; the wrapper's type parts unions of answers.
        question(ready() as unknown as SolidService)
          .then(
            (value) => answer({ ok: true, value }),
            (error: unknown) => fail(error instanceof Error ? error.message : String(error)),
          )
          .finally(() => dying.delete(fail));
      }),
    dispose: () => stop("disposed"),
  };
}

export type Solids = ReturnType<typeof createSolids>;

let shared: Solids | null = null;

/** One worker for the whole page. */
export function solids(): Solids {
  shared ??= createSolids();
  return shared;
}
