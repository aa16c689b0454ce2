import { describe, expect, it } from "vitest";
import { rodList } from "../../figures/fit/rodList";
import { cutList } from "../../figures/fit/stockList";
import { threadRadius } from "../../kinds/fasteners/thread";
import { boxesMesh } from "../design/limits.fixtures";
import { newPiece } from "../design/newParts";
import type { CurvePoint, Design, Half, HiddenTang, Lengthwise, ScalesHandle, Wrap } from "../design/schema";
import { encodeMesh } from "../design/storedMesh";
import { wrapCover, wrapPlan } from "../layout/grips";
import { stretchedHandle } from "../layout/handleLengths";
import { newHalf, newLengthwise, withPointBetween } from "../layout/handleStarts";
import { layoutOf } from "../layout/layout";
import { withEnd } from "../starts/constructions";
import { checkDesign } from "../validity/checkDesign";
import { bar, full, hidden, near } from "./closedForms.fixtures";
import { volumes } from "./volumes.fixtures";

/** A handle of 100 × 24 × 20 mm on a tang of 4 mm: 8 mm of scale on each side. */
const scales = (change: Partial<ScalesHandle>): Design => ({
  ...full,
  handle: { ...full.handle, ...change } as ScalesHandle,
});
const point = (xMm: number, yMm: number, corner = true): CurvePoint => ({
  id: `p${xMm}x${yMm}`,
  xMm,
  yMm,
  corner,
});
const [low, high] = (() => {
  const ys = layoutOf(full).outline.cut(-50);
  return [ys[0], ys[ys.length - 1]];
})();

describe("several dividers in one joint", () => {
  it("are each as thick as their sheet, one behind the other, however they lean", () => {
    for (const tiltDeg of [0, 30]) {
      const sheets = [0.6, 1.2, 2].map((thicknessMm) => ({ material: "brass-260", thicknessMm }));
      const joint = { id: "j", xMm: -50, tiltDeg, dividers: sheets, right: "g10", left: "g10" };
      const v = volumes(scales({ joints: [joint] }));
      const along = Math.cos((tiltDeg * Math.PI) / 180);
      sheets.forEach(({ thicknessMm }, k) => {
        near(v.get(`divider:j:${k + 1}:right`), (8 * 24 * thicknessMm) / along);
      });
      const whole = sheets.reduce((sum, s) => sum + s.thicknessMm, 0) / along;
      near((v.get("scale:1:right") ?? 0) + (v.get("scale:2:right") ?? 0), 8 * 24 * (100 - whole));
    }
  });

  it("are each a slice of the cut list, as tall as their joint leans", () => {
    const sheets = ["brass-260", "copper"].map((material) => ({ material, thicknessMm: 1 }));
    const joint = { id: "j", xMm: -50, tiltDeg: 0, dividers: sheets, right: "g10", left: "g10" };
    const cut = cutList(scales({ joints: [joint] })).filter((c) => c.key.kind === "divider");
    expect(cut.map((c) => [c.id, c.material, c.count])).toEqual([
      ["divider:j:1", "brass-260", 2],
      ["divider:j:2", "copper", 2],
    ]);
  });
});

describe("a joint along the handle", () => {
  const straight = (rise: number, divider: Lengthwise["divider"] = null): Lengthwise => ({
    points: [point(0, low + 12 + rise), point(-100, low + 12 - rise)],
    material: "linen-phenolic",
    divider,
  });

  it("halves the scales, straight or leaning, with a sheet as thick as it is straight up", () => {
    for (const rise of [0, 5]) {
      const v = volumes(scales({ lengthwise: straight(rise, { material: "brass-260", thicknessMm: 1 }) }));
      near(v.get("lower:right"), 100 * 12 * 8);
      near(v.get("lengthwise-sheet:left"), 100 * 1 * 8);
      near(v.get("scale:left"), 100 * 11 * 8);
    }
  });

  it("along a corner takes triangles, and runs on level beyond its ends", () => {
    const lengthwise = {
      ...straight(0),
      points: [point(-20, low + 4), point(-50, low + 16), point(-80, low + 4)],
    };
    const v = volumes(scales({ lengthwise }));
    near(v.get("lower:right"), 8 * (100 * 4 + (60 * 12) / 2));
    near(v.get("scale:right"), 8 * (100 * 20 - (60 * 12) / 2));
  });

  it("parts blocks round their tang alone, not what is no block", () => {
    const pieces = [newPiece("s", "spacer", "brass-260", 10), newPiece("b", "block", "g10", 90)];
    const handle = { ...hidden.handle, pieces, lengthwise: straight(0) } as Design["handle"];
    const v = volumes(bar({ lengthMm: 60 }, { ...hidden, handle }));
    // Half of the tang's 12 × 4 mm lies in it over 50 mm.
    near(v.get("lower"), 90 * 12 * 20 - 50 * (12 / 2 + low + 12) * 4);
    near(v.get("piece:s"), 10 * (24 * 20 - 12 * 4));
  });

  it("is there to begin with in the middle, stretches with the handle, and takes more points", () => {
    const begun = newLengthwise(full);
    expect(begun.points.map((p) => p.xMm)).toEqual([-10, -90]);
    for (const p of begun.points) expect(p.yMm).toBeCloseTo((low + high) / 2, 6);
    const longer = stretchedHandle(scales({ lengthwise: begun }), 150).handle as ScalesHandle;
    expect(longer.lengthwise?.points.map((p) => p.xMm)).toEqual([-15, -135]);
    const more = withPointBetween(begun.points, false, "new");
    expect(more.map((p) => p.id)).toEqual(["front", "new", "rear"]);
    expect(more[1].xMm).toBe(-50);
  });
});

