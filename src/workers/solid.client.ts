import { hosted } from "./hosted";
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
  const dying = new Set<(why: string) => void>();
  const endAll = (why: string) => {
    for (const end of dying) end(why);
    dying.clear();
  };
  const host = hosted<SolidService>(startWorker, endAll);

  return {
    ask: <T>(question: (service: SolidService) => Promise<T>): Promise<SolidAnswer<T>> =>
      new Promise((answer) => {
        const fail = (message: string) => answer({ ok: false, code: "failed", message });
        dying.add(fail);
        // Its methods promise already what the remote ones do; the wrapper's type parts unions of answers.
        question(host.service() as unknown as SolidService)
          .then(
            (value) => answer({ ok: true, value }),
            (error: unknown) => fail(error instanceof Error ? error.message : String(error)),
          )
          .finally(() => dying.delete(fail));
      }),
    dispose: () => {
      host.stop();
      endAll("disposed");
    },
  };
}

export type Solids = ReturnType<typeof createSolids>;

let shared: Solids | null = null;

/** One worker for the whole page. */
export function solids(): Solids {
  shared ??= createSolids();
  return shared;
}
