import { newFastener } from "../../kinds/fasteners/registry";
import { newFitting } from "../../kinds/guardFittings/registry";
import { newDesign } from "../design/create";
import { newGuard } from "../design/guards";
import { boxesMesh, endingIn, manyOpenings, rodMesh } from "../design/limits.fixtures";
import { newBlockHole, newBolster, newPiece, newRecess } from "../design/newParts";
import type {
  BarEnd,
  BlockHole,
  Design,
  Fastener,
  FastenerKind,
  HiddenTang,
  Measured,
  ScalesHandle,
} from "../design/schema";
import { withHandleLength } from "../layout/handleLengths";
import type { FaultRule } from "../parts/faults";
import { newJoint, withBareTang, withEnd, withTang } from "../starts/constructions";
import { newMeasured } from "../starts/starts";
import { BLADE_TRIPS } from "./bladeTrips.fixtures";
import { HANDLE_TRIPS, WRAP } from "./handleTrips.fixtures";

export const sound = newDesign("Sedge");
if (sound.handle.kind !== "scales" || sound.tang.kind !== "full")
  throw new Error("the sound knife has a full tang");
export const scales = sound.handle;
export const slab = sound.tang;
export const hidden = withTang(sound, "hidden");
if (hidden.handle.kind !== "stack" || hidden.tang.kind !== "hidden") throw new Error("no hidden tang");
export const stick = hidden.tang;
export const stack = hidden.handle;
export const guard = newGuard(sound);
export const blade = (change: Partial<Design["blade"]>): Design => ({
  ...sound,
  blade: { ...sound.blade, ...change },
});
export const handle = (change: Partial<ScalesHandle>): Design => ({
  ...sound,
  handle: { ...scales, ...change },
});
export const tang = (change: Partial<HiddenTang>): Design => ({ ...hidden, tang: { ...stick, ...change } });
export const fasteners = (...f: Design["fasteners"]): Design => ({ ...sound, fasteners: f });
export const node = (role: string, change: { xMm?: number; yMm?: number }) =>
  handle({ outline: sound.handle.outline.map((n) => (n.role === role ? { ...n, ...change } : n)) });
export const [pin] = sound.fasteners;
export const tube = { id: "t", kind: "lanyard-tube", xMm: -60, yMm: 0, material: "brass-260" } as const;
export const mosaic = {
  id: "m",
  kind: "patterned-pin",
  xMm: -60,
  yMm: 0,
  diameterMm: 6,
  fill: "epoxy",
} as const;

export const framed = withTang(sound, "framed");
export const bolster = newBolster("brass-260");
export const dowels = {
  kind: "dowels" as const,
  diameterMm: 1.6,
  lengthMm: 8,
  spreadMm: 18,
  material: "stainless-304",
};
export const ring = { id: "r", xMm: -30, yMm: -24, boreMm: 24, wallMm: 3, widthMm: 9, material: "brass-260" };
export const brief = {
  ...newPiece("p", "block", "walnut-black", 90),
  shape: {
    kind: "plate",
    aboveMm: 13,
    belowMm: 17,
    widthMm: 20,
    roundness: 0,
    domeMm: 0,
    frontDomeMm: 0,
  } as const,
};
export const bow = newFitting("knuckleBow", "brass-360");
export const inHand = (balance: Measured["balance"]) =>
  blade({ measured: { ...newMeasured(100, 10), balance } });
export const made = <K extends FastenerKind>(kind: K) =>
  newFastener(kind, "f", { xMm: -60, yMm: -1 }, sound.blade.spineMm) as Extract<Fastener, { kind: K }>;
export const end = (kind: "threaded" | "stud" | "cap-nut" | "take-down", change: object): Design => {
  const design = withEnd(hidden, kind);
  if (design.tang.kind !== "hidden") throw new Error("no hidden tang");
  return { ...design, tang: { ...design.tang, end: { ...design.tang.end, ...change } as BarEnd } };
};

export const slot = { id: "s", xMm: -60, yMm: 0, lengthMm: 20, widthMm: 6, angleDeg: 0, fill: null };

