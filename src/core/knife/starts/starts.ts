import { kindOf } from "../../kinds/fasteners/registry";
import { plainFullTang, round } from "../design/create";
import { measuredBalanceMm } from "../design/measuredBalance";
import { newShort } from "../design/newParts";
import type { BareBlade, Blade, Design, DrawnBlade, FinishedKnife, Measured } from "../design/schema";

/**
 * A blade or a finished knife in the hand: of so much weight and balance, or not weighed yet. What is changed of the drawing
 * describes it until its maker says otherwise.
 */
export function newMeasured(
  massG: number | null,
  balanceMm: number | null,
  kind: Measured["of"]["kind"] = "blade",
): Measured {
  return {
    massG,
    balance: { kind: "direct", xMm: balanceMm },
    onDay: null,
    massOffG: 0.5,
    balanceOffMm: 0.5,
    of: kind === "blade" ? { kind, asWeighed: null } : { kind, asWeighed: null, takes: "blade" },
  };
}

/** The same balance, given the other way. The supports begin at the datum and at the blade's middle. */
export function withBalanceKind(blade: Blade, kind: "direct" | "supports"): Measured | null {
  const { measured } = blade;
  if (!measured || measured.balance.kind === kind) return measured;
  const xMm = measuredBalanceMm(measured);
  if (kind === "direct") return { ...measured, balance: { kind, xMm: xMm === null ? null : round(xMm) } };
  const scaleAtMm = round(blade.lengthMm * 0.6);
  const readingG =
    xMm === null || measured.massG === null ? null : Math.max(0, round((measured.massG * xMm) / scaleAtMm));
  return { ...measured, balance: { kind, restAtMm: 0, scaleAtMm, readingG } };
}

function drawn({ measured: _, ...blade }: Blade): DrawnBlade {
  return blade;
}

/** Blade and tang as they are drawn, with all holes in them. */
export function bareBladeOf({ blade, tang, handle, fasteners }: Design): BareBlade {
  const bores = fasteners.map((f) => ({ xMm: f.xMm, yMm: f.yMm, diameterMm: kindOf(f).tangBoreMm(f) }));
  return { blade: drawn(blade), tang, outline: handle.outline, bores };
}

/** The knife as it is drawn. */
export function finishedKnifeOf({ blade, tang, handle, guard, fasteners }: Design): FinishedKnife {
  return { blade: drawn(blade), tang, handle, guard, fasteners };
}

/** What can be cut out of a blade after it was weighed. */
export const CUTS = ["bores", "openings", "recess", "taper"] as const;
export type Cut = (typeof CUTS)[number];

/** Whether a kind of cut was in the blade when it was weighed; null where neither that nor the present drawing has any. */
export function wasIn(design: Design, then: BareBlade, cut: Cut): boolean | null {
  const has = ({ tang, bores }: BareBlade): boolean => {
    if (cut === "bores") return bores.length > 0;
    if (tang.kind !== "full") return false;
    if (cut === "openings") return tang.holes.length + tang.slots.length > 0;
    return tang[cut] !== null;
  };
  return has(then) ? true : has(bareBladeOf(design)) ? false : null;
}

/** Whether something is still to be cut into a blade that was weighed by itself. */
export function isCutLater(design: Design): boolean {
  const of = design.blade.measured?.of;
  const then = of?.kind === "blade" ? of.asWeighed : null;
  return then !== null && CUTS.some((cut) => wasIn(design, then, cut) === false);
}

/** The drawing as it was weighed, with a kind of cut in it as it is drawn now, or without. */
export function withCut(design: Design, then: BareBlade, cut: Cut, isIn: boolean): BareBlade {
  const now = bareBladeOf(design);
  if (cut === "bores") return { ...then, bores: isIn ? now.bores : [] };
  if (then.tang.kind !== "full" || now.tang.kind !== "full") return then;
  const { tang } = isIn ? { tang: now.tang } : { tang: plainFullTang() };
  if (cut === "openings") return { ...then, tang: { ...then.tang, holes: tang.holes, slots: tang.slots } };
  return { ...then, tang: { ...then.tang, [cut]: tang[cut] } };
}

/**
 * An old knife to be re-handled: its short tang lengthened by a welded piece, the old pins' holes filled with mild
 * steel, and a new hole drilled behind each. Only a full tang can be; another comes back as it was.
 */
export function asRehandled(design: Design): Design {
  const { tang } = design;
  if (tang.kind !== "full") return design;
  const pins = design.fasteners.filter((f) => f.kind === "pin");
  const old = pins.map((p) => ({
    id: `old-${p.id}`.slice(0, 40),
    xMm: p.xMm,
    yMm: p.yMm,
    diameterMm: p.diameterMm,
    fill: "mild-steel",
    purpose: "old-pin" as const,
  }));
  const known = new Set(tang.holes.map((h) => h.id));
  return {
    ...design,
    tang: {
      ...tang,
      short: tang.short ?? newShort(design),
      holes: [...tang.holes, ...old.filter((h) => !known.has(h.id))].slice(0, 60),
    },
    fasteners: design.fasteners.map((f) =>
      f.kind === "pin" && !known.has(`old-${f.id}`) ? { ...f, xMm: round(f.xMm - f.diameterMm - 2) } : f,
    ),
  };
}
