import { remembered } from "../../base/record/remembered";
import { calledAt } from "../design/marks";
import { holesOf, slotsOf } from "../design/openings";
import type { Design, FastenerKind } from "../design/schema";

/** Which of several, from the front, from 1; and what its maker calls it. Left out where there is but one, or no name. */
export interface Naming {
  readonly number?: number;
  readonly called?: string;
}

/** Which of a knife's fasteners, holes or slots is meant: of what kind, and which. */
export type ItemName = Naming &
  ({ readonly kind: "fastener"; readonly sort: FastenerKind } | { readonly kind: "hole" | "slot" });

/** A number, and the name at a path where there is one. */
function namingOf(design: Design, path: string, number?: number): Naming {
  const called = calledAt(design, path);
  return { ...(number === undefined ? {} : { number }), ...(called === null ? {} : { called }) };
}

/** The name of each fastener, hole and slot, by its id. */
export const itemNames = remembered((design: Design): ReadonlyMap<string, ItemName> => {
  const fromFront = <T extends { readonly id: string; readonly xMm: number }>(
    items: readonly T[],
    at: string,
    nameOf: (item: T, naming: Naming) => ItemName,
  ) =>
    items
      .map((item, i) => ({ item, i }))
      .sort((a, b) => b.item.xMm - a.item.xMm)
      .map(({ item, i }, k) => [item.id, nameOf(item, namingOf(design, `${at}.${i}`, k + 1))] as const);
  return new Map<string, ItemName>([
    ...fromFront(slotsOf(design), "tang.slots", (_, naming) => ({ kind: "slot", ...naming })),
    ...fromFront(holesOf(design), "tang.holes", (_, naming) => ({ kind: "hole", ...naming })),
    ...fromFront(design.fasteners, "fasteners", (f, naming) => ({
      kind: "fastener",
      sort: f.kind,
      ...naming,
    })),
  ]);
});

/** Number and name of a fastener, hole or slot; nothing of one that is not there. */
export function itemNaming(design: Design, id: string): Naming {
  const { number, called } = itemNames(design).get(id) ?? {};
  return { ...(number === undefined ? {} : { number }), ...(called === undefined ? {} : { called }) };
}

/** The same of a piece of a stacked handle, by its place from the front, from 0. */
export function pieceNaming(design: Design, index: number): Naming {
  const { handle } = design;
  const several = handle.kind === "stack" && handle.pieces.length > 1;
  return namingOf(design, `handle.pieces.${index}`, several ? index + 1 : undefined);
}

/** What the maker calls a plate of the guard, by its place from the front, from 0. */
export const plateNaming = (design: Design, index: number): Pick<Naming, "called"> =>
  namingOf(design, `guard.plates.${index}`);
