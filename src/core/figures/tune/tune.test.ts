import Module from "manifold-3d";
import { describe, expect, it } from "vitest";
import { randomStream } from "../../base/random";
import { assemble } from "../../knife/assembly/assemble";
import { CONSTRUCTIONS } from "../../knife/design/constructions.fixtures";
import { newDesign } from "../../knife/design/create";
import { newGuard } from "../../knife/design/guards";
import { type Design, designSchema, type Measured } from "../../knife/design/schema";
import { outside } from "../../knife/design/uses";
import { bareBladeOf, newMeasured } from "../../knife/starts/starts";
import { checkDesign } from "../../knife/validity/checkDesign";
import { shippedMaterial } from "../../materials/materials";
import { tuneReviewed } from "../review/tuneReviewed";
import { meshAgreement } from "../weigh/agreement";
import { figuresOf, leverEffects } from "./effects";
import { leversOf, withLevers } from "./levers";
import { percentile, sampleBuilds } from "./sample";
import { spreadOf } from "./spread";

const sound = newDesign("Sedge");
const guarded: Design = { ...sound, guard: newGuard(sound) };

describe("levers", () => {
  it.each(["segmented scales", "ball pommel", "take-down", "guard: s-curve", "washers pressed together"])(
    "of %s: a step of each is what a weighing finds, and gives a design that a file can hold",
    (name) => {
      const design = CONSTRUCTIONS[name];
      const now = figuresOf(design)!;
      const effects = leverEffects(design);
      expect(effects.length).toBeGreaterThan(8);
      for (const e of effects) {
        const next = withLevers(design, new Map([[e.id, e.amount]]))!;
        expect(designSchema.safeParse(next).success, e.id).toBe(true);
        expect(
          checkDesign(next).filter((f) => f.severity === "error"),
          e.id,
        ).toEqual([]);
        const then = figuresOf(next)!;
        expect(then.massG - now.massG, e.id).toBeCloseTo(e.massG, 9);
        expect(then.balanceMm - now.balanceMm, e.id).toBeCloseTo(e.balanceMm, 9);
      }
    },
  );

  it.each([
    [
      "sound",
      "spine distal-taper heel blade-length grind-height tang-taper recess handle-length butt-cut heavy-pin",
    ],
    ["guarded", "guard-thickness guard-width guard-height"],
    ["bolsters, leaning and dovetailed", "front-bolster rear-bolster"],
    ["ball pommel", "pommel-size tang-length"],
    ["faceted pommel", "pommel-size pommel-length"],
    ["framed tang", "tang-length handle-length"],
    ["blade: two fullers a side", "fuller-depth grind-height"],
    ["blade: face by points", "grind-height"],
    ["blade: sides that differ", "grind-height heel blade-length"],
    ["blade: dagger with a fuller", "fuller-depth heel blade-length distal-taper"],
  ])("of %s: %s each move weight or balance, there and back", (name, ids) => {
    const own: Readonly<Record<string, Design>> = { sound, guarded };
    const design = own[name] ?? CONSTRUCTIONS[name];
    const effects = leverEffects(design);
    for (const id of ids.split(" ")) {
      const mine = effects.filter((e) => e.id === id);
      expect(mine.length, id).toBeGreaterThan(0);
      for (const e of mine) expect(Math.abs(e.massG) + Math.abs(e.balanceMm), id).toBeGreaterThan(0.01);
    }
  });

  it("choose bolsters' and ferrules' metal", () => {
    const metals = (name: string) =>
      leverEffects(CONSTRUCTIONS[name])
        .filter((e) => e.unit === "choice")
        .map((e) => e.id.split(":")[0]);
    expect(metals("bolsters, leaning and dovetailed")).toContain("bolster-metal");
  });

  it("of a blade in the hand only take steel off, and only where its drawing was kept as weighed", () => {
    const inHand = (asWeighed: Measured["of"]["asWeighed"]): Design => {
      const measured = newMeasured(120, 14);
      return {
        ...sound,
        blade: {
          ...sound.blade,
          measured: { ...measured, of: { kind: "blade", asWeighed } as Measured["of"] },
        },
      };
    };
    const steel = [
      "spine",
      "distal-taper",
      "heel",
      "blade-length",
      "grind-height",
      "tang-taper",
      "recess",
      "butt-cut",
    ];
    const ids = (d: Design) => leversOf(d).map((l) => l.id);
    expect(ids(inHand(null)).filter((id) => steel.includes(id))).toEqual([]);
    const kept = inHand(bareBladeOf(sound));
    const levers = leversOf(kept).filter((l) => steel.includes(l.id));
    expect(levers.map((l) => l.id).sort()).toEqual([...steel].sort());
    const now = figuresOf(kept)!;
    for (const l of levers) {
      const by = l.high > 0 ? l.step : -l.step;
      expect(l.high === 0 || l.low === 0, l.id).toBe(true);
      expect(figuresOf(l.apply(kept, by))!.massG, l.id).toBeLessThan(now.massG - 0.05);
    }
    expect(ids(kept)).not.toContain("heavy-pin");
    expect(ids(kept)).not.toContain("handle-length");
  });

  it("slopes are those of a finite difference: half a step does half, within what curves", () => {
    const now = figuresOf(guarded)!;
    for (const lever of leversOf(guarded).filter((l) => l.unit === "mm")) {
      const at = (by: number) => figuresOf(lever.apply(guarded, by));
      const by = lever.high >= lever.step ? lever.step : -lever.step;
      const [whole, half] = [at(by), at(by / 2)];
      if (!whole || !half) continue;
      const [w, h] = [whole.balanceMm - now.balanceMm, half.balanceMm - now.balanceMm];
      if (Math.abs(w) > 0.05) expect(h / w, lever.id).toBeCloseTo(0.5, 0.7);
    }
  });

  it("a thicker guard pulls the balance toward itself, aluminium lets it go back", () => {
    const of = (id: string, amount: number) =>
      leverEffects(guarded).find((e) => e.id === id && e.amount === amount)!;
    expect(figuresOf(guarded)!.balanceMm).toBeLessThan(-3);
    expect(of("guard-thickness", 1).massG).toBeGreaterThan(0);
    expect(of("guard-metal:aluminium-6061", 1).balanceMm).toBeLessThan(0);
    expect(of("holes", 1).balanceMm).toBeGreaterThan(0);
    expect(leverEffects({ ...sound, blade: { ...sound.blade, ricassoMm: 400 } })).toEqual([]);
  });
});

