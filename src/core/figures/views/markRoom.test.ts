import fc from "fast-check";
import { describe, expect, it } from "vitest";
import { MARK, NOTCH } from "../../knife/design/blades.fixtures";
import { CONSTRUCTIONS } from "../../knife/design/constructions.fixtures";
import { newDesign } from "../../knife/design/create";
import type { BladeMark, Design } from "../../knife/design/schema";
import { markRoom, newMark, roomierPlace } from "./markRoom";

const sound = newDesign("Sedge");
const withMark = (design: Design, mark: BladeMark): Design => ({
  ...design,
  blade: { ...design.blade, marks: [mark] },
});
const roomAt = (change: Partial<BladeMark>, design = sound) => {
  const mark = { ...MARK, ...change };
  return markRoom(withMark(design, mark), mark);
};

describe("the room round a mark", () => {
  it("is its distance to a straight spine, and to the grind line under it", () => {
    for (const downMm of [3, 4, 4.5])
      expect(roomAt({ downMm })).toMatchObject({ mm: expect.closeTo(downMm - 1.5, 6), of: "outline" });
    // The line lies 18 mm over the edge, 10 mm under the spine at the heel of 28.
    expect(roomAt({ downMm: 7 })).toMatchObject({ mm: expect.closeTo(10 - 7 - 1.5, 1), of: "face" });
  });

  it("is nothing across a line, off the blade, and under what covers it", () => {
    expect(roomAt({ downMm: 9 })).toMatchObject({ mm: 0, of: "face" });
    expect(roomAt({ downMm: 0.5 })).toMatchObject({ mm: 0, of: "outline" });
    expect(roomAt({ downMm: -30 }).mm).toBe(0);
    expect(roomAt({ xMm: 1 })).toMatchObject({ mm: 0, of: "handle" });
    expect(roomAt({ xMm: 10, downMm: 14, heightMm: 2 })).toMatchObject({ mm: 0, of: "plunge" });
    const notched = {
      ...sound,
      blade: { ...sound.blade, notches: [{ ...NOTCH, xMm: 14, depthMm: 6, radiusMm: 6 }] },
    };
    const at = { xMm: 14, downMm: 23, heightMm: 2 };
    expect(roomAt(at, sound).mm).toBeGreaterThan(0.5);
    expect(roomAt(at, notched)).toMatchObject({ mm: 0, of: "outline" });
  });

  it("is its distance to another mark on its side, nothing over or inside one, and its own on the other side", () => {
    const beside = (second: Partial<BladeMark>) => {
      const [a, b] = [MARK, { ...MARK, id: "mark-2", ...second }];
      return markRoom({ ...sound, blade: { ...sound.blade, marks: [a, b] } }, b);
    };
    // Each is 4.5 mm long: middles 5.5 mm apart leave one.
    expect(beside({ xMm: 35.5 })).toMatchObject({ mm: expect.closeTo(1, 6), of: "mark" });
    expect(beside({ xMm: 32 })).toMatchObject({ mm: 0, of: "mark" });
    expect(beside({ heightMm: 1 })).toMatchObject({ mm: 0, of: "mark" });
    expect(beside({ side: "left" })).toMatchObject({ mm: expect.closeTo(3, 6), of: "outline" });
    // A new one finds a place of its own.
    const marked = withMark(sound, MARK);
    const added = newMark(marked, { ...MARK, id: "mark-2", heightMm: 3 });
    const both = { ...sound, blade: { ...sound.blade, marks: [MARK, added] } };
    expect(markRoom(both, added).mm).toBeGreaterThan(0.48);
  });

  it("is found near by, wherever a mark stands", () => {
    fc.assert(
      fc.property(
        fc.integer({ min: 0, max: 90 }),
        fc.integer({ min: 0, max: 26 }),
        fc.integer({ min: -180, max: 180 }),
        fc.constantFrom("right" as const, "left" as const),
        (xMm, downMm, turnedDeg, side) => {
          const mark = { ...MARK, xMm, downMm, turnedDeg, side };
          const to = roomierPlace(withMark(sound, mark), mark, 0.5);
          expect(to).not.toBeNull();
          // Places are told to a hundredth.
          expect(roomAt({ ...mark, ...to }).mm).toBeGreaterThan(0.5 - 0.011);
        },
      ),
      { seed: 24, numRuns: 25 },
    );
  });

  it("is there for a new mark on every construction's blade that has any", () => {
    for (const [name, design] of Object.entries(CONSTRUCTIONS).slice(0, 12)) {
      const mark = newMark(design, {
        id: "mark-1",
        says: "Frame",
        madeFrom: "drawing",
        art: MARK.art,
        heightMm: null,
      });
      expect(markRoom(withMark(design, mark), mark).mm, name).toBeGreaterThan(0.48);
    }
  });
});
