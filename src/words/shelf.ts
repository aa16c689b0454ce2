import { printLength, printLengthBare, printMass, type UnitSystem } from "@/core/base/units/print";
import type { ShelfReading } from "@/core/exchange/files/shelf/shelf";
import type { Size } from "@/core/figures/fit/bladeStock";
import type { MaterialOf } from "@/core/materials/types";
import type { Lot } from "@/core/shelf/lot";
import type { Laid } from "@/core/shelf/outlineServes";
import type { Missed } from "@/core/shelf/serves";
import type { ShelfProblem, ShoppingItem } from "@/core/shelf/shopping";
import { SUPPLY_SPECS, type Supply, type SupplyUnit } from "@/core/shelf/supplies";
import { priceKeyWords } from "./cost";
import { SIZE_WORDS } from "./fit";
import { frameFailureWords } from "./frameFailures";
import { cutName } from "./parts";
import { problemWords } from "./problems";

export const SUPPLY_WORDS: Readonly<Record<Supply, string>> = {
  acid: "Ferric chloride",
  belts: "Grinding belts, one of each grit",
  "film-tape": "Tape for the blade",
  "oil-finish": "Oil or wax for the handle",
  "paper-120": "Abrasive paper, 120",
  "paper-220": "Abrasive paper, 220",
  "paper-320": "Abrasive paper, 320",
  "paper-400": "Abrasive paper, 400",
  "paper-600": "Abrasive paper, 600",
  "quench-oil": "Quench oil",
  soda: "Soda",
  solvent: "Solvent",
  vinegar: "Vinegar",
};

const SUPPLY_PREFIX = "supply:";

/** What a lot, or a row of the list, is of. */
export const stuffWords = (of: string, materialOf: MaterialOf): string =>
  of.startsWith(SUPPLY_PREFIX)
    ? SUPPLY_WORDS[of.slice(SUPPLY_PREFIX.length) as Supply]
    : priceKeyWords(of, materialOf);

const box = (s: Size, units: UnitSystem) =>
  `${printLengthBare(s.lengthMm, units, 1)} × ${printLengthBare(s.heightMm, units, 1)} × ${printLength(s.thicknessMm, units, 1)}`;

const UNIT_WORDS: Readonly<Record<SupplyUnit, string>> = { ml: "ml", g: "g", m: "m", each: "" };

export const amountWords = (of: Supply, amount: number): string => {
  const { unit } = SUPPLY_SPECS[of];
  const rounded = unit === "m" ? amount.toFixed(1) : Math.ceil(amount - 1e-9).toLocaleString("en");
  return `${rounded} ${UNIT_WORDS[unit]}`.trim();
};

/** How large the pieces of a lot are, or how much of it there is. */
export function lotSizeWords({ shape, of }: Lot, units: UnitSystem): string {
  switch (shape.form) {
    case "piece":
      return `${box(shape, units)}${shape.outline ? ", cut to an outline" : ""}`;
    case "rod":
      return `${printLength(shape.diameterMm, units, 2)} round, ${printLength(shape.lengthMm, units, 0)}`;
    case "amount":
      return of.startsWith(SUPPLY_PREFIX)
        ? amountWords(of.slice(SUPPLY_PREFIX.length) as Supply, shape.amount)
        : printMass(shape.amount, units, 0);
    case "each":
      return "";
  }
}

/** How many of a size there are: "2 × 130 × 42 × 10 mm", "10 of them". */
export const timesWords = (count: number, size: string, key = ""): string =>
  size === ""
    ? `${count.toLocaleString("en")}${key ? `, key: ${key}` : ""}`
    : count === 1
      ? size
      : `${count.toLocaleString("en")} × ${size}`;

/** What a row of a shopping list is called: what is bought, and for which part. */
export function itemName(item: ShoppingItem, materialOf: MaterialOf): string {
  switch (item.kind) {
    case "stock":
      return `${cutName(item.what)}${item.spare ? ", spare" : ""}`;
    case "bar":
      return "Bar to forge of";
    case "rod":
      return "Rod for pins and tubes";
    case "built-up":
      return "Rod or wire to build up";
    case "mass":
      return item.glue ? "Glue, both parts" : "By weight";
    case "hardware":
      return priceKeyWords(item.of, materialOf);
    case "supply":
      return SUPPLY_WORDS[item.of as Supply];
  }
}

