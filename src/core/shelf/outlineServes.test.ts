import { describe, expect, it } from "vitest";
import { seeded } from "../../../faults/random";
import { signedDistance } from "../geometry/curve/crossing";
import type { LotShape } from "./lot";
import { layInto } from "./outlineServes";
import { parseOutline } from "./typedOutline";

const piece = (
  lengthMm: number,
  heightMm: number,
  thicknessMm: number,
  grain: "length" | null = "length",
): LotShape<"piece"> => ({
  form: "piece",
  lengthMm,
  heightMm,
  thicknessMm,
  grain,
  side: null,
  face: null,
  outline: null,
  holes: [],
});
describe("an outline in a lot", () => {
  it("lays an outline into a blank: turned, with old holes reused, reamed, filled or outside", () => {
    const outline = [
      { x: 0, y: 0 },
      { x: 100, y: 0 },
      { x: 100, y: 30 },
      { x: 0, y: 20 },
    ];
    const shape = {
      ...piece(104, 34, 4, null),
      outline: outline.map((p) => ({ x: p.x * 1.04, y: p.y * 1.04 })),
      holes: [],
    };
    const own = outline.map((p) => ({ x: -p.x + 20, y: -p.y + 7 }));
    const found = layInto({ outline: own, allowanceMm: 0, holes: [] }, shape)!;
    expect(found).toMatchObject({ missesMm: 0, at: null, turned: true, mirrored: false });
    // A piece that is 6 mm higher than its blank misses by 3 mm at least.
    const high = outline.map((p) => ({ x: p.x, y: p.y * 1.3 }));
    const missed = layInto({ outline: high, allowanceMm: 0, holes: [] }, shape)!;
    expect(missed.missesMm).toBeGreaterThan(1);
    expect(missed.at).not.toBeNull();
    const square = [
      { x: 0, y: 0 },
      { x: 50, y: 0 },
      { x: 50, y: 50 },
      { x: 0, y: 50 },
    ];
    const tight = {
      ...piece(50, 50, 4, null),
      outline: square,
      holes: [
        { xMm: 10, yMm: 10, diameterMm: 4 },
        { xMm: 40, yMm: 10, diameterMm: 4 },
        { xMm: 25, yMm: 25, diameterMm: 6 },
      ],
    };
    const laid = layInto(
      {
        outline: square.map((p) => ({ x: p.x * 0.999, y: p.y * 0.999 })),
        allowanceMm: 0,
        holes: [
          { xMm: 10, yMm: 10, diameterMm: 4 },
          { xMm: 40, yMm: 10, diameterMm: 5 },
        ],
      },
      tight,
      false,
    )!;
    expect(laid.missesMm).toBe(0);
    expect(laid.holes.map((h) => h.becomes)).toEqual(["reused", "reamed", "filled"]);
  });

  it("reads an outline that is typed, and says which line it cannot read", () => {
    expect(parseOutline("0 0\n100, 0\n100; 30", "20, 10, 4")).toMatchObject({
      ok: true,
      shape: { lengthMm: 100, heightMm: 30, holes: [{ xMm: 20, yMm: 10, diameterMm: 4 }] },
    });
    for (const [points, holes, says] of [
      ["0 0\n100", "", /Line 2/],
      ["0 0\n1 1", "", /three points/],
      ["0 0\n1 1\n2 2", "", /go round nothing/],
      ["0 0\n9 0\n9 9", "1 1", /Hole 1/],
      ["0 0\n9 0\n9 1e9", "", /Line 3/],
    ] as const)
      expect(parseOutline(points, holes)).toMatchObject({ ok: false, says: expect.stringMatching(says) });
  });

  it("misses by what the place that it names says, point by point, and fits wherever it was cut from", () => {
    const random = seeded(7);
    for (let k = 0; k < 12; k++) {
      const blank = Array.from({ length: 40 }, (_, i) => {
        const a = (2 * Math.PI * i) / 40;
        const far = 1 + 0.15 * random.next();
        return { x: 80 * far * Math.cos(a), y: 25 * far * Math.sin(a) };
      });
      const shape = { ...piece(200, 70, 4, null), outline: blank };
      // A smaller piece of the same form, turned end for end, lies in it with room all round.
      const inner = blank.map((p) => ({ x: -0.8 * p.x + 5, y: -0.8 * p.y - 3 }));
      expect(layInto({ outline: inner, allowanceMm: 0, holes: [] }, shape)!.missesMm).toBe(0);
      const large = blank.map((p) => ({ x: 1.1 * p.x, y: 1.1 * p.y }));
      const found = layInto({ outline: large, allowanceMm: 1, holes: [] }, shape)!;
      const { turned, mirrored, dxMm, dyMm } = found;
      const off = large.map(
        (p) =>
          1 +
          signedDistance(blank, {
            x: (turned ? -p.x : p.x) + dxMm,
            y: (turned !== mirrored ? -p.y : p.y) + dyMm,
          }),
      );
      expect(found.missesMm).toBeCloseTo(Math.max(...off), 9);
      expect(off[large.indexOf(found.at!)]).toBeCloseTo(found.missesMm, 9);
    }
  });
});
