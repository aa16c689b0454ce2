import { clamp, roundTo } from "../../base/number";
import type { Point } from "../../geometry/curve/bezier";
import type { Knot } from "../../geometry/curve/spline";
import type { Design, NodeRole, OutlineNode, OutlinePoint } from "../../knife/design/schema";
import { settledBlade } from "../../knife/layout/bladeLengths";
import { guardThickness } from "../../knife/layout/guard";
import { resized, SIZE_LIMITS, sizesOf } from "../../knife/layout/resized";
import { fitKnots } from "./fitKnots";
import { crossings, type Laid } from "./placing";
import { edgesToTip, openedAtFront, splitAtDatum } from "./split";

/** What an outline may be of a knife. */
export const OUTLINE_ROLES = ["blank", "blade", "tang", "handle", "scale"] as const;
export type OutlineRole = (typeof OUTLINE_ROLES)[number];

export interface OutlineFit {
  /** How far the knife's curves may pass the outline, mm. */
  readonly withinMm: number;
  /** Corners are looked for over this reach, mm. */
  readonly cornerReachMm: number;
  readonly laid: Laid;
}

/** Drawings are exact; what is traced off a photo is not. */
export const DRAWN_FIT: OutlineFit = { withinMm: 0.03, cornerReachMm: 0.8, laid: "drawn" };
export const TRACED_FIT: OutlineFit = { withinMm: 0.2, cornerReachMm: 3, laid: "by-hand" };

export type OutlineFailure =
  /** The datum does not lie in the outline, with steel on both sides of it. */
  | { readonly code: "datum-outside" }
  /** A length that no knife here has. */
  | {
      readonly code: "length";
      readonly of: "blade" | "handle" | "tang";
      readonly mm: number;
      readonly least: number;
      readonly most: number;
    };

export type OutlineApplied =
  | { readonly ok: true; readonly design: Design; readonly largestDeviationMm: number }
  | ({ readonly ok: false } & OutlineFailure);

/** Points of a blade's edge, and of a handle's outline, with both ends; as the record has them. */
const MOST_BLADE_KNOTS = 32;
const MOST_HANDLE_KNOTS = 40;
const TANG_LIMITS = [5, 600] as const;

/** A knife with an outline, in its own frame, for a part of it: a closed run of places. */
export function withOutline(
  design: Design,
  as: OutlineRole,
  points: readonly Point[],
  fit: OutlineFit,
): OutlineApplied {
  if (as === "blank") return withBlank(design, points, fit);
  if (as === "blade") {
    const split = splitAtDatum(points);
    // A blade by itself begins at its datum, or just ahead of it.
    return withBlade(design, split ? split.ahead : openedAtRear(points), fit);
  }
  if (as === "tang") return withTangOf(design, points, fit);
  const front = as === "scale" && design.guard ? -guardThickness(design.guard) : 0;
  return withHandle(design, openedAtFront(points), front, fit);
}

function withBlank(design: Design, points: readonly Point[], fit: OutlineFit): OutlineApplied {
  const split = splitAtDatum(points);
  if (!split) return { ok: false, code: "datum-outside" };
  const blade = withBlade(design, split.ahead, fit);
  if (!blade.ok) return blade;
  const { tang } = design;
  if (tang.kind === "full" && tang.short) {
    // The handle goes on behind a short tang: of that the blank tells nothing but how long it is.
    const lengthMm = clamp(mm(-Math.min(...split.behind.map((p) => p.x))), 5, 600);
    return { ...blade, design: { ...blade.design, tang: { ...tang, short: { ...tang.short, lengthMm } } } };
  }
  const rear =
    tang.kind === "full"
      ? withHandle(blade.design, split.behind, 0, fit)
      : withTangOf(blade.design, split.behind, fit);
  if (!rear.ok) return rear;
  return { ...rear, largestDeviationMm: Math.max(blade.largestDeviationMm, rear.largestDeviationMm) };
}

const openedAtRear = (points: readonly Point[]): Point[] => {
  const back = points.map((p) => ({ x: 0 - p.x, y: p.y }));
  return openedAtFront(back).map((p) => ({ x: 0 - p.x, y: p.y }));
};

const mm = (value: number) => roundTo(value, 3);

