import { readdirSync, readFileSync } from "node:fs";
import { describe, expect, it } from "vitest";
import type { Point } from "../geometry/curve/bezier";
import { lengthOf as pathMm } from "../geometry/curve/crossing";
import { assemble } from "../knife/assembly/assemble";
import type { Design } from "../knife/design/schema";
import { squareFoldMm } from "./fold";
import { type SheathPattern, sheathMassG, sheathPattern } from "./pattern";
import { betweenWelts, drawnOver, fromFold, lengthOf } from "./room";
import { stationAt } from "./sections";
import { SHEATH_STYLES, type SheathSettings, USUAL_SHEATH } from "./settings";
import { stitchesOn, threadMm } from "./stitches";
import { wholePanel } from "./wholePanel";

const demo = (name: string): Design => JSON.parse(readFileSync(`demo/${name}.json`, "utf8")).knife;
const DEMOS = readdirSync("demo").flatMap((f) => (f.endsWith(".json") ? [f.slice(0, -5)] : []));

function patternOf(design: Design, settings: Partial<SheathSettings> = {}): SheathPattern {
  const found = sheathPattern(design, { ...USUAL_SHEATH, ...settings });
  if (!found.ok) throw new Error(found.code);
  return found.pattern;
}

const oval = (a: number, b: number) =>
  Array.from({ length: 2001 }, (_, i) => ({
    y: a * Math.cos((Math.PI * i) / 2000),
    z: b * Math.sin((Math.PI * i) / 2000),
  }));

describe("room for a knife", () => {
  // The handbook's worked figures, section 12: welt 3.2 mm, 2 mm of room.
  it("of an oval handle and of a blade is as worked by hand", () => {
    expect(betweenWelts(oval(15, 11), 17, -17, 3.2).underMm).toBeCloseTo(20.16, 2);
    const blade = [12, -12].flatMap((y) => [
      { y, z: 0 },
      { y, z: 2 },
    ]);
    expect(betweenWelts(blade, 14, -14, 3.2).overMm - 12).toBeCloseTo(2.04, 2);
    expect(fromFold(blade, 12, -14, 3.2)).toBeCloseTo(2 + 24 + Math.hypot(2, 0.4), 9);
  });

  it("at a fold is as worked by hand, round a square spine and a round one", () => {
    expect(squareFoldMm(4, 3.2, 0.5)).toBeCloseTo(9.03, 2);
    // Round a spine that is a half circle: the way over it, and the leather's own thickness in the quarter turn.
    const round = oval(2, 2).map((p) => ({ y: p.y + 10, z: p.z }));
    const flank = fromFold([...round, { y: -12, z: 2 }], 12, -12, 4) - 22;
    expect(2 * flank + squareFoldMm(0, 3.2, 0.5)).toBeCloseTo(11.31, 2);
  });

  it("drawn over both sides closes round the hull of a section", () => {
    // Another way to the same: the whole border of all points' hull, gift-wrapped.
    const hull = (points: readonly Point[]): number => {
      const start = points.reduce((a, b) => (b.x < a.x || (b.x === a.x && b.y < a.y) ? b : a));
      let [at, sum] = [start, 0];
      do {
        let next = points[0] === at ? points[1] : points[0];
        for (const p of points) {
          const turn = (next.x - at.x) * (p.y - at.y) - (next.y - at.y) * (p.x - at.x);
          const far = Math.hypot(p.x - at.x, p.y - at.y) > Math.hypot(next.x - at.x, next.y - at.y);
          if (turn > 1e-9 || (Math.abs(turn) <= 1e-9 && far)) next = p;
        }
        sum += Math.hypot(next.x - at.x, next.y - at.y);
        at = next;
      } while (at !== start);
      return sum;
    };
    for (const x of [-60, -30, -8, 20, 60, 100]) {
      const s = stationAt(assemble(demo("heath-field-knife")), x)!;
      const [high, low] = [s.highY + 1, s.lowY - 2];
      const line = drawnOver(s.points, { y: high, z: 0 }, { y: low, z: 1.6 });
      const all = [...s.points, { y: high, z: 0 }, { y: low, z: 1.6 }].flatMap((p) => [
        { x: p.z, y: p.y },
        { x: -p.z, y: p.y },
      ]);
      expect(2 * lengthOf(line) + 3.2).toBeCloseTo(hull(all), 4);
    }
  });
});

describe("stitches", () => {
  it("stand on both ends and on the point of a V, each leg evenly", () => {
    const path = [
      { x: 0, y: 0 },
      { x: 50, y: 0 },
      { x: 50, y: 21 },
    ];
    const { holes, pitchMm, seamMm } = stitchesOn(path, 1, 4);
    // 50 mm in 13 and 21 in 5, by hand.
    expect(holes).toHaveLength(19);
    expect(holes[13]).toEqual({ x: 50, y: 0 });
    expect(holes[1].x).toBeCloseTo(50 / 13, 9);
    expect(holes[14].y).toBeCloseTo(4.2, 9);
    expect([seamMm, pitchMm]).toEqual([71, 71 / 18]);
  });

  it("take as much thread as the handbook's worked figure", () => {
    expect(threadMm({ stitches: 60, pitchMm: 4, seamMm: 240 }, 9.6, 0)).toEqual({
      rule: 2160,
      geometry: expect.closeTo(1641.6 + 300, 6),
    });
  });
});

