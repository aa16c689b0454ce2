import { describe, expect, it, vi } from "vitest";
import type { Pool } from "./pool";
import { poolOver } from "./port.fixtures";

interface Bench {
  slow(name: string): Promise<string>;
  double(n: number): number;
  fail(): never;
  tell(by: (n: number) => void): string;
}

/** Services that answer when they are let, and say what they were asked. */
function setUp(size = 2) {
  const asked: string[] = [];
  const waiting: (() => void)[] = [];
  const bench = {
    slow: (name: string) => {
      asked.push(name);
      return new Promise<string>((done) => waiting.push(() => done(`did ${name}`)));
    },
    double: (n: number) => {
      asked.push(`double ${n}`);
      return 2 * n;
    },
    fail: () => {
      asked.push("fail");
      throw new Error("no");
    },
  };
  const over = poolOver({ weigh: bench, bench, pattern: bench }, size);
  const client = (pool: Pool, service: "weigh" | "bench" | "pattern", waits: "all" | "latest" = "all") =>
    pool.client<Bench>(service, {
      withinMs: 5000,
      waiting: waits,
      lane: service === "weigh" ? "first" : service === "pattern" ? "own" : "others",
      remembered: service !== "pattern",
    });
  /** Lets what was asked first go on. */
  const let1 = async () => {
    await vi.waitFor(() => expect(waiting.length).toBeGreaterThan(0));
    waiting.shift()?.();
  };
  return { ...over, asked, waiting, client: client.bind(null, over.pool), let1 };
}

