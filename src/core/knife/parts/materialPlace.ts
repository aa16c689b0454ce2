/** Where a knife has a material that can be changed by itself. */
export const MATERIAL_PLACES = [
  "scales",
  "block",
  "washers",
  "liners",
  "spacers",
  "guard",
  "bolsters",
  "ferrules",
  "pommel",
  "pins",
] as const;
export type MaterialPlace = (typeof MATERIAL_PLACES)[number];
