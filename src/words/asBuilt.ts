import { printLength, printMass, type UnitSystem } from "@/core/base/units/print";
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

const signed = (text: string, of: number): string => (of > 0 ? `+${text}` : of < 0 ? `−${text}` : text);

/** How far a reading is off its prediction: "+3.1 g, outside what was predicted". */
export function massOffWords(
  measured: number,
  predicted: number,
  [low, high]: readonly [number, number],
  units: UnitSystem,
): string {
  const off = measured - predicted;
  return `${signed(printMass(Math.abs(off), units), off)}${measured < low || measured > high ? ", outside" : ""}`;
}

/** The same of a length. */
export function lengthOffWords(
  measured: number,
  predicted: number,
  [low, high]: readonly [number, number],
  units: UnitSystem,
): string {
  const off = measured - predicted;
  return `${signed(printLength(Math.abs(off), units), off)}${measured < low || measured > high ? ", outside" : ""}`;
}
