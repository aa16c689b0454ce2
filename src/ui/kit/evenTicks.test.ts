import fc from "fast-check";
import { expect, it } from "vitest";
import { evenTicks } from "./evenTicks";

it("ticks stand at even steps of a round figure, inside their range", () => {
  expect(evenTicks(0, 112)).toEqual([0, 20, 40, 60, 80, 100]);
  expect(evenTicks(-22.9, -21.3)).toEqual([-22.5, -22, -21.5]);
  expect(evenTicks(0, 4.4)).toEqual([0, 1, 2, 3, 4]);
  expect(evenTicks(3, 3)).toEqual([3]);
});

it("whatever the range, there are a few, and their steps are alike", () => {
  fc.assert(
    fc.property(
      fc.double({ min: -1000, max: 1000, noNaN: true }),
      fc.double({ min: 0.01, max: 1000, noNaN: true }),
      (low, span) => {
        const ticks = evenTicks(low, low + span);
        expect(ticks.length).toBeGreaterThanOrEqual(2);
        expect(ticks.length).toBeLessThanOrEqual(7);
        for (let i = 2; i < ticks.length; i++)
          expect(ticks[i] - ticks[i - 1]).toBeCloseTo(ticks[1] - ticks[0], 6);
      },
    ),
  );
});
