import { describe, expect, it } from "vitest";
import { radians } from "../../base/number";
import type { Point } from "../../geometry/curve/bezier";
import { cameraOf, cameraOver, focalFromPlane, lowered } from "./camera";
import { homography, projected } from "./homography";
import { pinhole, SHEET } from "./pinhole.fixtures";

const MIDDLE = { x: 0, y: 0 };

const planeOf = (see: ReturnType<typeof pinhole>, middle: Point) => {
  const at = ({ x, y }: Point) => {
    const p = see(x, y);
    return { x: p.x + middle.x, y: p.y + middle.y };
  };
  return { toPixels: homography(SHEET, SHEET.map(at))!, widthMm: 297, heightMm: 210, pixelsPerMm: 6 };
};

describe("a camera from a sheet's four corners", () => {
  it("is that of the worked example: 3,000 px, its foot and height, and a point 4 mm high", () => {
    // Worked by hand with the equations of docs/method.md.
    const corners = [
      [787.609, -498.187],
      [-866.712, -641.659],
      [-988.268, 625.11],
      [886.721, 656.473],
    ].map(([x, y]) => ({ x, y }));
    const h = homography(SHEET, corners)!;
    const focal = focalFromPlane(h, MIDDLE)!;
    expect(focal).toBeCloseTo(3000, 0);
    const camera = cameraOf(h, MIDDLE, focal)!;
    expect(camera.foot.x).toBeCloseTo(234.005, 1);
    expect(camera.foot.y).toBeCloseTo(253.099, 1);
    expect(camera.heightMm).toBeCloseTo(469.846, 1);
    const point = lowered(camera, { x: 18.162, y: 28.084 }, 4);
    expect(point.x).toBeCloseTo(20, 2);
    expect(point.y).toBeCloseTo(30, 2);
  });

  it.each([
    ["leaning to the left", [20, 100, 500], { x: 150, y: 100 }, 0],
    ["leaning far, turned in the hand", [400, 330, 420], { x: 160, y: 110 }, 37],
    ["from the far side, upside down", [150, -240, 610], { x: 140, y: 90 }, 180],
  ] as const)(
    "%s stands where the pinhole stood, and sees a point over the sheet lowered to its place",
    (_, c, at, roll) => {
      const see = pinhole(2800, c, at, roll);
      const picture = { width: 4000, height: 3000 };
      const plane = planeOf(see, { x: 2000, y: 1500 });
      const camera = cameraOver(plane, picture, null)!;
      expect(camera.focalPx).toBeCloseTo(2800, 3);
      expect(camera.heightMm).toBeCloseTo(c[2], 4);
      expect(camera.foot.x).toBeCloseTo(c[0], 4);
      expect(camera.foot.y).toBeCloseTo(c[1], 4);
      const back = homography(
        SHEET.map((p) => projected(plane.toPixels, p)),
        SHEET,
      )!;
      for (const [x, y, z] of [
        [20, 30, 4],
        [280, 190, 12],
        [150, 100, 30],
      ]) {
        const p = see(x, y, z);
        const seen = projected(back, { x: p.x + 2000, y: p.y + 1500 });
        const place = lowered(camera, seen, z);
        expect(Math.hypot(place.x - x, place.y - y)).toBeLessThan(1e-3);
      }
    },
  );

  it("has no answer from nearly straight above, unless its focal length or its height is known", () => {
    const c = [148 + 500 * Math.tan(radians(2)), 105, 500] as const;
    const see = pinhole(3100, c, { x: 148, y: 105 });
    const picture = { width: 4000, height: 3000 };
    const plane = planeOf(see, { x: 2000, y: 1500 });
    expect(cameraOver(plane, picture, null)).toBeNull();
    for (const known of [{ focalPx: 3100 }, { heightMm: 500 }]) {
      const camera = cameraOver(plane, picture, known)!;
      expect(camera.heightMm).toBeCloseTo(500, 0);
      expect(Math.hypot(camera.foot.x - c[0], camera.foot.y - c[1])).toBeLessThan(1);
    }
  });

  it("is none of a height that no camera has", () => {
    const plane = planeOf(pinhole(3000, [200, 200, 450], { x: 148, y: 105 }), { x: 2000, y: 1500 });
    expect(cameraOver(plane, { width: 4000, height: 3000 }, { heightMm: 1e7 })).toBeNull();
  });
});
