import fc from "fast-check";
import { describe, expect, it } from "vitest";
import type { Point } from "../curve/bezier";
import { artOf, LONGEST_ART, MOST_ART_POINTS, printArt, readArt } from "./art";
import { circleLoop, flattened, signedArea, straightLoop } from "./loop";

const areaOf = (art: readonly (readonly Point[])[]) =>
  art.reduce((sum, l) => sum + signedArea(straightLoop(l)), 0);
const ring = [10, 6].map((r) => flattened(circleLoop(40, -7, r), 0.001));

describe("filled outlines as a mark keeps them", () => {
  it("are one high about their middle, holes and all, whichever way their lines run", () => {
    for (const loops of [ring, [ring[0], [...ring[1]].reverse()], [...ring].reverse()]) {
      const made = artOf(loops);
      if (!made.ok) throw new Error(made.code);
      // A thousandth of its height.
      expect(Math.abs(made.heightMm - 20)).toBeLessThan(0.02);
      // π(R² − r²) of a ring 20 high, in squares of its height; chords within 0.1 % of its height.
      expect(areaOf(made.art)).toBeCloseTo((Math.PI * (100 - 36)) / 400, 2);
      const ys = made.art.flatMap((l) => l.map((p) => p.y));
      expect([Math.min(...ys), Math.max(...ys)]).toEqual([expect.closeTo(-0.5, 6), expect.closeTo(0.5, 6)]);
    }
  });

  it("come back from their text within a ten-thousandth of their height", () => {
    const corner = fc.tuple(
      fc.double({ min: -50, max: 50, noNaN: true }),
      fc.double({ min: -50, max: 50, noNaN: true }),
    );
    fc.assert(
      fc.property(
        fc.array(fc.array(corner, { minLength: 3, maxLength: 9 }), { minLength: 1, maxLength: 5 }),
        (runs) => {
          const made = artOf(runs.map((r) => r.map(([x, y]) => ({ x, y }))));
          if (!made.ok) return;
          const read = readArt(printArt(made.art));
          expect(read?.map((l) => l.length)).toEqual(made.art.map((l) => l.length));
          const [a, b] = [made.art.flat(), (read ?? []).flat()];
          expect(Math.max(...a.map((p, i) => Math.hypot(p.x - b[i].x, p.y - b[i].y)))).toBeLessThan(1e-4);
        },
      ),
      { seed: 24, numRuns: 200 },
    );
  });

  it("are simplified until they are few enough", () => {
    const saw = Array.from({ length: 16_000 }, (_, i) => ({ x: i / 10, y: i % 2 ? 40 : 40 + (i % 7) }));
    const made = artOf([[{ x: 0, y: 0 }, ...saw, { x: 1600, y: 0 }]]);
    if (!made.ok) throw new Error(made.code);
    expect(made.art.flat().length).toBeLessThanOrEqual(MOST_ART_POINTS);
    expect(printArt(made.art).length).toBeLessThanOrEqual(LONGEST_ART);
    expect(readArt(printArt(made.art))).not.toBeNull();
  });

  it("are refused where nothing is filled, or a line is all that there is", () => {
    for (const loops of [
      [],
      [[{ x: 1, y: 1 }]],
      [
        [
          { x: 0, y: 0 },
          { x: 5, y: 0 },
          { x: 9, y: 0 },
        ],
      ],
      [
        [
          { x: 0, y: 0 },
          { x: 5, y: 5 },
          { x: 9, y: 9 },
        ],
      ],
      [
        [
          { x: Number.NaN, y: 0 },
          { x: 5, y: 5 },
          { x: 9, y: 0 },
        ],
      ],
    ])
      expect(artOf(loops)).toEqual({ ok: false, code: "no-area" });
    const hair = [
      { x: 0, y: 0 },
      { x: 500, y: 0 },
      { x: 500, y: 1 },
      { x: 0, y: 1 },
    ];
    expect(artOf([hair])).toEqual({ ok: false, code: "too-long" });
  });

  it("are read from nothing else than such text", () => {
    expect(readArt("M0 0L1 0L1 1Z")).toEqual([
      [
        { x: 0, y: 0 },
        { x: 1, y: 0 },
        { x: 1, y: 1 },
      ],
    ]);
    for (const text of [
      "",
      "M0 0L1 0Z",
      "L0 0L1 0L1 1Z",
      "M0 0L1 0L1 1",
      "M0 0L1 0L1 1ZZ",
      "M0 0M1 0L1 1L2 2Z",
      "M0 0L1e9 0L1 1Z",
      "M0 0L99 0L1 1Z",
      "M0 0L1 0L1 1Z ",
      "M0 0 L1 0 L1 1 Z",
      "M0 0L1 0L1 NaNZ",
      "javascript:alert(1)",
      `M${"0 0L".repeat(MOST_ART_POINTS)}1 1Z`,
      "M0 0L1 0L1 1Z".repeat(LONGEST_ART),
    ])
      expect(readArt(text), text.slice(0, 40)).toBeNull();
  });
});
