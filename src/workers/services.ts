import type { BenchService } from "./bench.messages";
import { type Client, createClient } from "./client";
import type { FilesService } from "./files.messages";
import type { PatternService } from "./pattern.messages";
import { createPool, type Pool } from "./pool";
import type { SolidService } from "./solid.messages";
import type { WeighService } from "./weigh.messages";

/** Starts a worker; replaced in tests. */
export type StartWorker = () => Worker;

/** So many workers at most: each holds the core's code, and a page is given no more of a machine. */
const MOST_WORKERS = 3;
/** One for weighings, one for everything else: on one core, too, a weighing does not wait for a review. */
const LEAST_WORKERS = 2;

let pool: Pool | null = null;

/** The workers of the whole page. */
export function workerPool(): Pool {
  pool ??= createPool(
    () => new Worker(new URL("../pool/pool.worker.ts", import.meta.url), { type: "module" }),
    Math.max(
      LEAST_WORKERS,
      Math.min(MOST_WORKERS, globalThis.navigator?.hardwareConcurrency ?? MOST_WORKERS),
    ),
  );
  return pool;
}

/** Weighs designs. A weighing takes a second at most on a bench computer. */
export function createWeigher(from: Pool = workerPool(), withinMs = 15_000): Client<WeighService> {
  return from.client("weigh", { withinMs, waiting: "latest", lane: "first", remembered: true });
}

/** Weighs for practice, each time anew: until a worker's code is compiled, its weighings take several times as long. */
export function createPractice(from: Pool = workerPool(), withinMs = 15_000): Client<WeighService> {
  return from.client("weigh", { withinMs, waiting: "latest", lane: "first", remembered: false });
}

/** Reviews, fit-up sheets, levers, bills …, beside the weighings, which never wait for them. */
export function createBenchWorker(from: Pool = workerPool(), withinMs = 60_000): Client<BenchService> {
  return from.client("bench", { withinMs, waiting: "latest", lane: "others", remembered: true });
}

/** Reads knives, tables and prices that come in. */
export function createFileReader(from: Pool = workerPool(), withinMs = 30_000): Client<FilesService> {
  return from.client("files", { withinMs, waiting: "all", lane: "others", remembered: false });
}

/** Reads patterns: drawings of many megabytes, and photos, would hold up a page. It remembers what it read last. */
export function createPatternReader(from: Pool = workerPool(), withinMs = 120_000): Client<PatternService> {
  return from.client("pattern", { withinMs, waiting: "latest", lane: "own", remembered: false });
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
