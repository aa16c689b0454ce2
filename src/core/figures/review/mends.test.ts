import { describe, expect, it } from "vitest";
import { findingWords } from "../../../words/findings";
import { effectWords, offerWords } from "../../../words/offers";
import { FASTENER_KINDS, newFastener } from "../../kinds/fasteners/registry";
import { BAR_END_KINDS } from "../../kinds/tangEnds/registry";
import { refusalOf } from "../../knife/design/refusal";
import type { BarEnd, Design, Fastener } from "../../knife/design/schema";
import { withEnd } from "../../knife/starts/constructions";
import { newMeasured } from "../../knife/starts/starts";
import { hidden, sound, TRIPS } from "../../knife/validity/faultTrips.fixtures";
import { faultsOf } from "../weigh/faults";
import { weigh } from "../weigh/weigh";
import { applyFix } from "./fixes";
import { mendsOf } from "./mends";

const errorsOf = (design: (typeof TRIPS)[number][1]) =>
  faultsOf(design).filter((f) => f.severity === "error");

const REFUSED = TRIPS.filter(([, design]) => errorsOf(design).length > 0);

/** What would mend each of them: worked out once. */
const known = new Map<Design, ReturnType<typeof mendsOf>>();
function mended(design: Design): ReturnType<typeof mendsOf> {
  const mends = known.get(design) ?? mendsOf(design);
  known.set(design, mends);
  return mends;
}

describe("what cannot be built", () => {
  it.each(REFUSED.map(([rule, design], i) => [`${rule} (${i})`, design] as const))(
    "has a fix each: %s",
    (_, design) => {
      const mends = mended(design);
      const errors = errorsOf(design);
      expect(mends.map((f) => f.rule)).toEqual(errors.map((f) => f.rule));
      // Of very many the first are mended first.
      const first = mends.filter((f) => f.fixes);
      expect(first).toHaveLength(Math.min(errors.length, 6));
      for (const { rule, subject, fixes } of first) {
        expect(fixes?.length, `${rule} ${subject}`).toBeGreaterThan(0);
        for (const { fix } of fixes ?? []) {
          const left = errorsOf(applyFix(design, fix)).map((f) => `${f.rule} ${f.subject}`);
          expect(left, JSON.stringify(fix)).not.toContain(`${rule} ${subject}`);
          expect(left.length, JSON.stringify(fix)).toBeLessThan(errors.length);
        }
      }
    },
  );
});

const withFastener = (f: Fastener): Design => ({ ...sound, fasteners: [f] });

describe("what can be weighed is weighed", () => {
  it.each(FASTENER_KINDS)("though sizes of it are just as large as what they go into: %s", (kind) => {
    const made = newFastener(kind, "f", { xMm: -60, yMm: -1 }, sound.blade.spineMm);
    const numbers = Object.entries(made).filter(
      ([key, value]) => typeof value === "number" && !["xMm", "yMm"].includes(key),
    ) as [string, number][];
    for (const [small] of numbers)
      for (const [large, value] of numbers) {
        if (small === large) continue;
        const design = withFastener({ ...made, [small]: value } as Fastener);
        if (refusalOf(design)) continue;
        const weighing = weigh(design);
        if (!weighing.ok) continue;
        const why = `${kind}: ${small} as large as ${large}`;
        expect(weighing.report.massG, why).toBeGreaterThan(0);
        for (const part of weighing.report.parts) expect(part.massG, why).toBeGreaterThanOrEqual(-1e-9);
      }
  });

  it.each(BAR_END_KINDS)("so it is of the tang's end: %s", (kind) => {
    const design = withEnd(hidden, kind);
    if (design.tang.kind !== "hidden") throw new Error("no hidden tang");
    const { tang } = design;
    const numbers = Object.entries(tang.end).filter(([, value]) => typeof value === "number");
    for (const [small] of numbers)
      for (const [large, value] of numbers) {
        if (small === large) continue;
        const other = { ...design, tang: { ...tang, end: { ...tang.end, [small]: value } as BarEnd } };
        if (refusalOf(other)) continue;
        const weighing = weigh(other);
        if (weighing.ok)
          expect(weighing.report.massG, `${kind}: ${small} as large as ${large}`).toBeGreaterThan(0);
      }
  });

  it("a head as wide as its counterbore at the butt is warned of, and one that is wider is refused", () => {
    const of = (headMm: number) => {
      const design = withEnd(hidden, "take-down");
      if (design.tang.kind !== "hidden" || design.tang.end.kind !== "take-down") throw new Error("no screw");
      const end = { ...design.tang.end, headMm };
      return weigh({ ...design, tang: { ...design.tang, end } });
    };
    const begun = withEnd(hidden, "take-down");
    const room =
      begun.tang.kind === "hidden" && "counterboreMm" in begun.tang.end ? begun.tang.end.counterboreMm : 0;
    expect(of(room).ok).toBe(true);
    expect(of(room).findings).toContainEqual(
      expect.objectContaining({ rule: "end-sizes", severity: "warning" }),
    );
    expect(of(room + 0.1).ok).toBe(false);
  });

  it("an insert as long as its room, which an earlier version weighed", () => {
    const made = newFastener("cap-screw", "f", { xMm: -60, yMm: -1 }, sound.blade.spineMm);
    if (made.kind !== "cap-screw") throw new Error("no cap screw");
    const weighing = weigh(withFastener({ ...made, insertLengthMm: 2 * made.seatMm }));
    expect(weighing.ok).toBe(true);
    const finding = weighing.findings.find((f) => f.rule === "fastener-sizes")!;
    expect(finding.severity).toBe("warning");
    expect(findingWords(finding, "metric", () => undefined)).toContain("goes into just as much");
  });

  it("a pin's hole that cuts the tang in two, which an earlier version weighed, with its bore taken out", () => {
    const [, design] = TRIPS.find(([rule]) => rule === "pin-cuts-tang")!;
    const weighing = weigh(design);
    expect(weighing.ok).toBe(true);
    expect(weighing.findings).toContainEqual(
      expect.objectContaining({ rule: "pin-cuts-tang", severity: "warning" }),
    );
  });
});

