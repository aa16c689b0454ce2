import { describe, expect, it } from "vitest";
import { DEMO_KNIVES } from "../../exchange/files/knife/demo.fixtures";
import { CONSTRUCTIONS } from "../../knife/design/constructions.fixtures";
import type { Design } from "../../knife/design/schema";
import { checkDesign } from "../../knife/validity/checkDesign";
import { limitIn, RULES } from "./reviewDesign";
import { type Rule, type RuleContext, ruleContext } from "./rules/context";
import { TRIPS } from "./trips.fixtures";
import type { Found } from "./types";

const knives: (readonly [string, Design])[] = [...DEMO_KNIVES, ...Object.entries(CONSTRUCTIONS)].filter(
  ([, d]) => checkDesign(d).every((f) => f.severity !== "error"),
);

/** The same knife to be thrust with, which asks for something before the finger. */
const thrustWith = (d: Design): Design => ({
  ...d,
  fitUp: { ...d.fitUp, thrust: true },
});

/** Rules whose limit is compared with a figure of the knife. */
const MEASURED = RULES.filter((r) => r.limit > 0 && r.unit !== "none");

/** Shares of the usual limit that are tried for one that parts a knife from its neighbour. */
const SHARES = [0.01, 0.1, 0.3, 0.7, 1, 1.4, 3, 10, 100];
const HALVINGS = 8;

/** Where one rule begins, or ceases, to concern a subject: its finding just there. */
interface Border {
  readonly subject: string | null;
  readonly limit: number;
  readonly finding: Found;
}

/** For each subject of one rule, the limit at which it just begins to be found. */
function bordersOf(rule: Rule, context: RuleContext): Border[] {
  const at = (limit: number) =>
    rule.check({ ...context, limit: (code) => (code === rule.code ? limit : context.limit(code)) });
  const of = (limit: number, subject: string | null) => at(limit).find((f) => f.subject === subject);
  const tried = SHARES.map((share) => {
    const limit = share * rule.limit;
    return { limit, subjects: new Set(at(limit).map((f) => f.subject)) };
  });
  const subjects = new Set(tried.flatMap((t) => [...t.subjects]));
  return [...subjects].flatMap((subject): Border[] => {
    const flips = tried
      .slice(1)
      .findIndex((t, i) => t.subjects.has(subject) !== tried[i].subjects.has(subject));
    if (flips < 0) return [];
    let [low, high] = [tried[flips].limit, tried[flips + 1].limit];
    const foundAbove = tried[flips + 1].subjects.has(subject);
    for (let k = 0; k < HALVINGS; k++) {
      const middle = Math.sqrt(low * high);
      if ((of(middle, subject) !== undefined) === foundAbove) high = middle;
      else low = middle;
    }
    const finding = of(foundAbove ? high : low, subject);
    return finding ? [{ subject, limit: high, finding }] : [];
  });
}

describe("every rule that measures", () => {
  /**
   * On every construction and demo knife: a limit just beyond what the knife has trips the rule, and one just short of it
   * does not; what the finding says it measured is what was compared.
   */
  it.each(MEASURED.map((r) => [r.code, r] as const))(
    "%s parts each knife from its neighbour",
    (code, rule) => {
      let parted = 0;
      for (const [name, knife] of [...knives, ["its own", TRIPS[code]] as const]) {
        const design = code === "nothing-before-finger" ? thrustWith(knife) : knife;
        const context = ruleContext(design, (r) => limitIn(design, r), true);
        for (const { subject, limit, finding } of bordersOf(rule, context)) {
          parted++;
          const { measured, limit: said } = finding;
          if (measured === null || said === null) throw new Error(`${name}: ${code} says no figures`);
          // The mix is told in minutes, and held against them.
          const ratio = code === "glue-sets-too-soon" ? measured / said / limit : measured / said;
          expect(Math.abs(ratio - 1), `${name} ${subject}: ${measured} of ${said}`).toBeLessThan(0.02);
        }
      }
      expect(parted).toBeGreaterThan(0);
    },
  );
});
