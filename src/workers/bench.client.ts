import type { BenchService } from "./bench.messages";
import { hosted } from "./hosted";

/**
 * Asks for reviews and fit-up sheets in a worker of their own, so that weighing never
 * waits for them. One at a time: of several questions that wait only the latest is asked, the others answer null. A
 * worker that dies answers null and is started anew by the next question.
 */
export function createAsker(
  startWorker: () => Worker = () =>
    new Worker(new URL("./bench.worker.ts", import.meta.url), { type: "module" }),
) {
  let busy: (() => void) | null = null;
  let waiting: { readonly go: () => void; readonly drop: () => void } | null = null;
  const host = hosted<BenchService>(startWorker, () => busy?.());

  return {
    ask: <T>(question: (service: BenchService) => T): Promise<Awaited<T> | null> =>
      new Promise((answer) => {
        const go = () => {
          let done = false;
          const finish = (value: Awaited<T> | null) => {
            if (done) return;
            done = true;
            busy = null;
            answer(value);
            const next = waiting;
            waiting = null;
            next?.go();
          };
          busy = () => finish(null);
          // The remote's methods promise what the service's return.
          Promise.resolve(question(host.service() as unknown as BenchService)).then(finish, () =>
            finish(null),
          );
        };
        if (!busy) return go();
        waiting?.drop();
        waiting = { go, drop: () => answer(null) };
      }),
    dispose: () => {
      waiting?.drop();
      waiting = null;
      host.stop();
      busy?.();
    },
  };
}

export type Asker = ReturnType<typeof createAsker>;
