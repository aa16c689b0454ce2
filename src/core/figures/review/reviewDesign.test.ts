import { describe, expect, it } from "vitest";
import { remembered } from "../../base/record/remembered";
import { newFastener } from "../../kinds/fasteners/registry";
import { CONSTRUCTIONS } from "../../knife/design/constructions.fixtures";
import { newBlockHole, newBolster } from "../../knife/design/newParts";
import { type Design, designSchema, type Fastener } from "../../knife/design/schema";
import { checkDesign } from "../../knife/validity/checkDesign";
import { applyFix } from "./fixes";
import { limitIn, RULES, reviewDesign } from "./reviewDesign";
import { end, fitted, hidden, inWood, pinAt, pins, sound, stickOf, TRIPS, withStick } from "./trips.fixtures";
import { TRADE_RULES } from "./types";

/** A whole review tries every fix: of each knife it is asked for once. */
const reviewed = remembered((design: Design) => reviewDesign(design));
const rulesOf = (design: Design) => reviewed(design).findings.map((f) => f.rule);

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

  it.each(Object.entries(TRIPS))("%s: its fix takes it away and breaks nothing", (rule, design) => {
    for (const f of reviewed(design).findings.filter((g) => g.rule === rule)) {
      for (const { fix } of f.fixes ?? []) {
        const fixed = applyFix(design, fix);
        expect(designSchema.safeParse(fixed).success).toBe(true);
        expect(checkDesign(fixed).filter((g) => g.severity === "error")).toEqual([]);
        const left = reviewDesign(fixed, true).findings.filter(
          (g) => g.rule === rule && g.subject === f.subject,
        );
        expect(left, JSON.stringify(fix)).toEqual([]);
      }
    }
  });

  it("can fix at least what a move, a length or a size fixes", () => {
    const fixable = Object.entries(TRIPS).filter(([rule, design]) =>
      reviewed(design).findings.some((f) => f.rule === rule && f.fixes && f.fixes.length > 0),
    );
    expect(fixable.map(([rule]) => rule)).toEqual(
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

  it("a tang peened over wood is fixed by a plate, which takes its length from the wood", () => {
    const design = inWood(
      withStick({ hole: newBlockHole("broached", stickOf(hidden)) }, end("peened", {})),
      "walnut-black",
    );
    const f = reviewDesign(design).findings.find((g) => g.rule === "peened-on-soft")!;
    expect(f.fixes?.[0].fix.kind).toBe("add-piece");
    const fixed = applyFix(design, f.fixes![0].fix);
    expect(rulesOf(fixed)).not.toContain("peened-on-soft");
    if (fixed.handle.kind !== "stack") throw new Error("no pieces");
    expect(fixed.handle.pieces.map((p) => p.role)).toEqual(["block", "butt-plate"]);
  });

  it("look at what a pin goes through: in a steel bolster it may stand nearer to the edge, and be peened", () => {
    const wood = inWood(sound, "walnut-black");
    if (wood.handle.kind !== "scales") throw new Error("no scales");
    const steel = newBolster("mild-steel");
    const bolstered = (lengthMm: number): Design => ({
      ...wood,
      handle: {
        ...wood.handle,
        frontBevel: null,
        bolsters: { front: { ...steel, lengthMm }, rear: null },
      } as Design["handle"],
    });
    const of = (design: Design, rule: string) =>
      reviewDesign(design, true).findings.find((f) => f.rule === rule);
    const near = pinAt("pin-1", -12, 7);
    const withPin = (design: Design, pin: Fastener) => pins(design, pin, ...sound.fasteners.slice(1));
    // About 1.4 diameters from the edge: too near in wood, not in steel, and not where only its border is still in steel.
    expect(of(withPin(bolstered(25), near), "edge-in-wood")).toBeUndefined();
    expect(of(withPin(wood, near), "edge-in-wood")).toMatchObject({
      subject: "pin-1",
      items: [{ kind: "fastener", sort: "pin", number: 1 }],
      part: { kind: "scale" },
    });
    expect(of(withPin(bolstered(13), near), "edge-in-wood")).toMatchObject({ part: { kind: "scale" } });
    const tooNear = pinAt("pin-1", -12, 10);
    expect(of(withPin(bolstered(25), tooNear), "edge-in-metal")).toMatchObject({
      part: { kind: "bolster", sort: "front" },
    });
    const rivet = newFastener("rivet", "pin-1", { xMm: -12, yMm: 2 }, 4);
    expect(of(withPin(bolstered(25), rivet), "peened-on-soft")).toBeUndefined();
    expect(of(withPin(wood, rivet), "peened-on-soft")).toMatchObject({ part: { kind: "scale" } });
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

  it.each(Object.entries(CONSTRUCTIONS))(
    "read %s without a slip, each finding in finite figures",
    (_, design) => {
      for (const f of reviewDesign(design).findings) {
        for (const value of [f.measured, f.limit])
          if (value !== null) expect(Number.isFinite(value), f.rule).toBe(true);
        for (const { fix } of f.fixes ?? [])
          expect(designSchema.safeParse(applyFix(design, fix)).success, f.rule).toBe(true);
      }
    },
  );

  it("leave a design alone whose subject is gone", () => {
    expect(applyFix(sound, { kind: "set", changes: [{ path: "tang.nowhere.xMm", value: 1 }] })).toBe(sound);
  });
});
