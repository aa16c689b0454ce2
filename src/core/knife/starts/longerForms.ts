import { flat, heights, pins, points, scaled, used, withBlade, withHandle } from "../design/formParts";
import { guardOfForm } from "../design/guards";
import { newPiece } from "../design/newParts";
import type { Design } from "../design/schema";
import { withUse } from "../design/uses";
import { withEnd, withTang } from "./constructions";

/** Starting forms with a guard, a tang in a block, or a long blade. */
export const LONGER_FORMS = {
  "clip-point-with-guard": (base) => {
    const knife = withHandle(
      withBlade(base, {
        lengthMm: 235,
        heelHeightMm: 39.63,
        ...heights(16, 34),
        spineMm: 5.5,
        tipThicknessMm: 2.2,
        taperFromMm: 60,
        edgeMm: 0.5,
        ricassoMm: 14,
        outline: {
          spine: points("spine", [80, 16], [150, 16, "corner"], [195, 10.5]),
          edge: points(
            "edge",
            [14, -18, "corner"],
            [15.5, -22, "corner"],
            [110, -23.5],
            [180, -20.5],
            [217, -10.5],
          ),
          tipYMm: 5,
        },
        grind: flat(26),
        swedge: { lengthMm: 85, runOutMm: 10, heightMm: 6, leavesMm: 1.2, sides: "both" },
      }),
      { lengthMm: 128, frontMm: 32, grooveMm: 29, swellMm: 34, buttMm: 34, dropMm: 8 },
      [10, 10.4, 12, 11.5],
    );
    const hidden = { ...withTang(knife, "hidden"), fasteners: [] };
    const window = { balanceMm: { low: 15, high: 50 }, massG: { low: 260, high: 420 } };
    const guarded = { ...hidden, guard: guardOfForm("oval", hidden) };
    return { ...guarded, use: { ...withUse(guarded.use, "own"), ...window } };
  },

  dagger: (base) => {
    const half = (side: 1 | -1) =>
      points(
        side > 0 ? "spine" : "edge",
        [8, side * 15.5],
        [70, side * 14],
        [125, side * 9.5],
        [150, side * 5],
      );
    const blade = withBlade(base, {
      lengthMm: 170,
      heelHeightMm: 31.58,
      ...heights(14, 28),
      spineMm: 6,
      tipThicknessMm: 1.2,
      taperFromMm: 8,
      edgeMm: 0.4,
      ricassoMm: 6,
      outline: { spine: half(1), edge: half(-1), tipYMm: 0 },
      grind: { kind: "diamond", ridgeShare: 0.5 },
    });
    const handle = withHandle(
      blade,
      { lengthMm: 120, frontMm: 26, grooveMm: 25, swellMm: 28, buttMm: 26, dropMm: 0 },
      [8.5, 8.6, 9.6, 8.4],
      1,
    );
    const through = withEnd(withTang(handle, "hidden"), "threaded");
    return used({ ...through, guard: guardOfForm("double-quillon", through), fasteners: [] }, "fighter");
  },

  "stick-tang": (base) => {
    const hidden = withTang(
      withBlade(base, {
        lengthMm: 95,
        heelHeightMm: 23.28,
        ...heights(9.5, 19),
        spineMm: 3.5,
        tipThicknessMm: 2,
        taperFromMm: 35,
        edgeMm: 0.2,
        ricassoMm: 2,
        outline: {
          spine: points("spine", [50, 9.5], [76, 7]),
          edge: points("edge", [4, -9.5, "corner"], [6, -12.5, "corner"], [50, -12.5], [78, -8]),
          tipYMm: 2,
        },
        grind: flat(10),
      }),
      "hidden",
    );
    return used(hidden, "carving");
  },

  "take-down": (base) => {
    const hidden = withEnd(withTang(withBlade(base, { lengthMm: 116, spineMm: 4.5 }), "hidden"), "take-down");
    return used({ ...hidden, guard: guardOfForm("oval", hidden), fasteners: [] }, "field");
  },

  chopper: (base) => {
    const knife = withHandle(
      withBlade(base, {
        lengthMm: 250,
        heelHeightMm: 54.93,
        ...heights(16, 36),
        spineMm: 6,
        tipThicknessMm: 3.2,
        taperFromMm: 120,
        edgeMm: 0.6,
        ricassoMm: 20,
        outline: {
          spine: points("spine", [90, 15], [190, 14], [232, 8]),
          edge: points(
            "edge",
            [20, -20, "corner"],
            [22, -25, "corner"],
            [90, -26],
            [170, -40],
            [222, -35],
            [244, -18],
          ),
          tipYMm: -4,
        },
        grind: flat(30),
        fullers: [
          {
            id: "fuller-1",
            sides: "both",
            fromMm: 30,
            toMm: 175,
            from: "spine",
            downMm: 9,
            radiusMm: 6,
            depthMm: 1.2,
            tool: { kind: "wheel", runOutRadiusMm: 40 },
          },
        ],
      }),
      { lengthMm: 134, frontMm: 32, grooveMm: 28, swellMm: 33, buttMm: 37, dropMm: 12 },
      [10, 10.5, 12.5, 12.5],
    );
    const handled = { ...scaled(knife, 12), fasteners: pins(134, 4.7625, [0.17, 0], [0.5, -4], [0.84, -10]) };
    return used(handled, "chopper");
  },

  "sword-length": (base) => {
    const blade = withBlade(base, {
      lengthMm: 680,
      heelHeightMm: 31.12,
      ...heights(15, 30),
      spineMm: 7,
      tipThicknessMm: 3.6,
      taperFromMm: 20,
      taper: [{ id: "at-1", xMm: 340, thicknessMm: 5 }],
      edgeMm: 0.6,
      ricassoMm: 16,
      outline: {
        spine: points("spine", [170, 20], [340, 32], [510, 51], [620, 67]),
        edge: points("edge", [16, -15], [170, -11], [340, 1], [510, 21.5], [620, 41], [660, 56]),
        tipYMm: 76,
      },
      grind: { kind: "convex", heightMm: 24, along: [], angleDeg: null, bulge: 0.7 },
    });
    const handle = withHandle(
      blade,
      { lengthMm: 240, frontMm: 30, grooveMm: 29, swellMm: 30, buttMm: 28, dropMm: 0 },
      [11, 11, 11.5, 11],
      0.9,
    );
    const through = withEnd(withTang(handle, "hidden"), "peened");
    if (through.handle.kind !== "stack") return through;
    const pommel = {
      ...newPiece("piece-2", "pommel", "mild-steel", 38),
      shape: { kind: "disc" as const, diameterMm: 42, widthMm: 24, yMm: 0 },
    };
    const pieces = [newPiece("piece-1", "block", "walnut-black", 200), pommel];
    const balanced = { ...through, handle: { ...through.handle, pieces }, fasteners: [] };
    return used({ ...balanced, guard: guardOfForm("disc", balanced) }, "sword");
  },
} satisfies Record<string, (base: Design) => Design>;