/** What it is of; a row that is named by it says nothing more. */
export const itemMaterial = (item: ShoppingItem, materialOf: MaterialOf): string =>
  item.kind === "hardware" || item.kind === "supply" ? "" : stuffWords(item.of, materialOf);

/** How large, how long or how much. */
export function itemSize(item: ShoppingItem, units: UnitSystem): string {
  const mm = (value: number, digits = 0) => printLength(value, units, digits);
  switch (item.kind) {
    case "stock":
      return `${box(item.sizeMm, units)}${item.lengthwise ? ", grain lengthwise" : ""}${item.pair ? ", matched" : ""}`;
    case "bar":
      return `${printLengthBare(item.widthMm, units, 1)} × ${mm(item.thicknessMm, 1)}, ${mm(item.lengthMm)} long`;
    case "rod":
      return `${mm(item.diameterMm, 2)} round, ${mm(item.lengthMm)} in all`;
    case "built-up":
      return `${printMass(item.massG, units, 0)}: ${mm(item.lengthMm)} of ${mm(item.wireMm, 1)}`;
    case "mass":
      return printMass(item.massG, units, 1);
    case "hardware":
      return "";
    case "supply":
      return amountWords(item.of as Supply, item.amount);
  }
}

/** How many are bought. */
export const itemCount = (item: ShoppingItem): number => ("count" in item ? item.count : 1);

/** By how much a lot is too small: "height 3.0 mm, thickness 0.5 mm too small". */
export function shortWords(short: Size, units: UnitSystem): string {
  const sides = (["lengthMm", "heightMm", "thicknessMm"] as const).filter((s) => short[s] > 0.005);
  return `${sides.map((s) => `${SIZE_WORDS[s]} ${printLength(short[s], units, 1)}`).join(", ")} too small`;
}

/** Why a lot does not serve. */
export const missedWords = ({ why, shortMm }: Missed, units: UnitSystem): string =>
  why === "too-few" ? "too few of them are free" : shortWords(shortMm, units);

/** How a piece lies in a lot with an outline of its own. */
export function laidWords(laid: Laid, units: UnitSystem): string {
  const holes = laid.holes.filter((h) => h.becomes !== "outside");
  const count = (of: string) => holes.filter((h) => h.becomes === of).length;
  const said = (["reused", "reamed", "filled"] as const)
    .filter((of) => count(of) > 0)
    .map((of) => `${count(of)} ${of}`);
  const outside = laid.holes.length - holes.length;
  const old =
    laid.holes.length === 0
      ? ""
      : `; old holes: ${[...said, ...(outside > 0 ? [`${outside} outside`] : [])].join(", ")}`;
  const way = [laid.turned ? "turned end for end" : "", laid.mirrored ? "on its other face" : ""]
    .filter(Boolean)
    .join(", ");
  if (laid.missesMm === 0) return `lies inside${way ? `, ${way}` : ""}${old}`;
  const where = laid.at ? `, most at ${printLength(laid.at.x, units, 1)} along the knife` : "";
  return `misses by ${printLength(laid.missesMm, units, 1)}${where}${old}`;
}

/** What of a knife the shelf cannot give as the knife says, with a way out. */
export function shelfProblemWords(
  { code, knife, need, lot, lotId, shortMm, others }: ShelfProblem,
  units: UnitSystem,
): string {
  const what = need ? cutName(need.what) : "A part";
  const name = lot?.name ?? lotId;
  switch (code) {
    case "gone":
      return `${knife}: ${what} is made of a lot that is not on the shelf. Put it back, or make the part of another.`;
    case "too-small":
      return `${knife}: ${what} does not come out of ${name}: ${shortMm ? shortWords(shortMm, units) : "too small"}. Make it of another lot.`;
    case "too-few":
      return `${knife}: ${name} is used up${others.length > 0 ? ` by ${others.join(", ")}` : ""}: too little is left for ${what}. Buy more, or make one of them of another lot.`;
  }
}

/** Why a file of lots was refused, in plain words. */
export function shelfFailureWords(failure: Exclude<ShelfReading, { ok: true }>): string {
  return failure.code === "invalid" ? problemWords(failure) : frameFailureWords(failure, "a file of lots");
}