describe("shaped halves", () => {
  const half = (points: CurvePoint[], thicknessMm: number): Half => ({
    ...newHalf("h", "front", full),
    left: "nickel-silver",
    shape: { kind: "outline", points, thicknessMm },
  });

  it("are plates from the tang out; beyond it they meet in the middle", () => {
    const below = [point(-10, low - 10), point(-30, low - 10), point(-30, low + 6), point(-10, low + 6)];
    const v = volumes(scales({ halves: [half(below, 5)] }));
    // 6 mm lie on the tang, 10 mm below it, where each reaches to the middle: 2 mm more.
    near(v.get("half:h:right"), 20 * (6 * 5 + 10 * (5 + 2)));
    near(v.get("half:h:left"), 20 * (6 * 5 + 10 * (5 + 2)));
    // What is thinner than the scale is let in: 3 mm of scale cover it.
    near(v.get("scale:right"), 8 * 24 * 100 - 20 * 6 * 5);
  });

  it("of a smooth outline come near the ellipse that their points lie on", () => {
    const round = Array.from({ length: 12 }, (_, i) => {
      const a = (2 * Math.PI * i) / 12;
      return point(-50 + 20 * Math.cos(a), low + 12 + 8 * Math.sin(a), false);
    });
    for (const points of [round, [...round].reverse()]) {
      const v = volumes(scales({ halves: [half(points, 8)] }));
      near(v.get("half:h:right"), Math.PI * 20 * 8 * 8, 0.01);
    }
  });

  it("of an imported shape are what of it lies to each side, less the tang between", () => {
    // 20 × 16 × 30 mm, its front 10 mm behind the handle's, its middle on the edge: half of it lies on the tang.
    const mesh = boxesMesh([
      [0, 0, 0],
      [20, 16, 30],
    ]);
    const shape: Half["shape"] = {
      kind: "mesh",
      xMm: -10,
      place: { meshId: "m", forward: "x", rollDeg: 0, yMm: low },
    };
    const design: Design = {
      ...scales({ halves: [{ ...newHalf("h", "front", full), shape }] }),
      meshes: [{ id: "m", name: "block", ...encodeMesh(mesh) }],
    };
    const v = volumes(design);
    for (const side of ["right", "left"]) near(v.get(`half:h:${side}`), 20 * (16 * 15 - 8 * 2));
    // 15 mm are more than the scale is thick: nothing of it is left there.
    near(v.get("scale:right"), 8 * 24 * 100 - 8 * 8 * 20);
    expect(checkDesign(design).filter((f) => f.severity === "error")).toEqual([]);
    const gone = checkDesign({ ...design, meshes: [] });
    expect(gone.map((f) => f.rule)).toContain("shape-missing");
  });

  it("begin as a block on the handle that hangs out below, and are sawn as a pair or each by itself", () => {
    const begun = scales({ halves: [newHalf("a", "front", full), newHalf("b", "rear", full)] });
    const cut = (design: Design) => cutList(design).flatMap((c) => (c.key.kind === "half" ? [c] : []));
    expect(
      cut(begun).map((c) => [c.key.kind === "half" && c.key.side, c.count, Object.values(c.finishedMm)]),
    ).toEqual(Array.from({ length: 2 }, () => ["pair", 2, [12, 30, 10].map((mm) => expect.closeTo(mm, 6))]));
    const unlike = half(
      (begun.handle as ScalesHandle).halves[0].shape.kind === "outline"
        ? [point(0, low), point(-12, low), point(-12, high)]
        : [],
      5,
    );
    expect(cut(scales({ halves: [unlike] })).map((c) => c.material)).toEqual(["brass-260", "nickel-silver"]);
  });
});

