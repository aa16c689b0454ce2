import type { BarEnd, Design, FastenerKind, Grind, TipStyle } from "../../knife/design/schema";
import { handleLength } from "../../knife/layout/handleLengths";
import { MATERIAL_PLACES, type MaterialPlace } from "../../knife/parts/materialPlace";
import { materialAt } from "../../knife/starts/materialPlaces";

/** What a knife is, as far as a maker would tell two of them apart. */
export type TraitValue =
  | { readonly kind: "material"; readonly id: string }
  | { readonly kind: "mm"; readonly mm: number }
  | { readonly kind: "count"; readonly count: number }
  | { readonly kind: "tip"; readonly style: TipStyle }
  | { readonly kind: "grind"; readonly grind: Grind["kind"] }
  | { readonly kind: "tang"; readonly tang: Design["tang"]["kind"]; readonly end: BarEnd["kind"] | null }
  | { readonly kind: "fasteners"; readonly counts: Readonly<Partial<Record<FastenerKind, number>>> };

export const TRAITS = [
  "steel",
  "blade-length",
  "heel",
  "spine",
  "tip-thickness",
  "tip",
  "grind",
  "tang",
  "tang-length",
  "tang-butt",
  "tang-openings",
  "guard-thickness",
  "handle-length",
  "handle-thickness",
  "fasteners",
  ...MATERIAL_PLACES,
] as const;
export type Trait = (typeof TRAITS)[number];

/** Whether a trait is the material of one place of a knife. */
export function isPlace(trait: Trait): trait is MaterialPlace {
  return (MATERIAL_PLACES as readonly string[]).includes(trait);
}

const mm = (value: number | null | undefined): TraitValue | null =>
  value === null || value === undefined ? null : { kind: "mm", mm: value };

/** One trait of a knife, or null where it has no such thing. Lengths in mm, thicknesses over both sides. */
export function traitOf(design: Design, trait: Trait): TraitValue | null {
  const { blade, tang, handle, guard, fasteners } = design;
  if (isPlace(trait)) {
    const id = materialAt(design, trait);
    return id === null ? null : { kind: "material", id };
  }
  switch (trait) {
    case "steel":
      return { kind: "material", id: blade.steel };
    case "blade-length":
      return mm(blade.lengthMm);
    case "heel":
      return mm(blade.heelHeightMm);
    case "spine":
      return mm(blade.spineMm);
    case "tip-thickness":
      return mm(blade.tipThicknessMm);
    case "tip":
      return { kind: "tip", style: blade.tip.style };
    case "grind":
      return { kind: "grind", grind: blade.grind.kind };
    case "tang":
      return { kind: "tang", tang: tang.kind, end: tang.kind === "hidden" ? tang.end.kind : null };
    case "tang-length":
      return mm(tang.kind === "full" ? tang.short?.lengthMm : tang.lengthMm);
    case "tang-butt":
      return mm(tang.kind === "full" ? (tang.taper?.buttMm ?? blade.spineMm) : tang.endThicknessMm);
    case "tang-openings":
      return tang.kind === "full"
        ? { kind: "count", count: tang.holes.length + tang.slots.length + (tang.recess ? 1 : 0) }
        : null;
    case "guard-thickness":
      return mm(guard?.plates.reduce((s, p) => s + p.thicknessMm, 0));
    case "handle-length":
      return mm(handleLength(handle, "length"));
    case "handle-thickness":
      return mm(Math.max(...handle.plan.map((p) => p.halfMm + (p.leftHalfMm ?? p.halfMm))));
    case "fasteners": {
      const counts: Partial<Record<FastenerKind, number>> = {};
      for (const f of fasteners) counts[f.kind] = (counts[f.kind] ?? 0) + 1;
      return { kind: "fasteners", counts };
    }
  }
}

/** The traits in which not all of these are alike, in the order of the list; none for fewer than two. */
export function differingTraits(designs: readonly Design[]): Trait[] {
  return TRAITS.filter((t) => {
    const values = new Set(designs.map((d) => JSON.stringify(traitOf(d, t))));
    return values.size > 1;
  });
}
