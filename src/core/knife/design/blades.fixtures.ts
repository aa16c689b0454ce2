import { asPoints, settledBlade } from "../layout/bladeLengths";
import { newDesign } from "./create";
import type { Blade, BladeMark, Fuller } from "./schema";

const sound = newDesign("Sedge");

/** A groove that a blade can have. */
export const FULLER: Fuller = {
  id: "f-1",
  sides: "both",
  fromMm: 20,
  toMm: 70,
  from: "spine",
  downMm: 6,
  radiusMm: 4,
  depthMm: 0.6,
  tool: { kind: "ball" },
};

export const NOTCH = { id: "n-1", purpose: "sharpening", xMm: 12, radiusMm: 2.5, depthMm: 2.5 } as const;
export const SWEDGE = { lengthMm: 40, runOutMm: 10, heightMm: 6, leavesMm: 1, sides: "both" } as const;
export const BOLSTER = {
  lengthMm: 14,
  aboveMm: 14,
  belowMm: 14,
  widthMm: 18,
  frontWidthMm: 5,
  roundness: 0.8,
};

/** A frame three by two with a bar in it, on the flat over the grind. */
export const MARK: BladeMark = {
  id: "mark-1",
  side: "right",
  says: "Frame",
  madeFrom: "drawing",
  xMm: 30,
  downMm: 4.5,
  heightMm: 3,
  turnedDeg: 0,
  depthMm: 0.05,
  way: "current",
  art: "M-0.75 -0.5L0.75 -0.5L0.75 0.5L-0.75 0.5ZM-0.6 -0.35L-0.6 0.35L0.6 0.35L0.6 -0.35ZM-0.4 -0.1L0.4 -0.1L0.4 0.1L-0.4 0.1Z",
};

/** Blades of every new kind that can be built. */
const BLADES: Readonly<Record<string, Partial<Blade>>> = {
  "blade: outline of its own": asPoints(sound.blade),
  "blade: swept back and upswept": {
    ...asPoints(sound.blade),
    riseDeg: 4,
    outline: {
      spine: [
        { id: "s-1", xMm: 40, yMm: 12, corner: false },
        { id: "s-2", xMm: 75, yMm: 13.5, corner: false },
      ],
      edge: [
        { id: "e-1", xMm: 10, yMm: -13, corner: true },
        { id: "e-2", xMm: 10.5, yMm: -15, corner: true },
        { id: "e-3", xMm: 45, yMm: -11.5, corner: false },
        { id: "e-4", xMm: 80, yMm: -9, corner: false },
      ],
      tipYMm: 20,
    },
  },
  "blade: dagger": dagger({ kind: "diamond", ridgeShare: 0.5 }),
  "blade: dagger, lens": { ...dagger({ kind: "lens", ridgeShare: 0.5 }), sharpenedDeg: 20 },
  "blade: dagger, hollow": dagger({ kind: "double-hollow", ridgeShare: 0.5, wheelRadiusMm: 50 }),
  "blade: dagger with a fuller": {
    ...dagger({ kind: "diamond", ridgeShare: 0.5 }),
    fullers: [{ ...FULLER, from: "middle", downMm: 0, toMm: 80, depthMm: 0.8, radiusMm: 5 }],
  },
  "blade: false edge": { swedge: { ...SWEDGE }, sharpenedDeg: 20 },
  "blade: fullers by a wheel on one side": {
    fullers: [
      { ...FULLER, sides: "right", tool: { kind: "wheel", runOutRadiusMm: 40 } },
      { ...FULLER, id: "f-2", sides: "left", downMm: 10, fromMm: 4 },
    ],
  },
  "blade: two fullers a side": {
    fullers: [
      { ...FULLER, radiusMm: 2, downMm: 4 },
      { ...FULLER, id: "f-2", radiusMm: 2, downMm: 11 },
    ],
  },
  "blade: sides that differ": {
    leftGrind: { kind: "convex", heightMm: 22, along: [], angleDeg: null, bulge: 0.6 },
  },
  "blade: ground on one side": {
    grind: { kind: "full-flat" },
    leftGrind: { kind: "none" },
    sharpenedDeg: 25,
  },
  "blade: face by points": {
    grind: {
      kind: "partial-flat",
      heightMm: 18,
      along: [
        { id: "h-1", xMm: 10, heightMm: 12 },
        { id: "h-2", xMm: 60, heightMm: 19 },
        { id: "h-3", xMm: 100, heightMm: 10 },
      ],
      angleDeg: null,
    },
  },
  "blade: one angle kept": {
    grind: { kind: "partial-flat", heightMm: 18, along: [], angleDeg: 4.5 },
    taper: [{ id: "t-1", xMm: 60, thicknessMm: 3.4 }],
  },
  "blade: taper by points": {
    taper: [
      { id: "t-1", xMm: 50, thicknessMm: 3.8 },
      { id: "t-2", xMm: 85, thicknessMm: 2.9 },
    ],
  },
  "blade: radiused plunge": { plunge: { sweepDeg: 0, radiusMm: 8 } },
  "blade: swept plunge": { plunge: { sweepDeg: 25, radiusMm: 0 } },
  "blade: swept and radiused plunge": { plunge: { sweepDeg: -12, radiusMm: 5 } },
  "blade: notches": {
    notches: [{ ...NOTCH }, { id: "n-2", purpose: "finger", xMm: 6, radiusMm: 9, depthMm: 7 }],
  },
  "blade: thumb ramp": { ramp: { fromMm: 2, lengthMm: 18, riseMm: 3 } },
  "blade: integral bolster": { bolster: BOLSTER },
  "blade: marks": {
    marks: [
      { ...MARK },
      { ...MARK, id: "mark-2", side: "left", turnedDeg: 180, way: "stamped", depthMm: 0.2 },
    ],
  },
};

/** A true dagger's outline, alike about the axis. */
function dagger(grind: Blade["grind"]): Partial<Blade> {
  const half = (side: 1 | -1) =>
    [
      [10, 12],
      [45, 11],
      [80, 7.5],
    ].map(([xMm, y], i) => ({ id: `${side > 0 ? "s" : "e"}-${i}`, xMm, yMm: side * y, corner: false }));
  return {
    spineOverAxisMm: 11,
    ricassoHeightMm: 22,
    heelHeightMm: 24,
    ricassoMm: 6,
    taperFromMm: 6,
    spineMm: 5,
    tipThicknessMm: 1.5,
    outline: { spine: half(1), edge: half(-1), tipYMm: 0 },
    grind,
  };
}

/** The same, their measures in step with their outlines. */
export const SOUND_BLADES: Readonly<Record<string, Partial<Blade>>> = Object.fromEntries(
  Object.entries(BLADES).map(([name, change]) => [name, settledBlade({ ...sound.blade, ...change })]),
);
