import { describe, expect, it, vi } from "vitest";
import { mendsOf } from "@/core/figures/review/mends";
import { reviewDesign } from "@/core/figures/review/reviewDesign";
import { weigh } from "@/core/figures/weigh/weigh";
import { newDesign } from "@/core/knife/design/create";
import type { Design } from "@/core/knife/design/schema";
import type { Autosave } from "@/store/autosave";
import { createSession } from "@/store/session";
import { spine } from "@/store/session.fixtures";
import { poolOver } from "@/workers/port.fixtures";
import { createBenchWorker, createPractice, createWeigher } from "@/workers/services";
import { notices } from "../kit/notice";
import { createBench } from "./benchState";

/** A knife on the bench, its workers answering as given. */
function onBench(
  services: {
    weigh?: (d: Design) => unknown;
    review?: (d: Design) => unknown;
    mend?: (d: Design) => unknown;
  } = {},
) {
  const session = createSession(newDesign("Sedge"));
  const weighers = poolOver({
    weigh: { weigh: services.weigh ?? weigh },
    bench: {
      review: services.review ?? ((d: Design) => reviewDesign(d, true)),
      mend: services.mend ?? mendsOf,
    },
  });
  const bench = createBench("k", session, {} as Autosave<Design>, "blade", {
    weigher: () => createWeigher(weighers.pool, 400),
    asker: () => createBenchWorker(weighers.pool),
    practice: () => createPractice(weighers.pool, 400),
  });
  return { session, bench, state: bench.state, weighers };
}

