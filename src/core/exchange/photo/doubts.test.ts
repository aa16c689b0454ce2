import { describe, expect, it } from "vitest";
import { radians } from "../../base/number";
import type { Point } from "../../geometry/curve/bezier";
import { flattenedPhoto } from "./flatPhoto";
import { bentBy, lensOf, straightened } from "./lens";
import { pinhole } from "./pinhole.fixtures";
import { planeIn } from "./planeIn";
import { BLANK, BLANK_LONG_MM, laid, photographed, type Scene, worstOff } from "./scene.fixtures";
import { type Seeing, shapesInPhoto, USUAL_SEEING } from "./shapes";
import { foundCorners } from "./sheetEdges";

const [width, height] = [1600, 1200];
const FOCAL_PX = 1350;
const above = pinhole(FOCAL_PX, [148, 106, 400], { x: 148, y: 105 });
/** A camera that is leant by so many degrees, far enough off for the whole sheet to be in the picture. */
const leaning = (deg: number) => {
  const far = 470;
  return pinhole(FOCAL_PX, [148, 105 + far * Math.sin(radians(deg)), far * Math.cos(radians(deg))], {
    x: 148,
    y: 108,
  });
};

/** What a scene reads as: how far off the blank's outline is at the worst, and what is told. */
function read(scene: Partial<Scene>, seeing: Partial<Seeing> = { thicknessMm: 0 }) {
  const { photo, corners, outline, holes } = photographed({
    width,
    height,
    see: above,
    focalPx: FOCAL_PX,
    ...scene,
  });
  const found = foundCorners(photo, corners, 24);
  const plane = planeIn(photo, { kind: "paper", corners: found, longMm: 297, shortMm: 210 });
  if (!plane.ok) throw new Error(plane.code);
  const seen = shapesInPhoto(flattenedPhoto(photo, plane), { ...USUAL_SEEING, ...seeing });
  const outlines = seen.shapes.flatMap((s) => (s.kind === "outline" ? [s] : []));
  const circles = seen.shapes.flatMap((s) => (s.kind === "circle" ? [s] : []));
  return {
    ...seen,
    outlines,
    circles,
    holes,
    plane: plane.plane,
    offMm: worstOff(outlines[0].points, outline),
    codes: seen.warnings.map((w) => w.code),
  };
}

describe("a lens", () => {
  it("is taken out again to the last digit, and draws nothing where it would fold over", () => {
    const lens = lensOf({ width: 4000, height: 3000 }, -0.12);
    for (const p of [
      { x: 0, y: 0 },
      { x: 3999, y: 1500 },
      { x: 2000, y: 1500 },
      { x: 500, y: 2900 },
    ]) {
      const back = bentBy(lens, straightened(lens, p) as Point);
      expect(Math.hypot(back.x - p.x, back.y - p.y)).toBeLessThan(1e-6);
    }
    expect(straightened(lensOf({ width: 4000, height: 3000 }, -0.3), { x: 0, y: 0 })).toBeNull();
  });

  it.each([-0.15, -0.06, 0.08])(
    "that bends by %s is found by the sheet's edges, and the blank is as long as it is",
    (k1) => {
      const { offMm, plane, codes, lensBowMm } = read({ k1 });
      const halfDiagonal = Math.hypot(width, height) / 2;
      const found = (plane.lens?.k ?? 0) * (FOCAL_PX / halfDiagonal) ** 2;
      expect(Math.abs(found - k1)).toBeLessThan(0.02);
      expect(lensBowMm).toBeGreaterThan(0.3);
      expect(offMm).toBeLessThan(0.4);
      expect(codes).toEqual([]);
    },
  );

  it("is none where the edges are straight", () => {
    const { plane, codes, offMm } = read({ see: leaning(20), noise: 8 });
    expect(plane.lens).toBeNull();
    expect(codes).toEqual([]);
    expect(offMm).toBeLessThan(0.35);
  });
});

