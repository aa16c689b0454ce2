import { produce } from "immer";
import { putAt } from "../../base/record/path";
import { THREADS, type Thread } from "../../base/units/threads";
import { endKindOf } from "../../kinds/tangEnds/registry";
import { round } from "../design/create";
import type { Design } from "../design/schema";
import { threadChange } from "../design/threadChange";
import { withBladeLength, withHeelHeight } from "./bladeLengths";
import { handleLength, stretchedHandle } from "./handleLengths";
import { withinEnds } from "./withinEnds";

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
  if (to.spineMm !== now.spineMm)
    next = withThreadThatFits(withSpine(next, to.spineMm, to.spineMm / now.spineMm));
  return to.handleMm === now.handleMm ? next : withGrip(next, to.handleMm, to.handleMm / now.handleMm);
}

/** A shoulder stands so far over its tang on each side at least, mm. */
const SHOULDER_MM = 1.2;

/** A bar that stays within a blade's height at its front, so that the blade has a shoulder on both sides. */
function withinBlade(
  tang: Design["tang"],
  { spineOverAxisMm: topMm }: Design["blade"],
  ricassoMm: number,
): Design["tang"] {
  if (tang.kind === "full") return tang;
  const half = Math.min(topMm - tang.yMm, tang.yMm - (topMm - ricassoMm)) - SHOULDER_MM;
  const frontHeightMm = Math.min(tang.frontHeightMm, Math.max(2, round(2 * half)));
  return { ...tang, frontHeightMm, endHeightMm: Math.min(tang.endHeightMm, frontHeightMm) };
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
  const ricassoHeightMm = Math.max(
    2,
    blade.outline ? blade.ricassoHeightMm : Math.min(blade.ricassoHeightMm, heightMm),
  );
  return {
    ...design,
    tang: share < 1 ? withinBlade(design.tang, blade, ricassoHeightMm) : design.tang,
    blade: {
      ...blade,
      ricassoHeightMm,
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
        : // In a handle that stays as it is a bar grows no thicker: what is round it would become too thin.
          share >= 1
          ? tang
          : withBarOf(tang, less(tang.frontThicknessMm, 0.5), less(tang.endThicknessMm, 0.5)),
  };
}

type Bar = Exclude<Design["tang"], { kind: "full" }>;

/** A thinner bar: towards its end no thicker than at its front. */
function withBarOf(tang: Bar, frontMm: number, endMm: number): Bar {
  const isThreaded = tang.kind === "hidden" && tang.end.kind !== "plain";
  // What is tapped or threaded stays as thick as it can.
  const end = isThreaded ? Math.min(tang.endThicknessMm, frontMm) : endMm;
  return { ...tang, frontThicknessMm: frontMm, endThicknessMm: end };
}

/** A screw leaves so much of the bar that it goes into on both sides together, mm. */
const ROUND_SCREW_MM = 0.5;

/** The knife with a thread on its tang's end that the bar has room for: the largest of the coarse metric ones. */
function withThreadThatFits(design: Design): Design {
  const { tang } = design;
  if (tang.kind !== "hidden" || !("pitchMm" in tang.end)) return design;
  const { end } = tang;
  const room =
    Math.min(tang.endThicknessMm, tang.endHeightMm) - (endKindOf(end).rod(end)?.ofTang ? 0 : ROUND_SCREW_MM);
  if (end.diameterMm <= room) return design;
  const thread = THREADS.filter((t) => t.name.startsWith("M") && t.diameterMm <= room).reduce<Thread | null>(
    (best, t) => (best && best.diameterMm >= t.diameterMm ? best : t),
    null,
  );
  const change = thread && threadChange(design, "tang.end", thread);
  if (!change) return design;
  return produce(design, (draft) => {
    for (const { path, value } of change.sets) putAt(draft, path, value);
  });
}

function withGrip(design: Design, handleMm: number, share: number): Design {
  const next = withinEnds(design, stretchedHandle(design, handleMm));
  const { handle, tang } = next;
  const along = (mm: number) => round(mm * share);
  return {
    ...next,
    tang: tang.kind === "full" ? tang : { ...tang, lengthMm: Math.max(5, along(tang.lengthMm)) },
    handle: {
      ...handle,
      wrap: handle.wrap && {
        ...handle.wrap,
        fromMm: along(handle.wrap.fromMm),
        toMm: along(handle.wrap.toMm),
      },
      grooves: handle.grooves.map((g) => ({ ...g, xMm: along(g.xMm) })),
    },
  };
}