describe("landing in a window", () => {
  it("leaves out what is blocked, says why, and goes on with the rest", () => {
    // The hole for a framed tang would break out of a handle that is cut shorter.
    const framed = CONSTRUCTIONS["framed tang"];
    const fasteners = framed.fasteners.map((f) => ({ ...f, diameterMm: 6.35 }));
    const design = { ...framed, fasteners };
    const now = figuresOf(design)!.balanceMm;
    const target = { balanceMm: { low: now + 40, high: now + 42 }, massG: null, grips: [] };
    const [answer] = tuneReviewed(design, target, (l) => l.unit === "mm");
    expect(answer.lands).toBe(true);
    const stop = answer.blocked.find((b) => b.id === "butt-cut")!;
    expect(stop.why?.rule).toBe("tang-hole-breaks-out");
    expect(stop.amount).toBeGreaterThan(-15);
    expect(answer.changes.find((c) => c.id === "butt-cut")!.amount).toBeGreaterThanOrEqual(
      stop.amount - 0.05,
    );
  });

  it("is verified by a whole weighing, by the rules and by the mesh kernel; the same every time", async () => {
    const target = { balanceMm: { low: -12, high: -4 }, massG: null, grips: [] };
    const answers = tuneReviewed(sound, target);
    expect(answers.length).toBeGreaterThan(0);
    expect(tuneReviewed(sound, target)).toEqual(answers);
    const kernel = await Module();
    kernel.setup();
    for (const a of answers) {
      const next = withLevers(sound, new Map(a.changes.map((c) => [c.id, c.amount])))!;
      const then = figuresOf(next)!;
      expect([then.massG, then.balanceMm]).toEqual([a.massG, a.balanceMm]);
      expect(a.lands).toBe(outside(then.balanceMm, target.balanceMm) === 0);
      expect(a.changes.length).toBeGreaterThan(0);
    }
    const best = answers[0];
    expect(best.lands).toBe(true);
    const assembly = assemble(withLevers(sound, new Map(best.changes.map((c) => [c.id, c.amount])))!);
    let [mass, first] = [0, 0];
    for (const p of meshAgreement(kernel, assembly)) {
      const { materials } = assembly.parts.find((q) => q.id === p.id)!;
      const density = materials.reduce(
        (s, k) => s + k.share * shippedMaterial(k.materialId)!.densityGcc.typical,
        0,
      );
      mass += density * p.meshVolumeMm3;
      first += density * p.meshVolumeMm3 * p.meshXMm;
    }
    expect(Math.abs(first / mass - best.balanceMm)).toBeLessThan(0.05);
  });

  it("pulls only what is allowed, and few levers", () => {
    const only = tuneReviewed(
      sound,
      { balanceMm: { low: -20, high: -15 }, massG: null, grips: [] },
      (l) => l.id === "tang-taper",
    );
    expect(only[0].changes.map((c) => c.id)).toEqual(["tang-taper"]);
    expect(only[0].lands).toBe(true);
  });

  it("pulls no farther than its maker lets it", () => {
    const wanted = { low: figuresOf(sound)!.balanceMm + 6, high: figuresOf(sound)!.balanceMm + 10 };
    const free = tuneReviewed(sound, { balanceMm: wanted, massG: null, grips: [] })[0];
    const [first] = free.changes;
    const half = first.amount / 2;
    const limits = { [first.id]: { low: Math.min(0, half), high: Math.max(0, half) } };
    for (const { changes } of tuneReviewed(
      sound,
      { balanceMm: wanted, massG: null, grips: [] },
      undefined,
      limits,
    )) {
      const pull = changes.find((c) => c.id === first.id)?.amount ?? 0;
      expect(Math.abs(pull)).toBeLessThanOrEqual(Math.abs(half) + 1e-9);
    }
    // Limits that leave no way stand in the way, and are named.
    const all = Object.fromEntries(leversOf(sound).map((l) => [l.id, { low: -0.01, high: 0.01 }]));
    const lengths = (l: { unit: string }) => l.unit === "mm";
    const [nearest] = tuneReviewed(sound, { balanceMm: wanted, massG: null, grips: [] }, lengths, all);
    expect(nearest.lands).toBe(false);
    expect(nearest.atLimit.length).toBeGreaterThan(0);
  });

  it("says how near it comes and what stands in the way, where it cannot be reached", () => {
    const [nearest] = tuneReviewed(
      sound,
      { balanceMm: { low: 200, high: 210 }, massG: null, grips: [] },
      (l) => l.id === "tang-taper",
    );
    expect(nearest.lands).toBe(false);
    expect(nearest.misses).toMatchObject([{ ref: { figure: "balanceMm" } }]);
    expect(nearest.misses[0].off).toBeLessThan(0);
    expect(nearest.atLimit).toEqual(["tang-taper"]);
  });

  it("changes nothing of a knife that is there already, or that cannot be built", () => {
    const now = figuresOf(sound)!;
    const window = { low: now.balanceMm - 1, high: now.balanceMm + 1 };
    expect(tuneReviewed(sound, { balanceMm: window, massG: null, grips: [] })).toMatchObject([
      { changes: [], lands: true },
    ]);
    const broken = { ...sound, blade: { ...sound.blade, ricassoMm: 400 } };
    expect(tuneReviewed(broken, { balanceMm: window, massG: null, grips: [] })).toEqual([]);
  });
});