describe("at the butt", () => {
  const ended = (last: Partial<ReturnType<typeof newPiece>>, wraps: readonly Wrap[] = []) => {
    const pieces = [
      newPiece("b", "block", "g10", 70),
      { ...newPiece("p", "pommel", "brass-360", 30), ...last },
    ];
    return bar(
      { lengthMm: 20 },
      { ...hidden, handle: { ...hidden.handle, pieces, wraps } as Design["handle"] },
    );
  };
  const strip: Wrap = {
    on: "pommel",
    kind: "strip",
    material: "leather-veg",
    widthMm: 6,
    thicknessMm: 2,
    pitchMm: 6,
    pattern: "single",
    fromMm: 0,
    toMm: -10,
  };

  it("a cap may be rounded at both ends: two half ellipsoids and what is between", () => {
    const cap = { kind: "plate", aboveMm: 12, belowMm: 12, widthMm: 20, roundness: 1 } as const;
    const volume = (domeMm: number, frontDomeMm: number) =>
      volumes(ended({ shape: { ...cap, domeMm, frontDomeMm } })).get("piece:p");
    near(volume(8, 6), Math.PI * 12 * 10 * (16 + (2 / 3) * 14), 1e-4);
    near(volume(0, 30), Math.PI * 12 * 10 * 20, 1e-4);
    // Deeper than it is long: held in proportion.
    near(volume(40, 20), Math.PI * 12 * 10 * 20, 1e-4);
  });

  it("a strip round a disc is a ring over its edge, and as long as its turns", () => {
    const design = ended({ shape: { kind: "disc", diameterMm: 28, widthMm: 12, yMm: 0 } }, [strip]);
    near(volumes(design).get("wrap"), Math.PI * (16 ** 2 - 14 ** 2) * 12, 1e-3);
    expect(wrapCover(strip)).toBe(1);
    const plan = wrapPlan(layoutOf(design), 0);
    expect(plan.turns).toBe(2);
    expect(plan.lengthMm).toBeCloseTo(2 * Math.hypot(2 * Math.PI * 15, 6), 9);
  });

  it("a strip round a pommel of the handle's outline lies on that alone", () => {
    const design = ended({ shape: null }, [strip]);
    // 24 × 20 mm, 2 mm thick: four sides, and a quarter of a circle at each corner.
    near(volumes(design).get("wrap"), 30 * (2 * 2 * (24 + 20) + Math.PI * 4), 1e-3);
  });

  it("a stud takes its place in the tang, and is a rod to cut", () => {
    const through = withEnd(hidden, "stud");
    const { end } = through.tang as HiddenTang;
    if (end.kind !== "stud") throw new Error("no stud");
    const sized = { ...end, lapMm: 15, rodMm: 30 };
    const v = volumes(bar({ lengthMm: 75, end: sized }, through));
    const r = threadRadius(sized);
    // Small and round, over stretches with and without the bar round it.
    near(v.get("tang-end:stud"), Math.PI * r * r * 45, 3e-5);
    near(v.get("tang"), 75 * 12 * 4 - Math.PI * r * r * 15);
    const rods = rodList(bar({ lengthMm: 75, end: sized }, through));
    expect(rods.find((x) => x.material === "mild-steel")).toMatchObject({ count: 1, diameterMm: 4 });
  });

  it("a cap that is the nut holds the end of the rod inside it", () => {
    const through = withEnd(hidden, "cap-nut");
    const { end } = through.tang as HiddenTang;
    if (end.kind !== "cap-nut") throw new Error("no cap");
    const cap = { ...end.cap, heightMm: 24, widthMm: 20, lengthMm: 14, domeMm: 6, roundness: 1 };
    const sized = { ...end, cap, rodMm: 35 };
    const design = bar({ lengthMm: 75, end: sized }, through);
    const r = threadRadius(sized);
    // The rod runs from 75 to 110 mm, 10 of which are in the cap.
    near(volumes(design).get("tang-end:cap"), Math.PI * 12 * 10 * (8 + 4) - Math.PI * r * r * 10, 1e-4);
    expect(cutList(design).find((c) => c.id === "tang-end:cap")?.finishedMm).toMatchObject({
      heightMm: expect.closeTo(24, 6),
    });
  });
});
