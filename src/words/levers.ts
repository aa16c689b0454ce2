import { own } from "@/core/base/own";
import { printLength, type UnitSystem } from "@/core/base/units/print";
import type { LeverEffect } from "@/core/figures/tune/effects";
import type { Strategy } from "@/core/figures/tune/sets";
import type { UseKind } from "@/core/knife/design/schema";
import type { MaterialOf } from "@/core/materials/types";

export const USE_WORDS: Record<UseKind, string> = {
  "kitchen-slicer": "Kitchen slicer",
  paring: "Paring",
  hunting: "Hunting",
  field: "Field",
  chopper: "Camp chopper",
  fighter: "Fighter or dagger",
  fillet: "Fillet",
  carving: "Carving",
  sword: "Sword-length",
  own: "My own",
};

const LEVER_WORDS: Readonly<Record<string, string>> = {
  "tang-taper": "Tang at the butt",
  holes: "Lightening holes",
  recess: "Recess in the tang",
  spine: "Blade's thickness",
  "distal-taper": "Spine at the tip",
  "blade-length": "Blade's length",
  "grind-height": "Height of the ground face",
  "fuller-depth": "Depth of the fullers",
  "tang-length": "Tang's length",
  "guard-thickness": "Guard's thickness",
  "guard-width": "Guard's width",
  "guard-height": "Guard's height",
  "handle-length": "Handle's length",
  "handle-thickness": "Handle's thickness",
  "butt-cut": "Handle's end at the butt",
  "front-bolster": "Front bolster's length",
  "rear-bolster": "Rear bolster's length",
  "heavy-pin": "Heaviest pin's place, along",
  "liner-thickness": "Liners' thickness",
  "pommel-size": "Pommel's size",
  "pommel-length": "Pommel's length",
  "butt-length": "Butt plate's length",
  heel: "Heel's height",
  tang: "Tang's thickness",
  "guard-size": "Guard's size",
  "measured-mass": "Weighing of the blade",
  "measured-balance": "Balancing of the blade",
};

const CHOICE_WORDS: Readonly<Record<string, string>> = {
  "guard-metal": "Guard of",
  "scale-material": "Scales of",
  "block-material": "Block of",
  "liner-material": "Liners of",
  "spacer-material": "Spacers of",
  "bolster-metal": "Bolsters of",
  "ferrule-metal": "Ferrule of",
  "pommel-metal": "Pommel of",
  "pin-metal": "Pins of",
};

/** A lever's or an input's name. */
export function leverWords(id: string, materialOf: MaterialOf): string {
  const [what, material] = id.split(":");
  if (material) return `${own(CHOICE_WORDS, what) ?? what} ${materialOf(material)?.name ?? material}`;
  return own(LEVER_WORDS, id) ?? materialOf(id)?.name ?? id;
}

/** "Tang at the butt −0.5 mm" */
export function stepWords(
  l: Pick<LeverEffect, "id" | "unit" | "amount">,
  units: UnitSystem,
  materialOf: MaterialOf,
): string {
  if (l.unit === "choice") return leverWords(l.id, materialOf);
  if (l.unit === "holes") return `${leverWords(l.id, materialOf)}: ${l.amount} more`;
  return `${leverWords(l.id, materialOf)} ${signed(l.amount, (v) => printLength(v, units, 1))}`;
}

/** With a sign in front, + too. */
export function signed(value: number, print: (v: number) => string): string {
  return value > 0 ? `+${print(value)}` : print(value);
}

export const STRATEGY_WORDS: Record<Strategy, string> = {
  "least-change": "Least change",
  lightest: "Lightest",
  "least-metal-work": "Least metal work",
  "keeps-the-look": "Keeps the look",
};
