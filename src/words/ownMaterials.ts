import type { DensityFault } from "@/core/materials/own/densityOf";
import { type BasisKind, DENSITY_LIMITS, type ShareKind } from "@/core/materials/own/types";
import type { Density } from "@/core/materials/types";
import type { MaterialUse } from "@/store/materialUses";

/** What a density is known from. */
export const BASIS_WORDS: Record<BasisKind, string> = {
  stated: "A figure",
  piece: "A piece, weighed and measured",
  immersion: "A piece, weighed in water",
  mix: "Layers, or a blend",
  "taken-up": "Wood and the resin it took up",
  cast: "Resin cast over pieces in a mould",
  moisture: "Wood at another moisture",
};

/** What to do for it, in a sentence or two. */
export const BASIS_HELP: Record<BasisKind, string> = {
  stated: "From a table or a data sheet, with the range that pieces fall in.",
  piece: "A box-shaped piece. The error is that of the scale and the caliper together.",
  immersion:
    "Weigh the piece; then hang it by a thread in a cup of water that stands on the scale, all under and touching nothing; what floats is pushed under with a thin wire. So much more the scale shows.",
  mix: "Layered steel, mokume, wood and resin: what it is made of, and the share of each.",
  "taken-up": "Weigh the wood dry and after curing: what came on, as a share of the dry weight.",
  cast: "Weigh what goes into the mould; the rest of the mould is resin. Shrinkage is left out: fill it up.",
  moisture:
    "Densities of woods hold at 12 % moisture. Wood from a dry room has 6 to 8 %, from a shed 15 to 18 %.",
};

export const SHARE_KIND_WORDS: Record<ShareKind, string> = { volume: "by volume", mass: "by weight" };

/** A density with its range, g/cm³. */
export function densityWords({ typical, low, high }: Density): string {
  return `${typical.toFixed(3)} g/cm³ (${low.toFixed(3)} – ${high.toFixed(3)})`;
}

/** Why a density makes no sense, and what would. */
export function densityFaultWords(fault: DensityFault): string {
  switch (fault.code) {
    case "not-in-order":
      return "The figure has to lie within its range, the lower end first.";
    case "out-of-range": {
      const is =
        fault.gcc === null ? "That gives no density" : `That gives ${fault.gcc.toPrecision(3)} g/cm³`;
      return `${is}; nothing solid is outside ${DENSITY_LIMITS.join(" to ")}. Look at the weight and the sizes again.`;
    }
    case "mould-full":
      return "The pieces fill the mould, or more: there is no room for resin. Look at their weights and the mould's sizes.";
    case "more-than-pores":
      return `The wood has no room for so much resin: ${Math.floor(fault.mostShare * 100)} % of its dry weight at most.`;
  }
}

const WHERE_WORDS: Record<MaterialUse["where"], string> = {
  rack: "",
  variant: ", a variant",
  bin: ", in the bin",
};
const FEW = 4;

/** What is made of a material, so that it cannot be deleted. */
export function usedByWords(uses: readonly MaterialUse[]): string {
  const names = uses.slice(0, FEW).map((u) => `${u.name}${WHERE_WORDS[u.where]}`);
  const more = uses.length > FEW ? `; and ${uses.length - FEW} more` : "";
  return `Made of it: ${names.join("; ")}${more}. Give them another material first.`;
}
