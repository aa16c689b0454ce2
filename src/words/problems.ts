import { own } from "@/core/base/own";
import { printLengthPlain, type UnitSystem } from "@/core/base/units/print";
import type { Complaint, FieldProblem } from "@/core/knife/design/problem";
import { capital } from "./grammar";
import { spelled, UNIT_ENDING } from "./inputs";

/** Units that the name of a number ends in, as they are read. */
const UNITS: Readonly<Record<string, string>> = {
  Deg: "°",
  G: " g",
  N: " N",
  MPa: " MPa",
  H: " h",
  Min: " min",
  C: " °C",
};
const singular = (word: string): string =>
  word.endsWith("ches") ? word.slice(0, -2) : word.endsWith("s") ? word.slice(0, -1) : word;

/** What the keys lead to: "Blade, heel height", "Pin 2, diameter". */
export function fieldWords(keys: readonly (string | number)[]): string {
  const words: string[] = [];
  for (const key of keys) {
    const last = words.length - 1;
    if (typeof key === "number" && last >= 0) words[last] = `${singular(words[last])} ${key + 1}`;
    else words.push(spelled(String(key)).trim() || String(key));
  }
  const said = words.join(", ") || "the knife";
  return capital(said);
}

/** A limit with the unit of its field. */
function limitWords(keys: readonly (string | number)[], limit: number, units: UnitSystem): string {
  const key = String(keys[keys.length - 1] ?? "");
  const [ending] = UNIT_ENDING.exec(key) ?? [];
  if (ending === "Mm") return printLengthPlain(limit, units);
  if (ending === "Share") return `${(100 * limit).toLocaleString("en")} %`;
  return `${limit.toLocaleString("en")}${(ending && own(UNITS, ending)) ?? ""}`;
}

const WANTED_WORDS: Readonly<Record<Extract<Complaint, { code: "not-a" }>["wanted"], string>> = {
  number: "is no number",
  text: "is no text",
  list: "is no list",
  record: "is missing, or damaged",
  choice: "is none of those that there are",
};

/** Why a record cannot hold something: "Blade, length: 1,200 mm at most". */
export function problemWords({ keys, complaint }: FieldProblem, units: UnitSystem = "metric"): string {
  const of = fieldWords(keys);
  switch (complaint.code) {
    case "at-most":
    case "at-least": {
      const { limit } = complaint;
      const word = complaint.code === "at-most" ? "at most" : "at least";
      if (complaint.of === "number") return `${of}: ${limitWords(keys, limit, units)} ${word}`;
      return `${of}: ${limit.toLocaleString("en")} ${complaint.of === "text" ? "letters" : "of them"} ${word}`;
    }
    case "not-a":
      return `${of} ${WANTED_WORDS[complaint.wanted]}`;
    case "foreign":
      return `${of} holds what no knife has: ${complaint.fields.join(", ")}`;
    case "rule":
      return `${of}: ${complaint.says}`;
  }
}
