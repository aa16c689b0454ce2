import { PART_GROUPS, type PartGroup } from "../../knife/parts/types";
import type { MassReport, PartWeight } from "./report";

/** What some of a knife does to where the whole balances. Grams, mm, g·mm. */
export interface Pull {
  readonly massG: number;
  /** x of its own centre of mass. */
  readonly atMm: number;
  /** From the knife's balance point to it; + is toward the tip. */
  readonly armMm: number;
  /** mass × arm; over all parts they add up to nothing. */
  readonly momentGmm: number;
  /** Balance with it less balance without it; null where nothing else has any mass. */
  readonly addsMm: number | null;
}

export type PartPull = Pull & { readonly part: PartWeight };
export type GroupPull = Pull & { readonly group: PartGroup };

/** A share of the mass below which nothing is left to balance. */
const NOTHING_LEFT = 1e-9;

/** The pull of some parts taken together; all zeros for parts without mass. Moments about the balance point. */
export function pullOf(report: MassReport, parts: readonly PartWeight[]): Pull {
  const massG = parts.reduce((s, p) => s + p.massG, 0);
  if (!(massG > 0)) return { massG: 0, atMm: 0, armMm: 0, momentGmm: 0, addsMm: 0 };
  const momentGmm = parts.reduce((s, p) => s + p.massG * (p.centreMm[0] - report.balanceMm), 0);
  const rest = report.massG - massG;
  return {
    massG,
    atMm: report.balanceMm + momentGmm / massG,
    armMm: momentGmm / massG,
    momentGmm,
    addsMm: rest > NOTHING_LEFT * report.massG ? momentGmm / rest : null,
  };
}

/** Every part that weighs something, the farthest toward the butt first. */
export function partPulls(report: MassReport): PartPull[] {
  return report.parts
    .filter((p) => p.massG > 0)
    .map((part) => ({ part, ...pullOf(report, [part]) }))
    .sort((a, b) => a.atMm - b.atMm);
}

/** Every group that weighs something, in the order of the groups. */
export function groupPulls(report: MassReport): GroupPull[] {
  return PART_GROUPS.map((group) => ({
    group,
    ...pullOf(
      report,
      report.parts.filter((p) => p.group === group),
    ),
  })).filter((g) => g.massG > 0);
}
