import { parentPort } from "node:worker_threads";
import { answerWeighing } from "./answerWeighing";

/** One request: the bytes of a knife file. The answer is a status and the text of a JSON body. */
parentPort?.on("message", ({ id, bytes }: { id: number; bytes: Uint8Array }) => {
  parentPort?.postMessage({ id, ...answerWeighing(bytes) });
});
