import { around, material } from "./define";
import type { Hazard, Material } from "./types";

const FROM_MEMORY = "from memory; checked by the rule of mixtures from pure-metal densities";

function steel(id: string, name: string, densityGcc: number, spread = 0.006): Material {
  return material("steel", id, name, around(densityGcc, spread), "#8b97a1", FROM_MEMORY, ["metal-dust"]);
}

function metal(
  id: string,
  name: string,
  densityGcc: number,
  spread: number,
  tint: string,
  hazards: readonly Hazard[] = ["metal-dust"],
): Material {
  return material("metal", id, name, around(densityGcc, spread), tint, FROM_MEMORY, hazards);
}

const COPPER: readonly Hazard[] = ["metal-dust", "copper-fume"];

/** Blade steels, by standard designation (AISI/SAE, EN). */
export const STEELS: readonly Material[] = [
  steel("steel-1075", "1075 carbon steel", 7.85),
  steel("steel-1084", "1084 carbon steel", 7.85),
  steel("steel-1095", "1095 carbon steel", 7.84),
  steel("steel-5160", "5160 spring steel", 7.85),
  steel("steel-52100", "52100 bearing steel (1.3505)", 7.82),
  steel("steel-80crv2", "80CrV2 (1.2235)", 7.83),
  steel("steel-o1", "O1 tool steel (1.2510)", 7.83),
  steel("steel-w2", "W2 tool steel", 7.84),
  steel("steel-l6", "L6 tool steel", 7.84),
  steel("steel-a2", "A2 tool steel (1.2363)", 7.8),
  steel("steel-d2", "D2 tool steel (1.2379)", 7.7),
  steel("steel-m2", "M2 high-speed steel (1.3343)", 8.14, 0.01),
  steel("steel-420", "420 stainless (1.4021)", 7.73),
  steel("steel-440c", "440C stainless (1.4125)", 7.68),
  steel("steel-x50crmov15", "X50CrMoV15 stainless (1.4116)", 7.72),
];

/** Metals for guards, bolsters, liners, pins and pommels. */
export const METALS: readonly Material[] = [
  metal("stainless-304", "304 stainless (1.4301)", 7.93, 0.008, "#a9b3ba"),
  metal("stainless-416", "416 stainless (1.4005)", 7.74, 0.008, "#a3adb5"),
  metal("mild-steel", "Mild steel (1018)", 7.86, 0.006, "#87919a"),
  metal("brass-260", "Cartridge brass (C26000)", 8.53, 0.008, "#d6b95e", COPPER),
  metal("brass-360", "Free-cutting brass (C36000)", 8.49, 0.008, "#d9bd62", COPPER),
  metal("nickel-silver", "Nickel silver (C75200)", 8.73, 0.01, "#c3c2b4", COPPER),
  metal("bronze-phosphor", "Phosphor bronze (C51000)", 8.86, 0.01, "#b98a52", COPPER),
  metal("bronze-silicon", "Silicon bronze (C65500)", 8.53, 0.01, "#b8864d", COPPER),
  metal("bronze-aluminium", "Aluminium bronze (C95400)", 7.5, 0.03, "#c09a52", COPPER),
  metal("copper", "Copper (C11000)", 8.93, 0.006, "#c57b53", COPPER),
  metal("aluminium-6061", "Aluminium 6061", 2.7, 0.008, "#c4cace", ["metal-dust", "flammable-dust"]),
  metal("titanium-2", "Titanium grade 2", 4.51, 0.008, "#9c9a98", ["metal-dust", "flammable-dust"]),
  metal("titanium-5", "Titanium grade 5 (6Al-4V)", 4.43, 0.008, "#959391", ["metal-dust", "flammable-dust"]),
  metal("silver-925", "Sterling silver (925)", 10.36, 0.008, "#d3d6d6", COPPER),
  metal("zirconium-702", "Zirconium 702", 6.5, 0.01, "#6f7174", ["metal-dust", "flammable-dust"]),
];
