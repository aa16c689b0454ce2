import { describe, expect, it } from "vitest";
import { CONSTRUCTIONS } from "../../knife/design/constructions.fixtures";
import { newDesign } from "../../knife/design/create";
import { type Design, designSchema } from "../../knife/design/schema";
import { handleLength } from "../../knife/layout/handleLengths";
import { newMeasured } from "../../knife/starts/starts";
import { dimensionsOf } from "./dimensions";
import { figuresOf } from "./effects";
import { leversOf } from "./levers";

const within = (design: Design, toleranceMm: number, shapingMm: number): Design => ({
  ...design,
  use: { ...design.use, toleranceMm, shapingMm },
});

/** What each dimension's name says, as its maker would measure it. */
const MEASURES: Readonly<Record<string, (d: Design) => number | null>> = {
  spine: (d) => d.blade.spineMm,
  heel: (d) => d.blade.heelHeightMm,
  tang: (d) => (d.tang.kind === "full" ? null : d.tang.frontThicknessMm),
  "guard-thickness": (d) => d.guard?.plates[0].thicknessMm ?? null,
  "guard-size": (d) => d.guard?.widthMm ?? null,
  "handle-thickness": (d) => 2 * d.handle.plan[0].halfMm,
  "handle-length": (d) => handleLength(d.handle, "length"),
  "liner-thickness": (d) => (d.handle.kind === "scales" ? (d.handle.liners[0]?.thicknessMm ?? null) : null),
};

describe("sizes that may come out different", () => {
  it.each(Object.entries(CONSTRUCTIONS))(
    "%s: each is off by what it says, and by nothing else",
    (_, design) => {
      const dims = dimensionsOf(within(design, 0.1, 0.4));
      expect(new Set(dims.map((d) => d.id)).size).toBe(dims.length);
      for (const { id, offMm, apply } of dims) {
        const measure = MEASURES[id];
        for (const by of [offMm, -offMm]) {
          const next = apply(design, by);
          expect(designSchema.safeParse(next).success, id).toBe(true);
          const [before, after] = [measure(design), measure(next)];
          // A curve through stretched points is as long as wanted within a few thousandths.
          expect((after as number) - (before as number), `${id} ${by}`).toBeCloseTo(by, 2);
          for (const [other, of] of Object.entries(MEASURES))
            if (other !== id) expect(of(next) ?? 0, `${id} leaves ${other}`).toBeCloseTo(of(design) ?? 0, 9);
        }
      }
    },
  );

  it.each(Object.entries(CONSTRUCTIONS))("%s: the handle's lever is as long as it says", (_, design) => {
    const lever = leversOf(design).find((l) => l.id === "handle-length");
    const now = handleLength(design.handle, "length") ?? Number.NaN;
    for (const by of [3, -3]) {
      const next = lever?.apply(design, by);
      const then = next ? handleLength(next.handle, "length") : null;
      expect((then ?? Number.NaN) - now, `${by}`).toBeCloseTo(by, 1);
    }
  });

  it("is none where nothing may be off; of a measured blade the steel is not", () => {
    const design = newDesign("Sedge");
    expect(dimensionsOf(within(design, 0, 0))).toEqual([]);
    expect(dimensionsOf(within(design, 0.1, 0)).every((d) => d.offMm <= 0.1)).toBe(true);
    const held = { ...design, blade: { ...design.blade, measured: newMeasured(120, 14) } };
    const ids = dimensionsOf(held).map((d) => d.id);
    expect(ids).not.toContain("spine");
    expect(ids).not.toContain("heel");
    expect(ids).toContain("handle-thickness");
  });

  /** More of anything weighs more: densities are above zero. */
  it.each(["guard: oval", "two liners", "take-down"].filter((n) => CONSTRUCTIONS[n]))(
    "%s: more of a size is more weight",
    (name) => {
      const design = CONSTRUCTIONS[name];
      const now = figuresOf(design)?.massG ?? Number.NaN;
      for (const { id, offMm, apply } of dimensionsOf(within(design, 0.1, 0.4))) {
        // A thicker liner takes its room from the scale: it may be the lighter of the two.
        if (id === "liner-thickness" || id === "tang") continue;
        expect(figuresOf(apply(design, offMm))?.massG, id).toBeGreaterThan(now);
      }
    },
  );
});
