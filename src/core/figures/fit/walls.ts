import { clamp } from "../../base/number";
import { ROUNDING, SAME_PLACE_MM } from "../../base/tolerances";
import { lineAt } from "../../geometry/solids/line";
import type { Region } from "../../geometry/solids/region";
import type { Slice } from "../../geometry/solids/slice";
import { piecesOf } from "../../knife/design/handleParts";
import type { Design } from "../../knife/design/schema";
import { layoutOf } from "../../knife/layout/layout";
import { barTangRegion } from "../../knife/shapes/bar";
import { linersThickness } from "../../knife/shapes/scales";
import type { Layout } from "../../knife/shapes/types";
import { wallEnd } from "../../knife/shapes/wallEnd";

/** How far inside the hole its walls are measured first and last, mm. */
const BESIDE_MM = 1e-4;

/** Distance between stations at which walls are measured, mm. */
const STEP_MM = 1.25;
/** Points round a hole, and chords round the surface, at each station. */
const HOLE_POINTS = 24;
const SURFACE_CHORDS = 64;

/** The thinnest wall at one station, and where on the hole it is. */
export interface Wall {
  readonly xMm: number;
  readonly wallMm: number;
  readonly yMm: number;
  readonly zMm: number;
  /** The material that the wall is of. */
  readonly material: string;
}

type Ring = readonly (readonly [number, number])[];

/** The border of a cut as chords (y, z), bunched toward its ends; null where there is none. */
function ringOf(slice: Slice | null, points: number): Ring | null {
  if (!slice?.ys || slice.ys.length < 2) return null;
  const [low, high] = [slice.ys[0], slice.ys[slice.ys.length - 1]];
  const half = points / 2;
  const at = (i: number) => (low + high) / 2 - ((high - low) / 2 - ROUNDING) * Math.cos((Math.PI * i) / half);
  const ring: [number, number][] = [];
  for (let i = 0; i <= half; i++) ring.push([at(i), slice.low(at(i))]);
  for (let i = half; i >= 0; i--) ring.push([at(i), slice.high(at(i))]);
  return ring;
}

/** Square of the distance from a point to the chord from a to b, in the plane of the section. */
function chordDistance2(
  p: readonly [number, number],
  a: readonly [number, number],
  b: readonly [number, number],
) {
  const [dy, dz] = [b[0] - a[0], b[1] - a[1]];
  const size = dy * dy + dz * dz;
  const t = size > 0 ? clamp(((p[0] - a[0]) * dy + (p[1] - a[1]) * dz) / size, 0, 1) : 0;
  const [ey, ez] = [p[0] - a[0] - t * dy, p[1] - a[1] - t * dz];
  return ey * ey + ez * ez;
}

function inside(slice: Slice, y: number, z: number): boolean {
  const { ys } = slice;
  if (!ys) return false;
  for (let k = 0; k + 1 < ys.length; k += 2)
    if (y > ys[k] && y < ys[k + 1]) return z > slice.low(y) && z < slice.high(y);
  return false;
}

/** What has to keep clear of the surface: the hole in a handle's blocks or in a frame, and a bar that it leaves out. */
function holesAndBar({ tang }: Design, { tangHoles }: Layout): readonly Region[] {
  // A drilled or milled hole may leave part of the bar outside it.
  const loose = tang.kind === "hidden" && (tang.hole.kind === "drilled" || tang.hole.kind === "milled");
  return loose ? [...tangHoles, barTangRegion(tang)] : tangHoles;
}

/**
 * The thinnest wall between tang hole and finished surface at stations along the handle, front first: the distance
 * in space from points round the hole to the surface, also to its neighbouring sections; below zero where it breaks
 * through. Empty of a full tang. Within 2 % or 0.05 mm of the true nearest distance (docs/method.md).
 */
export function tangWalls(design: Design): Wall[] {
  const layout = layoutOf(design);
  const holes = holesAndBar(design, layout);
  if (holes.length === 0) return [];
  const { plainBody: body, buttX: butt, frontX: front } = layout;
  const rear = Math.max(butt, body.xRange[0]);
  const end = Math.max(rear, Math.min(...holes.map((h) => h.xRange[0])));
  // Where the tang goes through, its own end opens the rear: that is no wall.
  const goesOut = Math.min(...holes.map((h) => h.xRange[0])) <= butt + SAME_PLACE_MM;
  const last = goesOut ? Math.max(end, wallEnd(layout)) : end;
  const count = Math.max(2, Math.ceil((front - last) / STEP_MM));
  const xs = Array.from(
    { length: count + 1 },
    (_, i) => front - BESIDE_MM + ((last - front + 2 * BESIDE_MM) * i) / count,
  );
  const slices = xs.map((x) => body.sliceAt(x));
  const rings = slices.map((s) => ringOf(s, SURFACE_CHORDS));
  return xs.flatMap((x, i): Wall[] => {
    const slice = slices[i];
    if (!slice || !rings[i]) return [];
    let worst: { wall: number; p: readonly [number, number] } | null = null;
    for (const hole of holes) {
      const ring = ringOf(x > hole.xRange[0] && x < hole.xRange[1] ? hole.sliceAt(x) : null, HOLE_POINTS);
      for (const p of ring ?? []) {
        const wall = (inside(slice, p[0], p[1]) ? 1 : -1) * Math.sqrt(toRing(p, rings[i]!));
        if (!worst || wall < worst.wall) worst = { wall, p };
      }
    }
    if (!worst) return [];
    // The nearest place of the surface may lie in a section before or behind.
    const { p, wall } = worst;
    const wallMm = wall > 0 ? nearest(p, i, xs, rings) : wall;
    return [{ xMm: x, wallMm, yMm: p[0], zMm: p[1], material: materialAt(design, layout, x, p[1]) }];
  });
}

