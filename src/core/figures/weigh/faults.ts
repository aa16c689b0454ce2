import { assemble } from "../../knife/assembly/assemble";
import { weighed } from "../../knife/design/measuredBalance";
import type { Design } from "../../knife/design/schema";
import { type Fault, isError } from "../../knife/parts/faults";
import type { Assembly } from "../../knife/parts/types";
import { checkDesign } from "../../knife/validity/checkDesign";
import { effortFault } from "./effort";
import { aloneFaults, measuredFaults } from "./measuredFaults";

/** What keeps a design from being weighed ("error"), or is not as it says ("warning"). Empty when all is well. */
export function faultsOf(design: Design, assembly: Assembly = assemble(design)): Fault[] {
  const faults = checkDesign(design, assembly);
  // What is in the hand is weighed a second time, as it was.
  const times = weighed(design.blade.measured) ? 2 : 1;
  const effort = effortFault(assembly, times);
  if (effort) return [...faults, effort];
  return faults.some(isError)
    ? faults
    : [...faults, ...aloneFaults(design, assembly), ...measuredFaults(design)];
}
