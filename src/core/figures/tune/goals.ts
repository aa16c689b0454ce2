import { clamp } from "../../base/number";
import { GRIP_FIGURES, type GripFigure } from "../../knife/design/grips";
import type { Design, Grip, Use } from "../../knife/design/schema";
import { outside } from "../../knife/design/uses";
import { dynamics, effectiveMass } from "../weigh/dynamics";
import type { Figures } from "./effects";

type Window = Use["balanceMm"];

/** Windows to land in; each may be left open. */
export interface Target {
  readonly balanceMm: Window | null;
  readonly massG: Window | null;
  readonly grips: readonly Grip[];
}

/** A figure that a window stands on: of the whole knife, or of one grip. */
export type GoalRef =
  | { readonly figure: "balanceMm" | "massG"; readonly gripId: null }
  | { readonly figure: GripFigure; readonly gripId: string };

/** A window with the figure that is to lie in it. */
export interface Goal {
  readonly id: string;
  readonly ref: GoalRef;
  readonly window: Window;
  /** A miss of so much is as bad as one of a millimetre in balance. */
  readonly unit: number;
  of(figures: Figures): number;
}

/** How far a figure is outside its window, below zero under it. */
export interface Miss {
  readonly ref: GoalRef;
  readonly off: number;
}

/** What a figure comes to in a grip; null of a centre of percussion where the grip is the balance point, and has none. */
export function gripFigure(figures: Figures, { xMm }: Grip, figure: GripFigure): number | null {
  switch (figure) {
    case "momentNmm":
      return dynamics(figures, xMm).momentNmm;
    case "percussionMm":
      return dynamics(figures, xMm).percussionMm;
    case "effectiveMassG":
      return effectiveMass(figures, xMm);
  }
}

const UNITS: Readonly<Record<GoalRef["figure"], number>> = {
  balanceMm: 1,
  massG: 10,
  momentNmm: 20,
  percussionMm: 4,
  effectiveMassG: 8,
};

/** A figure that is farther off than this, or that there is none of, counts as so far for a window. */
const FAR = 10_000;
const wishable = (value: number | null): number => clamp(value ?? FAR, -FAR, FAR);

/** The goals of a target, balance and weight first. */
export function goalsOf({ balanceMm, massG, grips }: Target): Goal[] {
  const goals: Goal[] = [];
  const put = (ref: GoalRef, window: Window | null, of: Goal["of"]) => {
    if (!window) return;
    const id = ref.gripId === null ? ref.figure : `${ref.gripId}.${ref.figure}`;
    goals.push({ id, ref, window, unit: UNITS[ref.figure], of });
  };
  put({ figure: "balanceMm", gripId: null }, balanceMm, (f) => f.balanceMm);
  put({ figure: "massG", gripId: null }, massG, (f) => f.massG);
  for (const grip of grips)
    for (const figure of GRIP_FIGURES)
      put({ figure, gripId: grip.id }, grip[figure], (f) => wishable(gripFigure(f, grip, figure)));
  return goals;
}

/** What a knife's maker wishes of it. */
export const targetOf = ({ use: { balanceMm, massG, grips } }: Pick<Design, "use">): Target => ({
  balanceMm,
  massG,
  grips,
});

/** The windows that figures lie outside of. */
export function missesOf(figures: Figures, goals: readonly Goal[]): Miss[] {
  return goals.flatMap((goal): Miss[] => {
    const off = outside(goal.of(figures), goal.window);
    return off === 0 ? [] : [{ ref: goal.ref, off }];
  });
}

/** How bad misses are together, as millimetres of balance. */
export const badness = (misses: readonly Miss[]): number =>
  misses.reduce((sum, { ref, off }) => sum + Math.abs(off) / UNITS[ref.figure], 0);

/** The windows on a knife's grips that it lies outside of. */
export const gripMisses = (figures: Figures, grips: readonly Grip[]): Miss[] =>
  missesOf(figures, goalsOf({ balanceMm: null, massG: null, grips }));

/** Whether a weighed knife lies in all of its maker's windows. */
export const inWindows = (design: Pick<Design, "use">, figures: Figures): boolean =>
  missesOf(figures, goalsOf(targetOf(design))).length === 0;
