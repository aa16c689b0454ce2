import { assemble } from "../../knife/assembly/assemble";
import { materialsIn } from "../../knife/design/materials";
import { refusalOf } from "../../knife/design/refusal";
import type { Design } from "../../knife/design/schema";
import type { Assembly } from "../../knife/parts/types";
import type { MaterialOf } from "../../materials/types";
import { calibration } from "../weigh/calibration";
import { faultsOf } from "../weigh/faults";
import { materialMoments } from "../weigh/materialMoments";
import { type Calibration, centreX } from "../weigh/measured";
import { memoryOf, momentsOf } from "../weigh/momentsOf";
import type { PanelMemory } from "../weigh/panelMemory";
import { asWeighedAlone } from "../weigh/weighedAlone";
import { dimensionsOf } from "./dimensions";
import type { Figures } from "./effects";

/** A figure of both that are sampled. */
type MassAndBalance = Pick<Figures, "massG" | "balanceMm">;

/** What an input does to weight and balance over its two standard deviations, up less down. */
export interface InputShare {
  readonly id: string;
  readonly massG: number;
  readonly balanceMm: number;
}

/** How far weight and balance may be off, to first order. */
export interface Spread {
  /** The knife as it is drawn. */
  readonly drawn: MassAndBalance;
  /** Standard deviations. */
  readonly firstOrder: MassAndBalance;
  /** The largest effect on balance first. */
  readonly shares: readonly InputShare[];
}

/** A knife's weight and balance as a function of everything that may be off, each in its own standard deviations. */
export interface SpreadModel {
  readonly inputs: { readonly sizes: number; readonly densities: number };
  readonly build: (
    sizes: readonly number[],
    densities: readonly number[],
    measuring: readonly [number, number],
  ) => MassAndBalance;
  readonly spread: Spread;
}

/** Volume (cm³) and its first moment in x of each material, parts that were weighed together left out. */
function volumesOf(
  drawn: Assembly,
  skip: readonly string[],
  memory: PanelMemory,
  materials: MaterialOf,
): { readonly sums: Map<string, { v: number; x: number }>; readonly materialOf: MaterialOf } {
  const sums = new Map<string, { v: number; x: number }>();
  const own = momentsOf(drawn, memory);
  const { assembly, materialOf } = asWeighedAlone(drawn, own, materials);
  materialMoments(drawn, own).forEach((m, i) => {
    const part = assembly.parts[i];
    if (skip.includes(part.id)) return;
    for (const { materialId, share } of part.materials) {
      const of = sums.get(materialId) ?? { v: 0, x: 0 };
      of.v += (share * m.v) / 1000;
      of.x += (share * (m.x + m.originX * m.v)) / 1000;
      sums.set(materialId, of);
    }
  });
  return { sums, materialOf };
}

/** Mass and first moment in x of the parts that a measurement holds, as they are now; nothing without one. */
function heldSums(
  drawn: Assembly,
  held: Calibration | null,
  materials: MaterialOf,
): { m: number; x: number } {
  const sums = { m: 0, x: 0 };
  if (!held) return sums;
  const own = momentsOf(drawn);
  const { assembly, materialOf } = asWeighedAlone(drawn, own, materials);
  const material = materialMoments(drawn, own);
  assembly.parts.forEach((part, i) => {
    if (!held.partIds.includes(part.id)) return;
    const drawnGmm3 = part.materials.reduce(
      (sum, k) => sum + (k.share * (materialOf(k.materialId)?.densityGcc.typical ?? 0)) / 1000,
      0,
    );
    const mass = held.densityOf(drawnGmm3) * material[i].v;
    sums.m += mass;
    sums.x += mass * (centreX(material[i]) + held.shiftMm);
  });
  return sums;
}

/** What each size that may be off does to each material's volume and first moment, per standard deviation. */
function sizeSlopes(
  design: Design,
  ids: readonly string[],
  volumes: (d: Design) => ReadonlyMap<string, { readonly v: number; readonly x: number }>,
) {
  return dimensionsOf(design).flatMap((dim) => {
    const [up, down] = [dim.offMm / 2, -dim.offMm / 2].map((by) => dim.apply(design, by));
    if (refusalOf(up) || refusalOf(down)) return [];
    const [high, low] = [up, down].map(volumes);
    // A standard deviation is half of the tolerance: the two readings stand two of them apart.
    const slope = ids.map((id) => ({
      v: ((high.get(id)?.v ?? 0) - (low.get(id)?.v ?? 0)) / 2,
      x: ((high.get(id)?.x ?? 0) - (low.get(id)?.x ?? 0)) / 2,
    }));
    return [{ id: dim.id, slope }];
  });
}

