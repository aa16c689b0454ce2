import type { ProductDesign } from "./product";
import { type Design, isFixed } from "./schema";

/** A design that has to be of a knife with a fixed blade. */
export function asFixed(design: ProductDesign | undefined): Design {
  if (!design || !isFixed(design)) throw new Error(`"${design?.kind}" is no knife with a fixed blade`);
  return design;
}
