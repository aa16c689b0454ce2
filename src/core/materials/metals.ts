import { around, material, USUAL_HAZARDS } from "./define";
import type { Hazard, Material } from "./types";

const CHECKED = "from memory; checked by the rule of mixtures from pure-metal densities";
/** Silicon and aluminium, and zinc in two phases, take less room in an alloy than by themselves: the rule does not hold. */
const UNCHECKED: ReadonlySet<string> = new Set([
  "steel-9260",
  "steel-s5",
  "bronze-silicon",
  "bronze-aluminium",
  "bronze-manganese",
  "brass-464",
  "mokume-copper",
]);
const sourceOf = (id: string): string => (UNCHECKED.has(id) ? "from memory" : CHECKED);

function steel(id: string, name: string, densityGcc: number, spread = 0.006): Material {
  return material(
    "steel",
    id,
    name,
    around(densityGcc, spread),
    "#8b97a1",
    sourceOf(id),
    USUAL_HAZARDS.steel,
  );
}

function metal(
  id: string,
  name: string,
  densityGcc: number,
  spread: number,
  tint: string,
  hazards: readonly Hazard[] = USUAL_HAZARDS.metal,
): Material {
  return material("metal", id, name, around(densityGcc, spread), tint, sourceOf(id), hazards);
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
  steel("steel-1045", "1045 carbon steel (1.1191)", 7.85),
  steel("steel-1055", "1055 carbon steel (1.1203)", 7.85),
  steel("steel-c100s", "C100S carbon steel (1.1274)", 7.83),
  steel("steel-w1", "W1 tool steel (1.1545)", 7.84),
  steel("steel-o2", "O2 tool steel (1.2842)", 7.84),
  steel("steel-110wcrv5", "110WCrV5 tool steel (1.2519)", 7.86),
  steel("steel-115w8", "115W8 tool steel (1.2442)", 7.95),
  steel("steel-142wv13", "142WV13 tool steel (1.2562)", 8.0, 0.01),
  steel("steel-8670", "8670 nickel steel", 7.84),
  steel("steel-75ni8", "75Ni8 nickel steel (1.5634)", 7.86),
  steel("steel-9260", "9260 spring steel", 7.85),
  steel("steel-6150", "6150 spring steel (1.8159)", 7.84),
  steel("steel-4140", "4140 steel (1.7225)", 7.85),
  steel("steel-s5", "S5 tool steel", 7.76),
  steel("steel-s7", "S7 tool steel (1.2355)", 7.83),
  steel("steel-h13", "H13 tool steel (1.2344)", 7.78),
  steel("steel-m4", "M4 powder-metallurgy high-speed steel", 7.97, 0.01),
  steel("steel-pm-m3", "M3 class 2 powder-metallurgy steel (1.3344)", 8.16, 0.01),
  steel("steel-t15", "T15 powder-metallurgy high-speed steel (1.3202)", 8.19, 0.01),
  steel("steel-a11", "A11 powder-metallurgy tool steel", 7.42, 0.01),
  steel("steel-x46cr13", "X46Cr13 stainless (1.4034)", 7.7),
  steel("steel-x65cr13", "X65Cr13 razor-blade stainless (1.4037)", 7.7),
  steel("steel-x70crmo15", "X70CrMo15 stainless (1.4109)", 7.7),
  steel("steel-x90crmov18", "X90CrMoV18 stainless (1.4112)", 7.7),
  steel("steel-x105crcomo18", "X105CrCoMo18-2 stainless (1.4528)", 7.7),
  steel("steel-x190crvmo20", "X190CrVMo20-4 powder-metallurgy stainless", 7.54, 0.01),
  steel("steel-x39crmo17", "X39CrMo17 stainless (1.4122)", 7.7),
  steel("iron-wrought", "Wrought iron", 7.7, 0.02),
  steel("steel-layered", "Layered steel, 1084 and 75Ni8", 7.85),
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
  metal("stainless-303", "303 stainless (1.4305)", 7.93, 0.008, "#aab3ba"),
  metal("stainless-316", "316 stainless (1.4401)", 7.98, 0.008, "#abb5bb"),
  metal("stainless-410", "410 stainless (1.4006)", 7.74, 0.008, "#a3adb5"),
  metal("stainless-17-4", "17-4 stainless (1.4542)", 7.78, 0.008, "#a5aeb6"),
  metal("brass-220", "Commercial bronze (C22000)", 8.8, 0.008, "#c99a56", COPPER),
  metal("brass-230", "Red brass (C23000)", 8.75, 0.008, "#cfa257", COPPER),
  metal("brass-464", "Naval brass (C46400)", 8.41, 0.008, "#d4b45c", COPPER),
  metal("bronze-tin", "Tin bronze (C90500)", 8.72, 0.015, "#b5854b", COPPER),
  metal("bronze-manganese", "Manganese bronze (C86300)", 7.83, 0.02, "#c59b4f", COPPER),
  metal("copper-nickel", "Copper nickel (C71500)", 8.94, 0.008, "#b9a695", COPPER),
  metal("copper-beryllium", "Beryllium copper (C17200)", 8.25, 0.01, "#c8925c", [...COPPER, "sensitiser"]),
  metal("nickel-200", "Nickel (N02200)", 8.89, 0.006, "#b9b9b2", ["metal-dust", "skin-sensitiser"]),
  metal("nickel-copper", "Nickel copper (N04400)", 8.8, 0.008, "#b3b2a8", ["metal-dust", "skin-sensitiser"]),
  metal("aluminium-7075", "Aluminium 7075", 2.81, 0.008, "#c2c8cc", ["metal-dust", "flammable-dust"]),
  metal("aluminium-2024", "Aluminium 2024", 2.78, 0.008, "#c2c8cc", ["metal-dust", "flammable-dust"]),
  metal("magnesium-az31", "Magnesium AZ31", 1.77, 0.01, "#b9bfc0", ["metal-dust", "flammable-dust"]),
  metal("zinc-cast", "Zinc casting alloy (Z33520)", 6.6, 0.02, "#b4bbbf"),
  metal("pewter", "Pewter, lead-free", 7.28, 0.01, "#b7babb"),
  metal("lead", "Lead", 11.34, 0.006, "#6f7681", ["metal-dust", "sensitiser"]),
  metal("tungsten-heavy", "Tungsten heavy alloy, 90 %", 17.1, 0.02, "#8a8f94"),
  metal("niobium", "Niobium (R04200)", 8.57, 0.008, "#9b9a9c"),
  metal("silver-fine", "Fine silver (999)", 10.49, 0.006, "#d8dbdb", COPPER),
  metal("gold-750", "Gold, 18 carat yellow (750)", 15.45, 0.03, "#d8b03c", COPPER),
  metal("mokume-copper", "Layered copper and nickel silver", 8.83, 0.015, "#b48a6a", COPPER),
  metal("zirconium-702", "Zirconium 702", 6.5, 0.01, "#6f7174", ["metal-dust", "flammable-dust"]),
];
