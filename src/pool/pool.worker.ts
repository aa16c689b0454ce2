import { expose } from "comlink";
import { own } from "@/core/base/own";
import type { ServiceName } from "../workers/pool.messages";

type Service = Readonly<Record<string, (...args: readonly unknown[]) => unknown>>;

/** What a worker of the pool can do, each fetched when it is first asked for. */
const SERVICES: Readonly<Record<ServiceName, () => Promise<object>>> = {
  weigh: async () => (await import("./weigh.service")).weighService,
  bench: async () => (await import("./bench.service")).benchService,
  files: async () => (await import("./files.service")).filesService,
  sheets: async () => (await import("@/sheets/sheets.service")).sheetsService,
  pattern: async () => (await import("./pattern.service")).patternService,
};

expose({
  call: async (service: ServiceName, method: string, ...args: readonly unknown[]) => {
    const answer = own((await SERVICES[service]()) as Service, method);
    if (!answer) throw new Error(`${service} does not answer "${method}"`);
    return answer(...args);
  },
});
