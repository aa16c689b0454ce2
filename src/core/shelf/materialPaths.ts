import { withValueAt } from "../base/record/path";
import { MADE } from "../figures/review/fixes";
import { assemble } from "../knife/assembly/assemble";
import { materialsIn } from "../knife/design/materials";
import type { Design } from "../knife/design/schema";
import { OWN_PREFIX, type OwnMaterial } from "../materials/own/types";
import { carryingMaterial } from "./madeOf";

/** Every place in what a knife is made of where a text stands. */
function pathsTo(value: unknown, text: string, at: string): string[] {
  if (value === text) return [at];
  if (typeof value !== "object" || value === null) return [];
  return Object.entries(value).flatMap(([key, inner]) => pathsTo(inner, text, `${at}.${key}`));
}

/**
 * The places in a design that say what some of its parts are made of. Each place is tried: what follows another place, such
 * as a segment its scale, is found whichever construction it is of. Of a design that can be built.
 */
export function materialPaths(design: Design, parts: readonly string[], of: string): readonly string[] {
  const wanted = new Set(parts);
  const materialOf = materialsIn(design);
  // A stand-in that is nothing else in this knife, and is built like what stands there.
  const like = materialOf(of);
  if (!like) return [];
  const trial: OwnMaterial = {
    id: `${OWN_PREFIX}tried-in-place`,
    name: "tried",
    class: like.class,
    like: like.like ?? like.id,
    density: { kind: "stated", ...like.densityGcc },
    hazards: [],
    otherNames: [],
    tint: like.tint,
    note: "",
  };
  const withTrial = carryingMaterial(design, trial);
  return MADE.flatMap((part) => pathsTo(design[part], of, part)).filter((path) => {
    const tried = withValueAt(withTrial, path, trial.id);
    if (!tried) return false;
    return assemble(tried).parts.some(
      (p) => wanted.has(p.id) && p.materials.some((m) => m.materialId === trial.id),
    );
  });
}
