import type { FastenerKind } from "../../kinds/fasteners/registry";
import type { FittingKind } from "../../kinds/guardFittings/registry";
import type { EndComponent } from "../../kinds/tangEnds/kind";
import type { PieceRole, TangHole } from "../design/schema";
import type { Naming } from "../shapes/itemNames";

export type Side = "right" | "left";

/**
 * Which part of a knife: what it is, of what sort, its id, which of several from 1 (null of a single one), on which
 * side, and what its maker calls it. What it is called otherwise is the interface's.
 */
export type PartKey =
  /** The bare end: what is empty beside the tang behind scales that end ahead of the butt. */
  | { readonly kind: "bare-end" | "blade" | "tang" | "tang-hole" | "frame" | "recess" | "guard-slot" }
  | { readonly kind: "blade-notch" | "groove"; readonly id: string }
  /** Which of several, the innermost first. */
  | { readonly kind: "wrap"; readonly number: number | null }
  | { readonly kind: "tang-rest"; readonly sort: "filler" | "weld" }
  | { readonly kind: "tang-end"; readonly component: EndComponent }
  | (Naming & { readonly kind: "hole"; readonly sort: TangHole["purpose"]; readonly id: string })
  | (Naming & { readonly kind: "slot" | "ring" | "ring-bore"; readonly id: string })
  | (Pick<Naming, "called"> & { readonly kind: "guard"; readonly number: number | null })
  /** Of one that is made in two halves, its side. */
  | { readonly kind: "fitting"; readonly sort: FittingKind; readonly side: Side | null }
  | { readonly kind: "bolster"; readonly sort: "front" | "rear"; readonly side: Side }
  | { readonly kind: "liner" | "scale"; readonly number: number | null; readonly side: Side }
  /** Of a joint's several sheets, which. */
  | {
      readonly kind: "divider";
      readonly id: string;
      readonly number: number;
      readonly sheet: number | null;
      readonly side: Side;
    }
  /** Below a joint along the handle, and the sheet in it; of blocks they have no side. */
  | { readonly kind: "lower" | "lengthwise-sheet"; readonly side: Side | null }
  | {
      readonly kind: "half";
      readonly sort: "front" | "rear";
      readonly id: string;
      readonly number: number | null;
      readonly side: Side;
    }
  | (Naming & { readonly kind: "piece"; readonly sort: PieceRole; readonly id: string })
  /** Of a product that names its own: a sort in plain English words with hyphens, which of several, on which side. */
  | {
      readonly kind: "component";
      readonly sort: string;
      readonly number: number | null;
      readonly side: Side | null;
    }
  | (Naming & {
      readonly kind: "fastener";
      readonly sort: FastenerKind;
      readonly id: string;
      readonly component: string | null;
    });

/** What of a key there is, with colons between. */
export function join(...parts: readonly (string | number | null)[]): string {
  return parts.filter((p) => p !== null).join(":");
}

type WithoutSide<K> = K extends unknown ? Omit<K, "side"> : never;

/** What a part is, on whichever side. */
export type PairKey = WithoutSide<PartKey>;

/** The id of a part, or of the pair that it is one of: what is alike on both sides has one. */
export function pairId(key: PairKey): string {
  switch (key.kind) {
    case "guard":
    case "liner":
    case "scale":
    case "wrap":
      return join(key.kind, key.number);
    case "divider":
      return join(key.kind, key.id, key.sheet);
    case "component":
      return join(key.kind, key.sort, key.number);
    case "bolster":
    case "fitting":
      return join(key.kind, key.sort);
    case "tang-end":
      return join(key.kind, key.component);
    case "fastener":
      return join(key.kind, key.id, key.component);
    case "blade-notch":
    case "groove":
    case "half":
    case "hole":
    case "slot":
    case "ring":
    case "ring-bore":
    case "piece":
      return join(key.kind, key.id);
    default:
      return key.kind;
  }
}

/** The same with its side, where it has one. */
export const sidedId = (key: PairKey & { readonly side?: string | null }): string =>
  join(pairId(key), key.side ?? null);

/**
 * The id of a part, from its key. No two parts of a knife have the same: an id has no colon in it, and stands behind one;
 * what a maker calls it is no part of it.
 */
export const partId = (key: PartKey): string => sidedId(key);
