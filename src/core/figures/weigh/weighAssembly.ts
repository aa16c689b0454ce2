import type { Fault } from "../../knife/parts/faults";
import type { Assembly } from "../../knife/parts/types";
import type { MaterialOf } from "../../materials/types";
import { DEFAULT_FINENESS, type Fineness, integrate } from "./integrate";
import type { Calibration } from "./measured";
import type { Moments } from "./moments";
import { momentsOf } from "./momentsOf";
import type { PanelMemory } from "./panelMemory";
import { type MassReport, massReport } from "./report";
import { asWeighedAlone } from "./weighedAlone";

export type Weighing =
  | { readonly ok: true; readonly report: MassReport; readonly findings: readonly Fault[] }
  | { readonly ok: false; readonly findings: readonly Fault[] };

/** What a weighing is made of, whatever product it is. */
export interface Weighable {
  readonly assembly: Assembly;
  /** Densities of what its parts are made of; it knows every one of them, unless a finding of severity "error" says otherwise. */
  readonly materialOf: MaterialOf;
  /** What keeps it from being built, or is not as it says. */
  readonly findings: readonly Fault[];
  /** How what was measured corrects what is drawn; null where nothing was. */
  calibrate?(moments: readonly Readonly<Moments>[], fineness: Fineness): Calibration | null;
}

/**
 * Weighs an assembly. What cannot exist (a finding of severity "error") is not weighed. Figures are finite whenever `ok`. With
 * the memory of the weighing before, only what changed since is integrated.
 */
export function weighAssembly(
  { assembly, materialOf, findings, calibrate }: Weighable,
  fineness: Fineness = DEFAULT_FINENESS,
  memory: PanelMemory | null = null,
): Weighing {
  if (findings.some((f) => f.severity === "error")) return { ok: false, findings };
  const moments = fineness === DEFAULT_FINENESS ? momentsOf(assembly, memory) : integrate(assembly, fineness);
  const measured = calibrate?.(moments, fineness) ?? null;
  const of = asWeighedAlone(assembly, moments, materialOf);
  return { ok: true, report: massReport(of.assembly, moments, of.materialOf, measured), findings };
}
