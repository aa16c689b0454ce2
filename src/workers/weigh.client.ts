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

/** A weighing takes a second at most on a bench computer: a worker that is silent for longer than this is dead, ms. */
export const WEIGH_WITHIN_MS = 15_000;

/**
 * Weighs designs in a worker, one at a time. A request that comes while another runs waits; of several waiting only
 * the latest is weighed, the others answer "superseded". A worker that dies, hangs or does not start answers "failed" and
 * is started anew by the next request.
 */
export function createWeigher(startWorker: StartWorker = start, withinMs = WEIGH_WITHIN_MS) {
  let running = false;
  let waiting: Waiting | null = null;
  let disposed = false;
  const host = hosted<WeighService>(startWorker);

  async function run({ design, answer }: Waiting): Promise<void> {
    running = true;
    const result = await host.ask((s) => s.weigh(design), withinMs);
    running = false;
    if (disposed) return answer({ ok: false, code: "disposed" });
    answer(
      result.ok
        ? { ok: true, weighing: result.value }
        : { ok: false, code: "failed", message: result.message },
    );
    const next = waiting;
    waiting = null;
    if (next) void run(next);
  }

  return {
    weigh: (design: Design): Promise<WeighAnswer> =>
      new Promise((answer) => {
        if (disposed) return answer({ ok: false, code: "disposed" });
        if (!running) return void run({ design, answer });
        waiting?.answer({ ok: false, code: "superseded" });
        waiting = { design, answer };
      }),
    dispose: () => {
      disposed = true;
      waiting?.answer({ ok: false, code: "disposed" });
      waiting = null;
      host.stop("disposed");
    },
  };
}

export type Weigher = ReturnType<typeof createWeigher>;
