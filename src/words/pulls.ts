import { printLength, printMass, type UnitSystem } from "@/core/base/units/print";
import type { PartPull, Pull } from "@/core/figures/weigh/pulls";
import type { PartGroup } from "@/core/knife/parts/types";
import type { MaterialOf } from "@/core/materials/types";
import { partName } from "./parts";

export const GROUP_WORDS: Record<PartGroup, string> = {
  blade: "Blade and tang",
  guard: "Guard",
  handle: "Handle",
  pommel: "Pommel",
  fasteners: "Fasteners",
};

/** "brings it 14.2 mm forward": what a part or group adds to the balance. */
export function addsWords({ addsMm }: Pull, units: UnitSystem): string {
  if (addsMm === null) return "there is nothing else";
  const by = printLength(Math.abs(addsMm), units);
  if (Math.abs(addsMm) < 0.05) return "leaves the balance where it is";
  return addsMm > 0 ? `brings the balance ${by} forward` : `takes the balance ${by} back`;
}

/** "84.0 mm behind the balance point" */
export function armWords({ armMm }: Pull, units: UnitSystem): string {
  if (Math.abs(armMm) < 0.05) return "at the balance point";
  return `${printLength(Math.abs(armMm), units)} ${armMm > 0 ? "ahead of" : "behind"} the balance point`;
}

/** Names of the materials in a part, joined. */
export function madeWords(material: string, materialOf: MaterialOf): string {
  return material
    .split("+")
    .map((id) => materialOf(id)?.name ?? id)
    .join(", ");
}

/** All of it in a line, for those who hear the drawing. */
export function pullSentence(name: string, pull: Pull, units: UnitSystem): string {
  return `${name}: ${printMass(pull.massG, units)}, ${armWords(pull, units)}, ${addsWords(pull, units)}`;
}

export function partSentence(pull: PartPull, units: UnitSystem): string {
  return pullSentence(partName(pull.part.key), pull, units);
}