describe("a pool of workers", () => {
  it("starts no more than it may, however many ask; who waits is asked in turn", async () => {
    const { client, asked, let1, count, pool } = setUp(2);
    const clients = Array.from({ length: 5 }, () => client("bench"));
    const answers = clients.map((c, i) => c.ask((s) => s.slow(`job ${i}`)));
    for (const [i, answer] of answers.entries()) {
      await let1();
      expect(await answer).toEqual({ ok: true, value: `did job ${i}` });
      expect(asked.length).toBeLessThanOrEqual(i + 2);
    }
    expect([count(), pool.running()]).toEqual([1, 1]);
  });

  it("never lets a weighing wait for other work", async () => {
    const { client, let1, count } = setUp(2);
    const busy = client("bench").ask((s) => s.slow("levers"));
    const queued = client("bench").ask((s) => s.slow("review"));
    expect(await client("weigh").ask((s) => s.double(21))).toEqual({ ok: true, value: 42 });
    await let1();
    await let1();
    expect(await Promise.all([busy, queued])).toMatchObject([{ ok: true }, { ok: true }]);
    expect(count()).toBe(2);
  });

  it("asks the same question once, and shares an answer that is on its way", async () => {
    const { client, asked, let1 } = setUp();
    const [a, b] = [client("bench"), client("bench")];
    const both = Promise.all([a.ask((s) => s.slow("x")), b.ask((s) => s.slow("x"))]);
    await let1();
    expect(await both).toEqual([
      { ok: true, value: "did x" },
      { ok: true, value: "did x" },
    ]);
    expect(await client("bench").ask((s) => s.slow("x"))).toMatchObject({ ok: true });
    expect(asked).toEqual(["x"]);
    // Other arguments are another question; the same of another service, too.
    await a.ask((s) => s.double(1));
    await a.ask((s) => s.double(2));
    await client("weigh").ask((s) => s.double(1));
    expect(asked).toEqual(["x", "double 1", "double 2", "double 1"]);
  });

  it("does not remember what failed, nor what a service of its own memory answered", async () => {
    const { client, asked } = setUp();
    const bench = client("bench");
    for (let i = 0; i < 2; i++)
      expect(await bench.ask((s) => s.fail())).toMatchObject({ ok: false, code: "failed", message: "no" });
    const pattern = client("pattern");
    for (let i = 0; i < 2; i++) await pattern.ask((s) => s.double(3));
    expect(asked).toEqual(["fail", "fail", "double 3", "double 3"]);
  });

  it("ends a worker that nobody waits for when another question needs it, and starts anew", async () => {
    const { client, asked, let1, count, pool } = setUp(2);
    const gone = client("bench");
    const lost = gone.ask((s) => s.slow("long"));
    await vi.waitFor(() => expect(asked).toEqual(["long"]));
    gone.dispose();
    expect(await lost).toMatchObject({ ok: false, code: "disposed" });
    expect(await gone.ask((s) => s.double(1))).toMatchObject({ code: "disposed" });
    const next = client("bench").ask((s) => s.slow("next"));
    await vi.waitFor(() => expect(asked).toEqual(["long", "next"]));
    await let1();
    await let1();
    expect(await next).toEqual({ ok: true, value: "did next" });
    expect([count(), pool.running()]).toEqual([2, 1]);
  });

  it("keeps on with a shared question as long as one waits for it", async () => {
    const { client, asked, let1, count } = setUp(2);
    const [a, b] = [client("bench"), client("bench")];
    const [mine, theirs] = [a.ask((s) => s.slow("x")), b.ask((s) => s.slow("x"))];
    a.dispose();
    expect(await mine).toMatchObject({ code: "disposed" });
    const other = client("bench").ask((s) => s.double(5));
    await let1();
    expect(await theirs).toEqual({ ok: true, value: "did x" });
    expect(await other).toEqual({ ok: true, value: 10 });
    expect([asked, count()]).toEqual([["x", "double 5"], 1]);
  });

  it("answers of the last when questions of one client take each other's place", async () => {
    const { client, let1, asked } = setUp();
    const bench = client("bench", "latest");
    const answers = [1, 2, 3, 4].map((n) => bench.ask((s) => s.slow(`drag ${n}`)));
    await let1();
    await let1();
    expect((await Promise.all(answers)).map((a) => (a.ok ? a.value : a.code))).toEqual([
      "did drag 1",
      "superseded",
      "superseded",
      "did drag 4",
    ]);
    expect(asked).toEqual(["drag 1", "drag 4"]);
  });

  it("gives a service that remembers a worker of its own, and ends it with its client", async () => {
    const { client, let1, pool, count } = setUp(3);
    const pattern = client("pattern");
    await pattern.ask((s) => s.double(1));
    const busy = pattern.ask((s) => s.slow("photo"));
    expect(await client("bench").ask((s) => s.double(2))).toEqual({ ok: true, value: 4 });
    expect(pool.running()).toBe(2);
    await let1();
    expect(await busy).toMatchObject({ ok: true });
    pattern.dispose();
    expect([pool.running(), count()]).toEqual([1, 2]);
  });

  it("gives no worker to who gave up before its turn came", async () => {
    const { client, let1, asked, pool } = setUp(2);
    const busy = client("bench").ask((s) => s.slow("levers"));
    await vi.waitFor(() => expect(asked).toEqual(["levers"]));
    const pattern = client("pattern");
    const waits = pattern.ask((s) => s.slow("photo"));
    pattern.dispose();
    expect(await waits).toMatchObject({ code: "disposed" });
    await let1();
    expect(await busy).toMatchObject({ ok: true });
    expect(await client("bench").ask((s) => s.double(2))).toEqual({ ok: true, value: 4 });
    expect([asked, pool.running()]).toEqual([["levers", "double 2"], 1]);
  });

  it("takes a free worker for a service that remembers, not one that is busy", async () => {
    const { client, let1, asked } = setUp(3);
    const busy = client("bench").ask((s) => s.slow("levers"));
    await vi.waitFor(() => expect(asked).toEqual(["levers"]));
    expect(await client("pattern").ask((s) => s.double(3))).toEqual({ ok: true, value: 6 });
    await let1();
    expect(await busy).toMatchObject({ ok: true });
  });

  it("does not end a weighing with a service that had no other worker left", async () => {
    const { client, let1, asked, pool } = setUp(2);
    const [first, second] = [client("pattern"), client("pattern")];
    await first.ask((s) => s.double(1));
    await second.ask((s) => s.double(2));
    const weighing = client("weigh").ask((s) => s.slow("knife"));
    await vi.waitFor(() => expect(asked).toContain("knife"));
    second.dispose();
    await let1();
    expect(await weighing).toEqual({ ok: true, value: "did knife" });
    first.dispose();
    expect(pool.running()).toBe(1);
  });

  it("asks nothing any more once it was ended", async () => {
    const { client, asked, pool, count } = setUp(2);
    const answers = ["a", "b", "c"].map((name) => client("bench").ask((s) => s.slow(name)));
    await vi.waitFor(() => expect(asked).toEqual(["a"]));
    pool.stop();
    expect((await Promise.all(answers)).map((a) => a.ok)).toEqual([false, false, false]);
    expect([asked, count(), pool.running()]).toEqual([["a"], 1, 0]);
  });

  it("says what became of a worker that dies or is silent, and goes on with another", async () => {
    const { client, workers, waiting, asked } = setUp(2);
    const bench = client("bench");
    const dying = bench.ask((s) => s.slow("x"));
    await vi.waitFor(() => expect(asked).toEqual(["x"]));
    workers[0].onerror?.({ message: "out of memory" });
    expect(await dying).toEqual({ ok: false, code: "failed", message: "out of memory" });
    const silent = bench.ask((s) => s.slow("y"), 50);
    expect(await silent).toMatchObject({ ok: false, message: "no answer within 0 s" });
    expect(await bench.ask((s) => s.double(4))).toEqual({ ok: true, value: 8 });
    expect(waiting).toHaveLength(2);
    expect(workers).toHaveLength(3);
  });

  it("takes a question that calls one method and answers what that does, and no other", async () => {
    const { client } = setUp();
    const bench = client("bench");
    await expect(bench.ask((s) => [s.double(1)])).rejects.toThrow("answers what its service does");
    await expect(bench.ask((s) => s.double(s.double(1)))).rejects.toThrow("calls one method");
  });
});
