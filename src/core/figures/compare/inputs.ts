import { sameData } from "../../base/sameData";
import { itemKey } from "../../knife/design/itemKey";
import type { Design } from "../../knife/design/schema";
import { differingTraits } from "./traits";

/** One input in which knives differ: its dotted path, items of lists by their ids, and each knife's value. */
export interface InputDifference {
  readonly path: string;
  readonly values: readonly unknown[];
}

/** What a knife is made of; how it is fitted up, used and paid for is not what it is. */
const COMPARED = ["blade", "tang", "handle", "guard", "fasteners"] as const;

/** Inputs that a trait names already. */
const COVERED = [
  /^blade\.(steel|lengthMm|heelHeightMm|spineMm|tipThicknessMm|tip\.style|grind\.kind)$/,
  /^blade\.measured\.of\.asWeighed\./,
  /^tang\.(kind|end\.kind|lengthMm|short\.lengthMm|endThicknessMm|taper\.buttMm)$/,
  /^tang\.(holes|slots)\.[^.]+$/,
  /^handle\.kind$/,
  /\.material$/,
  /^handle\.joints\.[^.]+\.(right|left)$/,
  /^handle\.bolsters\.(front|rear)\.(right|left)$/,
  /^fasteners\.[^.]+\.kind$/,
];

/** Values at the ends of a record's paths; items of a list by their ids, or by their numbers from 1. */
function leavesOf(value: unknown, path: string, into: Map<string, unknown>): void {
  if (Array.isArray(value)) {
    value.forEach((item, i) => {
      leavesOf(item, `${path}.${itemKey(item) ?? i + 1}`, into);
    });
    return;
  }
  if (typeof value !== "object" || value === null) {
    into.set(path, value);
    return;
  }
  for (const [key, inner] of Object.entries(value)) leavesOf(inner, `${path}.${key}`, into);
}

/**
 * Every input in which not all of the knives are alike and that no trait names, in the order of the record; a value is
 * undefined where a knife has no such input. None for fewer than two.
 */
export function differingInputs(designs: readonly Design[]): InputDifference[] {
  if (designs.length < 2) return [];
  const leaves = designs.map((d) => {
    const found = new Map<string, unknown>();
    for (const field of COMPARED) leavesOf(d[field], field, found);
    return found;
  });
  const traits = differingTraits(designs);
  const paths = [...new Set(leaves.flatMap((l) => [...l.keys()]))];
  // What one knife has none of is covered by what the other has in its place.
  const whole = paths.filter((path) => !paths.some((p) => p.startsWith(`${path}.`)));
  return whole.flatMap((path) => {
    const values = leaves.map((l) => l.get(path));
    // Ids only tell items apart; the rest of what is left out here, a trait that differs has named.
    const isCovered = /\.id$/.test(path) || (traits.length > 0 && COVERED.some((t) => t.test(path)));
    return isCovered || values.every((v) => sameData(v, values[0])) ? [] : [{ path, values }];
  });
}
