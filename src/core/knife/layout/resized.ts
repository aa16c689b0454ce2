import { round } from "../design/create";
import type { Design } from "../design/schema";
import { withBladeLength, withHeelHeight } from "./bladeLengths";
import { handleLength, stretchedHandle } from "./handleLengths";

/** The four lengths that a maker types for a new knife, mm. */
export interface KnifeSizes {
  readonly bladeMm: number;
  readonly heightMm: number;
  readonly spineMm: number;
  readonly handleMm: number;
}

export const KNIFE_SIZES = ["bladeMm", "heightMm", "spineMm", "handleMm"] as const;

/** Least and most of each: what the record can hold, and what is still a handle. */
export const SIZE_LIMITS: Readonly<Record<keyof KnifeSizes, readonly [number, number]>> = {
  bladeMm: [10, 1200],
  heightMm: [3, 200],
  spineMm: [0.3, 25],
  handleMm: [40, 500],
};

export function sizesOf({ blade, handle }: Design): KnifeSizes {
  return {
    bladeMm: blade.lengthMm,
    heightMm: blade.heelHeightMm,
    spineMm: blade.spineMm,
    handleMm: round(handleLength(handle, "length") ?? 0),
  };
}

/**
 * The knife in other sizes: its blade stretched as a whole, thicknesses along it in proportion, and what is drilled, wound
 * and let into the handle moved along with it. The same sizes give the same knife.
 */
export function resized(design: Design, to: KnifeSizes): Design {
  const now = sizesOf(design);
  let next = design;
  if (to.bladeMm !== now.bladeMm) {
    const { lengthChange } = next.blade;
    const blade = withBladeLength({ ...next.blade, lengthChange: "stretches" }, to.bladeMm);
    next = { ...next, blade: { ...blade, lengthChange } };
  }
  if (to.heightMm !== now.heightMm) next = withHeight(next, to.heightMm, to.heightMm / now.heightMm);
  if (to.spineMm !== now.spineMm) next = withSpine(next, to.spineMm, to.spineMm / now.spineMm);
  return to.handleMm === now.handleMm ? next : withGrip(next, to.handleMm, to.handleMm / now.handleMm);
}

function withHeight(design: Design, heightMm: number, share: number): Design {
  const blade = withHeelHeight(design.blade, heightMm);
  const { grind, leftGrind, swedge } = blade;
  const scaled = <G extends NonNullable<typeof leftGrind> | typeof grind>(g: G): G =>
    "heightMm" in g
      ? {
          ...g,
          heightMm: Math.max(0.5, round(g.heightMm * share)),
          along: g.along.map((p) => ({ ...p, heightMm: Math.max(0.2, round(p.heightMm * share)) })),
        }
      : g;
  return {
    ...design,
    blade: {
      ...blade,
      ricassoHeightMm: Math.max(
        2,
        blade.outline ? blade.ricassoHeightMm : Math.min(blade.ricassoHeightMm, heightMm),
      ),
      grind: scaled(grind),
      leftGrind: leftGrind && scaled(leftGrind),
      swedge: swedge && { ...swedge, heightMm: Math.max(0.2, round(swedge.heightMm * share)) },
      marks: blade.marks.map((m) => ({ ...m, downMm: round(m.downMm * share) })),
      fullers: blade.fullers.map((f) => ({
        ...f,
        downMm: round(f.downMm * share),
        radiusMm: Math.max(0.5, round(f.radiusMm * share)),
      })),
    },
  };
}

function withSpine(design: Design, spineMm: number, share: number): Design {
  const { blade, tang } = design;
  const less = (mm: number, least = 0.1) => Math.max(least, round(mm * share));
  const taper = tang.kind === "full" && tang.taper;
  return {
    ...design,
    blade: {
      ...blade,
      spineMm,
      tipThicknessMm: less(blade.tipThicknessMm),
      taper: blade.taper.map((p) => ({ ...p, thicknessMm: less(p.thicknessMm) })),
      edgeMm: Math.min(blade.edgeMm, round(spineMm / 2)),
      swedge: blade.swedge && { ...blade.swedge, leavesMm: round(blade.swedge.leavesMm * share) },
      fullers: blade.fullers.map((f) => ({ ...f, depthMm: less(f.depthMm, 0.05) })),
    },
    tang:
      tang.kind === "full"
        ? {
            ...tang,
            taper: taper ? { frontMm: less(taper.frontMm, 0.3), buttMm: less(taper.buttMm, 0.3) } : null,
          }
        : {
            ...tang,
            frontThicknessMm: less(tang.frontThicknessMm, 0.5),
            // What a screw is tapped into stays as thick as the screw asks for.
            endThicknessMm:
              tang.kind === "hidden" && tang.end.kind !== "plain" && share < 1
                ? Math.min(tang.endThicknessMm, less(tang.frontThicknessMm, 0.5))
                : less(tang.endThicknessMm, 0.5),
          },
  };
}

function withGrip(design: Design, handleMm: number, share: number): Design {
  const next = stretchedHandle(design, handleMm);
  const { handle, tang } = next;
  const along = (mm: number) => round(mm * share);
  return {
    ...next,
    tang: tang.kind === "full" ? tang : { ...tang, lengthMm: Math.max(5, along(tang.lengthMm)) },
    handle: {
      ...handle,
      wraps: handle.wraps.map((w) => ({ ...w, fromMm: along(w.fromMm), toMm: along(w.toMm) })),
      grooves: handle.grooves.map((g) => ({ ...g, xMm: along(g.xMm) })),
    },
  };
}
