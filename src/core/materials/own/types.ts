import type { Density, Hazard, MaterialClass } from "../types";

/** Something that goes into a mixture, with its density. */
export interface Ingredient {
  readonly name: string;
  readonly densityGcc: Density;
}

/** A resin of two parts: so many of A to one of B, by volume or by mass, and what is mixed on top of what is needed. */
export interface TwoPartResin {
  readonly ratio: number;
  readonly by: ShareKind;
  /** Densities of the parts, g/cm³. */
  readonly densityA: number;
  readonly densityB: number;
  readonly wasteShare: number;
}

/** So many letters a material's name may have. */
export const NAME_AT_MOST = 60;
/** So many other names a material may have. */
export const OTHER_NAMES_AT_MOST = 8;

export const SHARE_KINDS = ["volume", "mass"] as const;
export type ShareKind = (typeof SHARE_KINDS)[number];

/** What a density is known from. Masses in g, lengths in mm; `…Off…` is how far a reading may be off either way. */
export type DensityBasis =
  | ({ readonly kind: "stated" } & Density)
  /** A box-shaped piece, weighed and measured. */
  | {
      readonly kind: "piece";
      readonly massG: number;
      readonly massOffG: number;
      readonly lengthMm: number;
      readonly heightMm: number;
      readonly thicknessMm: number;
      readonly sizeOffMm: number;
    }
  /** A piece of any shape hung in a cup of water on the scale, which then shows so much more. */
  | {
      readonly kind: "immersion";
      readonly massG: number;
      readonly displacedG: number;
      /** Of either reading. */
      readonly offG: number;
      readonly waterC: number;
    }
  /** Layers or a blend: shares add up to any sum. */
  | {
      readonly kind: "mix";
      readonly by: ShareKind;
      readonly parts: readonly (Ingredient & { readonly share: number })[];
    }
  /** Wood that took up resin: mass of the resin as a share of the dry wood's. */
  | {
      readonly kind: "taken-up";
      readonly dry: Density;
      readonly takenUpShare: number;
      readonly takenUpOffShare: number;
      readonly resinGcc: number;
    }
  /** Pieces laid in a mould of that size, and resin poured over them. */
  | {
      readonly kind: "cast";
      readonly lengthMm: number;
      readonly heightMm: number;
      readonly thicknessMm: number;
      readonly resin: Ingredient;
      readonly inclusions: readonly (Ingredient & { readonly massG: number })[];
      readonly mixing: TwoPartResin;
    }
  /** Wood at another moisture content than the usual 12 %, percent of its dry mass. */
  | {
      readonly kind: "moisture";
      readonly at12: Density;
      readonly moisturePercent: number;
      readonly moistureOffPercent: number;
    };
export type BasisKind = DensityBasis["kind"];
export const BASIS_KINDS = [
  "stated",
  "piece",
  "immersion",
  "mix",
  "taken-up",
  "cast",
  "moisture",
] as const satisfies readonly BasisKind[];

/** A maker's own material, as the knife's record carries it. */
export interface OwnMaterial {
  /** Begins with `OWN_PREFIX`: no material that ships has such an id. */
  readonly id: string;
  readonly name: string;
  readonly class: MaterialClass;
  /** The material that ships which it is worked like: how it moves, takes glue and corrodes. Null is usual for its class. */
  readonly like: string | null;
  readonly density: DensityBasis;
  readonly hazards: readonly Hazard[];
  /** What else it is called, to find it by. */
  readonly otherNames: readonly string[];
  readonly tint: string;
  readonly note: string;
}

export const OWN_PREFIX = "own-";

/** Least and most of any density, g/cm³: lighter than any wood and heavier than any metal there is nothing to build with. */
export const DENSITY_LIMITS = [0.03, 23] as const;

/** Least and most of the figures of a basis, in the units of its names. */
export const BASIS_LIMITS = {
  massG: [0.01, 100_000],
  offG: [0, 1000],
  sideMm: [0.1, 5000],
  sizeOffMm: [0, 5],
  waterC: [0, 40],
  share: [0.001, 1000],
  takenUpShare: [0, 20],
  takenUpOffShare: [0, 5],
  resinGcc: [0.5, 3],
  ratio: [0.1, 200],
  wasteShare: [0, 2],
  moisturePercent: [0, 100],
  moistureOffPercent: [0, 30],
} as const satisfies Record<string, readonly [number, number]>;

/** Of a mixture, so many parts at least and at most; of a cast, at most. */
export const MIX_PARTS = [2, 8] as const;
