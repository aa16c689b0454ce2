import { describe, expect, it } from "vitest";
import { TRIPS } from "../../knife/validity/faultTrips.fixtures";
import { faultsOf } from "../weigh/faults";
import { applyFix } from "./fixes";
import { mendsOf } from "./mends";

const errorsOf = (design: (typeof TRIPS)[number][1]) =>
  faultsOf(design).filter((f) => f.severity === "error");

const REFUSED = TRIPS.filter(([, design]) => errorsOf(design).length > 0);

describe("what cannot be built", () => {
  it.each(REFUSED.map(([rule, design], i) => [`${rule} (${i})`, design] as const))(
    "has a fix each: %s",
    (_, design) => {
      const mends = mendsOf(design);
      expect(mends.map((f) => f.rule)).toEqual(errorsOf(design).map((f) => f.rule));
      for (const { rule, subject, fixes } of mends) {
        expect(fixes?.length, `${rule} ${subject}`).toBeGreaterThan(0);
        for (const { fix } of fixes ?? []) {
          const left = errorsOf(applyFix(design, fix)).map((f) => `${f.rule} ${f.subject}`);
          expect(left, JSON.stringify(fix)).not.toContain(`${rule} ${subject}`);
          expect(left.length, JSON.stringify(fix)).toBeLessThan(mends.length);
        }
      }
    },
  );
});
