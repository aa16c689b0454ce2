import { readdirSync, readFileSync } from "node:fs";
import Module, { type ManifoldToplevel } from "manifold-3d";
import { beforeAll, describe, expect, it } from "vitest";
import { readFixed } from "@/core/exchange/files/knife/readFixed";
import { FINE_STEPS, meshAgreement, USUAL_STEPS } from "@/core/figures/weigh/agreement";
import { weigh } from "@/core/figures/weigh/weigh";
import { assemble } from "@/core/knife/assembly/assemble";
import { materialsIn } from "@/core/knife/design/materials";

const FILES = readdirSync("demo").filter((f) => f.endsWith(".json"));

/** Its pommel bends much within little room: the mesh needs smaller steps. */
const BENT = new Set(["holm-leather-stack.json"]);

function demo(file: string) {
  const reading = readFixed(readFileSync(`demo/${file}`));
  if (!reading.ok) throw new Error(`${file}: ${reading.code}`);
  return reading.design;
}

let kernel: ManifoldToplevel;
beforeAll(async () => {
  kernel = await Module();
  kernel.setup();
});

/** Source: npm's manifold-3d, a boolean kernel on triangle meshes. */
describe.each(FILES)("%s against the mesh kernel", (file) => {
  it("agrees in every part's volume and in the balance", () => {
    const design = demo(file);
    const materialOf = materialsIn(design);
    const assembly = assemble(design);
    let [massMesh, firstMesh, mass, first] = [0, 0, 0, 0];
    for (const p of meshAgreement(kernel, assembly, BENT.has(file) ? FINE_STEPS : USUAL_STEPS)) {
      if (p.volumeMm3 > 200) {
        expect(Math.abs(p.meshVolumeMm3 / p.volumeMm3 - 1), p.id).toBeLessThan(0.001);
        expect(Math.abs(p.meshXMm - p.xMm), p.id).toBeLessThan(0.05);
      }
      const { materials: made } = assembly.parts.find((q) => q.id === p.id)!;
      const density = made.reduce((s, k) => s + k.share * materialOf(k.materialId)!.densityGcc.typical, 0);
      massMesh += density * p.meshVolumeMm3;
      firstMesh += density * p.meshVolumeMm3 * p.meshXMm;
      mass += density * p.volumeMm3;
      first += density * p.volumeMm3 * p.xMm;
    }
    expect(Math.abs(massMesh / mass - 1)).toBeLessThan(0.001);
    expect(Math.abs(firstMesh / massMesh - first / mass)).toBeLessThan(0.05);
  });

  it("weighs finite figures inside their intervals", () => {
    const weighing = weigh(demo(file));
    if (!weighing.ok) throw new Error(JSON.stringify(weighing.findings));
    const { massG, balanceMm, massIntervalG, balanceIntervalMm, inertiaGmm2, parts } = weighing.report;
    expect(massIntervalG[0]).toBeLessThan(massG);
    expect(massIntervalG[1]).toBeGreaterThan(massG);
    expect(balanceIntervalMm[0]).toBeLessThan(balanceMm);
    expect(balanceIntervalMm[1]).toBeGreaterThan(balanceMm);
    expect(Object.values(inertiaGmm2).every(Number.isFinite)).toBe(true);
    // A rigid body's principal moments obey the triangle inequality.
    expect(inertiaGmm2.xx + inertiaGmm2.yy).toBeGreaterThan(inertiaGmm2.zz);
    expect(parts.every((p) => p.massG > 0)).toBe(true);
  });
});
