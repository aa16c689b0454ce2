"use client";
import { partRefsOfFinding } from "@/core/figures/review/partRefs";
import type { Design } from "@/core/knife/design/schema";
import { KNIFE_SIZES, type KnifeSizes, SIZE_LIMITS, sizesOf } from "@/core/knife/layout/resized";
import { suitedTo } from "@/core/knife/layout/suited";
import type { StartingForm } from "@/core/knife/starts/startingForms";
import { balanceWords } from "@/words/balance";
import { editWords } from "@/words/edits";
import { effectWords, offerWords } from "@/words/offers";
import { FORM_WORDS } from "@/words/startingForms";
import { knifeExtent } from "../drawing/extent";
import { KnifeSide } from "../drawing/KnifeSide";
import type { ProductViews, StartSizes, StepViews } from "../session/product";
import { later } from "./loading";

const SIZE_WORDS: Readonly<Record<keyof KnifeSizes, string>> = {
  bladeMm: "Blade's length",
  heightMm: "Blade's height",
  spineMm: "Spine",
  handleMm: "Handle's length",
};

const sizes: StartSizes<Design> = {
  fields: KNIFE_SIZES.map((key) => ({
    key,
    label: SIZE_WORDS[key],
    low: SIZE_LIMITS[key][0],
    high: SIZE_LIMITS[key][1],
    of: (design) => sizesOf(design)[key],
  })),
  resized: (design, to) => suitedTo(design, { ...sizesOf(design), ...to }),
};

const board = () => import("../board/Board").then((m) => m.Board);
const bladeStep = () => import("../board/steps/blade/BladeStep").then((m) => m.BladeStep);

// A knife is opened at its blade: what the other steps show is fetched when their tab is pointed at.
const step = (id: string, name: string, prefetch: Parameters<typeof later>[0]): StepViews => ({
  id,
  name,
  Panel: later(prefetch, "Loading …"),
  prefetch,
});

const STEPS: readonly StepViews[] = [
  step("blade", "Blade", bladeStep),
  step("tang", "Tang", () => import("../board/steps/TangStep").then((m) => m.TangStep)),
  step("handle", "Handle", () => import("../board/steps/HandleStep").then((m) => m.HandleStep)),
  step("guard", "Guard", () => import("../board/steps/GuardStep").then((m) => m.GuardStep)),
  step("pins", "Pins", () => import("../board/steps/PinsStep").then((m) => m.PinsStep)),
  step("parts", "Parts", () => import("../board/steps/PartsStep").then((m) => m.PartsStep)),
  step("notes", "Notes", () => import("../board/steps/NotesStep").then((m) => m.NotesStep)),
];

/** What a person sees of a knife with a fixed blade. */
export const fixedViews: ProductViews<Design> = {
  kind: "fixed",
  extent: knifeExtent,
  halfWidthMm: ({ handle, guard }) =>
    Math.max(...handle.plan.map((p) => Math.max(p.halfMm, p.leftHalfMm ?? 0)), (guard?.widthMm ?? 0) / 2),
  Side: KnifeSide,
  Board: later(board, "Loading the drawing …"),
  steps: STEPS,
  places: {
    balance: later(
      () => import("../balance/BalanceView").then((m) => m.BalanceView),
      "Loading the balance bench …",
    ),
    fit: later(() => import("../fit/FitView").then((m) => m.FitView), "Loading the fit-up sheet …"),
    compare: later(
      () => import("../compare/CompareView").then((m) => m.CompareView),
      "Loading the comparison …",
    ),
    sheets: later(() => import("../sheets/SheetsView").then((m) => m.SheetsView), "Loading the sheets …"),
    build: later(() => import("../build/BuildView").then((m) => m.BuildView), "Loading the order of work …"),
    pattern: later(() => import("../pattern/PatternView").then((m) => m.PatternView), "Loading …"),
  },
  preload: () => void Promise.all([board(), bladeStep()]),
  balance: balanceWords,
  partRefs: partRefsOfFinding,
  fixes: {
    says: offerWords,
    does: effectWords,
    edit: (rule, fix) => ({ code: "fix", rule, fix }),
  },
  editWords,
  startWords: (code) => FORM_WORDS[code as StartingForm],
  sizes,
};
