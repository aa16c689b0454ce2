import { assemble } from "../assembly/assemble";
import type { Assembly } from "../assembly/types";
import { handleReach } from "../design/constructions";
import { withHandleLength } from "../design/lengths";
import { type Design, designSchema } from "../design/schema";
import { checkDesign } from "../review/checkDesign";
import { materialById } from "../stock/materials";
import { integrate } from "../weigh/integrate";
import { calibration } from "../weigh/measured";

/** A size that may come out different: how to change it, and by how much it may be off (two standard deviations). */
interface Dimension {
  readonly id: string;
  readonly offMm: number;
  readonly apply: (design: Design, byMm: number) => Design;
}

/** What an input does to weight and balance over its two standard deviations, up less down. */
export interface InputShare {
  readonly id: string;
  readonly massG: number;
  readonly balanceMm: number;
}

export interface Percentiles {
  readonly p5: number;
  readonly p25: number;
  readonly p50: number;
  readonly p75: number;
  readonly p95: number;
}

export interface Sampled {
  readonly count: number;
  readonly massG: Percentiles;
  readonly balanceMm: Percentiles;
  /** First-order standard deviations, to hold the samples against. */
  readonly firstOrder: { readonly massG: number; readonly balanceMm: number };
  /** The largest effect on balance first. */
  readonly shares: readonly InputShare[];
  /** Every sample, for a histogram: weight and balance in the order they were drawn. */
  readonly masses: readonly number[];
  readonly balances: readonly number[];
}

/** Sizes of metal, and of what is shaped by hand. */
function dimensionsOf(design: Design): Dimension[] {
  const { blade, tang, handle, guard, use } = design;
  const metal = use.toleranceMm;
  const shaped = use.shapingMm;
  const list: Dimension[] = [];
  if (!blade.measured) {
    list.push({
      id: "spine",
      offMm: metal,
      apply: (d, by) => ({
        ...d,
        blade: { ...d.blade, spineMm: d.blade.spineMm + by, tipThicknessMm: d.blade.tipThicknessMm + by },
      }),
    });
    list.push({
      id: "heel",
      offMm: shaped,
      apply: (d, by) => ({ ...d, blade: { ...d.blade, heelHeightMm: d.blade.heelHeightMm + by } }),
    });
  }
  if (tang.kind !== "full")
    list.push({
      id: "tang",
      offMm: metal,
      apply: (d, by) =>
        d.tang.kind === "full"
          ? d
          : {
              ...d,
              tang: {
                ...d.tang,
                frontThicknessMm: d.tang.frontThicknessMm + by,
                endThicknessMm: d.tang.endThicknessMm + by,
              },
            },
    });
  if (guard && !guard.mesh) {
    list.push({
      id: "guard-thickness",
      offMm: metal,
      apply: (d, by) =>
        d.guard
          ? {
              ...d,
              guard: {
                ...d.guard,
                plates: d.guard.plates.map((p, i) =>
                  i === 0 ? { ...p, thicknessMm: p.thicknessMm + by } : p,
                ),
              },
            }
          : d,
    });
    list.push({
      id: "guard-size",
      offMm: shaped,
      apply: (d, by) =>
        d.guard
          ? { ...d, guard: { ...d.guard, widthMm: d.guard.widthMm + by, belowMm: d.guard.belowMm + by / 2 } }
          : d,
    });
  }
  list.push({
    id: "handle-thickness",
    offMm: shaped,
    apply: (d, by) => ({
      ...d,
      handle: {
        ...d.handle,
        plan: d.handle.plan.map((p) => ({
          ...p,
          halfMm: p.halfMm + by / 2,
          leftHalfMm: p.leftHalfMm === null ? null : p.leftHalfMm + by / 2,
        })),
      },
    }),
  });
  list.push({
    id: "handle-length",
    offMm: shaped,
    apply: (d, by) => ({ ...d, handle: withHandleLength(d.handle, "length", handleReach(d) + by) }),
  });
  if (handle.kind === "scales" && handle.liners.length > 0)
    list.push({
      id: "liner-thickness",
      offMm: Math.min(metal, handle.liners[0].thicknessMm / 2),
      apply: (d, by) =>
        d.handle.kind === "scales"
          ? {
              ...d,
              handle: {
                ...d.handle,
                liners: d.handle.liners.map((l, i) =>
                  i === 0 ? { ...l, thicknessMm: l.thicknessMm + by } : l,
                ),
              },
            }
          : d,
    });
  return list.filter((d) => d.offMm > 0);
}

/** Volume (cm³) and its first moment in x of each material, parts that were weighed together left out. */
function volumesOf(assembly: Assembly, skip: readonly string[]): Map<string, { v: number; x: number }> {
  const sums = new Map<string, { v: number; x: number }>();
  integrate(assembly).forEach((m, i) => {
    const part = assembly.parts[i];
    if (skip.includes(part.id)) return;
    for (const { materialId, share } of part.made) {
      const of = sums.get(materialId) ?? { v: 0, x: 0 };
      of.v += (share * m.v) / 1000;
      of.x += (share * (m.x + m.originX * m.v)) / 1000;
      sums.set(materialId, of);
    }
  });
  return sums;
}

