import { Worker } from "node:worker_threads";
import { type Answer, refusal } from "./answerWeighing";

/** Any design that is accepted is weighed within a second; a thread that takes longer than this is ended, ms. */
export const WITHIN_MS = 3000;
/** So many threads weigh at a time, and so many requests wait for one. */
const THREADS = 2;
export const MOST_WAITING = 32;

/** What this needs of a thread. */
export interface Thread {
  postMessage(message: unknown): void;
  terminate(): unknown;
  on(event: "message", hear: (answer: Answer & { id: number }) => void): unknown;
  on(event: "error", hear: (error: unknown) => void): unknown;
  on(event: "exit", hear: () => void): unknown;
}

const BUSY = refusal(503, [
  { code: "busy", message: "The server is busy with other knives. Try again in a moment." },
]);
const TOO_LONG = refusal(503, [
  { code: "too-long", message: "Weighing this knife took too long, and was ended." },
]);
const BROKEN = refusal(500, [{ code: "failed", message: "This knife could not be weighed." }]);

interface Job {
  readonly bytes: Uint8Array;
  readonly answer: (answer: Answer) => void;
}

/** Threads that weigh beside the server, so that it goes on answering; one that takes too long is ended. */
export function createWeighPool(
  start: () => Thread = () => new Worker(new URL("./weigh.thread.ts", import.meta.url)),
  withinMs = WITHIN_MS,
) {
  const idle: Thread[] = [];
  const waiting: Job[] = [];
  let running = 0;
  let count = 0;

  function next(): void {
    while (running < THREADS && waiting.length > 0) {
      const job = waiting.shift() as Job;
      running++;
      void run(job.bytes).then((answer) => {
        running--;
        job.answer(answer);
        next();
      });
    }
  }

  function run(bytes: Uint8Array): Promise<Answer> {
    return new Promise((answer) => {
      const id = ++count;
      let thread: Thread;
      try {
        thread = idle.pop() ?? begin();
      } catch (error) {
        console.error("no thread to weigh in", error);
        return answer(BROKEN);
      }
      const timer = setTimeout(() => end(TOO_LONG, true), withinMs);
      const end = (with_: Answer, broken: boolean) => {
        if (!hearing.delete(thread)) return;
        clearTimeout(timer);
        if (broken) void thread.terminate();
        else idle.push(thread);
        answer(with_);
      };
      hearing.set(thread, {
        answered: (a) => a.id === id && end({ status: a.status, body: a.body }, false),
        died: () => end(BROKEN, true),
      });
      thread.postMessage({ id, bytes });
    });
  }

  const hearing = new Map<Thread, { answered: (a: Answer & { id: number }) => void; died: () => void }>();

  function begin(): Thread {
    const thread = start();
    const gone = () => {
      const at = idle.indexOf(thread);
      if (at >= 0) idle.splice(at, 1);
      hearing.get(thread)?.died();
    };
    thread.on("message", (a) => hearing.get(thread)?.answered(a));
    thread.on("error", (error) => {
      console.error("a weighing thread failed", error);
      gone();
    });
    thread.on("exit", gone);
    return thread;
  }

  return {
    /** Answers with the weighing of a knife file; 503 where too many wait, or it takes too long. */
    weigh: (bytes: Uint8Array): Promise<Answer> => {
      if (waiting.length >= MOST_WAITING) return Promise.resolve(BUSY);
      return new Promise((answer) => {
        waiting.push({ bytes, answer });
        next();
      });
    },
    dispose: () => {
      for (const thread of idle.splice(0)) void thread.terminate();
    },
  };
}

let shared: ReturnType<typeof createWeighPool> | null = null;

/** One pool for the whole server. */
export function weighPool(): ReturnType<typeof createWeighPool> {
  shared ??= createWeighPool();
  return shared;
}
