import { FASTENER_KINDS, newFastener } from "../../kinds/fasteners/registry";
import { FITTINGS, newFitting } from "../../kinds/guardFittings/registry";
import { newJoint, withBareTang, withEnd, withMetalGrip, withTang } from "../starts/constructions";
import { SOUND_BLADES } from "./blades.fixtures";
import { withButt, withFingerGrooves } from "./butts";
import { newDesign } from "./create";
import { GUARD_FORMS, guardOfForm } from "./guards";
import { newBlockHole, newBolster, newPiece, newRecess, newShape, newShort } from "./newParts";
import { newScale } from "./newScale";
import { partedConstructions } from "./parted.fixtures";
import type {
  BlockHole,
  Design,
  FastenerKind,
  Guard,
  HiddenTang,
  PieceShape,
  ScalesHandle,
  StackHandle,
  Wrap,
} from "./schema";
import { workedConstructions } from "./worked.fixtures";

const sound = newDesign("Sedge");
const hidden = withTang(sound, "hidden");
const framed = withTang(sound, "framed");

function scales(change: Partial<ScalesHandle>, of: Design = sound): Design {
  if (of.handle.kind !== "scales") throw new Error("no scales");
  return { ...of, handle: { ...of.handle, ...change } };
}

function slab(change: object): Design {
  if (sound.tang.kind !== "full") throw new Error("no full tang");
  return { ...sound, tang: { ...sound.tang, ...change } };
}

/** A hidden tang with other measures; pins that would not go through the middle of it are left out. */
function stick(change: Partial<HiddenTang>, of: Design = hidden): Design {
  if (of.tang.kind !== "hidden") throw new Error("no hidden tang");
  const tang = { ...of.tang, ...change };
  const [top, bottom] = [tang.yMm + tang.endHeightMm / 2, tang.yMm - tang.endHeightMm / 2];
  const inside = of.fasteners.filter((f) => {
    const r = "diameterMm" in f ? f.diameterMm / 2 : 0;
    return f.yMm + r < top && f.yMm - r > bottom && f.xMm - r > -tang.lengthMm;
  });
  return { ...of, tang, fasteners: inside };
}

function stack(change: Partial<StackHandle>, of: Design = hidden): Design {
  if (of.handle.kind !== "stack") throw new Error("no pieces");
  return { ...of, handle: { ...of.handle, ...change }, fasteners: [] };
}

function block(kind: BlockHole["kind"]): Design {
  if (hidden.tang.kind !== "hidden") throw new Error("no hidden tang");
  return stick({ hole: newBlockHole(kind, hidden.tang) });
}

function guarded(of: Design, change: Partial<Guard>, form: (typeof GUARD_FORMS)[number] = "oval"): Design {
  return { ...of, guard: { ...guardOfForm(form, of), ...change } };
}

function fastened(kind: FastenerKind): Design {
  const place = { xMm: -60, yMm: -2 };
  return { ...sound, fasteners: [newFastener(kind, "f-1", place, sound.blade.spineMm)] };
}

function endedIn(shape: PieceShape, lengthMm: number): Design {
  return stack({
    pieces: [
      newPiece("p-1", "block", "walnut-black", 50),
      { ...newPiece("p-2", "pommel", "brass-360", lengthMm), shape },
    ],
  });
}

const bare: Design = { ...withBareTang(sound, true), fasteners: [] };

function wrapped(of: Design, change: Partial<Wrap>): Design {
  const wrap: Wrap = {
    on: "grip",
    kind: "cord",
    material: "cord-nylon-flat",
    widthMm: 4,
    thicknessMm: 1.6,
    pitchMm: 4,
    pattern: "single",
    fromMm: -6,
    toMm: -98,
    ...change,
  };
  return { ...of, handle: { ...of.handle, wraps: [wrap] } };
}

const round = { frontCornerMm: 2, endCornerMm: 2, shoulderRadiusMm: 1.5 };
const thin = { frontHeightMm: 9, endHeightMm: 5, frontThicknessMm: 4, endThicknessMm: 4, yMm: 0 };

/** Blades that every suite looks at; all others are held by a suite of their own. */
const COMMON_BLADES = [
  "blade: outline of its own",
  "blade: dagger with a fuller",
  "blade: two fullers a side",
  "blade: sides that differ",
  "blade: face by points",
  "blade: notches",
  "blade: integral bolster",
];

