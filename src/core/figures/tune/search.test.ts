import fc from "fast-check";
import { determinant, Matrix, pseudoInverse } from "ml-matrix";
import { describe, expect, it } from "vitest";
import { newDesign } from "../../knife/design/create";
import { outside } from "../../knife/design/uses";
import { figuresOf } from "./effects";
import { goalsOf } from "./goals";
import type { Lever } from "./lever";
import { withLevers } from "./levers";
import { search, type Trial, trialsOf } from "./search";
import { aim, leastChange, type Slope } from "./sets";

const lever = (id: string, step: number, low: number, high: number): Lever => ({
  id,
  unit: "mm",
  step,
  low,
  high,
  nature: "plain",
  material: null,
  apply: (design) => design,
});

/** A knife of one's own making: weight and balance as given functions of the moves. */
const toy =
  (balance: (a: number, b: number) => number, mass: (a: number, b: number) => number): Trial =>
  (amounts) => {
    const [a, b] = [amounts.get("a") ?? 0, amounts.get("b") ?? 0];
    const balanceMm = balance(a, b);
    return { balanceMm, massG: mass(a, b), centreMm: [balanceMm, 0, 0], inertiaGmm2: INERTIA };
  };

const INERTIA = { xx: 1, yy: 1, zz: 1, xy: 0, xz: 0, yz: 0 };
const BOTH = goalsOf({ balanceMm: { low: 0, high: 1 }, massG: { low: 0, high: 1 }, grips: [] });
const LEVERS = [lever("a", 1, -10, 10), lever("b", 1, -10, 10)];

function slopesOf(trial: Trial): Slope[] {
  const at = (a: number, b: number) =>
    trial(
      new Map([
        ["a", a],
        ["b", b],
      ]),
    );
  const now = at(0, 0);
  return LEVERS.map((l, i) => {
    const then = at(i === 0 ? 1 : 0, i === 1 ? 1 : 0);
    if (!now || !then) throw new Error("cannot be built");
    const of = new Map(BOTH.map((g) => [g.id, g.of(then) - g.of(now)]));
    return { lever: l, massG: then.massG - now.massG, of };
  });
}

describe("the least change along slopes", () => {
  /** The weighted least-norm solution by the Moore–Penrose inverse of a general linear-algebra package. */
  it("is what the pseudo-inverse gives, for one row, for two and for three", () => {
    const number = fc.integer({ min: -500, max: 500 }).map((n) => n / 100);
    const weight = fc.integer({ min: 50, max: 1200 }).map((n) => n / 100);
    const cases = fc
      .integer({ min: 2, max: 5 })
      .chain((n) =>
        fc.tuple(
          fc.array(fc.array(number, { minLength: n, maxLength: n }), { minLength: 3, maxLength: 3 }),
          fc.array(weight, { minLength: n, maxLength: n }),
          fc.tuple(number, number, number),
          fc.integer({ min: 1, max: Math.min(3, n) }),
        ),
      );
    let met = 0;
    fc.assert(
      fc.property(cases, ([rows, w, r, many]) => {
        const J = rows.slice(0, many);
        const ours = leastChange(J, r.slice(0, J.length), w);
        if (!ours) return;
        // With d = W^(-1/2) e the weights are gone: e is of least norm.
        const scaled = new Matrix(J.map((row) => row.map((x, i) => x / Math.sqrt(w[i]))));
        // Rows that hardly differ have no stable answer in either.
        const gram = scaled.mmul(scaled.transpose());
        if (determinant(gram) < 0.05) return;
        met++;
        const e = pseudoInverse(scaled).mmul(Matrix.columnVector(r.slice(0, J.length)));
        ours.forEach((d, i) => {
          expect(d).toBeCloseTo(e.get(i, 0) / Math.sqrt(w[i]), 6);
        });
      }),
      { seed: 8, numRuns: 400 },
    );
    expect(met).toBeGreaterThan(200);
  });

  it("is none where the slopes lead nowhere", () => {
    expect(leastChange([[0, 0]], [3], [1, 1])).toBeNull();
    const alike = [
      [1, 2],
      [2, 4],
    ];
    expect(leastChange(alike, [3, 1], [1, 1])).toBeNull();
  });
});

