import { newFastener } from "../../kinds/fasteners/registry";
import { FULLER, MARK } from "../../knife/design/blades.fixtures";
import { newDesign } from "../../knife/design/create";
import { newGuard } from "../../knife/design/guards";
import { newPiece } from "../../knife/design/newParts";
import { newScale } from "../../knife/design/newScale";
import type { Design, Fastener, FitUp, HiddenTang, ScalesHandle } from "../../knife/design/schema";
import { newRing } from "../../knife/layout/newRing";
import { withEnd, withMetalGrip, withTang } from "../../knife/starts/constructions";
import { ownId, plainOwn } from "../../materials/own/make";
import type { OwnMaterial } from "../../materials/own/types";
import { figuresOf } from "../tune/effects";
import type { TradeRule } from "./types";

/** A knife that nothing speaks against: short pins well inside laminate scales, one metal, a glue with time. */
export const base = newDesign("Sedge");
if (base.handle.kind !== "scales" || base.tang.kind !== "full") throw new Error("no full tang");
export const slab = base.tang;
export const pinAt = (id: string, xMm: number, yMm: number): Fastener => ({
  ...(newFastener("pin", id, { xMm, yMm }, 4) as Extract<Fastener, { kind: "pin" }>),
  diameterMm: 4,
  material: "mild-steel",
});
export const g10 = newScale("g10", 9.5);
export const scales: ScalesHandle = { ...base.handle, right: g10, left: g10 };
export const anywhere = { balanceMm: { low: -100, high: 100 }, massG: { low: 1, high: 2000 } };
export const sound: Design = {
  ...base,
  use: { ...base.use, ...anywhere },
  blade: {
    ...base.blade,
    measured: {
      massG: 140,
      balance: { kind: "direct", xMm: -23 },
      onDay: null,
      massOffG: 0.5,
      balanceOffMm: 0.5,
      of: { kind: "blade", asWeighed: null },
    },
  },
  handle: scales,
  fasteners: [pinAt("pin-1", -20, 0), pinAt("pin-2", -55, -1), pinAt("pin-3", -92, -5)],
};
export const drawn: Design = { ...sound, blade: base.blade };

export const stickOf = (design: Design): HiddenTang => {
  if (design.tang.kind !== "hidden") throw new Error("no hidden tang");
  return design.tang;
};
export const withStick = (change: Partial<HiddenTang>, design: Design = hidden): Design => ({
  ...design,
  tang: { ...stickOf(design), ...change },
});
export const turned = withTang(drawn, "hidden");
/** The same with a stick in a block of G-10. */
export const hidden: Design = {
  ...turned,
  fasteners: [],
  tang: {
    ...stickOf(turned),
    yMm: 0,
    frontHeightMm: 11,
    endHeightMm: 8,
    frontThicknessMm: 4,
    endThicknessMm: 3.5,
    shoulderRadiusMm: 1.5,
  },
};
export const inWood = (design: Design, material: string): Design =>
  design.handle.kind === "stack"
    ? {
        ...design,
        handle: { ...design.handle, pieces: design.handle.pieces.map((p) => ({ ...p, material })) },
      }
    : {
        ...design,
        handle: {
          ...(design.handle as ScalesHandle),
          right: newScale(material, 9.5),
          left: newScale(material, 9.5),
        },
      };
export const fitted = (design: Design, change: Partial<FitUp>): Design => ({
  ...design,
  fitUp: { ...design.fitUp, ...change },
});
export const pins = (design: Design, ...fasteners: Fastener[]): Design => ({ ...design, fasteners });
export const hole = (xMm: number, yMm: number, diameterMm: number) => ({
  id: "h",
  xMm,
  yMm,
  diameterMm,
  fill: null,
  purpose: "lighten" as const,
});
export const bolt = newFastener("sleeve-bolt", "b", { xMm: -55, yMm: -1 }, 4) as Extract<
  Fastener,
  { kind: "sleeve-bolt" }
>;
export const good = { ...bolt, seatMm: 6.8, screwLengthMm: 11, material: "mild-steel" };
export const screw = newFastener("cap-screw", "c", { xMm: -55, yMm: -1 }, 4) as Extract<
  Fastener,
  { kind: "cap-screw" }
>;
export const guard = newGuard(hidden);
export const steel = { ...guard, plates: [{ material: "mild-steel", thicknessMm: 5, printed: null }] };
export const guarded = { ...hidden, guard: steel };
export const end = (kind: "take-down" | "threaded" | "peened", change: object): Design => {
  const design = withEnd(hidden, kind);
  return withStick({ end: { ...stickOf(design).end, ...change } as HiddenTang["end"] }, design);
};
export const all = [...sound.fasteners.slice(0, 1), sound.fasteners[2]];