describe("what is doubtful about a photo is told", () => {
  it("of paper that is curled, not of paper that lies flat", () => {
    // Its long edges are both bowed by 2 mm towards the same side.
    const curl = ({ x, y }: Point) => ({ x, y: y + 2 * (1 - ((x - 148.5) / 148.5) ** 2) });
    expect(read({ curl }).codes).toContain("curled-paper");
    expect(read({}).codes).toEqual([]);
  });

  it.each([0.55, 0.45])("of a shadow that leaves %s of the light, and the edge is the piece's", (light) => {
    const { warnings, offMm } = read({ shadow: { xMm: 3, yMm: -4, light } });
    expect(warnings.map((w) => w.code)).toEqual(["shadow"]);
    expect(offMm).toBeLessThan(0.5);
  });

  it("of a shadow, a lens, blur and tilt together: never silent", () => {
    const { codes, offMm } = read({
      see: leaning(30),
      k1: -0.15,
      blurPx: 3,
      shadow: { xMm: 3, yMm: -4, light: 0.45 },
    });
    expect(codes.length > 0 || offMm < 0.5).toBe(true);
    expect(codes).toContain("shadow");
    // Told, and not far off for all that.
    expect(offMm).toBeLessThan(1.5);
    const unshadowed = read({ see: leaning(30), k1: -0.15, blurPx: 3 });
    expect(unshadowed.codes).toEqual(["blurred"]);
    expect(unshadowed.offMm).toBeLessThan(0.8);
    const sharp = read({ see: leaning(30), k1: -0.15 });
    expect(sharp.codes).toEqual([]);
    expect(sharp.offMm).toBeLessThan(0.4);
  });

  it("of lines by a pen: one outline along their middle, each hole once", () => {
    for (const lineMm of [0.7, 1.4]) {
      const { outlines, circles, warnings, offMm, holes } = read({ lineMm }, { thicknessMm: null });
      expect(outlines).toHaveLength(1);
      expect(circles).toHaveLength(BLANK.circles.length);
      expect(offMm).toBeLessThan(0.45);
      for (const c of circles) {
        // The sheet's y runs downward in the picture, and upward in what is read.
        const drawn = holes.find((h) => Math.hypot(h.x - c.x, h.y - c.y) < 0.3);
        expect(Math.abs((drawn?.radiusMm ?? 0) - c.radiusMm)).toBeLessThan(0.2);
      }
      // What is drawn has no thickness to ask for.
      expect(warnings).toMatchObject([{ code: "drawn-lines" }]);
      const [drawn] = warnings;
      expect(Math.abs((drawn.code === "drawn-lines" ? drawn.widthMm : 0) - lineMm)).toBeLessThan(0.6);
    }
  });

  it("of a camera whose picture was cropped, where a piece stands on the paper", () => {
    const { photo, corners } = photographed({ width, height, see: leaning(25), focalPx: FOCAL_PX });
    const plane = planeIn(photo, { kind: "paper", corners, longMm: 297, shortMm: 210 });
    if (!plane.ok) throw new Error(plane.code);
    const flat = flattenedPhoto(photo, plane, undefined, { focalPx: null, isCropped: true });
    const codes = (seeing: Partial<Seeing>) =>
      shapesInPhoto(flat, { ...USUAL_SEEING, ...seeing }).warnings.map((w) => w.code);
    expect(codes({ thicknessMm: 4 })).toEqual(["cropped"]);
    expect(codes({ thicknessMm: 0 })).toEqual([]);
    // Its maker knows how high the camera was.
    expect(codes({ thicknessMm: 4, cameraMm: 426 })).toEqual([]);
  });

  it("of a corner that is marked beside the sheet's", () => {
    const { photo, corners } = photographed({ width, height, see: above, focalPx: FOCAL_PX });
    const marked = corners.map((p, i) => (i === 2 ? { x: p.x + 8, y: p.y + 3 } : p));
    const plane = planeIn(photo, { kind: "paper", corners: marked, longMm: 297, shortMm: 210 });
    if (!plane.ok) throw new Error(plane.code);
    expect(plane.doubts).toMatchObject([{ code: "corner-off" }]);
    expect(plane.doubts[0].code === "corner-off" && plane.doubts[0].offMm).toBeCloseTo(
      Math.hypot(8, 3) / plane.plane.pixelsPerMm,
      0,
    );
  });
});

it("a blank on its sheet is as long as it is drawn", () => {
  const xs = laid().outline.map((p) => p.x);
  expect(Math.max(...xs) - Math.min(...xs)).toBeCloseTo(BLANK_LONG_MM, 2);
});
