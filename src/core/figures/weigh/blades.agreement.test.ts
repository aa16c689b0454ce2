import Module, { type ManifoldToplevel } from "manifold-3d";
import { beforeAll, describe, expect, it } from "vitest";
import { assemble } from "../../knife/assembly/assemble";
import { SOUND_BLADES } from "../../knife/design/blades.fixtures";
import { newDesign } from "../../knife/design/create";
import { designSchema } from "../../knife/design/schema";
import { checkDesign } from "../../knife/validity/checkDesign";
import { meshAgreement } from "./agreement";
import { DEFAULT_FINENESS, integrate } from "./integrate";
import { sumOfMoments } from "./moments";

const sound = newDesign("Sedge");

let kernel: ManifoldToplevel;
beforeAll(async () => {
  kernel = await Module();
  kernel.setup();
});

describe.each(Object.entries(SOUND_BLADES))("%s", (_, change) => {
  const design = { ...sound, blade: { ...sound.blade, ...change } };

  it("is a valid blade that nothing speaks against", () => {
    expect(designSchema.safeParse(design).success).toBe(true);
    expect(checkDesign(design)).toEqual([]);
  });

  /** Source: npm's manifold-3d, booleans of triangle meshes at two step sizes, extrapolated. */
  it("agrees with the mesh kernel", () => {
    const { parts, ...assembly } = assemble(design);
    // What comes later takes nothing from the blade.
    const upTo = parts.findLastIndex((p) => p.id === "blade");
    const blade = meshAgreement(kernel, { ...assembly, parts: parts.slice(0, upTo + 1) }).find(
      (p) => p.id === "blade",
    )!;
    expect(Math.abs(blade.meshVolumeMm3 / blade.volumeMm3 - 1)).toBeLessThan(5e-4);
    expect(Math.abs(blade.meshXMm - blade.xMm)).toBeLessThan(0.01);
  });

  it("is read the same with every panel cut in four", () => {
    const assembly = assemble(design);
    const usual = sumOfMoments(integrate(assembly));
    const fine = sumOfMoments(integrate(assembly, { ...DEFAULT_FINENESS, split: 4 }));
    expect(Math.abs(usual.v / fine.v - 1)).toBeLessThan(1e-5);
    expect(Math.abs(usual.originX + usual.x / usual.v - fine.originX - fine.x / fine.v)).toBeLessThan(0.005);
  });
});
