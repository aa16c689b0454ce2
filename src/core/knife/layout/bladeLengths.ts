import { INSIDE_MM, SAME_PLACE_MM } from "../../base/tolerances";
import { type Cubic, cubicX, cubicY } from "../../geometry/curve/bezier";
import { isDouble } from "../../geometry/solids/grind";
import { round } from "../design/create";
import type { BladeOutline, DrawnBlade, Grind, OutlinePoint, SideGrind } from "../design/schema";
import { bladeHeights, bladeOutline } from "./bladeOutline";

/** A blade is longer or shorter by this map of its stations. */
type Move = (xMm: number) => number;

/**
 * The blade at another length: stretched whole, or with what stands in its front third moved along as it is and the rest
 * where it was, as the blade says.
 */
export function withBladeLength<B extends DrawnBlade>(blade: B, lengthMm: number): B {
  const { lengthMm: before, lengthChange } = blade;
  if (!(lengthMm > 0) || lengthMm === before) return { ...blade, lengthMm };
  const stretches = lengthChange === "stretches";
  const share = lengthMm / before;
  const front = (2 / 3) * before;
  const move: Move = stretches
    ? (x) => round(x * share)
    : (x) => round(x > front ? Math.max(0, x + lengthMm - before) : x);
  const along = (mm: number) => (stretches ? round(mm * share) : mm);
  const { tip, swedge, ramp, outline } = blade;
  const points = <P extends { readonly xMm: number }>(list: readonly P[]): P[] =>
    list.map((p) => ({ ...p, xMm: move(p.xMm) }));
  return {
    ...blade,
    lengthMm,
    ricassoMm: stretches ? along(blade.ricassoMm) : blade.ricassoMm,
    taperFromMm: stretches ? along(blade.taperFromMm) : blade.taperFromMm,
    taper: points(blade.taper),
    tip: { ...tip, dropMm: along(tip.dropMm), bellyMm: along(tip.bellyMm) },
    outline: outline && { ...outline, spine: points(outline.spine), edge: points(outline.edge) },
    grind: withStations(blade.grind, move),
    leftGrind: blade.leftGrind && withStations(blade.leftGrind, move),
    swedge: swedge && { ...swedge, lengthMm: along(swedge.lengthMm), runOutMm: along(swedge.runOutMm) },
    fullers: blade.fullers.map((f) => ({ ...f, fromMm: move(f.fromMm), toMm: move(f.toMm) })),
    notches: points(blade.notches),
    marks: points(blade.marks),
    ramp: ramp && { ...ramp, fromMm: move(ramp.fromMm) },
  };
}

function withStations<G extends Grind | SideGrind>(grind: G, move: Move): G {
  return "along" in grind ? { ...grind, along: grind.along.map((p) => ({ ...p, xMm: move(p.xMm) })) } : grind;
}

/**
 * The blade at another heel height. An outline of its own grows from the spine's height at the shoulder; that of a
 * double-edged blade from the axis, on both sides.
 */
export function withHeelHeight<B extends DrawnBlade>(blade: B, heelHeightMm: number): B {
  const { outline } = blade;
  if (!outline || !(heelHeightMm > 0)) return { ...blade, heelHeightMm };
  const share = heelHeightMm / blade.heelHeightMm;
  const from = isDouble(blade.grind) ? 0 : blade.spineOverAxisMm;
  // Alike over and under where it grows from, so that what was even stays so.
  const up = (y: number) => from + Math.sign(y - from) * round(Math.abs(y - from) * share);
  const scaled = (points: readonly OutlinePoint[]) => points.map((p) => ({ ...p, yMm: up(p.yMm) }));
  return {
    ...blade,
    heelHeightMm,
    spineOverAxisMm: up(blade.spineOverAxisMm),
    ricassoHeightMm: round(blade.ricassoHeightMm * (isDouble(blade.grind) ? share : 1)),
    outline: { spine: scaled(outline.spine), edge: scaled(outline.edge), tipYMm: up(outline.tipYMm) },
  };
}