/** A tang that is burned into a block of a material. */
/** A bronze grip with rings of one bore, so far apart. */
export const ringed = (boreMm: number, ...apartMm: readonly number[]): Design => {
  const grip = withMetalGrip({ ...sound, fasteners: [] }, "bronze-silicon");
  if (grip.handle.kind !== "stack") throw new Error("no stack");
  const usual = newRing("r-1", grip)!;
  const first = { ...usual, boreMm, yMm: usual.yMm + (usual.boreMm - boreMm) / 2 };
  const more = apartMm.map((mm, i) => ({ ...first, id: `r-${i + 2}`, xMm: first.xMm - mm }));
  return { ...grip, handle: { ...grip.handle, rings: [first, ...more] } };
};
const burnedInto = (design: Design, material: string): Design =>
  inWood(
    withStick({ hole: { kind: "burned", clearanceMm: 0.2, deeperMm: 3, fill: "epoxy" } }, design),
    material,
  );
export const burned = (material: string): Design => burnedInto(hidden, material);

/** The same into a dense wood of the maker's own, which holds so much water, in percent. */
export const burnedDamp = (moisturePercent: number): Design => {
  const at12 = { typical: 0.8, low: 0.75, high: 0.85 };
  const wood: OwnMaterial = {
    ...plainOwn(ownId("damp")),
    name: "Fresh beech",
    density: { kind: "moisture", at12, moisturePercent, moistureOffPercent: 1 },
  };
  return burnedInto({ ...hidden, materials: [wood as Design["materials"][number]] }, wood.id);
};

/** A window that begins a millimetre and a half ahead of where the drawn knife balances. */
export const balance = figuresOf(drawn)!.balanceMm;
export const NEAR = { low: balance + 1.5, high: balance + 8 };

/** For each rule, a design that trips it; none of them can not be built. */
const inSteel = (design: Design, steel: string): Design => ({ ...design, blade: { ...design.blade, steel } });
/** A knife whose shop has one oven. */
const heatedIn = (design: Design, oven: Partial<Design["workshop"]["heatSources"][number]>): Design => ({
  ...design,
  workshop: {
    ...design.workshop,
    heatSources: [
      { name: "Oven", kind: "oven", mostC: 1200, holds: true, longestMm: 400, pieces: 2, offC: 10, ...oven },
    ],
  },
});

