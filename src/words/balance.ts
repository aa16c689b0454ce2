import { lengthUnitName, printLengthBare, type UnitSystem } from "@/core/base/units/print";
import type { Design } from "@/core/knife/design/schema";

/** What stands at the datum: the front of the guard, or of the handle. */
export function datumWords({ guard }: Pick<Design, "guard">): string {
  return `the front of the ${guard ? "guard" : "handle"}`;
}

/** What the datum is, and how lengths are measured from it. */
export const DATUM_HELP =
  "Where the blade ends and the guard, or without one the handle, begins. Lengths along the knife are measured from here: ahead is toward the tip, behind toward the butt.";

/** Where a knife balances, in words: "23.0 mm behind the front of the handle". */
export function balanceWords(balanceMm: number, design: Design, system: UnitSystem): string {
  const size = `${printLengthBare(Math.abs(balanceMm), system)} ${lengthUnitName(system)}`;
  if (Math.abs(balanceMm) < 0.05) return `at ${datumWords(design)}`;
  return `${size} ${balanceMm > 0 ? "ahead of" : "behind"} ${datumWords(design)}`;
}

/** The same, where what stands there is drawn beside it: "23.0 mm behind the front". */
export function balanceShort(balanceMm: number, system: UnitSystem): string {
  if (Math.abs(balanceMm) < 0.05) return "at the front";
  const size = `${printLengthBare(Math.abs(balanceMm), system)} ${lengthUnitName(system)}`;
  return `${size} ${balanceMm > 0 ? "ahead of" : "behind"} the front`;
}
