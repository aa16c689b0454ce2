import type { Client } from "@/workers/client";
import type { Pool } from "@/workers/pool";
import { workerPool } from "@/workers/services";
import type { SheetsService } from "./sheets.messages";

/** Draws sheets and what is cut, in a worker: a knife with everything on it takes some seconds. */
export function createSheetsWorker(from: Pool = workerPool(), withinMs = 120_000): Client<SheetsService> {
  return from.client("sheets", { withinMs, waiting: "latest", lane: "others", remembered: true });
}

/** One answer of such a worker, that is not waited for by anything else; throws what it fails with. */
export async function askSheets<T>(
  question: (service: SheetsService) => T,
  limitMs?: number,
): Promise<Awaited<T>> {
  const worker = createSheetsWorker();
  try {
    const answer = await worker.ask(question, limitMs);
    if (!answer.ok) throw new Error(answer.message);
    return answer.value;
  } finally {
    worker.dispose();
  }
}
