import { assemble } from "../../knife/assembly/assemble";
import { materialsIn } from "../../knife/design/materials";
import type { Design } from "../../knife/design/schema";
import { calibration } from "./calibration";
import { faultsOf } from "./faults";
import { DEFAULT_FINENESS, type Fineness } from "./integrate";
import type { PanelMemory } from "./panelMemory";
import { type Weighing, weighAssembly } from "./weighAssembly";

export type { Weighing } from "./weighAssembly";

/**
 * Weighs a knife with a fixed blade. One that cannot exist (a fault of severity "error") is not weighed: the findings say
 * what and where.
 */
export function weigh(
  design: Design,
  fineness: Fineness = DEFAULT_FINENESS,
  memory: PanelMemory | null = null,
): Weighing {
  const assembly = assemble(design);
  return weighAssembly(
    {
      assembly,
      materialOf: materialsIn(design),
      findings: faultsOf(design, assembly),
      calibrate: (moments, at) => calibration(design, assembly, moments, at),
    },
    fineness,
    memory,
  );
}
