import Module, { type ManifoldToplevel } from "manifold-3d";
import { beforeAll, describe, expect, it } from "vitest";
import { damagedFiles } from "./files";

/** The short form of `npm run faults`. */
const COUNT = 250;
const SEED = 20261127;

let kernel: ManifoldToplevel;
beforeAll(async () => {
  kernel = await Module();
  kernel.setup();
});

describe("damaged files", () => {
  it("are refused or read, never break a reader or hold it up", { timeout: 300_000 }, async () => {
    for (const { what, first, ...tally } of await damagedFiles(kernel, COUNT, COUNT, SEED)) {
      expect(tally.crashed, `${what}: ${first}`).toBe(0);
      // Two seconds are measured by the run itself, on a machine that does nothing beside: here a hang is looked for.
      expect(tally.slowestMs, `${what}: ${first}`).toBeLessThan(15_000);
      // Of a table and a drawing much is still one: what cannot be read of it is left out and said.
      expect(tally.refused, what).toBeGreaterThan(COUNT / 40);
      expect(tally.peakMb, what).toBeLessThan(1500);
      expect(tally.refused + tally.taken, what).toBe(COUNT);
    }
    expect(({} as { polluted?: unknown }).polluted, "no prototype was changed").toBeUndefined();
  });
});