/** A design that trips each rule; the sound one trips none. */
export const TRIPS: [FaultRule, Design][] = [
  ["unknown-material", blade({ steel: "wood-of-the-moon" })],
  ["ricasso-longer-than-blade", blade({ ricassoMm: 110 })],
  ["ricasso-higher-than-heel", blade({ ricassoHeightMm: 40 })],
  ["edge-thicker-than-spine", blade({ edgeMm: 4.5 })],
  ["edge-thicker-than-tip", blade({ edgeMm: 2, tipThicknessMm: 1 })],
  ["tip-thicker-than-spine", blade({ tipThicknessMm: 8 })],
  ["taper-beyond-blade", blade({ taperFromMm: 200 })],
  [
    "grind-higher-than-blade",
    blade({ grind: { kind: "partial-flat", heightMm: 100, along: [], angleDeg: null } }),
  ],
  ...BLADE_TRIPS,
  ["bare-needs-full-tang", { ...hidden, handle: withBareTang(sound, true).handle }],
  ["wrap-off-handle", { ...sound, handle: { ...scales, wraps: [{ ...WRAP, fromMm: -90, toMm: -20 }] } }],
  ["wrap-off-handle", { ...sound, handle: { ...scales, wraps: [{ ...WRAP, toMm: -180 }] } }],
  ...HANDLE_TRIPS,
  ["wrap-too-close", { ...sound, handle: { ...scales, wraps: [{ ...WRAP, pitchMm: 3 }] } }],
  [
    "groove-off-handle",
    {
      ...sound,
      handle: { ...scales, grooves: [{ id: "g", xMm: -150, diameterMm: 8, depthMm: 1, sides: "both" }] },
    },
  ],
  ["tip-longer-than-blade", blade({ tip: { ...sound.blade.tip, bellyMm: 104 } })],
  [
    "hollow-wheel-too-small",
    blade({ grind: { kind: "hollow", heightMm: 20, along: [], angleDeg: null, wheelRadiusMm: 8 } }),
  ],
  [
    "hollow-cuts-through",
    blade({ grind: { kind: "hollow", heightMm: 24, along: [], angleDeg: null, wheelRadiusMm: 16 } }),
  ],
  ["outline-crosses-itself", node("swell", { yMm: 40 })],
  ["outline-ahead-of-front", node("groove", { xMm: 5 })],
  ["outline-front-open", node("front-top", { xMm: -4 })],
  ["outline-no-area", node("front-top", { yMm: -13 })],
  [
    "points-together",
    handle({
      outline: scales.outline.flatMap((n, i) => (i === 2 ? [n, { ...n, id: "again" }] : [n])),
    }),
  ],
  ["points-together", handle({ plan: scales.plan.map((n) => ({ ...n, xMm: -40 })) })],
  ["points-out-of-order", handle({ plan: [...scales.plan].reverse() })],
  ["pin-off-handle", fasteners({ ...pin, yMm: 25 })],
  [
    "hole-off-tang",
    {
      ...sound,
      tang: {
        ...slab,
        holes: [{ id: "h", xMm: -200, yMm: 0, diameterMm: 4, fill: null, purpose: "lighten" }],
      },
    },
  ],
  ["fasteners-overlap", fasteners(pin, { ...pin, id: "again", xMm: pin.xMm - 3 })],
  ["bore-not-inside-tube", fasteners({ ...tube, diameterMm: 6, boreMm: 6 })],
  [
    "pattern-overfull",
    fasteners({
      ...mosaic,
      tube: { material: "copper", share: 0.6 },
      rods: { material: "copper", share: 0.6 },
    }),
  ],
  ["handle-thinner-than-tang", handle({ plan: sound.handle.plan.map((p) => ({ ...p, halfMm: 1.5 })) })],
  ["stock-thinner-than-handle", handle({ right: { ...scales.right, thicknessMm: 4 } })],
  ["bevel-too-deep", handle({ frontBevel: { lengthMm: 20, angleDeg: 70 } })],
  ["tang-and-handle-apart", { ...sound, tang: stick }],
  [
    "tang-not-short",
    { ...sound, tang: { ...slab, short: { lengthMm: 300, behind: "weld", material: "mild-steel" } } },
  ],
  ["boss-beyond-guard", { ...hidden, guard: { ...guard, bossMm: 60 } }],
  ["arms-wider-than-guard", { ...hidden, guard: { ...guard, armWidthMm: 90 } }],
  [
    "guard-longer-than-handle",
    {
      ...sound,
      guard: { ...guard, plates: [{ ...guard.plates[0], thicknessMm: 60 }] },
      handle: withHandleLength(scales, "length", 50),
    },
  ],
  ["guard-lower-than-tang", { ...sound, guard: { ...guard, aboveMm: 9 } }],
  ["tang-through-guard", { ...hidden, guard: { ...guard, aboveMm: 5 } }],
  ["tang-hole-breaks-out", tang({ endHeightMm: 40 })],
  ["tang-hole-breaks-out", tang({ frontThicknessMm: 22 })],
  [
    "pieces-longer-than-handle",
    {
      ...hidden,
      handle: { ...stack, pieces: [{ ...stack.pieces[0], id: "long", lengthMm: 300 }, ...stack.pieces] },
    },
  ],
  ["duplicate-id", fasteners(pin, { ...pin, xMm: -60 })],
  ["duplicate-id", handle({ plan: scales.plan.map((n) => ({ ...n, id: "x" })) })],
  ["duplicate-id", handle({ outline: scales.outline.map((n) => ({ ...n, id: "x" })) })],
  ["balance-beyond-blade", inHand({ kind: "direct", xMm: 300 })],
  ["balance-beyond-blade", inHand({ kind: "direct", xMm: -300 })],
  ["supports-together", inHand({ kind: "supports", restAtMm: 20, scaleAtMm: 20, readingG: 40 })],
  ["reading-over-weight", inHand({ kind: "supports", restAtMm: -40, scaleAtMm: 60, readingG: 140 })],
  [
    "measured-too-far-off",
    blade({
      measured: {
        ...newMeasured(400, -20, "knife"),
        of: { kind: "knife", asWeighed: null, takes: "handle" },
      },
    }),
  ],
  ["measured-unlike-drawn", blade({ measured: newMeasured(60, null) })],
  ["balance-unlike-drawn", blade({ measured: newMeasured(140, 30) })],
  ["slot-off-tang", { ...sound, tang: { ...slab, slots: [{ ...slot, lengthMm: 60, angleDeg: 90 }] } }],
  ["fastener-sizes", fasteners({ ...made("sleeve-bolt"), headMm: 3 })],
  ["fastener-sizes", fasteners({ ...made("cap-screw"), counterboreMm: 4 })],
  ["fastener-sizes", fasteners({ ...made("binding-screw"), boreDepthMm: 31, screwLengthMm: 30 })],
  ["fastener-sizes", fasteners({ ...made("cap-screw"), insertLengthMm: 14 })],
  ["screw-longer-than-room", fasteners({ ...made("sleeve-bolt"), screwLengthMm: 20 })],
  ["screw-longer-than-room", fasteners({ ...made("cap-screw"), screwLengthMm: 9 })],
  [
    "pin-cuts-tang",
    { ...hidden, fasteners: [{ ...pin, xMm: -40, yMm: stick.yMm, diameterMm: 18 } as Fastener] },
  ],
  ["pin-notches-tang", { ...hidden, fasteners: [{ ...pin, xMm: -40, yMm: stick.yMm + 5 }] }],
  ["seat-inside-tang", fasteners({ ...made("nutted-rod"), seatMm: 1 })],
  ["seat-outside-handle", fasteners({ ...made("sleeve-bolt"), seatMm: 30 })],
  ["waist-wheel-too-small", handle({ waist: { xMm: -60, chordMm: 80, wheelRadiusMm: 20 } })],
  [
    "bolsters-meet",
    handle({ bolsters: { front: { ...bolster, lengthMm: 70 }, rear: { ...bolster, lengthMm: 70 } } }),
  ],
  ["joint-off-handle", handle({ joints: [{ ...newJoint("j", sound), xMm: -200 }] })],
  [
    "joints-cross",
    handle({
      joints: [
        { ...newJoint("j-1", sound), xMm: -40, dividers: [{ material: "brass-260", thicknessMm: 10 }] },
        { ...newJoint("j-2", sound), xMm: -45 },
      ],
    }),
  ],
  [
    "joints-cross",
    handle({
      joints: [
        { ...newJoint("j-1", sound), xMm: -40, tiltDeg: 50, dividers: [] },
        { ...newJoint("j-2", sound), xMm: -50, tiltDeg: -50 },
      ],
    }),
  ],
  [
    "joints-cross",
    handle({
      bolsters: { front: { ...bolster, tiltDeg: 50 }, rear: null },
      joints: [{ ...newJoint("j-1", sound), xMm: -25, tiltDeg: -50 }],
    }),
  ],
  [
    "joints-cross",
    {
      ...hidden,
      fasteners: [],
      handle: {
        ...stack,
        pieces: [
          { ...newPiece("a", "ferrule", "brass-260", 12), tiltDeg: 40 },
          { ...newPiece("b", "spacer", "g10", 5), tiltDeg: -40 },
          newPiece("c", "block", "walnut-black", 60),
        ],
      },
    },
  ],
  ["recess-no-room", { ...sound, tang: { ...slab, recess: { ...newRecess(sound), rimMm: 40 } } }],
  ["recess-cuts-through", { ...sound, tang: { ...slab, recess: { ...newRecess(sound), depthMm: 2.5 } } }],
  ["tang-thicker-than-frame", { ...framed, tang: { ...framed.tang, frontThicknessMm: 9 } as Design["tang"] }],
  ["tang-does-not-fit-hole", tang({ hole: { ...newBlockHole("milled", stick), widthMm: 2 } as BlockHole })],
  ["thread-too-short", end("threaded", { rodMm: 5 })],
  ["screw-misses-tang", end("take-down", { seatMm: 90 })],
  ["screw-wider-than-tang", end("take-down", { diameterMm: 5, headMm: 8, counterboreMm: 9 })],
  ["end-sizes", end("take-down", { headMm: 2.5 })],
  ["end-sizes", end("cap-nut", { rodMm: 60 })],
  ["thread-too-short", end("cap-nut", { rodMm: 5 })],
  ["lap-too-short", end("stud", { lapMm: 3 })],
  ["dome-deeper-than-guard", { ...hidden, guard: { ...guard, domeMm: 9 } }],
  [
    "notch-into-tang",
    { ...hidden, guard: { ...guard, fittings: [{ kind: "notch", radiusMm: 20, depthMm: 40 }] } },
  ],
  ["dowel-off-guard", { ...hidden, guard: { ...guard, fittings: [{ ...dowels, spreadMm: 90 }] } }],
  ["dowel-in-tang", { ...hidden, guard: { ...guard, fittings: [{ ...dowels, spreadMm: 6 }] } }],
  ["fitting-too-short", { ...hidden, guard: { ...guard, fittings: [{ ...bow, endMm: 100 }] } }],
  ["fitting-no-room", { ...hidden, guard: { ...guard, fittings: [{ ...bow, reachMm: 16 }] } }],
  ["pieces-short-of-butt", { ...hidden, fasteners: [], handle: { ...stack, pieces: [brief] } }],
  ["ring-apart", { ...hidden, handle: { ...stack, rings: [{ ...ring, yMm: -60 }] } }],
  [
    "shape-missing",
    { ...hidden, guard: { ...guard, mesh: { meshId: "gone", forward: "x", rollDeg: 0, yMm: 0, xMm: 0 } } },
  ],
  [
    "shape-crosses-itself",
    endingIn(
      boxesMesh(
        [
          [0, -8, -8],
          [12, 8, 8],
        ],
        [
          [6, -4, -4],
          [20, 4, 4],
        ],
      ),
    ),
  ],
  [
    "shape-too-folded",
    endingIn(
      boxesMesh(
        ...[0, 1, 2, 3, 4, 5, 6].map(
          (k) =>
            [
              [0, -8, 2 * k - 7],
              [20, 8, 2 * k - 6],
            ] as const,
        ),
      ),
    ),
  ],
  ["shapes-too-fine", endingIn(rodMesh(2900), 3)],
  ["design-too-detailed", manyOpenings(0.3)],
];
