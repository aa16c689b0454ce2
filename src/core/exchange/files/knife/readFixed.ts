import { type Design, isFixed } from "../../../knife/design/schema";
import type { Variant } from "../../../knife/design/variant";
import { type KnifeFailure, type KnifeReading, readKnife } from "./read";

export type FixedReading =
  | { readonly ok: true; readonly design: Design; readonly variants: readonly Variant<Design>[] }
  | KnifeFailure
  /** A sound file of another product. */
  | { readonly ok: false; readonly code: "not-fixed"; readonly kind: string };

/** A reading for what only knives with fixed blades have. */
export function fixedOnly(reading: KnifeReading): FixedReading {
  if (!reading.ok) return reading;
  const { design, variants } = reading;
  if (!isFixed(design)) return { ok: false, code: "not-fixed", kind: design.kind };
  // Variants are of the same product as the design that they stand beside.
  return { ok: true, design, variants: variants as readonly Variant<Design>[] };
}

/** Reads a file of a knife with a fixed blade. */
export const readFixed = (bytes: Uint8Array): FixedReading => fixedOnly(readKnife(bytes));
