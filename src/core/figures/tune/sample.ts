import { normal, randomStream } from "../../base/random";
import type { Design } from "../../knife/design/schema";
import { type Spread, spreadModel } from "./spread";

export interface Percentiles {
  readonly p5: number;
  readonly p25: number;
  readonly p50: number;
  readonly p75: number;
  readonly p95: number;
}

export interface Sampled extends Spread {
  readonly count: number;
  readonly massG: Percentiles;
  readonly balanceMm: Percentiles;
  /** Every sample, for a histogram: weight and balance in the order they were drawn. */
  readonly masses: readonly number[];
  readonly balances: readonly number[];
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

/** Told now and then how many builds are drawn; true from it ends the drawing. */
export type Progress = (drawn: number) => boolean;

const TELL_EVERY = 500;

/**
 * Weights and balances of so many builds, their sizes and densities drawn at random about the knife as it is drawn; the
 * same for the same seed. Null of a knife that cannot be built, or when `progress` ends it.
 */
export function sampleBuilds(
  design: Design,
  count: number,
  seed: number,
  progress: Progress = () => false,
): Sampled | null {
  const model = spreadModel(design);
  if (!model) return null;
  const random = randomStream(seed);
  const draw = (n: number) => Array.from({ length: n }, () => normal(random));
  const masses: number[] = [];
  const balances: number[] = [];
  for (let i = 0; i < count; i++) {
    if (i % TELL_EVERY === 0 && progress(i)) return null;
    const sizes = draw(model.inputs.sizes);
    const densities = draw(model.inputs.densities);
    const { massG, balanceMm } = model.build(sizes, densities, [normal(random), normal(random)]);
    masses.push(massG);
    balances.push(balanceMm);
  }
  return {
    ...model.spread,
    count,
    massG: percentiles(masses),
    balanceMm: percentiles(balances),
    masses,
    balances,
  };
}
