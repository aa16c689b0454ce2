import { readFileSync, writeFileSync } from "node:fs";
import { describe, expect, it } from "vitest";
import { operationsOf } from "./operations";
import { CASES_BEGIN_MS, optimumMs, randomCase } from "./optimum.fixtures";
import { Problem } from "./problem";
import { solved } from "./search";

const HOUR = 3_600_000;
/** Finishes that a general solver found, h after the beginning, by the seed of the case: null of what it could not place at all. */
const RECORDED = "src/core/schedule/optima.fixtures.json";
/** Set to have all of them solved once more, which takes some minutes. */
const AGAIN = process.env.EUAXIS_OPTIMA === "1";

function ours(seed: number, count: number): number {
  const { job, days } = randomCase(seed, count);
  const operations = operationsOf([job], [], CASES_BEGIN_MS) ?? [];
  const found = solved(new Problem(operations, CASES_BEGIN_MS, days, {}));
  return found.ok ? found.finishMs : Number.POSITIVE_INFINITY;
}

/** A horizon for cases that we found no place for: nothing that can be placed at all needs so long. */
const LONG_MS = CASES_BEGIN_MS + 9 * 24 * HOUR;

describe("against the optimum of a general solver", () => {
  it.each(Array.from({ length: 12 }, (_, seed) => seed))(
    "twelve tasks of case %i finish at no other time, or cannot be placed by it either",
    async (seed) => {
      const found = ours(seed, 12);
      const best = await optimumMs(randomCase(seed, 12), Number.isFinite(found) ? found : LONG_MS, 60);
      expect(best).not.toBeNull();
      expect((best ?? 0) / HOUR).toBe(found / HOUR);
    },
  );

  it("of 100 cases of twenty tasks at least 95 finish within 5 %, none before it", async () => {
    const recorded: Record<string, number> = AGAIN ? {} : JSON.parse(readFileSync(RECORDED, "utf8"));
    if (AGAIN) {
      for (let seed = 0; Object.keys(recorded).length < 100; seed++) {
        const found = ours(seed, 20);
        const best = Number.isFinite(found) ? await optimumMs(randomCase(seed, 20), found, 120) : null;
        if (best !== null) recorded[seed] = (best - CASES_BEGIN_MS) / HOUR;
      }
      writeFileSync(RECORDED, `${JSON.stringify(recorded, null, 1)}\n`);
    }
    const over = Object.entries(recorded).map(
      ([seed, hours]) => (ours(Number(seed), 20) - CASES_BEGIN_MS) / HOUR / hours - 1,
    );
    expect(over.length).toBe(100);
    expect(Math.min(...over)).toBeGreaterThan(-1e-9);
    expect(over.filter((o) => o <= 0.05).length).toBeGreaterThanOrEqual(95);
  }, 1_800_000);

  it("what is recorded is what it finds", async () => {
    const recorded: Record<string, number> = JSON.parse(readFileSync(RECORDED, "utf8"));
    for (const [seed, hours] of Object.entries(recorded).slice(0, 4)) {
      const best = await optimumMs(randomCase(Number(seed), 20), ours(Number(seed), 20), 120);
      expect(((best ?? 0) - CASES_BEGIN_MS) / HOUR).toBe(hours);
    }
  }, 300_000);
});
