import type { Design } from "../../knife/design/schema";
import type { MaterialPlace } from "../../knife/parts/materialPlace";
import { materialAt, withMaterial } from "../../knife/starts/materialPlaces";
import type { Lever, LeverNature } from "./lever";

/** Materials that a part is commonly tried in. Common practice, no source. */
const METALS = ["aluminium-6061", "titanium-5", "stainless-416", "brass-360", "nickel-silver"];
const SCALES = [
  "walnut-black",
  "maple-burl-stabilised",
  "linen-phenolic",
  "g10",
  "ebony-gaboon",
  "carbon-epoxy",
];
const SHEETS = ["vulcanised-fibre", "g10", "brass-260", "aluminium-6061"];

/** Materials that can be changed by themselves: the lever's name, the place, and what it is changed to. */
const CHOICES: readonly (readonly [string, MaterialPlace, readonly string[], LeverNature])[] = [
  ["guard-metal", "guard", METALS, "metal"],
  ["scale-material", "scales", SCALES, "look"],
  ["liner-material", "liners", SHEETS, "plain"],
  ["block-material", "block", SCALES, "look"],
  ["spacer-material", "spacers", SHEETS, "plain"],
  ["bolster-metal", "bolsters", METALS, "metal"],
  ["ferrule-metal", "ferrules", METALS, "metal"],
  ["pommel-metal", "pommel", METALS, "metal"],
  ["pin-metal", "pins", METALS, "plain"],
];

/** Every change of a material by itself. */
export function materialLevers(design: Design): Lever[] {
  return CHOICES.flatMap(([what, place, materials, nature]) => {
    const now = materialAt(design, place);
    if (now === null) return [];
    return materials
      .filter((m) => m !== now)
      .map((material) => ({
        id: `${what}:${material}`,
        unit: "choice" as const,
        step: 1,
        low: 0,
        high: 1,
        nature,
        material,
        apply: (d: Design, amount: number) => (amount >= 0.5 ? withMaterial(d, place, material) : d),
      }));
  });
}
