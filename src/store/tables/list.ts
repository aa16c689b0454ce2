import { BIN, rowsInBin } from "./bin";
import { KNIVES } from "./knives";
import { LINES } from "./lines";
import { LOTS } from "./lots";
import { MATERIALS_TABLE } from "./materials";
import { PHOTOS } from "./photos";
import { PLANS } from "./plans";
import { RECIPES } from "./recipes";
import { DEVICE, SETTINGS } from "./settings";
import type { Row, TableSpec } from "./spec";
import { STEPS } from "./steps";
import { VARIANTS } from "./variants";
import { WORKSHOPS } from "./workshops";

/** Every table of what is kept: what keeps something more joins by one line, and a test finds it in all that is derived from this. */
export const TABLES: readonly TableSpec[] = [
  KNIVES,
  VARIANTS,
  STEPS,
  BIN,
  MATERIALS_TABLE,
  PHOTOS,
  PLANS,
  LOTS,
  LINES,
  RECIPES,
  WORKSHOPS,
  SETTINGS,
  DEVICE,
];

export const specOf = (name: string): TableSpec | undefined => TABLES.find((spec) => spec.name === name);

/** The tables whose rows belong to a knife. */
export const ownedTables = (): readonly TableSpec[] => TABLES.filter((spec) => spec.ownedBy);

/** Ids of the pictures that a row refers to; of an item of the bin, all that lie in it. */
export function picturesOf(spec: TableSpec, row: Row): readonly string[] {
  if (spec.name !== BIN.name) return spec.picturesOf?.(row) ?? [];
  return [...rowsInBin(row)].flatMap(([name, rows]) => {
    const inner = specOf(name);
    return inner?.picturesOf ? rows.flatMap((r) => inner.picturesOf?.(r) ?? []) : [];
  });
}