describe("what a fix of a refusal says", () => {
  it.each(REFUSED.map(([rule, design], i) => [`${rule} (${i})`, design] as const))(
    "names what it changes: %s",
    (_, design) => {
      for (const { fixes } of mended(design))
        for (const offer of fixes ?? []) {
          for (const units of ["metric", "inch"] as const) {
            const says = offerWords(offer, design, units);
            expect(says).not.toMatch(/undefined|NaN|null|\bvalue\b|\bitem\b|Mm\b/);
            expect(says.length).toBeGreaterThan(8);
          }
          expect(effectWords(offer, "metric")).toBe("can be built then");
        }
    },
  );

  it("gives a station as it is typed: behind the front is plus", () => {
    const [, design] = TRIPS.find(([rule]) => rule === "groove-off-handle")!;
    const [first] = mendsOf(design)[0].fixes!;
    expect(offerWords(first, design, "metric")).toMatch(
      /^The groove: behind the front from 150 mm to 111\.\d mm$/,
    );
  });
});

describe("marks that several share", () => {
  it("are renamed but for the first, and nothing else is", () => {
    const { fasteners, handle } = sound;
    const [pin] = fasteners;
    const again = { ...pin, xMm: pin.xMm - 30 };
    const design: Design = { ...sound, fasteners: [pin, again] };
    const fixed = applyFix(design, { kind: "own-ids", id: pin.id });
    expect(fixed.fasteners).toEqual([pin, { ...again, id: `${pin.id}-2` }]);
    expect(fixed.handle).toEqual(handle);
    expect(fixed.blade).toEqual(design.blade);
  });
});

describe("a refusal", () => {
  it("says figures that differ", () => {
    const of = (measured: number, limit: number) =>
      findingWords(
        { rule: "end-sizes", severity: "error", at: null, subject: null, measured, limit },
        "metric",
        () => undefined,
      );
    expect(of(12.04, 12.01)).toContain("12.04 mm must be smaller than the 12.01 mm");
    expect(of(12.004, 12.001)).toContain("12.004 mm must be smaller than the 12.001 mm");
    expect(of(13, 12)).toContain("13.0 mm must be smaller than the 12.0 mm");
  });

  it("of a material that is not known takes one that suits the place", () => {
    const [, steel] = TRIPS[0];
    const to = (d: Design) => mendsOf(d)[0].fixes!.map((o) => ("to" in o.fix ? o.fix.to : null))[0];
    expect(to(steel)).toBe("steel-1084");
    const unknown = "wood-of-the-moon";
    const { handle, fasteners } = sound;
    if (handle.kind !== "scales") throw new Error("no scales");
    const right = { ...handle.right, material: unknown };
    expect(to({ ...sound, handle: { ...handle, right } })).toBe("g10");
    const pinned = fasteners.map((f) => ("material" in f ? { ...f, material: unknown } : f));
    expect(to({ ...sound, fasteners: pinned })).toBe("mild-steel");
  });

  it("does not make finished steel thicker: of a blade in the hand only what is left to make is changed", () => {
    const [, bare] = TRIPS.find(([rule]) => rule === "handle-thinner-than-tang")!;
    const held = { ...bare, blade: { ...bare.blade, measured: newMeasured(140, null) } };
    const paths = (d: Design) =>
      mendsOf(d).flatMap((f) => f.fixes!.flatMap((o) => o.changes.map((c) => c.path)));
    expect(paths(bare)).toContain("blade.spineMm");
    expect(paths(held).length).toBeGreaterThan(0);
    for (const path of paths(held)) expect(path).not.toMatch(/^blade/);
  });

  it("leaves alone what is locked, and never guesses what was read", () => {
    const [, design] = TRIPS.find(([rule]) => rule === "edge-thicker-than-spine")!;
    const offered = (d: Design) => mendsOf(d)[0].fixes!.flatMap((o) => o.changes.map((c) => c.path));
    expect(offered(design)).toContain("blade.edgeMm");
    expect(offered({ ...design, locked: ["blade.edgeMm"] })).not.toContain("blade.edgeMm");
    const [, read] = TRIPS.find(([rule]) => rule === "reading-over-weight")!;
    expect(mendsOf(read)[0].fixes!.map((o) => o.fix)).toEqual([
      { kind: "clear", path: "blade.measured.balance.readingG" },
    ]);
  });
});
