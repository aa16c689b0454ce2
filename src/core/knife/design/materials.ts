import { isRecord } from "../../base/isRecord";
import { materialsWith } from "../../materials/own/known";
import { OWN_PREFIX, type OwnMaterial } from "../../materials/own/types";
import type { MaterialOf } from "../../materials/types";
import type { ProductDesign } from "./product";

/** Finds what a knife may be made of: materials that ship, and the own ones that its record carries. */
export const materialsIn = (design: Pick<ProductDesign, "materials">): MaterialOf =>
  materialsWith(design.materials);

/** Where nothing is made of anything: own materials by their definition, shapes, and what is said. */
const NOT_MADE_OF: ReadonlySet<string> = new Set(["materials", "meshes", "names", "locked", "notes", "name"]);

/** Ids of own materials that a record refers to anywhere, in order. */
export function ownIdsIn(record: unknown): ReadonlySet<string> {
  const found = new Set<string>();
  const walk = (value: unknown): void => {
    if (typeof value === "string") {
      if (value.startsWith(OWN_PREFIX)) found.add(value);
    } else if (Array.isArray(value)) value.forEach(walk);
    else if (isRecord(value))
      for (const [key, inner] of Object.entries(value)) if (!NOT_MADE_OF.has(key)) walk(inner);
  };
  walk(record);
  return found;
}

/**
 * The design with the own materials that it is made of, and no others: as it has them already, else as they stand in a
 * maker's list. One that is in neither is left to be found unknown.
 */
export function withOwnMaterials<D extends ProductDesign>(design: D, list: readonly OwnMaterial[]): D {
  const used = ownIdsIn(design);
  const carried = design.materials;
  if (used.size === carried.length && carried.every((m) => used.has(m.id))) return design;
  const materials = [...used].flatMap(
    (id) => carried.find((m) => m.id === id) ?? list.find((m) => m.id === id) ?? [],
  );
  const same = materials.length === carried.length && materials.every((m, i) => m === carried[i]);
  return same ? design : { ...design, materials };
}

/** The design with another definition of one of its own materials; as it is where it has none of that id. */
export function withDefinition<D extends ProductDesign>(design: D, own: OwnMaterial): D {
  if (!design.materials.some((m) => m.id === own.id)) return design;
  return { ...design, materials: design.materials.map((m) => (m.id === own.id ? own : m)) };
}
