import { roundTo } from "../../base/number";
import { plainBladeForm } from "./bladeForm";
import { plainFitUp } from "./fitUp";
import { plainHandleForm } from "./handleParts";
import { plainJob } from "./job";
import { newScale } from "./newScale";
import type { Blade, Design, FullTang, NodeRole, OutlineNode, PlanNode, TipStyle } from "./schema";
import { plainUse } from "./uses";
import { plainWork } from "./work";
import { plainWorkshop } from "./workshop";

/** Main measures of a handle's outline, mm. */
export interface HandleMeasures {
  readonly lengthMm: number;
  readonly frontMm: number;
  readonly grooveMm: number;
  readonly swellMm: number;
  readonly buttMm: number;
  /** How far the butt hangs below the front. */
  readonly dropMm: number;
}

/** An outline of eight named points with those measures, its front face centred on the axis. */
export function outlineFrom(m: HandleMeasures): OutlineNode[] {
  const top = m.frontMm / 2;
  const L = m.lengthMm;
  const node = (role: NodeRole, share: number, yMm: number, corner = false): OutlineNode => ({
    id: role,
    role,
    xMm: share === 0 ? 0 : round(-share * L),
    yMm: round(yMm),
    corner,
  });
  const backY = top - 0.1 * m.dropMm;
  const rearTop = top - 0.8 * m.dropMm;
  return [
    node("front-top", 0, top, true),
    node("back", 0.45, backY),
    node("rear-top", 0.88, rearTop),
    node("butt", 1, rearTop - 0.55 * m.buttMm),
    node("rear-bottom", 0.91, rearTop - m.buttMm),
    node("swell", 0.55, backY - m.swellMm),
    node("groove", 0.2, top - m.grooveMm),
    node("front-bottom", 0, -m.frontMm / 2, true),
  ];
}

/** Half thicknesses at the front, the waist, the swell and the butt, of one roundness. */
export function planFrom(
  lengthMm: number,
  halves: readonly [number, number, number, number],
  roundness = 0.7,
): PlanNode[] {
  return [0, 0.25, 0.6, 1].map((share, i) => ({
    id: `plan-${i + 1}`,
    xMm: share === 0 ? 0 : round(-share * lengthMm),
    halfMm: halves[i],
    leftHalfMm: null,
    roundness,
  }));
}

/** To a hundredth of a millimetre: what is proposed reads well in a field. */
export function round(x: number): number {
  return roundTo(x, 2);
}

/** Tip proportions that a style begins with: shares of the heel height and of the blade's length. */
const TIP_PROPORTIONS: Record<TipStyle, { height: number; drop: number; belly: number }> = {
  "drop-point": { height: 0.5, drop: 0.5, belly: 0.42 },
  "clip-point": { height: 0.62, drop: 0.34, belly: 0.4 },
  spear: { height: 0.5, drop: 0.4, belly: 0.4 },
  sheepsfoot: { height: 0, drop: 0.2, belly: 0 },
  "straight-back": { height: 1, drop: 0, belly: 0.5 },
  "trailing-point": { height: 1.18, drop: 0.5, belly: 0.55 },
};

/** The tip a style begins with on a blade of that length. */
export function tipFrom(style: TipStyle, lengthMm: number): Blade["tip"] {
  const p = TIP_PROPORTIONS[style];
  return {
    style,
    heightShare: p.height,
    dropMm: round(p.drop * lengthMm),
    bellyMm: round(p.belly * lengthMm),
  };
}

/** A full tang without taper or openings. */
export function plainFullTang(): FullTang {
  return { kind: "full", taper: null, holes: [], slots: [], recess: null, short: null };
}

/** A sound field knife to begin from. */
export function newDesign(name: string): Design {
  return {
    kind: "fixed",
    name,
    notes: "",
    blade: {
      steel: "steel-1084",
      lengthMm: 105,
      heelHeightMm: 28,
      spineOverAxisMm: 13,
      spineMm: 4,
      tipThicknessMm: 2,
      taperFromMm: 30,
      ricassoMm: 10,
      ricassoHeightMm: 26,
      edgeMm: 0.4,
      tip: tipFrom("drop-point", 105),
      grind: { kind: "partial-flat", heightMm: 18, along: [], angleDeg: null },
      ...plainBladeForm(),
      measured: null,
    },
    tang: plainFullTang(),
    handle: {
      kind: "scales",
      outline: outlineFrom({ lengthMm: 112, frontMm: 26, grooveMm: 23, swellMm: 29, buttMm: 28, dropMm: 6 }),
      plan: planFrom(112, [8.5, 8.8, 10.5, 9.5]),
      facets: null,
      waist: null,
      ...plainHandleForm(),
      right: newScale("walnut-black", 9.5),
      left: newScale("walnut-black", 9.5),
      liners: [],
      frontBevel: { lengthMm: 4, angleDeg: 45 },
      rearEnd: null,
      rearBevel: null,
      bolsters: { front: null, rear: null },
      joints: [],
      lengthwise: null,
      halves: [],
    },
    guard: null,
    fasteners: [
      { id: "pin-1", kind: "pin", xMm: -20, yMm: 0.5, diameterMm: 4.7625, material: "brass-360" },
      { id: "pin-2", kind: "pin", xMm: -88, yMm: -5, diameterMm: 4.7625, material: "brass-360" },
    ],
    meshes: [],
    materials: [],
    workshop: plainWorkshop(),
    fitUp: plainFitUp(),
    use: plainUse(),
    work: plainWork(),
    job: plainJob(),
    locked: [],
    names: {},
  };
}
