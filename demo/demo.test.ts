import { readdirSync, readFileSync } from "node:fs";
import Module, { type ManifoldToplevel } from "manifold-3d";
import { beforeAll, describe, expect, it } from "vitest";
import { assemble } from "@/core/assembly/assemble";
import { readKnife } from "@/core/files/knife/read";
import { measureSolid, type SolidMeasure, solidParts } from "@/core/solids/kernel";
import { materialById } from "@/core/stock/materials";
import { integrate } from "@/core/weigh/integrate";
import { weigh } from "@/core/weigh/weigh";

const FILES = readdirSync("demo").filter((f) => f.endsWith(".json"));

function demo(file: string) {
  const reading = readKnife(readFileSync(`demo/${file}`));
  if (!reading.ok) throw new Error(`${file}: ${reading.code}`);
  return reading.design;
}

let kernel: ManifoldToplevel;
beforeAll(async () => {
  kernel = await Module();
  kernel.setup();
});

/** Volumes and centroids by booleans of inscribed meshes, their second-order error taken out by two step sizes. */
function byMesh(assembly: ReturnType<typeof assemble>): (SolidMeasure | null)[] {
  const at = (stations: number, rows: number) => {
    const solids = solidParts(kernel, assembly, { stations, rows });
    const measured = solids.map((s) => s && measureSolid(s));
    for (const s of solids) s?.delete();
    return measured;
  };
  const coarse = at(8, 20);
  const fine = at(16, 40);
  const mend = (c: number, f: number) => (4 * f - c) / 3;
  return fine.map((f, i) => {
    const c = coarse[i];
    if (!f || !c) return f;
    return {
      volumeMm3: mend(c.volumeMm3, f.volumeMm3),
      centreMm: [0, 1, 2].map((k) => mend(c.centreMm[k], f.centreMm[k])) as [number, number, number],
    };
  });
}

/** Source: npm's manifold-3d, a boolean kernel on triangle meshes. */
describe.each(FILES)("%s against the mesh kernel", (file) => {
  it("agrees in every part's volume and in the balance", () => {
    const assembly = assemble(demo(file));
    const moments = integrate(assembly);
    const solids = byMesh(assembly);
    let [massMesh, firstMesh, mass, first] = [0, 0, 0, 0];
    assembly.parts.forEach((part, i) => {
      const m = moments[i];
      const solid = solids[i];
      if (!solid) throw new Error(`${part.id} is empty in the mesh kernel`);
      if (m.v > 200) expect(Math.abs(solid.volumeMm3 / m.v - 1), part.id).toBeLessThan(0.001);
      if (m.v > 200) expect(Math.abs(solid.centreMm[0] - m.originX - m.x / m.v), part.id).toBeLessThan(0.05);
      const density = part.made.reduce(
        (s, k) => s + k.share * materialById(k.materialId)!.densityGcc.typical,
        0,
      );
      massMesh += density * solid.volumeMm3;
      firstMesh += density * solid.volumeMm3 * solid.centreMm[0];
      mass += density * m.v;
      first += density * (m.x + m.originX * m.v);
    });
    expect(Math.abs(massMesh / mass - 1)).toBeLessThan(0.001);
    expect(Math.abs(firstMesh / massMesh - first / mass)).toBeLessThan(0.05);
  });

  it("fills its space once: the parts' volumes add up to blade, tang and handle as wholes", () => {
    const assembly = assemble(demo(file));
    const total = integrate(assembly).reduce((s, m) => s + m.v, 0);
    // The body holds scales or pieces, liners, pins and the tang in them; the guard its slot; the blade stands ahead.
    const part = (id: string) => assembly.parts.find((p) => p.id === id);
    const blade = part("blade")!;
    const wholes = [blade, { ...blade, id: "body", regions: [0] }, ...[part("guard") ?? []].flat()];
    const whole = integrate({ ...assembly, parts: wholes }).reduce((s, m) => s + m.v, 0);
    expect(Math.abs(total / whole - 1)).toBeLessThan(1e-6);
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
