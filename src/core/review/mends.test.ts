import { describe, expect, it } from "vitest";
import { CONSTRUCTIONS } from "../design/constructions.fixtures";
import { type Design, designSchema } from "../design/schema";
import { DEMO_KNIVES } from "../files/knife/demo.fixtures";
import { checkDesign } from "../validity/checkDesign";
import { applyMend } from "./mends";
import { RULES, reviewDesign } from "./reviewDesign";

const errorsOf = (design: Design) => checkDesign(design).filter((f) => f.severity === "error");

const knives = [...DEMO_KNIVES, ...Object.entries(CONSTRUCTIONS)].filter(([, d]) => errorsOf(d).length === 0);

/** The same knife under limits that are a share of the usual ones: more stands against it, to one side or the other. */
function strict(design: Design, share: number): Design {
  const limits = Object.fromEntries(
    RULES.filter((r) => r.unit === "mm" || r.unit === "diameters").map((r) => [r.code, r.limit * share]),
  );
  return { ...design, fitUp: { ...design.fitUp, limits } };
}

const cases: [string, Design][] = [
  ...knives.map(([name, design]): [string, Design] => [`${name}, strictly`, strict(design, 1.6)]),
  ...DEMO_KNIVES.flatMap(([name, design]): [string, Design][] => [
    [name, design],
    [`${name}, leniently`, strict(design, 0.6)],
  ]),
];
const offered = new Set<string>();

describe("what is offered to mend a finding", () => {
  it.each(cases)("%s: mends it, and breaks nothing", (_, design) => {
    for (const { rule, subject, mend } of reviewDesign(design).findings) {
      if (!mend) continue;
      offered.add(rule);
      const why = `${rule} ${subject} ${JSON.stringify(mend)}`;
      const mended = applyMend(design, mend);
      expect(mended, why).not.toBe(design);
      expect(designSchema.safeParse(mended).success, why).toBe(true);
      expect(errorsOf(mended), why).toEqual([]);
      const left = reviewDesign(mended, true).findings.filter(
        (f) => f.rule === rule && f.subject === subject,
      );
      expect(left, why).toEqual([]);
    }
  });

  it("was of many kinds", () => {
    expect(offered.size, [...offered].join(" ")).toBeGreaterThan(12);
  });
});
