import { describe, expect, it } from "vitest";
import { DEMO_KNIVES } from "../../exchange/files/knife/demo.fixtures";
import { newGrip, nextGrip, workingGrip } from "../../knife/design/grips";
import { isFull } from "../../knife/design/limits";
import { refusalOf } from "../../knife/design/refusal";
import type { Design } from "../../knife/design/schema";
import { outside } from "../../knife/design/uses";
import { reviewDesign } from "../review/reviewDesign";
import { tuneReviewed } from "../review/tuneReviewed";
import { effectiveMass } from "../weigh/dynamics";
import { type Figures, figuresOf } from "./effects";
import { badness, goalsOf, gripFigure, gripMisses, inWindows, missesOf, targetOf } from "./goals";
import { withLevers } from "./levers";

const [, chopper] = DEMO_KNIVES.find(([name]) => name === "sallow-camp-chopper.json")!;
const rear = newGrip("rear", "Rear", -110);
const figures = (d: Design): Figures => {
  const f = figuresOf(d);
  if (!f) throw new Error("cannot be built");
  return f;
};
/** A figure that there is. */
const felt = (...of: Parameters<typeof gripFigure>): number => gripFigure(...of) ?? Number.NaN;
const withGrips = (...grips: Design["use"]["grips"]): Design => ({
  ...chopper,
  use: { ...chopper.use, grips },
});

describe("what the hand feels in a grip", () => {
  /** A uniform rod of 300 mm and 200 g held at its end: its textbook figures. @see any text on rigid bodies. */
  const rod: Figures = {
    massG: 200,
    balanceMm: 150,
    centreMm: [150, 0, 0],
    inertiaGmm2: { xx: 0, yy: 0, zz: (200 * 300 ** 2) / 12, xy: 0, xz: 0, yz: 0 },
  };
  const end = newGrip("end", "End", 0);

  it("is of a rod what text books say: struck at two thirds it does not sting, a quarter of it is felt at the end", () => {
    expect(gripFigure(rod, end, "percussionMm")).toBeCloseTo(200, 9);
    expect(gripFigure(rod, end, "momentNmm")).toBeCloseTo(0.2 * 9.80665 * 150, 9);
    expect(gripFigure(rod, end, "effectiveMassG")).toBeCloseTo(50, 9);
    expect(gripFigure(rod, end, "effectiveMassG")).toBe(effectiveMass(rod, 0));
    // Held in its middle no blow goes by without a jar: there is no such place, and a window there is missed.
    const middle = newGrip("m", "Middle", 150);
    expect(gripFigure(rod, middle, "percussionMm")).toBeNull();
    expect(gripMisses(rod, [{ ...middle, percussionMm: { low: 0, high: 200 } }])).toMatchObject([
      { ref: { gripId: "m", figure: "percussionMm" }, off: 9_800 },
    ]);
  });

  it("turns about another point in another grip: farther back the blow comes nearer, and the point is heavier", () => {
    const now = figures(chopper);
    const working = workingGrip(chopper);
    expect(felt(now, rear, "percussionMm")).toBeLessThan(felt(now, working, "percussionMm"));
    expect(felt(now, rear, "momentNmm")).toBeGreaterThan(felt(now, working, "momentNmm"));
  });

  it("of a chopper whose blade is thinned: its centre of percussion moves back, too (common practice, no source)", () => {
    const thinned = withLevers(chopper, new Map([["distal-taper", -1]]))!;
    const [before, after] = [chopper, thinned].map((d) => felt(figures(d), rear, "percussionMm"));
    expect(after).toBeLessThan(before - 1);
  });
});

describe("windows that stand on grips", () => {
  it("are goals beside balance and weight, each with how far it is missed", () => {
    const design = withGrips({
      ...rear,
      percussionMm: { low: 60, high: 80 },
      momentNmm: { low: 0, high: 5000 },
    });
    const now = figures(design);
    const goals = goalsOf(targetOf(design));
    expect(goals.map((g) => g.id)).toEqual(["balanceMm", "massG", "rear.momentNmm", "rear.percussionMm"]);
    const miss = missesOf(now, goals).find((m) => m.ref.figure === "percussionMm")!;
    expect(miss.off).toBeCloseTo(felt(now, rear, "percussionMm") - 80, 9);
    expect(badness([miss])).toBeCloseTo(miss.off / 4, 9);
    expect(inWindows(design, now)).toBe(false);
  });

  it("are reached by the solver, and verified by a whole weighing; what it was to keep is kept", () => {
    const now = felt(figures(chopper), rear, "percussionMm");
    const window = { low: now - 12, high: now - 6 };
    const { massG, balanceMm } = figures(chopper);
    const grips = [{ ...rear, percussionMm: window }];
    const target = { balanceMm: { low: balanceMm - 15, high: balanceMm + 15 }, massG: null, grips };
    const [best] = tuneReviewed(chopper, target);
    expect(best.lands).toBe(true);
    expect(best.misses).toEqual([]);
    const then = figures(withLevers(chopper, new Map(best.changes.map((c) => [c.id, c.amount])))!);
    expect(outside(felt(then, rear, "percussionMm"), window)).toBe(0);
    expect(outside(then.balanceMm, target.balanceMm)).toBe(0);
    expect(then.massG).toBe(best.massG);
    expect(best.massG).not.toBe(massG);
    // By itself, without a wish for balance or weight, as well.
    const [alone] = tuneReviewed(chopper, { balanceMm: null, massG: null, grips });
    expect(alone.lands).toBe(true);
    // One that no change can reach says by how much it is missed, and in which grip.
    const far = [{ ...rear, percussionMm: { low: -4000, high: -3000 } }];
    const [nearest] = tuneReviewed(
      chopper,
      { balanceMm: null, massG: null, grips: far },
      (l) => l.id === "spine",
    );
    expect(nearest.lands).toBe(false);
    expect(nearest.misses).toMatchObject([{ ref: { gripId: "rear", figure: "percussionMm" } }]);
  });

  it("are findings, named by their grip, with a fix that brings them in", () => {
    const now = felt(figures(chopper), rear, "percussionMm");
    const design = withGrips({ ...rear, percussionMm: { low: now + 4, high: now + 20 } });
    const found = reviewDesign(design).findings.find((f) => f.subject === "rear.percussionMm")!;
    expect(found.goal).toEqual({ figure: "percussionMm", grip: "Rear" });
    expect(found.measured).toBeCloseTo(now, 6);
    expect(found.limit).toBeCloseTo(now + 4, 6);
    expect(found.fixes?.length).toBeGreaterThan(0);
  });
});

it("a further grip stands behind the others under a mark of its own, up to as many as a knife may have", () => {
  let design = chopper;
  for (let n = 0; n < 20 && !isFull(design, "use.grips"); n++)
    design = withGrips(...design.use.grips, nextGrip(design, `Grip ${n}`));
  expect(design.use.grips).toHaveLength(6);
  expect(new Set(design.use.grips.map((g) => g.id)).size).toBe(6);
  expect(refusalOf(design)).toBeNull();
  expect(refusalOf(withGrips())).not.toBeNull();
});
