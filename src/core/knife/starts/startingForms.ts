import { newDesign, tipFrom } from "../design/create";
import {
  flat,
  heights,
  lightened,
  pins,
  points,
  scaled,
  used,
  withBlade,
  withHandle,
} from "../design/formParts";
import { newGrip } from "../design/grips";
import type { Design } from "../design/schema";
import { withUse } from "../design/uses";
import { withBareTang } from "./constructions";
import { LONGER_FORMS } from "./longerForms";
import { newMeasured } from "./starts";

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
        grind: { kind: "hollow", heightMm: 14, along: [], angleDeg: null, wheelRadiusMm: 127 },
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
      on: "grip",
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
      handle: { ...bare.handle, wraps: [wrap] },
      fasteners: [],
      use: {
        ...withUse(bare.use, "own"),
        balanceMm: { low: -30, high: 0 },
        massG: { low: 40, high: 110 },
        grips: [newGrip("grip-1", "Working", -18)],
      },
      workshop: { ...bare.workshop, handMm: 84 },
    };
  },

  ...LONGER_FORMS,

  // Drawn as the field knife until it is weighed and measured.
  "kit-blade": (base) => {
    const drawn = FORMS.field(base);
    return { ...drawn, blade: { ...drawn.blade, measured: newMeasured(null, null) } };
  },
};

/** A new knife of a starting form. */
export function startingForm(form: StartingForm, name: string): Design {
  return FORMS[form](newDesign(name));
}
