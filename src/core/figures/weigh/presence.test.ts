import fc from "fast-check";
import { describe, expect, it } from "vitest";
import { type Slice, throughSlice } from "../../geometry/solids/slice";
import { Presence } from "./presence";

/** Stretches of y, ascending and apart, or null for a region that y does not limit, or none for one that is not cut. */
const stretches = fc.oneof(
  { weight: 5, arbitrary: fc.uniqueArray(fc.integer({ min: -50, max: 50 }), { minLength: 2, maxLength: 8 }) },
  { weight: 1, arbitrary: fc.constant(null) },
  { weight: 1, arbitrary: fc.constant(undefined) },
);

const sliceOf = (ys: readonly number[] | null | undefined): Slice | null => {
  if (ys === undefined) return null;
  if (ys === null) return { ...throughSlice([]), ys: null };
  const sorted = [...ys].sort((a, b) => a - b);
  return throughSlice(sorted.slice(0, sorted.length - (sorted.length % 2)));
};
const covers = (slice: Slice | null, y: number) =>
  slice !== null &&
  (slice.ys === null || slice.ys.some((y0, i) => i % 2 === 0 && y > y0 && y < (slice.ys as number[])[i + 1]));

describe("which parts a ray meets", () => {
  it("is what asking every region of every part would say, at every height, cut after cut", () => {
    const setting = fc.record({
      cuts: fc.array(fc.array(stretches, { minLength: 6, maxLength: 6 }), { minLength: 1, maxLength: 4 }),
      parts: fc.array(fc.array(fc.nat({ max: 5 }), { minLength: 1, maxLength: 4 }), {
        minLength: 1,
        maxLength: 8,
      }),
    });
    fc.assert(
      fc.property(setting, ({ cuts, parts }) => {
        const presence = new Presence(parts, 6);
        for (const cut of cuts) {
          const slices = cut.map(sliceOf);
          presence.begin(slices, [0, 1, 2, 3, 4, 5]);
          for (let y = -50.5; y < 51; y += 1) {
            presence.moveTo(y);
            const wanted = parts.flatMap((of, i) => (of.every((r) => covers(slices[r], y)) ? [i] : []));
            expect(presence.here).toEqual(wanted);
          }
        }
      }),
      { numRuns: 300, seed: 20261127 },
    );
  });

  it("forgets what a cut before left standing, also of regions that are not in this one", () => {
    const presence = new Presence([[0], [1], [0, 1]], 2);
    presence.begin([throughSlice([0, 10]), { ...throughSlice([]), ys: null }], [0, 1]);
    presence.moveTo(5);
    expect(presence.here).toEqual([0, 1, 2]);
    presence.begin([throughSlice([3, 10]), null], [0]);
    expect(presence.here).toEqual([]);
    presence.moveTo(5);
    expect(presence.here).toEqual([0]);
  });

  it("counts a region that a part names twice once, and one without extent never", () => {
    const presence = new Presence([[0, 0], [1]], 2);
    presence.begin([throughSlice([0, 10]), throughSlice([4, 4])], [0, 1]);
    presence.moveTo(5);
    expect(presence.here).toEqual([0]);
  });
});
