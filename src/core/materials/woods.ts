import { around, material, poundsPerCubicFoot, USUAL_HAZARDS } from "./define";
import type { Hazard, Material } from "./types";

/**
 * Spread of one piece of a named wood about the species' average: about ± 12 %.
 * @see USDA Wood Handbook, FPL-GTR-282, ch. 4 gives a coefficient of variation near 10 % (value from memory).
 */
const WOOD_SPREAD = 0.12;
const UNITS_TABLE = "average dried wood, data file of GNU units; spread from memory";

const OILY: readonly Hazard[] = ["wood-dust", "sensitiser"];
const REGULATED: readonly Hazard[] = ["wood-dust", "sensitiser", "regulated-trade"];

function wood(
  id: string,
  name: string,
  lbPerCubicFoot: number,
  tint: string,
  hazards: readonly Hazard[] = USUAL_HAZARDS.wood,
): Material {
  const density = poundsPerCubicFoot(lbPerCubicFoot, WOOD_SPREAD);
  return material("wood", id, name, density, tint, UNITS_TABLE, hazards);
}

/** A wood that the table lacks. Density of dry wood. */
function remembered(
  id: string,
  name: string,
  densityGcc: number,
  tint: string,
  hazards: readonly Hazard[] = USUAL_HAZARDS.wood,
): Material {
  const source = "average dried wood, from memory";
  return material("wood", id, name, around(densityGcc, WOOD_SPREAD), tint, source, hazards);
}

function stabilised(id: string, name: string, densityGcc: number, spread: number, tint: string): Material {
  const source = "from memory; resin uptake differs from piece to piece";
  return material(
    "stabilised-wood",
    id,
    name,
    around(densityGcc, spread),
    tint,
    source,
    USUAL_HAZARDS["stabilised-wood"],
  );
}

