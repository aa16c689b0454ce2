import { USUAL_HAZARDS } from "../define";
import type { Density, Material, MaterialClass } from "../types";
import { type BasisKind, DENSITY_LIMITS, type DensityBasis, OWN_PREFIX, type OwnMaterial } from "./types";

/** An own material's id from a random part of at least four letters or digits. */
export const ownId = (random: string) => `${OWN_PREFIX}${random}`;

const DENSEST_WOOD_GCC = 1.4;
const COMMON_WOOD: Density = { typical: 0.7, low: 0.62, high: 0.78 };

/** A material to begin from: as heavy as a common hardwood, to be changed. */
export function plainOwn(id: string): OwnMaterial {
  return {
    id,
    name: "",
    class: "wood",
    like: null,
    density: { kind: "stated", ...COMMON_WOOD },
    hazards: USUAL_HAZARDS.wood,
    otherNames: [],
    tint: "#a07843",
    note: "",
  };
}

/** One's own of a material that ships, or a copy of an own one: the same in all but its id. */
export function ownFrom(material: Material, id: string, own?: OwnMaterial): OwnMaterial {
  if (own) return { ...own, id };
  const { name, class: cls, densityGcc, hazards, tint } = material;
  return {
    id,
    name,
    class: cls,
    like: material.id,
    density: { kind: "stated", ...densityGcc },
    hazards,
    otherNames: [],
    tint,
    note: "",
  };
}

/** The material as one of another class: what is usual to take care of there, and what its maker has added. */
export function ofClass(own: OwnMaterial, cls: MaterialClass): OwnMaterial {
  if (cls === own.class) return own;
  const added = own.hazards.filter((h) => !USUAL_HAZARDS[own.class].includes(h));
  return { ...own, class: cls, hazards: [...new Set([...USUAL_HAZARDS[cls], ...added])] };
}

const WATER_C = 20;
/** Epoxy as it is poured, two parts to one by volume. From memory. */
const MIXING = { ratio: 2, by: "volume", densityA: 1.1, densityB: 1, wasteShare: 0.1 } as const;
/** Density of cast epoxy and of stabilising resin, g/cm³. From memory. */
const EPOXY: Density = { typical: 1.15, low: 1.1, high: 1.2 };
const STABILISING_GCC = 1.1;

/** A basis of another kind to begin from, that gives about the density known so far, g/cm³. */
export function plainBasis(kind: BasisKind, density: Density): DensityBasis {
  const { typical } = density;
  switch (kind) {
    case "stated":
      return { kind, ...density };
    case "piece": {
      const massG = Math.max(0.1, Math.round(typical * 480) / 10);
      return { kind, massG, massOffG: 0.1, lengthMm: 120, heightMm: 40, thicknessMm: 10, sizeOffMm: 0.1 };
    }
    case "immersion":
      return { kind, massG: Math.round(typical * 480) / 10, displacedG: 48, offG: 0.1, waterC: WATER_C };
    case "mix":
      return {
        kind,
        by: "volume",
        parts: [
          { name: "First", densityGcc: density, share: 50 },
          { name: "Second", densityGcc: density, share: 50 },
        ],
      };
    case "taken-up": {
      // A dry wood lighter than what is known of it with its resin.
      const dry = Math.max(DENSITY_LIMITS[0], Math.min(0.6, typical / 1.5));
      return {
        kind,
        dry: { typical: dry, low: dry * 0.9, high: dry * 1.1 },
        takenUpShare: 0.5,
        takenUpOffShare: 0.1,
        resinGcc: STABILISING_GCC,
      };
    }
    case "cast":
      return {
        kind,
        lengthMm: 130,
        heightMm: 45,
        thicknessMm: 25,
        resin: { name: "Epoxy", densityGcc: EPOXY },
        inclusions: [],
        mixing: MIXING,
      };
    case "moisture": {
      // What is denser than any wood is begun from a common one.
      const at12 = density.high < DENSEST_WOOD_GCC ? density : COMMON_WOOD;
      return { kind, at12, moisturePercent: 8, moistureOffPercent: 1 };
    }
  }
}
