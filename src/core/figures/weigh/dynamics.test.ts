import { describe, expect, it } from "vitest";
import { newDesign } from "../../knife/design/create";
import { dynamics, effectiveMass } from "./dynamics";
import type { MassReport } from "./report";
import { weigh } from "./weigh";

/** A report of nothing but mass, centre and inertia across the blade. */
function body(massG: number, xMm: number, zz: number, yMm = 0): MassReport {
  const none = { xx: 0, yy: 0, xy: 0, xz: 0, yz: 0 };
  return {
    massG,
    balanceMm: xMm,
    centreMm: [xMm, yMm, 0],
    inertiaGmm2: { ...none, zz },
    massIntervalG: [massG, massG],
    balanceIntervalMm: [xMm, xMm],
    parts: [],
    densityShares: [],
  };
}

describe("how a knife moves", () => {
  it("a uniform rod held at its end: percussion at two thirds, inertia m L²/3", () => {
    const [m, L] = [200, 300];
    const d = dynamics(body(m, L / 2, (m * L * L) / 12), 0);
    expect(d.percussionMm).toBeCloseTo((2 / 3) * L, 9);
    expect(d.inertiaGripGmm2).toBeCloseTo((m * L * L) / 3, 6);
    expect(d.momentNmm).toBeCloseTo(0.2 * 9.80665 * 150, 9);
  });

  it("a rod with a mass at its end", () => {
    const [m, L, end] = [100, 200, 50];
    const mass = m + end;
    const centre = (m * (L / 2) + end * L) / mass;
    const about0 = (m * L * L) / 3 + end * L * L;
    const d = dynamics(body(mass, centre, about0 - mass * centre * centre), 0);
    expect(d.inertiaGripGmm2).toBeCloseTo(about0, 6);
    expect(d.percussionMm).toBeCloseTo(about0 / (mass * centre), 9);
  });

  it("effective mass: the whole at the balance, a quarter at the end of a uniform rod", () => {
    const [m, L] = [120, 240];
    const rod = body(m, 0, (m * L * L) / 12);
    expect(effectiveMass(rod, 0)).toBeCloseTo(m, 9);
    expect(effectiveMass(rod, L / 2)).toBeCloseTo(m / 4, 9);
    expect(effectiveMass(rod, -60)).toBeCloseTo(effectiveMass(rod, 60), 12);
  });

  it("a grip in the centre of mass has no percussion point, and nothing is not a number", () => {
    const d = dynamics(body(100, -20, 5e5), -20);
    expect(d.percussionMm).toBeNull();
    expect(d.momentNmm).toBe(0);
    expect(effectiveMass(body(0, 0, 0), 10)).toBe(0);
  });

  /** The struck point and the grip exchange their parts: the grip is the percussion point of the percussion point. */
  it("percussion works both ways on a real knife", () => {
    const weighing = weigh(newDesign("Sedge"));
    if (!weighing.ok) throw new Error("not weighed");
    const flat: MassReport = { ...weighing.report, centreMm: [weighing.report.balanceMm, 0, 0] };
    const there = dynamics(flat, -60).percussionMm!;
    expect(dynamics(flat, there).percussionMm).toBeCloseTo(-60, 6);
  });
});
