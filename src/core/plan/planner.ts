import type { CutKey } from "../knife/parts/cutKey";
import { cutId } from "../knife/parts/cutKey";
import { TASKS, type TaskKind, type TaskSpec } from "./taskKinds";
import { type Need, type Reason, SURFACE_TASKS, type Subject, type Task } from "./types";

/** What must come before: a kind of task, with every one of it that there is, or one by its id; least and greatest lag, min. */
export interface After {
  readonly of: TaskKind | { readonly id: string };
  readonly why: Reason;
  readonly minLagMin?: number;
  readonly maxLagMin?: number;
}

export const after = (
  of: After["of"],
  why: Reason,
  lag: Pick<After, "minLagMin" | "maxLagMin"> = {},
): After => ({
  of,
  why,
  ...lag,
});

/** All that the blade's faces have done to them. */
export const surfaced = (why: Reason): readonly After[] => SURFACE_TASKS.map((kind) => after(kind, why));

interface Change {
  readonly of?: Subject;
  readonly activeMin?: number;
  readonly waitMin?: number;
}

const subjectId = (of: Subject): string =>
  of.kind === "side" ? of.side : of.kind === "number" ? String(of.number) : cutId(of.piece as CutKey);

/**
 * A plan while it is put together. A task waits for those that were added before it alone, so that none waits for itself;
 * what there is none of is waited for by none.
 */
export class Planner {
  private readonly tasks: Task[] = [];

  has(kind: TaskKind): boolean {
    return this.tasks.some((t) => t.kind === kind);
  }

  add(kind: TaskKind, needs: readonly After[] = [], change: Change = {}): string {
    const spec: TaskSpec = TASKS[kind];
    const id = change.of ? `${kind}:${subjectId(change.of)}` : kind;
    if (this.tasks.some((t) => t.id === id)) throw new Error(`${id} is planned twice`);
    this.tasks.push({
      id,
      kind,
      of: change.of ?? null,
      needs: this.needsOf(needs),
      activeMin: change.activeMin ?? spec.activeMin,
      waitMin: change.waitMin ?? spec.waitMin ?? 0,
      resources: spec.resources ?? [],
      noReturn: spec.noReturn ?? false,
      inspection: spec.inspection ?? false,
    });
    return id;
  }

  /** Of two reasons to wait for one task the first is kept, with the tighter of the lags. */
  private needsOf(all: readonly After[]): Need[] {
    const needs = new Map<string, Need>();
    for (const { of, why, minLagMin = 0, maxLagMin = null } of all) {
      for (const t of this.tasks) {
        if (typeof of === "string" ? t.kind !== of : t.id !== of.id) continue;
        const known = needs.get(t.id);
        const most = [known?.maxLagMin ?? null, maxLagMin].filter((m) => m !== null);
        needs.set(t.id, {
          id: t.id,
          minLagMin: Math.max(known?.minLagMin ?? 0, minLagMin),
          maxLagMin: most.length > 0 ? Math.min(...most) : null,
          why: known?.why ?? why,
        });
      }
    }
    return [...needs.values()];
  }

  done(): readonly Task[] {
    return this.tasks;
  }
}
