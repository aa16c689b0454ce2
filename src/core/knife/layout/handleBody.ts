import { radians } from "../../base/number";
import { byKind } from "../../base/record/byKind";
import { FLAT_ROUNDNESS } from "../../base/tolerances";
import type { Contour } from "../../geometry/curve/contour";
import { type Profile, profileThrough } from "../../geometry/curve/profile";
import { signChanges } from "../../geometry/curve/roots";
import { type Line, lineAt, shifted } from "../../geometry/solids/line";
import { type Loft, type LoftSide, loftRegion } from "../../geometry/solids/loft";
import type { Region } from "../../geometry/solids/region";
import { facetedSection, type SectionShape, sectionOf } from "../../geometry/solids/section";
import { slabRegion } from "../../geometry/solids/slab";
import type { Handle, ScalesHandle } from "../design/schema";
import { linersThickness } from "./scales";

/** What a handle's solid follows: its outline, its crowns, its sections, and what its scales lie on. */
export interface HandleForm {
  readonly handle: Handle;
  readonly outline: Contour;
  /** Stations of butt and front. */
  readonly span: readonly [number, number];
  /** Half the thickness of what the scales lie on. */
  readonly tangFace: Line;
  /** Height of the crown on each side, without the waist's hollow. */
  readonly crowns: { readonly right: Profile; readonly left: Profile };
  readonly sections: Sections;
}

/** The section at each station, and the stations where it turns from flat to rounded. */
export interface Sections {
  at(x: number): SectionShape;
  readonly stations: readonly number[];
}

/** The crowns of both sides as they are drawn. */
export function crownsOf({ plan }: Handle): HandleForm["crowns"] {
  return {
    right: profileThrough(plan.map((p) => ({ x: p.xMm, v: p.halfMm }))),
    left: profileThrough(plan.map((p) => ({ x: p.xMm, v: p.leftHalfMm ?? p.halfMm }))),
  };
}

/** Depth of the hollow that a wheel of radius R leaves in its middle, of chord c: R − √(R² − c²/4). */
export function waistDepth({ chordMm, wheelRadiusMm }: NonNullable<Handle["waist"]>): number {
  const radius = Math.max(wheelRadiusMm, chordMm / 2);
  return radius - Math.sqrt(radius * radius - (chordMm * chordMm) / 4);
}

/** A side's crown with the waist's hollow taken out of it. */
function waisted(crown: Profile, waist: Handle["waist"]): Profile {
  if (!waist) return crown;
  const half = waist.chordMm / 2;
  const radius = Math.max(waist.wheelRadiusMm, half);
  const rim = Math.sqrt(radius * radius - half * half);
  return {
    knots: [...crown.knots, waist.xMm - half, waist.xMm + half],
    at: (x) => {
      const off = x - waist.xMm;
      const cut = Math.abs(off) < half ? Math.sqrt(radius * radius - off * off) - rim : 0;
      return Math.max(0.1, crown.at(x) - cut);
    },
  };
}

/** The section at each station, and the stations where it turns from flat to rounded. */
export function sectionsOf(handle: Handle, [from, to]: readonly [number, number]): Sections {
  if (handle.facets !== null) {
    const section = facetedSection(handle.facets);
    return { at: () => section, stations: [] };
  }
  const first = handle.plan[0].roundness;
  if (handle.plan.every((p) => p.roundness === first)) {
    const section = sectionOf(first);
    return { at: () => section, stations: [] };
  }
  const profile = profileThrough(handle.plan.map((p) => ({ x: p.xMm, v: p.roundness })));
  return {
    at: (x) => sectionOf(profile.at(x)),
    stations: signChanges((x) => profile.at(x) - FLAT_ROUNDNESS, from, to, 40),
  };
}

/** The plane of a bevel of the front face, on one side: it begins on the finished surface so far behind the front. */
function bevelFace(
  { frontBevel }: ScalesHandle,
  front: number,
  crownAt: (x: number) => number,
): { readonly line: Line; readonly fromX: number } | null {
  if (!frontBevel) return null;
  const from = front - frontBevel.lengthMm;
  const fall = Math.tan(radians(frontBevel.angleDeg));
  return { line: { at0: crownAt(from) + from * fall, slope: -fall }, fromX: from };
}

