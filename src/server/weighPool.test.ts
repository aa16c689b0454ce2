import { EventEmitter } from "node:events";
import { afterEach, describe, expect, it, vi } from "vitest";
import { createWeighPool, MOST_WAITING, type Thread } from "./weighPool";

const bytes = new Uint8Array([1]);

/** Threads that do with a message as they are told, each its own. */
function threads(does: (answer: (body: string) => void, thread: EventEmitter) => void) {
  const started: (EventEmitter & { ended: boolean })[] = [];
  const start = () => {
    const thread = Object.assign(new EventEmitter(), {
      ended: false,
      postMessage: ({ id }: { id: number }) =>
        does((body) => setImmediate(() => thread.emit("message", { id, status: 200, body })), thread),
      terminate: () => {
        thread.ended = true;
        thread.emit("exit");
      },
    });
    started.push(thread);
    return thread as unknown as Thread;
  };
  return { start, started };
}

afterEach(() => vi.restoreAllMocks());

describe("the threads that weigh beside the server", () => {
  it("are used again, two at a time, and all are answered", async () => {
    const { start, started } = threads((answer) => answer("{}"));
    const pool = createWeighPool(start);
    const answers = await Promise.all(Array.from({ length: 10 }, () => pool.weigh(bytes)));
    expect(answers.every((a) => a.status === 200)).toBe(true);
    expect(started).toHaveLength(2);
    pool.dispose();
  });

  it("are ended when they take too long; the next request finds another", async () => {
    let hang = true;
    const { start, started } = threads((answer) => !hang && answer("{}"));
    const pool = createWeighPool(start, 40);
    const answer = await pool.weigh(bytes);
    expect(answer.status).toBe(503);
    expect(JSON.parse(answer.body).reasons[0].code).toBe("too-long");
    expect(started[0].ended).toBe(true);
    hang = false;
    expect((await pool.weigh(bytes)).status).toBe(200);
    pool.dispose();
  });

  it("answer when they die, or cannot be started", async () => {
    vi.spyOn(console, "error").mockImplementation(() => undefined);
    const dying = threads((_, thread) =>
      setImmediate(() => thread.emit("error", new Error("out of memory"))),
    );
    const answer = await createWeighPool(dying.start).weigh(bytes);
    expect(answer.status).toBe(500);
    expect(answer.body).not.toContain("memory");
    const none = createWeighPool(() => {
      throw new Error("/somewhere/on/disk is missing");
    });
    expect((await none.weigh(bytes)).body).not.toContain("disk");
  });

  it("let no more wait than they can get through", async () => {
    const { start } = threads((answer) => setTimeout(() => answer("{}"), 5));
    const pool = createWeighPool(start);
    const answers = await Promise.all(Array.from({ length: MOST_WAITING + 10 }, () => pool.weigh(bytes)));
    const busy = answers.filter((a) => a.status === 503);
    expect(busy.length).toBeGreaterThan(0);
    expect(JSON.parse(busy[0].body).reasons[0].code).toBe("busy");
    pool.dispose();
  });
});
