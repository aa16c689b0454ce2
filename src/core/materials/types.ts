/** What kind of stuff a material is: it decides hatching, cautions and, later, working rules. */
export const MATERIAL_CLASSES = [
  "steel",
  "metal",
  "wood",
  "stabilised-wood",
  "laminate",
  "horn-bone",
  "leather",
  "cord",
  "plastic",
  "adhesive",
] as const;
export type MaterialClass = (typeof MATERIAL_CLASSES)[number];

/** What can hurt the person working it. The words shown for each are the interface's. */
export const HAZARDS = [
  "wood-dust",
  "sensitiser",
  "glass-or-carbon-dust",
  "bone-dust",
  "resin-dust",
  "metal-dust",
  "copper-fume",
  "flammable-dust",
  "skin-sensitiser",
  "regulated-trade",
  "mould-dust",
] as const;
export type Hazard = (typeof HAZARDS)[number];

/** Density in g/cm³: the value to weigh with, and the range that a piece off the shelf falls in. */
export interface Density {
  readonly typical: number;
  readonly low: number;
  readonly high: number;
}

export interface Material {
  /** Stable identifier, kept in files: lower-case words joined by hyphens. */
  readonly id: string;
  readonly name: string;
  readonly class: MaterialClass;
  readonly densityGcc: Density;
  readonly hazards: readonly Hazard[];
  /** Where the density comes from, or "from memory". */
  readonly source: string;
  /** The material's own tint on the drawing, sRGB hex. */
  readonly tint: string;
  /** Of a maker's own: the material that ships which it is worked like. */
  readonly like?: string;
  /** Of a maker's own: what else it is called. */
  readonly otherNames?: readonly string[];
}

/** Finds a material by its id; undefined where there is none. */
export type MaterialOf = (id: string) => Material | undefined;