describe("builds drawn at random", () => {
  it("are the same for the same seed, and others for another", () => {
    const of = (seed: number) => sampleBuilds(sound, 50, seed)!.masses;
    expect(of(1)).toEqual(of(1));
    expect(of(1)).not.toEqual(of(2));
  });

  it("spread as first-order propagation says, the middle on the knife as it is drawn", () => {
    for (const design of [sound, CONSTRUCTIONS["take-down"], CONSTRUCTIONS["guard: s-curve"]]) {
      const s = sampleBuilds(design, 20000, 7)!;
      const now = figuresOf(design)!;
      const deviation = (values: readonly number[]) => {
        const mean = values.reduce((a, b) => a + b, 0) / values.length;
        return Math.sqrt(values.reduce((a, b) => a + (b - mean) ** 2, 0) / values.length);
      };
      expect(deviation(s.masses) / s.firstOrder.massG).toBeCloseTo(1, 1);
      expect(deviation(s.balances) / s.firstOrder.balanceMm).toBeCloseTo(1, 1);
      expect(Math.abs(s.massG.p50 - now.massG)).toBeLessThan(
        0.05 * s.firstOrder.massG + 0.02 * s.firstOrder.massG,
      );
    }
  });

  it("with nothing off but one density, weigh as a normal distribution does", () => {
    const exact: Design = { ...sound, use: { ...sound.use, toleranceMm: 0, shapingMm: 0 } };
    const s = sampleBuilds(exact, 40000, 3)!;
    const sorted = [...s.masses].sort((a, b) => a - b);
    // A normal's 97.7th percentile lies two standard deviations out.
    const sigma = s.firstOrder.massG;
    expect((percentile(sorted, 0.97725) - s.massG.p50) / (2 * sigma)).toBeCloseTo(1, 1);
    expect(s.shares.every((x) => shippedMaterial(x.id) !== undefined)).toBe(true);
  });

  it("follow a real re-weighing of a knife with other sizes", () => {
    // The straight line through central differences against weighings half a tolerance off.
    const wide: Design = { ...sound, use: { ...sound.use, toleranceMm: 0.6, shapingMm: 1 } };
    const spine = sampleBuilds(wide, 10, 1)!.shares.find((x) => x.id === "spine")!;
    const thick = (by: number) =>
      figuresOf({
        ...wide,
        blade: { ...wide.blade, spineMm: 4 + by, tipThicknessMm: 2 + by },
      })!;
    expect(spine.massG).toBeCloseTo(thick(0.6).massG - thick(-0.6).massG, 1);
    expect(spine.balanceMm).toBeCloseTo(thick(0.6).balanceMm - thick(-0.6).balanceMm, 1);
  });

  it("can be stopped; and none is drawn of what cannot be built", () => {
    expect(sampleBuilds(sound, 5000, 1, () => true)).toBeNull();
    expect(spreadOf({ ...sound, blade: { ...sound.blade, ricassoMm: 400 } })).toBeNull();
    const told: number[] = [];
    const whole = sampleBuilds(sound, 2000, 1, (drawn) => told.push(drawn) > 1e9);
    expect(told).toEqual([0, 500, 1000, 1500]);
    expect(sampleBuilds(sound, 2000, 1, (drawn) => drawn >= 1000)).toBeNull();
    expect(spreadOf(sound)).toEqual({
      drawn: whole?.drawn,
      firstOrder: whole?.firstOrder,
      shares: whole?.shares,
    });
    expect(sampleBuilds({ ...sound, blade: { ...sound.blade, ricassoMm: 400 } }, 10, 1)).toBeNull();
  });

  it("come from a stream that is even", () => {
    const next = randomStream(42);
    const values = Array.from({ length: 20000 }, next);
    expect(values.reduce((a, b) => a + b, 0) / values.length).toBeCloseTo(0.5, 2);
    expect(Math.min(...values)).toBeGreaterThanOrEqual(0);
    expect(Math.max(...values)).toBeLessThan(1);
  });
});
