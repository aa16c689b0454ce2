import type { FittingKind } from "../../kinds/guardFittings/registry";
import type { EndComponent } from "../../kinds/tangEnds/kind";
import type { PieceRole } from "../design/schema";
import type { Naming } from "../shapes/itemNames";
import { type Side, sidedId } from "./partKey";

/** Which piece is sawn out of stock: what it is, of what sort, which of several from 1, and for which side, or a pair. */
export type CutKey =
  | { readonly kind: "blade" | "frame" }
  | { readonly kind: "fitting"; readonly sort: FittingKind; readonly side: Side | "pair" }
  | { readonly kind: "tang-end"; readonly component: EndComponent }
  | { readonly kind: "tang-rest"; readonly sort: "filler" | "weld" }
  | (Pick<Naming, "called"> & { readonly kind: "guard"; readonly number: number | null })
  | { readonly kind: "liner" | "scale"; readonly number: number | null; readonly side: Side | "pair" }
  | { readonly kind: "bolster"; readonly sort: "front" | "rear"; readonly side: Side | "pair" }
  | { readonly kind: "lower" | "lengthwise-sheet"; readonly side: Side | "pair" | null }
  | {
      readonly kind: "half";
      readonly sort: "front" | "rear";
      readonly id: string;
      readonly number: number | null;
      readonly side: Side | "pair";
    }
  | { readonly kind: "divider"; readonly id: string; readonly number: number; readonly sheet: number | null }
  | (Naming & { readonly kind: "piece"; readonly sort: PieceRole; readonly id: string });

/** The id by which a maker's stock is matched to a piece; it follows from the key. */
export const cutId = (key: CutKey): string => sidedId(key);
