import { FLAT_ROUNDNESS } from "../../base/tolerances";
import type { Contour } from "../../geometry/curve/contour";
import { type Profile, profileThrough } from "../../geometry/curve/profile";
import { signChanges } from "../../geometry/curve/roots";
import type { Line } from "../../geometry/solids/line";
import type { Region } from "../../geometry/solids/region";
import { facetedSection, type SectionShape, sectionOf } from "../../geometry/solids/section";
import type { Handle } from "../design/schema";

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
export function waisted(crown: Profile, waist: Handle["waist"]): Profile {
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

/** Crowns and sections follow from the plan, the waist and the facets. */
export const followsFrom = ({ kind, plan, waist, facets }: Handle) => [kind, plan, waist, facets];

/** Height of the finished surface over the centre plane at a place, on one side; 0 where there is no handle. */
export function surfaceAt(body: Region, x: number, y: number, side: "right" | "left"): number {
  const slice = body.sliceAt(x);
  if (!slice?.ys || slice.ys.length < 2) return 0;
  if (y < slice.ys[0] || y > slice.ys[slice.ys.length - 1]) return 0;
  return Math.max(0, side === "left" ? -slice.low(y) : slice.high(y));
}
