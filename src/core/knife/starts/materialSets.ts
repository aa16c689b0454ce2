import type { OwnMaterial } from "../../materials/own/types";
import type { MaterialOf } from "../../materials/types";
import { withOwnMaterials } from "../design/materials";
import type { Design } from "../design/schema";
import type { MaterialPlace } from "../parts/materialPlace";
import { materialAt, withMaterial } from "./materialPlaces";

/** A set of materials for a knife: what its handle is of, its fittings, its sheets and its pins; null leaves what is there. */
export interface MaterialSet {
  readonly handle: string | null;
  readonly fittings: string | null;
  readonly sheets: string | null;
  readonly pins: string | null;
}
export type SetPart = keyof MaterialSet;

/** Places that each part of a set stands for. */
const PLACES: Record<SetPart, readonly MaterialPlace[]> = {
  handle: ["scales", "block", "washers"],
  fittings: ["guard", "bolsters", "ferrules", "pommel"],
  sheets: ["liners", "spacers"],
  pins: ["pins"],
};

/** The material that a part of a set would change, or null where the knife has nothing of it. */
export function setMaterial(design: Design, part: SetPart): string | null {
  for (const place of PLACES[part]) {
    const there = materialAt(design, place);
    if (there !== null) return there;
  }
  return null;
}

/** The same knife, blade, tang and shape, in other materials, some of them of its maker's own. */
export function inMaterials(design: Design, set: MaterialSet, own: readonly OwnMaterial[] = []): Design {
  let next = design;
  for (const part of Object.keys(PLACES) as SetPart[]) {
    const material = set[part];
    if (material === null) continue;
    for (const place of PLACES[part]) next = withMaterial(next, place, material);
  }
  return withOwnMaterials(next, own);
}

/** One of each kind that hands differ in, light to heavy. */
const HANDLES = [
  "walnut-black",
  "maple-burl-stabilised",
  "ebony-gaboon",
  "linen-phenolic",
  "g10",
  "horn-buffalo",
  "carbon-epoxy",
] as const;

/** Six sets to begin from: other materials for the handle than it has, all else as it is. */
export function proposedSets(design: Design): MaterialSet[] {
  const now = setMaterial(design, "handle");
  return HANDLES.filter((id) => id !== now)
    .slice(0, 6)
    .map((handle) => ({ handle, fittings: null, sheets: null, pins: null }));
}

/** A name for a set of materials: what it changes, the handle first. */
export function setName(set: MaterialSet, materialOf: MaterialOf): string {
  const names = [set.handle, set.fittings, set.sheets, set.pins].flatMap((id) =>
    id === null ? [] : [materialOf(id)?.name ?? id],
  );
  return names.length > 0 ? names.join(", ").slice(0, 60) : "As it is";
}
