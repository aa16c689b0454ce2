import { handleModule } from "../constructions/handles/registry";
import { materialsIn } from "../design/materials";
import type { Design } from "../design/schema";
import type { MaterialPlace } from "../parts/materialPlace";

/** The material there, the first where there are several; null where the knife has no such place. */
export function materialAt(design: Design, place: MaterialPlace): string | null {
  const { handle, guard, fasteners } = design;
  if (place === "guard") return guard?.plates[0].material ?? null;
  if (place === "pins") return fasteners.find((f) => f.kind === "pin")?.material ?? null;
  return handleModule(handle).materialAt(handle, place);
}

/**
 * The knife with another material there, and as it was where it has no such place. Segments of scales follow where
 * they were of the scale's own material on their side.
 */
export function withMaterial(design: Design, place: MaterialPlace, material: string): Design {
  const { handle, guard, fasteners } = design;
  if (materialAt(design, place) === null) return design;
  if (place === "guard" && guard)
    return { ...design, guard: { ...guard, plates: guard.plates.map((p) => ({ ...p, material })) } };
  if (place === "pins")
    return { ...design, fasteners: fasteners.map((f) => (f.kind === "pin" ? { ...f, material } : f)) };
  return {
    ...design,
    handle: handleModule(handle).withMaterial(handle, place, material, materialsIn(design)),
  };
}
