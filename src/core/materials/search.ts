import MiniSearch from "minisearch";
import { compared } from "../base/compared";
import { own } from "../base/own";
import { MATERIALS } from "./materials";
import { CLASS_WORDS, SYNONYMS } from "./synonyms";
import type { Material } from "./types";

/** Words that are spelled otherwise elsewhere, as they are spelled here. */
const SPELLINGS: readonly (readonly [RegExp, string])[] = [
  [/aluminum/, "aluminium"],
  [/(stabil|vulcan|oxid|color)iz/, "$1is"],
  [/fiber/, "fibre"],
  [/colored/, "coloured"],
  [/gray/, "grey"],
  [/mold/, "mould"],
];

/** A word in the one spelling that it is compared in. */
const spelled = (word: string): string =>
  SPELLINGS.reduce((w, [from, to]) => w.replace(from, to), compared(word));

type Entry = { readonly id: string; readonly name: string; readonly also: string; readonly kind: string };
const made = new WeakMap<readonly Material[], MiniSearch<Entry>>();

/** The words of every material of a list, made with the first search among them. */
function indexOf(among: readonly Material[]): MiniSearch<Entry> {
  const before = made.get(among);
  if (before) return before;
  const search = new MiniSearch<Entry>({
    fields: ["name", "also", "kind"],
    processTerm: spelled,
  });
  search.addAll(
    among.map((m) => ({
      id: m.id,
      name: m.name,
      // An own material is called what it is like, too; its id says nothing.
      also: [
        ...(m.otherNames ?? []),
        ...[m.like, m.like ? "" : m.id].map((id) =>
          id ? `${own(SYNONYMS, id) ?? ""} ${id.replaceAll("-", " ")}` : "",
        ),
      ].join(" "),
      kind: CLASS_WORDS[m.class],
    })),
  );
  made.set(among, search);
  return search;
}

/** A word may be off by so many of its letters, as a share; short words not at all. */
const OFF = 0.2;
const SHORT = 4;

/**
 * Materials that all the words are said of, best first: by name, everyday word or class, in either spelling, whole or begun,
 * with a typo in longer words. No words give every material in the order of the list.
 */
export function searchMaterials(words: string, among: readonly Material[] = MATERIALS): readonly Material[] {
  if (words.trim() === "") return among;
  const byId = new Map(among.map((m) => [m.id, m]));
  const found = indexOf(among).search(words, {
    combineWith: "AND",
    prefix: true,
    fuzzy: (term) => (term.length > SHORT ? OFF : false),
    boost: { name: 3, also: 2 },
    weights: { fuzzy: 0.2, prefix: 0.6 },
  });
  return found.flatMap(({ id }) => byId.get(String(id)) ?? []);
}