describe("a knife on the bench", () => {
  it("is weighed as it is laid there, and again after an edit; what the figures are of is told", async () => {
    const { session, bench, state } = onBench();
    const end = bench.begin();
    await vi.waitFor(() => expect(state.getState().weighed.of).toBe(session.getState().design));
    expect(state.getState().weighed.weighing).toEqual(weigh(session.getState().design));
    spine(session, 6);
    expect(state.getState().weighed.of).not.toBe(session.getState().design);
    await vi.waitFor(() => expect(state.getState().weighed.of).toBe(session.getState().design));
    expect(state.getState().weighed.weighing).toEqual(weigh(session.getState().design));
    end();
  });

  it("is not weighed again for a new name or use; what was asked before does not come back over it", async () => {
    const asked: string[] = [];
    let slow = 0;
    const { session, bench, state } = onBench({
      weigh: async (d) => {
        asked.push(`${d.name}, ${d.blade.spineMm}`);
        await new Promise((r) => setTimeout(r, slow));
        return weigh(d);
      },
    });
    const end = bench.begin();
    await vi.waitFor(() => expect(state.getState().weighed.of).toBe(session.getState().design));
    // Past its practice.
    await new Promise((r) => setTimeout(r, 700));
    asked.length = 0;
    const before = state.getState().weighed.weighing;
    const now = session.getState().design;
    const use = { ...now.use, grips: now.use.grips.map((g) => ({ ...g, xMm: g.xMm - 5 })) };
    session.getState().edit({ code: "take-variant", name: "Rush", design: { ...now, name: "Rush", use } });
    expect(state.getState().weighed).toMatchObject({
      weighing: before,
      of: session.getState().design,
      failure: null,
    });
    expect(state.getState().weighed.weighing).toBe(before);
    expect(asked).toEqual([]);

    slow = 60;
    spine(session, 6);
    session.undo();
    expect(state.getState().weighed.of, "back at what is known").toBe(session.getState().design);
    await new Promise((r) => setTimeout(r, 150));
    expect(asked).toEqual(["Rush, 6"]);
    expect(state.getState().weighed.of).toBe(session.getState().design);
    expect(state.getState().weighed.weighing).toBe(before);
    end();
  });

  it("is reviewed while it can be built, and not while it cannot", async () => {
    const { session, bench, state } = onBench();
    const end = bench.begin();
    await vi.waitFor(() =>
      expect(state.getState().review).toMatchObject(reviewDesign(session.getState().design, true)),
    );
    // A ricasso longer than the blade cannot be built.
    session.getState().edit({ code: "set", path: "blade.ricassoMm", to: 110 });
    const good = state.getState().weighed.lastGood;
    await vi.waitFor(() => expect(state.getState().weighed.weighing?.ok).toBe(false));
    // The last state that could be built, and what it weighed, stay at hand.
    expect(good?.report.massG).toBeGreaterThan(0);
    expect(state.getState().weighed.lastGood).toBe(good);
    expect(state.getState().review).toBeNull();
    end();
  });

  it("is told what would mend it while it cannot be built, and no more once it can", async () => {
    const { session, bench, state } = onBench();
    const end = bench.begin();
    await vi.waitFor(() => expect(state.getState().review).not.toBeNull());
    expect(state.getState().mends).toBeNull();
    session.getState().edit({ code: "set", path: "blade.ricassoMm", to: 110 });
    await vi.waitFor(() => expect(state.getState().mends?.of).toBe(session.getState().design));
    const { findings } = state.getState().mends!;
    expect(findings).toEqual(mendsOf(session.getState().design));
    session.undo();
    expect(state.getState().mends).toBeNull();
    await vi.waitFor(() => expect(state.getState().review).not.toBeNull());
    end();
  });

  it("is not kept waiting by a search for what would mend a state that it has left", async () => {
    const mended: number[] = [];
    const { session, bench, state } = onBench({
      mend: (d) => {
        mended.push(d.blade.ricassoMm);
        return d.blade.ricassoMm === 110 ? new Promise(() => undefined) : [];
      },
    });
    const end = bench.begin();
    await vi.waitFor(() => expect(state.getState().review).not.toBeNull());
    session.getState().edit({ code: "set", path: "blade.ricassoMm", to: 110 });
    await vi.waitFor(() => expect(mended).toEqual([110]));
    session.getState().edit({ code: "set", path: "blade.ricassoMm", to: 112 });
    await vi.waitFor(() => expect(state.getState().mends?.of).toBe(session.getState().design));
    session.getState().edit({ code: "set", path: "blade.ricassoMm", to: 8 });
    await vi.waitFor(() => expect(state.getState().review).not.toBeNull());
    end();
  });

  it("is asked for once more after a worker died, and then said not to be weighed; again, when that is wished", async () => {
    let dead = 2;
    const asked = vi.fn((d: Design) => {
      if (dead-- > 0) throw new Error("out of memory");
      return weigh(d);
    });
    const { bench, state } = onBench({ weigh: asked });
    const end = bench.begin();
    await vi.waitFor(() => expect(state.getState().weighed.failure).toBe("out of memory"));
    expect(asked).toHaveBeenCalledTimes(2);
    bench.weighAgain();
    await vi.waitFor(() => expect(state.getState().weighed.failure).toBeNull());
    expect(state.getState().weighed.weighing?.ok).toBe(true);
    end();
  });

  it("keeps its figures when its weighing fails, and says that they are of before", async () => {
    let hang = false;
    const { session, bench, state } = onBench({
      weigh: (d) => (hang ? new Promise(() => undefined) : weigh(d)),
    });
    const end = bench.begin();
    await vi.waitFor(() => expect(state.getState().weighed.of).not.toBeNull());
    const before = state.getState().weighed.weighing;
    hang = true;
    spine(session, 7);
    await vi.waitFor(() => expect(state.getState().weighed.failure).toMatch(/no answer within/));
    expect(state.getState().weighed.weighing).toBe(before);
    expect(state.getState().weighed.of).not.toBe(session.getState().design);
    end();
  });

  it("is drawn to the scale of before while a point is dragged", () => {
    const { session, bench, state } = onBench();
    const before = session.getState().design;
    bench.setDragging(true);
    spine(session, 6, "drag");
    spine(session, 7, "drag");
    expect(state.getState().settled).toBe(before);
    bench.setDragging(false);
    expect(state.getState().settled).toBe(session.getState().design);
    spine(session, 8);
    expect(state.getState().settled).toBe(session.getState().design);
  });

  it("says why an edit was refused, and no more than once a second", () => {
    const said = vi.spyOn(notices, "error").mockImplementation(() => "id");
    const { session, bench } = onBench();
    const before = session.getState().design;
    const thick = () => bench.edit({ code: "set", path: "blade.spineMm", to: 500 });
    expect(thick()?.keys).toEqual(["blade", "spineMm"]);
    thick();
    expect(said).toHaveBeenCalledTimes(1);
    expect(said.mock.calls[0][0]).toMatchObject({
      title: "Not possible",
      description: "Blade, spine: 25 mm at most.",
    });
    expect(session.getState().design).toBe(before);
    said.mockRestore();
  });

  it("lays down what was picked out with the step that it was picked out in", () => {
    const { bench, state } = onBench();
    bench.setSelected("pin-1");
    bench.setStep("pins");
    expect(state.getState()).toMatchObject({ step: "pins", selected: null });
  });

  it("asks nothing any more when it is cleared away", async () => {
    const asked = vi.fn(weigh);
    const { session, bench } = onBench({ weigh: asked });
    bench.begin()();
    spine(session, 6);
    await new Promise((r) => setTimeout(r, 30));
    expect(asked.mock.calls.every(([d]) => d.blade.spineMm !== 6)).toBe(true);
  });
});