function withBlade(design: Design, open: readonly Point[], fit: OutlineFit): OutlineApplied {
  const { upper, lower } = edgesToTip(open);
  const [top, tip, bottom] = [upper[0], upper[upper.length - 1], lower[0]];
  const lengthMm = mm(tip.x);
  const [least, most] = SIZE_LIMITS.bladeMm;
  if (!(lengthMm >= least && lengthMm <= most))
    return { ok: false, code: "length", of: "blade", mm: lengthMm, least, most };
  const heights = Array.from({ length: 60 }, (_, i) => {
    const ys = crossings([...upper, ...[...lower].reverse()], (lengthMm * (i + 0.5)) / 60);
    return ys.length > 1 ? ys[ys.length - 1] - ys[0] : 0;
  });
  const heightMm = clamp(mm(Math.max(...heights)), ...SIZE_LIMITS.heightMm);
  // Grinds, cuts and thicknesses keep their share of the old blade; its own outline comes after.
  const scaled = resized(design, { ...sizesOf(design), bladeMm: lengthMm, heightMm });
  const options = { ...fit, most: MOST_BLADE_KNOTS };
  const [spine, edge] = [fitKnots(upper, options), fitKnots(lower, options)];
  const blade = settledBlade({
    ...scaled.blade,
    lengthMm,
    riseDeg: 0,
    spineOverAxisMm: mm(top.y),
    ricassoHeightMm: clamp(mm(top.y - bottom.y), 2, 200),
    ricassoMm: Math.min(scaled.blade.ricassoMm, lengthMm - 1),
    // A pattern has its notches and its thumb ramp in its outline.
    notches: [],
    ramp: null,
    outline: { spine: between(spine.knots, "spine"), edge: between(edge.knots, "edge"), tipYMm: mm(tip.y) },
  });
  return {
    ok: true,
    design: { ...scaled, blade },
    largestDeviationMm: Math.max(spine.largestDeviationMm, edge.largestDeviationMm),
  };
}

const between = (knots: readonly Knot[], name: string): OutlinePoint[] =>
  knots
    .slice(1, -1)
    .map((k, i) => ({ id: `${name}-${i + 1}`, xMm: Math.max(0, mm(k.x)), yMm: mm(k.y), corner: k.corner }));

/** A handle by an open run from the upper end of its front round the butt to the lower one; `frontX` is where that is. */
function withHandle(design: Design, open: readonly Point[], frontX: number, fit: OutlineFit): OutlineApplied {
  const shift = frontX - (open[0].x + open[open.length - 1].x) / 2;
  // The outline runs on to the datum, whatever stands ahead of the handle.
  const run = open.map((p) => ({ x: Math.min(0, p.x + shift), y: p.y }));
  const lengthMm = mm(-Math.min(...run.map((p) => p.x)));
  const [least, most] = SIZE_LIMITS.handleMm;
  if (!(lengthMm >= least && lengthMm <= most))
    return { ok: false, code: "length", of: "handle", mm: lengthMm, least, most };
  const { knots, largestDeviationMm } = fitKnots(run, { ...fit, most: MOST_HANDLE_KNOTS });
  const scaled = resized(design, { ...sizesOf(design), handleMm: lengthMm });
  return {
    ok: true,
    design: { ...scaled, handle: { ...scaled.handle, symmetric: false, outline: nodesOf(knots) } },
    largestDeviationMm,
  };
}

/** Points of a handle's outline with the names that measures and levers know them by. */
function nodesOf(fitted: readonly Knot[]): OutlineNode[] {
  // The record asks for four: a triangle gets one more on its longest side.
  const knots = fitted.length >= 4 ? fitted : withMiddle(fitted);
  const last = knots.length - 1;
  const inner = knots.map((_, i) => i).slice(1, -1);
  const butt = inner.reduce((best, i) => (knots[i].x < knots[best].x ? i : best), inner[0]);
  const roles = new Map<number, NodeRole>([
    [0, "front-top"],
    [last, "front-bottom"],
    [butt, "butt"],
  ]);
  const give = (role: NodeRole, i: number | undefined) => {
    if (i !== undefined && !roles.has(i)) roles.set(i, role);
  };
  const extreme = (list: readonly number[], sign: 1 | -1) =>
    [...list].sort((a, b) => sign * (knots[b].y - knots[a].y))[0] as number | undefined;
  const [above, below] = [inner.filter((i) => i < butt), inner.filter((i) => i > butt)];
  give("rear-top", above[above.length - 1]);
  give("rear-bottom", below[0]);
  const groove = extreme(
    below.filter((i) => !roles.has(i)),
    1,
  );
  give("groove", groove);
  give(
    "swell",
    extreme(
      below.filter((i) => !roles.has(i) && i < (groove ?? last)),
      -1,
    ),
  );
  give(
    "back",
    extreme(
      above.filter((i) => !roles.has(i)),
      1,
    ),
  );
  return knots.map((k, i) => {
    const role = roles.get(i) ?? "free";
    const atFront = i === 0 || i === last;
    return {
      id: role === "free" ? `point-${i + 1}` : role,
      role,
      xMm: atFront ? 0 : mm(k.x),
      yMm: mm(k.y),
      corner: !atFront && k.corner,
    };
  });
}

