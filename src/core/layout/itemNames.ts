import { holesOf, slotsOf } from "../design/openings";
import type { Design, FastenerKind } from "../design/schema";
import { remembered } from "./remembered";

/** Which of a knife's fasteners, holes or slots is meant: of what kind, and its number from the front, from 1. */
export type ItemName =
  | { readonly kind: "fastener"; readonly sort: FastenerKind; readonly number: number }
  | { readonly kind: "hole" | "slot"; readonly number: number };

/** The name of each fastener, hole and slot, by its id. */
export const itemNames = remembered((design: Design): ReadonlyMap<string, ItemName> => {
  const fromFront = <T extends { readonly xMm: number }>(items: readonly T[]) =>
    [...items].sort((a, b) => b.xMm - a.xMm);
  return new Map<string, ItemName>([
    ...fromFront(slotsOf(design)).map((s, i) => [s.id, { kind: "slot", number: i + 1 }] as const),
    ...fromFront(holesOf(design)).map((h, i) => [h.id, { kind: "hole", number: i + 1 }] as const),
    ...fromFront(design.fasteners).map(
      (f, i) => [f.id, { kind: "fastener", sort: f.kind, number: i + 1 }] as const,
    ),
  ]);
});
