import fc from "fast-check";
import { describe, expect, it } from "vitest";
import { type Cubic, cubicDx, cubicX, cubicY } from "../../geometry/curve/bezier";
import { selfCrossing } from "../../geometry/curve/crossing";
import { gaussRule } from "../../geometry/curve/gauss";
import { assemble } from "../../knife/assembly/assemble";
import { newDesign } from "../../knife/design/create";
import { plainKnife } from "../../knife/design/plainKnife.fixtures";
import type { Design, NodeRole } from "../../knife/design/schema";
import { handleOutline } from "../../knife/shapes/handleOutline";
import { integrate } from "./integrate";

const full = plainKnife(newDesign("Sedge"));

/** A handle whose butt hooks down and forward: steep without turning, or re-entrant. */
const hooked = fc
  .record({
    swell: fc.tuple(fc.integer({ min: -90, max: -30 }), fc.integer({ min: -20, max: -9 })),
    hook: fc.tuple(fc.integer({ min: -99, max: -60 }), fc.integer({ min: -30, max: -14 })),
    butt: fc.tuple(fc.integer({ min: -110, max: -92 }), fc.integer({ min: -28, max: 10 })),
  })
  .map(({ swell, hook, butt }): Design => {
    const point = (role: NodeRole, [xMm, yMm]: number[], corner = false) => ({
      id: role,
      role,
      xMm,
      yMm,
      corner,
    });
    const outline = [
      point("front-top", [0, 12], true),
      point("back", [-50, 13]),
      point("rear-top", [-95, 11]),
      point("butt", butt),
      point("rear-bottom", hook),
      point("swell", swell),
      point("front-bottom", [0, -12], true),
    ];
    return { ...full, handle: { ...full.handle, outline } };
  });

/** Area, centroid and second moment along x about it, of a closed outline: exact along its own parameter (Green's theorem). */
function ofOutline(cubics: readonly Cubic[]) {
  const { nodes, weights } = gaussRule(8);
  let [area, x, xx] = [0, 0, 0];
  for (const c of cubics) {
    nodes.forEach((n, i) => {
      const t = (n + 1) / 2;
      const strip = (-weights[i] / 2) * cubicY(c, t) * cubicDx(c, t);
      area += strip;
      x += strip * cubicX(c, t);
      xx += strip * cubicX(c, t) ** 2;
    });
  }
  return { area: Math.abs(area), x: x / area, spread: xx / area - (x / area) ** 2 };
}

describe("a tang whose outline hooks", () => {
  it("weighs what its outline encloses, however steep it stands", () => {
    let held = 0;
    for (const design of fc.sample(hooked, { seed: 7, numRuns: 300 })) {
      const { cubics } = handleOutline(design.handle);
      if (selfCrossing(cubics)) continue;
      held++;
      const assembly = assemble(design);
      const tang = assembly.parts.filter((p) => p.key.kind === "tang");
      const [m] = integrate({ ...assembly, parts: tang });
      const exact = ofOutline(cubics);
      const where = JSON.stringify(design.handle.outline);
      expect(Math.abs(m.v / (4 * exact.area) - 1), where).toBeLessThan(6e-5);
      expect(Math.abs(m.originX + m.x / m.v - exact.x), where).toBeLessThan(0.002);
      const spread = m.xx / m.v - (m.x / m.v) ** 2;
      expect(Math.abs(spread / exact.spread - 1), where).toBeLessThan(1e-4);
    }
    expect(held).toBeGreaterThan(200);
  });
});
