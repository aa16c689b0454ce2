import { describe, expect, it } from "vitest";
import { readKnife } from "../../exchange/files/knife/read";
import { writeKnife } from "../../exchange/files/knife/write";
import { placedFastener } from "../../figures/review/placeFastener";
import { reviewDesign } from "../../figures/review/reviewDesign";
import { weigh } from "../../figures/weigh/weigh";
import { likeAnother } from "../design/product";
import { greatestHeight } from "../layout/bladeLengths";
import { KNIFE_SIZES, resized, sizesOf } from "../layout/resized";
import { suitedTo } from "../layout/suited";
import { STARTING_FORMS, startingForm } from "./startingForms";

describe.each(STARTING_FORMS)("starting form: %s", (form) => {
  const design = startingForm(form, "New knife");
  const weighing = weigh(design);
  if (!weighing.ok) throw new Error(JSON.stringify(weighing.findings));

  it("weighs, and nothing speaks against it but what every such knife is told", () => {
    expect(weighing.findings).toEqual([]);
    const said = reviewDesign(design).findings;
    expect(said.filter((f) => f.severity !== "note")).toEqual([]);
    // Weight and balance lie where its use wants them.
    expect(said.map((f) => f.rule)).not.toContain("outside-target");
  });

  it("is a file that comes back as it was", () => {
    const reading = readKnife(new TextEncoder().encode(writeKnife(design)));
    expect(reading).toEqual({ ok: true, design, variants: [] });
  });

  it("names its greatest height, and keeps its sizes where they are asked for", () => {
    if (design.blade.outline)
      expect(Math.abs(greatestHeight(design.blade) - design.blade.heelHeightMm)).toBeLessThan(0.02);
    for (const sized of [resized, suitedTo]) expect(sized(design, sizesOf(design))).toEqual(design);
  });

  /** What a maker types may be too little for a hand, or thin for its load: that is told, and is no fault of the form. */
  const OF_WHAT_IS_TYPED = ["handle-short-for-hand", "tang-stress", "round-handle"];

  it("brings no warning of its own, whichever of its sizes is typed", () => {
    const sizes = sizesOf(design);
    for (const size of KNIFE_SIZES)
      for (const share of [0.7, 1.35]) {
        const other = suitedTo(design, { ...sizes, [size]: Math.round(sizes[size] * share * 10) / 10 });
        const said = reviewDesign(other, true).findings.filter((f) => f.severity !== "note");
        const own = said.map((f) => f.rule).filter((rule) => !OF_WHAT_IS_TYPED.includes(rule));
        expect(own, `${size} × ${share}`).toEqual([]);
        expect(weigh(other).ok, `${size} × ${share}`).toBe(true);
      }
  });

  it("can be had a fifth larger and a fifth smaller, in every size", () => {
    for (const share of [0.8, 1.2]) {
      const sizes = sizesOf(design);
      const scaled = (mm: number) => Math.round(mm * share * 10) / 10;
      const to = {
        bladeMm: scaled(sizes.bladeMm),
        heightMm: scaled(sizes.heightMm),
        spineMm: scaled(sizes.spineMm),
        handleMm: scaled(sizes.handleMm),
      };
      const other = suitedTo(design, to);
      for (const k of KNIFE_SIZES) expect(sizesOf(other)[k], k).toBeCloseTo(to[k], 1);
      const weighed = weigh(other);
      if (!weighed.ok) throw new Error(JSON.stringify(weighed.findings));
      if (!design.blade.measured) expect(weighed.report.massG > weighing.report.massG).toBe(share > 1);
    }
  });
});

describe("a form with holes in its tang", () => {
  it.each(["field", "hunter", "skinner"] as const)(
    "%s leaves room for one more fastener of any kind",
    (form) => {
      const design = startingForm(form, "New knife");
      for (const kind of ["pin", "sleeve-bolt", "nutted-rod"] as const) {
        const more = { ...design, fasteners: [...design.fasteners, placedFastener(design, kind, "new")] };
        expect(reviewDesign(more, true).findings.filter((f) => f.severity !== "note")).toEqual([]);
      }
    },
  );
});

describe("a knife like another", () => {
  it("is the same knife for another person", () => {
    const field = startingForm("field", "Sedge");
    const told = { ...field, notes: "Ash on hand", job: { ...field.job, customer: "M." } };
    const like = likeAnother(told, "Reed");
    expect(like).toMatchObject({ name: "Reed", notes: "", blade: field.blade, handle: field.handle });
    expect(like.job.customer).toBe("");
  });
});
