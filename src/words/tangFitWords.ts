import type { TangFitRule } from "@/core/figures/review/types";
import { partInSentence } from "./parts";
import { named, percent, type RuleWords, ratio } from "./ruleWords";

/** What the rules say of how a tang, its hole and what is on it go together. */
export const TANG_FIT_WORDS: Record<TangFitRule, RuleWords> = {
  "burned-in-fumes": {
    name: "Tang burned into what fumes",
    says: ({ subject }, _mm, _grams, materialOf) =>
      `The tang is to be burned into ${named(subject, materialOf)}: hot, it gives off harmful fumes.`,
    why: "Resin, laminate, horn, bone and leather decompose under a hot tang; the smoke can poison whoever stands by.",
    fix: "Drill the hole and broach it.",
  },
  "burned-in-soft": {
    name: "Tang burned into soft wood",
    says: ({ subject, measured, limit }, _mm, _grams, materialOf) =>
      measured === null
        ? `The tang is to be burned into ${named(subject, materialOf)}, of which nothing is known here.`
        : `The tang is to be burned into ${named(subject, materialOf)}, of ${ratio(measured)} g/cm³; from ${ratio(limit)} wood seldom splits.`,
    why: "Soft or damp wood splits along its grain when a hot tang is driven in, and chars loose round it.",
    fix: "Drill the hole and broach it, or take a sound, dry hardwood.",
  },
  "burned-in-damp": {
    name: "Tang burned into damp wood",
    says: ({ subject, measured, limit }, _mm, _grams, materialOf) =>
      `The tang is to be burned into ${named(subject, materialOf)}, which holds ${percent(measured)} of water; up to ${percent(limit)} is dry.`,
    why: "Steam splits damp wood from within, and what was a tight hole shrinks open as it dries.",
    fix: "Let it dry, or drill the hole and broach it.",
  },
  "mouth-uncovered": {
    name: "Tang hole wider than the shoulder",
    says: (f, mm) =>
      `The mouth of the tang hole stands ${mm(f.measured)} beyond the blade's shoulder; ${mm(f.limit)} is hidden by it.`,
    why: "Without guard or ferrule nothing covers the gap, and water gets in.",
    fix: "Fill it, set a ferrule before it, or make the shoulder higher.",
  },
  "blade-thinner-than-tang": {
    name: "Tang thicker than the blade",
    says: (f, mm) => `The tang is ${mm(f.measured)} thicker than the blade where they meet.`,
    why: "Blade and tang are ground from one bar: the tang is no thicker than its stock.",
    fix: "Let the tang be as thick as the blade.",
  },
  "thread-wider-than-bar": {
    name: "Thread wider than the tang",
    says: (f, mm) => `The thread is ${mm(f.measured)} wider than the tang's end that it is cut on.`,
    why: "Where the bar is narrower the thread has flats, and holds less than its size promises.",
    fix: "Cut a thinner thread, weld a stud on, or leave the tang's end thicker.",
  },
  "metal-unpinned": {
    name: "Metal held by glue alone",
    says: ({ part }) =>
      `Nothing pins the ${part ? partInSentence(part) : "metal part"}: glue alone holds it.`,
    why: "Glue lets go of smooth metal in heat, in water and after a knock.",
    fix: "Set a pin or a bolt through it.",
  },
};
