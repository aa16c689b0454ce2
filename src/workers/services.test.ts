import { proxy } from "comlink";
import { describe, expect, it } from "vitest";
import { readKnife } from "@/core/exchange/files/knife/read";
import { writeKnife } from "@/core/exchange/files/knife/write";
import { reviewDesign } from "@/core/figures/review/reviewDesign";
import { sampleBuilds } from "@/core/figures/tune/sample";
import { weigh } from "@/core/figures/weigh/weigh";
import { newDesign } from "@/core/knife/design/create";
import { endingIn, rodMesh } from "@/core/knife/design/limits.fixtures";
import { filesService } from "../pool/files.service";
import { poolOver, startOver } from "./port.fixtures";
import { createBenchWorker, createFileReader, createSolids, createWeigher } from "./services";

const design = newDesign("Sedge");
const thick = (mm: number) => ({ ...design, blade: { ...design.blade, spineMm: mm } });

describe("over a worker's channel", () => {
  it("a weighing is what the core answers", async () => {
    const weigher = createWeigher(poolOver({ weigh: { weigh } }).pool);
    expect(await weigher.ask((s) => s.weigh(design))).toEqual({ ok: true, value: weigh(design) });
    weigher.dispose();
  });

  it("a drag's weighings are the first and the latest", async () => {
    const weigher = createWeigher(poolOver({ weigh: { weigh } }).pool);
    const answers = await Promise.all([3, 4, 5, 6].map((mm) => weigher.ask((s) => s.weigh(thick(mm)))));
    expect(answers.map((a) => (a.ok ? "weighed" : a.code))).toEqual([
      "weighed",
      "superseded",
      "superseded",
      "weighed",
    ]);
    expect(answers[3]).toEqual({ ok: true, value: weigh(thick(6)) });
    weigher.dispose();
  });

  it("a review is what the core answers", async () => {
    const asker = createBenchWorker(poolOver({ bench: { review: reviewDesign } }).pool);
    expect(await asker.ask((s) => s.review(design, false))).toEqual({
      ok: true,
      value: reviewDesign(design),
    });
    asker.dispose();
  });

  it("a knife file with a shape in it is read as it is beside the worker", async () => {
    const bytes = new TextEncoder().encode(writeKnife(endingIn(rodMesh(1000))));
    const asker = createFileReader(poolOver({ files: filesService }).pool);
    const reading = await asker.ask((s) => s.openKnife(bytes));
    expect(reading).toEqual({ ok: true, value: readKnife(bytes) });
    expect(reading.ok && reading.value.ok).toBe(true);
    asker.dispose();
  });

  it("drawing of builds tells how far it is", async () => {
    const told: number[] = [];
    const sample = (d: typeof design, count: number, seed: number, tell: (n: number) => void) =>
      sampleBuilds(d, count, seed, (drawn) => {
        tell(drawn);
        return false;
      });
    const asker = createBenchWorker(poolOver({ bench: { sample } }).pool);
    const tell = proxy((drawn: number) => {
      told.push(drawn);
    });
    const answer = await asker.ask((s) => s.sample(design, 1600, 1, tell));
    expect(answer).toEqual({ ok: true, value: sampleBuilds(design, 1600, 1) });
    expect(told).toEqual([0, 500, 1000, 1500]);
    asker.dispose();
  });

  it("the bytes of a file come back, and all questions of solids are sent on", async () => {
    const exportFile = async () => new Uint8Array([1, 2, 3]);
    const solids = createSolids(startOver({ exportFile }).start);
    const ask = () => solids.ask((s) => s.exportFile(design, null, "stl", {}));
    const bytes = { ok: true, value: new Uint8Array([1, 2, 3]) };
    expect(await Promise.all([ask(), ask(), ask()])).toEqual([bytes, bytes, bytes]);
    solids.dispose();
  });
});
