import { proxy } from "comlink";
import { describe, expect, it } from "vitest";
import { newDesign } from "@/core/design/create";
import { reviewDesign } from "@/core/review/reviewDesign";
import { sampleBuilds } from "@/core/tune/sample";
import { createAsker } from "./bench.client";
import { startOver } from "./port.fixtures";

const design = newDesign("Sedge");

describe("the bench's second worker", () => {
  it("answers what the core answers", async () => {
    const asker = createAsker(startOver({ review: reviewDesign }).start);
    expect(await asker.ask((s) => s.review(design, false))).toEqual(reviewDesign(design));
    asker.dispose();
  });

  it("asks only the latest of what waits; the rest come back as nothing", async () => {
    let asked = 0;
    const slow = async () => {
      asked++;
      await new Promise((r) => setTimeout(r, 20));
      return { findings: [], accepted: [] };
    };
    const asker = createAsker(startOver({ review: slow }).start);
    const answers = await Promise.all([1, 2, 3, 4].map(() => asker.ask((s) => s.review(design, false))));
    expect(answers.map((a) => a !== null)).toEqual([true, false, false, true]);
    expect(asked).toBe(2);
    asker.dispose();
  });

  it("survives a question that throws, and a worker that dies", async () => {
    let fail = true;
    const service = {
      review: () => {
        if (fail) throw new Error("broken");
        return { findings: [], accepted: [] };
      },
    };
    const { start, workers } = startOver(service);
    const asker = createAsker(start);
    expect(await asker.ask((s) => s.review(design, false))).toBeNull();
    fail = false;
    const dying = asker.ask((s) => s.review(design, false));
    workers[0].onerror?.({ message: "gone" });
    expect(await dying).toBeNull();
    expect(await asker.ask((s) => s.review(design, false))).toEqual({ findings: [], accepted: [] });
    expect(workers).toHaveLength(2);
    asker.dispose();
  });

  it("tells how far it is while it draws, over the same channel", async () => {
    const told: number[] = [];
    const sample = (d: typeof design, count: number, seed: number, tell: (n: number) => void) =>
      sampleBuilds(d, count, seed, (drawn) => {
        tell(drawn);
        return false;
      });
    const asker = createAsker(startOver({ sample }).start);
    const tell = proxy((drawn: number) => {
      told.push(drawn);
    });
    const answer = await asker.ask((s) => s.sample(design, 1600, 1, tell));
    expect(answer).toEqual(sampleBuilds(design, 1600, 1));
    expect(told).toEqual([0, 500, 1000, 1500]);
    asker.dispose();
  });
});