/** A stream of numbers from 0 to 1 that is the same for the same seed. Mulberry32. */
export function randomStream(seed: number): () => number {
  let state = seed >>> 0;
  return () => {
    state = (state + 0x6d2b79f5) >>> 0;
    let t = state;
    t = Math.imul(t ^ (t >>> 15), t | 1);
    t ^= t + Math.imul(t ^ (t >>> 7), t | 61);
    return ((t ^ (t >>> 14)) >>> 0) / 4294967296;
  };
}

/** A standard normal number. Box and Muller, Ann. Math. Stat. 29 (1958). */
function normal(random: () => number): number {
  return Math.sqrt(-2 * Math.log(1 - random())) * Math.cos(2 * Math.PI * random());
}

/** At a share q from 0 to 1 of sorted values, between neighbours in proportion. */
export function percentile(sorted: readonly number[], q: number): number {
  if (sorted.length === 0) return 0;
  const at = q * (sorted.length - 1);
  const k = Math.floor(at);
  return sorted[k] + (at - k) * ((sorted[k + 1] ?? sorted[k]) - sorted[k]);
}

function percentiles(values: readonly number[]): Percentiles {
  const sorted = [...values].sort((a, b) => a - b);
  const at = (q: number) => percentile(sorted, q);
  return { p5: at(0.05), p25: at(0.25), p50: at(0.5), p75: at(0.75), p95: at(0.95) };
}

/**
 * Weights and balances of so many builds, their sizes and densities drawn at random. Sizes are normal, their stated
 * tolerance two standard deviations; densities likewise, low and high apart; pieces of one material are alike. Volumes
 * follow sizes along the straight line through their central differences, so that a sample costs no weighing. Null of a
 * knife that cannot be built. `stop` is asked now and then; true ends it with null.
 */
export function sampleBuilds(
  design: Design,
  count: number,
  seed: number,
  stop: () => boolean = () => false,
): Sampled | null {
  if (checkDesign(design).some((f) => f.severity === "error")) return null;
  const assembly = assemble(design);
  const held = calibration(design, assembly, integrate(assembly));
  const skip = held?.partIds ?? [];
  const at = volumesOf(assembly, skip);
  const ids = [...at.keys()];
  const dims = dimensionsOf(design).flatMap((dim) => {
    const [up, down] = [dim.offMm / 2, -dim.offMm / 2].map((by) => dim.apply(design, by));
    if (!designSchema.safeParse(up).success || !designSchema.safeParse(down).success) return [];
    const [high, low] = [up, down].map((d) => volumesOf(assemble(d), skip));
    // Per standard deviation, half of the tolerance: the two readings stand two of them apart.
    const slope = ids.map((id) => ({
      v: ((high.get(id)?.v ?? 0) - (low.get(id)?.v ?? 0)) / 2,
      x: ((high.get(id)?.x ?? 0) - (low.get(id)?.x ?? 0)) / 2,
    }));
    return [{ id: dim.id, slope }];
  });
  const density = ids.map((id) => materialById(id)!.densityGcc);
  const fixed = held ? { m: held.massG, x: held.massG * held.balanceMm } : { m: 0, x: 0 };
  /** Weight and balance from the inputs, each in its own standard deviations. */
  const build = (
    sizes: readonly number[],
    densities: readonly number[],
    heldBy: readonly [number, number],
  ) => {
    let m = fixed.m + (held ? (heldBy[0] * held.massOffG) / 2 : 0);
    let x = m * (held ? held.balanceMm + (heldBy[1] * held.balanceOffMm) / 2 : 0);
    ids.forEach((id, k) => {
      const of = at.get(id)!;
      let [v, vx] = [of.v, of.x];
      for (let j = 0; j < dims.length; j++) {
        v += dims[j].slope[k].v * sizes[j];
        vx += dims[j].slope[k].x * sizes[j];
      }
      const { low, typical, high } = density[k];
      const z = densities[k];
      const rho = typical + (z * (z > 0 ? high - typical : typical - low)) / 2;
      m += rho * v;
      x += rho * vx;
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
  const random = randomStream(seed);
  const masses: number[] = [];
  const balances: number[] = [];
  for (let i = 0; i < count; i++) {
    if (i % 500 === 0 && stop()) return null;
    const sizes = dims.map(() => normal(random));
    const densities = ids.map(() => normal(random));
    const { massG, balanceMm } = build(sizes, densities, [normal(random), normal(random)]);
    masses.push(massG);
    balances.push(balanceMm);
  }
  // Four standard deviations lie between −2 and +2.
  const spread = (of: (s: InputShare) => number) =>
    Math.sqrt(shares.reduce((s, x) => s + (of(x) / 4) ** 2, 0));
  return {
    count,
    massG: percentiles(masses),
    balanceMm: percentiles(balances),
    firstOrder: { massG: spread((s) => s.massG), balanceMm: spread((s) => s.balanceMm) },
    shares,
    masses,
    balances,
  };
}
