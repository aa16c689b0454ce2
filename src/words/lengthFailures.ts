import type { LengthFailure } from "@/core/base/units/length";
import { lengthUnitName, printLengthShort, type UnitSystem } from "@/core/base/units/print";

/** Why a typed length was not taken. */
export function lengthFailureWords(failure: LengthFailure): string {
  switch (failure.code) {
    case "empty":
      return "Type a length, such as 4.76mm or 3/16.";
    case "no-such-drill":
      return "There is no drill of that name: numbers run #1 to #80, letters A to Z.";
    case "zero-denominator":
      return "A fraction cannot have 0 below its line.";
    case "too-large":
      return "That is longer than any knife.";
    case "not-a-length":
      return 'That is not a length. Try 4.76mm, 3/16, 1 1/4", .257, #13 or F.';
  }
}

/** Why a length outside its bounds was not taken. */
export function boundsWords(lowMm: number, highMm: number, system: UnitSystem): string {
  const print = (mm: number) => `${printLengthShort(mm, system)} ${lengthUnitName(system)}`;
  return `Must be from ${print(lowMm)} to ${print(highMm)}.`;
}
