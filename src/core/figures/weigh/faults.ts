import { assemble } from "../../knife/assembly/assemble";
import type { Design } from "../../knife/design/schema";
import type { Fault } from "../../knife/parts/faults";
import type { Assembly } from "../../knife/parts/types";
import { checkDesign } from "../../knife/validity/checkDesign";
import { differenceFault } from "./calibration";
import { effortFault } from "./effort";

/** What keeps a design from being weighed ("error"), or is not as it says ("warning"). Empty when all is well. */
export function faultsOf(design: Design, assembly: Assembly = assemble(design)): Fault[] {
  const faults = checkDesign(design, assembly);
  // What is in the hand is weighed a second time, as it was.
  const times = design.blade.measured ? 2 : 1;
  const more = effortFault(assembly, times) ?? (faults.some(isError) ? null : differenceFault(design));
  return more ? [...faults, more] : faults;
}

const isError = (f: Fault) => f.severity === "error";
