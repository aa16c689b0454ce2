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

/** What a wrap takes its shell out of: what these have in common, less what lies inside. */
export function wrapRegions(layout: Layout, wrap: Wrap): Region[] {
  const disc = discOf(layout, wrap);
  if (!disc) return [gripShell(layout, wrap)];
  const { radiusMm, widthMm, xMm, yMm, range } = disc;
  const wall = wrapThickness(wrap);
  const sides = layerRegion({ at0: -widthMm / 2, slope: 0 }, { at0: widthMm / 2, slope: 0 }, [
    range[0] - wall,
    range[1],
  ]);
  return [cylinderRegion({ xMm, yMm, radiusMm: radiusMm + wall }), sides];
}

/** The disc on edge that a wrap is wound round, mm; null where it is wound round sections of the handle. */
function discOf(layout: Layout, { on }: Wrap) {
  const pommel = on === "pommel" ? pommelOf(layout) : null;
  if (pommel?.shape?.kind !== "disc") return null;
  const { diameterMm, widthMm, yMm } = pommel.shape;
  const radiusMm = diameterMm / 2;
  return { radiusMm, widthMm, xMm: pommel.range[0] + radiusMm, yMm, range: pommel.range };
}

/** The handle as it is contoured and a shell of even thickness round each of its sections, so far out as the wrap stands. */
function gripShell(layout: Layout, wrap: Wrap, wallMm = wrapThickness(wrap)): Region {
  return grownRegion(bodyLoft(layout, wrapSpan(layout, wrap)), wallMm);
}

/** What a wrap takes: turns, the strand's length on the handle, and what to buy, mm. */
export interface WrapPlan {
  readonly turns: number;
  readonly lengthMm: number;
  readonly buyMm: number;
}

const STATIONS = 40;
const CHORDS = 60;

/** The length of a wrap along the middle of its thickness, each turn as long as its girth and its pitch make it. */
export function wrapPlan(layout: Layout, wrap: Wrap): WrapPlan {
  const { length, turned } = turnOf(layout, wrap);
  const turns = length / wrap.pitchMm;
  const lengthMm = turns * turned * strandsOf(wrap);
  return { turns, lengthMm, buyMm: lengthMm > 0 ? lengthMm * (1 + SPARE_SHARE) + TAILS_MM : 0 };
}

/** How far along a wrap goes, and how long one turn of it is, mm; side by side across the edge of a disc. */
function turnOf(layout: Layout, wrap: Wrap): { length: number; turned: number } {
  const disc = discOf(layout, wrap);
  const half = wrapThickness(wrap) / 2;
  if (disc)
    return { length: disc.widthMm, turned: Math.hypot(2 * Math.PI * (disc.radiusMm + half), wrap.pitchMm) };
  const middle = gripShell(layout, wrap, half);
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
