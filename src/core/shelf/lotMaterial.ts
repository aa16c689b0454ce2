import { densityOf } from "../materials/own/densityOf";
import {
  DENSITY_LIMITS,
  type DensityBasis,
  NAME_AT_MOST,
  OWN_PREFIX,
  type OwnMaterial,
} from "../materials/own/types";
import type { Density, Material } from "../materials/types";
import type { Lot } from "./lot";

/** How much wider the range of a material is that is a guess: so much of its typical density more, either way. From memory. */
const GUESSED_SHARE = 0.15;

const LOT_PREFIX = `${OWN_PREFIX}lot-`;

/** The id that a lot's material has in a knife. */
export const lotMaterialId = ({ id }: Pick<Lot, "id">): string => LOT_PREFIX + id;

/** The lot that a material of a knife is; null of another material. */
export const lotIdIn = (material: string): string | null =>
  material.startsWith(LOT_PREFIX) ? material.slice(LOT_PREFIX.length) : null;

const clampGcc = (gcc: number) => Math.min(DENSITY_LIMITS[1], Math.max(DENSITY_LIMITS[0], gcc));

/** The range of what a lot is of: wider where that is a guess. */
function rangeOf({ guessed }: Lot, { densityGcc: { low, typical, high } }: Material): Density {
  const more = guessed ? GUESSED_SHARE * typical : 0;
  return { low: clampGcc(low - more), typical, high: clampGcc(high + more) };
}

/** What a lot's density is known from: one of its pieces on the scale, else its material. */
function basisOf(lot: Lot, material: Material): DensityBasis {
  const { weighed, shape } = lot;
  if (weighed && shape.form === "piece" && shape.outline === null) {
    const { lengthMm, heightMm, thicknessMm } = shape;
    return { kind: "piece", ...weighed, lengthMm, heightMm, thicknessMm };
  }
  if (weighed && shape.form === "rod") {
    const { diameterMm, lengthMm } = shape;
    const gcc = weighed.massG / ((Math.PI / 4) * diameterMm ** 2 * lengthMm * 1e-3);
    const off = Math.hypot(
      weighed.massOffG / weighed.massG,
      (2 * weighed.sizeOffMm) / diameterMm,
      weighed.sizeOffMm / lengthMm,
    );
    return { kind: "stated", low: clampGcc(gcc * (1 - off)), typical: gcc, high: clampGcc(gcc * (1 + off)) };
  }
  return { kind: "stated", ...rangeOf(lot, material) };
}

/** A lot's density with its range, or what is wrong with what was weighed. */
export const lotDensity = (lot: Lot, material: Material) => densityOf(basisOf(lot, material));

/** A lot as a material that a knife can be made of: its own density, worked like what it is of. Of a lot of a material. */
export function lotMaterial(lot: Lot, material: Material): OwnMaterial {
  return {
    id: lotMaterialId(lot),
    name: `${lot.name}`.slice(0, NAME_AT_MOST),
    class: material.class,
    like: material.like ?? material.id,
    density: basisOf(lot, material),
    hazards: [...material.hazards],
    otherNames: [],
    tint: material.tint,
    note: lot.guessed ? "What it is is a guess: try a piece of it first." : "",
  };
}
