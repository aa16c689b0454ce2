import type { Design } from "@/core/design/schema";
import { lengthUnitName, printLengthBare, type UnitSystem } from "@/core/units/print";

/** What stands at the datum: "the guard's front", or the handle's. */
export function datumWords(design: Design): string {
  return design.guard ? "the guard's front" : "the handle's front";
}

/** Where a knife balances, in words: "23.0 mm behind the handle's front". */
export function balanceWords(balanceMm: number, design: Design, system: UnitSystem): string {
  const size = `${printLengthBare(Math.abs(balanceMm), system)} ${lengthUnitName(system)}`;
  if (Math.abs(balanceMm) < 0.05) return `at ${datumWords(design)}`;
  return `${size} ${balanceMm > 0 ? "ahead of" : "behind"} ${datumWords(design)}`;
}
