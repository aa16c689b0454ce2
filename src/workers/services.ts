import type { BenchService } from "./bench.messages";
import { type Client, createClient } from "./client";
import type { FilesService } from "./files.messages";
import type { PatternService } from "./pattern.messages";
import type { SolidService } from "./solid.messages";
import type { WeighService } from "./weigh.messages";

/** Starts a worker; replaced in tests. */
export type StartWorker = () => Worker;

/** Weighs designs. A weighing takes a second at most on a bench computer. */
export function createWeigher(
  start: StartWorker = () => new Worker(new URL("./weigh.worker.ts", import.meta.url), { type: "module" }),
  withinMs = 15_000,
): Client<WeighService> {
  return createClient(start, { withinMs, waiting: "latest" });
}

/** Reviews, fit-up sheets, levers, bills …, in a worker of their own, so that weighing never waits for them. */
export function createBenchWorker(
  start: StartWorker = () => new Worker(new URL("./bench.worker.ts", import.meta.url), { type: "module" }),
  withinMs = 60_000,
): Client<BenchService> {
  return createClient(start, { withinMs, waiting: "latest" });
}

/** Reads knives, tables and prices that come in. */
export function createFileReader(
  start: StartWorker = () => new Worker(new URL("./files.worker.ts", import.meta.url), { type: "module" }),
  withinMs = 30_000,
): Client<FilesService> {
  return createClient(start, { withinMs, waiting: "all" });
}

/** Reads patterns: drawings of many megabytes, and photos, would hold up a page. */
export function createPatternReader(
  start: StartWorker = () => new Worker(new URL("./pattern.worker.ts", import.meta.url), { type: "module" }),
  withinMs = 120_000,
): Client<PatternService> {
  return createClient(start, { withinMs, waiting: "latest" });
}

/** Everything that needs the mesh kernel, which is fetched first; a knife with everything on it takes some seconds. */
export function createSolids(
  start: StartWorker = () => new Worker(new URL("./solid.worker.ts", import.meta.url), { type: "module" }),
  withinMs = 120_000,
): Client<SolidService> {
  return createClient(start, { withinMs, waiting: "all" });
}

let shared: Client<SolidService> | null = null;

/** One solid worker for the whole page. */
export function solids(): Client<SolidService> {
  shared ??= createSolids();
  return shared;
}
