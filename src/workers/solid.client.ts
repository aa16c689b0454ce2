import { hosted } from "./hosted";
import type { SolidService } from "./solid.messages";

type Failure = { readonly ok: false; readonly code: "failed"; readonly message: string };
export type SolidAnswer<T> = { readonly ok: true; readonly value: T } | Failure;

/** Solids of a knife with everything on it are built in some seconds, and the kernel is fetched first, ms. */
const ANSWER_WITHIN_MS = 120_000;

/**
 * Asks the solid worker, which is started by the first question. A worker that fails, dies, hangs or does not start
 * answers "failed" and is started anew by the next question; `dispose` ends it, and with it what is under way.
 */
export function createSolids(
  startWorker: () => Worker = () =>
    new Worker(new URL("./solid.worker.ts", import.meta.url), { type: "module" }),
  withinMs = ANSWER_WITHIN_MS,
) {
  const host = hosted<SolidService>(startWorker);
  return {
    ask: async <T>(question: (service: SolidService) => Promise<T>): Promise<SolidAnswer<T>> => {
      const answer = await host.ask(question, withinMs);
      return answer.ok
        ? { ok: true, value: answer.value as T }
        : { ok: false, code: "failed", message: answer.message };
    },
    dispose: () => host.stop("disposed"),
  };
}

export type Solids = ReturnType<typeof createSolids>;

let shared: Solids | null = null;

/** One worker for the whole page. */
export function solids(): Solids {
  shared ??= createSolids();
  return shared;
}
