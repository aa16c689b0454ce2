import { shippedMaterial } from "../materials";
import type { Material, MaterialOf } from "../types";
import { densityOf } from "./densityOf";
import type { BasisKind, OwnMaterial } from "./types";

const SOURCES: Record<BasisKind, string> = {
  stated: "stated by the maker",
  piece: "a piece weighed and measured",
  immersion: "a piece weighed in water",
  mix: "worked out from what it is made of",
  "taken-up": "worked out from the resin taken up",
  cast: "worked out from the mould and what is in it",
  moisture: "worked out from its moisture content",
};

/** A maker's own material as one to weigh with; undefined where its density makes no sense. */
export function asMaterial(own: OwnMaterial): Material | undefined {
  const reading = densityOf(own.density);
  if (!reading.ok) return undefined;
  const { id, name, class: cls, hazards, otherNames, tint } = own;
  return {
    id,
    name,
    class: cls,
    densityGcc: reading.densityGcc,
    hazards,
    tint,
    source: SOURCES[own.density.kind],
    ...(otherNames.length === 0 ? {} : { otherNames }),
    ...(own.like === null ? {} : { like: own.like }),
  };
}

const known = new WeakMap<readonly OwnMaterial[], MaterialOf>();

/** Finds a material by its id, among those that ship and these own ones. The same function for the same list. */
export function materialsWith(own: readonly OwnMaterial[]): MaterialOf {
  const before = known.get(own);
  if (before) return before;
  const mine = new Map(own.map((m) => [m.id, asMaterial(m)]));
  const find: MaterialOf = mine.size === 0 ? shippedMaterial : (id) => shippedMaterial(id) ?? mine.get(id);
  known.set(own, find);
  return find;
}
