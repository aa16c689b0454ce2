import type { Phase } from "@/core/plan/phases";
import type { Schools } from "@/core/plan/types";

type Choices = {
  readonly [K in keyof Schools]: {
    readonly label: string;
    readonly of: Readonly<Record<Schools[K], string>>;
  };
};

/** Where makers work in more than one way: what is asked, and the ways. */
export const SCHOOL_WORDS: Choices = {
  grind: {
    label: "Bevels",
    of: { "harden-first": "Harden first, grind it hard", "grind-first": "Rough while soft, finish hard" },
  },
  drill: {
    label: "Drilling scales",
    of: {
      "by-scale": "One through the tang, then the other",
      "one-pass": "All in one pass, in a jig",
      "through-glued": "Glue one on, drill through it",
    },
  },
  surface: {
    label: "Blade's surface",
    of: {
      satin: "Satin by hand",
      buffed: "Buffed",
      acid: "Etched in acid",
      "acid-tumbled": "Etched, then tumbled",
      darkened: "Darkened",
    },
  },
  bought: {
    label: "A blade that comes hard",
    of: { "kept-hard": "Stays hard", annealed: "Annealed, and hardened again" },
  },
};

export const PHASE_WORDS: Readonly<Record<Phase, string>> = {
  steel: "Steel, soft",
  heat: "Heat",
  blade: "Blade",
  guard: "Guard",
  fit: "Fit the handle",
  join: "Put together",
  finish: "Shape and finish",
};