/** Stations that a blade's height is looked for at. */
const HEIGHT_STEPS = 80;

/** The greatest height of the blade at any station ahead of its ricasso, mm. */
export function greatestHeight(blade: DrawnBlade): number {
  const { cut } = bladeOutline(blade);
  const from = Math.min(blade.ricassoMm, blade.lengthMm - 1) + INSIDE_MM;
  let most = 0;
  for (let i = 0; i < HEIGHT_STEPS; i++) {
    const ys = cut(from + ((blade.lengthMm - from) * i) / HEIGHT_STEPS);
    if (ys.length > 1) most = Math.max(most, ys[ys.length - 1] - ys[0]);
  }
  return most;
}

/** Shares of a curved run where it gets a point: closer where it leaves a straight one. */
const RUN_SHARES = [0.08, 0.25, 0.5, 0.75];
/** Shares of a straight run that a curved one leaves without a corner, counted toward it. */
const STRAIGHT_SHARES = [0.5, 0.92];

/**
 * The blade with the outline of its style as points, within a tenth of a millimetre of it on a field knife.
 */
export function asPoints<B extends DrawnBlade>(blade: B): B {
  if (blade.outline) return blade;
  const level = { ...blade, riseDeg: 0 };
  const { cubics } = bladeOutline(level);
  const { tip } = bladeHeights(blade);
  const atTip = cubics.findIndex(
    (c) => Math.abs(c.d.x - blade.lengthMm) + Math.abs(c.d.y - tip) < SAME_PLACE_MM,
  );
  const spine = pointsOf(cubics.slice(0, atTip + 1), "spine");
  // The edge's runs go from the tip back to the shoulder; the last closes the outline upright.
  const back = cubics.slice(atTip + 1, -1).reverse();
  const edge = pointsOf(
    back.map(({ a, b, c, d }) => ({ a: d, b: c, c: b, d: a })),
    "edge",
  );
  const outline: BladeOutline = { spine, edge, tipYMm: round(tip) };
  return settledBlade({ ...blade, outline });
}

/** Points between the first run's beginning and the last one's end; corners where the runs meet at an angle. */
function pointsOf(runs: readonly Cubic[], name: string): OutlinePoint[] {
  const points: OutlinePoint[] = [];
  const put = (x: number, y: number, corner: boolean) =>
    points.push({ id: `${name}-${points.length + 1}`, xMm: round(x), yMm: round(y), corner });
  runs.forEach((c, i) => {
    if (i > 0) put(c.a.x, c.a.y, isCorner(runs[i - 1], c));
    const next = runs[i + 1];
    const leaves = next !== undefined && !isCorner(c, next);
    for (const t of isStraight(c) ? (leaves ? STRAIGHT_SHARES : []) : RUN_SHARES)
      put(cubicX(c, t), cubicY(c, t), false);
  });
  return points;
}

function isStraight({ a, b, c, d }: Cubic): boolean {
  const off = (p: { x: number; y: number }) =>
    Math.abs((d.x - a.x) * (p.y - a.y) - (d.y - a.y) * (p.x - a.x));
  return off(b) + off(c) < SAME_PLACE_MM;
}

function isCorner(before: Cubic, after: Cubic): boolean {
  const [u, v] = [
    { x: before.d.x - before.c.x, y: before.d.y - before.c.y },
    { x: after.b.x - after.a.x, y: after.b.y - after.a.y },
  ];
  const size = Math.hypot(u.x, u.y) * Math.hypot(v.x, v.y);
  return size > 0 && Math.abs(u.x * v.y - u.y * v.x) / size > 0.02;
}

/** The blade's measures brought in step with an outline of its own that was changed. */
export function settledBlade<B extends DrawnBlade>(blade: B): B {
  return blade.outline
    ? { ...blade, heelHeightMm: round(Math.min(200, Math.max(3, greatestHeight(blade)))) }
    : blade;
}
