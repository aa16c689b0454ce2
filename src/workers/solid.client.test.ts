import { describe, expect, it } from "vitest";
import { startOver } from "./port.fixtures";
import { createSolids } from "./solid.client";

const answering = {
  exportFile: async (_: unknown, part: string | null) => {
    if (part === "broken") throw new Error("no such part");
    if (part === "never") await new Promise(() => undefined);
    return new Uint8Array([1, 2, 3]);
  },
};
const ask = (solids: ReturnType<typeof createSolids>, part: string | null) =>
  solids.ask((s) => s.exportFile({} as never, part, "stl", {}));

describe("the solid worker's client", () => {
  it("starts the worker with the first question only, and brings bytes back", async () => {
    const over = startOver(answering);
    const solids = createSolids(over.start);
    expect(over.count()).toBe(0);
    const answers = await Promise.all([ask(solids, null), ask(solids, "guard")]);
    expect(answers).toEqual([
      { ok: true, value: new Uint8Array([1, 2, 3]) },
      { ok: true, value: new Uint8Array([1, 2, 3]) },
    ]);
    expect(over.count()).toBe(1);
    solids.dispose();
  });

  it("says why a question failed, and goes on answering", async () => {
    const over = startOver(answering);
    const solids = createSolids(over.start);
    expect(await ask(solids, "broken")).toEqual({ ok: false, code: "failed", message: "no such part" });
    expect(await ask(solids, null)).toMatchObject({ ok: true });
    expect(over.count()).toBe(1);
    solids.dispose();
  });

  it("answers what was under way when the worker dies, and starts anew with the next question", async () => {
    const over = startOver(answering);
    const solids = createSolids(over.start);
    const waiting = ask(solids, "never");
    over.workers[0].onerror?.({ message: "out of memory" });
    expect(await waiting).toEqual({ ok: false, code: "failed", message: "out of memory" });
    expect(await ask(solids, null)).toMatchObject({ ok: true });
    expect(over.count()).toBe(2);
    solids.dispose();
  });

  it("ends what is under way when it is done with", async () => {
    const solids = createSolids(startOver(answering).start);
    const waiting = ask(solids, "never");
    solids.dispose();
    expect(await waiting).toEqual({ ok: false, code: "failed", message: "disposed" });
  });
});
