import { type Remote, releaseProxy, wrap } from "comlink";

/**
 * The service of a worker, which is started when it is first wanted, and anew after it died or was stopped. `onDeath`
 * hears why it died, when it is gone already.
 */
export function hosted<S>(startWorker: () => Worker, onDeath: (why: string) => void) {
  let worker: Worker | null = null;
  let service: Remote<S> | null = null;
  const stop = () => {
    service?.[releaseProxy]();
    worker?.terminate();
    service = null;
    worker = null;
  };
  return {
    service: (): Remote<S> => {
      if (service) return service;
      worker = startWorker();
      worker.onerror = (event) => {
        stop();
        onDeath(event.message || "the worker stopped");
      };
      service = wrap<S>(worker);
      return service;
    },
    stop,
  };
}
