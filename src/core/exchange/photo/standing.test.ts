import { describe, expect, it } from "vitest";
import { boxOf, circleLoop, flattened, type Loop } from "../../geometry/contours/loop";
import type { Point } from "../../geometry/curve/bezier";
import { signedDistance } from "../../geometry/curve/crossing";
import { AS_DRAWN } from "../cutting/cutSettings";
import { pieceLayer, piecesNamed } from "../cutting/pieceLayers";
import { DEMO_KNIVES } from "../files/knife/demo.fixtures";
import { homography, projected } from "./homography";
import { type GreyImage, smoothed } from "./image";
import { pinhole, SHEET } from "./pinhole.fixtures";
import { truePlane } from "./planeScale";
import { type FlatPhoto, flattenedPhoto, shapesInPhoto, USUAL_SEEING } from "./shapes";

const [, heath] = DEMO_KNIVES.find(([name]) => name === "heath-field-knife.json")!;
const layer = pieceLayer(piecesNamed(heath, "blank")[0], AS_DRAWN);
const box = boxOf(layer.loops)!;
/** The blank on an A4 sheet lying across, mm. */
const onPaper = ({ x, y }: Point): Point => ({
  x: 148.5 + x - (box.x0 + box.x1) / 2,
  y: 105 + y - (box.y0 + box.y1) / 2,
});
const outline = flattened(layer.loops[0], 0.03).map(onPaper);
const holes = layer.circles.map((c) =>
  flattened(circleLoop(c.x, c.y, c.radiusMm) as Loop, 0.01).map(onPaper),
);
const lengthMm = box.x1 - box.x0;
const [WIDTH, HEIGHT] = [1360, 1000];

/** Grey levels of a plate so thick on its sheet, by a pinhole: each pixel's ray is followed down through the plate. */
function photographed(see: ReturnType<typeof pinhole>, thicknessMm: number) {
  const at = (p: { x: number; y: number }) => {
    const q = see(p.x, p.y);
    return { x: q.x + WIDTH / 2, y: q.y + HEIGHT / 2 };
  };
  const corners = SHEET.map(at);
  const toSheet = homography(corners, SHEET)!;
  // The same ray at a height over the sheet, by the map of the plane at that height.
  const levels = Array.from({ length: 3 }, (_, k) => {
    const z = (thicknessMm * k) / 2;
    const raised = SHEET.map(({ x, y }) => {
      const q = see(x, y, z);
      return { x: q.x + WIDTH / 2, y: q.y + HEIGHT / 2 };
    });
    return homography(raised, SHEET)!;
  });
  const outer = boxOf([outline.map((p) => ({ ...p, bulge: 0 }))])!;
  const inPlate = (p: Point) =>
    p.x > outer.x0 &&
    p.x < outer.x1 &&
    p.y > outer.y0 &&
    p.y < outer.y1 &&
    signedDistance(outline, p) < 0 &&
    !holes.some((h) => signedDistance(h, p) < 0);
  const data = new Float32Array(WIDTH * HEIGHT);
  for (let y = 0; y < HEIGHT; y++)
    for (let x = 0; x < WIDTH; x++) {
      const pixel = { x: x + 0.5, y: y + 0.5 };
      const p = projected(toSheet, pixel);
      const onSheet = p.x > 0 && p.y > 0 && p.x < 297 && p.y < 210;
      const near = p.x > outer.x0 - 8 && p.x < outer.x1 + 8 && p.y > outer.y0 - 8 && p.y < outer.y1 + 8;
      const dark = onSheet && near && levels.some((h) => inPlate(projected(h, pixel)));
      data[y * WIDTH + x] = dark ? 45 : onSheet ? 235 : 120;
    }
  return { photo: smoothed({ width: WIDTH, height: HEIGHT, data }, 0.8) as GreyImage, corners };
}

function flatOf(
  see: ReturnType<typeof pinhole>,
  thicknessMm: number,
  focalPx: number | null = null,
): FlatPhoto {
  const { photo, corners } = photographed(see, thicknessMm);
  const plane = truePlane(photo, { kind: "paper", corners, longMm: 297, shortMm: 210 });
  if (!plane.ok) throw new Error(plane.code);
  return flattenedPhoto(photo, plane.plane, undefined, focalPx);
}

/** The worst distance of the blade's outline from its drawing, and how long it reads, mm. */
function readOf(flat: FlatPhoto, seeing = {}) {
  const { shapes, warnings, camera } = shapesInPhoto(flat, { ...USUAL_SEEING, ...seeing });
  const [blade] = shapes.filter((s) => s.kind === "outline");
  const { points } = blade;
  const xs = points.map((p) => p.x);
  const off = Math.max(...points.map((p) => Math.abs(signedDistance(outline, p))));
  const circles = shapes.flatMap((s) => (s.kind === "circle" ? [s] : []));
  return { off, longMm: Math.max(...xs) - Math.min(...xs), warnings, camera, circles };
}

describe("a plate 4 mm thick on its sheet of paper", () => {
  const leaning = pinhole(1200, [190, 330, 420], { x: 148, y: 108 });
  const above = pinhole(1200, [150, 110, 460], { x: 148, y: 105 });

  const flat = flatOf(leaning, 4);

  it("reads too long as it lies, which is said; told its thickness it comes back within 0.3 mm, holes as well", () => {
    const asItLies = readOf(flat);
    expect(asItLies.longMm - lengthMm).toBeGreaterThan(1.2);
    expect(asItLies.warnings).toMatchObject([{ code: "thickness-unsaid", thicknessMm: 4 }]);
    const told = readOf(flat, { thicknessMm: 4 });
    expect(told.camera?.heightMm).toBeCloseTo(420, -1);
    expect(told.warnings).toEqual([]);
    // Its very tip is rounded by what the picture is smoothed over.
    expect(Math.abs(told.longMm - lengthMm)).toBeLessThan(0.7);
    expect(told.off).toBeLessThan(0.3);
    expect(told.circles).toHaveLength(layer.circles.length);
    for (const { x, y, radiusMm } of told.circles) {
      const drawn = layer.circles.find((c) => Math.hypot(onPaper(c).x - x, onPaper(c).y - y) < 0.3);
      expect(Math.abs((drawn?.radiusMm ?? 0) - radiusMm)).toBeLessThan(0.3);
    }
  });

  it("is taken as drawn on the paper where its maker says so, without a warning", () => {
    const { warnings, longMm } = readOf(flat, { thicknessMm: 0 });
    expect(warnings).toEqual([]);
    expect(longMm - lengthMm).toBeGreaterThan(1.2);
  });

  it("from straight above asks for the camera's height: by that, or by its focal length, it is as true", () => {
    const straight = flatOf(above, 4);
    expect(readOf(straight, { thicknessMm: 4 }).warnings).toEqual([
      { code: "camera-unknown", thicknessMm: 4 },
    ]);
    const typed = readOf(straight, { thicknessMm: 4, cameraMm: 460 });
    expect(typed.warnings).toEqual([]);
    expect(typed.off).toBeLessThan(0.3);
    const byFile = readOf(
      { ...straight, picture: { ...straight.picture, focalPx: 1200 } },
      { thicknessMm: 4 },
    );
    expect(byFile.off).toBeLessThan(0.3);
    expect(readOf(straight, { thicknessMm: 4, cameraMm: 7 }).warnings).toMatchObject(
      [{ code: /camera-/ }].map(() => ({})),
    );
  });
});