/**
 * Sizes are normal, their stated tolerance two standard deviations; densities likewise, low and high apart; pieces of
 * one material are alike. Volumes follow sizes along the straight line through their central differences, so that a
 * build costs no weighing. Null of a knife that cannot be built.
 */
export function spreadModel(design: Design): SpreadModel | null {
  const materials = materialsIn(design);
  const assembly = assemble(design);
  if (faultsOf(design, assembly).some((f) => f.severity === "error")) return null;
  const memory = memoryOf(assembly);
  const held = calibration(design, assembly, momentsOf(assembly));
  const skip = held?.partIds ?? [];
  const { sums: at, materialOf } = volumesOf(assembly, skip, memory, materials);
  const ids = [...at.keys()];
  const dims = sizeSlopes(design, ids, (d) => volumesOf(assemble(d), skip, memory, materials).sums);
  const density = ids.map((id) => materialOf(id)!.densityGcc);
  const fixed = heldSums(assembly, held, materials);
  /** Weight and balance from the inputs, each in its own standard deviations. */
  const build = (
    sizes: readonly number[],
    densities: readonly number[],
    heldBy: readonly [number, number],
  ) => {
    // The scale's own errors: as much heavier where what was weighed balances, and as far off.
    const more = held ? (heldBy[0] * held.massOffG) / 2 : 0;
    const off = held ? (heldBy[1] * held.balanceOffMm) / 2 : 0;
    let m = fixed.m + more;
    let x = fixed.x + (held ? more * held.balanceMm + (held.massG + more) * off : 0);
    ids.forEach((id, k) => {
      const of = at.get(id)!;
      let [v, vx] = [of.v, of.x];
      for (let j = 0; j < dims.length; j++) {
        v += dims[j].slope[k].v * sizes[j];
        vx += dims[j].slope[k].x * sizes[j];
      }
      const { low, typical, high } = density[k];
      const z = densities[k];
      const by = (z * (z > 0 ? high - typical : typical - low)) / 2;
      const was = held?.weighedWith.get(id);
      m += (typical + by) * v - (was ? by * was.v : 0);
      x += (typical + by) * vx - (was ? by * was.x : 0);
    });
    return { massG: m, balanceMm: m > 0 ? x / m : 0 };
  };
  const zeros = (n: number) => new Array<number>(n).fill(0);
  const still = { sizes: zeros(dims.length), densities: zeros(ids.length) };
  const one = (n: number, j: number, z: number) => zeros(n).map((_, i) => (i === j ? z : 0));
  const share = (id: string, f: (z: number) => { massG: number; balanceMm: number }): InputShare => {
    const [up, down] = [f(2), f(-2)];
    return { id, massG: up.massG - down.massG, balanceMm: up.balanceMm - down.balanceMm };
  };
  const shares = [
    ...dims.map((d, j) => share(d.id, (z) => build(one(dims.length, j, z), still.densities, [0, 0]))),
    ...ids.map((id, k) => share(id, (z) => build(still.sizes, one(ids.length, k, z), [0, 0]))),
    ...(held
      ? [
          share("measured-mass", (z) => build(still.sizes, still.densities, [z, 0])),
          share("measured-balance", (z) => build(still.sizes, still.densities, [0, z])),
        ]
      : []),
  ].sort((a, b) => Math.abs(b.balanceMm) - Math.abs(a.balanceMm));
  // Four standard deviations lie between −2 and +2.
  const deviation = (of: (s: InputShare) => number) =>
    Math.sqrt(shares.reduce((s, x) => s + (of(x) / 4) ** 2, 0));
  return {
    inputs: { sizes: dims.length, densities: ids.length },
    build,
    spread: {
      drawn: build(still.sizes, still.densities, [0, 0]),
      firstOrder: { massG: deviation((s) => s.massG), balanceMm: deviation((s) => s.balanceMm) },
      shares,
    },
  };
}

/** How far weight and balance may be off, and what that owes to; null of a knife that cannot be built. */
export function spreadOf(design: Design): Spread | null {
  return spreadModel(design)?.spread ?? null;
}
