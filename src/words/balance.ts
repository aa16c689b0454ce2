import { lengthUnitName, printLengthBare, type UnitSystem } from "@/core/units/print";

/** Where a knife balances, in words: "23.0 mm behind the handle's front". */
export function balanceWords(balanceMm: number, system: UnitSystem): string {
  const size = `${printLengthBare(Math.abs(balanceMm), system)} ${lengthUnitName(system)}`;
  if (Math.abs(balanceMm) < 0.05) return "at the handle's front";
  return `${size} ${balanceMm > 0 ? "ahead of" : "behind"} the handle's front`;
}
