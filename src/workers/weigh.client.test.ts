import { describe, expect, it } from "vitest";
import { newDesign } from "@/core/design/create";
import type { Design } from "@/core/design/schema";
import { weigh } from "@/core/weigh/weigh";
import { startOver } from "./port.fixtures";
import { createWeigher } from "./weigh.client";

const design = newDesign("Sedge");
const thick = (mm: number): Design => ({ ...design, blade: { ...design.blade, spineMm: mm } });

describe("the weighing client", () => {
  it("answers what the core answers", async () => {
    const weigher = createWeigher(startOver({ weigh }).start);
    const answer = await weigher.weigh(design);
    expect(answer).toEqual({ ok: true, weighing: weigh(design) });
    weigher.dispose();
  });

  it("weighs the first and the latest of a burst, and calls the rest superseded", async () => {
    const weigher = createWeigher(startOver({ weigh }).start);
    const answers = await Promise.all([3, 4, 5, 6].map((mm) => weigher.weigh(thick(mm))));
    expect(answers.map((a) => (a.ok ? "weighed" : a.code))).toEqual([
      "weighed",
      "superseded",
      "superseded",
      "weighed",
    ]);
    expect(answers[3]).toEqual({ ok: true, weighing: weigh(thick(6)) });
    weigher.dispose();
  });

  it("gives a failure as data, and goes on", async () => {
    const fails = (d: Design) => {
      if (d.blade.spineMm === 3) throw new Error("no such steel");
      return weigh(d);
    };
    const weigher = createWeigher(startOver({ weigh: fails }).start);
    expect(await weigher.weigh(thick(3))).toEqual({ ok: false, code: "failed", message: "no such steel" });
    expect((await weigher.weigh(thick(4))).ok).toBe(true);
    weigher.dispose();
  });

  it("starts a dead worker anew, and answers nothing once it is disposed of", async () => {
    const over = startOver({ weigh });
    const weigher = createWeigher(over.start);
    const dying = weigher.weigh(design);
    over.workers[0].onerror?.({ message: "out of memory" });
    expect(await dying).toMatchObject({ ok: false, code: "failed", message: "out of memory" });
    expect((await weigher.weigh(design)).ok).toBe(true);
    expect(over.count()).toBe(2);
    weigher.dispose();
    expect(await weigher.weigh(design)).toEqual({ ok: false, code: "disposed" });
  });
});
