import { BOLSTER, FULLER, NOTCH, SWEDGE } from "../design/blades.fixtures";
import { newDesign } from "../design/create";
import type { Blade, Design, Fuller } from "../design/schema";
import { asPoints } from "../layout/bladeLengths";
import type { FaultRule } from "../parts/faults";

const sound = newDesign("Sedge");

const blade = (change: Partial<Blade>): Design => ({ ...sound, blade: { ...sound.blade, ...change } });

const own = asPoints(sound.blade).outline!;

const fullers = (...list: Partial<Fuller>[]) =>
  blade({ fullers: list.map((change, i) => ({ ...FULLER, id: `f-${i + 1}`, ...change })) });

/** A blade for each rule of its outline, sections and cuts that it breaks. */
export const BLADE_TRIPS: [FaultRule, Design][] = [
  [
    "blade-outline-crosses",
    blade({ outline: { ...own, edge: own.edge.map((p, i) => (i === 3 ? { ...p, yMm: 40 } : p)) } }),
  ],
  [
    "blade-behind-datum",
    blade({
      outline: {
        ...own,
        spine: [
          { id: "a", xMm: 0, yMm: 14, corner: false },
          { id: "b", xMm: 0, yMm: 40, corner: false },
          { id: "c", xMm: 30, yMm: 30, corner: false },
        ],
      },
    }),
  ],
  [
    "points-together",
    blade({
      outline: {
        ...own,
        edge: [...own.edge.slice(0, 1), { ...own.edge[0], id: "again" }, ...own.edge.slice(1)],
      },
    }),
  ],
  ["points-together", blade({ taper: [1, 2].map((n) => ({ id: `t-${n}`, xMm: 60, thicknessMm: 3 })) })],
  ["taper-thicker-than-stock", blade({ taper: [{ id: "t", xMm: 60, thicknessMm: 4.5 }] })],
  ["taper-point-off", blade({ taper: [{ id: "t", xMm: 12, thicknessMm: 4 }] })],
  [
    "left-grind-unused",
    blade({
      grind: { kind: "single-bevel", heightMm: 14, along: [], angleDeg: null, side: "right" },
      leftGrind: { kind: "full-flat" },
    }),
  ],
  ["plunge-off-blade", blade({ plunge: { sweepDeg: -60, radiusMm: 0 } })],
  [
    "grind-higher-than-blade",
    blade({ leftGrind: { kind: "convex", heightMm: 60, along: [], angleDeg: null, bulge: 0.5 } }),
  ],
  // Ground on one side, its upper edge lies in the flat that the false edge takes away.
  [
    "hollow-cuts-through",
    blade({
      grind: { kind: "diamond", ridgeShare: 0.5 },
      leftGrind: { kind: "none" },
      swedge: { ...SWEDGE, leavesMm: 0.6 },
    }),
  ],
  ["hollow-wheel-too-small", blade({ grind: { kind: "double-hollow", ridgeShare: 0.5, wheelRadiusMm: 6 } })],
  ["fuller-off-blade", fullers({ toMm: 130 })],
  ["fuller-off-blade", fullers({ fromMm: 60, toMm: 40 })],
  ["fuller-off-blade", fullers({ downMm: 1 })],
  ["fullers-meet", fullers({}, { downMm: 9 })],
  ["fuller-cuts-through", fullers({ depthMm: 2.5 })],
  ["fuller-deeper-than-radius", fullers({ radiusMm: 0.5, depthMm: 0.8 })],
  ["swedge-longer-than-blade", blade({ swedge: { ...SWEDGE, lengthMm: 140 } })],
  ["swedge-leaves-spine", blade({ swedge: { ...SWEDGE, leavesMm: 4.5 } })],
  ["notch-off-edge", blade({ notches: [{ ...NOTCH, xMm: 120 }] })],
  ["notch-not-open", blade({ notches: [{ ...NOTCH, radiusMm: 2, depthMm: 4.5 }] })],
  [
    "blade-outline-crosses",
    blade({ tip: { ...sound.blade.tip, style: "straight-back", heightShare: 1.05, dropMm: 0 } }),
  ],
  [
    "blade-beyond-tip",
    blade({
      outline: {
        ...own,
        spine: [...own.spine, { id: "far", xMm: sound.blade.lengthMm + 8, yMm: 4, corner: false }],
      },
    }),
  ],
  ["notch-cuts-through", blade({ notches: [{ ...NOTCH, radiusMm: 20.5, depthMm: 40 }] })],
  ["ramp-off-blade", blade({ ramp: { fromMm: 80, lengthMm: 30, riseMm: 3 } })],
  ["bolster-longer-than-blade", blade({ bolster: { ...BOLSTER, lengthMm: 110 } })],
  ["bolster-inside-blade", blade({ bolster: { ...BOLSTER, widthMm: 3 } })],
];
