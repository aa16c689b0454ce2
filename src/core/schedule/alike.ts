import { glueTimes } from "../figures/fit/glue";
import type { Design } from "../knife/design/schema";
import type { PlannedTask } from "../plan/state";
import type { TaskKind } from "../plan/taskKinds";
import type { Alike } from "./job";

/** Pieces that go into an oven whose maker has not said, and into one bath, tumbler or row of coats. Common practice, no source. */
const PIECES_IN_OVEN = 4;
const MOST: Readonly<Partial<Record<TaskKind, number>>> = {
  "drill-tang": 12,
  "acid-etch": 4,
  darken: 4,
  tumble: 6,
  "finish-handle": 12,
};

/** Heat: together where it is the same steel, as far as the oven holds. */
const HEATS: readonly TaskKind[] = ["normalise", "harden", "cold", "temper", "anneal"];

/** What goes on together once it has been glued together. */
const GLUE_UP: readonly TaskKind[] = [
  "glue-handle",
  "carry-indoors",
  "check-in-line",
  "clean-squeeze-out",
  "cure",
];

/** Which tasks of a knife may be done together with those of others, by id. */
export function alikeOf(design: Design, tasks: readonly PlannedTask[]): ReadonlyMap<string, Alike> {
  const { heatSources, glue, shopC } = design.workshop;
  const inOven = heatSources.length > 0 ? Math.max(...heatSources.map((h) => h.pieces)) : PIECES_IN_OVEN;
  const glued = glueTimes(design);
  const alike = (task: PlannedTask): Alike | null => {
    const { kind } = task;
    if (kind === null) return null;
    if (HEATS.includes(kind))
      return { key: `${kind} ${design.blade.steel} ${task.waitMin}`, takes: 1, most: inOven };
    if (GLUE_UP.includes(kind))
      return {
        key: `${kind} ${JSON.stringify([glue, shopC])}`,
        // Of a pot life: what is put together after the glue is mixed once.
        takes: Math.max(1, glued.assemblyMin),
        most: glued.potLifeMin,
      };
    const most = MOST[kind];
    return most === undefined ? null : { key: kind, takes: 1, most };
  };
  return new Map(
    tasks.flatMap((t) => {
      const found = alike(t);
      return found ? [[t.id, found] as const] : [];
    }),
  );
}
