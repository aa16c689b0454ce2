import { describe, expect, it } from "vitest";
import { firstFree, overlap, placesRound } from "./labels";

describe("labels", () => {
  it("stay where they are wanted while that is free", () => {
    expect(firstFree(placesRound(50, 50, 40, 16), [])).toEqual({ x: 30, y: 42, w: 40, h: 16 });
  });

  it("go to the nearest place that lies over nothing, and inside their frame", () => {
    const taken = [
      { x: 40, y: 40, w: 20, h: 20 },
      { x: 0, y: 0, w: 100, h: 30 },
    ];
    const frame = { x: 0, y: 0, w: 120, h: 120 };
    const place = firstFree(placesRound(50, 50, 40, 16), taken, frame)!;
    expect(taken.some((t) => overlap(place, t))).toBe(false);
    expect(Math.hypot(place.x + 20 - 50, place.y + 8 - 50)).toBeLessThan(60);
    expect(place.x).toBeGreaterThanOrEqual(0);
  });

  it("go without where nothing is free", () => {
    expect(firstFree(placesRound(50, 50, 40, 16), [{ x: -500, y: -500, w: 1000, h: 1000 }])).toBeNull();
  });
});
