import { newFastener } from "../../kinds/fasteners/registry";
import { type Fitting, newFitting } from "../../kinds/guardFittings/registry";
import { newDesign } from "../design/create";
import { newGuard } from "../design/guards";
import type { Design, Half, ScalesHandle } from "../design/schema";
import { newTexture } from "../design/textures";
import { newHalf, newLengthwise } from "../layout/handleStarts";
import type { FaultRule } from "../parts/faults";
import { withTang } from "../starts/constructions";

const sound = newDesign("Sedge");
const hidden = withTang(sound, "hidden");
const scales = sound.handle as ScalesHandle;

/** A wrap that can be wound. */
export const WRAP = {
  on: "grip",
  kind: "cord",
  material: "cord-hemp",
  widthMm: 4,
  thicknessMm: 1.6,
  pitchMm: 4,
  pattern: "single",
  fromMm: -10,
  toMm: -90,
} as const;

const ON_POMMEL = { ...WRAP, on: "pommel" } as const;
const curve = (of: readonly [number, number][]) =>
  of.map(([xMm, yMm], i) => ({ id: `p${i}`, xMm, yMm, corner: true }));
const along = (...of: [number, number][]) => ({ ...newLengthwise(sound), points: curve(of) });
const half = (...of: [number, number][]): Half => ({
  ...newHalf("h", "front", sound),
  shape: { kind: "outline", points: curve(of), thicknessMm: 5 },
});

const scaled = (change: Partial<ScalesHandle>): Design => ({ ...sound, handle: { ...scales, ...change } });
/** With 22 mm of the tang bare at the butt. */
const ending: Design = {
  ...scaled({ rearEnd: { bareMm: 22, tiltDeg: 0, wheelRadiusMm: null } }),
  fasteners: [],
};
const onBare = newFastener("sleeve-bolt", "b", { xMm: -102, yMm: -5 }, sound.blade.spineMm);
const cheeked = (change: Partial<Extract<Fitting, { kind: "cheeks" }>>): Design => ({
  ...hidden,
  guard: { ...newGuard(hidden), fittings: [{ ...newFitting("cheeks", "mild-steel"), ...change }] },
});

/** Designs that trip the rules of joints along a handle, halves, and wraps on a pommel. */
export const HANDLE_TRIPS: [FaultRule, Design][] = [
  ["wrap-no-pommel", { ...sound, handle: { ...scales, wraps: [ON_POMMEL] } }],
  ["wrap-no-pommel", { ...hidden, handle: { ...hidden.handle, wraps: [ON_POMMEL] } }],
  ["lengthwise-turns-back", { ...sound, handle: { ...scales, lengthwise: along([-60, 0], [-20, 0]) } }],
  ["lengthwise-turns-back", { ...sound, handle: { ...scales, lengthwise: along([-60, 0], [-60, 8]) } }],
  ["lengthwise-off-handle", { ...sound, handle: { ...scales, lengthwise: along([-10, 90], [-90, 90]) } }],
  [
    "groove-into-tang",
    {
      ...sound,
      handle: { ...scales, grooves: [{ id: "g", xMm: -50, diameterMm: 20, depthMm: 9, sides: "right" }] },
    },
  ],
  [
    "wrap-over-collar",
    {
      ...hidden,
      guard: {
        ...newGuard(hidden),
        fittings: [{ kind: "collar", lengthMm: 6, wallMm: 1.2, material: "brass-260" }],
      },
      handle: { ...hidden.handle, wraps: [{ ...WRAP, fromMm: -8 }] },
    },
  ],
  ["scales-without-room", scaled({ rearEnd: { bareMm: 200, tiltDeg: 0, wheelRadiusMm: null } })],
  [
    "pin-across-scale-end",
    { ...ending, fasteners: [newFastener("pin", "p", { xMm: -89, yMm: -4 }, sound.blade.spineMm)] },
  ],
  ["seat-outside-handle", { ...ending, fasteners: [onBare] }],
  ["wrap-over-bare-end", { ...ending, handle: { ...ending.handle, wraps: [{ ...WRAP, toMm: -100 }] } }],
  ["bevel-too-deep", scaled({ rearBevel: { lengthMm: 20, angleDeg: 70 } })],
  [
    "loss-over-depth",
    scaled({ right: { ...scales.right, face: { kind: "natural", depthMm: 1, meanLossMm: 1.4 } } }),
  ],
  [
    "texture-too-deep",
    { ...sound, blade: { ...sound.blade, face: { kind: "hammered", depthMm: 3, share: 0.5 } } },
  ],
  ["texture-too-deep", scaled({ left: { ...scales.left, face: { ...newTexture("jigged"), depthMm: 9.8 } } })],
  ["scale-unlike-drawn", scaled({ right: { ...scales.right, weighed: { massG: 300, offG: 0.1 } } })],
  ["cheeks-thinner-middle", cheeked({ middleMm: 3 })],
  ["fitting-no-room", cheeked({ thicknessMm: 15 })],
  ["fitting-no-room", cheeked({ belowMm: 50 })],
  ["half-no-area", { ...sound, handle: { ...scales, halves: [half([-10, 0], [-20, 0], [-30, 0])] } }],
  ["half-off-handle", { ...sound, handle: { ...scales, halves: [half([20, 60], [40, 60], [30, 80])] } }],
  [
    "outline-crosses-itself",
    { ...sound, handle: { ...scales, halves: [half([-10, -20], [-30, 10], [-30, -20], [-10, 10])] } },
  ],
];
