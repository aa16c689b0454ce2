import { writeFileSync } from "node:fs";
import { isMainThread, parentPort, Worker, workerData } from "node:worker_threads";
import Module from "manifold-3d";
import { damagedFiles } from "./files";

/** What a reader's worker may take, MB: past it the worker is ended, and the run fails. */
const MOST_HEAP_MB = 1000;

/**
 * `node faults.mjs TEXTS BINARIES SEED OUT [ONLY]`: damaged files by the thousand, read in a worker as the application reads them;
 * their tally as JSON.
 */
if (isMainThread) {
  const [texts, binaries, seed] = process.argv.slice(2, 5).map(Number);
  const worker = new Worker(new URL(import.meta.url), {
    workerData: { texts, binaries, seed, only: process.argv[6] ?? "" },
    resourceLimits: { maxOldGenerationSizeMb: MOST_HEAP_MB },
  });
  worker.on("message", (tallies) => writeFileSync(process.argv[5], JSON.stringify(tallies)));
  worker.on("error", (error) => {
    console.error("the worker that reads was ended:", error);
    process.exitCode = 1;
  });
} else {
  const { texts, binaries, seed, only } = workerData as {
    texts: number;
    binaries: number;
    seed: number;
    only: string;
  };
  const kernel = await Module();
  kernel.setup();
  parentPort?.postMessage(await damagedFiles(kernel, texts, binaries, seed, only));
}
