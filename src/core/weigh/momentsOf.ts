import type { Assembly, Part } from "../assembly/types";
import { DEFAULT_FINENESS, integrate } from "./integrate";
import type { Moments } from "./moments";
import type { PanelMemory } from "./panelMemory";

const whole = new WeakMap<Assembly, readonly Readonly<Moments>[]>();

/**
 * The moments of an assembly's parts at the default setting: of all of them, worked out once; or, where only some are
 * asked for, of those, the others zero. A memory makes the first faster, and no different.
 */
export function momentsOf(
  assembly: Assembly,
  asked?: (part: Part) => boolean,
  memory: PanelMemory | null = null,
): readonly Readonly<Moments>[] {
  if (asked && !assembly.parts.every(asked)) return integrate(assembly, DEFAULT_FINENESS, asked);
  let moments = whole.get(assembly);
  if (!moments) {
    moments = integrate(assembly, DEFAULT_FINENESS, undefined, memory);
    whole.set(assembly, moments);
  }
  return moments;
}
