import type { BenchService } from "./bench.messages";
import { hosted } from "./hosted";

/** A review or a sheet takes a few seconds at most, ms. */
const ANSWER_WITHIN_MS = 60_000;

/**
 * Asks for reviews and fit-up sheets in a worker of their own, so that weighing never
 * waits for them. One at a time: of several questions that wait only the latest is asked, the others answer null. A
 * worker that dies, hangs or does not start answers null and is started anew by the next question.
 */
export function createAsker(
  startWorker: () => Worker = () =>
    new Worker(new URL("./bench.worker.ts", import.meta.url), { type: "module" }),
  withinMs = ANSWER_WITHIN_MS,
) {
  let busy = false;
  let waiting: { readonly go: () => void; readonly drop: () => void } | null = null;
  const host = hosted<BenchService>(startWorker);

  return {
    /** `longerMs` is for questions that the maker can call off, and that may take their time. */
    ask: <T>(question: (service: BenchService) => T, longerMs?: number): Promise<Awaited<T> | null> =>
      new Promise((answer) => {
        const go = async () => {
          busy = true;
          const result = await host.ask(question, longerMs ?? withinMs);
          busy = false;
          answer(result.ok ? result.value : null);
          const next = waiting;
          waiting = null;
          next?.go();
        };
        if (!busy) return void go();
        waiting?.drop();
        waiting = { go: () => void go(), drop: () => answer(null) };
      }),
    dispose: () => {
      waiting?.drop();
      waiting = null;
      host.stop("disposed");
    },
  };
}

export type Asker = ReturnType<typeof createAsker>;
