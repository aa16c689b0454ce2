import type { SizePlace, Stage } from "@/core/plan/types";

/** When a knife is weighed. */
export const STAGE_WORDS: Readonly<Record<Stage, string>> = {
  "dry-fit": "Dry fit",
  shaped: "Handle shaped",
  finished: "Finished",
};

/** What a prediction of a stage stands for. */
export const STAGE_NOTES: Readonly<Record<Stage, string>> = {
  "dry-fit": "without glue, sawn pieces as blocks still",
  shaped: "as it is drawn",
  finished: "as it is drawn",
};

export const SIZE_WORDS: Readonly<Record<SizePlace, string>> = {
  "overall-length": "Overall length",
  "blade-length": "Blade length",
  "blade-thickness": "Blade thickness at the spine",
  "guard-height": "Guard height",
  "guard-thickness": "Guard thickness",
  "handle-length": "Handle length",
  "handle-thickness-front": "Handle thickness, front",
  "handle-thickness-middle": "Handle thickness, middle",
  "handle-thickness-rear": "Handle thickness, rear",
  "handle-height-front": "Handle height, front",
  "handle-height-middle": "Handle height, middle",
  "handle-height-rear": "Handle height, rear",
};

/** How far a figure is off another, as it is printed: "+3.1 g", "−0.2 mm", "0.0 mm". */
export function offWords(measured: number, drawn: number, print: (size: number) => string): string {
  const off = measured - drawn;
  const sign = off > 0 ? "+" : off < 0 ? "−" : "";
  return `${sign}${print(Math.abs(off))}`;
}

/** The same of a prediction, with whether it lies outside its interval: "+3.1 g, outside". */
export const predictedOffWords = (
  measured: number,
  predicted: number,
  [low, high]: readonly [number, number],
  print: (size: number) => string,
): string => `${offWords(measured, predicted, print)}${measured < low || measured > high ? ", outside" : ""}`;
