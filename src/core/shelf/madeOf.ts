import { withValueAt } from "../base/record/path";
import type { Design } from "../knife/design/schema";
import type { OwnMaterial } from "../materials/own/types";

/** The design with a material among those that it carries, in the place of one of its id. */
export function carryingMaterial(design: Design, material: OwnMaterial): Design {
  const others = design.materials.filter((m) => m.id !== material.id);
  // A record's lists may be written to, a material's own may not: what is the same record is read by either.
  return { ...design, materials: [...others, material as Design["materials"][number]] };
}

/** The design with some of its parts made of another material, which it carries then. */
export function withPartsOf(design: Design, paths: readonly string[], material: OwnMaterial): Design {
  return paths.reduce<Design>(
    (next, path) => withValueAt(next, path, material.id) ?? next,
    carryingMaterial(design, material),
  );
}
