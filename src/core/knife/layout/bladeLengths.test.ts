import { describe, expect, it } from "vitest";
import { weigh } from "../../figures/weigh/weigh";
import { polyline, signedDistance } from "../../geometry/curve/crossing";
import { SOUND_BLADES } from "../design/blades.fixtures";
import { newDesign, tipFrom } from "../design/create";
import { type Blade, designSchema, TIP_STYLES } from "../design/schema";
import { asPoints, greatestHeight, settledBlade, withBladeLength, withHeelHeight } from "./bladeLengths";
import { bladeOutline } from "./bladeOutline";

const sound = newDesign("Sedge");
const blade = (change: Partial<Blade>): Blade => ({ ...sound.blade, ...change });
const massOf = (b: Blade) => {
  const weighing = weigh({ ...sound, blade: b });
  if (!weighing.ok) throw new Error(JSON.stringify(weighing.findings));
  return weighing.report.parts.find((p) => p.id === "blade")!.massG;
};

describe("a style turned into points", () => {
  it.each(TIP_STYLES)(
    "%s keeps within a tenth of a millimetre, and its weight within a thousandth",
    (style) => {
      const styled = blade({ tip: tipFrom(style, 105) });
      const own = asPoints(styled);
      const line = polyline(bladeOutline(styled).cubics, 200);
      for (const p of polyline(bladeOutline(own).cubics, 40))
        expect(Math.abs(signedDistance(line, p))).toBeLessThan(0.1);
      expect(Math.abs(massOf(own) / massOf(styled) - 1)).toBeLessThan(1e-3);
      expect(asPoints(own)).toBe(own);
      expect(designSchema.safeParse({ ...sound, blade: own }).success).toBe(true);
    },
  );

  it("keeps the angle to the handle beside its points", () => {
    const own = asPoints(blade({ riseDeg: 8 }));
    expect(own.outline).toEqual(asPoints(sound.blade).outline);
    const rise = 105 * Math.tan((8 * Math.PI) / 180);
    expect(bladeOutline(own).cut(104.99)[0]).toBeCloseTo(
      bladeOutline(asPoints(sound.blade)).cut(104.99)[0] + rise,
      2,
    );
  });
});

describe("a new length", () => {
  const cut = blade({
    ...asPoints(sound.blade),
    fullers: [
      {
        id: "f",
        sides: "both",
        fromMm: 20,
        toMm: 80,
        from: "spine",
        downMm: 5,
        radiusMm: 3,
        depthMm: 0.5,
        tool: { kind: "ball" },
      },
    ],
    swedge: { lengthMm: 30, runOutMm: 6, heightMm: 4, leavesMm: 1, sides: "both" },
    taper: [{ id: "t", xMm: 84, thicknessMm: 3 }],
  });

  it("keeps the tip's shape: the front third moves along, the rest stays", () => {
    const longer = withBladeLength(cut, 125);
    expect(longer.lengthMm).toBe(125);
    expect(longer.ricassoMm).toBe(10);
    const moved = longer.outline!.edge.map((p, i) => p.xMm - cut.outline!.edge[i].xMm);
    expect(new Set(moved)).toEqual(new Set([0, 20]));
    expect(longer.fullers[0]).toMatchObject({ fromMm: 20, toMm: 100 });
    expect(longer.taper[0].xMm).toBe(104);
    expect(longer.swedge).toEqual(cut.swedge);
    // Ahead of where both have moved, the shape is the same.
    const [a, b] = [bladeOutline(cut).cut(100), bladeOutline(longer).cut(120)];
    a.forEach((y, i) => {
      expect(b[i]).toBeCloseTo(y, 6);
    });
  });

  it("stretches the whole: every station in proportion", () => {
    const longer = withBladeLength({ ...cut, lengthChange: "stretches" }, 210);
    expect(longer).toMatchObject({ ricassoMm: 20, taperFromMm: 60, lengthMm: 210 });
    expect(longer.fullers[0]).toMatchObject({ fromMm: 40, toMm: 160 });
    expect(longer.swedge).toMatchObject({ lengthMm: 60, runOutMm: 12, heightMm: 4 });
    expect(massOf(longer) / massOf(cut)).toBeCloseTo(2, 1);
  });

  it("a style keeps its drop and belly, or stretches them", () => {
    expect(withBladeLength(sound.blade, 120).tip).toEqual(sound.blade.tip);
    const longer = withBladeLength(blade({ lengthChange: "stretches" }), 210);
    expect(longer.tip.dropMm).toBeCloseTo(2 * sound.blade.tip.dropMm, 9);
  });

  it("and back gives the same blade", () => {
    for (const lengthChange of ["keeps-tip", "stretches"] as const) {
      const from = { ...cut, lengthChange };
      expect(withBladeLength(withBladeLength(from, 210), 105)).toEqual(from);
    }
  });
});

describe("a new height", () => {
  it("stretches an outline of its own from the spine's height at the shoulder", () => {
    const own = asPoints(sound.blade);
    const taller = withHeelHeight(own, 2 * own.heelHeightMm);
    expect(taller.spineOverAxisMm).toBe(own.spineOverAxisMm);
    expect(greatestHeight(taller)).toBeCloseTo(2 * greatestHeight(own), 1);
    expect(settledBlade(taller).heelHeightMm).toBeCloseTo(taller.heelHeightMm, 1);
  });

  it("a double edge grows to both sides and stays on its axis", () => {
    const dagger = blade(SOUND_BLADES["blade: dagger"]);
    const wider = withHeelHeight(dagger, dagger.heelHeightMm * 1.25);
    const ys = bladeOutline(wider).cut(40);
    expect(ys[0] + ys[1]).toBeCloseTo(0, 6);
    expect(greatestHeight(wider)).toBeCloseTo(1.25 * greatestHeight(dagger), 1);
  });
});

describe("a blade alike about the axis and the centre plane", () => {
  it.each(["blade: dagger", "blade: dagger, lens", "blade: dagger, hollow", "blade: dagger with a fuller"])(
    "%s has its centre on the axis",
    (name) => {
      const weighing = weigh({ ...sound, blade: blade(SOUND_BLADES[name]) });
      if (!weighing.ok) throw new Error(JSON.stringify(weighing.findings));
      const [, y, z] = weighing.report.parts.find((p) => p.id === "blade")!.centreMm;
      expect(Math.abs(y)).toBeLessThan(1e-6);
      expect(Math.abs(z)).toBeLessThan(1e-6);
    },
  );
});
