import { printLength, type UnitSystem } from "@/core/base/units/print";
import type { Trait, TraitValue } from "@/core/figures/compare/traits";
import type { FastenerKind } from "@/core/knife/design/schema";
import type { MaterialOf } from "@/core/materials/types";
import { GRIND_WORDS, TIP_WORDS } from "./bladeWords";
import { TANG_WORDS } from "./constructions";
import { FASTENER_WORDS } from "./fasteners";
import { small } from "./grammar";
import { TANG_END_WORDS } from "./tangEnds";

export const TRAIT_WORDS: Record<Trait, string> = {
  steel: "Steel",
  "blade-length": "Blade's length",
  heel: "Heel's height",
  spine: "Spine",
  "tip-thickness": "Spine at the tip",
  tip: "Tip",
  grind: "Grind",
  tang: "Tang",
  "tang-length": "Tang's length",
  "tang-butt": "Tang at its end",
  "tang-openings": "Openings in the tang",
  "guard-thickness": "Guard's thickness",
  "handle-length": "Handle's length",
  "handle-thickness": "Handle, thickest",
  fasteners: "Fasteners",
  scales: "Scales",
  block: "Block",
  washers: "Washers",
  liners: "Liners",
  spacers: "Spacers",
  guard: "Guard",
  bolsters: "Bolsters",
  ferrules: "Ferrule",
  pommel: "Pommel",
  pins: "Pins",
};

/** A trait's value in words; "none" where the knife has no such thing. */
export function traitValueWords(value: TraitValue | null, units: UnitSystem, materialOf: MaterialOf): string {
  if (value === null) return "none";
  switch (value.kind) {
    case "material":
      return materialOf(value.id)?.name ?? value.id;
    case "mm":
      return printLength(value.mm, units, 1);
    case "count":
      return String(value.count);
    case "tip":
      return TIP_WORDS[value.style];
    case "grind":
      return GRIND_WORDS[value.grind];
    case "tang": {
      const end = value.end === null ? "" : `, ${small(TANG_END_WORDS[value.end].name)}`;
      return `${TANG_WORDS[value.tang]}${end}`;
    }
    case "fasteners": {
      const list = Object.entries(value.counts) as [FastenerKind, number][];
      return list.map(([kind, n]) => `${n} × ${small(FASTENER_WORDS[kind])}`).join(", ") || "none";
    }
  }
}