/** One design for each construction, by name: all can be built. */
export const CONSTRUCTIONS: Readonly<Record<string, Design>> = {
  ...partedConstructions(sound, hidden),
  "full tang with slots": slab({
    slots: [{ id: "slot-1", xMm: -52, yMm: 1, lengthMm: 24, widthMm: 8, angleDeg: 8, fill: "epoxy" }],
  }),
  "full tang with a flat recess": slab({ recess: newRecess(sound) }),
  "full tang with a hollow recess, filled": slab({
    recess: { ...newRecess(sound), floor: "hollow", fill: "epoxy" },
  }),
  "tapered tang with a recess": slab({
    taper: { frontMm: 4, buttMm: 2.5 },
    recess: { ...newRecess(sound), depthMm: 0.6 },
  }),
  "short tang, welded on": slab({ short: newShort(sound) }),
  "short tang with a filler": slab({ short: { ...newShort(sound), behind: "filler", material: "g10" } }),
  "old pin holes filled": slab({
    holes: [
      { id: "h-1", xMm: -30, yMm: 0, diameterMm: 5, fill: "mild-steel", purpose: "old-pin" },
      { id: "h-2", xMm: -88, yMm: -4, diameterMm: 5, fill: "mild-steel", purpose: "old-pin" },
    ],
  }),
  "framed tang": framed,
  "framed tang, rounded bar": { ...framed, tang: { ...framed.tang, ...round } as Design["tang"] },
  "hidden tang, rounded section": stick({ ...round }),
  "hidden tang, drilled hole": block("drilled"),
  "hidden tang, milled hole": block("milled"),
  "hidden tang, burned in": block("burned"),
  "hidden tang, stepped drilling": stick({
    ...thin,
    lengthMm: 70,
    hole: {
      kind: "drilled",
      stages: [
        { bitMm: 10, count: 1, pitchMm: 0, depthMm: 30 },
        { bitMm: 8.5, count: 1, pitchMm: 0, depthMm: 74 },
      ],
      fill: "epoxy",
    },
  }),
  "through tang, peened": stick(
    { ...thin, hole: newBlockHole("broached", hidden.tang as HiddenTang) },
    withEnd(hidden, "peened"),
  ),
  "through tang, threaded": stick({ ...thin, frontCornerMm: 1, endCornerMm: 2 }, withEnd(hidden, "threaded")),
  "through tang, hex nut proud": (() => {
    const d = withEnd(hidden, "threaded");
    if (d.tang.kind !== "hidden" || d.tang.end.kind !== "threaded") throw new Error("no thread");
    const nut = { ...d.tang.end.nut, style: "hex" as const };
    return stick({ ...thin, end: { ...d.tang.end, nut, seatMm: 0 } }, d);
  })(),
  "through tang, cap nut": (() => {
    const d = withEnd(hidden, "threaded");
    if (d.tang.kind !== "hidden" || d.tang.end.kind !== "threaded") throw new Error("no thread");
    const nut = { ...d.tang.end.nut, style: "domed" as const, acrossMm: 12 };
    return stick({ ...thin, end: { ...d.tang.end, nut, seatMm: 0 } }, d);
  })(),
  "take-down": guarded(stick({ ...thin }, withEnd(hidden, "take-down")), {
    fittings: [{ kind: "dowels", diameterMm: 1.6, lengthMm: 8, spreadMm: 18, material: "stainless-304" }],
    slot: { clearanceMm: 0.1, fill: "epoxy" },
  }),
  "pieces with leaning joints": stack({
    pieces: [
      { ...newPiece("p-1", "ferrule", "brass-360", 12), tiltDeg: 15 },
      { ...newPiece("p-2", "spacer", "g10", 3), tiltDeg: 15 },
      { ...newPiece("p-3", "block", "walnut-black", 60), tiltDeg: -10 },
      newPiece("p-4", "butt-plate", "nickel-silver", 20),
    ],
  }),
  "washers pressed together": stack({
    pieces: [
      { ...newPiece("p-1", "washer", "leather-veg", 40), pressedShare: 0.12 },
      newPiece("p-2", "block", "walnut-black", 60),
    ],
  }),
  "printed spacer with its own outline": stack({
    pieces: [
      {
        ...newPiece("p-1", "spacer", "abs", 8),
        shape: {
          kind: "plate",
          aboveMm: 15,
          belowMm: 16,
          widthMm: 24,
          roundness: 0.7,
          domeMm: 0,
          frontDomeMm: 0,
        },
        printed: { infillShare: 0.3, wallMm: 1.2 },
      },
      newPiece("p-2", "block", "walnut-black", 60),
    ],
  }),
  "ball pommel": endedIn({ kind: "ball", diameterMm: 26, yMm: -6 }, 24),
  "disc pommel": endedIn({ kind: "disc", diameterMm: 34, widthMm: 16, yMm: -6 }, 30),
  "faceted pommel": endedIn({ kind: "faceted", aboveMm: 8, belowMm: 22, widthMm: 24, facets: 8 }, 22),
  "hexagonal pommel": endedIn({ kind: "faceted", aboveMm: 8, belowMm: 22, widthMm: 24, facets: 6 }, 22),
  "domed cap": endedIn(
    { kind: "plate", aboveMm: 8, belowMm: 22, widthMm: 24, roundness: 0.9, domeMm: 8, frontDomeMm: 0 },
    16,
  ),
  "beaked pommel": endedIn(newShape("beak", sound), 26),
  "bolsters, leaning and dovetailed": scales({
    bolsters: {
      front: { ...newBolster("nickel-silver"), tiltDeg: 20, dovetailDeg: 25 },
      rear: { ...newBolster("brass-260"), lengthMm: 16, tiltDeg: -10 },
    },
    frontBevel: null,
  }),
  ...workedConstructions(sound, hidden),
  "segmented scales": scales({
    joints: [
      { ...newJoint("j-1", sound), xMm: -38, tiltDeg: 25 },
      { ...newJoint("j-2", sound), xMm: -80, tiltDeg: -15, dividers: [], right: "g10" },
    ],
    liners: [{ material: "g10", thicknessMm: 0.8 }],
  }),
  "facets all round": scales({ facets: 8 }),
  "twelve facets on a stick": stack({ facets: 12 }),
  "roundness that varies": scales({
    plan: sound.handle.plan.map((p, i) => ({ ...p, roundness: [0.3, 0.9, 1, 0.5][i] })),
  }),
  "sides that differ": scales({
    plan: sound.handle.plan.map((p) => ({ ...p, leftHalfMm: p.halfMm - 2 })),
    left: newScale("antler-deer", 7),
  }),
  "waist by a wheel": stack({ waist: { xMm: -70, chordMm: 50, wheelRadiusMm: 101.6 } }),
  "bird's head": {
    ...sound,
    handle: { ...sound.handle, outline: withButt(sound.handle.outline, "birds-head") },
  },
  "hooked butt": { ...sound, handle: { ...sound.handle, outline: withButt(sound.handle.outline, "hooked") } },
  fishtail: { ...sound, handle: { ...sound.handle, outline: withButt(sound.handle.outline, "fishtail") } },
  "finger grooves": {
    ...sound,
    handle: { ...sound.handle, outline: withFingerGrooves(sound.handle.outline, 4, 2.5) },
  },
  ...Object.fromEntries(GUARD_FORMS.map((form) => [`guard: ${form}`, guarded(hidden, {}, form)])),
  "guard of layers, thinner at its ends": guarded(
    hidden,
    {
      plates: [
        { material: "brass-360", thicknessMm: 3, printed: null },
        { material: "g10", thicknessMm: 1, printed: null },
        { material: "nickel-silver", thicknessMm: 3, printed: null },
      ],
      endShare: 0.5,
    },
    "double-quillon",
  ),
  "domed guard": guarded(hidden, { domeMm: 3 }),
  "guard with a collar": guarded(sound, {
    fittings: [{ kind: "collar", lengthMm: 8, wallMm: 1.5, material: "brass-260" }],
  }),
  "bare tang": bare,
  "bare tang in cord": wrapped(bare, {}),
  "bare, tapered tang in crossed lace": wrapped(
    { ...bare, tang: { ...bare.tang, taper: { frontMm: 4, buttMm: 2.5 } } as Design["tang"] },
    { on: "grip", kind: "strip", material: "lace-leather", widthMm: 5, pitchMm: 12, pattern: "crossed" },
  ),
  "scales in cord": wrapped({ ...sound, fasteners: [] }, { fromMm: -30, toMm: -80, pitchMm: 6 }),
  "stick tang in a leather strip": wrapped(stack({}), {
    on: "grip",
    kind: "strip",
    material: "leather-veg",
    widthMm: 12,
    pitchMm: 14,
  }),
  "side grooves": {
    ...sound,
    handle: {
      ...sound.handle,
      grooves: [
        { id: "g-1", xMm: -40, diameterMm: 10, depthMm: 1.2, sides: "both" as const },
        { id: "g-2", xMm: -52, diameterMm: 6, depthMm: 1.5, sides: "right" as const },
      ],
    },
  },
  "printed guard": guarded(hidden, {
    plates: [{ material: "pla", thicknessMm: 8, printed: { infillShare: 0.2, wallMm: 1.2 } }],
    roundness: 1,
  }),
  "metal grip with finger rings": (() => {
    const d = withMetalGrip({ ...sound, fasteners: [] }, "bronze-silicon");
    const ring = { boreMm: 24, wallMm: 3, widthMm: 9, material: "bronze-silicon" };
    return stack({ rings: [{ id: "r-1", xMm: -30, yMm: -24, ...ring }] }, d);
  })(),
  ...Object.fromEntries(
    COMMON_BLADES.map((name) => [name, { ...sound, blade: { ...sound.blade, ...SOUND_BLADES[name] } }]),
  ),
  ...Object.fromEntries(FASTENER_KINDS.map((kind) => [`fastener: ${kind}`, fastened(kind)])),
  ...Object.fromEntries(
    FITTINGS.map(({ kind }) => [
      `fitting: ${kind}`,
      guarded(sound, { fittings: [newFitting(kind, "brass-360")] }),
    ]),
  ),
};
