import type { Assembly, Part } from "../assembly/types";
import { remembered } from "../layout/remembered";
import { DEFAULT_FINENESS, integrate } from "./integrate";
import type { Moments } from "./moments";

const wholeMoments = remembered((assembly: Assembly): readonly Readonly<Moments>[] => integrate(assembly));

/**
 * The moments of an assembly's parts at the default setting: of all of them, worked out once; or, where only some are
 * asked for, of those, the others zero.
 */
export function momentsOf(assembly: Assembly, asked?: (part: Part) => boolean): readonly Readonly<Moments>[] {
  if (!asked || assembly.parts.every(asked)) return wholeMoments(assembly);
  return integrate(assembly, DEFAULT_FINENESS, asked);
}
