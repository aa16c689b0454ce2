import { isRecord } from "@/core/base/isRecord";
import { own } from "@/core/base/own";
import { sameData } from "@/core/base/sameData";
import type { Row } from "./tables/spec";

export interface Merged {
  readonly row: Row;
  /** Whether something that the other side changed would be lost. */
  readonly clash: boolean;
}

/** Fields that are counted by the writer, and those that follow from the record of a row's first atom. */
const COUNTED = ["revision", "updatedAt", "createdAt"];
const SEALS = ["version", "checksum"];

/**
 * Three-way merge: what `mine` changed since `base`, put onto `theirs`. Where both changed one field differently mine
 * stands, and it is a clash. Records are merged field by field; lists, and the fields named in `atoms`, as a whole.
 */
export function threeWay(base: Row, mine: Row, theirs: Row, atoms: readonly string[] = []): Merged {
  const inner = merged(
    without(base),
    without(mine),
    without(theirs),
    atoms.map((a) => a.split(".")),
  );
  // A seal is of the whole record that the first atom is, or lies in.
  const sealedBy = atoms[0]?.split(".")[0];
  const fromMine = sealedBy !== undefined && !sameData(own(mine, sealedBy), own(base, sealedBy));
  const seals = Object.fromEntries(
    SEALS.flatMap((key) => {
      const value = own(fromMine ? mine : theirs, key);
      return value === undefined ? [] : [[key, value]];
    }),
  );
  const created = theirs.createdAt ?? mine.createdAt;
  return {
    row: { ...inner.row, ...seals, ...(created === undefined ? {} : { createdAt: created }) },
    clash: inner.clash,
  };
}

const without = (row: Row): Row =>
  Object.fromEntries(Object.entries(row).filter(([key]) => !COUNTED.includes(key) && !SEALS.includes(key)));

/** `atoms` are paths from here on down. */
function merged(base: Row, mine: Row, theirs: Row, atoms: readonly (readonly string[])[]): Merged {
  const row: [string, unknown][] = [];
  let clash = false;
  for (const key of new Set([...Object.keys(mine), ...Object.keys(theirs)])) {
    const [b, m, t] = [own(base, key), own(mine, key), own(theirs, key)];
    const inner = atoms.filter(([head]) => head === key || head === "*").map(([, ...rest]) => rest);
    const whole = inner.some((rest) => rest.length === 0);
    let value: unknown;
    if (sameData(m, b)) value = t;
    else if (sameData(t, b) || sameData(m, t)) value = m;
    else if (!whole && isRecord(m) && isRecord(t)) {
      const deeper = merged(isRecord(b) ? b : {}, m, t, inner);
      value = deeper.row;
      clash ||= deeper.clash;
    } else {
      value = m;
      clash = true;
    }
    if (value !== undefined) row.push([key, value]);
  }
  return { row: Object.fromEntries(row), clash };
}