function withMiddle(knots: readonly Knot[]): Knot[] {
  let made = [...knots];
  while (made.length < 4) {
    const gaps = made.slice(1).map((k, i) => Math.hypot(k.x - made[i].x, k.y - made[i].y));
    const i = gaps.indexOf(Math.max(...gaps));
    const [a, b] = [made[i], made[i + 1]];
    const middle = { x: (a.x + b.x) / 2, y: (a.y + b.y) / 2, corner: false };
    made = [...made.slice(0, i + 1), middle, ...made.slice(i + 1)];
  }
  return made;
}

/** Share of a tang's length at both ends that tells nothing of its sides. */
const ENDS = 0.06;

/** The bar that a tang's outline is nearest to; of a full tang, whose outline is the handle's, that. */
function withTangOf(design: Design, points: readonly Point[], fit: OutlineFit): OutlineApplied {
  const { tang } = design;
  if (tang.kind === "full") return withHandle(design, openedAtFront(points), 0, fit);
  const wholeMm = -Math.min(...points.map((p) => p.x));
  const lengthMm = mm(wholeMm - rodBehind(design, points, wholeMm));
  const [least, most] = TANG_LIMITS;
  if (!(lengthMm >= least && lengthMm <= most))
    return { ok: false, code: "length", of: "tang", mm: lengthMm, least, most };
  const samples = Array.from({ length: 80 }, (_, i) => {
    const x = -lengthMm * (ENDS + ((1 - 2 * ENDS) * i) / 79);
    const ys = crossings(points, x);
    return ys.length > 1
      ? [{ x, height: ys[ys.length - 1] - ys[0], middle: (ys[0] + ys[ys.length - 1]) / 2 }]
      : [];
  }).flat();
  if (samples.length < 10) return { ok: false, code: "datum-outside" };
  const line = lineThrough(samples.map((s) => [s.x, s.height] as const));
  const yMm = mm(samples.reduce((sum, s) => sum + s.middle, 0) / samples.length);
  const [frontHeightMm, endHeightMm] = [line(0), line(-lengthMm)].map((h) => clamp(mm(h), 1, 100));
  const off = Math.max(...samples.map((s) => Math.abs(s.height - line(s.x)) / 2 + Math.abs(s.middle - yMm)));
  return {
    ok: true,
    design: { ...design, tang: { ...tang, lengthMm, yMm, frontHeightMm, endHeightMm } },
    largestDeviationMm: off,
  };
}

/** Where it is looked for a rod, ahead of the rear end, and how much thicker than the knife's own it may be drawn. */
const ROD_LOOK_MM = 2;
const ROD_SHARE = 1.2;

/** Length of the rod that a drawn tang ends in, where the knife's own does; its bar is as much shorter. 0 of none. */
function rodBehind({ tang }: Design, points: readonly Point[], wholeMm: number): number {
  const end = tang.kind === "hidden" ? tang.end : null;
  if (!end || !("rodMm" in end)) return 0;
  const ys = crossings(points, ROD_LOOK_MM - wholeMm);
  const height = ys.length > 1 ? ys[ys.length - 1] - ys[0] : Number.POSITIVE_INFINITY;
  return height < end.diameterMm * ROD_SHARE ? end.rodMm : 0;
}

/** The straight line nearest to places by least squares. */
function lineThrough(places: readonly (readonly [number, number])[]): (x: number) => number {
  const n = places.length;
  const [mx, my] = [places.reduce((s, p) => s + p[0], 0) / n, places.reduce((s, p) => s + p[1], 0) / n];
  const xx = places.reduce((s, p) => s + (p[0] - mx) ** 2, 0);
  const slope = xx > 0 ? places.reduce((s, p) => s + (p[0] - mx) * (p[1] - my), 0) / xx : 0;
  return (x) => my + slope * (x - mx);
}
