import { assemble } from "../assembly/assemble";
import type { Part } from "../assembly/types";
import { refusalOf } from "../design/refusal";
import type { Design } from "../design/schema";
import { materialById } from "../stock/materials";
import { ROUNDING } from "../tolerances";
import { calibration } from "../weigh/calibration";
import { faultsOf } from "../weigh/faults";
import { DEFAULT_FINENESS, integrate } from "../weigh/integrate";
import { momentsOf } from "../weigh/momentsOf";
import { PanelMemory } from "../weigh/panelMemory";
import { massReport } from "../weigh/report";
import { weigh } from "../weigh/weigh";
import { type Lever, leversOf } from "./levers";

/** What a knife weighs and where it balances. */
export interface Figures {
  readonly massG: number;
  readonly balanceMm: number;
}

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

/** What is known of a design, panel by panel, for the weighing of others that share some of it. */
export function memoryOf(design: Design): PanelMemory {
  const memory = new PanelMemory();
  integrate(assemble(design), DEFAULT_FINENESS, undefined, memory);
  memory.hold();
  return memory;
}

/** Weight and balance of a design, or null of one that cannot be built or kept. */
export function figuresOf(design: Design | null, memory: PanelMemory | null = null): Figures | null {
  if (!design || refusalOf(design)) return null;
  const weighing = weigh(design, DEFAULT_FINENESS, memory);
  if (!weighing.ok) return null;
  const { massG, balanceMm } = weighing.report;
  return { massG, balanceMm };
}

/**
 * The same of a design that differs from one that was weighed only in some parts' shape, or in materials alone: the other
 * volumes are that one's. Null where it may differ in more: where its parts are others, or pieces are pressed otherwise.
 */
function figuresBeside(then: Design, now: Design, touches: (part: Part) => boolean): Figures | null {
  const pressed = ({ handle }: Design) =>
    handle.kind === "stack" ? handle.pieces.map((p) => p.pressedShare).join(" ") : "";
  const [assembly, known] = [assemble(then), assemble(now)];
  const alike =
    pressed(then) === pressed(now) &&
    assembly.parts.length === known.parts.length &&
    assembly.parts.every((p, i) => p.id === known.parts[i].id);
  if (!alike || faultsOf(then, assembly).some((f) => f.severity === "error")) return null;
  const changed = assembly.parts.some(touches) ? momentsOf(assembly, touches) : null;
  const moments = momentsOf(known).map((m, i) => (changed && touches(assembly.parts[i]) ? changed[i] : m));
  const measured = calibration(then, assembly, moments);
  const { massG, balanceMm } = massReport(assembly, moments, materialById, measured);
  return { massG, balanceMm };
}

/**
 * Every lever's effect for one sensible step each way, those that can be built, the largest in balance first. Empty of a
 * knife that cannot be built.
 */
export function leverEffects(design: Design): LeverEffect[] {
  const now = figuresOf(design);
  if (!now) return [];
  const memory = memoryOf(design);
  const effects = leversOf(design).flatMap((lever): LeverEffect[] =>
    [lever.step, -lever.step].flatMap((amount) => {
      if (amount < lever.low - ROUNDING || amount > lever.high + ROUNDING) return [];
      const changed = lever.apply(design, amount);
      const { touches } = lever;
      const beside =
        changed && touches && !refusalOf(changed) ? figuresBeside(changed, design, touches) : null;
      const then = beside ?? figuresOf(changed, memory);
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

/** The design with several levers moved, in the order of their list; null where one of them has no meaning. */
export function withLevers(design: Design, amounts: ReadonlyMap<string, number>): Design | null {
  let next: Design | null = design;
  for (const lever of leversOf(design)) {
    const amount = amounts.get(lever.id);
    if (amount === undefined || amount === 0 || !next) continue;
    next = lever.apply(next, amount);
  }
  return next;
}
