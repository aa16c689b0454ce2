import { METALS, STEELS } from "./metals";
import { ADHESIVES, CORDS, HORN_BONE, LAMINATES, LEATHERS, PLASTICS } from "./others";
import type { Material } from "./types";
import { STABILISED_WOODS, WOODS } from "./woods";

/** Every material that ships with the application, by class. */
export const MATERIALS: readonly Material[] = [
  ...STEELS,
  ...METALS,
  ...WOODS,
  ...STABILISED_WOODS,
  ...LAMINATES,
  ...CORDS,
  ...HORN_BONE,
  ...LEATHERS,
  ...PLASTICS,
  ...ADHESIVES,
];

const BY_ID = new Map(MATERIALS.map((m) => [m.id, m]));

/** The material that ships under that id, or undefined. */
export function shippedMaterial(id: string): Material | undefined {
  return BY_ID.get(id);
}
