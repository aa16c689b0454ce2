import type { Design } from "@/core/design/schema";
import { hosted } from "./hosted";
import type { WeighAnswer, WeighService } from "./weigh.messages";

interface Waiting {
  readonly design: Design;
  readonly answer: (answer: WeighAnswer) => void;
}

/** Starts the worker; replaced in tests. */
export type StartWorker = () => Worker;

const start: StartWorker = () =>
  new Worker(new URL("./weigh.worker.ts", import.meta.url), { type: "module" });

/**
 * Weighs designs in a worker, one at a time. A request that comes while another runs waits; of several waiting only
 * the latest is weighed, the others answer "superseded". A worker that dies is started anew.
 */
export function createWeigher(startWorker: StartWorker = start) {
  let running: Waiting | null = null;
  let waiting: Waiting | null = null;
  let disposed = false;

  const host = hosted<WeighService>(startWorker, (message) => finish({ ok: false, code: "failed", message }));

  function finish(answer: WeighAnswer): void {
    const done = running;
    running = null;
    done?.answer(answer);
    const next = waiting;
    waiting = null;
    if (next && !disposed) run(next);
  }

  function run(request: Waiting): void {
    running = request;
    host
      .service()
      .weigh(request.design)
      .then(
        (weighing) => running === request && finish({ ok: true, weighing }),
        (error: unknown) =>
          running === request &&
          finish({
            ok: false,
            code: "failed",
            message: error instanceof Error ? error.message : String(error),
          }),
      );
  }

  return {
    weigh: (design: Design): Promise<WeighAnswer> =>
      new Promise((answer) => {
        if (disposed) return answer({ ok: false, code: "disposed" });
        if (!running) return run({ design, answer });
        waiting?.answer({ ok: false, code: "superseded" });
        waiting = { design, answer };
      }),
    dispose: () => {
      disposed = true;
      host.stop();
      waiting?.answer({ ok: false, code: "disposed" });
      waiting = null;
      finish({ ok: false, code: "disposed" });
    },
  };
}

export type Weigher = ReturnType<typeof createWeigher>;
