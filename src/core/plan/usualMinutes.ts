import type { PlanRecord } from "./record";
import { TASKS, type TaskKind } from "./taskKinds";

/** How long tasks take a maker, by what they took: the middle of them, and of how many. */
export type UsualMinutes = ReadonlyMap<TaskKind, { readonly activeMin: number; readonly times: number }>;

const isKind = (kind: string): kind is TaskKind => Object.hasOwn(TASKS, kind);

/** Minutes of each kind of task as they really were, over all plans: what is planned next begins from them. */
export function usualMinutes(plans: Iterable<PlanRecord>): UsualMinutes {
  const took = new Map<TaskKind, number[]>();
  for (const { done } of plans)
    for (const [id, { tookMin }] of Object.entries(done)) {
      const [kind] = id.split(":");
      if (tookMin === null || !isKind(kind)) continue;
      took.set(kind, [...(took.get(kind) ?? []), tookMin]);
    }
  return new Map(
    [...took].map(([kind, all]) => {
      const sorted = [...all].sort((a, b) => a - b);
      const middle = sorted.length >> 1;
      const activeMin = sorted.length % 2 === 1 ? sorted[middle] : (sorted[middle - 1] + sorted[middle]) / 2;
      return [kind, { activeMin: Math.round(activeMin), times: sorted.length }] as const;
    }),
  );
}
