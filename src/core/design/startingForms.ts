import { newPiece, withBareTang, withEnd, withTang } from "./constructions";
import { newDesign, tipFrom } from "./create";
import { flat, heights, lightened, pins, points, scaled, used, withBlade, withHandle } from "./formParts";
import { guardOfForm } from "./guards";
import type { Design } from "./schema";
import { withUse } from "./uses";

/** The knives that a new one can begin from, in the order that they are offered. */
export const STARTING_FORMS = [
  "field",
  "hunter",
  "paring",
  "slicer",
  "skinner",
  "neck-knife",
  "clip-point-with-guard",
  "dagger",
  "stick-tang",
  "take-down",
  "chopper",
  "sword-length",
  "kit-blade",
] as const;
export type StartingForm = (typeof STARTING_FORMS)[number];

const FORMS: Record<StartingForm, (base: Design) => Design> = {
  field: (base) =>
    lightened(withBlade(base, { lengthMm: 118, tip: tipFrom("drop-point", 118) }), 0.5, [-36, -50]),

  hunter: (base) => {
    const knife = withHandle(
      withBlade(base, {
        lengthMm: 96,
        ...heights(12.5, 25),
        taperFromMm: 25,
        tipThicknessMm: 2.2,
        spineMm: 4,
        outline: {
          spine: points("spine", [38, 12.5], [66, 10.6], [84, 5.8]),
          edge: points("edge", [10, -12.5, "corner"], [40, -13], [68, -11], [86, -6.2]),
          tipYMm: 0.5,
        },
        heelHeightMm: 25.85,
        grind: { kind: "hollow", heightMm: 14, along: [], wheelRadiusMm: 127 },
      }),
      { lengthMm: 106, frontMm: 25, grooveMm: 22, swellMm: 27, buttMm: 26, dropMm: 6 },
      [7.8, 8, 9.6, 8.8],
    );
    const pinned = { ...scaled(knife, 8.5), fasteners: pins(106, 4.7625, [0.2, 0.5], [0.79, -5]) };
    return used(lightened(pinned, 0.28, [-35, -48]), "hunting");
  },

  paring: (base) => {
    const handle = withHandle(
      withBlade(base, {
        lengthMm: 84,
        heelHeightMm: 20.23,
        ...heights(9, 18),
        spineMm: 2,
        tipThicknessMm: 0.8,
        taperFromMm: 10,
        edgeMm: 0.2,
        ricassoMm: 6,
        outline: {
          spine: points("spine", [30, 8.6], [60, 6]),
          edge: points("edge", [6, -9, "corner"], [6.5, -11, "corner"], [40, -10.4], [66, -7.2]),
          tipYMm: -0.5,
        },
        grind: { kind: "full-flat" },
      }),
      { lengthMm: 96, frontMm: 18, grooveMm: 17.5, swellMm: 21, buttMm: 20, dropMm: 3 },
      [6, 6.2, 7.2, 6.8],
    );
    const pinned = { ...scaled(handle, 7), fasteners: pins(96, 3.175, [0.24, 0], [0.76, -2]) };
    // A paring knife is not pried with.
    const loads = { ...pinned.fitUp.loads, sideN: 15 };
    return used({ ...pinned, fitUp: { ...pinned.fitUp, loads } }, "paring");
  },

  slicer: (base) => {
    const handle = withHandle(
      withBlade(base, {
        lengthMm: 240,
        heelHeightMm: 42.57,
        ...heights(11, 22),
        spineMm: 2.5,
        tipThicknessMm: 0.9,
        taperFromMm: 16,
        edgeMm: 0.2,
        ricassoMm: 12,
        outline: {
          spine: points("spine", [80, 10.8], [160, 7], [215, -3]),
          edge: points("edge", [12, -11, "corner"], [14, -31, "corner"], [90, -31], [170, -29], [218, -23.5]),
          tipYMm: -16,
        },
        grind: { kind: "full-flat" },
      }),
      { lengthMm: 124, frontMm: 22, grooveMm: 21.5, swellMm: 25, buttMm: 26, dropMm: 5 },
      [8, 8.4, 9.6, 9],
    );
    return used(
      { ...scaled(handle, 9), fasteners: pins(124, 4, [0.2, 0.5], [0.5, -0.5], [0.8, -3]) },
      "kitchen-slicer",
    );
  },

  skinner: (base) => {
    const handle = withHandle(
      withBlade(base, {
        lengthMm: 92,
        heelHeightMm: 34.16,
        ...heights(13, 26),
        spineMm: 3.2,
        tipThicknessMm: 1.6,
        taperFromMm: 25,
        edgeMm: 0.35,
        outline: {
          spine: points("spine", [35, 13.4], [62, 15.2]),
          edge: points("edge", [10, -13, "corner"], [30, -17], [58, -19], [80, -9.5], [90, 5]),
          tipYMm: 15.5,
        },
        grind: flat(17),
      }),
      { lengthMm: 112, frontMm: 26, grooveMm: 23, swellMm: 28, buttMm: 29, dropMm: 7 },
      [8.2, 8.6, 10.2, 9.4],
    );
    return used(lightened(handle, 0.28, [-36, -50]), "hunting");
  },

  "neck-knife": (base) => {
    const handle = withHandle(
      withBlade(base, {
        lengthMm: 68,
        heelHeightMm: 21.31,
        ...heights(9, 18),
        spineMm: 3,
        tipThicknessMm: 1.6,
        taperFromMm: 24,
        edgeMm: 0.3,
        ricassoMm: 8,
        outline: {
          spine: points("spine", [30, 9], [48, 7.2]),
          edge: points("edge", [8, -9, "corner"], [10, -11.5, "corner"], [36, -11.5], [55, -8]),
          tipYMm: 1,
        },
        grind: flat(13),
        notches: [{ id: "notch-1", purpose: "sharpening", xMm: 9.5, radiusMm: 2, depthMm: 2.5 }],
      }),
      { lengthMm: 96, frontMm: 18, grooveMm: 16.5, swellMm: 18, buttMm: 17, dropMm: 3 },
      [4, 4, 4, 4],
      0,
    );
    const bare = withBareTang(handle, true);
    const wrap = {
      kind: "cord",
      material: "cord-nylon-flat",
      widthMm: 4,
      thicknessMm: 2,
      pitchMm: 4,
      pattern: "crossed",
      fromMm: -6,
      toMm: -82,
    } as const;
    const hole = {
      id: "hole-1",
      xMm: -89,
      yMm: -3.2,
      diameterMm: 5,
      fill: null,
      purpose: "lighten" as const,
    };
    return {
      ...bare,
      tang: bare.tang.kind === "full" ? { ...bare.tang, holes: [hole] } : bare.tang,
      handle: { ...bare.handle, wrap },
      fasteners: [],
      use: {
        ...withUse(bare.use, "own"),
        balanceMm: { low: -30, high: 0 },
        massG: { low: 40, high: 110 },
        gripMm: -18,
      },
      fitUp: { ...bare.fitUp, hand: { ...bare.fitUp.hand, breadthMm: 84 } },
    };
  },

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
      grind: { kind: "convex", heightMm: 24, along: [], bulge: 0.7 },
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

  "kit-blade": (base) => ({
    ...base,
    blade: {
      ...base.blade,
      measured: {
        massG: 118,
        balance: { kind: "direct", xMm: 4 },
        massOffG: 0.5,
        balanceOffMm: 0.5,
        of: { kind: "blade", asWeighed: null },
      },
    },
  }),
};

/** A new knife of a starting form. */
export function startingForm(form: StartingForm, name: string): Design {
  return FORMS[form](newDesign(name));
}