export const TRIPS: Record<TradeRule, Design> = {
  "wall-in-wood": inWood(withStick({ yMm: -3 }), "walnut-black"),
  "wall-in-laminate": withStick({ yMm: 5.5 }),
  "wall-in-metal": inWood(withStick({ yMm: 6.4 }), "brass-360"),
  "edge-in-wood": pins(inWood(sound, "walnut-black"), pinAt("pin-1", -20, 6), ...sound.fasteners.slice(1)),
  "edge-in-laminate": pins(sound, pinAt("pin-1", -20, 8), ...sound.fasteners.slice(1)),
  "edge-in-metal": pins(inWood(sound, "brass-360"), pinAt("pin-1", -20, 9.8), ...sound.fasteners.slice(1)),
  "web-between-holes": pins(sound, ...sound.fasteners, pinAt("pin-4", -60, -1)),
  "web-to-tang-edge": pins(sound, pinAt("pin-1", -20, 9.5), ...sound.fasteners.slice(1)),
  "far-from-front": pins(sound, ...sound.fasteners.slice(1)),
  "far-from-butt": pins(sound, ...sound.fasteners.slice(0, 2)),
  "guard-cannot-pass": withStick({ endHeightMm: 14 }, guarded),
  "shoulder-covers-slot": {
    ...guarded,
    blade: { ...guarded.blade, spineOverAxisMm: 6, ricassoHeightMm: 11.6 },
  },
  "slot-gap": { ...guarded, guard: { ...steel, slot: { clearanceMm: 0.4, fill: null } } },
  "guard-before-holes": { ...sound, guard: { ...newGuard(sound), plates: steel.plates } },
  "tang-before-hardening": drawn,
  "peened-on-soft": pins(sound, ...all, newFastener("rivet", "r", { xMm: -55, yMm: -1 }, 4)),
  "bolt-under-head": pins(sound, ...all, { ...good, seatMm: 4 }),
  "bolt-over-seat": pins(sound, ...all, { ...good, seatMm: 9.3, screwLengthMm: 14 }),
  "bolt-engagement": pins(sound, ...all, { ...good, screwLengthMm: 7 }),
  "insert-length": pins(sound, ...all, { ...screw, insertLengthMm: 4 }),
  "insert-too-long": pins(sound, ...all, { ...screw, insertLengthMm: 7 }),
  "bolt-head-proud": pins(sound, ...all, { ...good, seatMm: 9.1, headThicknessMm: 3, screwLengthMm: 14 }),
  "thread-engagement": end("take-down", { engagedMm: 2 }),
  "held-for-good": (() => {
    const apart = end("take-down", {});
    const { hole } = stickOf(apart);
    return withStick({ hole: { ...hole, fill: "epoxy" } }, apart);
  })(),
  "burned-in-fumes": burned("maple-burl-stabilised"),
  "burned-in-soft": burned("pine-white"),
  "burned-in-damp": burnedDamp(28),
  "mouth-uncovered": withStick({ hole: { kind: "broached", clearanceMm: 0.6, deeperMm: 3, fill: null } }),
  "blade-thinner-than-tang": withStick({ frontThicknessMm: drawn.blade.spineMm + 0.5 }),
  "thread-wider-than-bar": withStick({ endThicknessMm: 3 }, withEnd(hidden, "threaded")),
  "metal-unpinned": inWood(withStick({}), "brass-360"),
  "tang-short-in-handle": withStick({ lengthMm: 40 }),
  "shoulder-sharp": withStick({ shoulderRadiusMm: 0 }),
  "tang-stress": fitted(hidden, { loads: { ...hidden.fitUp.loads, edgeN: 700 } }),
  "stock-too-small": fitted(sound, {
    stock: {
      ...sound.fitUp.stock,
      have: [{ piece: "scale:pair", lengthMm: 80, heightMm: 60, thicknessMm: 10 }],
    },
  }),
  "too-thin-to-cut": {
    ...sound,
    handle: {
      ...scales,
      joints: [
        {
          id: "j",
          xMm: -70,
          tiltDeg: 0,
          dividers: [{ material: "g10", thicknessMm: 0.1 }],
          right: "g10",
          left: "g10",
        },
      ],
    },
  },
  "shape-cut-short": {
    ...hidden,
    handle: {
      ...hidden.handle,
      pieces: [
        newPiece("b", "block", "g10", 60),
        {
          ...newPiece("p", "pommel", "mild-steel", 6),
          shape: { kind: "ball", diameterMm: 40, yMm: 0 },
        },
      ],
    } as Design["handle"],
  },
  "hole-rim": { ...sound, tang: { ...slab, holes: [hole(-70, 8, 5)] } },
  "hole-in-front-fifth": { ...sound, tang: { ...slab, holes: [hole(-12, 2, 5)] } },
  "handle-short-for-hand": { ...sound, workshop: { ...sound.workshop, handMm: 110 } },
  "ring-narrow": ringed(18),
  "ring-spacing": ringed(24, 38),
  "nothing-before-finger": fitted(
    { ...sound, handle: { ...scales, outline: scales.outline.filter((n) => n.role !== "groove") } },
    { thrust: true },
  ),
  "fuller-web": {
    ...drawn,
    blade: {
      ...drawn.blade,
      fullers: [
        { ...FULLER, radiusMm: 2, downMm: 4 },
        { ...FULLER, id: "f-2", radiusMm: 2, downMm: 8 },
      ],
    },
  },
  "mark-clear": { ...drawn, blade: { ...drawn.blade, marks: [{ ...MARK, downMm: 9 }] } },
  "fuller-floor": { ...drawn, blade: { ...drawn.blade, fullers: [{ ...FULLER, depthMm: 1.4 }] } },
  "step-at-joint": { ...sound, blade: { ...sound.blade, spineOverAxisMm: 12 } },
  "round-handle": { ...sound, handle: { ...scales, plan: scales.plan.map((p) => ({ ...p, halfMm: 11.5 })) } },
  "bevel-lost": { ...sound, handle: { ...scales, frontBevel: { lengthMm: 0.5, angleDeg: 45 } } },
  "steel-needs-more-heat": heatedIn(inSteel(drawn, "steel-440c"), { mostC: 900 }),
  "longer-than-its-heat": heatedIn(drawn, { longestMm: 120 }),
  "glue-sets-too-soon": {
    ...sound,
    workshop: { ...sound.workshop, glue: { ...sound.workshop.glue, potLifeMin: 5 } },
  },
  "wood-moves": inWood(sound, "oak-white"),
  "washers-unpressed": {
    ...hidden,
    handle: {
      ...hidden.handle,
      pieces: [newPiece("w", "washer", "leather-veg", 30), newPiece("p", "block", "g10", 60)],
    } as Design["handle"],
  },
  "washers-overpressed": {
    ...hidden,
    handle: {
      ...hidden.handle,
      pieces: [
        { ...newPiece("w", "washer", "leather-veg", 40), pressedShare: 0.4 },
        newPiece("p", "block", "g10", 60),
      ],
    } as Design["handle"],
  },
  "outside-target": { ...drawn, use: { ...drawn.use, massG: { low: 1, high: 2000 }, balanceMm: NEAR } },
  "metals-differ": pins(sound, ...sound.fasteners.map((f) => ({ ...f, material: "brass-360" }) as Fastener)),
};
