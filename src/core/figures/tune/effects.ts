import { ROUNDING } from "../../base/tolerances";
import { assemble } from "../../knife/assembly/assemble";
import { refusalOf } from "../../knife/design/refusal";
import type { Design } from "../../knife/design/schema";
import { DEFAULT_FINENESS } from "../weigh/integrate";
import { memoryOf } from "../weigh/momentsOf";
import type { PanelMemory } from "../weigh/panelMemory";
import type { MassReport } from "../weigh/report";
import { weigh } from "../weigh/weigh";
import type { Lever } from "./lever";
import { leversOf } from "./levers";

/** What a knife weighs, where it balances, and how unwilling it is to be turned. */
export type Figures = Pick<MassReport, "massG" | "balanceMm" | "centreMm" | "inertiaGmm2">;

/** What one step of a lever does, up or down. */
export interface LeverEffect {
  readonly id: string;
  readonly unit: Lever["unit"];
  readonly nature: Lever["nature"];
  readonly material: string | null;
  /** The step taken, with its sign. */
  readonly amount: number;
  readonly massG: number;
  readonly balanceMm: number;
}

/** Weight and balance of a design, or null of one that cannot be built or kept. */
export function figuresOf(design: Design | null, memory: PanelMemory | null = null): Figures | null {
  if (!design || refusalOf(design)) return null;
  const weighing = weigh(design, DEFAULT_FINENESS, memory);
  if (!weighing.ok) return null;
  const { massG, balanceMm, centreMm, inertiaGmm2 } = weighing.report;
  return { massG, balanceMm, centreMm, inertiaGmm2 };
}

/**
 * Every lever's effect for one sensible step each way, those that can be built, the largest in balance first. Empty of a
 * knife that cannot be built.
 */
export function leverEffects(design: Design): LeverEffect[] {
  const now = figuresOf(design);
  if (!now) return [];
  const memory = memoryOf(assemble(design));
  const effects = leversOf(design).flatMap((lever): LeverEffect[] =>
    [lever.step, -lever.step].flatMap((amount) => {
      if (amount < lever.low - ROUNDING || amount > lever.high + ROUNDING) return [];
      const changed = lever.apply(design, amount);
      const then = figuresOf(changed, memory);
      if (!then) return [];
      const { id, unit, nature, material } = lever;
      return [
        {
          id,
          unit,
          nature,
          material,
          amount,
          massG: then.massG - now.massG,
          balanceMm: then.balanceMm - now.balanceMm,
        },
      ];
    }),
  );
  return effects.sort((a, b) => Math.abs(b.balanceMm) - Math.abs(a.balanceMm));
}
