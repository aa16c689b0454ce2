import type { Attempt } from "@/core/plan/attempts";
import type { SteelState } from "@/core/plan/steelState";

type WordsOf<K extends keyof Attempt> = Readonly<Record<Attempt[K] & string, string>>;

export const STEEL_PART_WORDS: WordsOf<"part"> = {
  blade: "Blade",
  guard: "Guard",
  cap: "Cap or pommel",
  spring: "Spring",
};

const STATE_WORDS: Readonly<Record<SteelState["blade"], string>> = {
  soft: "soft",
  hardened: "hard, not tempered yet",
  tempered: "hard and tempered",
  "bought-hard": "hard, as it came",
  annealed: "annealed",
};

/** What the steel is like as the work stands: "Blade: hard and tempered, its tang soft". */
export const steelWords = ({ blade, tangSoft }: SteelState): string =>
  `Blade: ${STATE_WORDS[blade]}${tangSoft && blade !== "soft" && blade !== "annealed" ? ", its tang soft" : ""}`;

export const JUDGED_WORDS: WordsOf<"judgedBy"> = {
  thermometer: "A thermometer",
  colour: "Colour",
  magnet: "A magnet",
};

export const HEAT_FAULT_WORDS: WordsOf<"fault"> = {
  none: "Nothing",
  "too-soft": "Too soft",
  warped: "Warped",
  cracked: "Cracked",
  overheated: "Overheated in the temper",
  "burnt-tip": "Burnt tip",
};

export const TEST_WORDS: Readonly<Record<NonNullable<Attempt["test"]>["by"], string>> = {
  file: "A new file",
  coupon: "A coupon of the same bar",
  gauge: "A hardness gauge",
};
