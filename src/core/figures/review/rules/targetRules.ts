import { upToTenth } from "../../../base/number";
import { lazily } from "../../../base/record/remembered";
import type { Design } from "../../../knife/design/schema";
import { outside } from "../../../knife/design/uses";
import { type Figures, figuresOf } from "../../tune/effects";
import { type Goal, goalsOf, targetOf } from "../../tune/goals";
import { leversOf } from "../../tune/levers";
import { slopesAt, trialsOf } from "../../tune/search";
import { cheapSets, slopeOf } from "../../tune/sets";
import type { Fix, Found } from "../types";
import { found, type Rule } from "./context";

/** Levers that are tried one by one, and corrections of each. */
const TRIED = 3;
const CORRECTIONS = 3;

/** What a step of each lever does to a knife, and trials of it: the same whichever figure is brought back. */
function pullsOf(design: Design, now: Figures, goals: readonly Goal[]) {
  const trial = trialsOf(design);
  return { trial, slopes: slopesAt(trial, leversOf(design), new Map(), now, goals) };
}

/** The single lever that brings a figure into its window with the least change, or null of none. */
function bringBack({ trial, slopes }: ReturnType<typeof pullsOf>, now: Figures, goal: Goal): Fix | null {
  const miss = (f: Figures) => outside(goal.of(f), goal.window);
  const single = cheapSets(slopes, [goal], now, "least-change").filter((set) => set.length === 1);
  for (const [lever] of single.slice(0, TRIED)) {
    const slope = slopes.find((s) => s.lever === lever)!;
    const perMm = slopeOf(slope, goal) / lever.step;
    let amount = 0;
    let figures: Figures | null = now;
    for (let k = 0; k < CORRECTIONS && figures && miss(figures) !== 0; k++) {
      const off = miss(figures);
      // A little beyond the border, and to a tenth away from where it was.
      const wanted = amount - (off + Math.sign(off) * 0.3 * goal.unit) / perMm;
      amount = Math.sign(wanted) * upToTenth(Math.abs(wanted));
      figures = amount >= lever.low && amount <= lever.high ? trial(new Map([[lever.id, amount]])) : null;
    }
    if (figures && miss(figures) === 0) return { kind: "pull", lever: lever.id, amount };
  }
  return null;
}

/** What a finding of the whole knife is about; one of a grip goes by its goal. */
const SUBJECTS: Readonly<Partial<Record<Goal["ref"]["figure"], string>>> = {
  balanceMm: "balance",
  massG: "weight",
};

const target: Rule = {
  code: "outside-target",
  limit: 0,
  unit: "none",
  source: "windows of common practice, a matter of taste; from memory",
  check: ({ design, quick }) => {
    const now = figuresOf(design);
    if (!now) return [];
    const goals = goalsOf(targetOf(design));
    const pulls = lazily(() => pullsOf(design, now, goals));
    return goals.flatMap((goal): Found[] => {
      const { ref, window } = goal;
      const value = goal.of(now);
      const off = outside(value, window);
      if (off === 0) return [];
      const grip = design.use.grips.find((g) => g.id === ref.gripId);
      return [
        found("outside-target", "note", {
          at: ref.figure === "balanceMm" ? { x: value, y: 0 } : grip ? { x: grip.xMm, y: 0 } : null,
          subject: SUBJECTS[ref.figure] ?? goal.id,
          goal: { figure: ref.figure, grip: grip?.name ?? null },
          measured: value,
          limit: off < 0 ? window.low : window.high,
          fix: quick ? null : bringBack(pulls(), now, goal),
        }),
      ];
    });
  },
};

export const TARGET_RULES: readonly Rule[] = [target];
