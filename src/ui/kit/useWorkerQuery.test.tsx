// @vitest-environment happy-dom
import { act, renderHook, waitFor } from "@testing-library/react";
import { afterEach, beforeEach, describe, expect, it, vi } from "vitest";
import { newDesign } from "@/core/knife/design/create";
import type { Design } from "@/core/knife/design/schema";
import { poolOver } from "@/workers/port.fixtures";
import { createWeigher, workerPool } from "@/workers/services";
import { useLonger } from "./useLonger";
import { useTask } from "./useTask";
import { useWorkerQueries, useWorkerQuery } from "./useWorkerQuery";

const design = (name: string): Design => ({ ...newDesign("Sedge"), name });
const [a, b, c] = ["a", "b", "c"].map(design);

/** Stands for the page's workers: whichever is started answers with this. */
let service: Record<string, (...args: never[]) => unknown> = {};
function WorkerHere() {
  return poolOver({
    bench: {
      spread: (...args: never[]) => service.spread(...args),
      tune: (...args: never[]) => service.tune(...args),
    },
  }).start();
}
const real = globalThis.Worker;
beforeEach(() => void Object.assign(globalThis, { Worker: WorkerHere }));
afterEach(() => {
  workerPool().stop();
  Object.assign(globalThis, { Worker: real });
});

describe("one question about the knife on the bench", () => {
  const ask = (first: Design | null) =>
    renderHook(({ of }: { of: Design | null }) => useWorkerQuery(of, (s, d) => s.spread(d)), {
      initialProps: { of: first },
    });

  it("is asked when the knife rests, once for a run of edits; the last answer stands meanwhile", async () => {
    const asked: string[] = [];
    service = {
      spread: (d: Design) => {
        asked.push(d.name);
        return `spread of ${d.name}`;
      },
    };
    const { result, rerender } = ask(a);
    expect(result.current).toMatchObject({ answer: null, failed: false });
    await waitFor(() => expect(result.current.answer).toBe("spread of a"));
    rerender({ of: b });
    rerender({ of: c });
    expect(result.current.answer).toBe("spread of a");
    await waitFor(() => expect(result.current.answer).toBe("spread of c"));
    expect(asked).toEqual(["a", "c"]);
  });

  it("that fails is told, with the answer of before; of nothing nothing is asked", async () => {
    service = {
      spread: (d: Design) => {
        if (d.name === "b") throw new Error("out of memory");
        return d.name;
      },
    };
    const { result, rerender } = ask(a);
    await waitFor(() => expect(result.current.answer).toBe("a"));
    rerender({ of: b });
    await waitFor(() =>
      expect(result.current).toMatchObject({
        answer: "a",
        failed: true,
        reason: "out of memory",
        isLoading: false,
      }),
    );
    rerender({ of: c });
    await waitFor(() =>
      expect(result.current).toEqual({ answer: "c", of: c, failed: false, reason: null, isLoading: false }),
    );
    rerender({ of: null });
    expect(result.current).toMatchObject({ answer: null, failed: false });
  });
});

describe("the same question about several designs", () => {
  const asked: string[] = [];
  const weighers = poolOver({
    weigh: {
      weigh: (d: Design) => {
        asked.push(d.name);
        if (d.name === "b") throw new Error("no");
        return d.name;
      },
    },
  });
  const create = () => createWeigher(weighers.pool);
  const start = (designs: readonly Design[], given: unknown = 1) =>
    renderHook(
      ({ of, at }: { of: readonly Design[]; at: unknown }) =>
        useWorkerQueries(
          create,
          of,
          (s, d) => (s.weigh as (d: Design, given: unknown) => unknown)(d, at) as string,
          at,
        ),
      { initialProps: { of: designs, at: given } },
    );

  beforeEach(() => {
    asked.length = 0;
    weighers.pool.stop();
  });

  it("is asked once for each; one that fails is told, and the others answered", async () => {
    const { result, rerender } = start([a, b]);
    await waitFor(() =>
      expect([...result.current]).toEqual([
        [a, "a"],
        [b, "failed"],
      ]),
    );
    // Another list of the same designs asks nothing; one more asks for that alone.
    rerender({ of: [b, a], at: 1 });
    rerender({ of: [a, b, c], at: 1 });
    await waitFor(() => expect(result.current.get(c)).toBe("c"));
    expect(asked).toEqual(["a", "b", "c"]);
  });

  it("forgets what is there no more, and asks all again when what it was given changes", async () => {
    const { result, rerender } = start([a, c]);
    await waitFor(() => expect(result.current.size).toBe(2));
    const d = design("d");
    rerender({ of: [c, d], at: 1 });
    await waitFor(() => expect([...result.current.keys()]).toEqual([c, d]));
    rerender({ of: [c, d], at: 2 });
    await waitFor(() => expect(asked).toEqual(["a", "c", "d", "c", "d"]));
  });
});

describe("a long question that the maker begins", () => {
  it("is busy until it is answered; the answer names the design that it is of", async () => {
    service = { tune: async () => ["shorter"] };
    const { result } = renderHook(() => useTask<readonly string[]>());
    expect(result.current).toMatchObject({ busy: false, failed: false, answer: null });
    let asked: Promise<void> = Promise.resolve();
    act(() => {
      asked = result.current.begin(a, (s) => s.tune(a, {} as never, [], {}) as never);
    });
    expect(result.current.busy).toBe(true);
    await act(() => asked);
    expect(result.current).toMatchObject({
      busy: false,
      failed: false,
      answer: { of: a, value: ["shorter"] },
    });
  });

  it("can be called off, and leaves the answer of before", async () => {
    service = { tune: () => new Promise(() => undefined) };
    const { result } = renderHook(() => useTask<readonly string[]>());
    act(() => {
      void result.current.begin(a, (s) => s.tune(a, {} as never, [], {}) as never);
    });
    expect(result.current.busy).toBe(true);
    act(() => result.current.cancel());
    expect(result.current).toMatchObject({ busy: false, failed: false, answer: null });
  });

  it("that fails says so", async () => {
    service = {
      tune: () => {
        throw new Error("no");
      },
    };
    const { result } = renderHook(() => useTask<readonly string[]>());
    await act(() => result.current.begin(a, (s) => s.tune(a, {} as never, [], {}) as never));
    expect(result.current).toMatchObject({ busy: false, failed: true, answer: null });
  });
});

describe("what has been so for longer", () => {
  it("is told after its time, at once no more, and not at all when it passes before", () => {
    vi.useFakeTimers();
    const { result, rerender } = renderHook(({ so }) => useLonger(so, 300), { initialProps: { so: true } });
    expect(result.current).toBe(false);
    act(() => void vi.advanceTimersByTime(301));
    expect(result.current).toBe(true);
    rerender({ so: false });
    expect(result.current).toBe(false);
    rerender({ so: true });
    act(() => void vi.advanceTimersByTime(200));
    rerender({ so: false });
    act(() => void vi.advanceTimersByTime(200));
    expect(result.current).toBe(false);
    vi.useRealTimers();
  });
});
