import { own } from "@/core/base/own";
import { printLengthShort, printMass, type UnitSystem } from "@/core/base/units/print";
import type { MaterialLine } from "@/core/figures/cost/billOfMaterials";
import type { Price, Shop } from "@/core/figures/cost/shop";
import type { FastenerKind } from "@/core/kinds/fasteners/registry";
import type { WorkTask } from "@/core/knife/parts/workTasks";
import type { MaterialOf } from "@/core/materials/types";
import { FASTENERS } from "./fasteners";
import { printMoney } from "./money";
import { cutName, partName } from "./parts";

export const TASK_WORDS: Record<WorkTask, string> = {
  blade: "Blade: profile, grind, harden",
  "blade-in-hand": "Blade in the hand: clean, tape, measure",
  tang: "Tang: fit to length and height",
  "tang-holes": "Tang: holes and slots",
  "tang-taper": "Tang: taper",
  "tang-recess": "Tang: recess",
  "tang-end": "Tang's end: thread, screw or peen",
  guard: "Guard: slot and seat",
  "guard-shape": "Guard: shape",
  scales: "Scales: flatten, front faces, fit",
  liners: "Liners",
  bolsters: "Bolsters",
  joints: "Joints of the handle",
  halves: "Shaped halves",
  grooves: "Grooves across the handle",
  marks: "Marks on the blade: stamp or etch",
  wrap: "Wind the wrap",
  "tang-hole": "Hole for the tang",
  frame: "Frame",
  pieces: "Pieces: drill and face",
  pommel: "Pommel or butt plate",
  rings: "Finger rings",
  pins: "Pins: drill, cut, fit",
  bolts: "Bolts: drill, counterbore, fit",
  "glue-up": "Glue up, clean the squeeze-out",
  shape: "Shape the handle",
  finish: "Sand and finish",
};

const EACH = "each:";
const HARDWARE_WORDS: Readonly<Record<string, string>> = {
  "butt-nut": "Nut at the butt",
  "butt-screw": "Screw at the butt",
  blade: "Ready-made blade",
};

/** What a price is of: a material, or hardware bought finished. */
export function priceKeyWords(key: string, materialOf: MaterialOf): string {
  return key.startsWith(EACH) ? hardwareWords(key) : (materialOf(key)?.name ?? key);
}

function hardwareWords(key: string): string {
  const what = key.slice(EACH.length);
  const fastener = FASTENERS[what as FastenerKind];
  return fastener ? (fastener.priced ?? fastener.name) : (own(HARDWARE_WORDS, what) ?? key);
}

/** What something is taken for. */
export function takeWords(take: MaterialLine): string {
  switch (take.kind) {
    case "sawn":
      return cutName(take.what);
    case "rod":
      return take.what === "rods" ? "Pins and tubes" : "Patterned rod";
    case "mass":
      return take.what === "glue" ? "Glue, mixed" : partName(take.what);
    case "hardware": {
      if (take.key === "each:blade") return "Blade, as it was bought";
      const fastener = FASTENERS[take.key.slice(EACH.length) as FastenerKind];
      return fastener ? (fastener.bought ?? fastener.name) : hardwareWords(take.key);
    }
  }
}

export const PRICE_BY_WORDS: Record<Price["by"], string> = {
  weight: "a kilogram",
  piece: "a piece",
  size: "a board, sheet or rod",
};

/** How much of something is taken: "2 of 131 × 34 × 9.5 mm", "62 mm of 6.35 mm", "12.4 g". */
export function takenWords(take: MaterialLine, units: UnitSystem): string {
  const short = (mm: number) => printLengthShort(mm, units, 1);
  const unit = units === "metric" ? "mm" : "in";
  switch (take.kind) {
    case "sawn": {
      const { lengthMm, heightMm, thicknessMm } = take.sawnMm;
      return `${take.count} of ${[lengthMm, heightMm, thicknessMm].map(short).join(" × ")} ${unit}`;
    }
    case "rod":
      return `${short(take.lengthMm)} ${unit} of ⌀ ${printLengthShort(take.diameterMm, units)} ${unit}`;
    case "mass":
      return printMass(take.massG, units);
    case "hardware":
      return String(take.count);
  }
}

/** A price in words; "no price" where there is none. */
export function priceWords(price: Price | undefined, shop: Shop, units: UnitSystem): string {
  if (!price) return "no price";
  if (price.by === "weight") return `${printMoney(price.perKg, shop)} a kg`;
  const each = printMoney(price.perPiece, shop);
  if (price.by === "piece") return price.makes === 1 ? `${each} each` : `${each} for ${price.makes}`;
  const short = (mm: number) => printLengthShort(mm, units, 1);
  return `${each} a piece of ${short(price.lengthMm)} × ${short(price.widthMm)} × ${short(price.thicknessMm)}`;
}