describe("the search", () => {
  const windows = { balanceMm: { low: 10, high: 20 }, massG: null, grips: [] };
  const goals = goalsOf(windows);
  const inner = aim(windows.balanceMm);

  it("lands a straight knife on the window's near side by the least change", () => {
    const trial = toy(
      (a, b) => 3 * a + 4 * b,
      () => 100,
    );
    const found = search(trial, LEVERS, slopesOf(trial), goals, "least-change", null);
    // The foot of the perpendicular from the origin to 3a + 4b = low.
    expect(found?.amounts.get("a")).toBeCloseTo((3 * inner.low) / 25, 9);
    expect(found?.amounts.get("b")).toBeCloseTo((4 * inner.low) / 25, 9);
  });

  it("sets a lever that would pass its limit to it, and lets the rest make up", () => {
    const trial = toy(
      (a, b) => 3 * a + 4 * b,
      () => 100,
    );
    const short = [LEVERS[0], lever("b", 1, -10, 0.5)];
    const slopes = slopesOf(trial).map((s, i) => ({ ...s, lever: short[i] }));
    const found = search(trial, short, slopes, goals, "least-change", null);
    expect(found?.amounts.get("b")).toBe(0.5);
    expect(found?.amounts.get("a")).toBeCloseTo((inner.low - 2) / 3, 9);
  });

  it("takes its slopes anew where a bent knife leaves the line", () => {
    let asked = 0;
    const bent = toy(
      (a, b) => 30 * Math.tanh(a / 8) + 0.2 * b ** 2,
      (a, b) => 100 + a + b,
    );
    const counted: Trial = (amounts) => {
      asked++;
      return bent(amounts);
    };
    const found = search(counted, LEVERS, slopesOf(bent), goals, "least-change", null);
    const landed = found && bent(found.amounts);
    expect(outside(landed?.balanceMm ?? Number.NaN, windows.balanceMm)).toBe(0);
    expect(asked).toBeLessThan(40);
  });

  it("leaves a lever that is blocked where it stopped, and lets the others go on", () => {
    const straight = toy(
      (a, b) => 3 * a + 4 * b,
      () => 100,
    );
    // Beyond 1 of b nothing can be built.
    const walled: Trial = (amounts) => ((amounts.get("b") ?? 0) > 1 ? null : straight(amounts));
    const found = search(walled, LEVERS, slopesOf(straight), goals, "least-change", null)!;
    expect(found.stops.get("b")?.toward).toBe(1);
    expect(found.amounts.get("b")).toBeGreaterThan(0.9);
    expect(found.amounts.get("b")).toBeLessThanOrEqual(1);
    expect(outside(straight(found.amounts)!.balanceMm, windows.balanceMm)).toBe(0);
    // One that cannot be moved at all is left out.
    const still: Trial = (amounts) => ((amounts.get("b") ?? 0) > 0 ? null : straight(amounts));
    const alone = search(still, LEVERS, slopesOf(straight), goals, "least-change", null)!;
    expect(alone.amounts.get("b") ?? 0).toBe(0);
    expect(alone.amounts.get("a")).toBeCloseTo(inner.low / 3, 9);
  });

  it("holds the weight once it was watched, and stops where nothing leads further", () => {
    const trial = toy(
      (a) => 2 * a,
      (a, b) => 100 + 5 * a + 3 * b,
    );
    const both = { ...windows, massG: { low: 90, high: 110 } };
    const found = search(trial, LEVERS, slopesOf(trial), goalsOf(both), "least-change", null);
    const landed = found && trial(found.amounts);
    expect(landed && outside(landed.balanceMm, both.balanceMm)).toBe(0);
    expect(landed && outside(landed.massG, both.massG)).toBe(0);
    const stiff = toy(
      () => 0,
      () => 100,
    );
    expect(search(stiff, LEVERS, slopesOf(stiff), goals, "least-change", null)?.amounts.size).toBe(0);
    expect(search(() => null, LEVERS, [], goals, "least-change", null)).toBeNull();
  });
});

describe("trials", () => {
  it("are weighed once, whatever the order of the moves, and are what a weighing says", () => {
    const design = newDesign("Sedge");
    const trial = trialsOf(design);
    const moves = [
      ["spine", 0.5],
      ["handle-length", -4],
      ["tang-taper", 0],
    ] as const;
    const first = trial(new Map(moves));
    expect(trial(new Map([...moves].reverse()))).toBe(first);
    expect(first).toEqual(figuresOf(withLevers(design, new Map(moves))));
    const impossible = new Map([["spine", -50]]);
    expect(trial(impossible)).toBeNull();
    expect(trial(impossible)).toBeNull();
  });
});
