import { describe, expect, it } from "vitest";
import { weigh } from "../../figures/weigh/weigh";
import { shippedMaterial } from "../../materials/materials";
import { volumes } from "../assembly/volumes.fixtures";
import { CONSTRUCTIONS } from "../design/constructions.fixtures";
import { newDesign } from "../design/create";
import { plainKnife } from "../design/plainKnife.fixtures";
import type { Design, ScalesHandle, Wrap } from "../design/schema";
import { withBareTang } from "../starts/constructions";
import { checkDesign } from "../validity/checkDesign";
import { wrapCover, wrapPlan } from "./grips";
import { layoutOf } from "./layout";

const sound = newDesign("Sedge");
const wrap: Wrap = {
  on: "grip",
  kind: "strip",
  material: "lace-leather",
  widthMm: 5,
  thicknessMm: 1.5,
  pitchMm: 5,
  pattern: "single",
  fromMm: -10,
  toMm: -70,
};

/** A slab of a tang, 100 long, 24 high and 4 thick, with nothing on it. */
const box = (of: Partial<Wrap> | null): Design => {
  const bare = withBareTang(plainKnife(sound), true);
  return { ...bare, handle: { ...bare.handle, wraps: of ? [{ ...wrap, ...of }] : [] } };
};

describe("a bare tang", () => {
  it("weighs its steel alone, and may have scales again", () => {
    expect([...volumes(box(null)).keys()].sort()).toEqual(["blade", "tang"]);
    expect(volumes(box(null)).get("tang")).toBeCloseTo(100 * 24 * 4, 4);
    const back = withBareTang(withBareTang(sound, true), false);
    expect(back.handle.kind).toBe("scales");
    expect(back.handle.outline).toBe(sound.handle.outline);
  });
});

describe("a wrap", () => {
  it("is a shell round the tang: its faces, and a quarter of a round at each corner", () => {
    const shell = (t: number) => 60 * (2 * (24 + 4) * t + Math.PI * t * t);
    expect(volumes(box({})).get("wrap")! / shell(1.5)).toBeCloseTo(1, 4);
    // Two strands that cross lie on each other.
    expect(volumes(box({ pattern: "crossed" })).get("wrap")! / shell(3)).toBeCloseTo(1, 4);
  });

  it("lies on the handle as it is contoured: cut off by thin stock, hollowed by a waist, bevelled", () => {
    const base = plainKnife(sound);
    if (base.handle.kind !== "scales") throw new Error("no scales");
    const thin = (thicknessMm: number): Design => ({
      ...base,
      handle: {
        ...(base.handle as ScalesHandle),
        right: { ...(base.handle as ScalesHandle).right, thicknessMm },
        left: { ...(base.handle as ScalesHandle).left, thicknessMm },
        wraps: [wrap],
      },
    });
    // Round a box of 24 by twice the half thickness: 2 of tang and the scale, where it is thinner than the handle drawn.
    for (const scale of [8, 4]) {
      const shell = 60 * (2 * (24 + 2 * (2 + scale)) * 1.5 + Math.PI * 1.5 * 1.5);
      expect(volumes(thin(scale)).get("wrap")! / shell).toBeCloseTo(1, 4);
    }
    const waisted = {
      ...thin(8),
      handle: { ...thin(8).handle, waist: { xMm: -40, chordMm: 40, wheelRadiusMm: 60 } },
    };
    const [plain, hollowed] = [thin(8), waisted].map((d) => volumes(d).get("wrap")!);
    // Each side's hollow is the wheel's segment; the shell goes round that much less, twice up and twice down.
    const angle = 2 * Math.asin(20 / 60);
    const segment = (60 * 60 * (angle - Math.sin(angle))) / 2;
    expect((plain - hollowed) / (4 * 1.5 * segment)).toBeCloseTo(1, 3);
  });

  it("on rounded scales is as thick over the flat that thin stock leaves, over its corners and over the rest", () => {
    const round = (roundness: number): Design => {
      const base = plainKnife(sound);
      if (base.handle.kind !== "scales") throw new Error("no scales");
      const { right, left, plan } = base.handle;
      return {
        ...base,
        handle: {
          ...base.handle,
          plan: plan.map((p) => ({ ...p, roundness })),
          right: { ...right, thicknessMm: 4 },
          left: { ...left, thicknessMm: 4 },
          wraps: [wrap],
        },
      };
    };
    for (const roundness of [0.4, 0.7, 1]) {
      const design = round(roundness);
      const { body } = layoutOf(design);
      const cut = body.sliceAt(-40)!;
      // The parallel curve's area by its definition: places no farther from the section than the wall, counted on a grid.
      const [low, high] = [cut.ys![0], cut.ys![1]];
      const border: [number, number][] = [];
      for (let i = 0; i <= 4000; i++) {
        const y = (low + high) / 2 - ((high - low) / 2) * Math.cos((Math.PI * i) / 4000);
        border.push([y, cut.high(Math.min(high, Math.max(low, y)))]);
      }
      let length = 0;
      for (let i = 1; i < border.length; i++)
        length += Math.hypot(border[i][0] - border[i - 1][0], border[i][1] - border[i - 1][1]);
      // Steiner: perimeter by wall and one whole round, the upright ends of the tang included.
      const perimeter = 2 * length + 2 * cut.high(low) + 2 * cut.high(high);
      const area = perimeter * 1.5 + Math.PI * 1.5 * 1.5;
      expect(volumes(design).get("wrap")! / (60 * area), String(roundness)).toBeCloseTo(1, 3);
    }
  });

  it("weighs what covers it: a cord fills an ellipse of the box that it lies in, and gaps hold nothing", () => {
    expect(wrapCover(wrap)).toBe(1);
    expect(wrapCover({ ...wrap, pitchMm: 20 })).toBe(0.25);
    expect(wrapCover({ ...wrap, kind: "cord" })).toBeCloseTo(Math.PI / 4, 12);
    const massOf = (of: Partial<Wrap>) => {
      const weighing = weigh(box(of));
      if (!weighing.ok) throw new Error(JSON.stringify(weighing.findings));
      return weighing.report.parts.find((p) => p.id === "wrap")!;
    };
    const lace = massOf({});
    expect(lace.massG).toBeCloseTo(
      (lace.volumeMm3 / 1000) * shippedMaterial("lace-leather")!.densityGcc.typical,
      6,
    );
    expect(massOf({ pitchMm: 20 }).massG / lace.massG).toBeCloseTo(0.25, 9);
  });

  it("takes as much strand as its weight holds: length × section × density", () => {
    const design = box({
      on: "grip",
      kind: "cord",
      material: "cord-hemp",
      widthMm: 4,
      pitchMm: 4,
      thicknessMm: 2,
    });
    const { lengthMm, turns, buyMm } = wrapPlan(layoutOf(design), 0);
    expect(turns).toBeCloseTo(60 / 4, 9);
    // Each turn goes round the box and a round of half the cord's thickness, and on by the pitch.
    const round = 2 * (24 + 4) + 2 * Math.PI * 1;
    expect(lengthMm / (15 * Math.hypot(round, 4))).toBeCloseTo(1, 2);
    expect(buyMm).toBeCloseTo(1.1 * lengthMm + 300, 6);
    const weighing = weigh(design);
    if (!weighing.ok) throw new Error("not weighed");
    const grams = weighing.report.parts.find((p) => p.id === "wrap")!.massG;
    const density = shippedMaterial("cord-hemp")!.densityGcc.typical;
    expect((((lengthMm * Math.PI) / 4) * 4 * 2 * (density / 1000)) / grams).toBeCloseTo(1, 1);
  });
});

