import { upToTenth } from "../../../base/number";
import { lazily } from "../../../base/record/remembered";
import type { Design } from "../../../knife/design/schema";
import { outside } from "../../../knife/design/uses";
import { type Figures, figuresOf } from "../../tune/effects";
import { leversOf } from "../../tune/levers";
import { slopesAt, trialsOf } from "../../tune/search";
import { cheapSets, type Target } from "../../tune/sets";
import type { Fix, Found } from "../types";
import { found, type Rule } from "./context";

/** Levers that are tried one by one, and corrections of each. */
const TRIED = 3;
const CORRECTIONS = 3;

/** How far weight or balance is outside its window. */
type Miss = (f: Figures) => number;

/** What a step of each lever does to a knife, and trials of it: the same whichever figure is brought back. */
function pullsOf(design: Design, now: Figures) {
  const trial = trialsOf(design);
  return { trial, slopes: slopesAt(trial, leversOf(design), new Map(), now) };
}

/** The single lever that brings a figure into its window with the least change, or null of none. */
function bringBack(
  { trial, slopes }: ReturnType<typeof pullsOf>,
  now: Figures,
  target: Target,
  miss: Miss,
): Fix | null {
  const single = cheapSets(slopes, target, now, "least-change").filter((set) => set.length === 1);
  for (const [lever] of single.slice(0, TRIED)) {
    const slope = slopes.find((s) => s.lever === lever)!;
    const perMm = (target.massG ? slope.m : slope.b) / lever.step;
    let amount = 0;
    let figures: Figures | null = now;
    for (let k = 0; k < CORRECTIONS && figures && miss(figures) !== 0; k++) {
      const off = miss(figures);
      // A little beyond the border, and to a tenth away from where it was.
      const wanted = amount - (off + Math.sign(off) * 0.3) / perMm;
      amount = Math.sign(wanted) * upToTenth(Math.abs(wanted));
      figures = amount >= lever.low && amount <= lever.high ? trial(new Map([[lever.id, amount]])) : null;
    }
    if (figures && miss(figures) === 0) return { kind: "pull", lever: lever.id, amount };
  }
  return null;
}

const target: Rule = {
  code: "outside-target",
  limit: 0,
  unit: "none",
  source: "windows of common practice, a matter of taste; from memory",
  check: ({ design, quick }) => {
    const now = figuresOf(design);
    if (!now) return [];
    const { balanceMm, massG } = design.use;
    const pulls = lazily(() => pullsOf(design, now));
    const everything = { low: -1e6, high: 1e6 };
    const cases: { subject: string; miss: Miss; aim: Target; window: typeof balanceMm; value: number }[] = [
      {
        subject: "balance",
        miss: (f) => outside(f.balanceMm, balanceMm),
        aim: { balanceMm, massG: null },
        window: balanceMm,
        value: now.balanceMm,
      },
      {
        subject: "weight",
        miss: (f) => outside(f.massG, massG),
        aim: { balanceMm: everything, massG },
        window: massG,
        value: now.massG,
      },
    ];
    return cases.flatMap(({ subject, miss, aim, window, value }): Found[] => {
      const off = miss(now);
      if (off === 0) return [];
      return [
        found("outside-target", "note", {
          at: subject === "balance" ? { x: value, y: 0 } : null,
          subject,
          measured: value,
          limit: off < 0 ? window.low : window.high,
          fix: quick ? null : bringBack(pulls(), now, aim, miss),
        }),
      ];
    });
  },
};

export const TARGET_RULES: readonly Rule[] = [target];
