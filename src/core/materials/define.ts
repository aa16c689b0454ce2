import { roundTo } from "../base/number";
import type { Density, Hazard, Material, MaterialClass } from "./types";

/** A density whose range is `spread` either side of the typical value (0.02 is ± 2 %). */
export function around(typical: number, spread: number): Density {
  return { typical, low: round4(typical * (1 - spread)), high: round4(typical * (1 + spread)) };
}

/** A density given as a table gives it, in lb/ft³, with its spread. 1 lb/ft³ = 0.016018463 g/cm³. */
export function poundsPerCubicFoot(value: number, spread: number): Density {
  return around(round4(value * 0.016018463), spread);
}

function round4(x: number): number {
  return roundTo(x, 4);
}

/** What is usual to take care of with each class. */
export const USUAL_HAZARDS: Readonly<Record<MaterialClass, readonly Hazard[]>> = {
  steel: ["metal-dust"],
  metal: ["metal-dust"],
  wood: ["wood-dust"],
  "stabilised-wood": ["wood-dust", "resin-dust"],
  laminate: ["resin-dust"],
  "horn-bone": ["bone-dust"],
  leather: ["mould-dust"],
  cord: [],
  plastic: ["resin-dust"],
  adhesive: ["skin-sensitiser"],
};

/** One row of a material table. */
export function material(
  cls: MaterialClass,
  id: string,
  name: string,
  densityGcc: Density,
  tint: string,
  source: string,
  hazards: readonly Hazard[],
): Material {
  return { id, name, class: cls, densityGcc, hazards, source, tint };
}
