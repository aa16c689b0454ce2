import { describe, expect, it } from "vitest";
import { newDesign } from "@/core/design/create";
import { weigh } from "@/core/weigh/weigh";
import { createAsker } from "./bench.client";
import { hosted } from "./hosted";
import { startOver } from "./port.fixtures";
import { createSolids } from "./solid.client";
import { createWeigher } from "./weigh.client";

const never = () => new Promise<never>(() => undefined);
const design = newDesign("Sedge");

/** A worker that cannot be started so often, then can. */
function failing(times: number, over: ReturnType<typeof startOver>) {
  let left = times;
  return () => {
    if (left-- > 0) throw new DOMException("refused by policy", "SecurityError");
    return over.start();
  };
}

describe("a worker's host", () => {
  it("answers that the worker could not be started, and starts it with the next question", async () => {
    const host = hosted<{ two(): number }>(failing(1, startOver({ two: () => 2 })));
    expect(await host.ask((s) => s.two(), 1000)).toEqual({ ok: false, message: "refused by policy" });
    expect(await host.ask((s) => s.two(), 1000)).toEqual({ ok: true, value: 2 });
    host.stop("done");
  });

  it("ends a worker that is silent past its time, with all that it was asked, and goes on with another", async () => {
    const over = startOver({ never, two: () => 2 });
    const host = hosted<{ never(): Promise<never>; two(): number }>(over.start);
    const asked = [host.ask((s) => s.never(), 60), host.ask((s) => s.never(), 10_000)];
    expect(await Promise.all(asked)).toEqual([
      { ok: false, message: "no answer within 0 s" },
      { ok: false, message: "no answer within 0 s" },
    ]);
    expect(await host.ask((s) => s.two(), 1000)).toEqual({ ok: true, value: 2 });
    expect(over.count()).toBe(2);
    host.stop("done");
  });

  it("does not take a late word of an ended worker for one of the worker that runs", async () => {
    const over = startOver({ never, two: () => 2 });
    const host = hosted<{ never(): Promise<never>; two(): number }>(over.start);
    await host.ask((s) => s.never(), 30);
    const running = host.ask((s) => s.never(), 300);
    over.workers[0].onerror?.({ message: "late" });
    expect(await running).toEqual({ ok: false, message: "no answer within 0 s" });
    host.stop("done");
  });

  it("fails what an answer that cannot be read belongs to", async () => {
    const over = startOver({ never });
    const host = hosted<{ never(): Promise<never> }>(over.start);
    const running = host.ask((s) => s.never(), 5000);
    (over.workers[0] as { onmessageerror?: () => void }).onmessageerror?.();
    expect(await running).toEqual({ ok: false, message: "an answer could not be read" });
    host.stop("done");
  });
});

describe("no client waits for ever", () => {
  it("the weigher: not for a worker that hangs, nor for one that cannot be started", async () => {
    let hang = true;
    const over = startOver({ weigh: (d: typeof design) => (hang ? never() : weigh(d)) });
    const weigher = createWeigher(over.start, 50);
    expect(await weigher.weigh(design)).toMatchObject({ ok: false, code: "failed" });
    hang = false;
    const later = createWeigher(failing(1, over), 5000);
    expect(await later.weigh(design)).toMatchObject({ ok: false, message: "refused by policy" });
    expect((await later.weigh(design)).ok).toBe(true);
    weigher.dispose();
    later.dispose();
  });

  it("the asker, and what waits behind a question that hangs", async () => {
    const over = startOver({ review: never, fit: () => "sheet" });
    const asker = createAsker(over.start, 50);
    const first = asker.ask((s) => s.review(design, true));
    const second = asker.ask((s) => s.fit(design));
    expect(await first).toBeNull();
    expect(await second).toBe("sheet");
    asker.dispose();
  });

  it("the solids", async () => {
    const solids = createSolids(startOver({ parts: never }).start, 50);
    expect(await solids.ask((s) => s.parts(design, null))).toMatchObject({ ok: false, code: "failed" });
    solids.dispose();
  });
});
