import { readdirSync, readFileSync } from "node:fs";
import { describe, expect, it } from "vitest";
import { readFixed } from "@/core/exchange/files/knife/readFixed";
import { DEFAULT_FINENESS, type Fineness, integrate } from "@/core/figures/weigh/integrate";
import { type Moments, sumOfMoments } from "@/core/figures/weigh/moments";
import { assemble } from "@/core/knife/assembly/assemble";

const FILES = readdirSync("demo").filter((f) => f.endsWith(".json"));

/** Several times the default's points in both directions. */
const REFERENCE: Fineness = {
  xPointsPerMm: 0.6,
  xPoints: [12, 60],
  yPointsPerMm: 0.6,
  yPoints: [12, 40],
  zonePoints: [20, 28],
  split: 1,
};

function assemblyOf(file: string) {
  const reading = readFixed(readFileSync(`demo/${file}`));
  if (!reading.ok) throw new Error(`${file}: ${reading.code}`);
  return assemble(reading.design);
}

const volume = (moments: readonly Moments[]) => moments.reduce((s, m) => s + m.v, 0);
const centre = (moments: readonly Moments[]) =>
  moments.reduce((s, m) => s + m.x + m.originX * m.v, 0) / volume(moments);

describe.each(FILES)("%s at the default setting", (file) => {
  const assembly = assemblyOf(file);
  const usual = integrate(assembly);

  it("is within 1e-5 in volume and 0.005 mm in centroid of a far finer reading, and close in every part", () => {
    const fine = integrate(assembly, REFERENCE);
    expect(Math.abs(volume(usual) / volume(fine) - 1)).toBeLessThan(1e-5);
    expect(Math.abs(centre(usual) - centre(fine))).toBeLessThan(0.005);
    const ids = [...new Set(assembly.parts.map((p) => p.id))];
    for (const id of ids) {
      const of = (moments: readonly Moments[]) =>
        sumOfMoments(moments.filter((_, i) => assembly.parts[i].id === id));
      const [u, f] = [of(usual), of(fine)];
      // A cubic millimetre of steel weighs 8 mg: what leaning joints and round ends cost at the most.
      expect(Math.abs(u.v - f.v), id).toBeLessThan(1e-4 * f.v + 1);
      if (f.v > 200) expect(Math.abs(u.xx / f.xx - 1), id).toBeLessThan(1e-3);
    }
  });

  it("moves by less than that when every panel is halved", () => {
    const halved = integrate(assembly, { ...DEFAULT_FINENESS, split: 2 });
    expect(Math.abs(volume(usual) / volume(halved) - 1)).toBeLessThan(1e-5);
    expect(Math.abs(centre(usual) - centre(halved))).toBeLessThan(0.005);
  });
});
