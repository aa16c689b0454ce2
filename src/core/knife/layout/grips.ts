import { clamp } from "../../base/number";
import { INSIDE_MM } from "../../base/tolerances";
import type { Point } from "../../geometry/curve/bezier";
import { cylinderRegion } from "../../geometry/solids/cylinder";
import { grooveHalf } from "../../geometry/solids/groundBlade";
import { grownRegion } from "../../geometry/solids/grownRegion";
import { layerRegion } from "../../geometry/solids/layer";
import type { Region } from "../../geometry/solids/region";
import { flatSlice } from "../../geometry/solids/slice";
import { bodyLoft } from "../constructions/handles/registry";
import { piecesOf } from "../design/handleParts";
import type { SideGroove, Wrap } from "../design/schema";
import type { Layout } from "../shapes/types";

/** Common practice, no source: what is cut off at both ends, mm, and what goes into knots and tension. */
const TAILS_MM = 300;
const SPARE_SHARE = 0.1;

/** What of the box round a strand its section fills: an ellipse of a cord, all of a strip. */
function fillOf(kind: Wrap["kind"]): number {
  return kind === "cord" ? Math.PI / 4 : 1;
}

const strandsOf = ({ pattern }: Wrap) => (pattern === "crossed" ? 2 : 1);

/** How far a wrap stands out from the handle, mm: two strands that cross lie on each other. */
export function wrapThickness(wrap: Wrap): number {
  return wrap.thicknessMm * strandsOf(wrap);
}

/** What share of its shell a wrap fills. */
export function wrapCover(wrap: Wrap): number {
  return (fillOf(wrap.kind) * wrap.widthMm) / wrap.pitchMm;
}

/** The last piece of a handle, if it is a pommel: its shape, and the stations that it lies between. */
function pommelOf({ handle, pieces }: Layout) {
  const all = piecesOf(handle);
  const last = all.length - 1;
  return last >= 0 && all[last].role === "pommel" ? { shape: all[last].shape, range: pieces[last] } : null;
}

/** Whether there is an edge to wind round where the wrap is to be: any grip, or a pommel of the handle's outline or a disc. */
export function hasEdge(layout: Layout, { on }: Wrap): boolean {
  if (on === "grip") return true;
  const pommel = pommelOf(layout);
  return pommel !== null && (pommel.shape === null || pommel.shape.kind === "disc");
}

/** Stations that a wrap lies between, rear and front. */
function wrapSpan(layout: Layout, wrap: Wrap): [number, number] {
  const pommel = wrap.on === "pommel" ? pommelOf(layout) : null;
  const [rear, front] = pommel?.range ?? [wrap.toMm, wrap.fromMm];
  return [Math.max(layout.buttX, rear), Math.min(layout.frontX, front)];
}

/** A stretch of a wrap: the stations that it lies between, and how thick what it is wound over stands, mm. */
interface WrapStretch {
  readonly span: readonly [number, number];
  readonly underMm: number;
}

/** A wrap in its stretches, the foremost first: where it lies on wraps that were wound before it, and where not. */
function wrapStretches(layout: Layout, index: number): WrapStretch[] {
  const { wraps } = layout.design.handle;
  const wrap = wraps[index];
  const span = wrapSpan(layout, wrap);
  // Round a disc's edge and along the grip nothing lies on the other.
  const ringed = (w: Wrap) => discOf(layout, w) !== null;
  const under = wraps
    .slice(0, index)
    .filter((w) => ringed(w) === ringed(wrap))
    .map((w) => ({ span: wrapSpan(layout, w), mm: wrapThickness(w) }));
  const inside = under.flatMap((u) => u.span).filter((x) => x > span[0] && x < span[1]);
  const ends = [...new Set([...span, ...inside])].sort((a, b) => b - a);
  return ends.slice(1).map((rear, i) => {
    const middle = (rear + ends[i]) / 2;
    const lies = under.filter((u) => middle > u.span[0] && middle < u.span[1]);
    return { span: [rear, ends[i]], underMm: lies.reduce((sum, u) => sum + u.mm, 0) };
  });
}

/**
 * What a wrap, by its number, takes its shell out of, stretch by stretch: what these have in common, less what lies inside.
 * Those that were wound before it take first.
 */
export function wrapRegions(layout: Layout, index: number): Region[][] {
  const wrap = layout.design.handle.wraps[index];
  return wrapStretches(layout, index).map(({ span, underMm }) => {
    const wall = underMm + wrapThickness(wrap);
    const disc = discOf(layout, wrap);
    return disc ? discShell(disc, wall) : [grownRegion(bodyLoft(layout, span), wall)];
  });
}

function discShell({ radiusMm, widthMm, xMm, yMm, range }: DiscEdge, wall: number): Region[] {
  const sides = layerRegion({ at0: -widthMm / 2, slope: 0 }, { at0: widthMm / 2, slope: 0 }, [
    range[0] - wall,
    range[1],
  ]);
  return [cylinderRegion({ xMm, yMm, radiusMm: radiusMm + wall }), sides];
}

/** A disc on edge, mm, and the stations of its piece. */
interface DiscEdge {
  readonly radiusMm: number;
  readonly widthMm: number;
  readonly xMm: number;
  readonly yMm: number;
  readonly range: readonly [number, number];
}

