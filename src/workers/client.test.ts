import { describe, expect, it } from "vitest";
import { type ClientOptions, createClient } from "./client";
import { startOver } from "./port.fixtures";

interface Service {
  two(): number;
  never(): Promise<never>;
  slow(n: number): Promise<number>;
  broken(): never;
}

let asked: number[] = [];
const service: Service = {
  two: () => 2,
  never: () => new Promise<never>(() => undefined),
  slow: async (n) => {
    asked.push(n);
    await new Promise((r) => setTimeout(r, 20));
    return n;
  },
  broken: () => {
    throw new Error("no such steel");
  },
};

function clientOver(options: Partial<ClientOptions> = {}, refusals = 0) {
  asked = [];
  const over = startOver(service);
  let left = refusals;
  const start = () => {
    if (left-- > 0) throw new DOMException("refused by policy", "SecurityError");
    return over.start();
  };
  const client = createClient<Service>(start, { withinMs: 5000, waiting: "all", ...options });
  return { client, ...over };
}

describe("a worker's client", () => {
  it("starts the worker with the first question only, and one worker for all of them", async () => {
    const { client, count } = clientOver();
    expect(count()).toBe(0);
    const answers = await Promise.all([client.ask((s) => s.two()), client.ask((s) => s.slow(3))]);
    expect(answers).toEqual([
      { ok: true, value: 2 },
      { ok: true, value: 3 },
    ]);
    expect(count()).toBe(1);
    client.dispose();
  });

  it("gives what a question throws as data, and goes on with the same worker", async () => {
    const { client, count } = clientOver();
    expect(await client.ask((s) => s.broken())).toEqual({
      ok: false,
      code: "failed",
      message: "no such steel",
    });
    expect(await client.ask((s) => s.two())).toEqual({ ok: true, value: 2 });
    expect(count()).toBe(1);
    client.dispose();
  });

  it("says that the worker could not be started, and starts it with the next question", async () => {
    const { client } = clientOver({}, 1);
    expect(await client.ask((s) => s.two())).toEqual({
      ok: false,
      code: "failed",
      message: "refused by policy",
    });
    expect(await client.ask((s) => s.two())).toEqual({ ok: true, value: 2 });
    client.dispose();
  });

  it("ends a worker that is silent past its time, with all that it was asked, and goes on with another", async () => {
    const { client, count } = clientOver();
    const silent = { ok: false, code: "failed", message: "no answer within 0 s" };
    const both = [client.ask((s) => s.never(), 60), client.ask((s) => s.never(), 10_000)];
    expect(await Promise.all(both)).toEqual([silent, silent]);
    expect(await client.ask((s) => s.two())).toEqual({ ok: true, value: 2 });
    expect(count()).toBe(2);
    client.dispose();
  });

  it("does not take a late word of an ended worker for one of the worker that runs", async () => {
    const { client, workers } = clientOver();
    await client.ask((s) => s.never(), 30);
    const running = client.ask((s) => s.never(), 300);
    workers[0].onerror?.({ message: "late" });
    expect(await running).toMatchObject({ message: "no answer within 0 s" });
    client.dispose();
  });

  it("fails what was under way when the worker dies, or sends what cannot be read, and starts anew", async () => {
    const { client, workers, count } = clientOver();
    const dying = client.ask((s) => s.never());
    workers[0].onerror?.({ message: "out of memory" });
    expect(await dying).toEqual({ ok: false, code: "failed", message: "out of memory" });
    const garbled = client.ask((s) => s.never());
    (workers[1] as { onmessageerror?: () => void }).onmessageerror?.();
    expect(await garbled).toMatchObject({ message: "an answer could not be read" });
    expect(await client.ask((s) => s.two())).toEqual({ ok: true, value: 2 });
    expect(count()).toBe(3);
    client.dispose();
  });

  it("answers what is under way, and all that comes after, when it is disposed of", async () => {
    const { client } = clientOver({ waiting: "latest" });
    const running = client.ask((s) => s.never());
    const waiting = client.ask((s) => s.two());
    client.dispose();
    for (const answer of [await running, await waiting, await client.ask((s) => s.two())])
      expect(answer).toMatchObject({ ok: false, code: "disposed" });
  });
});

describe("a client that asks only the latest", () => {
  it("sends the first and the last of a burst, and calls the rest superseded", async () => {
    const { client } = clientOver({ waiting: "latest" });
    const answers = await Promise.all([1, 2, 3, 4].map((n) => client.ask((s) => s.slow(n))));
    expect(answers.map((a) => (a.ok ? a.value : a.code))).toEqual([1, "superseded", "superseded", 4]);
    expect(asked).toEqual([1, 4]);
    client.dispose();
  });

  it("goes on with what waits behind a question that hangs, throws or finds no worker", async () => {
    const hanging = clientOver({ waiting: "latest", withinMs: 50 });
    const [hung, after] = [hanging.client.ask((s) => s.never()), hanging.client.ask((s) => s.two())];
    expect(await hung).toMatchObject({ code: "failed" });
    expect(await after).toEqual({ ok: true, value: 2 });
    hanging.client.dispose();

    const throwing = clientOver({ waiting: "latest" });
    const [broken, then] = [throwing.client.ask((s) => s.broken()), throwing.client.ask((s) => s.two())];
    expect(await broken).toMatchObject({ message: "no such steel" });
    expect(await then).toEqual({ ok: true, value: 2 });
    throwing.client.dispose();
  });
});

describe("a client that asks all", () => {
  it("sends every question on", async () => {
    const { client } = clientOver();
    const answers = await Promise.all([1, 2, 3].map((n) => client.ask((s) => s.slow(n))));
    expect(answers.map((a) => a.ok && a.value)).toEqual([1, 2, 3]);
    client.dispose();
  });
});