describe("side grooves", () => {
  it("take a segment of their cylinder, as long as the face is high", () => {
    const base = plainKnife(sound);
    const cut = (sides: "both" | "right") => ({
      ...base,
      handle: { ...base.handle, grooves: [{ id: "g", xMm: -50, diameterMm: 10, depthMm: 2, sides }] },
    });
    const scale = volumes(base).get("scale:right")!;
    const segment = 25 * Math.acos(1 - 2 / 5) - 3 * Math.sqrt(2 * 5 * 2 - 4);
    expect((scale - volumes(cut("both")).get("scale:right")!) / (24 * segment)).toBeCloseTo(1, 3);
    expect((scale - volumes(cut("both")).get("scale:left")!) / (24 * segment)).toBeCloseTo(1, 3);
    expect(volumes(cut("right")).get("scale:left")).toBeCloseTo(scale, 3);
  });
});

it("a groove at the handle's very front or butt is told by its depth, in finite figures", () => {
  for (const xMm of [0, -100])
    for (const depthMm of [1, 9.5]) {
      const handle = plainKnife(sound).handle;
      const design: Design = {
        ...plainKnife(sound),
        handle: { ...handle, grooves: [{ id: "g", xMm, diameterMm: 20, depthMm, sides: "both" }] },
      };
      const found = checkDesign(design).filter((f) => f.severity === "error");
      expect(found.map((f) => f.rule)).toEqual(depthMm < 8 ? [] : ["groove-into-tang"]);
      for (const f of found)
        expect([f.at?.x, f.at?.y, f.measured, f.limit].every(Number.isFinite)).toBe(true);
      expect(volumes(design).get("scale:right")).toBeGreaterThan(1000);
    }
});

it("every grip of these kinds weighs without a fault", () => {
  const kinds = Object.keys(CONSTRUCTIONS).filter((n) => /bare|cord|strip|grooves/.test(n));
  expect(kinds.length).toBeGreaterThan(5);
  for (const name of kinds) expect(weigh(CONSTRUCTIONS[name]).ok, name).toBe(true);
});