/** The disc on edge that a wrap is wound round; null where it is wound round sections of the handle. */
function discOf(layout: Layout, { on }: Wrap): DiscEdge | null {
  const pommel = on === "pommel" ? pommelOf(layout) : null;
  if (pommel?.shape?.kind !== "disc") return null;
  const { diameterMm, widthMm, yMm } = pommel.shape;
  const radiusMm = diameterMm / 2;
  return { radiusMm, widthMm, xMm: pommel.range[0] + radiusMm, yMm, range: pommel.range };
}

/** What a wrap takes: turns, the strand's length on the handle, and what to buy, mm. */
export interface WrapPlan {
  readonly turns: number;
  readonly lengthMm: number;
  readonly buyMm: number;
}

const STATIONS = 40;
const CHORDS = 60;

/** The length of a wrap, by its number, along the middle of its thickness: each turn as long as girth and pitch make it. */
export function wrapPlan(layout: Layout, index: number): WrapPlan {
  const wrap = layout.design.handle.wraps[index];
  let [turns, lengthMm] = [0, 0];
  for (const stretch of wrapStretches(layout, index)) {
    const { length, turned } = turnOf(layout, wrap, stretch);
    turns += length / wrap.pitchMm;
    lengthMm += (length / wrap.pitchMm) * turned * strandsOf(wrap);
  }
  return { turns, lengthMm, buyMm: lengthMm > 0 ? lengthMm * (1 + SPARE_SHARE) + TAILS_MM : 0 };
}

/** How far along a stretch goes, and how long one turn of it is, mm; side by side across the edge of a disc. */
function turnOf(
  layout: Layout,
  wrap: Wrap,
  { span, underMm }: WrapStretch,
): { length: number; turned: number } {
  const disc = discOf(layout, wrap);
  const half = underMm + wrapThickness(wrap) / 2;
  if (disc)
    return { length: disc.widthMm, turned: Math.hypot(2 * Math.PI * (disc.radiusMm + half), wrap.pitchMm) };
  const middle = grownRegion(bodyLoft(layout, span), half);
  const [from, to] = middle.xRange;
  const length = Math.max(0, to - from);
  let turned = 0;
  for (let i = 0; i < STATIONS; i++)
    turned += Math.hypot(girth(middle, from + (length * (i + 0.5)) / STATIONS), wrap.pitchMm) / STATIONS;
  return { length, turned };
}

/** All the way round a section, mm, by chords. */
function girth(region: Region, x: number): number {
  const slice = region.sliceAt(x);
  if (!slice?.ys || slice.ys.length < 2) return 0;
  const [low, high] = [slice.ys[0], slice.ys[slice.ys.length - 1]];
  let round = 0;
  let before: readonly [number, number, number] | null = null;
  for (let i = 0; i <= CHORDS; i++) {
    const y = (low + high) / 2 - ((high - low) / 2) * Math.cos((Math.PI * i) / CHORDS);
    const at = [y, slice.low(y), slice.high(y)] as const;
    if (before) for (const k of [1, 2]) round += Math.hypot(y - before[0], at[k] - before[k]);
    // An upright end is gone round, too.
    if (i === 0 || i === CHORDS) round += at[2] - at[1];
    before = at;
  }
  return round;
}

/** Half way up the handle at a groove's station, a hair inside where that is the handle's very end. */
export function grooveMiddle({ outline, buttX, frontX }: Layout, { xMm }: SideGroove): Point {
  const x = clamp(xMm, buttX + INSIDE_MM, frontX - INSIDE_MM);
  const ys = outline.cut(x);
  return { x, y: ys.length > 1 ? (ys[0] + ys[ys.length - 1]) / 2 : 0 };
}

/** Height of a groove's middle line over the centre plane: its radius less its depth over the surface half way up. */
function grooveZ(layout: Layout, groove: SideGroove, side: "right" | "left"): number {
  const { x, y } = grooveMiddle(layout, groove);
  return layout.surfaceAt(x, y, side) + groove.diameterMm / 2 - groove.depthMm;
}

/** A groove's cylinder goes so far beyond the handle's edges, mm. */
const BEYOND_MM = 10;

/** A round groove straight up and down one face: a cylinder along y, longer than the handle is high. */
export function grooveRegion(layout: Layout, groove: SideGroove, side: "right" | "left"): Region {
  const { xMm, diameterMm } = groove;
  const r = diameterMm / 2;
  const heights = layout.outline.cubics.flatMap((c) => [c.a.y, c.b.y, c.c.y, c.d.y]);
  const ys = [Math.min(...heights) - BEYOND_MM, Math.max(...heights) + BEYOND_MM];
  const z = (side === "right" ? 1 : -1) * grooveZ(layout, groove, side);
  const root = (x: number, below: boolean) => ({ x, below, above: !below });
  // Where it comes out of a level face: of a rounded one it does so along the height.
  const out = grooveHalf(r, groove.depthMm);
  return {
    kind: "slab",
    from: ["side-groove", xMm, r, z, ys],
    xRange: [xMm - r, xMm + r],
    breaks: [root(xMm - r, false), root(xMm + r, true), root(xMm - out, false), root(xMm + out, true)],
    sliceAt: (x) => {
      const square = r * r - (x - xMm) ** 2;
      const half = square > 0 ? Math.sqrt(square) : 0;
      return half > 0 ? flatSlice(ys, z - half, z + half) : null;
    },
  };
}
