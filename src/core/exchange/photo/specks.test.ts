import { contours } from "d3-contour";
import { describe, expect, it } from "vitest";
import { seeded } from "../../../../faults/random";
import { withoutSpecks } from "./specks";

describe("specks", () => {
  it("are put on the other side, and the border of what stays does not move", () => {
    const [w, h] = [60, 40];
    const r = seeded(5);
    const disc = (x: number, y: number) => 100 - 8 * Math.hypot(x - 30, y - 20);
    const clean = Array.from({ length: w * h }, (_, i) => disc(i % w, Math.floor(i / w)));
    const noisy = clean.slice();
    for (let n = 0; n < 60; n++) {
      const [x, y] = [1 + r.below(w - 2), 1 + r.below(h - 2)];
      // Specks outside, and holes inside, well away from the border.
      if (Math.hypot(x - 30, y - 20) > 14) noisy[y * w + x] = 120;
      else if (Math.hypot(x - 30, y - 20) < 6) noisy[y * w + x] = -50;
    }
    const rings = (values: number[]) =>
      contours().size([w, h]).smooth(true).thresholds([20])(values)[0].coordinates.flat();
    expect(rings(noisy).length).toBeGreaterThan(10);
    withoutSpecks(noisy, w, h, 20, 6);
    expect(rings(noisy)).toEqual(rings(clean));
  });

  it("of a picture of noise leave few outlines to follow", () => {
    const [w, h] = [400, 300];
    const r = seeded(7);
    const values = Array.from({ length: w * h }, () => (r.next() < 0.3 ? 1 : 0));
    withoutSpecks(values, w, h, 0.5, 400);
    const rings = contours().size([w, h]).thresholds([0.5])(values)[0].coordinates;
    expect(rings.length).toBeLessThan((w * h) / 400);
  });
});
