import fc from "fast-check";
import Module, { type ManifoldToplevel } from "manifold-3d";
import { beforeAll, describe, expect, it } from "vitest";
import { assemble } from "../../knife/assembly/assemble";
import { CONSTRUCTIONS } from "../../knife/design/constructions.fixtures";
import { outlineFrom } from "../../knife/design/create";
import { GUARD_FORMS, guardOfForm } from "../../knife/design/guards";
import { type Design, designSchema } from "../../knife/design/schema";
import type { Assembly } from "../../knife/parts/types";
import { checkDesign } from "../../knife/validity/checkDesign";
import { FINE_STEPS, meshAgreement, USUAL_STEPS } from "./agreement";
import { integrate } from "./integrate";
import { sumOfMoments } from "./moments";
import { weigh } from "./weigh";

/** Bend much within little room: the mesh needs smaller steps. */
const DOMED = new Set([
  "through tang, cap nut",
  "domed cap",
  "cap rounded at both ends",
  "butt cap as the nut",
]);

let kernel: ManifoldToplevel;
beforeAll(async () => {
  kernel = await Module();
  kernel.setup();
});

describe.each(Object.keys(CONSTRUCTIONS))("%s", (name) => {
  const design = CONSTRUCTIONS[name];

  it("is a valid design that nothing speaks against, weighed in finite figures", () => {
    const parsed = designSchema.safeParse(design);
    expect(parsed.success, JSON.stringify(parsed.error?.issues)).toBe(true);
    expect(checkDesign(design)).toEqual([]);
    const weighing = weigh(design);
    if (!weighing.ok) throw new Error("refused");
    const { massG, balanceMm, inertiaGmm2, parts } = weighing.report;
    expect([massG, balanceMm, ...Object.values(inertiaGmm2)].every(Number.isFinite)).toBe(true);
    expect(parts.every((p) => p.massG >= 0 && p.volumeMm3 >= 0)).toBe(true);
  });

  /** Source: npm's manifold-3d, booleans of triangle meshes at two step sizes, extrapolated. */
  it("agrees with the mesh kernel part by part", () => {
    const steps = DOMED.has(name) ? FINE_STEPS : USUAL_STEPS;
    const off = meshAgreement(kernel, assemble(design), steps).filter((p) =>
      p.volumeMm3 > 200
        ? Math.abs(p.meshVolumeMm3 / p.volumeMm3 - 1) > 0.001 || Math.abs(p.xMm - p.meshXMm) > 0.05
        : Math.abs(p.meshVolumeMm3 - p.volumeMm3) > 1,
    );
    expect(off).toEqual([]);
  });

  it("counts nothing twice and leaves nothing out", () => {
    const assembly = assemble(design);
    const volume = (parts: Assembly["parts"]) => sumOfMoments(integrate({ ...assembly, parts })).v;
    // Whatever part comes first, together they fill the same space.
    const { parts } = assembly;
    expect(Math.abs(volume([...parts].reverse()) / volume(parts) - 1)).toBeLessThan(2e-6);
    // One more part that wants the whole handle finds nothing left of it.
    const rest = { ...parts[0], id: "rest", regions: [0] };
    const left = integrate({ ...assembly, parts: [...parts, rest] }).pop()!.v;
    expect(Math.abs(left)).toBeLessThan(0.01);
  });
});

/** A construction with another handle's measures and, where it has none, a guard of any form. */
const anyMixture = fc
  .record({
    name: fc.constantFrom(...Object.keys(CONSTRUCTIONS).filter((n) => !DOMED.has(n))),
    form: fc.constantFrom(...GUARD_FORMS, null),
    length: fc.integer({ min: 100, max: 130 }),
    front: fc.integer({ min: 22, max: 28 }),
    swell: fc.integer({ min: 24, max: 32 }),
    drop: fc.integer({ min: 0, max: 10 }),
    halves: fc.array(fc.integer({ min: 8, max: 11 }), { minLength: 4, maxLength: 4 }),
  })
  .map((r): Design => {
    const design = CONSTRUCTIONS[r.name];
    const outline = outlineFrom({
      lengthMm: r.length,
      frontMm: r.front,
      grooveMm: r.front - 2,
      swellMm: r.swell,
      buttMm: r.swell - 1,
      dropMm: r.drop,
    });
    const plan = design.handle.plan.map((p, i) => ({ ...p, halfMm: r.halves[i % 4] }));
    const mixed: Design = { ...design, handle: { ...design.handle, outline, plan } };
    return design.guard || !r.form ? mixed : { ...mixed, guard: guardOfForm(r.form, mixed) };
  });

describe("constructions mixed at random", () => {
  /** Source: npm's manifold-3d; 0.1 % in each part over 200 mm³ and 0.05 mm in its centroid. */
  it("agree with the mesh kernel, and none breaks the weighing", () => {
    let held = 0;
    for (const design of fc.sample(anyMixture, { seed: 2024, numRuns: 24 })) {
      const weighing = weigh(design);
      const where = JSON.stringify(design);
      if (!weighing.ok) {
        expect(
          weighing.findings.some((f) => f.severity === "error"),
          where,
        ).toBe(true);
        continue;
      }
      expect(Number.isFinite(weighing.report.balanceMm), where).toBe(true);
      if (++held > 8) continue;
      for (const p of meshAgreement(kernel, assemble(design))) {
        if (!(p.volumeMm3 > 200)) continue;
        expect(Math.abs(p.meshVolumeMm3 / p.volumeMm3 - 1), `${p.id} of ${where}`).toBeLessThan(0.001);
        expect(Math.abs(p.meshXMm - p.xMm), `${p.id} of ${where}`).toBeLessThan(0.05);
      }
    }
    expect(held).toBeGreaterThan(8);
  });
});
