import { describe, expect, it } from "vitest";
import { newBlockHole } from "../design/constructions";
import { CONSTRUCTIONS } from "../design/constructions.fixtures";
import { type Design, designSchema } from "../design/schema";
import { checkDesign } from "../validity/checkDesign";
import { applyMend } from "./mends";
import { limitIn, RULES, reviewDesign } from "./reviewDesign";
import { end, fitted, hidden, inWood, sound, stickOf, TRIPS, withStick } from "./trips.fixtures";
import { TRADE_RULES } from "./types";

const rulesOf = (design: Design) => reviewDesign(design).findings.map((f) => f.rule);

describe("the trade's rules", () => {
  it("have nothing against sound knives", () => {
    for (const design of [sound, hidden]) {
      expect(checkDesign(design)).toEqual([]);
      expect(reviewDesign(design)).toEqual({ findings: [], accepted: [] });
    }
  });

  it("are each in the list once", () => {
    expect(RULES.map((r) => r.code).sort()).toEqual([...TRADE_RULES].sort());
  });

  it.each(Object.entries(TRIPS))("%s is found where it should be", (rule, design) => {
    expect(
      designSchema.safeParse(design).success,
      JSON.stringify(designSchema.safeParse(design).error?.issues),
    ).toBe(true);
    expect(checkDesign(design).filter((f) => f.severity === "error")).toEqual([]);
    expect(rulesOf(design)).toContain(rule);
  });

  it.each(Object.entries(TRIPS))("%s: its mend mends it and breaks nothing", (rule, design) => {
    for (const f of reviewDesign(design).findings.filter((g) => g.rule === rule)) {
      if (!f.mend) continue;
      const mended = applyMend(design, f.mend);
      expect(designSchema.safeParse(mended).success).toBe(true);
      expect(checkDesign(mended).filter((g) => g.severity === "error")).toEqual([]);
      const left = reviewDesign(mended).findings.filter((g) => g.rule === rule && g.subject === f.subject);
      expect(left, JSON.stringify(f.mend)).toEqual([]);
    }
  });

  it("can mend at least what a move, a length or a size mends", () => {
    const mendable = Object.entries(TRIPS).filter(([rule, design]) =>
      reviewDesign(design).findings.some((f) => f.rule === rule && f.mend),
    );
    expect(mendable.map(([rule]) => rule)).toEqual(
      expect.arrayContaining([
        "wall-in-wood",
        "edge-in-wood",
        "web-between-holes",
        "far-from-front",
        "guard-cannot-pass",
        "slot-gap",
        "peened-on-soft",
        "bolt-under-head",
        "bolt-over-seat",
        "bolt-engagement",
        "insert-length",
        "thread-engagement",
        "tang-short-in-handle",
        "shoulder-sharp",
        "tang-stress",
        "hole-rim",
        "hole-in-front-fifth",
        "handle-short-for-hand",
        "bevel-lost",
        "outside-target",
        "washers-unpressed",
      ]),
    );
  });

  it("a tang peened over wood is mended by a plate, which takes its length from the wood", () => {
    const design = inWood(
      withStick({ hole: newBlockHole("broached", stickOf(hidden)) }, end("peened", {})),
      "walnut-black",
    );
    const f = reviewDesign(design).findings.find((g) => g.rule === "peened-on-soft")!;
    expect(f.mend?.kind).toBe("add-piece");
    const mended = applyMend(design, f.mend!);
    expect(rulesOf(mended)).not.toContain("peened-on-soft");
    if (mended.handle.kind !== "stack") throw new Error("no pieces");
    expect(mended.handle.pieces.map((p) => p.role)).toEqual(["block", "butt-plate"]);
  });

  it("follow the limits that a maker sets, and keep quiet about what is accepted, with its reason", () => {
    const design = TRIPS["shoulder-sharp"];
    expect(limitIn(design, "shoulder-sharp")).toBe(1);
    expect(rulesOf(fitted(design, { limits: { "shoulder-sharp": 0 } }))).not.toContain("shoulder-sharp");
    const accepted = [{ rule: "shoulder-sharp", subject: null, reason: "annealed tang" }];
    const review = reviewDesign(fitted(design, { accepted }));
    expect(review.findings).toEqual([]);
    expect(review.accepted).toEqual([
      { finding: expect.objectContaining({ rule: "shoulder-sharp" }), reason: "annealed tang" },
    ]);
  });

  it("read every construction without a slip, each finding in finite figures", () => {
    for (const design of Object.values(CONSTRUCTIONS)) {
      for (const f of reviewDesign(design).findings) {
        for (const value of [f.measured, f.limit])
          if (value !== null) expect(Number.isFinite(value), f.rule).toBe(true);
        if (f.mend) expect(designSchema.safeParse(applyMend(design, f.mend)).success, f.rule).toBe(true);
      }
    }
  });

  it("leave a design alone whose subject is gone", () => {
    expect(applyMend(sound, { kind: "set", changes: [{ path: "tang.nowhere.xMm", value: 1 }] })).toBe(sound);
  });
});
