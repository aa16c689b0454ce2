import type { Unseen } from "@/core/base/plainName";
import type { CleanedName, RowFailure, StockReading } from "@/core/exchange/files/csv/readStock";
import { MATERIAL_CLASSES, type MaterialClass } from "@/core/materials/types";
import { small } from "./grammar";
import { MATERIAL_CLASS_WORDS } from "./materials";

/** Why a table of stock was not taken in. */
export function stockFailureWords(failure: Exclude<StockReading, { ok: true }>): string {
  switch (failure.code) {
    case "too-large":
      return "The table has more than 2 MB.";
    case "not-text":
      return "This is not a CSV table in UTF-8: save it so in the spreadsheet.";
    case "no-columns":
      return "The first line has to name the columns: Name, Class and Density, or Id, and for prices Price per kg, or Price per piece with Makes or Length, Width and Thickness.";
    case "too-many-rows":
      return "The table has more than 5,000 rows.";
    case "ambiguous":
      return `“${failure.text}” in the column “${failure.column}” can be read in two ways.`;
  }
}

/** Why a row is left out. */
export function rowFailureWords(failure: RowFailure): string {
  const line = `Line ${failure.line}: `;
  switch (failure.code) {
    case "no-name":
      return `${line}no name, and no id that is known.`;
    case "no-class":
      return `${line}its class is none of ${MATERIAL_CLASSES.map((c) => MATERIAL_CLASS_WORDS[c]).join(" · ")}.`;
    case "no-density":
      return `${line}no density.`;
    case "range":
      return `${line}its density does not lie between its lowest and its highest.`;
    case "twice":
      return `${line}it stands in the table twice.`;
    case "number":
      return `${line}“${failure.text}” is no number for ${failure.column}, or out of reach.`;
  }
}

/** What a class may be called in a table, in small letters: its id, or its name. */
export const CLASS_NAMES: readonly (readonly [string, MaterialClass])[] = [
  ...MATERIAL_CLASSES.map((c) => [c, c] as const),
  ...MATERIAL_CLASSES.map((c) => [small(MATERIAL_CLASS_WORDS[c]), c] as const),
];

const UNSEEN_WORDS: Record<Unseen, string> = {
  control: "control characters",
  direction: "marks of direction",
  "half-letter": "half of a letter",
};

/** What was taken out of a row's name. */
export const cleanedWords = ({ line, name, out }: CleanedName): string =>
  `Line ${line}: ${out.map((o) => UNSEEN_WORDS[o]).join(" and ")} taken out of the name “${name}”.`;
