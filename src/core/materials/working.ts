import { own } from "../base/own";
import type { Material, MaterialClass } from "./types";

/** The id of the material that ships whose working properties a material has. */
const worksAs = ({ id, like }: Material) => like ?? id;

/** Change of size across the grain for 1 % of moisture content, as a share: radially and tangentially. */
export interface Movement {
  readonly radial: number;
  readonly tangential: number;
  readonly source: string;
}

const HANDBOOK = "USDA Wood Handbook, FPL-GTR-282, table 13-5, from memory";

const moves = (radial: number, tangential: number, source = HANDBOOK): Movement => ({
  radial,
  tangential,
  source,
});

const MOVEMENTS: Readonly<Record<string, Movement>> = {
  "walnut-black": moves(0.0019, 0.00274),
  "maple-hard": moves(0.00165, 0.00353),
  cherry: moves(0.00126, 0.00248),
  "oak-white": moves(0.0018, 0.00365),
  "oak-red": moves(0.00158, 0.00369),
  beech: moves(0.0019, 0.00431),
  birch: moves(0.00256, 0.00338),
  teak: moves(0.00101, 0.00186),
  mahogany: moves(0.00172, 0.00238),
};

const OTHER_WOOD = moves(0.0015, 0.003, "between the woods of the table; from memory");

/** Stabilised wood moves about a third as far as the same wood. From memory. */
const STABILISED_SHARE = 1 / 3;

/** How a material moves with moisture, or null of one that hardly does. */
export function movementOf(material: Material): Movement | null {
  const { class: cls } = material;
  const as = worksAs(material);
  if (as === "cork") return null;
  if (cls === "wood") return own(MOVEMENTS, as) ?? OTHER_WOOD;
  if (cls !== "stabilised-wood") return null;
  const base = own(MOVEMENTS, as.replace(/-(burl-)?stabilised$/, "-hard")) ?? OTHER_WOOD;
  return {
    radial: base.radial * STABILISED_SHARE,
    tangential: base.tangential * STABILISED_SHARE,
    source: `${base.source}; a third of it for stabilised wood, from memory`,
  };
}

const OILY =
  /^(rosewood|cocobolo|ironwood|desert-ironwood|blackwood|ebony|lignum-vitae|snakewood|bubinga|teak|olive|kingwood|tulipwood)/;

/** Woods whose oil keeps glue off: wiped with solvent just before gluing. Common practice, no source. */
export function isOily(material: Material): boolean {
  return OILY.test(worksAs(material));
}

/** Whether a pin may be peened against it: metals only. Common practice, no source. */
export function bearsPeening(material: Material | undefined): boolean {
  return material?.class === "metal" || material?.class === "steel";
}

/** Classes that give off harmful fumes where a red-hot tang is pressed into them. */
const FUMING: readonly MaterialClass[] = [
  "stabilised-wood",
  "laminate",
  "horn-bone",
  "leather",
  "cord",
  "plastic",
  "adhesive",
];

/**
 * What a tang that is burned into a material does: harmful fumes; splitting, of wood that is softer than a density in
 * g/cm³ or that nothing is known of; nothing amiss in sound hardwood, nor in metal, where nothing burns. Common practice,
 * no source.
 */
export function burningIn(material: Material | undefined, hardFromGcc: number): "fumes" | "soft" | null {
  if (!material) return "soft";
  if (FUMING.includes(material.class)) return "fumes";
  return material.class === "wood" && material.densityGcc.typical < hardFromGcc ? "soft" : null;
}

/** How near the thinnest wall, and a pin to an edge, may come in a class of material. Common practice, no source. */
export type Toughness = "wood" | "laminate" | "metal";

const TOUGHNESS: Record<MaterialClass, Toughness> = {
  wood: "wood",
  "stabilised-wood": "wood",
  "horn-bone": "wood",
  cord: "wood",
  leather: "wood",
  plastic: "laminate",
  laminate: "laminate",
  adhesive: "laminate",
  metal: "metal",
  steel: "metal",
};

/** Of an unknown material, that of the least tough. */
export function toughnessOf(material: Material | undefined): Toughness {
  return TOUGHNESS[material?.class ?? "wood"];
}

/** Whether a stack of it is pressed together: leather and cork. Common practice, no source. */
export function isPressed(material: Material | undefined): boolean {
  return material !== undefined && (material.class === "leather" || worksAs(material) === "cork");
}

const GRAINED: readonly MaterialClass[] = ["wood", "stabilised-wood", "horn-bone"];

/** Whether a material has a grain. */
export function hasGrain(material: Material | undefined): boolean {
  return material !== undefined && GRAINED.includes(material.class) && worksAs(material) !== "cork";
}

/**
 * Anodic index of a metal in volts: metals 0.25 V apart corrode each other where it is damp, the higher one first.
 * @see MIL-STD-889 and common galvanic tables, from memory; null of what is no metal.
 */
export function anodicIndex(material: Material): number | null {
  const { class: cls } = material;
  const as = worksAs(material);
  if (cls === "steel") return /(420|440c|-x\d+cr)/.test(as) ? 0.6 : 0.85;
  if (cls !== "metal") return null;
  if (/^stainless-(30[34]|316)/.test(as)) return 0.5;
  if (/^stainless/.test(as)) return 0.6;
  if (/^mild/.test(as)) return 0.85;
  if (/^brass/.test(as)) return 0.4;
  if (/^(bronze|copper|mokume)/.test(as)) return 0.35;
  if (/^nickel-silver/.test(as)) return 0.3;
  if (/^aluminium/.test(as)) return 0.95;
  if (/^silver/.test(as)) return 0.15;
  if (/^gold/.test(as)) return 0;
  if (/^(lead|pewter)/.test(as)) return 0.65;
  if (/^zinc/.test(as)) return 1.25;
  if (/^magnesium/.test(as)) return 1.75;
  return 0.3;
}
