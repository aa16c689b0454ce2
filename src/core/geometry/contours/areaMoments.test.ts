import { expect, it } from "vitest";
import { areaMoments } from "./areaMoments";

const turnedBox = (b: number, h: number, deg: number, at: { x: number; y: number }) => {
  const [c, s] = [Math.cos((deg * Math.PI) / 180), Math.sin((deg * Math.PI) / 180)];
  return [
    [-b / 2, -h / 2],
    [b / 2, -h / 2],
    [b / 2, h / 2],
    [-b / 2, h / 2],
  ].map(([u, v]) => ({ x: at.x + c * u - s * v, y: at.y + s * u + c * v }));
};

it("are of a rectangle what handbooks say, wherever and however it lies: b²/12 and h²/12 about its middle", () => {
  for (const deg of [0, 30, -77]) {
    const run = turnedBox(12, 5, deg, { x: 4000, y: -90 });
    const m = areaMoments(run)!;
    expect(m.areaMm2).toBeCloseTo(60, 6);
    expect([m.centre.x, m.centre.y]).toEqual([expect.closeTo(4000, 6), expect.closeTo(-90, 6)]);
    // Along and across it, whichever way it is turned.
    expect(m.xx + m.yy).toBeCloseTo((12 ** 2 + 5 ** 2) / 12, 6);
    expect(Math.hypot((m.xx - m.yy) / 2, m.xy)).toBeCloseTo((12 ** 2 - 5 ** 2) / 24, 6);
    expect(areaMoments([...run].reverse())?.xx).toBeCloseTo(m.xx, 9);
  }
});

it("are of a circle r²/4, and none of what encloses nothing", () => {
  const circle = Array.from({ length: 720 }, (_, i) => ({
    x: 3 * Math.cos((i * Math.PI) / 360),
    y: 3 * Math.sin((i * Math.PI) / 360),
  }));
  const m = areaMoments(circle)!;
  expect(m.xx).toBeCloseTo(9 / 4, 3);
  expect(m.yy).toBeCloseTo(9 / 4, 3);
  expect(m.xy).toBeCloseTo(0, 9);
  expect(areaMoments([])).toBeNull();
  expect(
    areaMoments([
      { x: 0, y: 0 },
      { x: 5, y: 0 },
    ]),
  ).toBeNull();
});
