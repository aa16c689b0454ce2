import { MessageChannel } from "node:worker_threads";
import { expose } from "comlink";
import { createPool } from "./pool";
import type { ServiceName } from "./pool.messages";

/** A worker's two ends over a real message channel: what is sent is cloned, as to a worker. */
export function startOver(service: object) {
  let started = 0;
  const workers: { onerror?: (e: { message: string }) => void }[] = [];
  const start = () => {
    started++;
    const { port1, port2 } = new MessageChannel();
    const wrapPort = (port: typeof port1) => ({
      postMessage: (m: unknown, moved: readonly never[] = []) => port.postMessage(m, moved),
      addEventListener: (_: string, f: (e: { data: unknown }) => void) =>
        port.on("message", (data) => f({ data })),
      removeEventListener: () => undefined,
      start: () => port.start(),
      terminate: () => port.close(),
    });
    expose(service, wrapPort(port2) as never);
    const worker = wrapPort(port1) as never as Worker;
    workers.push(worker as never);
    return worker;
  };
  return { start, count: () => started, workers };
}

/** A pool of workers over real message channels, by the services that each of them has. */
export function poolOver(services: Readonly<Partial<Record<ServiceName, object>>>, size = 2) {
  const started = startOver({
    call: (service: ServiceName, method: string, ...args: readonly unknown[]) =>
      (services[service] as Readonly<Record<string, (...a: readonly unknown[]) => unknown>>)[method](...args),
  });
  return { ...started, pool: createPool(started.start, size) };
}