/** Dry woods, by common name. */
export const WOODS: readonly Material[] = [
  wood("walnut-black", "Black walnut", 38, "#6d4c35"),
  wood("maple-hard", "Hard maple", 44, "#d6b98d"),
  wood("cherry", "Cherry", 35, "#ad6d45"),
  wood("oak-white", "White oak", 47, "#b6946a"),
  wood("oak-red", "Red oak", 44, "#bd8f66"),
  wood("beech", "Beech", 45, "#cda77b"),
  wood("birch", "Birch", 43, "#d9bf93"),
  wood("teak", "Teak", 41, "#a07843"),
  wood("mahogany", "Mahogany", 37, "#8f4f33", ["wood-dust", "regulated-trade"]),
  wood("koa", "Koa", 38, "#99612f"),
  wood("zebrawood", "Zebrawood", 50, "#a98150"),
  wood("bubinga", "Bubinga", 56, "#8b4232", REGULATED),
  wood("rosewood-indian", "Indian rosewood", 52, "#54322a", REGULATED),
  wood("rosewood-honduran", "Honduran rosewood", 64, "#7a4534", REGULATED),
  wood("cocobolo", "Cocobolo", 69, "#8f3f22", REGULATED),
  wood("ebony-gaboon", "Gaboon ebony", 60, "#2b2624", REGULATED),
  wood("ebony-macassar", "Macassar ebony", 70, "#43342a", OILY),
  wood("blackwood", "African blackwood", 79.3, "#2e2422", REGULATED),
  wood("lignum-vitae", "Lignum vitae", 78.5, "#5c5a34", REGULATED),
  wood("ironwood-black", "Black ironwood", 84.5, "#5b3b26", OILY),
  wood("snakewood", "Snakewood", 75.7, "#7e3524", OILY),
  wood("rosewood-brazilian", "Brazilian rosewood", 52, "#6a3a2b", REGULATED),
  wood("maple-bigleaf", "Bigleaf maple", 34, "#dcc299"),
  wood("maple-red", "Red maple", 38, "#d3b48a"),
  wood("maple-silver", "Silver maple", 33, "#d8bd94"),
  wood("box-elder", "Box elder", 30, "#dcc8a2"),
  wood("poplar", "Poplar", 29, "#c3b98d"),
  wood("basswood", "Basswood", 26, "#dfcda8"),
  wood("balsa", "Balsa", 9, "#e6d9bd"),
  wood("douglas-fir", "Douglas fir", 32, "#c98f5f"),
  wood("pine-white", "Eastern white pine", 25, "#dcc08f"),
  wood("pine-yellow", "Yellow pine", 35, "#d3a86c"),
  wood("spruce-sitka", "Sitka spruce", 27, "#dfc79b"),
  remembered("ash", "Ash", 0.68, "#cdb38a"),
  remembered("elm", "Elm", 0.57, "#a98159"),
  remembered("apple", "Apple", 0.75, "#b17b57"),
  remembered("pear", "Pear", 0.7, "#b98765"),
  remembered("plum", "Plum", 0.78, "#9a5b4a"),
  remembered("olive", "Olive", 0.92, "#b08d57", ["wood-dust", "sensitiser"]),
  remembered("yew", "Yew", 0.67, "#b9744a", ["wood-dust", "sensitiser"]),
  remembered("boxwood", "Boxwood", 0.95, "#d8bd77", ["wood-dust", "sensitiser"]),
  remembered("juniper", "Juniper", 0.55, "#b57c56", ["wood-dust", "sensitiser"]),
  remembered("osage-orange", "Osage orange", 0.86, "#c88f32"),
  remembered("mesquite", "Mesquite", 0.82, "#8b5233"),
  remembered("desert-ironwood", "Desert ironwood", 1.05, "#5d3b24", OILY),
  remembered("purpleheart", "Purpleheart", 0.88, "#6e3b5b", ["wood-dust", "sensitiser"]),
  remembered("padauk", "Padauk", 0.75, "#a6482c", ["wood-dust", "sensitiser"]),
  remembered("wenge", "Wenge", 0.87, "#3f2f26", ["wood-dust", "sensitiser"]),
  remembered("kingwood", "Kingwood", 1.2, "#54303a", REGULATED),
  remembered("tulipwood", "Tulipwood", 0.97, "#b8694f", REGULATED),
  remembered("ziricote", "Ziricote", 0.81, "#4b3d33", ["wood-dust", "sensitiser"]),
  remembered("bocote", "Bocote", 0.85, "#7d5c34", ["wood-dust", "sensitiser"]),
  remembered("redgum-burl", "Red gum burl", 0.9, "#8d3f2b"),
  remembered("amboyna-burl", "Amboyna burl", 0.65, "#a8562f", ["wood-dust", "sensitiser", "regulated-trade"]),
  remembered("maple-burl", "Maple burl", 0.7, "#c19763"),
  remembered("walnut-burl", "Walnut burl", 0.66, "#5f4331"),
  remembered("masur-birch", "Masur birch", 0.65, "#cfa36b"),
  remembered("bog-oak", "Bog oak", 0.85, "#3a322c"),
  remembered("bamboo", "Bamboo, pressed", 1.05, "#c9a566"),
  material("wood", "cork", "Cork", { typical: 0.24, low: 0.12, high: 0.26 }, "#b98d62", "from memory", [
    "wood-dust",
  ]),
];

/** Woods filled with resin under vacuum. */
export const STABILISED_WOODS: readonly Material[] = [
  stabilised("maple-burl-stabilised", "Stabilised maple burl", 1.08, 0.1, "#b58a55"),
  stabilised("birch-curly-stabilised", "Stabilised curly birch", 1.05, 0.1, "#c79f68"),
  stabilised("walnut-stabilised", "Stabilised walnut", 1.05, 0.1, "#5d4030"),
  stabilised("box-elder-stabilised", "Stabilised box elder burl", 1.05, 0.1, "#bfa075"),
  stabilised("koa-stabilised", "Stabilised koa", 1.1, 0.1, "#8f5a2d"),
  stabilised("spalted-beech-stabilised", "Stabilised spalted beech", 1.08, 0.1, "#b79a72"),
  stabilised("poplar-burl-stabilised", "Stabilised poplar burl", 1.05, 0.1, "#a08a63"),
  stabilised("masur-birch-stabilised", "Stabilised masur birch", 1.08, 0.1, "#bf935d"),
  stabilised("oak-stabilised", "Stabilised oak", 1.08, 0.1, "#8b6a45"),
  stabilised("ash-burl-stabilised", "Stabilised ash burl", 1.08, 0.1, "#b09267"),
  stabilised("pine-cone-resin", "Pine cone in resin", 1.1, 0.08, "#7d6248"),
  stabilised("wood-resin-hybrid", "Burl and resin, cast", 1.1, 0.08, "#7a7f72"),
  stabilised("buckeye-stabilised", "Stabilised buckeye burl", 1.1, 0.1, "#8d7d6a"),
];