/** Area by strips across, another way than round the border. */
function byStrips(outline: readonly Point[]): number {
  const xs = outline.map((p) => p.x);
  const [x0, x1, n] = [Math.min(...xs), Math.max(...xs), 4000];
  let area = 0;
  for (let i = 0; i < n; i++) {
    const x = x0 + ((i + 0.5) / n) * (x1 - x0);
    const ys = outline
      .flatMap((a, k) => {
        const b = outline[(k + 1) % outline.length];
        return a.x > x !== b.x > x ? [a.y + ((b.y - a.y) * (x - a.x)) / (b.x - a.x)] : [];
      })
      .sort((a, b) => a - b);
    for (let k = 0; k + 1 < ys.length; k += 2) area += ((ys[k + 1] - ys[k]) * (x1 - x0)) / n;
  }
  return area;
}

const toSegment = (p: Point, a: Point, b: Point): number => {
  const [dx, dy] = [b.x - a.x, b.y - a.y];
  const t = Math.max(0, Math.min(1, ((p.x - a.x) * dx + (p.y - a.y) * dy) / (dx * dx + dy * dy || 1)));
  return Math.hypot(p.x - a.x - t * dx, p.y - a.y - t * dy);
};

describe("a sheath's pattern", () => {
  for (const style of SHEATH_STYLES)
    it.each(DEMOS)(`${style} round %s: areas, room, stitches along the edge`, (name) => {
      const design = demo(name);
      const pattern = patternOf(design, { style });
      const { panels, stitches, foldY, throatMm } = pattern;
      const front = panels[0];
      const halves = style === "fold-over" ? 2 : 1;
      expect(halves * byStrips(front.outline)).toBeCloseTo(front.areaMm2, -1);
      expect(Math.abs((halves * byStrips(front.outline)) / front.areaMm2 - 1)).toBeLessThan(2e-3);
      const whole = wholePanel(front, foldY).reduce((sum, l) => sum + byStrips(l), 0);
      expect(Math.abs(whole / front.areaMm2 - 1)).toBeLessThan(3e-3);
      for (const p of panels.flatMap((q) => q.outline)) expect(Number.isFinite(p.x + p.y)).toBe(true);
      // All of the knife that goes in lies inside, off the edge by room and welt.
      const lowest = Math.min(...front.outline.map((p) => p.y));
      const assembly = assemble(design);
      for (const t of [0.2, 0.5, 0.8]) {
        const s = stationAt(assembly, throatMm + t * (pattern.tipMm - throatMm))!;
        expect(s.lowY - 2 - 10).toBeGreaterThan(lowest - 1e-6);
      }
      // Stitches are parallel to the finished edge, but where that is cut at the throat or folded.
      const edge = front.outline
        .map((a, i) => [a, front.outline[(i + 1) % front.outline.length]] as const)
        .filter(([a, b]) => !(a.x < throatMm + 1e-3 && b.x < throatMm + 1e-3))
        .filter(([a, b]) => foldY === null || !(a.y > foldY - 1e-3 && b.y > foldY - 1e-3));
      for (const h of stitches.holes)
        expect(Math.min(...edge.map(([a, b]) => toSegment(h, a, b)))).toBeCloseTo(4, 1);
      const steps = stitches.holes
        .slice(1)
        .map((p, i) => Math.hypot(p.x - stitches.holes[i].x, p.y - stitches.holes[i].y));
      // A leg of one stitch is off by half of it at most; on the whole they are as asked for.
      for (const d of steps) expect(d).toBeLessThan(6);
      expect(Math.abs(stitches.pitchMm - 4)).toBeLessThan(0.25);
      expect(stitches.pitchMm * (stitches.holes.length - 1)).toBeCloseTo(stitches.seamMm, 6);
      expect(pathMm(stitches.holes)).toBeLessThanOrEqual(stitches.seamMm + 1e-6);
    });

  it("weighs its leather: area by thickness by density", () => {
    const pattern = patternOf(demo("gorse-guard-knife"));
    const cm3 = pattern.panels.reduce((sum, p) => sum + (p.areaMm2 * p.thickMm) / 1000, 0);
    expect(sheathMassG(pattern, 0.95)).toBeCloseTo(0.95 * cm3, 9);
  });

  it("lets a finger drop go past: behind it the panel is as wide, and says how loose that is", () => {
    const pattern = patternOf(demo("long-meadow-slicer"), { depthMm: 40 });
    expect(pattern.notes).toContainEqual(expect.objectContaining({ code: "loose" }));
    const front = pattern.panels[0].outline;
    const low = (x0: number, x1: number) =>
      Math.min(...front.filter((p) => p.x > x0 && p.x < x1).map((p) => p.y));
    expect(low(-40, -20)).toBeLessThanOrEqual(low(20, 60) + 1e-6);
  });

  it("ends at the guard, and names a guard that would have to go through its throat", () => {
    const design = demo("gorse-guard-knife");
    expect(patternOf(design).throatMm).toBe(0);
    expect(patternOf(design).notes).not.toContainEqual(expect.objectContaining({ code: "guard" }));
    expect(patternOf(design, { depthMm: 40 }).notes).toContainEqual(
      expect.objectContaining({ code: "guard" }),
    );
  });

  it("leaves a guard outside whose arms reach forward", () => {
    const plain = demo("gorse-guard-knife");
    const guard = { ...plain.guard!, sweepAboveMm: 12, sweepBelowMm: 12 };
    expect(patternOf({ ...plain, guard }).panels[0].areaMm2).toBeCloseTo(
      patternOf(plain).panels[0].areaMm2,
      3,
    );
  });

  it.each([
    ["leather of nothing", { leatherMm: 0 }, "limit"],
    ["no number", { pitchMm: Number.NaN }, "limit"],
    ["stitches outside of the welt", { marginMm: 10, weltMm: 10 }, "margin"],
    ["more of the handle than there is", { depthMm: 250 }, "depth"],
  ])("is refused of %s", (_, settings, code) => {
    expect(sheathPattern(demo("heath-field-knife"), { ...USUAL_SHEATH, ...settings })).toMatchObject({
      ok: false,
      code,
    });
  });
});
