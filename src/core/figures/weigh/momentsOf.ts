import type { Assembly } from "../../knife/parts/types";
import { DEFAULT_FINENESS, integrate } from "./integrate";
import type { Moments } from "./moments";
import { PanelMemory } from "./panelMemory";

interface Found {
  readonly moments: readonly Readonly<Moments>[];
  /** What was found panel by panel, where it was not put into a memory that goes on. */
  readonly memory: PanelMemory | null;
}

const known = new WeakMap<Assembly, Found>();

/**
 * The moments of an assembly's parts at the default setting, worked out once. A memory makes that faster, and no
 * different.
 */
export function momentsOf(
  assembly: Assembly,
  memory: PanelMemory | null = null,
): readonly Readonly<Moments>[] {
  return (known.get(assembly) ?? find(assembly, memory)).moments;
}

/** What is known of an assembly, for the moments of others that share some of it: it stays as it is. */
export function memoryOf(assembly: Assembly): PanelMemory {
  return known.get(assembly)?.memory ?? find(assembly, null).memory!;
}

function find(assembly: Assembly, given: PanelMemory | null): Found {
  const own = given ? null : new PanelMemory();
  const found = { moments: integrate(assembly, DEFAULT_FINENESS, undefined, given ?? own), memory: own };
  own?.hold();
  known.set(assembly, found);
  return found;
}