/** What the handle is lofted from, as its maker contours it: a bare tang's flat slab, too. */
export function bodyLoft(form: HandleForm, xRange: readonly [number, number] = form.span): Loft {
  return byKind<Handle, Loft>(form.handle, {
    bare: () => bareLoft(form, xRange),
    stack: () => stackLoft(form, xRange),
    scales: (handle) => scalesLoft(form, handle, xRange),
  });
}

function bareLoft({ outline, tangFace }: HandleForm, xRange: readonly [number, number]): Loft {
  const face = (x: number) => lineAt(tangFace, x);
  const side: LoftSide = { crown: { knots: [], at: face }, land: () => 0, cap: face };
  const flat = sectionOf(0);
  return { outline, xRange, right: side, left: side, sectionAt: () => flat, stations: [] };
}

/** Crowns and sections follow from the plan, the waist and the facets. */
const followsFrom = ({ kind, plan, waist, facets }: Handle) => [kind, plan, waist, facets];

function stackLoft(
  { handle, outline, crowns, sections }: HandleForm,
  xRange: readonly [number, number],
): Loft {
  const side = (crown: Profile): LoftSide => ({
    crown: waisted(crown, handle.waist),
    land: () => 0,
    cap: () => Number.POSITIVE_INFINITY,
  });
  return {
    outline,
    xRange,
    right: side(crowns.right),
    left: side(crowns.left),
    sectionAt: sections.at,
    stations: sections.stations,
    from: followsFrom(handle),
  };
}

function scalesLoft(
  { outline, span, tangFace, crowns, sections }: HandleForm,
  handle: ScalesHandle,
  xRange: readonly [number, number],
): Loft {
  const linersMm = linersThickness(handle);
  const side = (crown: Profile, scaleMm: number) => {
    const stock = shifted(tangFace, linersMm + scaleMm);
    const bevel = bevelFace(handle, span[1], (x) => Math.min(crown.at(x), lineAt(stock, x)));
    const capAt = (x: number) => {
      const top = lineAt(stock, x);
      return bevel && x >= bevel.fromX ? Math.min(top, lineAt(bevel.line, x)) : top;
    };
    // Where the bevel runs out of the stock's own face, which falls with a tapering tang.
    const meets = bevel ? (stock.at0 - bevel.line.at0) / (bevel.line.slope - stock.slope) : Number.NaN;
    const stations = bevel ? [bevel.fromX, ...(meets > bevel.fromX ? [meets] : [])] : [];
    return { surface: { crown, land: (x: number) => lineAt(tangFace, x), cap: capAt }, stations };
  };
  const onRight = side(waisted(crowns.right, handle.waist), handle.right.thicknessMm);
  const onLeft = side(waisted(crowns.left, handle.waist), handle.left.thicknessMm);
  return {
    outline,
    xRange,
    right: onRight.surface,
    left: onLeft.surface,
    sectionAt: sections.at,
    stations: [...sections.stations, ...onRight.stations, ...onLeft.stations],
    from: [
      ...followsFrom(handle),
      span[1],
      tangFace,
      linersMm,
      handle.right.thicknessMm,
      handle.left.thicknessMm,
      handle.frontBevel,
    ],
  };
}

/** The handle as its maker contours it, over some stations: all of it, or what its shaped pieces leave. */
export function bodyRegion(form: HandleForm, xRange: readonly [number, number] = form.span): Region {
  const lofted = () => loftRegion(bodyLoft(form, xRange));
  return byKind<Handle, Region>(form.handle, {
    bare: () => slabRegion(form.outline, form.tangFace, xRange),
    stack: lofted,
    scales: lofted,
  });
}

/** Height of the finished surface over the centre plane at a place, on one side; 0 where there is no handle. */
export function surfaceAt(body: Region, x: number, y: number, side: "right" | "left"): number {
  const slice = body.sliceAt(x);
  if (!slice?.ys || slice.ys.length < 2) return 0;
  if (y < slice.ys[0] || y > slice.ys[slice.ys.length - 1]) return 0;
  return Math.max(0, side === "left" ? -slice.low(y) : slice.high(y));
}
