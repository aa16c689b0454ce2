import { printLength, printMass, printMeasure, type UnitSystem } from "@/core/base/units/print";
import type { GoalRef, Miss } from "@/core/figures/tune/goals";
import type { GripFigure } from "@/core/knife/design/grips";
import type { Grip } from "@/core/knife/design/schema";

/** What a hand feels in a grip is called. */
export const GRIP_FIGURE_WORDS: Readonly<Record<GripFigure, string>> = {
  momentNmm: "Moment at the grip",
  percussionMm: "Centre of percussion",
  effectiveMassG: "Effective mass at the grip",
};

/** Grips that hands have; a maker names others. */
export const GRIP_NAMES = ["Working", "Choked", "Rear", "Overhand"] as const;

/** A name that no grip has yet. */
export const nameForGrip = (taken: readonly string[]): string =>
  GRIP_NAMES.find((name) => !taken.includes(name)) ?? `Grip ${taken.length + 1}`;

/** An amount of a figure. */
export function goalAmount(figure: GoalRef["figure"], amount: number, units: UnitSystem): string {
  switch (figure) {
    case "balanceMm":
    case "percussionMm":
      return printLength(amount, units);
    case "massG":
    case "effectiveMassG":
      return printMass(amount, units);
    case "momentNmm":
      return printMeasure("moment", amount, units);
  }
}

/** How a knife lies outside of a window: `off` is below zero under it. */
export function outsideWords(
  { figure, grip }: { readonly figure: GoalRef["figure"]; readonly grip: string | null },
  off: number,
  units: UnitSystem,
): string {
  const by = goalAmount(figure, Math.abs(off), units);
  const there = grip === null ? "For its use" : `In the grip “${grip}”`;
  switch (figure) {
    case "balanceMm":
      return `${there} it balances ${by} too far ${off < 0 ? "back" : "forward"}.`;
    case "massG":
      return `${there} it is ${by} too ${off < 0 ? "light" : "heavy"}.`;
    case "momentNmm":
      return `${there} it is ${by} too ${off < 0 ? "handle-heavy" : "nose-heavy"}.`;
    case "percussionMm":
      return `${there} its centre of percussion lies ${by} too far ${off < 0 ? "back" : "forward"}.`;
    case "effectiveMassG":
      return `${there} its effective mass is ${by} too ${off < 0 ? "small" : "large"}.`;
  }
}

/** The windows that are still missed, one after the other. */
export const missWords = (misses: readonly Miss[], grips: readonly Grip[], units: UnitSystem): string =>
  misses
    .map(({ ref, off }) => {
      const grip = grips.find((g) => g.id === ref.gripId)?.name ?? null;
      return outsideWords({ figure: ref.figure, grip }, off, units);
    })
    .join(" ");