/** Square of the distance from a point to a border, in the plane of the section. */
function toRing(p: readonly [number, number], ring: Ring): number {
  let best = Number.POSITIVE_INFINITY;
  for (let k = 0; k + 1 < ring.length; k++) best = Math.min(best, chordDistance2(p, ring[k], ring[k + 1]));
  return best;
}

/** Distance from a point of section i to the surface, in its own section and in those near enough to matter. */
function nearest(
  p: readonly [number, number],
  i: number,
  xs: readonly number[],
  rings: readonly (Ring | null)[],
) {
  let best = Number.POSITIVE_INFINITY;
  const look = (j: number): boolean => {
    const off = xs[j] - xs[i];
    if (off * off >= best) return false;
    const ring = rings[j];
    if (ring) best = Math.min(best, toRing(p, ring) + off * off);
    return true;
  };
  look(i);
  for (let j = i + 1; j < xs.length && look(j); j++);
  for (let j = i - 1; j >= 0 && look(j); j--);
  return Math.sqrt(best);
}

/** The material round the hole at a station; of a frame, the scale's on that side where it lies outside. */
function materialAt(design: Design, layout: Layout, x: number, z: number): string {
  const { handle, tang } = design;
  if (handle.kind === "scales")
    return tang.kind === "framed"
      ? tang.frame.material
      : z < 0
        ? handle.left.material
        : handle.right.material;
  const at = layout.pieces.findIndex(([to, from]) => x >= to && x <= from);
  return piecesOf(handle)[Math.max(0, at)]?.material ?? design.blade.steel;
}

/**
 * The thinnest scale left on the tang or its liners after contouring, on the handle's middle line, and where: at
 * hollows and waists. Null of a handle without scales. Bolsters count as scales.
 */
export function thinnestScale(design: Design): { xMm: number; leftMm: number } | null {
  const { handle } = design;
  if (handle.kind !== "scales") return null;
  const { buttX: butt, frontX: front, outline, tangFace, surfaceAt } = layoutOf(design);
  const liners = linersThickness(handle);
  let worst: { xMm: number; leftMm: number } | null = null;
  // Front and butt fall off to nothing by design: they are left out.
  for (let i = 3; i <= 46; i++) {
    const xMm = front + ((butt - front) * i) / 50;
    const ys = outline.cut(xMm);
    if (ys.length < 2) continue;
    const y = (ys[0] + ys[ys.length - 1]) / 2;
    const surface = Math.min(surfaceAt(xMm, y, "right"), surfaceAt(xMm, y, "left"));
    const leftMm = surface - lineAt(tangFace, xMm) - liners;
    if (!worst || leftMm < worst.leftMm) worst = { xMm, leftMm };
  }
  return worst;
}

/** The thinnest of some walls, or null of none. */
export function thinnest(walls: readonly Wall[]): Wall | null {
  return walls.reduce<Wall | null>((worst, w) => (worst && worst.wallMm <= w.wallMm ? worst : w), null);
}

/**
 * How much thinner, in height and thickness alike, the tang with its hole must be for a wall of `wantedMm`
 * everywhere: the share of its size that stays, to a thousandth. 1 where it has it already, null where nothing helps.
 */
export function thinnerTang(design: Design, wantedMm: number): number | null {
  const { tang } = design;
  if (tang.kind === "full") return null;
  const wallAt = (share: number) =>
    thinnest(
      tangWalls({
        ...design,
        tang: {
          ...tang,
          frontHeightMm: tang.frontHeightMm * share,
          endHeightMm: tang.endHeightMm * share,
          frontThicknessMm: tang.frontThicknessMm * share,
          endThicknessMm: tang.endThicknessMm * share,
        },
      }),
    )?.wallMm ?? 0;
  if (wallAt(1) >= wantedMm) return 1;
  if (wallAt(0.2) < wantedMm) return null;
  let [low, high] = [0.2, 1];
  for (let k = 0; k < 10; k++) {
    const middle = (low + high) / 2;
    if (wallAt(middle) >= wantedMm) low = middle;
    else high = middle;
  }
  return Math.floor(low * 1000) / 1000;
}
