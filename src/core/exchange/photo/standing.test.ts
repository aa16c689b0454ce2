import { describe, expect, it } from "vitest";
import { type FlatPhoto, flattenedPhoto } from "./flatPhoto";
import { pinhole } from "./pinhole.fixtures";
import { planeIn } from "./planeIn";
import { laid, BLANK as layer, BLANK_LONG_MM as lengthMm, photographed, worstOff } from "./scene.fixtures";
import { shapesInPhoto, USUAL_SEEING } from "./shapes";

const [WIDTH, HEIGHT] = [1360, 1020];
const FOCAL_PX = 1200;

function flatOf(see: ReturnType<typeof pinhole>, thicknessMm: number): FlatPhoto {
  const { photo, corners } = photographed({
    width: WIDTH,
    height: HEIGHT,
    see,
    focalPx: FOCAL_PX,
    thicknessMm,
  });
  const plane = planeIn(photo, { kind: "paper", corners, longMm: 297, shortMm: 210 });
  if (!plane.ok) throw new Error(plane.code);
  return flattenedPhoto(photo, plane);
}

const { outline, onPaper } = laid();

/** The worst distance of the blade's outline from its drawing, and how long it reads, mm. */
function readOf(flat: FlatPhoto, seeing = {}) {
  const { shapes, warnings, camera } = shapesInPhoto(flat, { ...USUAL_SEEING, ...seeing });
  const [blade] = shapes.filter((s) => s.kind === "outline");
  const { points } = blade;
  const xs = points.map((p) => p.x);
  const off = worstOff(points, outline);
  const circles = shapes.flatMap((s) => (s.kind === "circle" ? [s] : []));
  return { off, longMm: Math.max(...xs) - Math.min(...xs), warnings, camera, circles };
}

describe("a plate 4 mm thick on its sheet of paper", () => {
  const leaning = pinhole(FOCAL_PX, [190, 330, 420], { x: 148, y: 108 });
  const above = pinhole(FOCAL_PX, [150, 110, 460], { x: 148, y: 105 });

  const flat = flatOf(leaning, 4);

  it("reads too long as it lies, which is said; told its thickness it comes back within 0.3 mm, holes as well", () => {
    const asItLies = readOf(flat);
    expect(asItLies.longMm - lengthMm).toBeGreaterThan(1.2);
    expect(asItLies.warnings).toContainEqual(
      expect.objectContaining({ code: "thickness-unsaid", thicknessMm: 4 }),
    );
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

  it("is taken as drawn on the paper where its maker says so, but for holes that no drawing has", () => {
    const { warnings, longMm } = readOf(flat, { thicknessMm: 0 });
    expect(warnings).toMatchObject([{ code: "hole-not-round" }]);
    expect(longMm - lengthMm).toBeGreaterThan(1.2);
  });

  it("from straight above asks for the camera's height: by that, or by its focal length, it is as true", () => {
    const straight = flatOf(above, 4);
    expect(readOf(straight, { thicknessMm: 4 }).warnings).toContainEqual({
      code: "camera-unknown",
      thicknessMm: 4,
    });
    const typed = readOf(straight, { thicknessMm: 4, cameraMm: 460 });
    expect(typed.warnings).toEqual([]);
    expect(typed.off).toBeLessThan(0.3);
    const byFile = readOf(
      { ...straight, picture: { ...straight.picture, focalPx: 1200 } },
      { thicknessMm: 4 },
    );
    expect(byFile.off).toBeLessThan(0.3);
    const codes = readOf(straight, { thicknessMm: 4, cameraMm: 7 }).warnings.map((w) => w.code);
    expect(codes.filter((code) => code.startsWith("camera-"))).toHaveLength(1);
  });
});
