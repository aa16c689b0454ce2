import { describe, expect, it } from "vitest";
import { euaxis, json } from "./shell.fixtures";

describe("how a knife moves, what would move it and what it costs, from the shell", () => {
  it("brings a knife into the windows of its grips, and refuses one that has none", async () => {
    const { answers } = await json("tune", "demo/sallow-camp-chopper.json", "--grips");
    expect(answers).toMatchObject([{ changes: [], lands: true, misses: [] }]);
    const none = await euaxis("tune", "demo/heath-field-knife.json", "--grips");
    expect(none).toMatchObject({ code: 2, out: "" });
    expect(none.errors).toEqual([expect.stringMatching(/^no window stands on a grip of this knife/)]);
    const { grips } = await json("dynamics", "demo/sallow-camp-chopper.json");
    expect(grips.map((g: { name: string }) => g.name)).toEqual(["Working", "Rear"]);
  });

  it("prints dynamics, levers, tuned answers and percentiles, and refuses what it cannot read", async () => {
    const knife = "demo/heath-field-knife.json";
    const moved = await json("dynamics", knife, "--grip", "-40");
    expect(moved).toMatchObject({ gripMm: -40 });
    for (const key of ["momentNmm", "inertiaGripGmm2", "percussionMm"])
      expect(moved[key]).toEqual(expect.any(Number));
    expect(moved.effectiveMassG).toHaveLength(5);
    const { levers } = await json("levers", knife);
    expect(levers.length).toBeGreaterThan(10);
    const tuned = await json("tune", knife, "--balance", "-20..-10", "--mass", "140..180");
    expect(tuned.answers[0]).toMatchObject({ lands: true });
    expect(tuned.answers[0].balanceMm).toBeGreaterThanOrEqual(-20);
    const sampled = await json("sample", knife, "-n", "200", "--seed", "5");
    expect(sampled).toMatchObject({ seed: 5, count: 200 });
    expect(sampled.massG.p5).toBeLessThan(sampled.massG.p95);
    const wrong = [
      ["dynamics", knife, "--grip", "back"],
      ["tune", knife, "--balance", "0..-20"],
      ["tune", knife],
      ["sample", knife, "-n", "0"],
    ];
    for (const args of wrong) {
      const { code, errors } = await euaxis(...args);
      expect([code, errors.length], args.join(" ")).toEqual([2, 1]);
    }
  }, 120_000);

  it("prints a bill with and without prices, and refuses a file that has none", async () => {
    const knife = "demo/reed-take-down-hunter.json";
    const bare = await json("cost", knife);
    expect(bare).toMatchObject({ total: 0, variants: [] });
    expect(bare.unpriced).toContain("each:butt-screw");
    const bill = await json("cost", knife, "--prices", "demo/prices/workshop.json");
    expect(bill.unpriced).toEqual([]);
    expect(bill.total).toBeCloseTo(bill.materials + bill.labour + bill.others, 9);
    for (const args of [
      ["--prices", knife],
      ["--prices", "no-such.json"],
    ]) {
      const { code, errors } = await euaxis("cost", knife, ...args);
      expect([code, errors.length], args.join(" ")).toEqual([2, 1]);
    }
  });
});
