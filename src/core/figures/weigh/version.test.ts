import { expect, it } from "vitest";
import { DEMO_KNIVES } from "../../exchange/files/knife/demo.fixtures";
import { CONSTRUCTIONS } from "../../knife/design/constructions.fixtures";
import { ENGINE_VERSION } from "./version";
import { weigh } from "./weigh";

/**
 * What this version of the engine makes of all demo knives and constructions: sums of masses, balances and inertias.
 * When one moves, figures that browsers have kept are old: ENGINE_VERSION goes up, and the new sums stand here.
 * A knife or construction that is added, or begins otherwise, moves the sums, too, but no figure.
 */
const OF_VERSION = { version: 3, massG: 20509.66553, balanceMm: 2930.61082, inertiaKgmm2: 135079.2164 };

it("figures do not move without a new version of the engine", () => {
  const sums = { version: ENGINE_VERSION, massG: 0, balanceMm: 0, inertiaKgmm2: 0 };
  for (const [, design] of [...DEMO_KNIVES, ...Object.entries(CONSTRUCTIONS)]) {
    const weighing = weigh(design);
    if (!weighing.ok) continue;
    sums.massG += weighing.report.massG;
    sums.balanceMm += Math.abs(weighing.report.balanceMm);
    sums.inertiaKgmm2 += weighing.report.inertiaGmm2.zz / 1000;
  }
  expect(sums.version).toBe(OF_VERSION.version);
  expect(sums.massG).toBeCloseTo(OF_VERSION.massG, 3);
  expect(sums.balanceMm).toBeCloseTo(OF_VERSION.balanceMm, 3);
  expect(sums.inertiaKgmm2).toBeCloseTo(OF_VERSION.inertiaKgmm2, 1);
});
