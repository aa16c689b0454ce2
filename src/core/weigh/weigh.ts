import { assemble } from "../assembly/assemble";
import { materialsIn } from "../design/materials";
import type { Design } from "../design/schema";
import type { Fault } from "../validity/types";
import { calibration } from "./calibration";
import { faultsOf } from "./faults";
import { DEFAULT_FINENESS, type Fineness, integrate } from "./integrate";
import { momentsOf } from "./momentsOf";
import type { PanelMemory } from "./panelMemory";
import { type MassReport, massReport } from "./report";

export type Weighing =
  | { readonly ok: true; readonly report: MassReport; readonly findings: readonly Fault[] }
  | { readonly ok: false; readonly findings: readonly Fault[] };

/**
 * Weighs a design. A design that cannot exist (a fault of severity "error") is not weighed: the findings say what
 * and where. Figures are finite whenever `ok`. With the memory of the weighing before, only what changed since is integrated.
 */
export function weigh(
  design: Design,
  fineness: Fineness = DEFAULT_FINENESS,
  memory: PanelMemory | null = null,
): Weighing {
  const assembly = assemble(design);
  const findings = faultsOf(design, assembly);
  if (findings.some((f) => f.severity === "error")) return { ok: false, findings };
  const moments = fineness === DEFAULT_FINENESS ? momentsOf(assembly, memory) : integrate(assembly, fineness);
  const measured = calibration(design, assembly, moments, fineness);
  const report = massReport(assembly, moments, materialsIn(design), measured);
  return { ok: true, report, findings };
}
