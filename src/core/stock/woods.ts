import { around, material, poundsPerCubicFoot } from "./define";
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
  hazards: readonly Hazard[] = ["wood-dust"],
): Material {
  const density = poundsPerCubicFoot(lbPerCubicFoot, WOOD_SPREAD);
  return material("wood", id, name, density, tint, UNITS_TABLE, hazards);
}

function stabilised(id: string, name: string, densityGcc: number, spread: number, tint: string): Material {
  const source = "from memory; resin uptake differs from piece to piece";
  return material("stabilised-wood", id, name, around(densityGcc, spread), tint, source, [
    "wood-dust",
    "resin-dust",
  ]);
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
  material("wood", "cork", "Cork", { typical: 0.24, low: 0.12, high: 0.26 }, "#b98d62", "from memory", [
    "wood-dust",
  ]),
];

/** Woods filled with resin under vacuum. */
export const STABILISED_WOODS: readonly Material[] = [
  stabilised("maple-burl-stabilised", "Stabilised maple burl", 1.08, 0.1, "#b58a55"),
  stabilised("birch-curly-stabilised", "Stabilised curly birch", 1.05, 0.1, "#c79f68"),
  stabilised("walnut-stabilised", "Stabilised walnut", 1.05, 0.1, "#5d4030"),
  stabilised("buckeye-stabilised", "Stabilised buckeye burl", 1.1, 0.1, "#8d7d6a"),
];
